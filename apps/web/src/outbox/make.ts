/** The outbox of this page, tied to the client that shows what the server has. */
import type { Piece } from '@torvin/schema';
import { type QueryClient, onlineManager } from '@tanstack/react-query';
import { ApiProblem, problemOfError } from '@/outside/client';
import { adoptPiece } from '@/outside/keys';
import { noteDisk } from '@/outside/disk';
import { isOtherVersion, onVersion } from '@/outside/version';
import { Keeper, tie } from './kept';
import { readEntry, saveKinds } from './kinds';
import { Outbox, type SaveKind, type Verdict } from './outbox';

/** Where a server that is busy does not say for how long. */
const BUSY_S = 2;
/** How often a full disk is tried again. */
const FULL_S = 5;

function judge(error: unknown): Verdict {
  if (error instanceof ApiProblem && error.status === 0) return { kind: 'silent' };
  // Nothing has been saved: it waits until there is room.
  if (error instanceof ApiProblem && error.problem.code === 'disk-full') {
    noteDisk('full');
    return { kind: 'busy', after_s: FULL_S };
  }
  if (error instanceof ApiProblem && error.status === 503) return { kind: 'busy', after_s: error.retryAfter_s ?? BUSY_S };
  return { kind: 'refused', problem: problemOfError(error), current: error instanceof ApiProblem ? error.current : undefined };
}

/** On the client itself: while somebody develops, this file is read anew and would forget what it had kept beside. */
const KEY = Symbol.for('torvin.outbox');
type Tied = QueryClient & { [KEY]?: Outbox };

export function makeOutbox(client: QueryClient): Outbox {
  const keeper = new Keeper();
  const kinds: Record<string, SaveKind> = saveKinds(client, (id, put) => outbox.fill(id, put));
  const outbox: Outbox = new Outbox({
    kinds,
    read: (entry) => readEntry(kinds, entry),
    judge,
    line: {
      answers: () => onlineManager.isOnline() && !isOtherVersion(),
      subscribe(listener) {
        const stop = [onlineManager.subscribe(listener), onVersion(listener)];
        return () => stop.forEach((one) => one());
      },
    },
    keep: keeper.keep,
    report: (error) => window.reportError(error),
    standing(name, { problem, current }) {
      if (problem.code === 'stale' && current && (name === 'savePiece' || name === 'saveSchedule')) adoptPiece(client, current as Piece);
    },
  });
  (client as Tied)[KEY] = outbox;
  tie(outbox, keeper);
  return outbox;
}

export function outboxOf(client: QueryClient): Outbox {
  const outbox = (client as Tied)[KEY];
  if (!outbox) throw new Error('This client has no outbox.');
  return outbox;
}
