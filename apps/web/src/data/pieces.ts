/** Pieces and their schedules. */
import { type NewPiece, type NewSchedule, type Piece, type PieceChange, type Shelves, api } from '@torvin/schema';
import { type QueryClient, keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client';

export const pieceKey = (id: string) => ['piece', id];
const PIECES = ['pieces'];
const SHELVES = ['shelves'];
const versionsKey = (id: string) => ['versions', id];

export const useShelves = () => useQuery<Shelves>({ queryKey: SHELVES, queryFn: ({ signal }) => call(api.shelves, { signal }), staleTime: 60_000 });

export const usePieces = () => useQuery({ queryKey: PIECES, queryFn: ({ signal }) => call(api.pieces, { signal }) });

export function usePiece(id: string) {
  const client = useQueryClient();
  return useQuery<Piece>({
    queryKey: pieceKey(id),
    queryFn: ({ signal }) => call(api.piece, { id, signal }),
    placeholderData: () => client.getQueryData<Piece[]>(PIECES)?.find((piece) => piece.id === id),
  });
}

/** A schedule version never changes; while another one is read, the last one stays. */
export const useSchedule = (id: string | null | undefined) =>
  useQuery({
    queryKey: ['schedule', id],
    queryFn: ({ signal }) => call(api.schedule, { id: id ?? '', signal }),
    enabled: Boolean(id),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });

export const useVersions = (pieceId: string, wanted: boolean) =>
  useQuery({ queryKey: versionsKey(pieceId), queryFn: ({ signal }) => call(api.versions, { id: pieceId, signal }), enabled: wanted });

/** Takes a piece as the server has it now. */
export function adoptPiece(client: QueryClient, piece: Piece): void {
  client.setQueryData(pieceKey(piece.id), piece);
  void client.invalidateQueries({ queryKey: PIECES });
}

export function useCreatePiece() {
  const client = useQueryClient();
  return useMutation({ mutationFn: (body: NewPiece) => call(api.createPiece, { body }), onSuccess: (piece) => adoptPiece(client, piece) });
}

/** A save carries the version that the person was looking at. */
export function useSavePiece(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: PieceChange) => call(api.savePiece, { id, body }),
    onSuccess: (saved) => adoptPiece(client, saved),
  });
}

/** Takes the last change back, or does it again. */
export function useUndo(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ way, version }: { way: 'undo' | 'redo'; version: number }) =>
      call(way === 'undo' ? api.undoPiece : api.redoPiece, { id, body: { version } }),
    onSuccess: (piece) => adoptPiece(client, piece),
  });
}

export function useDeletePiece() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, version }: Pick<Piece, 'id' | 'version'>) => call(api.deletePiece, { id, body: { version } }),
    onSuccess: (_, { id }) => {
      client.removeQueries({ queryKey: pieceKey(id) });
      client.setQueryData<Piece[]>(PIECES, (pieces) => pieces?.filter((piece) => piece.id !== id));
    },
  });
}

export function useRestorePiece() {
  const client = useQueryClient();
  return useMutation({ mutationFn: (id: string) => call(api.restorePiece, { id, body: {} }), onSuccess: (piece) => adoptPiece(client, piece) });
}

export function useSaveSchedule(id: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (body: NewSchedule) => call(api.saveSchedule, { id, body }),
    onSuccess: (saved) => {
      client.setQueryData(['schedule', saved.schedule.id], saved.schedule);
      adoptPiece(client, saved.piece);
      void client.invalidateQueries({ queryKey: versionsKey(id) });
    },
  });
}

export function useNameSchedule(pieceId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, name }: { id: string; name: string }) => call(api.nameSchedule, { id, body: { name } }),
    onSuccess: (schedule) => {
      client.setQueryData(['schedule', schedule.id], schedule);
      void client.invalidateQueries({ queryKey: versionsKey(pieceId) });
    },
  });
}
