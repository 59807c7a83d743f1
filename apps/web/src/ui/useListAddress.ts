/**
 * What is searched in a long list, how it is narrowed and where in it one is: all of it stands in the address, so that a reload, the
 * way back and a link sent to oneself lead to the same rows.
 */
import { useGlobalSearchParams, useRouter } from 'expo-router';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';

/** What every list has; row: index of the one at the top. */
export interface ListQuery {
  text: string;
  row: number;
}

type Params = Record<string, string | undefined>;

/** How a list's query stands in the address: what says nothing is left out, so that a bare list has a bare address. */
export interface AddressOf<Q extends ListQuery> {
  from(params: Params): Q;
  /** Every parameter that it may have. */
  params(query: Q): Params;
}

/** Words and row as every list writes them. */
export const textOf = ({ q = '' }: Params): string => q;
export const rowOf = ({ row }: Params): number => {
  const at = Number(row);
  return Number.isInteger(at) && at > 0 ? at : 0;
};
export const listParams = ({ text, row }: ListQuery): Params => ({ q: text.trim() === '' ? undefined : text.trim(), row: row > 0 ? String(row) : undefined });

/** '?q=tray&came=right', or nothing. */
export function searchOf<Q extends ListQuery>({ params }: AddressOf<Q>, query: Q): '' | `?${string}` {
  const entries = Object.entries(params(query)).filter((entry): entry is [string, string] => entry[1] !== undefined);
  return entries.length === 0 ? '' : `?${new URLSearchParams(entries).toString()}`;
}

/** A finger that types or scrolls is let finish. */
const SETTLES_MS = 300;

export interface ListAddress<Q extends ListQuery> {
  query: Q;
  change(part: Partial<Q>): void;
  /** The row that has come to the top: written down once the finger rests, drawing nothing anew meanwhile. */
  passed(row: number): void;
  /** What stands in the address now, for links. */
  search: '' | `?${string}`;
}

/** What the address asks for; the same as long as that does not change. of: must keep its identity between renders. */
export function useAsked<Q extends ListQuery>(of: AddressOf<Q>): Q {
  const given = JSON.stringify(useGlobalSearchParams());
  return useMemo(() => of.from(JSON.parse(given) as Params), [of, given]);
}

/** of: must keep its identity between renders. */
export function useListAddress<Q extends ListQuery>(of: AddressOf<Q>): ListAddress<Q> {
  const router = useRouter();
  const asked = useAsked(of);
  const address = searchOf(of, asked);
  const [query, setQuery] = useState(asked);
  // What this pane wrote, from the address that it last saw on: any other came from outside, by the way back or a link. Where the page is
  // slow, more than one is on its way.
  const written = useRef([address]);
  useEffect(() => {
    const own = written.current.lastIndexOf(address);
    written.current = own < 0 ? [address] : written.current.slice(own);
    if (own < 0) setQuery(asked);
  }, [address, asked]);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const write = useCallback(
    (next: Q): void => {
      clearTimeout(timer.current);
      timer.current = setTimeout(() => {
        if (searchOf(of, next) === written.current.at(-1)) return;
        written.current.push(searchOf(of, next));
        router.setParams(of.params(next) as never);
      }, SETTLES_MS);
    },
    [router, of],
  );
  useEffect(() => write(query), [query, write]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return { query, change: (part) => setQuery((now) => ({ ...now, ...part })), passed: (row) => write({ ...query, row }), search: address };
}
