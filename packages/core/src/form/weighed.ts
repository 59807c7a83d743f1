/** What the scale says of a mould or former that has been fired again and again. */
import type { Units } from '../units/convert';
import { formatMass, text } from '../units/format';

/** Nearer than this share a scale and the damp of the day tell nothing. */
const TOLD_FROM = 0.005;

/** new_kg: dry, before its first firing; now_kg: dry, weighed last. Null where one of them was not weighed. */
export function weighedWords(new_kg: number | undefined, now_kg: number | undefined, units: Units): string | null {
  if (new_kg === undefined || now_kg === undefined) return null;
  const weighs = `It weighs ${text(formatMass(now_kg, units.mass))}`;
  const off = now_kg / new_kg - 1;
  if (Math.abs(off) < TOLD_FROM) return `${weighs}, as when it was new.`;
  const share = `${(100 * Math.abs(off)).toFixed(1)} %`;
  return off < 0
    ? `${weighs}, ${share} less than new: what is gone held its grains together, so it is weaker than it looks. Ring it before it goes in again.`
    : `${weighs}, ${share} more than new: it has drunk water, or carries old release. Dry it and rub it back, then weigh it again.`;
}
