/** Joining a load: its rows judged for this piece, kept as a version of this piece's, then put in with what is there. */
import { hottestSegment } from '@torvin/core/heat';
import { standingWarnings } from '@torvin/core/piece';
import { brokenOf, brokenSentence } from '@torvin/core/schedule';
import { type LoadAhead, type Piece, type Schedule, type Shelves, type Step, asks } from '@torvin/schema';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call } from '@/outside/client';
import { useUnits } from '@/data/FormUnits';
import { useSave } from '@/outbox/useOutbox';
import { type Given, useGivenSchedule } from '@/planner/useGivenSchedule';
import { standingOfPiece } from '@/planner/standingOfPiece';

interface Judged extends Given {
  /** What breaks, in sentences. */
  broken: string[];
  /** What else stands against it, by these rows. */
  standing: string[];
}

export function useJoinLoad(piece: Piece, step: Step, schedule: Schedule, shelves: Shelves) {
  const units = useUnits();
  const given = useGivenSchedule(piece, step, shelves);
  const version = useSave('saveSchedule');
  const record = useSave('recordFiring');
  const [judged, setJudged] = useState<Judged | null>(null);

  async function judge(load: LoadAhead): Promise<void> {
    const found = await given.judge(async () => (await call(asks.schedule, { id: load.entries[0].scheduleId })).segments);
    if (!found) return;
    const { look } = found.snapshot.firing;
    const { segments, evaluation } = found;
    const by = { hottest_C: segments[hottestSegment(segments)].target_C, work_perPa: evaluation.work_perPa.mean };
    setJudged({
      ...found,
      broken: brokenOf(evaluation.readings).map((reading) => brokenSentence(reading, units, look)),
      standing: [...standingWarnings(piece.doc, step, shelves, units, by), ...(await standingOfPiece(piece, step, shelves, units))],
    });
  }

  /** Both go one after the other; done: once the piece is in the load. */
  function join(load: LoadAhead, done: () => void): void {
    if (!judged) return;
    const made = { pieceId: piece.id, id: uuid(), stepId: step.id, parentId: schedule.id, origin: 'edited' as const, segments: [...judged.segments] };
    version.save(made, { id: made.id, on: piece.version });
    const entry = {
      ...{ id: uuid(), pieceId: piece.id, scheduleId: made.id, loadId: load.id },
      ...{ firedAt: load.at, planned: load.startedAt === null, zone: load.zone },
    };
    record.save(entry, { then: done });
  }

  return {
    judge,
    join,
    judged,
    working: given.working || version.saving || record.saving,
    held: record.held,
    problem: given.problem ?? version.refusal?.problem ?? record.refusal?.problem ?? null,
  };
}
