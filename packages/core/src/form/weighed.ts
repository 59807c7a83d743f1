/** What the scale says of a mould or former that has been fired again and again. */
import type { Units } from '../units/convert';
import { formatMass, text } from '../units/format';
import { type FormMaterialName, isMetal } from './materials';

/** Nearer than this share a scale and the damp of the day tell nothing. */
const TOLD_FROM = 0.005;

export interface Weighed {
  material: FormMaterialName;
  /** Dry, before its first firing. */
  new_kg?: number;
  /** Dry, weighed last. */
  now_kg?: number;
}

/** Null where one of the two was not weighed. */
export function weighedWords({ material, new_kg, now_kg }: Weighed, units: Units): string | null {
  if (new_kg === undefined || now_kg === undefined) return null;
  const weighs = `It weighs ${text(formatMass(now_kg, units.mass))}`;
  const off = now_kg / new_kg - 1;
  if (Math.abs(off) < TOLD_FROM) return `${weighs}, as when it was new.`;
  const share = `${(100 * Math.abs(off)).toFixed(1)} %`;
  if (off > 0)
    return `${weighs}, ${share} more than new: it ${isMetal(material) ? 'carries scale or' : 'has drunk water, or carries'} old release. Dry it and rub it back, then weigh it again.`;
  return `${weighs}, ${share} less than new: ${
    isMetal(material)
      ? 'that went off as scale, its wall is thinner and sags sooner. Look for holes and sharp edges.'
      : 'what is gone held its grains together, so it is weaker than it looks. Ring it before it goes in again.'
  }`;
}
