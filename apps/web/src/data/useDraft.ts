/** What was typed into a form and not saved: kept in the browser, offered when the form is opened again, for a month. */
import { useCallback, useMemo, useRef, useState } from 'react';
import { useFormUnits, useUnits } from './FormUnits';
import { type Draft, DRAFT_PREFIX } from '@/outbox/drafts';
import { readStored, removeStored, writeStored } from '@/outside/storage';
import { isSame } from '@/outbox/merge';

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

/** form: names the form and what it is of. base: what it is filled from, where that can be changed elsewhere. */
export function useDraft<T>(form: string, base?: unknown): Drafting<T> {
  const key = DRAFT_PREFIX + form;
  const [left, setLeft] = useState<{ key: string; draft: Draft<T> | null } | null>(null);
  // Read once for each form; the same component may be of another one by now.
  if (left?.key !== key) setLeft({ key, draft: readStored<Draft<T>>('localStorage', key) });
  const offered = left?.key === key ? left.draft : null;
  const isDone = useRef<string | null>(null);
  const isKept = useRef<string | null>(null);
  const units = useUnits();
  const touch = useFormUnits()?.touch;
  const keep = useCallback(
    (now: T, began: T, saving = false) => {
      if (isDone.current === key) return;
      const isUntouched = isSame(now, began);
      if (saving || (isUntouched && isKept.current === key)) removeStored('localStorage', key);
      else if (
        !isUntouched &&
        writeStored('localStorage', key, { at: Date.now(), values: now, units, ...(base === undefined ? {} : { base }) } satisfies Draft<T>)
      )
        isKept.current = key;
      if (!isUntouched) touch?.();
    },
    [key, units, touch, base],
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
