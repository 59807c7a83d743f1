/** Figures as they are typed on the piece's forms, held to a range with one sentence for whatever is wrong. */
import type { Outcome } from '@torvin/core/problem';
import {
  type LengthUnit,
  type MassUnit,
  METRIC,
  type Units,
  formatLength,
  formatMass,
  formatStrewn,
  parseLength,
  parseMass,
  parseStrewn,
  text,
  unitsWritten,
} from '@torvin/core/units';
import { GRAIN_RANGE_KG_M2 } from '@torvin/schema';

const outside = (message: string): Outcome<never> => ({ ok: false, problem: { code: 'out-of-range', path: '', message } });

/** A length within a range; a bare number is in the studio's unit. */
export function lengthWithin(typed: string, name: string, least_m: number, most_m: number, unit: LengthUnit): Outcome<number> {
  const length = parseLength(typed, unit);
  const own = unitsWritten(typed, { ...METRIC, length: unit }).length;
  const written = (metres: number): string => text(formatLength(metres, own));
  if (!length.ok) return length;
  if (length.value >= least_m - 1e-9 && length.value <= most_m + 1e-9) return length;
  return outside(`${name} is ${written(length.value)}; it must be from ${written(least_m)} to ${written(most_m)}.`);
}

/** A mass within a range; a bare number is in the studio's unit. */
export function massWithin(typed: string, name: string, least_kg: number, most_kg: number, unit: MassUnit): Outcome<number> {
  const mass = parseMass(typed, unit);
  if (!mass.ok) return mass;
  if (mass.value >= least_kg * (1 - 1e-9) && mass.value <= most_kg * (1 + 1e-9)) return mass;
  const own = unitsWritten(typed, { ...METRIC, mass: unit }).mass;
  const written = (kg: number): string => text(formatMass(kg, own));
  return outside(`${name} weighs ${written(mass.value)}; it must be from ${written(least_kg)} to ${written(most_kg)}.`);
}

/** Grains on an area, kg/m², told by what lies on it or by the mass of all of it. */
export function strewnWithin(typed: string, bare: 'mass' | 'perArea', area_m2: number, units: Units): Outcome<number> {
  const strewn = parseStrewn(typed, bare, units);
  if (!strewn.ok) return strewn;
  const value = 'mass_kg' in strewn.value ? strewn.value.mass_kg / area_m2 : strewn.value.perArea_kg_m2;
  const { least, most } = GRAIN_RANGE_KG_M2;
  if (value >= least * (1 - 1e-9) && value <= most * (1 + 1e-9)) return { ok: true, value };
  const own = unitsWritten(typed, units);
  const written = (kg_m2: number): string => `${text(formatStrewn(kg_m2, own))} (${text(formatMass(kg_m2 * area_m2, own.mass))} in all)`;
  return outside(`That is ${written(value)}; it must be from ${written(least)} to ${written(most)}.`);
}

/** A plain number within a range, with a decimal comma or point. */
export function numberWithin(typed: string, name: string, { least, most }: { least: number; most: number }, kind: 'any' | 'whole' = 'any'): Outcome<number> {
  const written = typed.trim().replace(',', '.');
  const value = written === '' ? Number.NaN : Number(written);
  if (!Number.isFinite(value)) return outside(`Cannot read '${typed.trim()}' as a number; write for example ${least}.`);
  if (kind === 'whole' && !Number.isInteger(value)) return outside(`${name} is ${written}; it must be whole.`);
  if (value < least || value > most) return outside(`${name} is ${written}; it must be from ${least} to ${most}.`);
  return { ok: true, value };
}

/** How far from a side of the piece, which may lie a little beyond either of them. */
export function placeWithin(typed: string, wide_m: number, unit: LengthUnit): Outcome<number> {
  const isNegative = /^\s*[-−]/.test(typed);
  const length = lengthWithin(typed.replace(/^\s*[-−]/, ''), 'The place', 0, isNegative ? wide_m : 2 * wide_m, unit);
  return length.ok && isNegative ? { ok: true, value: -length.value } : length;
}
