/** Words for a piece's outline and its firings, shared by list, page and run sheet. */
import { type Footprint, type LengthUnit, PURPOSES, SETUP_NAMES, footprintSpan, formatLength, text } from '@torvin/core';
import type { Step } from '@torvin/schema';

export function footprintWords(footprint: Footprint, unit: LengthUnit): string {
  if (footprint.shape === 'disc') return `disc of ${text(formatLength(footprint.diameter_m, unit))}`;
  if (footprint.shape === 'polygon') return `outline of ${footprint.corners_m.length} corners, ${text(formatLength(footprintSpan(footprint), unit))} across`;
  const sides = `${formatLength(footprint.width_m, unit).figure} × ${text(formatLength(footprint.length_m, unit))}`;
  return footprint.shape === 'oval' ? `oval of ${sides}` : sides;
}

export const stepName = ({ look }: Pick<Step, 'look'>): string => PURPOSES[look].name;

export const setupWords = ({ kind, paper }: Pick<Step['setup'], 'kind' | 'paper'>): string =>
  `${SETUP_NAMES[kind].toLowerCase()}${paper ? ', on fibre paper' : ''}`;

export const countWords = (count: number, one: string, many: string): string => (count === 1 ? `one ${one}` : `${count} ${many}`);
