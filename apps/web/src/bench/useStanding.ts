/** Where a firing stands by the clock: what both the Bench and Kiln show of it. */
import { momentsOf } from '@torvin/core/schedule';
import type { FiringDetail } from '@torvin/schema';
import { useComputed } from '@/engine/useComputed';
import { asRun } from '@/notebook/asRun';
import { dayAndClock } from '@/ui/clock';
import { standingAt } from './byClock';

/** standing and value are missing until the engine has answered. */
export function useStanding(detail: FiringDetail, now: number) {
  const { firing, schedule } = detail;
  const { segments, evaluation } = asRun(detail);
  const { value } = useComputed('evaluate', { firing: schedule.snapshot.firing, segments, series: true });
  const series = value?.simulation.series;
  const seconds = (now - firing.firedAt) / 1000;
  return {
    ...{ segments, evaluation, value, seconds },
    standing: series ? standingAt(series, seconds) : null,
    look: momentsOf(segments, evaluation.simulation).look,
    clock: (at_s: number): string => dayAndClock(firing.firedAt + at_s * 1000, new Date(now)),
  };
}
