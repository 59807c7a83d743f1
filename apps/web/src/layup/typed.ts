/** What is typed of a lay-up beside plain figures: grains on an area, a place from a side. */
import { GRAIN_RANGE_KG_M2 } from '@torvin/core/piece';
import { type Outcome, refused } from '@torvin/core/problem';
import {
  LENGTH,
  type LengthUnit,
  METRIC,
  type Range,
  type Units,
  formatMass,
  formatStrewn,
  parseStrewn,
  readFigure,
  text,
  unitsWritten,
} from '@torvin/core/units';

/** A length within a range; a bare number is in the studio's unit. */
export const readLength = (typed: string, name: string, range: Range, unit: LengthUnit): Outcome<number> =>
  readFigure(typed, { of: LENGTH, name, range }, { ...METRIC, length: unit });

/** Grains on an area, kg/m², told by what lies on it or by the mass of all of it. */
export function strewnWithin(typed: string, bare: 'mass' | 'perArea', area_m2: number, units: Units): Outcome<number> {
  const strewn = parseStrewn(typed, bare, units);
  if (!strewn.ok) return strewn;
  const value = 'mass_kg' in strewn.value ? strewn.value.mass_kg / area_m2 : strewn.value.perArea_kg_m2;
  const { least, most } = GRAIN_RANGE_KG_M2;
  if (value >= least * (1 - 1e-9) && value <= most * (1 + 1e-9)) return { ok: true, value };
  const own = unitsWritten(typed, units);
  const written = (kg_m2: number): string => `${text(formatStrewn(kg_m2, own))} (${text(formatMass(kg_m2 * area_m2, own.mass))} in all)`;
  return refused('out-of-range', '', `That is ${written(value)}; it must be from ${written(least)} to ${written(most)}.`);
}

/** How far from a side of the piece, which may lie a little beyond either of them. */
export function placeWithin(typed: string, wide_m: number, unit: LengthUnit): Outcome<number> {
  const isNegative = /^\s*[-−]/.test(typed);
  const length = readLength(typed.replace(/^\s*[-−]/, ''), 'The place', { least: 0, most: isNegative ? wide_m : 2 * wide_m }, unit);
  return length.ok && isNegative ? { ok: true, value: -length.value } : length;
}
