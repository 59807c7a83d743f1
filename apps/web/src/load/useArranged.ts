/** Where the pieces of a load lie: as they are arranged, or as a hand put them, with what is too near then. */
import type { Answered } from '@torvin/core/engine';
import { type Clearances, type Room, clearancesOf, furnished } from '@torvin/core/kiln';
import { type Clash, type Placed, clashesOf, freeNear } from '@torvin/core/load';
import type { Problem } from '@torvin/core/problem';
import type { Kiln } from '@torvin/schema';
import { useMemo, useState } from 'react';
import type { LoadCase } from './useLoadCases';
import { useComputed } from '@/engine/useComputed';

/** Dropped no further than this from where there is room, it goes there, m. */
const SNAPS_M = 0.012;

/** Where one lies, without its place in a list that changes. */
export type Lies = Omit<Placed, 'item'>;

/** By piece. */
export type OwnPlaces = ReadonlyMap<string, Lies>;

export interface Arranged {
  /** At most, one over the other. */
  shelves: number;
  setShelves(shelves: number): void;
  room: Room | null;
  /** Null while it is calculated, and where the kiln's inside is not known. */
  places: Answered<'arrange'> | null;
  clashes: readonly Clash[];
  /** Why no place was found for anything; null where there is nothing wrong. */
  problem: Problem | null;
  /** A hand has put something. */
  isMoved: boolean;
  clear: Clearances;
  /** To the nearest place that is free where that is close; else there, and what is too near is told. */
  move(to: Placed): void;
  again(): void;
}

/** As many as carry something, and those under them. */
export const shelvesOf = (placed: readonly Pick<Placed, 'shelf'>[]): number => 1 + Math.max(0, ...placed.map(({ shelf }) => shelf));

const NOWHERE: OwnPlaces = new Map();

/** ids: of the pieces, in the order of the load. begun: where they were put before. */
export function useArranged(load: Answered<'load'> | null, ids: readonly string[], kiln: Kiln | undefined, begun: OwnPlaces): Arranged {
  const [chosenShelves, setShelves] = useState<number | null>(null);
  const [put, setOwn] = useState<OwnPlaces | null>(null);
  const clear = useMemo(() => clearancesOf(kiln ?? {}), [kiln]);
  const room = useMemo(() => (load?.room ? furnished(load.room, kiln ?? {}) : null), [load, kiln]);
  const items = useMemo(() => load?.entries.map(({ outline }) => outline) ?? [], [load]);
  const own = put ?? begun;
  const shelves = chosenShelves ?? shelvesOf([...own.values()]);
  const fixed = useMemo(
    () =>
      ids.flatMap((id, item): Placed[] => {
        // Of shelves that are taken away it is arranged anew.
        const lies = own.get(id);
        return lies && lies.shelf < shelves ? [{ item, ...lies }] : [];
      }),
    [ids, own, shelves],
  );
  const isAsked = fixed.length < items.length;
  const asked = useMemo(() => (room && isAsked ? { items, room, shelves, clear, fixed } : null), [isAsked, items, room, shelves, clear, fixed]);
  const { value, stale, problem } = useComputed('arrange', asked);
  const places = useMemo(() => {
    if (!room) return null;
    if (asked && value && !stale) return value;
    // What a hand has put stays in sight while room is looked for beside it.
    return fixed.length === 0
      ? null
      : { placed: fixed, left: items.flatMap((_, i) => (fixed.some(({ item }) => item === i) ? [] : [i])), shelves: shelvesOf(fixed) };
  }, [room, asked, value, stale, fixed, items]);
  const many = places ? shelvesOf(places.placed) : 1;
  const clashes = useMemo(
    () => (places && room && fixed.length > 0 ? clashesOf(items, places.placed, { room, clear, shelves: many }) : []),
    [places, room, fixed, items, clear, many],
  );

  function move(to: Placed): void {
    if (!places || !room) return;
    const { item, ...there } = freeNear(items, to, places.placed, { room, clear, shelves: Math.max(many, to.shelf + 1) }, SNAPS_M) ?? to;
    // From now on the others stay where they are seen.
    const stay = places.placed.map(({ item: other, ...lies }): [string, Lies] => [ids[other], lies]);
    setOwn(new Map([...own, ...stay, [ids[item], there]]));
  }
  return { problem: stale ? null : problem, shelves, setShelves, clear, room, places, clashes, isMoved: own.size > 0, move, again: () => setOwn(NOWHERE) };
}

/** Where those that are in this kiln were put when their load was put together. */
export const putBefore = (cases: readonly LoadCase[] | null, kilnId: string): OwnPlaces =>
  new Map(
    (cases ?? []).flatMap(({ piece, step: { place } }): [string, Lies][] => {
      if (place?.kilnId !== kilnId) return [];
      const { shelf, x_m, y_m, turned } = place;
      return [[piece.id, { shelf, x_m, y_m, turned }]];
    }),
  );
