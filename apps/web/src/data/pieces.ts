/** Pieces and their schedules. */
import { type Piece, type Shelves, api } from '@torvin/schema';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client';
import { adoptPiece, keys } from './keys';
import { useNamedSave } from './saves';

export const useShelves = () => useQuery<Shelves>({ queryKey: keys.shelves, queryFn: ({ signal }) => call(api.shelves, { signal }), staleTime: 60_000 });

export const usePieces = () => useQuery({ queryKey: keys.pieces, queryFn: ({ signal }) => call(api.pieces, { signal }) });

/** Id of the piece that was worked on last. */
export function useLatestPiece(): string | undefined {
  const { data = [] } = usePieces();
  return data.toSorted((a, b) => b.updatedAt - a.updatedAt).at(0)?.id;
}

export function usePiece(id: string) {
  const client = useQueryClient();
  return useQuery<Piece>({
    queryKey: keys.piece(id),
    queryFn: ({ signal }) => call(api.piece, { id, signal }),
    placeholderData: () => client.getQueryData<Piece[]>(keys.pieces)?.find((piece) => piece.id === id),
  });
}

/** A schedule version never changes; while another one is read, the last one stays. */
export const useSchedule = (id: string | null | undefined) =>
  useQuery({
    queryKey: keys.schedule(id),
    queryFn: ({ signal }) => call(api.schedule, { id: id ?? '', signal }),
    enabled: Boolean(id),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });

export const useVersions = (pieceId: string, wanted: boolean) =>
  useQuery({ queryKey: keys.versions(pieceId), queryFn: ({ signal }) => call(api.versions, { id: pieceId, signal }), enabled: wanted });

/** Changes of one piece, its schedules and its firings go to the server in the order in which they were made. */
const scopeOf = (pieceId: string): string => `piece ${pieceId}`;

export const useCreatePiece = () => useNamedSave('createPiece', 'pieces');

/** A save carries the version that the person was looking at. */
export const useSavePiece = (id: string) => useNamedSave('savePiece', scopeOf(id));

export const useSaveSchedule = (pieceId: string) => useNamedSave('saveSchedule', scopeOf(pieceId));

export const useRecordFiring = (pieceId: string) => useNamedSave('recordFiring', scopeOf(pieceId));

/** Takes the last change back, or does it again. */
export function useUndo(id: string) {
  const client = useQueryClient();
  return useMutation({
    scope: { id: scopeOf(id) },
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
      client.removeQueries({ queryKey: keys.piece(id) });
      client.setQueryData<Piece[]>(keys.pieces, (pieces) => pieces?.filter((piece) => piece.id !== id));
    },
  });
}

export function useRestorePiece() {
  const client = useQueryClient();
  return useMutation({ mutationFn: (id: string) => call(api.restorePiece, { id, body: {} }), onSuccess: (piece) => adoptPiece(client, piece) });
}

export function useNameSchedule(pieceId: string) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id, name }: { id: string; name: string }) => call(api.nameSchedule, { id, body: { name } }),
    onSuccess: (schedule) => {
      client.setQueryData(keys.schedule(schedule.id), schedule);
      void client.invalidateQueries({ queryKey: keys.versions(pieceId) });
    },
  });
}
