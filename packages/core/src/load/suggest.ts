/**
 * What may go into one load: the same firing of the same glass in the same kiln, of about the same length, with room on one shelf.
 * Composing it has the last word.
 */
import type { Clearances, Room } from '../kiln/inside';
import type { Look } from '../look/names';
import { findRoom, placeBeside } from './arrange';
import { LOAD_AT_MOST } from './entry';
import type { Outline, Placed } from './outline';

/** A piece that waits for its kiln. */
export interface Waits {
  look: Look;
  kilnId: string;
  familyId: string | null;
  /** It is fired alone. */
  damp: boolean;
  /** By itself, s. */
  total_s: number;
  /** The day to be done by, '2026-12-24'; null where it has none. */
  dueOn: string | null;
  outline: Outline;
}

export interface Suggested<T extends Waits> {
  pieces: T[];
  /** About how long it takes, s: no less than the longest of them. */
  atLeast_s: number;
  /** One after the other, s. */
  apart_s: number;
}

/** Of a kiln, by its id; null where its inside is not known, and room is not asked for. */
export type Insides = (kilnId: string) => { room: Room; clear: Clearances } | null;

/** So many times the shortest: what takes longer would keep the others waiting. */
const LONGER_AT_MOST = 1.5;
const SHOWN_AT_MOST = 3;
/** So many that find no room one after the other, and a load counts as full. */
const FULL_AFTER = 6;
/** After every day. */
const NEVER = '9999';

const dueOf = (pieces: readonly Waits[]): string => pieces.reduce((first, { dueOn }) => (dueOn !== null && dueOn < first ? dueOn : first), NEVER);

/** Those first that are due first, then those that spare the kiln most hours. */
export function suggestedLoads<T extends Waits>(waiting: readonly T[], insideOf: Insides): Suggested<T>[] {
  const groups = new Map<string, T[]>();
  for (const one of waiting.filter(({ damp }) => !damp)) {
    const key = [one.kilnId, one.look, one.familyId].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  const spares = ({ apart_s, atLeast_s }: Suggested<T>): number => apart_s - atLeast_s;
  return [...groups.values()]
    .flatMap((group) => loadsOf(group, insideOf(group[0].kilnId)))
    .map((pieces) => ({
      pieces,
      atLeast_s: Math.max(...pieces.map(({ total_s }) => total_s)),
      apart_s: pieces.reduce((sum, { total_s }) => sum + total_s, 0),
    }))
    .sort((a, b) => dueOf(a.pieces).localeCompare(dueOf(b.pieces)) || spares(b) - spares(a))
    .slice(0, SHOWN_AT_MOST);
}

/** One load after the other, each begun by what is due first, else by the shortest; filled with what takes about as long and finds room. */
function loadsOf<T extends Waits>(group: readonly T[], inside: ReturnType<Insides>): T[][] {
  let rest = [...group].sort((a, b) => dueOf([a]).localeCompare(dueOf([b])) || a.total_s - b.total_s);
  const loads: T[][] = [];
  while (rest.length > 1 && loads.length < SHOWN_AT_MOST) {
    const load = filled(rest, inside);
    rest = rest.filter((one) => !load.includes(one));
    if (load.length > 1) loads.push(load);
  }
  return loads;
}

function filled<T extends Waits>([first, ...others]: readonly T[], inside: ReturnType<Insides>): T[] {
  const shelf = inside && shelfOf(inside);
  const load = [first];
  // Too large for the shelf, it is for a hand to see to.
  if (shelf?.takes(first) === false) return load;
  let inVain = 0;
  for (const one of others) {
    const lengths = [...load, one].map(({ total_s }) => total_s);
    if (Math.max(...lengths) > LONGER_AT_MOST * Math.min(...lengths)) continue;
    if (load.length === LOAD_AT_MOST || inVain === FULL_AFTER) break;
    if (shelf === null || shelf.takes(one)) load.push(one);
    else inVain += 1;
  }
  // Placed as they came; whoever arranges them begins with the largest.
  while (inside && load.length > 1 && !findRoom(outlines(load), inside.room, inside.clear)) load.pop();
  return load;
}

const outlines = (pieces: readonly Waits[]): Outline[] => pieces.map(({ outline }) => outline);

/** One after the other is put beside those that lie there. */
function shelfOf({ room, clear }: NonNullable<ReturnType<Insides>>) {
  const items: Outline[] = [];
  const placed: Placed[] = [];
  return {
    takes({ outline }: Waits): boolean {
      const place = placeBeside([...items, outline], items.length, placed, room, clear);
      if (!place) return false;
      items.push(outline);
      placed.push(place);
      return true;
    },
  };
}
