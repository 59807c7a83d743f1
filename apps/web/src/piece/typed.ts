/** Figures as they are typed on the piece's forms, held to a range with one sentence for whatever is wrong. */
import { type LengthUnit, type Outcome, formatLength, parseLength, text } from '@torvin/core';

const outside = (message: string): Outcome<never> => ({ ok: false, problem: { code: 'out-of-range', path: '', message } });

/** A length within a range; a bare number is in the studio's unit. */
export function lengthWithin(typed: string, name: string, least_m: number, most_m: number, unit: LengthUnit): Outcome<number> {
  const length = parseLength(typed, unit);
  const written = (metres: number): string => text(formatLength(metres, unit));
  if (!length.ok) return length;
  if (length.value >= least_m - 1e-9 && length.value <= most_m + 1e-9) return length;
  return outside(`${name} is ${written(length.value)}; it must be from ${written(least_m)} to ${written(most_m)}.`);
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
