/** What the server has, shown as the saves that wait will leave it. */
import { type FiringDetail, NOT_FILED, type Piece, type Program, type Shelves } from '@torvin/schema';
import type { QueryClient } from '@tanstack/react-query';
import { keys } from '@/outside/keys';
import { isSame } from './merge';
import { type Variables, firingOnto, pieceOnto, pieceQueue, recordOnto, withList, withSchedule } from './kinds';
import type { Entry, Outbox, PutOptions } from './outbox';

type Waiting = readonly Pick<Entry, 'name' | 'variables' | 'refused'>[];

export function shownPiece(piece: Piece, waiting: Waiting): Piece {
  return waiting.reduce((now, { name, variables }) => {
    if (name === 'savePiece') {
      const save = variables as Variables['savePiece'];
      return { ...pieceOnto(save, now).leaves, undo: save.what, redo: null };
    }
    if (name === 'filePiece') return { ...now, ...(variables as Variables['filePiece']).filing };
    if (name !== 'saveSchedule') return now;
    const save = variables as Variables['saveSchedule'];
    return { ...withSchedule(now, save), undo: save.origin === 'computed' ? 'schedule calculated' : 'schedule changed', redo: null };
  }, piece);
}

/** What is known of a piece at this moment, drawn or not; undefined where nothing has been read of it. */
export function pieceNow(client: QueryClient, outbox: Outbox, id: string): Piece | undefined {
  const waiting = outbox.waitingIn(pieceQueue(id));
  const stands = client.getQueryData<Piece>(keys.piece(id)) ?? newPieceIn(waiting, id);
  return stands && shownPiece(stands, waiting);
}

/**
 * A change of a piece, put onto what is shown of it by now: whoever made it may not have seen yet what was changed since, as a
 * computation that took its time, or a second touch before the first was drawn.
 */
export function putPiece(client: QueryClient, outbox: Outbox, change: Variables['savePiece'], options: PutOptions): void {
  const now = pieceNow(client, outbox, change.id);
  outbox.put('savePiece', now ? pieceOnto(change, now).variables : change, options);
}

/** As it will be told of; how it ran is judged by the engine once that has been saved. */
export function shownFiring(detail: FiringDetail, waiting: Waiting): FiringDetail {
  const firing = waiting.reduce(
    (now, { name, variables }) => (name === 'saveFiring' ? firingOnto(variables as Variables['saveFiring'], now).leaves : now),
    detail.firing,
  );
  return { ...detail, firing, asFiredResult: isSame(firing.asFired, detail.firing.asFired) ? detail.asFiredResult : null };
}

/** One that the server has not seen yet: of version 0, as a save that rests on it expects. */
export function newPieceIn(waiting: Waiting, id: string): Piece | undefined {
  const made = waiting.find((entry) => entry.name === 'createPiece' && !entry.refused && (entry.variables as Variables['createPiece']).id === id);
  return (
    made && {
      ...(made.variables as Variables['createPiece']),
      version: 0,
      createdAt: Date.now(),
      updatedAt: Date.now(),
      undo: null,
      redo: null,
      fired: {},
      turns: [],
      ...NOT_FILED,
    }
  );
}

/** A record keeps the version that the server has of it; a new one has 0. */
export function shownShelves(shelves: Shelves, waiting: Waiting): Shelves {
  return waiting.reduce((now, { name, variables, refused }) => {
    if (refused) return now;
    if (name === 'saveRecord') {
      const save = variables as Variables['saveRecord'];
      const standing = now[save.kind].find(({ id }) => id === save.record.id);
      const leaves = standing ? { ...recordOnto(save, standing).leaves, version: standing.version } : { ...save.record, version: 0 };
      return withList(now, save.kind, (list) => [...list.filter(({ id }) => id !== leaves.id), leaves]);
    }
    if (name === 'removeRecord') {
      const { kind, id: gone } = variables as Variables['removeRecord'];
      return withList(now, kind, (list) => list.filter(({ id }) => id !== gone));
    }
    if (name !== 'archiveRecord') return now;
    const { id, archived } = variables as Variables['archiveRecord'];
    const others = now.archived.filter((one) => one !== id);
    return { ...now, archived: archived ? [...others, id] : others };
  }, shelves);
}

/** Programs as they will stand; what was keyed over is told of where its own schedule is asked about, as the server does. */
export function shownPrograms(programs: readonly Program[], waiting: Waiting, scheduleId: string): readonly Program[] {
  return waiting.reduce<readonly Program[]>((now, { name, variables, refused }) => {
    if (name === 'removeProgram' && !refused) return now.filter(({ id }) => id !== (variables as Variables['removeProgram']).id);
    if (name !== 'keyProgram' || refused) return now;
    const { controllerName: _name, of, ...keyed } = variables as Variables['keyProgram'];
    if (now.some(({ id }) => id === keyed.id)) return now;
    const next: Program = { ...keyed, readAt: keyed.readAt ?? null, slips: keyed.slips ?? null, ...of, ahead_s: 0, keyedOverAt: null };
    const left = now.flatMap((one): Program[] => {
      if (one.controllerId !== next.controllerId || one.slot !== next.slot) return [one];
      const isAsked = one.scheduleId === scheduleId && next.scheduleId !== scheduleId;
      return isAsked ? [{ ...one, keyedOverAt: one.keyedOverAt ?? next.keyedAt }] : [];
    });
    return [...left, next];
  }, programs);
}
