/** How hot the next firing of the piece makes it, where that was computed. */
import { LOOK_NAMES } from '@torvin/core/look';
import { firingsOf } from '@torvin/core/piece';
import { useSchedules } from '@/data/pieces';
import type { Where } from './useWhere';

export interface NextWork {
  /** What it is called. */
  name: string;
  work_perPa: number;
}

export function useNextWork(where: Where | null): NextWork | null {
  const next = where && firingsOf(where.piece.doc).find(({ id }) => where.piece.fired[id] !== 'right');
  const [schedule] = useSchedules(next?.scheduleId ? [next.scheduleId] : []);
  if (!next || !schedule) return null;
  return { name: LOOK_NAMES[next.look].toLowerCase(), work_perPa: schedule.result.work_perPa.mean };
}
