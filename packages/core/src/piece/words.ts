/** Words for a piece's outline and how it stands, shared by every page that names them. */
import { type Footprint, footprintSpan } from '../body/footprint';
import { SETUP_NAMES } from '../schedule/setups';
import type { LengthUnit } from '../units/convert';
import { formatLength, text } from '../units/format';
import type { PlannedSetUp } from './document';

export function footprintWords(footprint: Footprint, unit: LengthUnit): string {
  if (footprint.shape === 'disc') return `disc of ${text(formatLength(footprint.diameter_m, unit))}`;
  if (footprint.shape === 'polygon') return `outline of ${footprint.corners_m.length} corners, ${text(formatLength(footprintSpan(footprint), unit))} across`;
  const sides = `${formatLength(footprint.width_m, unit).figure} × ${text(formatLength(footprint.length_m, unit))}`;
  return footprint.shape === 'oval' ? `oval of ${sides}` : sides;
}

export const setupWords = ({ kind, paper, wet }: Pick<PlannedSetUp, 'kind' | 'paper' | 'wet'>): string =>
  `${SETUP_NAMES[kind].toLowerCase()}${paper ? ', on fibre paper' : ''}${wet ? `, ${wet}` : ''}`;
