/** What was typed into a form and not saved: kept in the browser, offered when the form is opened again, for a month. */
import { useCallback, useMemo, useRef, useState } from 'react';
import { readStored, removeStored, storedKeys, writeStored } from '@/outside/storage';
import { isSame } from './merge';

const PREFIX = 'torvin-draft:';
const DAY_MS = 24 * 3600e3;
export const DRAFTS_KEPT_MS = 30 * DAY_MS;

export interface Draft<T> {
  at: number;
  values: T;
}

export interface Drafting<T> {
  /** What was left here before, until the person has decided on it. */
  offered: Draft<T> | null;
  /** Keeps what stands in the form now; what it began with is nothing to keep, and nor is what is being saved. */
  keep(now: T, began: T, saving?: boolean): void;
  /** It has been saved. */
  done(): void;
  /** Takes the offer, or throws it away. */
  decide(): void;
}

/** form: names the form and what it is of, and the units in which a bare number in it is meant. */
export function useDraft<T>(form: string): Drafting<T> {
  const key = PREFIX + form;
  const [left, setLeft] = useState<{ key: string; draft: Draft<T> | null } | null>(null);
  // Read once for each form; the same component may be of another one by now.
  if (left?.key !== key) setLeft({ key, draft: readStored<Draft<T>>('localStorage', key) });
  const offered = left?.key === key ? left.draft : null;
  const isDone = useRef<string | null>(null);
  const isKept = useRef<string | null>(null);
  const keep = useCallback(
    (now: T, began: T, saving = false) => {
      if (isDone.current === key) return;
      const isUntouched = isSame(now, began);
      if (saving || (isUntouched && isKept.current === key)) removeStored('localStorage', key);
      else if (!isUntouched && writeStored('localStorage', key, { at: Date.now(), values: now } satisfies Draft<T>)) isKept.current = key;
    },
    [key],
  );
  const done = useCallback(() => {
    isDone.current = key;
    removeStored('localStorage', key);
  }, [key]);
  const decide = useCallback(() => {
    setLeft({ key, draft: null });
    removeStored('localStorage', key);
  }, [key]);
  return useMemo(() => ({ offered, keep, done, decide }), [offered, keep, done, decide]);
}

export function forgetOldDrafts(now: number): void {
  for (const key of storedKeys(PREFIX)) {
    const draft = readStored<Draft<unknown>>('localStorage', key);
    if (!draft || now - draft.at > DRAFTS_KEPT_MS) removeStored('localStorage', key);
  }
}
