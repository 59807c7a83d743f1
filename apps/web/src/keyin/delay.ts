/** A start reckoned back from the hour at which somebody wants to look in or to open, and what is to be said of it. */
import type { Moments } from '@torvin/core/schedule';
import { formatDuration, text } from '@torvin/core/units';
import { dayAndClock } from '@/ui/clock';
import { DELAY } from './words';

export const WISHES = ['start', 'look', 'open'] as const;
export type Wish = (typeof WISHES)[number];

/** Seconds from the start until that comes. */
const leadTo = (wish: Wish, { look, opens_s }: Moments): number => ({ start: 0, look: look.from_s, open: opens_s })[wish];

/** When it has to start for that to be at a time; ms, UTC. */
export const startFor = (wish: Wish, at: number, moments: Moments): number => at - 1000 * leadTo(wish, moments);

/** When that comes of a start; ms, UTC. */
export const comesAt = (wish: Wish, start: number, moments: Moments): number => start + 1000 * leadTo(wish, moments);

/** People sleep from here to there, hours of the clock. */
const NIGHT = { from: 23, to: 6 } as const;
const inTheNight = (at: number): boolean => {
  const hour = new Date(at).getHours();
  return hour >= NIGHT.from || hour < NIGHT.to;
};

export interface Delay {
  /** What it comes to: the start, the look-in, the opening, the delay to be set. */
  plan: string;
  /** What speaks against it; it can be done all the same but where it is too late. */
  doubts: string[];
  tooLate: boolean;
}

/** mostDelay_s: longest that the controller can be set to; nothing where that is not known. */
export function delayOf(start: number, now: number, moments: Moments, mostDelay_s?: number): Delay {
  const clock = (at: number): string => dayAndClock(at, new Date(now));
  const at = (wish: Wish, from: number): number => comesAt(wish, from, moments);
  const wait_s = (start - now) / 1000;
  if (wait_s < -60) {
    const earliest = DELAY.startedNowLooked(clock(at('look', now)), clock(at('open', now)));
    return { plan: '', doubts: [DELAY.wouldHadStart(clock(start), earliest)], tooLate: true };
  }
  const doubts: string[] = [];
  if (mostDelay_s !== undefined && wait_s > mostDelay_s + 60)
    doubts.push(DELAY.controllerDelaysStart(text(formatDuration(mostDelay_s)), clock(start - 1000 * mostDelay_s)));
  if (inTheNight(start)) doubts.push(DELAY.startsNightNearby);
  if (inTheNight(at('look', start))) doubts.push(DELAY.checkFallsNight);
  const plan = DELAY.startsDelayNow(
    clock(start),
    text(formatDuration(Math.max(60 * Math.round(wait_s / 60), 0))),
    clock(at('look', start)),
    clock(at('open', start)),
  );
  return { plan, doubts, tooLate: false };
}
