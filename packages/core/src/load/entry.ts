/** What is fired together: each body with what it is to become, where it lies, and what forbids it company. */
import { mainGlass } from '../body/body';
import { emptyFiringOf } from '../schedule/emptyFiring';
import type { FiringCase } from '../schedule/firingCase';
import { NO_CORRECTIONS } from '../learn/corrections';
import { LOOK_NAMES } from '../look/names';
import { type Problem, refused } from '../problem';
import type { TemperatureUnit } from '../units/convert';
import { formatDifference, text } from '../units/format';

export interface LoadEntry {
  name: string;
  firing: FiringCase;
  /** By how much its place is hotter than where the controller's offset was told, K; negative where cooler. */
  hotter_K?: number;
}

export const LOAD_AT_MOST = 24;

/** The offset of the controller that all share, K. */
export const offsetOf = ({ firing: { corrections = NO_CORRECTIONS } }: LoadEntry): number => corrections.offset_K;

/** The firing as this place feels it: only how much hotter it is than the rest is left of the offset. */
export function atItsPlace({ firing, hotter_K = 0 }: LoadEntry): FiringCase {
  return { ...firing, corrections: { ...(firing.corrections ?? NO_CORRECTIONS), offset_K: -hotter_K }, ...(hotter_K === 0 ? {} : { place_K: hotter_K }) };
}

/** Annealing points further apart than this are of another heat range, K. */
const SAME_RANGE_K = 3;

/** The first reason why these cannot be in one kiln at all; null where they can. */
export function cannotShare(entries: readonly LoadEntry[], unit: TemperatureUnit): Problem | null {
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
    if (Math.abs(apart_K) > SAME_RANGE_K) {
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
