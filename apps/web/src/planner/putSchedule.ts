/** A schedule version of a piece's firing, put into the outbox and shown before the server has it. */
import { firingOf } from '@torvin/core/piece';
import type { PurposefulSegment } from '@torvin/core/kiln';
import type { Evaluation } from '@torvin/core/schedule';
import type { NewSchedule, Piece, PieceDoc, Schedule, Snapshot, Step } from '@torvin/schema';
import type { QueryClient } from '@tanstack/react-query';
import { v7 as uuid } from 'uuid';
import { isSame } from '@/outbox/merge';
import type { Outbox } from '@/outbox/outbox';
import { keys } from '@/outside/keys';

export interface NewVersion {
  /** The piece as it stands, and its document with the firing as it is to be. */
  on: Pick<Piece, 'id' | 'name' | 'doc' | 'version'>;
  doc: PieceDoc;
  /** The change of the document in words. */
  what: string;
  step: Step;
  parentId: string | null;
  origin: NewSchedule['origin'];
  segments: readonly PurposefulSegment[];
  snapshot: Snapshot;
  result: Evaluation;
}

/** Both saves, the firing's own only where it changed; in their order. Resolves the id of the version. */
export function putSchedule(client: QueryClient, outbox: Outbox, { on, doc, what, step, parentId, origin, segments, snapshot, result }: NewVersion): string {
  const { id: pieceId, name, doc: before, version } = on;
  const known = firingOf(before, step.id);
  if (!isSame(known, step)) outbox.put('savePiece', { id: pieceId, name, doc, what, before: { name, doc: before } }, { on: version });
  const plain = segments.map(({ role, rate_C_per_h, target_C, hold_s }) => ({ role, rate_C_per_h, target_C, hold_s }));
  const made = { id: uuid(), pieceId, stepId: step.id, parentId, origin, segments: plain };
  const { simulation, readings, work_perPa } = result;
  const shown: Schedule = { ...made, name: '', snapshot, result: { simulation, readings, work_perPa }, createdAt: Date.now() };
  client.setQueryData(keys.schedule(made.id), shown);
  outbox.put('saveSchedule', made, { id: made.id, on: version });
  return made.id;
}
