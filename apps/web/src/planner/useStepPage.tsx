/** What every page of one firing of a piece needs: the piece, the step that the address names, its schedule. */
import { hottestSegment } from '@torvin/core/heat';
import { type FitAsked, firingsOf, fitBefore, fitWarnings, standingWarnings } from '@torvin/core/piece';
import type { Back } from '@/ui/Screen';
import type { Piece, Schedule, Shelves, Step } from '@torvin/schema';
import { Redirect, useLocalSearchParams } from 'expo-router';
import { type ReactElement, useMemo } from 'react';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { usePiece, useSchedule, useShelves } from '@/data/pieces';
import { Waiting } from '@/ui/Loading';
import { useOutdated } from './useOutdated';
import { WORDS } from '@/ui/said';

export interface StepPageParts {
  piece: Piece;
  step: Step;
  schedule: Schedule;
  shelves: Shelves;
  /** How what stands now differs from what the schedule was made from. */
  outdated: readonly string[];
  /** What was found at the piece and in its form, and stands against this firing. */
  standing: readonly string[];
}

export type StepPage = ({ ready: true } & StepPageParts) | { ready: false; shown: ReactElement };

/** Of a fit that is asked, what the engine is told. */
export const engineQuestion = ({ question: { glasses, contacts, evidence } }: FitAsked) => ({ glasses, contacts, evidence });

/** Without a step in the address it is the first one. */
export function useStepPage(title: string): StepPage {
  const { id, step: stepId } = useLocalSearchParams<{ id: string; step?: string }>();
  const piece = usePiece(id);
  const steps = piece.data ? firingsOf(piece.data.doc) : [];
  const step = steps.find((one) => one.id === stepId) ?? (stepId === undefined ? steps[0] : undefined);
  const schedule = useSchedule(step?.scheduleId);
  const shelves = useShelves();
  const outdated = useOutdated(piece.data?.doc ?? null, step, schedule.data, shelves.data, piece.data?.fired ?? {});
  const units = useUnits();
  const asked = useMemo(() => (piece.data && step && shelves.data ? fitBefore(piece.data.doc, step, shelves.data) : null), [piece.data, step, shelves.data]);
  const fit = useComputed(
    'fit',
    useMemo(() => asked && engineQuestion(asked), [asked]),
  );
  const standing = useMemo(() => {
    if (!piece.data || !step || !schedule.data || !shelves.data) return [];
    const { segments, result } = schedule.data;
    const by = { hottest_C: segments[hottestSegment(segments)].target_C, work_perPa: result.work_perPa.mean };
    const fits = asked && fit.value && !fit.stale ? fitWarnings(asked, fit.value, shelves.data, units) : [];
    return [...standingWarnings(piece.data.doc, step, shelves.data, units, by), ...fits];
  }, [piece.data, step, schedule.data, shelves.data, units, asked, fit]);
  const back: Back = { title: piece.data?.name ?? WORDS.piece, href: `/pieces/${id}` };
  if (!piece.data) return { ready: false, shown: <Waiting query={piece} title={title} back={back} /> };
  if (!step?.scheduleId) {
    return {
      ready: false,
      shown: piece.isPlaceholderData ? <Waiting query={piece} title={title} back={back} /> : <Redirect href={`/pieces/${id}`} />,
    };
  }
  if (schedule.data?.stepId !== step.id) return { ready: false, shown: <Waiting query={schedule} title={title} back={back} /> };
  if (!shelves.data) return { ready: false, shown: <Waiting query={shelves} title={title} back={back} /> };
  return { ready: true, piece: piece.data, step, schedule: schedule.data, shelves: shelves.data, outdated, standing };
}
