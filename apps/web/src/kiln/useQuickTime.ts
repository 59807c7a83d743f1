/** A run that goes on by itself, faster than a clock; it rests where it rings and where nothing more is to come. */
import { type Run, ran } from '@torvin/core/controller';
import { type Dispatch, type SetStateAction, useEffect } from 'react';

/** Seconds of firing in a second. */
export const PACES = { minute: 60, tenMinutes: 600, hour: 3600 } as const;
export type Pace = keyof typeof PACES;

const TICK_MS = 100;
/** A page that was not looked at has not run on meanwhile, ms. */
const AT_MOST_MS = 500;

export const isOver = ({ state }: Run): boolean => state === 'done' || state === 'stopped';

export function useQuickTime(run: Run, setRun: Dispatch<SetStateAction<Run | null>>, pace: Pace, playing: boolean): void {
  const goes = playing && !run.ringing && !isOver(run);
  useEffect(() => {
    if (!goes) return undefined;
    let last = performance.now();
    const timer = setInterval(() => {
      const now = performance.now();
      const passed_s = Math.min(now - last, AT_MOST_MS) / 1000;
      last = now;
      setRun((one) => one && ran(one, PACES[pace] * passed_s));
    }, TICK_MS);
    return () => clearInterval(timer);
  }, [goes, pace, setRun]);
}
