/** What test series found, held against a firing to come: on which side of the range it lies. */
import { LADDER_FACTORS, type LadderFactor } from '../learn/ladder';
import { LOOK_NAMES, type Look } from '../look/names';
import { formatDuration, formatLength, formatStrewn, formatTemperature, type Figure, text } from '../units/format';
import type { Units } from '../units/convert';
import type { FiringCase } from './firingCase';
import { bodyMeasures } from './seriesOf';

/** Where firings of one kind go from short to too far, as they differ in one thing. */
export interface Finding {
  name: string;
  look: Look;
  factor: LadderFactor;
  /** Between these with nine in ten; in the units of learn/ladder. */
  from: number;
  to: number;
  /** Less of it falls short; else more of it does. */
  shortBelow: boolean;
}

export const FACTOR_NAMES: Record<LadderFactor, string> = {
  ...{ temperature: 'top temperature', hold: 'hold', thickness: 'thickness', amount: 'grains', height: 'height' },
};

/** A value of what a series differs in, in the studio's units. */
export function factorFigure(factor: LadderFactor, value: number, units: Units): Figure {
  if (factor === 'temperature') return formatTemperature(value, units.temperature);
  if (factor === 'hold') return formatDuration(value);
  return factor === 'amount' ? formatStrewn(value, units) : formatLength(value, units.length);
}

/** '2.9 to 4.1 mm', the unit once where it is the same. */
export function rangeWords(factor: LadderFactor, from: number, to: number, units: Units): string {
  const [low, high] = [factorFigure(factor, from, units), factorFigure(factor, to, units)];
  return `${low.unit === high.unit ? low.figure : text(low)} to ${text(high)}`;
}

/** Temperature and hold are planned by the firings of a series themselves; of these a plan is told. */
const TOLD: readonly LadderFactor[] = LADDER_FACTORS.filter((factor) => factor !== 'temperature' && factor !== 'hold');

/** A sentence for each finding of its kind that it lies outside of. */
export function findingSentences(firing: FiringCase, findings: readonly Finding[], units: Units): string[] {
  if (firing.body.glasses.length === 0) return [];
  const own = bodyMeasures(firing);
  return findings.flatMap(({ name, look, factor, from, to, shortBelow }) => {
    const value = own[factor];
    if (look !== firing.look || !TOLD.includes(factor) || value === null || (value >= from && value <= to)) return [];
    const fell = value < from === shortBelow ? 'fell short' : 'went too far';
    return [
      `Test series '${name}': a ${LOOK_NAMES[look].toLowerCase()} changes at ${rangeWords(factor, from, to, units)} of ${FACTOR_NAMES[factor]}. Here it is ${text(factorFigure(factor, value, units))}, where it ${fell}.`,
    ];
  });
}
