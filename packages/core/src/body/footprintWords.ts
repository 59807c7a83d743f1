/** What an outline is called, with its sizes. */
import type { LengthUnit } from '../units/convert';
import { formatLength, text } from '../units/format';
import { type Footprint, footprintSpan } from './footprint';

export function footprintWords(footprint: Footprint, unit: LengthUnit): string {
  if (footprint.shape === 'disc') return `disc of ${text(formatLength(footprint.diameter_m, unit))}`;
  if (footprint.shape === 'ring') return `ring of ${text(formatLength(footprint.diameter_m, unit))}, ${text(formatLength(footprint.inner_m, unit))} inside`;
  if (footprint.shape === 'polygon') return `outline of ${footprint.corners_m.length} corners, ${text(formatLength(footprintSpan(footprint), unit))} across`;
  const sides = `${formatLength(footprint.width_m, unit).figure} × ${text(formatLength(footprint.length_m, unit))}`;
  return footprint.shape === 'oval' ? `oval of ${sides}` : sides;
}
