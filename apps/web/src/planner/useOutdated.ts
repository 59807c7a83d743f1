/** How a schedule's making differs from what stands now, in this studio's units; empty while it may be fired as it is. */
import { outdatedBy } from '@torvin/core/piece';
import type { Piece, PieceDoc, Schedule, Shelves, Step } from '@torvin/schema';
import { useMemo } from 'react';
import { useSeen } from '@/data/bench';
import { useUnits } from '@/data/FormUnits';

const NOTHING: readonly string[] = [];

/** Nothing is said while the schedule or the shelves are still being read. fired: what came out of its firings, by step; what was fired is not planned again by what came out since. */
export function useOutdated(
  doc: PieceDoc | null,
  step: Step | null | undefined,
  schedule: Schedule | null | undefined,
  shelves: Shelves | undefined,
  fired: Piece['fired'],
): readonly string[] {
  const units = useUnits();
  const own = step && schedule?.stepId === step.id ? schedule : null;
  const seen = useSeen(step && own && fired[step.id] === undefined ? step : null);
  return useMemo(
    () => (doc && own && shelves ? outdatedBy(doc, own.stepId, seen ? { ...shelves, seen } : shelves, own.snapshot, units) : NOTHING),
    [doc, own, shelves, seen, units],
  );
}
