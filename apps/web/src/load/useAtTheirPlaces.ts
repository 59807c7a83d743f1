/** A load composed at the places where its pieces lie, in a kiln whose record says how these differ; elsewhere as it was. */
import type { Answered, Asked } from '@torvin/core/engine';
import { chamberOf, hotterAt, isUnderShelf, lagAt } from '@torvin/core/kiln';
import { furnitureStores } from '@torvin/core/load';
import type { Problem } from '@torvin/core/problem';
import type { Kiln } from '@torvin/schema';
import { useMemo, useRef } from 'react';
import { useComputed } from '@/engine/useComputed';
import { type Arranged, shelvesOf } from './useArranged';

type Load = Answered<'load'>;

type ItsPlace = Pick<Asked<'load'>['entries'][number], 'hotter_K' | 'lag_s' | 'underShelf'>;

export interface AtTheirPlaces {
  load: Load | null;
  /** Of each piece, by how much its place is hotter than the middle, K. */
  hotter_K: readonly number[];
  /** False while it is calculated for where they lie by now. */
  isFresh: boolean;
  problem: Problem | null;
}

/** Closer is the same, K and s. */
const STEP_K = 0.1;
const STEP_S = 5;

const rounded = (value: number, step: number): number => step * Math.round(value / step);

/** inMiddle: with all of them in the middle of the kiln; what they become hardly depends on their places, so they are arranged by it. */
export function useAtTheirPlaces(
  inMiddle: Load | null,
  asked: Asked<'load'> | null,
  { places, room, clear, problem: unarranged }: Arranged,
  kiln: Kiln | undefined,
): AtTheirPlaces {
  const at = useMemo(() => {
    const placed = places?.placed ?? [];
    const all: ItsPlace[] = inMiddle?.entries.map(() => ({})) ?? [];
    for (const { item, ...lies } of placed) {
      const here = { ...lies, shelves: shelvesOf(placed) };
      const hotter_K = rounded(hotterAt(kiln ?? {}, room, here), STEP_K);
      const lag_s = rounded(lagAt(kiln ?? {}, room, here), STEP_S);
      all[item] = { ...(hotter_K === 0 ? {} : { hotter_K }), ...(lag_s > 0 ? { lag_s } : {}), ...(isUnderShelf(here) ? { underShelf: true } : {}) };
    }
    return all;
  }, [places, room, kiln, inMiddle]);
  const stores = useMemo(() => {
    const chamber_J_K = kiln ? chamberOf(kiln) : null;
    if (chamber_J_K === null || !inMiddle) return null;
    const furniture_J_K =
      room && places
        ? furnitureStores(
            room,
            clear,
            inMiddle.entries.map(({ outline }) => outline),
            places.placed,
          )
        : 0;
    return { chamber_J_K, furniture_J_K };
  }, [kiln, inMiddle, room, places, clear]);
  const differs = stores !== null || at.some((one) => Object.keys(one).length > 0);
  const there = useMemo(
    () =>
      inMiddle && asked && differs ? { ...asked, entries: asked.entries.map((entry, i) => ({ ...entry, ...at[i] })), ...(stores ? { stores } : {}) } : null,
    [inMiddle, asked, differs, at, stores],
  );
  const hotter_K = useMemo(() => at.map((one) => one.hotter_K ?? 0), [at]);
  const { value, stale, problem } = useComputed('load', there);
  const shownBefore = useRef<Load | null>(null);
  // Of the same pieces elsewhere: shown until they are calculated anew, for nothing may move under a finger; said to be so, and not saved.
  const isOfThese =
    value?.entries.length === inMiddle?.entries.length && value?.entries.every(({ name, mass_kg }, i) => isSameBody(inMiddle, i, name, mass_kg));
  const isFresh = there === null ? room === null || places !== null || unarranged !== null : !stale && value !== undefined;
  const here = there === null ? (isFresh ? inMiddle : null) : value && (!stale || isOfThese) ? value : null;
  if (here !== null) shownBefore.current = inMiddle;
  // What was calculated for the middle is shown where it was in sight; at first their places are waited for.
  const load = here ?? (shownBefore.current === inMiddle ? inMiddle : null);
  return { load, hotter_K, isFresh, problem: there === null ? unarranged : stale ? null : problem };
}

const isSameBody = (load: Load | null, i: number, name: string, mass_kg: number): boolean =>
  load?.entries[i].name === name && load.entries[i].mass_kg === mass_kg;
