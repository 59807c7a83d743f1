/** What may go into one load: the same firing of the same glass in the same kiln, of about the same length. Composing it has the last word. */
import type { ForKiln } from '@torvin/schema';

export interface Suggested {
  pieces: ForKiln[];
  /** The first day that one of them is due: '2026-12-24'; after every day where none is. */
  due: string;
  /** About how long it takes, s: no less than the longest of them. */
  atLeast_s: number;
  /** One after the other, s. */
  apart_s: number;
}

/** So many times the shortest: what takes longer would keep the others waiting. */
const LONGER_AT_MOST = 1.5;
const SHOWN_AT_MOST = 3;
/** After every day. */
const NEVER = '9999';

/** Those first that are due first, then those that spare the kiln most hours. */
export function suggestedLoads(waiting: readonly ForKiln[]): Suggested[] {
  const groups = new Map<string, ForKiln[]>();
  for (const one of waiting.filter(({ damp }) => !damp)) {
    const key = [one.kilnId, one.look, one.familyId].join(' ');
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [...groups.values()]
    .flatMap((group) => inLength([...group].sort((a, b) => a.total_s - b.total_s)))
    .filter(({ length }) => length > 1)
    .map((pieces) => ({
      pieces,
      due: pieces.reduce((first, { dueOn }) => (dueOn !== null && dueOn < first ? dueOn : first), NEVER),
      atLeast_s: Math.max(...pieces.map(({ total_s }) => total_s)),
      apart_s: pieces.reduce((sum, { total_s }) => sum + total_s, 0),
    }))
    .sort((a, b) => a.due.localeCompare(b.due) || b.apart_s - b.atLeast_s - (a.apart_s - a.atLeast_s))
    .slice(0, SHOWN_AT_MOST);
}

/** Cut where one would take much longer than the first of its load; sorted by length. */
function inLength(sorted: readonly ForKiln[]): ForKiln[][] {
  const loads: ForKiln[][] = [];
  for (const one of sorted) {
    const last = loads.at(-1);
    if (last && one.total_s <= LONGER_AT_MOST * last[0].total_s) last.push(one);
    else loads.push([one]);
  }
  return loads;
}
