/**
 * The lay-up of an open piece: shown at once as it is edited, saved as it is made. Several presses of one stepper become
 * one change; what cannot be saved waits, and undo waits for what is being saved.
 */
import type { Edited, Outcome, Problem } from '@torvin/core';
import { type Piece, type PieceDoc, api } from '@torvin/schema';
import { onlineManager, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { call, problemOfError, versionStanding } from '@/data/client';
import { UNDO_NEEDS_SERVER } from '@/data/connection';
import { adoptPiece, expectPiece, keys, unexpectPiece } from '@/data/keys';
import { useSavePiece, useUndo } from '@/data/pieces';
import { addRefused } from '@/data/refused';
import { STALE, staleCurrent } from './stale';

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
  const [problem, setProblem] = useState<Problem | null>(null);
  const [elsewhere, setElsewhere] = useState<Piece | null>(null);

  /** Came back from the server, oldest first. */
  const refused = useRef<Change[]>([]);
  /** On their way, or waiting for the server to answer. */
  const sent = useRef<Change[]>([]);
  /** The newest, while it may still be joined by the next. */
  const resting = useRef<Change | null>(null);
  const arriving = useRef<Promise<unknown>>(Promise.resolve());
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  /** The state of the server that the next save is based on: what this tab saw when the edits began, then its own saves. */
  const base = useRef(piece);
  const nothingWaits = refused.current.length + sent.current.length === 0 && resting.current === null;
  if (nothingWaits && piece.version >= base.current.version) base.current = piece;

  const list = useCallback((): void => {
    setWaiting([...refused.current, ...sent.current, ...(resting.current ? [resting.current] : [])]);
  }, []);

  const refuse = useCallback((error: unknown): void => {
    const current = staleCurrent(error);
    if (current) setElsewhere(current);
    else setProblem(problemOfError(error));
  }, []);

  /** The page has been left: nothing on it can say any more that a save was refused. */
  const gone = useRef(false);
  const keepRefused = useRef((_change: Change, _problem: Problem, _version: number | null) => undefined as void);
  keepRefused.current = ({ name, doc, what }, why, currentVersion) =>
    addRefused({
      name: 'savePiece',
      variables: { id: piece.id, body: { name, doc, what, version: base.current.version } },
      problem: why,
      currentVersion,
    });

  const { mutateAsync: sendSave } = save;
  const send = useCallback(
    (change: Change): void => {
      const { name, doc, what } = change;
      // On top of what this tab last saw; of what it has sent itself, the piece as expected has the version.
      const expected = client.getQueryData<Piece>(keys.piece(piece.id))?.version;
      const version = sent.current.length === 0 || expected === undefined ? base.current.version + sent.current.length : expected;
      sent.current = [...sent.current, change];
      expectPiece(client, piece.id, (now) => ({ ...now, name, doc, version: version + 1, undo: what, redo: null }));
      const rest = (): void => {
        sent.current = sent.current.filter((one) => one !== change);
      };
      const arrival = sendSave({ id: piece.id, body: { name, doc, what, version } }).then(
        (saved) => {
          rest();
          base.current = saved;
          setProblem(null);
        },
        (error: unknown) => {
          rest();
          // Those that were sent on top of a refused one are refused for that reason alone.
          if (refused.current.length === 0) {
            unexpectPiece(client, piece.id, staleCurrent(error));
            refuse(error);
          }
          refused.current = [...refused.current, change];
          if (gone.current) keepRefused.current(change, problemOfError(error), versionStanding(error));
        },
      );
      arriving.current = Promise.all([arriving.current, arrival.then(list)]);
    },
    [client, sendSave, piece.id, refuse, list],
  );

  /** Sends what rests; resolves with the piece when all has arrived, with null where something was refused. */
  const flush = useCallback(async (): Promise<Piece | null> => {
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    const change = resting.current;
    resting.current = null;
    if (change && refused.current.length > 0) refused.current = [...refused.current, change];
    else if (change) send(change);
    list();
    let seen: Promise<unknown> | null = null;
    while (seen !== arriving.current) {
      seen = arriving.current;
      await seen;
    }
    return refused.current.length > 0 ? null : base.current;
  }, [send, list]);

  const sendRefused = (): void => {
    const again = refused.current;
    refused.current = [];
    again.forEach(send);
    void flush();
  };

  // Neither leaving the page nor closing the tab loses what is not saved yet. A tab that closes has time for one request:
  // it carries the last state, on top of the one that is on its way; while the server is silent it is kept instead.
  const leave = useRef((_closing: boolean) => undefined as void);
  leave.current = (closing) => {
    const change = resting.current ?? refused.current.at(-1);
    if (!change) return;
    if (refused.current.length > 0) return keepRefused.current(change, problem ?? STALE, elsewhere?.version ?? null);
    if (!closing || !onlineManager.isOnline()) return void flush();
    if (timer.current) clearTimeout(timer.current);
    timer.current = null;
    resting.current = null;
    const { name, doc, what } = change;
    const version = base.current.version + Math.min(sent.current.length, 1);
    call(api.savePiece, { id: piece.id, body: { name, doc, what, version } }).catch(() => undefined);
  };
  useEffect(() => {
    gone.current = false;
    const onHide = (): void => leave.current(true);
    window.addEventListener('pagehide', onHide);
    return () => {
      window.removeEventListener('pagehide', onHide);
      leave.current(false);
      gone.current = true;
    };
  }, []);

  const shown = waiting.at(-1) ?? piece;

  function put(change: Change): void {
    const before = resting.current;
    if (before && before.key !== change.key) void flush();
    resting.current = change;
    list();
    setProblem(null);
    if (timer.current) clearTimeout(timer.current);
    timer.current = setTimeout(() => void flush(), REST_BEFORE_SAVING_MS);
  }

  async function go(way: 'undo' | 'redo'): Promise<void> {
    if (!onlineManager.isOnline()) return setProblem(UNDO_NEEDS_SERVER);
    const settled = await flush();
    if (!settled) return;
    try {
      base.current = await travel.mutateAsync({ way, version: base.current.version });
    } catch (error) {
      refuse(error);
    }
  }

  const forget = (): void => {
    refused.current = [];
    resting.current = null;
    list();
    setProblem(null);
    setElsewhere(null);
  };

  return {
    name: shown.name,
    doc: shown.doc,
    saving: waiting.length > 0,
    problem,
    elsewhere,
    undo: waiting.at(-1)?.what ?? piece.undo,
    redo: waiting.length > 0 ? null : piece.redo,
    edit(outcome, key, name = shown.name) {
      if (!outcome.ok) return setProblem(outcome.problem);
      const { doc, what } = outcome.value;
      put({ key: key ?? uuid(), name, doc, what });
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
      refused.current = refused.current.map((change) => ({ ...change, doc: { ...change.doc, steps } }));
      setElsewhere(null);
      sendRefused();
    },
    retry() {
      setProblem(null);
      sendRefused();
    },
  };
}
