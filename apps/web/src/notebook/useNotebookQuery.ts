/**
 * What is searched in the Notebook, how it is narrowed and where in the list one is: all of it stands in the address, so that
 * a reload, the way back and a link sent to oneself lead to the same rows.
 */
import { LOOKS, type Look } from '@torvin/core';
import type { FiringQuery } from '@torvin/schema';
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

export interface NotebookQuery {
  text: string;
  look?: Look;
  result?: FiringQuery['result'];
  /** Index of the row at the top. */
  row: number;
}

type Params = Partial<Record<'q' | 'look' | 'came' | 'row', string>>;

const RESULTS = ['short', 'right', 'past', 'open'] as const;
const oneOf = <T extends string>(choices: readonly T[], value: string | undefined): T | undefined => choices.find((choice) => choice === value);

export function queryFrom({ q = '', look, came, row }: Params): NotebookQuery {
  const at = Number(row);
  return { text: q, look: oneOf(LOOKS, look), result: oneOf(RESULTS, came), row: Number.isInteger(at) && at > 0 ? at : 0 };
}

/** Left out where it says nothing, so that a bare Notebook has a bare address. */
export const paramsOf = ({ text, look, result, row }: NotebookQuery): Params => ({
  q: text.trim() === '' ? undefined : text.trim(),
  look,
  came: result,
  row: row > 0 ? String(row) : undefined,
});

/** '?q=tray&came=right', or nothing. */
export function searchOf(query: NotebookQuery): '' | `?${string}` {
  const entries = Object.entries(paramsOf(query)).filter((entry): entry is [string, string] => entry[1] !== undefined);
  return entries.length === 0 ? '' : `?${new URLSearchParams(entries).toString()}`;
}

/** The address of the list as it was searched and narrowed. */
export const useNotebookHref = () => `/notebook${searchOf(queryFrom(useGlobalSearchParams<Params>()))}` as const;

/** A finger that types or scrolls is let finish. */
const SETTLES_MS = 300;

export interface NotebookAddress {
  query: NotebookQuery;
  change(part: Partial<NotebookQuery>): void;
  /** The row that has come to the top: written down once the finger rests, drawing nothing anew meanwhile. */
  passed(row: number): void;
  /** What stands in the address now, for links. */
  search: string;
}

export function useNotebookQuery(): NotebookAddress {
  const router = useRouter();
  const { q, look, came, row } = useGlobalSearchParams<Params>();
  const asked = useMemo(() => queryFrom({ q, look, came, row }), [q, look, came, row]);
  const address = searchOf(asked);
  const [query, setQuery] = useState(asked);
  // What this pane wrote last: any other address came from outside, by the way back or a link.
  const written = useRef(address);
  useEffect(() => {
    if (address === written.current) return;
    written.current = address;
    setQuery(asked);
  }, [address, asked]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const write = useCallback(
    (next: NotebookQuery): void => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        if (searchOf(next) === written.current) return;
        written.current = searchOf(next);
        router.setParams({ q: undefined, look: undefined, came: undefined, row: undefined, ...paramsOf(next) } as never);
      }, SETTLES_MS);
    },
    [router],
  );
  useEffect(() => write(query), [query, write]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return { query, change: (part) => setQuery((now) => ({ ...now, ...part })), passed: (row) => write({ ...query, row }), search: address };
}
