/** What screens see of the outbox. */
import type { Problem } from '@torvin/core/problem';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useServerAnswers } from '@/outside/useServerAnswers';
import type { Answers, SaveName, Variables } from './kinds';
import { outboxOf } from './make';
import { type Entry, type Outbox, type Refusal, isConflict } from './outbox';

export const useOutbox = (): Outbox => outboxOf(useQueryClient());

export function useEntries(): readonly Entry[] {
  const outbox = useOutbox();
  return useSyncExternalStore(outbox.subscribe, outbox.entries);
}

const NONE: readonly Entry[] = [];

/** What of a queue has not arrived yet, oldest first. */
export function useQueue(queue: string): readonly Entry[] {
  const outbox = useOutbox();
  const entries = useEntries();
  return useMemo(() => {
    const own = entries.filter((entry) => outbox.queueOf(entry) === queue);
    return own.length === 0 ? NONE : own;
  }, [outbox, entries, queue]);
}

export interface QueueState<S> {
  saving: boolean;
  /** Why the oldest that was refused was refused, other than for what stands. */
  problem: Problem | null;
  /** It was deleted elsewhere meanwhile: takeTheirs leaves it so, keepMine brings it back with what was changed here. */
  gone: boolean;
  /** What somebody else saved meanwhile. */
  elsewhere: S | null;
  takeTheirs(): void;
  keepMine(): void;
  /** Sends what was refused once more. */
  retry(): void;
}

/** For a page that shows a queue, and with it what was refused. */
export function useShownQueue<S>(queue: string): QueueState<S> {
  const outbox = useOutbox();
  const entries = useQueue(queue);
  useEffect(() => outbox.claim(queue), [outbox, queue]);
  const refused = entries.find((entry) => entry.refused);
  const refusal = refused?.refused;
  const stale = refusal?.problem.code === 'stale' && refusal.current !== undefined;
  const gone = refusal?.problem.code === 'deleted';
  return {
    saving: entries.length > 0,
    problem: refusal && !stale && !gone ? refusal.problem : null,
    gone,
    elsewhere: stale ? (refusal.current as S) : null,
    takeTheirs: () => refused && outbox.discard(refused.id),
    keepMine: () => refused && (gone ? outbox.bringBackWithMine(refused.id) : outbox.mineOverTheirs(refused.id)),
    retry: () => refused && outbox.again(refused.id),
  };
}

export interface Saving<N extends SaveName> {
  /** on: the version of what the person was looking at; then: once it has arrived, if the page is still there. */
  save(variables: Variables[N], options?: { on?: number; id?: string; then?(answer: Answers[N]): void; otherwise?(): void }): void;
  saving: boolean;
  /** It waits for a server that does not answer. */
  held: boolean;
  refusal: Refusal | null;
  /** What was put last. */
  last: Variables[N] | null;
  /** What this form left refused when it was open before, and whose word is still to be said. */
  left: Variables[N] | null;
  /** Lets go of what was refused: what stands elsewhere stands. */
  discard(): void;
  /** Brings back what was deleted elsewhere, with what was changed here. */
  bringBack(then: () => void): void;
}

/** What a page has put and tells of itself while it is there; when it has gone the header does. */
export function useOwn(): { put(id: string): void; isHere(): boolean } {
  const outbox = useOutbox();
  const here = useRef(true);
  const ids = useRef<string[]>([]);
  useEffect(() => {
    here.current = true;
    const put = ids.current;
    return () => {
      here.current = false;
      put.forEach((id) => outbox.release(id));
    };
  }, [outbox]);
  return useMemo(() => ({ put: (id: string) => void ids.current.push(id), isHere: () => here.current }), []);
}

/** For a form or a button that says itself what became of its save. of: which saves are of the thing that it is about. */
export function useSave<N extends SaveName>(name: N, of?: (variables: Variables[N]) => boolean): Saving<N> {
  const outbox = useOutbox();
  const entries = useEntries();
  const answers = useServerAnswers();
  const [left] = useState(() =>
    of ? outbox.entries().find((entry) => entry.name === name && entry.refused && isConflict(entry.refused) && of(entry.variables as Variables[N])) : undefined,
  );
  const [refusal, setRefusal] = useState<Refusal | null>(left?.refused ?? null);
  const [last, setLast] = useState<{ id: string; variables: Variables[N] } | null>(left ? { id: left.id, variables: left.variables as Variables[N] } : null);
  const own = useOwn();
  useEffect(() => {
    if (!left) return;
    outbox.take(left.id);
    own.put(left.id);
  }, [outbox, own, left]);
  const saving = entries.some(({ id, refused }) => id === last?.id && !refused);
  return {
    saving,
    held: saving && !answers,
    refusal,
    last: last?.variables ?? null,
    left: left ? (left.variables as Variables[N]) : null,
    discard() {
      setRefusal(null);
      if (last) outbox.discard(last.id);
    },
    bringBack(then) {
      setRefusal(null);
      if (!last) return;
      outbox.bringBackWithMine(last.id);
      void outbox
        .whenGone(({ id }) => id === last.id)
        .then(() => {
          if (!own.isHere()) return;
          const refused = outbox.entries().find((entry) => entry.id === last.id)?.refused;
          if (refused) setRefusal(refused);
          else then();
        });
    },
    save(variables, { on, id: named, then, otherwise } = {}) {
      setRefusal(null);
      const { id, arrival } = outbox.put(name, variables, {
        ...{ own: true, instead: last?.id },
        ...(on === undefined ? {} : { on }),
        ...(named === undefined ? {} : { id: named }),
      });
      own.put(id);
      setLast({ id, variables });
      void arrival.then((arrived) => {
        if (!own.isHere()) return;
        if (arrived.ok) return then?.(arrived.answer as Answers[N]);
        setRefusal(arrived);
        otherwise?.();
      });
    },
  };
}
