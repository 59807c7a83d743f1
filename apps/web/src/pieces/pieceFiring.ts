/** What a piece's firings have done to it by the step that is looked at, what the next one does, and what speaks against it. */
import { hottestSegment } from '@torvin/core/heat';
import { aimedWork, neededWork } from '@torvin/core/look';
import { type LaidTurn, type Left, facesHazed, firingsOf, formWarnings, leftOn, snapshotOf, turnOf } from '@torvin/core/piece';
import type { Body } from '@torvin/core/schedule';
import type { Piece, PieceDoc, Schedule, Shelves, Step } from '@torvin/schema';
import { useMemo } from 'react';
import { useUnits } from '@/data/FormUnits';
import { useSchedule } from '@/data/pieces';
import type { Journey } from '@/journey/useJourney';

/** What the firing before the next step leaves on the glass: by how hot its schedule goes, and how it came out where that was told. */
export function leftBefore({ journey: steps, dammed }: PieceDoc, told: Piece['turns'], { at, schedules }: Journey, { releases }: Shelves): Left[] {
  const step = firingsOf({ journey: steps.slice(0, at + 1) }).at(-1);
  if (!step) return [];
  const schedule = schedules.find(({ id }) => id === step.scheduleId);
  const top_C = Math.max(...(schedule?.segments ?? []).map(({ target_C }) => target_C), 0);
  const hazed = told.findLast(({ stepId }) => stepId === step.id)?.seen.includes('devitrified') ?? false;
  return leftOn({ step, top_C, dammed, hazed, releases });
}

/** Its turns in the kiln up to the step that is looked at: as they ran, of a firing that had none yet as its schedule is to run. withIt: also where that is the step itself. */
export function turnsBefore({ journey: steps }: PieceDoc, told: Piece['turns'], { at, schedules }: Journey, withIt = false): LaidTurn[] {
  const faces = facesHazed(steps.slice(0, at + 1));
  return firingsOf({ journey: steps.slice(0, at + 1) }).flatMap(({ id, scheduleId }) => {
    const on = faces.get(id);
    const own = told.filter(({ stepId }) => stepId === id).map((turn): LaidTurn => ({ ...turn, on }));
    if (own.length > 0 || (steps[at].id === id && !withIt)) return own;
    const schedule = schedules.find((one) => one.id === scheduleId);
    return schedule ? [{ ...turnOf(schedule.result), on }] : [];
  });
}

const NONE: readonly string[] = [];

/** What speaks against the form of a firing that is still to come. */
export function useFormWarnings(
  doc: PieceDoc,
  step: Step | undefined,
  schedule: Schedule | undefined,
  shelves: Shelves,
  fired: Piece['fired'],
): readonly string[] {
  const units = useUnits();
  const coming = step && fired[step.id] === undefined ? step : null;
  return useMemo(
    () => (coming ? formWarnings(doc, coming, shelves, units, schedule ? schedule.segments[hottestSegment(schedule.segments)].target_C : null) : NONE),
    [doc, coming, schedule, shelves, units],
  );
}

/** The firing as it is planned, and the heat work it does: by its schedule where it has one, by its aim else. */
export function useFiringWork(doc: PieceDoc, step: Step | undefined, shelves: Shelves): { body: Body; work_perPa: number } | null {
  const { data: schedule } = useSchedule(step?.scheduleId);
  return useMemo(() => {
    if (!step) return null;
    const snapshot = snapshotOf(doc, step, shelves);
    if (!snapshot.ok) return null;
    const { body, limits, setup, look } = snapshot.value.firing;
    if (body.glasses.length === 0) return null;
    const needed = neededWork(body, look, limits.works_perPa, setup.shaping);
    return { body, work_perPa: schedule?.stepId === step.id ? schedule.result.work_perPa.mean : needed.ok ? aimedWork(look, needed.value) : 0 };
  }, [doc, step, shelves, schedule]);
}
