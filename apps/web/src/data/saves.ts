/**
 * The saves that outlive the page: each by a name, so that one that was waiting for the server when the tab was closed can
 * be sent by the next. What a save needs stands in its variables alone.
 */
import {
  type FiringChange,
  type FiringDetail,
  type NewFiring,
  type NewPiece,
  type NewSchedule,
  type Piece,
  type PieceChange,
  type ShelfKind,
  type StripTest,
  type Studio,
  api,
} from '@torvin/schema';
import { type QueryClient, useMutation } from '@tanstack/react-query';
import { type ApiProblem, call } from './client';
import { adoptAnswer, adoptPiece, keys } from './keys';
import { type ShelfRecord, sendRecord } from './shelves';

interface Save<V, D> {
  send(variables: V): Promise<D>;
  /** Takes what the server answered. */
  taken(client: QueryClient, answer: D, variables: V): void;
  /** In a few words, for the list of what waits. */
  what(variables: V): string;
}

const save = <V, D>(parts: Save<V, D>): Save<V, D> => parts;

function forgetFirings(client: QueryClient): void {
  void client.invalidateQueries({ queryKey: keys.firings });
  void client.invalidateQueries({ queryKey: ['versions'] });
  void client.invalidateQueries({ queryKey: keys.loads });
}

const forgetShelves = (client: QueryClient): void => void client.invalidateQueries({ queryKey: keys.shelves });

export const SAVES = {
  createPiece: save({
    send: (body: NewPiece) => call(api.createPiece, { body }),
    taken: (client, piece: Piece) => adoptPiece(client, piece),
    what: ({ name }) => `New piece: ${name}`,
  }),
  savePiece: save({
    send: ({ id, body }: { id: string; body: PieceChange }) => call(api.savePiece, { id, body }),
    taken: (client, piece: Piece) => adoptAnswer(client, piece),
    what: ({ body }) => `${body.name}: ${body.what}`,
  }),
  saveSchedule: save({
    send: ({ id, body }: { id: string; body: NewSchedule }) => call(api.saveSchedule, { id, body }),
    taken(client, { schedule, piece }, { id }) {
      client.setQueryData(keys.schedule(schedule.id), schedule);
      adoptAnswer(client, piece);
      void client.invalidateQueries({ queryKey: keys.versions(id) });
    },
    what: ({ body }) => (body.origin === 'computed' ? 'A computed schedule' : 'A schedule changed by hand'),
  }),
  recordFiring: save({
    send: (body: NewFiring) => call(api.recordFiring, { body }),
    taken: forgetFirings,
    what: ({ note }) => `A firing recorded${note ? `: ${note}` : ''}`,
  }),
  saveFiring: save({
    send: ({ id, body }: { id: string; body: FiringChange }) => call(api.saveFiring, { id, body }),
    taken(client, detail: FiringDetail, { id }) {
      client.setQueryData(keys.firing(id), detail);
      forgetFirings(client);
    },
    what: ({ body: { note } }) => `A firing told${note ? `: ${note}` : ''}`,
  }),
  saveRecord: save({
    send: ({ kind, record }: { kind: ShelfKind; record: ShelfRecord }) => sendRecord(kind, record),
    taken: forgetShelves,
    what: ({ record }) => `On the shelves: ${record.name}`,
  }),
  addStripTest: save({
    send: (body: StripTest) => call(api.addStripTest, { body }),
    taken: forgetShelves,
    what: () => 'A strip test',
  }),
  saveStudio: save({
    send: (body: Studio) => call(api.saveStudio, { body }),
    taken: () => undefined,
    what: () => 'Units and theme',
  }),
};

type Saves = typeof SAVES;
export type SaveName = keyof Saves;
type Sent<N extends SaveName> = Parameters<Saves[N]['send']>[0];
type Answered<N extends SaveName> = Awaited<ReturnType<Saves[N]['send']>>;

/** Makes every named save known to the client, so that one that was kept can be sent without the page it was made on. */
export function teachSaves(client: QueryClient): void {
  for (const [name, { send, taken }] of Object.entries(SAVES) as [SaveName, Save<unknown, unknown>][]) {
    client.setMutationDefaults([name], { mutationFn: send, onSuccess: (answer, variables) => taken(client, answer, variables) });
  }
}

/** Saves of one scope go one after the other. */
export const useNamedSave = <N extends SaveName>(name: N, scope: string) =>
  useMutation<Answered<N>, ApiProblem, Sent<N>>({ mutationKey: [name], scope: { id: scope } });

export const wordsOfSave = (name: unknown, variables: unknown): string | null =>
  typeof name === 'string' && name in SAVES ? (SAVES[name as SaveName] as Save<unknown, unknown>).what(variables) : null;

/** Sends a named save once more, as if its page were open. */
export function sendAgain(client: QueryClient, name: string, variables: unknown): Promise<unknown> {
  return client
    .getMutationCache()
    .build<unknown, Error, unknown, unknown>(client, { mutationKey: [name] })
    .execute(variables);
}

/** The same save, based on the version that stands on the server now. */
export function overTheirs(variables: unknown, version: number): unknown {
  const { body, record, ...rest } = variables as { body?: object; record?: object };
  if (body) return { ...rest, body: 'pieceVersion' in body ? { ...body, pieceVersion: version } : { ...body, version } };
  if (record) return { ...rest, record: { ...record, version } };
  return { ...rest, version };
}
