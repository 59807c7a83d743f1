/**
 * What may go into one load: the same firing of the same glass in the same kiln, of about the same length, with room on one shelf.
 * Composing it has the last word.
 */
import type { Clearances, Room } from '../kiln/inside';
import type { Look } from '../look/names';
import { findRoom } from './arrange';
import { LOAD_AT_MOST } from './entry';
import type { Outline } from './outline';

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
/** Loads that are looked at of each kind of firing: those behind them are due later. */
const TRIED_AT_MOST = 2 * SHOWN_AT_MOST;
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
  for (let tried = 0; rest.length > 1 && tried < TRIED_AT_MOST; tried += 1) {
    const load = filled(rest, inside);
    rest = rest.filter((one) => !load.includes(one));
    if (load.length > 1) loads.push(load);
  }
  return loads;
}

function filled<T extends Waits>([first, ...others]: readonly T[], inside: ReturnType<Insides>): T[] {
  const load = [first];
  let inVain = 0;
  for (const one of others) {
    const lengths = [...load, one].map(({ total_s }) => total_s);
    if (Math.max(...lengths) > LONGER_AT_MOST * Math.min(...lengths)) continue;
    if (load.length === LOAD_AT_MOST || inVain === FULL_AFTER) break;
    const outlines = [...load, one].map(({ outline }) => outline);
    if (inside === null || findRoom(outlines, inside.room, inside.clear)) load.push(one);
    else inVain += 1;
  }
  return load;
}
