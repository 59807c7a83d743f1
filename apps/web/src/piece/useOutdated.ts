/** How a schedule's making differs from what stands now, in this studio's units; empty while it may be fired as it is. */
import { outdatedBy } from '@torvin/core';
import type { PieceDoc, Schedule, Shelves, Step } from '@torvin/schema';
import { useMemo } from 'react';
import { useUnits } from '@/data/FormUnits';

const NOTHING: readonly string[] = [];

/** Nothing is said while the schedule or the shelves are still being read. */
export function useOutdated(
  doc: PieceDoc | null,
  step: Step | null | undefined,
  schedule: Schedule | null | undefined,
  shelves: Shelves | undefined,
): readonly string[] {
  const units = useUnits();
  const own = step && schedule?.stepId === step.id ? schedule : null;
  return useMemo(() => (doc && own && shelves ? outdatedBy(doc, own.stepId, shelves, own.snapshot, units) : NOTHING), [doc, own, shelves, units]);
}
