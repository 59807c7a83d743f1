/** The offset and the factor of work as a drawing takes them: before, what firings say, now. */
import { PRIOR, WITNESS_ERROR_K } from '@torvin/core/learn';
import type { Learned as Taught } from '@torvin/schema';

export type { Taught };

export interface Said {
  /** Null where it has no end on that side. */
  from: number | null;
  to: number | null;
  leftOut: boolean;
}

export interface Row {
  /** From end to end. */
  scale: readonly [number, number];
  before: readonly [number, number];
  said: Said[];
  now: readonly [number, number];
  middle: number;
}

/** Nine in ten of a normal distribution lie within so many standard deviations. */
export const NINE_IN_TEN = 1.645;
/** So many firings are drawn, the newest. */
export const SHOWN = 12;

const within = (middle: number, sd: number): readonly [number, number] => [middle - NINE_IN_TEN * sd, middle + NINE_IN_TEN * sd];

/** In K: the readings at the glass, each by how well it is read. */
export function offsetRow({ offset_K, offset_sd_K, lessons }: Taught): Row {
  const said = lessons.flatMap(({ lesson: { witness, leftOut } }): Said[] => {
    if (!witness) return [];
    const [from, to] = within(witness.controller_C - witness.glass_C, WITNESS_ERROR_K);
    return [{ from, to, leftOut }];
  });
  return { scale: [-30, 30], before: within(0, PRIOR.offset_sd_K), said, now: within(offset_K, offset_sd_K), middle: offset_K };
}

/** What all looks take, in logarithms; no firing speaks of it alone. */
export function factorRow({ workFactor, workFactor_sd_log }: Taught): Row {
  const middle = Math.log(workFactor);
  return { scale: FACTORS, before: within(0, PRIOR.workFactor_sd_log), said: [], now: within(middle, workFactor_sd_log), middle };
}

/** Of one look: what factor each of its firings would bear if the kiln read true. Short means that more is needed than was done of the least, past that less. */
export function lookRow({ lessons }: Taught, { look, factor, sd_log }: Taught['looks'][number]): Row {
  const said = lessons
    .filter((one) => one.look === look)
    .map(({ result, ofLeast, ofMost, lesson: { leftOut } }): Said => {
      const [least, most] = [Math.log(ofLeast), Math.log(ofMost)];
      if (result === 'short') return { from: least, to: null, leftOut };
      return result === 'past' ? { from: null, to: most, leftOut } : { from: most, to: least, leftOut };
    });
  const middle = Math.log(factor);
  return { scale: FACTORS, before: within(0, PRIOR.look_sd_log), said, now: within(middle, sd_log), middle };
}

const FACTORS = [-1.4, 1.4] as const;

export const heightOf = ({ said }: Row): number => 34 + 7 * Math.min(said.length, SHOWN);

/** Where a value stands on the width, no further out than its ends. */
export const placed = (value: number, { scale: [from, to] }: Row, width: number): number =>
  ((Math.min(Math.max(value, from), to) - from) / (to - from)) * width;
