/** What is fired together: each body with what it is to become, where it lies, and what forbids it company. */
import { mainGlass } from '../body/body';
import { emptyFiringOf } from '../schedule/emptyFiring';
import type { FiringCase } from '../schedule/firingCase';
import { NO_CORRECTIONS } from '../learn/corrections';
import type { Content } from '../fit/reactions';
import { LOOK_NAMES } from '../look/names';
import { type Problem, refused } from '../problem';
import { underShelf as underAShelf } from '../schedule/setups';
import type { TemperatureUnit } from '../units/convert';
import { formatDifference, text } from '../units/format';

export interface LoadEntry {
  name: string;
  firing: FiringCase;
  /** By how much its place is hotter than where the controller's offset was told, K; negative where cooler. */
  hotter_K?: number;
  /** How far its place runs behind the middle, s. */
  lag_s?: number;
  /** Whether another shelf is over it. */
  underShelf?: boolean;
  /** What of its glass reacts with other glass, or fumes. */
  contents?: readonly Content[];
}

/** What a load is composed in: of the kiln as it was timed, what it stores, and what else stands in it, J/K. */
export interface Stores {
  chamber_J_K: number;
  furniture_J_K?: number;
}

/** What a studio allows. */
export interface Allowed {
  /** Glass of different heat ranges together, each annealed by its own. */
  mixed?: boolean;
}

export const LOAD_AT_MOST = 24;

/** The offset of the controller that all share, K. */
export const offsetOf = ({ firing: { corrections = NO_CORRECTIONS } }: LoadEntry): number => corrections.offset_K;

/** The firing as this place feels it: only how much hotter it is than the rest is left of the offset. */
export function atItsPlace({ firing, hotter_K = 0, lag_s = 0, underShelf = false }: LoadEntry): FiringCase {
  return {
    ...firing,
    ...(underShelf ? { setup: underAShelf(firing.setup) } : {}),
    corrections: { ...(firing.corrections ?? NO_CORRECTIONS), offset_K: -hotter_K },
    ...(hotter_K === 0 ? {} : { place_K: hotter_K }),
    ...(lag_s > 0 ? { placeLag_s: lag_s } : {}),
  };
}

/** Which of them are of one heat range: the annealing point of the first of each range, for each entry, °C. */
export function rangesOf(firings: readonly FiringCase[]): number[] {
  const known: number[] = [];
  return firings.map((firing) => {
    const { annealing_C } = mainGlass(firing.body);
    const same = known.find((one) => Math.abs(one - annealing_C) <= SAME_RANGE_K);
    if (same === undefined) known.push(annealing_C);
    return same ?? annealing_C;
  });
}

/** Annealing points further apart than this are of another heat range, K. */
const SAME_RANGE_K = 3;

/** The first reason why these cannot be in one kiln at all; null where they can. */
export function cannotShare(entries: readonly LoadEntry[], unit: TemperatureUnit, { mixed = false }: Allowed = {}): Problem | null {
  if (entries.length === 0) return refused('empty-load', 'entries', 'A load needs at least one piece.').problem;
  if (entries.length === 1) return null;
  for (const [i, { name, firing }] of entries.entries()) {
    const path = `entries.${i}.firing`;
    if (emptyFiringOf(firing)) {
      const called = LOOK_NAMES[firing.look].toLowerCase();
      return refused('fires-alone', `${path}.look`, `${name}: ${called}. It is fired alone, for water, wax and what burns out settle on the glass beside it.`)
        .problem;
    }
    if (firing.setup.wet) {
      return refused('fires-alone', `${path}.setup.wet`, `${name} is damp. Its water goes onto the glass beside it; dry it first, or fire it alone.`).problem;
    }
    const [{ name: firstName, firing: first }] = entries;
    const apart_K = mainGlass(firing.body).annealing_C - mainGlass(first.body).annealing_C;
    if (!mixed && Math.abs(apart_K) > SAME_RANGE_K) {
      return refused(
        'other-heat-range',
        `${path}.body.glasses`,
        `${name} anneals ${text(formatDifference(Math.abs(apart_K), unit))} ${apart_K > 0 ? 'hotter' : 'cooler'} than ${firstName}: glass of another heat range needs a load of its own.`,
      ).problem;
    }
    if (JSON.stringify(firing.kiln) !== JSON.stringify(first.kiln) || JSON.stringify(firing.controller) !== JSON.stringify(first.controller)) {
      return refused('other-kiln', `${path}.kiln`, `${name} is planned for another kiln or controller than ${firstName}.`).problem;
    }
  }
  return null;
}
