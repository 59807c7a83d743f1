/** Pieces and their schedules. */
import { namedGlasses } from '@torvin/core/piece';
import { type Piece, type PieceQuery, type Schedule, type Shelves, api } from '@torvin/schema';
import {
  type QueryClient,
  infiniteQueryOptions,
  keepPreviousData,
  queryOptions,
  useInfiniteQuery,
  useQueries,
  useQuery,
  useQueryClient,
} from '@tanstack/react-query';
import type { Outbox } from '@/outbox/outbox';
import { useMemo } from 'react';
import { SHELVES_QUEUE, pieceQueue } from '@/outbox/kinds';
import { newPieceIn, shownPiece, shownRows, shownShelves } from '@/outbox/shown';
import { useEntries, useOutbox, useQueue } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

export const shelvesReading = queryOptions<Shelves>({ queryKey: keys.shelves, queryFn: ({ signal }) => call(api.shelves, { signal }), staleTime: 60_000 });

/** As they will be once what waits has been saved. */
export function useShelves() {
  const waiting = useQueue(SHELVES_QUEUE);
  const query = useQuery(shelvesReading);
  const data = useMemo(() => query.data && shownShelves(query.data, waiting), [query.data, waiting]);
  return { ...query, data };
}

export const piecesReading = (asked: Omit<PieceQuery, 'after'>) =>
  infiniteQueryOptions({
    queryKey: [...keys.pieces, asked],
    queryFn: ({ pageParam, signal }) => call(api.pieces, { query: { ...asked, after: pageParam }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });

/** Rows of pieces, newest change first, a page read when it is wanted; as they will be once what waits has been saved. */
export function usePieceRows(asked: Omit<PieceQuery, 'after'>) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const entries = useEntries();
  const query = useInfiniteQuery({ ...piecesReading(asked), placeholderData: keepPreviousData });
  const { data } = query;
  const { data: shelves } = useShelves();
  const rows = useMemo(() => {
    const read = data?.pages.flatMap((page) => page.pieces);
    const glasses = shelves ? namedGlasses(shelves) : [];
    return read && entries.length > 0
      ? shownRows(read, entries, { queueOf: (entry) => outbox.queueOf(entry), known: (id) => client.getQueryData<Piece>(keys.piece(id)), glasses })
      : read;
  }, [client, outbox, entries, data, shelves]);
  const unseen = (rows?.length ?? 0) - (data?.pages.reduce((sum, page) => sum + page.pieces.length, 0) ?? 0);
  return { ...query, rows, tags: data?.pages[0]?.tags, total: (data?.pages[0]?.total ?? 0) + Math.max(0, unseen) };
}

/** Id of the piece that was worked on last; undefined while it is being read, null where there is none. */
export function useLatestPiece(): string | null | undefined {
  const { rows } = usePieceRows({});
  return rows && (rows[0]?.id ?? null);
}

/** The piece as the server has it; one that it has not seen yet is asked for once it has. */
export const pieceReading = (client: QueryClient, outbox: Outbox, id: string) =>
  queryOptions<Piece>({
    queryKey: keys.piece(id),
    async queryFn({ signal }) {
      await outbox.whenGone(({ name, variables }) => name === 'createPiece' && (variables as { id: string }).id === id);
      const before = client.getQueryData<Piece>(keys.piece(id));
      const read = await call(api.piece, { id, signal });
      // One that was read before a save and comes after its answer is older than what is known. Otherwise the server is right, also where a
      // backup has taken it back to an older version.
      const known = client.getQueryData<Piece>(keys.piece(id));
      return known && known !== before && known.version > read.version ? known : read;
    },
  });

/** The piece as it will be once what waits has been saved; its version is that of the server. */
export function usePiece(id: string) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const waiting = useQueue(pieceQueue(id));
  // The same as long as nothing changes: another one each time would be drawn for ever.
  const unseen = useMemo(() => newPieceIn(waiting, id), [waiting, id]);
  const query = useQuery({ ...pieceReading(client, outbox, id), placeholderData: () => unseen });
  const data = useMemo(() => query.data && shownPiece(query.data, waiting), [query.data, waiting]);
  return { ...query, data };
}

/** A schedule version never changes. One that waits to be saved comes when it is. */
export const scheduleReading = (outbox: Outbox, id: string) =>
  queryOptions({
    queryKey: keys.schedule(id),
    async queryFn({ signal }) {
      await outbox.whenGone(({ name, variables }) => name === 'saveSchedule' && (variables as { id: string }).id === id);
      return call(api.schedule, { id, signal });
    },
    staleTime: Infinity,
  });

/** While another one is read, the last one stays. */
export function useSchedule(id: string | null | undefined) {
  const outbox = useOutbox();
  return useQuery({ ...scheduleReading(outbox, id ?? ''), enabled: Boolean(id), placeholderData: keepPreviousData });
}

/** Those of several schedules that are read by now; the same list until another comes. */
export function useSchedules(ids: readonly string[]): readonly Schedule[] {
  const outbox = useOutbox();
  return useQueries({ queries: ids.map((id) => scheduleReading(outbox, id)), combine: readOnes });
}

const readOnes = (queries: readonly { data?: Schedule }[]): Schedule[] => queries.flatMap(({ data }) => data ?? []);

/** Pieces that can go into one load with what is fired by a schedule. */
export function useAlike(scheduleId: string) {
  const outbox = useOutbox();
  return useQuery({
    queryKey: ['alike', scheduleId],
    async queryFn({ signal }) {
      await outbox.whenGone(({ name, variables }) => name === 'saveSchedule' && (variables as { id: string }).id === scheduleId);
      return call(api.alike, { id: scheduleId, signal });
    },
    staleTime: 0,
  });
}

export const useVersions = (pieceId: string, wanted: boolean) =>
  useQuery({ queryKey: keys.versions(pieceId), queryFn: ({ signal }) => call(api.versions, { id: pieceId, signal }), enabled: wanted });
