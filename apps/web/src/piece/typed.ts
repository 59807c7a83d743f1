/** Figures as they are typed on the piece's forms, held to a range with one sentence for whatever is wrong. */
import { type Outcome, formatLength, parseLength, text } from '@torvin/core';

const mm = (metres: number): string => text(formatLength(metres, 'mm'));

const outside = (message: string): Outcome<never> => ({ ok: false, problem: { code: 'out-of-range', path: '', message } });

/** A length within a range. */
export function lengthWithin(typed: string, name: string, least_m: number, most_m: number): Outcome<number> {
  const length = parseLength(typed, 'mm');
  if (!length.ok) return length;
  if (length.value >= least_m - 1e-9 && length.value <= most_m + 1e-9) return length;
  return outside(`${name} is ${mm(length.value)}; it must be from ${mm(least_m)} to ${mm(most_m)}.`);
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
