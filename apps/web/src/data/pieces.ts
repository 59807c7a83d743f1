/** Pieces and their schedules. */
import { type Piece, type Shelves, api } from '@torvin/schema';
import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { SHELVES_QUEUE, pieceQueue } from '@/outbox/kinds';
import { newPieceIn, shownPiece, shownPieces, shownShelves } from '@/outbox/shown';
import { useEntries, useOutbox, useQueue } from '@/outbox/useOutbox';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';

/** As they will be once what waits has been saved. */
export function useShelves() {
  const waiting = useQueue(SHELVES_QUEUE);
  const query = useQuery<Shelves>({ queryKey: keys.shelves, queryFn: ({ signal }) => call(api.shelves, { signal }), staleTime: 60_000 });
  const data = useMemo(() => query.data && shownShelves(query.data, waiting), [query.data, waiting]);
  return { ...query, data };
}

/** As they will be once what waits has been saved. */
export function usePieces() {
  const outbox = useOutbox();
  const entries = useEntries();
  const query = useQuery<Piece[]>({ queryKey: keys.pieces, queryFn: ({ signal }) => call(api.pieces, { signal }) });
  const data = useMemo(
    () => (entries.length === 0 ? query.data : query.data && shownPieces(query.data, entries, (entry) => outbox.queueOf(entry))),
    [outbox, entries, query.data],
  );
  return { ...query, data };
}

/** Id of the piece that was worked on last. */
export function useLatestPiece(): string | undefined {
  const { data = [] } = usePieces();
  return data.toSorted((a, b) => b.updatedAt - a.updatedAt).at(0)?.id;
}

/** The piece as it will be once what waits has been saved; its version is that of the server. */
export function usePiece(id: string) {
  const client = useQueryClient();
  const outbox = useOutbox();
  const waiting = useQueue(pieceQueue(id));
  // The same as long as nothing changes: another one each time would be drawn for ever.
  const unseen = useMemo(() => newPieceIn(waiting, id), [waiting, id]);
  const query = useQuery<Piece>({
    queryKey: keys.piece(id),
    async queryFn({ signal }) {
      await outbox.whenGone(({ name, variables }) => name === 'createPiece' && (variables as { id: string }).id === id);
      const read = await call(api.piece, { id, signal });
      // One that was read before a save and comes after its answer is older than what is known.
      const known = client.getQueryData<Piece>(keys.piece(id));
      return known && known.version > read.version ? known : read;
    },
    placeholderData: () => client.getQueryData<Piece[]>(keys.pieces)?.find((piece) => piece.id === id) ?? unseen,
  });
  const data = useMemo(() => query.data && shownPiece(query.data, waiting), [query.data, waiting]);
  return { ...query, data };
}

/** A schedule version never changes; while another one is read, the last one stays. One that waits to be saved comes when it is. */
export function useSchedule(id: string | null | undefined) {
  const outbox = useOutbox();
  return useQuery({
    queryKey: keys.schedule(id),
    async queryFn({ signal }) {
      await outbox.whenGone(({ name, variables }) => name === 'saveSchedule' && (variables as { id: string }).id === id);
      return call(api.schedule, { id: id ?? '', signal });
    },
    enabled: Boolean(id),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
}

export const useVersions = (pieceId: string, wanted: boolean) =>
  useQuery({ queryKey: keys.versions(pieceId), queryFn: ({ signal }) => call(api.versions, { id: pieceId, signal }), enabled: wanted });
