/** The list of pieces. */
import { namedGlasses } from '@torvin/core/piece';
import type { Piece, PieceQuery } from '@torvin/schema';
import { keepPreviousData, useInfiniteQuery, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { shownRows } from '@/outbox/shownRows';
import { useEntries, useOutbox } from '@/outbox/useOutbox';
import { keys } from '@/outside/keys';
import { piecesReading, useShelves } from './pieces';

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
