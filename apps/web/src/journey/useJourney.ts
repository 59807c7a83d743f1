/** The journey of an open piece: the body after each step as it is drawn, which step is next, which one is looked at. */
import {
  type AfterStep,
  type JourneyStep,
  type LayStep,
  applySteps,
  drawnBody,
  firingsOf,
  isLaying,
  journeyWarnings,
  namedGlasses,
  nothingYet,
  bodyProfile,
} from '@torvin/core/piece';
import { type FiringResult, type Piece, type PieceDoc, type Schedule, type Shelves, nextStep } from '@torvin/schema';
import { useMemo } from 'react';
import { useSchedules } from '@/data/pieces';
import { useUnits } from '@/data/FormUnits';
import type { StripStep } from './JourneyStrip';

export interface Journey {
  steps: readonly StripStep[];
  /** Index of the step that is looked at; -1 where there is none. */
  at: number;
  step: JourneyStep | undefined;
  /** The step whose layers can be changed as it is looked at: itself, or the one that is laid right before a firing. */
  laying: LayStep | undefined;
  /** What is drawn large: after a step of the hands, before a firing. */
  shown: AfterStep['body'];
  /** How many steps have made that. */
  madeBy: number;
  /** Of its firings, those that are read. */
  schedules: readonly Schedule[];
}

/** How a firing came out that is not right; nothing of one that is, or that was not fired. */
const cameOf = (result: FiringResult | null | undefined): Pick<StripStep, 'came'> => (result === undefined || result === 'right' ? {} : { came: result });

/** fired: results by step. wanted: id of the step to look at; the next one, else the last, where it is none of its steps. */
export function useJourney(doc: PieceDoc, fired: Piece['fired'], shelves: Shelves, wanted: string | null): Journey {
  const units = useUnits();
  const glasses = namedGlasses(shelves);
  const after = useMemo(() => applySteps(doc, glasses), [doc, glasses]);
  const schedules = useSchedules(firingsOf(doc).flatMap(({ scheduleId }) => scheduleId ?? []));
  const warnings = useMemo(
    () => journeyWarnings(after, glasses, units, ({ scheduleId }) => schedules.find(({ id }) => id === scheduleId)?.result.work_perPa.mean ?? null),
    [after, glasses, units, schedules],
  );
  return useMemo(() => {
    const { journey } = doc;
    const next = nextStep(journey, (id) => fired[id]);
    const nextAt = next ? journey.indexOf(next) : journey.length;
    const steps = after.map((one, i): StripStep => ({
      ...one,
      drawn: drawnBody(bodyProfile(one.body), shelves),
      warnings: warnings[i],
      stands: i < nextAt ? 'done' : i === nextAt ? 'next' : 'toCome',
      ...cameOf(fired[one.step.id]),
    }));
    const found = journey.findIndex(({ id }) => id === wanted);
    const at = found >= 0 ? found : Math.min(nextAt, journey.length - 1);
    const step = journey[at] as JourneyStep | undefined;
    const isPlain = step?.kind === 'fire';
    const before = isPlain ? journey[at - 1] : undefined;
    const laying = step && isLaying(step) ? step : before && isLaying(before) ? before : undefined;
    const madeBy = isPlain ? at : at + 1;
    const shown = after[madeBy - 1]?.body ?? nothingYet(doc);
    return { steps, at, step, laying, shown, madeBy, schedules };
  }, [doc, fired, shelves, after, warnings, schedules, wanted]);
}
