/** What is searched among the pieces, and whether those that wait are meant, as it stands in the address. */
import { PIECE_SHOWS, PIECE_SORTS, type PieceQuery } from '@torvin/schema';
import { type AddressOf, type ListQuery, listParams, rowOf, searchOf, textOf, useAsked, useListAddress } from '@/ui/useListAddress';

export interface PiecesQuery extends ListQuery {
  waits: boolean;
  show: PieceQuery['show'];
  tag: string | undefined;
  sort: PieceQuery['sort'];
}

const PIECES_ADDRESS: AddressOf<PiecesQuery> = {
  from: (params) => ({
    ...{ text: textOf(params), waits: params.waits === 'yes', row: rowOf(params) },
    show: PIECE_SHOWS.find((show) => show === params.show),
    tag: params.tag,
    sort: PIECE_SORTS.find((sort) => sort === params.sort),
  }),
  params: (query) => ({ ...listParams(query), waits: query.waits ? 'yes' : undefined, show: query.show, tag: query.tag, sort: query.sort }),
};

/** As the server is asked. */
export const asked = ({ text, waits, show, tag, sort }: Omit<PiecesQuery, 'row'>): PieceQuery => ({
  ...(text.trim() === '' ? {} : { text: text.trim() }),
  ...(waits ? { waits: 'yes' } : {}),
  ...(show ? { show } : {}),
  ...(tag ? { tag } : {}),
  ...(sort ? { sort } : {}),
});

export const usePiecesQuery = () => useListAddress(PIECES_ADDRESS);

/** The address of the list as it was searched. */
export const usePiecesHref = () => `/pieces${searchOf(PIECES_ADDRESS, useAsked(PIECES_ADDRESS))}` as const;
