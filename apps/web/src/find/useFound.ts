/** What was found: by the server in all that there is; where it does not answer, in what the browser holds. */
import { findAmong } from '@torvin/core/find';
import { FOUND_AT_MOST, type Found, KINDS, SHELF_KINDS, type Shelves, asks } from '@torvin/schema';
import { type QueryClient, keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { firingsReading } from '@/data/firings';
import { piecesReading, shelvesReading } from '@/data/pieces';
import { reckoningsReading } from '@/data/reckonings';
import { call, problemOfError } from '@/outside/client';
import { nameAmong, aboutShelves, sourceOf } from '@/shelves/words';
import type { Units } from '@torvin/core/units';

export interface FoundHere extends Found {
  /** Of what this browser holds alone. */
  offline: boolean;
}

/** Kept readings, or those that are shown; nothing where there are none. */
const held = <T>(reading: Promise<T>, nothing: T): Promise<T> => reading.catch(() => nothing);

const firstOf = <T extends object>(typed: string, all: readonly T[], textOf: (one: T) => string, atOf: (one: T) => number): { total: number; shown: T[] } => {
  const found = findAmong(
    typed,
    all.map((one) => ({ one, text: textOf(one), at: atOf(one) })),
  ).map(({ one }) => one);
  return { total: found.length, shown: found.slice(0, FOUND_AT_MOST) };
};

const recordsOf = (shelves: Shelves, units: Units) =>
  SHELF_KINDS.flatMap((kind) =>
    shelves[kind].map((record) => ({
      kind,
      id: record.id,
      text: [
        KINDS[kind].one,
        KINDS[kind].many,
        nameAmong(shelves, kind, record.id, aboutShelves(shelves, units))?.name,
        sourceOf(record),
        'note' in record ? record.note : '',
      ]
        .filter(Boolean)
        .join(' '),
    })),
  );

async function foundInHand(client: QueryClient, typed: string, units: Units): Promise<FoundHere> {
  const none = { pages: [], pageParams: [] };
  const [pieceList, firingList, shelves, kept] = await Promise.all([
    held(client.ensureInfiniteQueryData(piecesReading({})), none),
    held(client.ensureInfiniteQueryData(firingsReading({})), none),
    held<Shelves | null>(client.ensureQueryData(shelvesReading), null),
    held(client.ensureQueryData(reckoningsReading), []),
  ]);
  const pieces = firstOf(
    typed,
    pieceList.pages.flatMap((page) => page.pieces),
    ({ name, tags }) => `${name} ${tags.join(' ')}`,
    ({ updatedAt }) => updatedAt,
  );
  const firings = firstOf(
    typed,
    firingList.pages.flatMap((page) => page.firings),
    ({ pieceName, note, place, kilnName, familyName }) => [pieceName, note, place, kilnName, familyName].join(' '),
    ({ firedAt }) => firedAt,
  );
  const records = firstOf(
    typed,
    shelves ? recordsOf(shelves, units) : [],
    ({ text }) => text,
    () => 0,
  );
  const reckonings = firstOf(
    typed,
    kept,
    ({ kind, told }) => `${kind} ${told}`,
    ({ keptAt }) => keptAt,
  );
  return {
    ...{ pieces: pieces.shown, firings: firings.shown, records: records.shown, reckonings: reckonings.shown },
    total: { pieces: pieces.total, firings: firings.total, records: records.total, reckonings: reckonings.total },
    offline: true,
  };
}

/** typed: nothing is asked while it is empty. */
export function useFound(typed: string, units: Units) {
  const client = useQueryClient();
  return useQuery({
    queryKey: ['found', typed],
    queryFn: async ({ signal }): Promise<FoundHere> => {
      try {
        return { ...(await call(asks.find, { query: { text: typed }, signal })), offline: false };
      } catch (error) {
        if (problemOfError(error).code !== 'offline') throw error;
        return foundInHand(client, typed, units);
      }
    },
    enabled: typed !== '',
    placeholderData: keepPreviousData,
    retry: false,
  });
}
