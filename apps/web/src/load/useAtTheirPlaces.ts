/** A load composed at the places where its pieces lie, in a kiln whose record says how these differ; elsewhere as it was. */
import type { Answered, Asked } from '@torvin/core/engine';
import { hotterAt } from '@torvin/core/kiln';
import type { Problem } from '@torvin/core/problem';
import type { Kiln } from '@torvin/schema';
import { useMemo } from 'react';
import { useComputed } from '@/engine/useComputed';
import { type Arranged, shelvesOf } from './useArranged';

type Load = Answered<'load'>;

export interface AtTheirPlaces {
  load: Load | null;
  /** Of each piece, by how much its place is hotter than the middle, K. */
  hotter_K: readonly number[];
  /** False while it is calculated for where they lie by now. */
  isFresh: boolean;
  problem: Problem | null;
}

/** Closer is the same, K. */
const STEP_K = 0.1;

/** inMiddle: with all of them in the middle of the kiln; what they become hardly depends on their places, so they are arranged by it. */
export function useAtTheirPlaces(inMiddle: Load | null, asked: Asked<'load'> | null, { places, room }: Arranged, kiln: Kiln | undefined): AtTheirPlaces {
  const hotter_K = useMemo(() => {
    const placed = places?.placed ?? [];
    const all = inMiddle?.entries.map(() => 0) ?? [];
    for (const { item, ...lies } of placed) all[item] = STEP_K * Math.round(hotterAt(kiln ?? {}, room, { ...lies, shelves: shelvesOf(placed) }) / STEP_K);
    return all;
  }, [places, room, kiln, inMiddle]);
  const differs = hotter_K.some((one) => one !== 0);
  const there = useMemo(
    () => (inMiddle && asked && differs ? { ...asked, entries: asked.entries.map((entry, i) => ({ ...entry, hotter_K: hotter_K[i] })) } : null),
    [inMiddle, asked, differs, hotter_K],
  );
  const { value, stale, problem } = useComputed('load', there);
  // Where they lie is kept with their schedules: it is waited for.
  if (!there) return { load: inMiddle, hotter_K, isFresh: room === null || places !== null, problem: null };
  // Of the same pieces elsewhere: shown until they are calculated anew, and not saved.
  const isOfThese =
    value?.entries.length === inMiddle?.entries.length && value?.entries.every(({ name, mass_kg }, i) => isSameBody(inMiddle, i, name, mass_kg));
  return { load: value && (!stale || isOfThese) ? value : null, hotter_K, isFresh: !stale && value !== undefined, problem: stale ? null : problem };
}

const isSameBody = (load: Load | null, i: number, name: string, mass_kg: number): boolean =>
  load?.entries[i].name === name && load.entries[i].mass_kg === mass_kg;
