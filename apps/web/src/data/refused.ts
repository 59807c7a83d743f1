/** Saves that waited, were sent when the page they were made on was gone, and were refused: kept until the person has decided. */
import { useSyncExternalStore } from 'react';
import type { Problem } from '@torvin/core';
import { v7 as uuid } from 'uuid';
import { readStored, writeStored } from './storage';

export interface Refused {
  id: string;
  name: string;
  variables: unknown;
  problem: Problem;
  /** The version that stands on the server, where somebody else saved first. */
  currentVersion: number | null;
}

/**
 * The way in which a refused save can still go: an outdated start as it is, a stale one over what stands, any other once more
 * when what stood in its way is gone.
 */
export function wayOn({ name, problem, currentVersion }: Pick<Refused, 'name' | 'problem' | 'currentVersion'>): 'asItIs' | 'mine' | 'again' {
  if (name === 'recordFiring' && problem.code === 'outdated') return 'asItIs';
  return currentVersion === null ? 'again' : 'mine';
}

const KEY = 'torvin-refused';
const listeners = new Set<() => void>();
let list: readonly Refused[] | null = null;

const read = (): readonly Refused[] => (list ??= readStored<Refused[]>('localStorage', KEY) ?? []);

function write(next: readonly Refused[]): void {
  list = next;
  writeStored('localStorage', KEY, next.length === 0 ? null : next);
  for (const listener of listeners) listener();
}

/** What a save is of: every save of it carries the whole of it, so that only the newest counts. */
function subjectOf({ name, variables }: Pick<Refused, 'name' | 'variables'>): string {
  const { id, record } = variables as { id?: string; record?: { id: string } };
  return `${name} ${record?.id ?? id ?? ''}`;
}

export const addRefused = (one: Omit<Refused, 'id'>): void =>
  write([...read().filter((earlier) => subjectOf(earlier) !== subjectOf(one)), { id: uuid(), ...one }]);

/** It was tried again and refused again, perhaps for another reason. */
export const refuseAgain = (id: string, why: Pick<Refused, 'problem' | 'currentVersion'>): void =>
  write(read().map((one) => (one.id === id ? { ...one, ...why } : one)));

export const dropRefused = (id: string): void => write(read().filter((one) => one.id !== id));

export const useRefused = (): readonly Refused[] =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);
