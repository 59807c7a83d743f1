/** What a page of the version before kept waiting, or kept as refused: taken up as saves of this one. */
import { v7 as uuid } from 'uuid';
import { readStored, removeStored, storedKeys } from '@/outside/storage';
import type { Entry } from './outbox';

const WAITING = 'torvin-kept:';
const REFUSED = 'torvin-refused';

interface OldSave {
  name: string;
  variables: { id?: string; body?: Record<string, unknown>; record?: { version: number } } & Record<string, unknown>;
}

/** After so long without a sign of life a tab of that version was taken for closed. */
const GONE_AFTER_MS = 20_000;

interface OldTab {
  at: number;
  mutations: { mutationKey?: string[]; state: { variables: OldSave['variables'] } }[];
}

export function entriesOfOld(tab: string, now: number): Entry[] {
  const tabs = storedKeys(WAITING).flatMap((key) => {
    const left = readStored<OldTab>('localStorage', key);
    if (!left || (key !== WAITING + tab && now - left.at < GONE_AFTER_MS)) return [];
    removeStored('localStorage', key);
    return left.mutations.map(({ mutationKey, state }) => ({ name: mutationKey?.[0] ?? '', variables: state.variables }));
  });
  const refused = readStored<OldSave[]>('localStorage', REFUSED) ?? [];
  removeStored('localStorage', REFUSED);
  return [...refused, ...tabs].map(asEntry);
}

/** Refused saves go once more and are refused anew, which tells what stands now. */
function asEntry({ name, variables }: OldSave): Entry {
  const { body = {}, record } = variables;
  const { version, pieceVersion, ...rest } = body as { version?: number; pieceVersion?: number };
  const on = version ?? pieceVersion ?? record?.version ?? null;
  const entry = (now: unknown): Entry => ({ id: uuid(), name, variables: now, on });
  if (name === 'savePiece') return entry({ id: variables.id, ...rest, before: null });
  if (name === 'saveSchedule') return entry({ pieceId: variables.id, ...rest });
  if (name === 'saveFiring') return entry({ id: variables.id, body: rest, before: null });
  if (name === 'saveRecord') return entry({ ...variables, before: null });
  if (name === 'addStripTest') return { ...entry({ kind: 'stripTests', record: { version: 0, ...variables }, before: null }), name: 'saveRecord' };
  return entry(variables);
}
