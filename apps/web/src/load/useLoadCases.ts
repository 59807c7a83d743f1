/** What is chosen for a load, each piece as it stands now: what it is composed from, and what stands against firing it. */
import { type Problem } from '@torvin/core/problem';
import { firingOf, snapshotOf } from '@torvin/core/piece';
import { impossibleFiring } from '@torvin/core/schedule';
import { type ForKiln, type Piece, type Shelves, type Snapshot, type Step } from '@torvin/schema';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useUnits } from '@/data/FormUnits';
import { seenIn } from '@/data/bench';
import { pieceReading } from '@/data/pieces';
import { pieceNow } from '@/outbox/shown';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { keys } from '@/outside/keys';
import { standingOfPiece } from '@/planner/standingOfPiece';

export interface LoadCase {
  waits: ForKiln;
  piece: Piece;
  step: Step;
  snapshot: Snapshot;
  /** What was found at the piece, whatever rows are fired. */
  standing: string[];
}

interface Cases {
  cases: LoadCase[] | null;
  problem: Problem | null;
}

export function useLoadCases(chosen: readonly ForKiln[], shelves: Shelves | undefined): Cases {
  const client = useQueryClient();
  const outbox = useOutbox();
  const units = useUnits();

  async function read(): Promise<Cases> {
    const cases: LoadCase[] = [];
    for (const [i, waits] of chosen.entries()) {
      const { pieceId, pieceName, stepId } = waits;
      // As it was read last where nobody answers.
      await client.fetchQuery({ ...pieceReading(client, outbox, pieceId), retry: false, networkMode: 'always' }).catch(() => undefined);
      const piece = pieceNow(client, outbox, pieceId);
      const step = piece && firingOf(piece.doc, stepId);
      if (!piece || !step || !shelves) return { cases: null, problem: { code: 'not-read', path: '', message: `${pieceName} could not be read.` } };
      const snapshot = snapshotOf(piece.doc, step, { ...shelves, seen: await seenIn(client, step) });
      const problem = snapshot.ok ? impossibleFiring(snapshot.value.firing, units.length) : snapshot.problem;
      if (problem || !snapshot.ok) return { cases: null, problem: { ...problem!, path: `entries.${i}`, message: `${pieceName}: ${problem!.message}` } };
      cases.push({ waits, piece, step, snapshot: snapshot.value, standing: await standingOfPiece(piece, step, shelves, units) });
    }
    return { cases, problem: null };
  }

  const { data, error } = useQuery({
    // Read again where one of them, or what they are made of, has changed.
    queryKey: [...keys.forKiln, 'cases', chosen.map(({ pieceId, scheduleId }) => `${pieceId} ${scheduleId}`), units],
    queryFn: read,
    enabled: chosen.length > 0 && shelves !== undefined,
    retry: false,
    networkMode: 'always',
    placeholderData: (before) => before,
  });
  return { cases: data?.cases ?? null, problem: data?.problem ?? (error ? problemOfError(error) : null) };
}
