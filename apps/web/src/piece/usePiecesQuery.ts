/** What is searched among the pieces, and whether those that wait are meant, as it stands in the address. */
import type { PieceQuery } from '@torvin/schema';
import { type AddressOf, type ListQuery, listParams, rowOf, searchOf, textOf, useAsked, useListAddress } from '@/ui/useListAddress';

export interface PiecesQuery extends ListQuery {
  waits: boolean;
}

const PIECES_ADDRESS: AddressOf<PiecesQuery> = {
  from: (params) => ({ text: textOf(params), waits: params.waits === 'yes', row: rowOf(params) }),
  params: (query) => ({ ...listParams(query), waits: query.waits ? 'yes' : undefined }),
};

/** As the server is asked. */
export const asked = ({ text, waits }: Pick<PiecesQuery, 'text' | 'waits'>): PieceQuery => ({
  ...(text.trim() === '' ? {} : { text: text.trim() }),
  ...(waits ? { waits: 'yes' } : {}),
});

export const usePiecesQuery = () => useListAddress(PIECES_ADDRESS);

/** The address of the list as it was searched. */
export const usePiecesHref = () => `/pieces${searchOf(PIECES_ADDRESS, useAsked(PIECES_ADDRESS))}` as const;
