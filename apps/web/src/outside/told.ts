/** One value that all of a page knows, told to whoever shows it. */
import { useSyncExternalStore } from 'react';

export interface Told<T> {
  get(): T;
  set(next: T): void;
  subscribe(listener: () => void): () => void;
}

export function told<T>(first: T): Told<T> {
  let value = first;
  const listeners = new Set<() => void>();
  return {
    get: () => value,
    set(next) {
      if (Object.is(next, value)) return;
      value = next;
      for (const listener of listeners) listener();
    },
    subscribe(listener) {
      listeners.add(listener);
      return () => void listeners.delete(listener);
    },
  };
}

export const useTold = <T>({ subscribe, get }: Told<T>): T => useSyncExternalStore(subscribe, get);
