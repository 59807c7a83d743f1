/** What is chosen for a load, each piece as it stands now: what it is composed from, and what stands against firing it. */
import { type Outcome, type Problem, found, refused, valueOf } from '@torvin/core/problem';
import { firingOf, snapshotOf } from '@torvin/core/piece';
import { type SeenFiring, impossibleFiring } from '@torvin/core/schedule';
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
  seen: readonly SeenFiring[];
  /** What of its glass reacts or fumes. */
  contents: Shelves['glasses'][number]['contents'];
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

  async function caseOf(waits: ForKiln, i: number): Promise<Outcome<LoadCase>> {
    const { pieceId, pieceName, stepId } = waits;
    // As it was read last where nobody answers.
    await client.fetchQuery({ ...pieceReading(client, outbox, pieceId), retry: false, networkMode: 'always' }).catch(() => undefined);
    const piece = pieceNow(client, outbox, pieceId);
    const step = piece && firingOf(piece.doc, stepId);
    if (!piece || !step || !shelves) return refused('not-read', `entries.${i}`, `${pieceName} could not be read.`);
    const [seen, standing] = await Promise.all([seenIn(client, step), standingOfPiece(piece, step, shelves, units)]);
    // Its place is another when the load is: it is counted apart.
    const { place: _place, ...plain } = step;
    const snapshot = snapshotOf(piece.doc, plain, { ...shelves, seen });
    const problem = snapshot.ok ? impossibleFiring(snapshot.value.firing, units.length) : snapshot.problem;
    if (problem) return refused(problem.code, `entries.${i}`, `${pieceName}: ${problem.message}`);
    const { glasses = {} } = valueOf(snapshot).madeFrom ?? {};
    const contents = [...new Set(shelves.glasses.filter(({ id }) => id in glasses).flatMap((glass) => glass.contents))];
    return found({ waits, piece, step, snapshot: valueOf(snapshot), seen, contents, standing });
  }

  async function read(): Promise<Cases> {
    const read = await Promise.all(chosen.map(caseOf));
    const wrong = read.find((one) => !one.ok);
    return wrong && !wrong.ok ? { cases: null, problem: wrong.problem } : { cases: read.map((one) => valueOf(one)), problem: null };
  }

  const { data, error } = useQuery({
    // Read again where one of them, or what they are made of, has changed.
    queryKey: [...keys.forKiln, 'cases', chosen.map(({ pieceId, scheduleId }) => `${pieceId} ${scheduleId}`), units],
    queryFn: read,
    enabled: chosen.length > 0 && shelves !== undefined,
    retry: false,
    // Never those of another choice meanwhile: they would be taken for these.
    networkMode: 'always',
  });
  return { cases: data?.cases ?? null, problem: data?.problem ?? (error ? problemOfError(error) : null) };
}
