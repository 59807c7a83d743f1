/** Whose need sets each figure of a load's schedule, by what each body would have had by itself. */
import type { PurposefulSegment, Role } from '../kiln/segment';
import { type Rows, isClimb, rangesAsSoaked, rateIn } from './merge';

/** Which entry sets it; null where all of them ask for the same, or none of them for anything. */
export interface SetBy {
  rate: number | null;
  target: number | null;
  hold: number | null;
}

/** Closer figures are the same, as a share. */
const ALIKE = 0.02;
/** Closer targets are the same, K. */
const ALIKE_K = 3;

/** The one that stands out at the end that counts; null where nobody does. */
function outstanding(values: readonly (number | null)[], end: 'least' | 'most', apart: (one: number, other: number) => boolean): number | null {
  const told = values.flatMap((value, i) => (value === null ? [] : [{ value, i }]));
  if (told.length === 0) return null;
  const first = told.reduce((best, one) => ((end === 'least' ? one.value < best.value : one.value > best.value) ? one : best));
  // Whoever has no such figure stands behind the one who has.
  return told.length < values.length || told.some(({ value }) => apart(value, first.value)) ? first.i : null;
}

const byShare = (one: number, other: number): boolean => Math.abs(one - other) > ALIKE * Math.max(Math.abs(one), Math.abs(other));
const byDegrees = (one: number, other: number): boolean => Math.abs(one - other) > ALIKE_K;

const FOLLOWS: Partial<Record<Role, true>> = { burnOff: true, warmUp: true, firstCool: true, secondCool: true };

/**
 * windows: of the heat work that is right for each, over what it gets; the one that needs most sets the working hold. ranges: of each the range of
 * its glass; each has a soak of its own.
 */
export function setBy(
  segments: readonly PurposefulSegment[],
  rows: readonly Rows[],
  windows: readonly { least: number }[],
  ranges: readonly number[],
): SetBy[] {
  if (rows.length < 2) return segments.map(() => ({ rate: null, target: null, hold: null }));
  const soaking = rangesAsSoaked(rows, ranges);
  return segments.map(({ role }, at) => {
    const soak = segments.slice(0, at).filter((row) => row.role === 'drop').length;
    const isOf = (range: number): boolean => role !== 'drop' || soaking.length < 2 || range === soaking[soak];
    const own = rows.map((one, i) => (isOf(ranges[i]) ? one.find((row) => row.role === role) : undefined));
    // To a soak after the first they cool as to the end of it.
    const rates = rows.map((one) => rateIn(one, role === 'drop' && soak > 0 ? 'firstCool' : role));
    const rate = outstanding(rates, 'least', byShare);
    if (role === 'work') {
      const needs = outstanding(
        windows.map(({ least }) => least),
        'most',
        byShare,
      );
      return { rate, target: needs, hold: needs };
    }
    // How far a way at a pace goes on follows from the pace.
    const targets = FOLLOWS[role] ? [] : own.map((row) => row?.target_C ?? null);
    const holds = own.map((row) => (row && row.hold_s > 0 ? row.hold_s : null));
    return { rate, target: outstanding(targets, isClimb(role) ? 'most' : 'least', byDegrees), hold: outstanding(holds, 'most', byShare) };
  });
}
