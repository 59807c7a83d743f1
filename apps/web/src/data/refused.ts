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

const KEY = 'torvin-refused';
const listeners = new Set<() => void>();
let list: readonly Refused[] | null = null;

const read = (): readonly Refused[] => (list ??= readStored<Refused[]>('localStorage', KEY) ?? []);

function write(next: readonly Refused[]): void {
  list = next;
  writeStored('localStorage', KEY, next.length === 0 ? null : next);
  for (const listener of listeners) listener();
}

export const addRefused = (one: Omit<Refused, 'id'>): void => write([...read(), { id: uuid(), ...one }]);
export const dropRefused = (id: string): void => write(read().filter((one) => one.id !== id));

export const useRefused = (): readonly Refused[] =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, read);
