/**
 * The lay-up of an open piece: shown at once as it is edited, saved as it is made. Several presses of one stepper become
 * one change; what cannot be saved waits, and undo waits for what is being saved.
 */
import type { Edited, Outcome, Problem } from '@torvin/core';
import type { Piece, PieceDoc } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { problemOfError } from '@/data/client';
import { adoptPiece, useSavePiece, useUndo } from '@/data/pieces';
import { staleCurrent } from './stale';

interface Change {
  /** Changes of one key in a row are one. */
  key: string;
  name: string;
  doc: PieceDoc;
  what: string;
}

export interface Layup {
  /** The piece as shown: what the server has, with what is not saved yet. */
  name: string;
  doc: PieceDoc;
  saving: boolean;
  problem: Problem | null;
  /** The piece as someone else saved it meanwhile. */
  elsewhere: Piece | null;
  undo: string | null;
  redo: string | null;
  /** Shows an edit and saves it; a refused one is said. key: further edits of the same key join it while it waits; name: a new one. */
  edit(outcome: Outcome<Edited>, key?: string, name?: string): void;
  /** Resolves once everything shown has been saved; with null where it could not be. */
  settled(): Promise<Piece | null>;
  goBack(): void;
  goForth(): void;
  takeTheirs(): void;
  keepMine(): void;
  retry(): void;
}

const REST_BEFORE_SAVING_MS = 400;

export function useLayup(piece: Piece): Layup {
  const client = useQueryClient();
  const save = useSavePiece(piece.id);
  const travel = useUndo(piece.id);
  const [waiting, setWaiting] = useState<readonly Change[]>([]);
  const [saving, setSaving] = useState(false);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [elsewhere, setElsewhere] = useState<Piece | null>(null);

  const queue = useRef<Change[]>([]);
  const running = useRef<Promise<Piece | null> | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  /** The state of the server that the next save is based on: what this tab saw when the edits began, then its own saves. */
  const base = useRef(piece);
  if (queue.current.length === 0 && running.current === null && piece.version >= base.current.version) base.current = piece;

  const refuse = useCallback((error: unknown): void => {
    const current = staleCurrent(error);
    if (current) setElsewhere(current);
    else setProblem(problemOfError(error));
  }, []);

  /** Saves what waits, one change after the other; the last one stays while it is still resting. */
  const work = useCallback((): Promise<Piece | null> => {
    running.current ??= (async () => {
      setSaving(true);
      try {
        while (queue.current.length > (timer.current === null ? 0 : 1)) {
          const [{ name, doc, what }] = queue.current;
          base.current = await save.mutateAsync({ name, doc, what, version: base.current.version });
          queue.current = queue.current.slice(1);
          setWaiting(queue.current);
        }
        setProblem(null);
        return base.current;
      } catch (error) {
        refuse(error);
        return null;
      } finally {
        running.current = null;
        setSaving(false);
      }
    })();
    return running.current;
  }, [save, refuse]);

  const flush = useCallback(async (): Promise<Piece | null> => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    await running.current;
    return work();
  }, [work]);

  // Neither leaving the page nor closing the tab loses what is not saved yet. There is time for one request: it carries
  // the last state, on top of the one that is on its way.
  const leave = useRef(() => undefined as void);
  leave.current = () => {
    const last = queue.current.at(-1);
    if (!last || (running.current && queue.current.length === 1)) return;
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    const { name, doc, what } = last;
    const version = base.current.version + (running.current ? 1 : 0);
    queue.current = [];
    save.mutate({ name, doc, what, version });
  };
  useEffect(() => {
    const onHide = (): void => leave.current();
    window.addEventListener('pagehide', onHide);
    return () => {
      window.removeEventListener('pagehide', onHide);
      leave.current();
    };
  }, []);

  const shown = waiting.at(-1) ?? piece;

  function put(change: Change): void {
    const last = queue.current.at(-1);
    // The first of the queue may be on its way already.
    const joins = last?.key === change.key && !(running.current && queue.current.length === 1);
    queue.current = joins ? [...queue.current.slice(0, -1), change] : [...queue.current, change];
    setWaiting(queue.current);
    setProblem(null);
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => void flush(), REST_BEFORE_SAVING_MS);
    // What came before it rests no longer.
    if (queue.current.length > 1) void work();
  }

  async function go(way: 'undo' | 'redo'): Promise<void> {
    const settled = await flush();
    if (!settled) return;
    try {
      base.current = await travel.mutateAsync({ way, version: base.current.version });
    } catch (error) {
      refuse(error);
    }
  }

  const forget = (): void => {
    queue.current = [];
    setWaiting([]);
    setProblem(null);
    setElsewhere(null);
  };

  return {
    name: shown.name,
    doc: shown.doc,
    saving: saving || waiting.length > 0,
    problem,
    elsewhere,
    undo: waiting.at(-1)?.what ?? piece.undo,
    redo: waiting.length > 0 ? null : piece.redo,
    edit(outcome, key, name = shown.name) {
      if (!outcome.ok) return setProblem(outcome.problem);
      const { doc, what } = outcome.value;
      put({ key: key ?? `${what} ${queue.current.length} ${Date.now()}`, name, doc, what });
    },
    settled: flush,
    goBack: () => void go('undo'),
    goForth: () => void go('redo'),
    takeTheirs() {
      if (elsewhere) {
        adoptPiece(client, elsewhere);
        base.current = elsewhere;
      }
      forget();
    },
    keepMine() {
      if (!elsewhere) return;
      base.current = elsewhere;
      // This is about the lay-up alone: schedules that were made elsewhere stay.
      const { steps } = elsewhere.doc;
      queue.current = queue.current.map((change) => ({ ...change, doc: { ...change.doc, steps } }));
      setElsewhere(null);
      void flush();
    },
    retry() {
      setProblem(null);
      void flush();
    },
  };
}
