/** Which of the panels that belong to no page is open over the places; one at a time. */
import { useSyncExternalStore } from 'react';

let open: string | null = null;
const listeners = new Set<() => void>();

function set(next: string | null): void {
  open = next;
  for (const listener of listeners) listener();
}

export const openShared = (name: string): void => set(name);
export const closeShared = (): void => set(null);

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useShared = (): string | null => useSyncExternalStore(subscribe, () => open);
