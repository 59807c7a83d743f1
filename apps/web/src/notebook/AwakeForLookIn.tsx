/** Keeps the screen on while a firing runs, until its look-in is over by its schedule, where this device is to. Shows nothing. */
import { momentsOf } from '@torvin/core/schedule';
import type { FiringDetail } from '@torvin/schema';
import { useMemo } from 'react';
import { useAwake } from '@/ui/useAwake';
import { useHere } from '@/ui/useCallsHere';
import { useNow } from '@/ui/useNow';
import { asRun } from './asRun';

export function AwakeForLookIn({ detail }: { detail: FiringDetail }) {
  const now = useNow();
  const [awake] = useHere('awake');
  const until_s = useMemo(() => {
    const { segments, evaluation } = asRun(detail);
    return momentsOf(segments, evaluation.simulation).look.to_s;
  }, [detail]);
  const { firedAt, result, load } = detail.firing;
  const seconds = (now - firedAt) / 1000;
  useAwake(awake && result === null && load.openedAt === null && seconds >= 0 && seconds < until_s);
  return null;
}
