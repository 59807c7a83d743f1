/** Whether this device calls at look-in time, and keeps its screen on until then: it is each device's own. */
import { useState } from 'react';
import { readStored, writeStored } from '@/outside/storage';

const KEYS = { calls: 'torvin-calls-here', awake: 'torvin-awake-here' } as const;

export const callsHere = (): boolean => readStored<boolean>('localStorage', KEYS.calls) ?? true;

export function useHere(what: keyof typeof KEYS): [boolean, (on: boolean) => void] {
  const [on, setOn] = useState(() => readStored<boolean>('localStorage', KEYS[what]) ?? true);
  return [
    on,
    (next) => {
      writeStored('localStorage', KEYS[what], next);
      setOn(next);
    },
  ];
}
