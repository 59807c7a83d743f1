/** Several of a list, chosen to be worked on together. */
import { useState } from 'react';

export interface Chosen<T> {
  /** Whether rows are being chosen. */
  on: boolean;
  items: readonly T[];
  has(id: string): boolean;
  begin(): void;
  toggle(item: T): void;
  add(items: readonly T[]): void;
  end(): void;
}

/** of: of which list; those of another one are not chosen in it. */
export function useChosen<T extends { id: string }>(of: string): Chosen<T> {
  const [state, setState] = useState<{ of: string; chosen: ReadonlyMap<string, T> } | null>(null);
  const chosen = state?.of === of ? state.chosen : null;
  const setChosen = (change: (now: ReadonlyMap<string, T>) => ReadonlyMap<string, T>): void =>
    setState((now) => ({ of, chosen: change(now?.of === of ? now.chosen : new Map()) }));
  return {
    on: chosen !== null,
    items: [...(chosen?.values() ?? [])],
    has: (id) => chosen?.has(id) ?? false,
    begin: () => setChosen(() => new Map()),
    toggle: (item) =>
      setChosen((now) => {
        const next = new Map(now);
        if (!next.delete(item.id)) next.set(item.id, item);
        return next;
      }),
    add: (items) => setChosen((now) => new Map([...now, ...items.map((one) => [one.id, one] as const)])),
    end: () => setState(null),
  };
}
