/** Pieces and their schedules. */
import { type Piece, type PieceQuery, type Schedule, type Shelves, asks } from '@torvin/schema';
import { type QueryClient, infiniteQueryOptions, keepPreviousData, queryOptions, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import type { Outbox } from '@/outbox/outbox';
import { useMemo } from 'react';
import { SHELVES_QUEUE, pieceQueue } from '@/outbox/kinds';
import { newPieceIn, shownPiece, shownShelves } from '@/outbox/shown';
import { useOutbox, useQueue } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';
import { useStudio } from './studio';

export const shelvesReading = queryOptions<Shelves>({ queryKey: keys.shelves, queryFn: ({ signal }) => call(asks.shelves, { signal }), staleTime: 60_000 });

/** As they will be once what waits has been saved. */
export function useShelves() {
  const waiting = useQueue(SHELVES_QUEUE);
  const query = useQuery(shelvesReading);
  const { limits } = useStudio();
  const data = useMemo(() => {
    const shelves = query.data && shownShelves(query.data, waiting);
    // As they were set here, whether the server has heard of it or not.
    return shelves && limits ? { ...shelves, limits } : shelves;
  }, [query.data, waiting, limits]);
  return { ...query, data };
}

export const piecesReading = (asked: Omit<PieceQuery, 'after'>) =>
  infiniteQueryOptions({
    queryKey: [...keys.pieces, asked],
    queryFn: ({ pageParam, signal }) => call(asks.pieces, { query: { ...asked, after: pageParam }, signal }),
    initialPageParam: null as string | null,
    getNextPageParam: ({ next }) => next,
  });

/** The piece as the server has it; one that it has not seen yet is asked for once it has. */
export const pieceReading = (client: QueryClient, outbox: Outbox, id: string) =>
  queryOptions<Piece>({
    queryKey: keys.piece(id),
    async queryFn({ signal }) {
      await outbox.whenGone(({ name, variables }) => name === 'createPiece' && (variables as { id: string }).id === id);
      const before = client.getQueryData<Piece>(keys.piece(id));
      const read = await call(asks.piece, { id, signal });
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
      return call(asks.schedule, { id, signal });
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
      return call(asks.alike, { id: scheduleId, signal });
    },
    staleTime: 0,
  });
}

export const useVersions = (pieceId: string, wanted: boolean) =>
  useQuery({ queryKey: keys.versions(pieceId), queryFn: ({ signal }) => call(asks.versions, { id: pieceId, signal }), enabled: wanted });
