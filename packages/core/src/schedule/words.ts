/**
 * Says in words what a segment is for, what limits it and what is broken. Temperatures are written in the unit
 * asked for; everything else comes from the readings.
 */
import { bodyFigures } from '../body/body';
import { type TemperatureUnit, differenceIn } from '../units/convert';
import { formatDifference, formatDuration, formatLength, formatRate, formatStress, formatTemperature, text } from '../units/format';
import type { Evaluation, Reading } from './check';
import { type FiringCase, bodyDepth } from './firingCase';
import { soaksLower } from './compose';
import type { PurposefulSegment, Role } from './segment';

export const ROLE_NAMES: Record<Role, string> = {
  warmUp: 'Warm up',
  squeeze: 'Squeeze',
  work: 'Work',
  drop: 'Drop and soak',
  firstCool: 'First cool',
  secondCool: 'Then',
  lastCool: 'Last',
};

/** A few words on why the segment is there, for this body. */
export function whyOf(firing: FiringCase, { role, rate_C_per_h }: Pick<PurposefulSegment, 'role' | 'rate_C_per_h'>): string {
  const depth = text(formatLength(bodyDepth(firing.body), 'mm'));
  switch (role) {
    case 'warmUp':
      return firing.body.joined ? `one solid ${depth} deep, brittle until here` : 'loose sheets, brittle until here';
    case 'squeeze':
      return 'sheets lie down, air leaves before the rim seals';
    case 'work':
      return firing.school.heat === 'cooler' ? 'edges round and level, cooler and longer' : 'edges round and level, hotter and shorter';
    case 'drop':
      return soaksLower(firing) ? `${depth} soaks low, until even and relaxed` : 'soaks until core and skin are one';
    case 'firstCool':
      return 'here a difference would stay as stress';
    case 'secondCool':
      return 'past setting, still thick';
    case 'lastCool':
      return rate_C_per_h === null ? 'the closed kiln cools slower than it may' : 'the kiln would cool faster than it may';
  }
}

/** One reading as a short phrase: 'core to skin 2.6 of 5 °C'. */
export function readingPhrase(reading: Reading, unit: TemperatureUnit): string {
  const { value, allowed } = reading;
  switch (reading.limit) {
    case 'kilnTop':
      return `${text(formatTemperature(value, unit))}, kiln's top ${text(formatTemperature(allowed, unit))}`;
    case 'kilnPace':
      return `${formatRate(value, unit).figure} asked, kiln can do ${text(formatRate(allowed, unit))}`;
    case 'pull':
      return `pull ${formatStress(value).figure} of ${text(formatStress(allowed))}`;
    case 'climbing':
      return `core to skin ${ofDegrees(value, allowed, unit)}`;
    case 'setting':
      return `core to skin ${ofDegrees(value, allowed, unit)}`;
    case 'even':
      return `${formatDifference(value, unit).figure} apart of ${text(formatDifference(allowed, unit))}`;
    case 'squeeze':
      return `squeeze ${percent(value / allowed)} of its need`;
    case 'workLeast':
      return `heat work ${percent(value / allowed)} of least`;
    case 'workMost':
      return `heat work ${percent(value / allowed)} of most`;
    case 'relaxed':
      return value < 10 ? `relaxed ${value.toFixed(1)} times of ${allowed}` : 'relaxed many times over';
    case 'soakTime':
      return `soak ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'opening':
      return `opens at ${formatTemperature(value, unit).figure} of ${text(formatTemperature(allowed, unit))}`;
  }
}

/** A broken limit as a sentence that names the amount. */
export function brokenSentence(reading: Reading, unit: TemperatureUnit): string {
  const { value, allowed } = reading;
  const over = text(formatDifference(value - allowed, unit));
  switch (reading.limit) {
    case 'kilnTop':
      return `${over} above what this kiln may be asked for.`;
    case 'kilnPace':
      return `${text(formatRate(value, unit))} is ${text(formatRate(value - allowed, unit))} faster than this kiln can climb here.`;
    case 'pull':
      return `Brittle glass is pulled by ${text(formatStress(value))}, ${text(formatStress(value - allowed))} over the limit: it may crack. Slow down.`;
    case 'climbing':
      return `Core and skin are ${text(formatDifference(value, unit))} apart while it softens, ${over} too much. Slow down.`;
    case 'setting':
      return `Core and skin are ${text(formatDifference(value, unit))} apart while stress sets, ${over} too much. Cool slower.`;
    case 'even':
      return `Still ${text(formatDifference(value, unit))} apart when the cool begins, ${over} too much. Soak longer.`;
    case 'squeeze':
      return `The squeeze does ${percent(value / allowed)} of what it needs: air may stay in. Hold longer or a little hotter.`;
    case 'workLeast':
      return `Heat work is ${percent(value / allowed)} of the least for a full fuse: it will fall short.`;
    case 'workMost':
      return `Heat work is ${percent(value / allowed)} of the most for a full fuse: it will go past.`;
    case 'relaxed':
      return `Stress relaxes only ${value.toFixed(1)} times of the ${allowed} asked once it is even. Soak longer.`;
    case 'soakTime':
      return value === 0 ? 'No soak in the annealing range before it cools.' : `The soak is ${text(formatDuration(allowed - value))} short of the least.`;
    case 'opening':
      return `Opening at ${text(formatTemperature(value, unit))} is ${over} too hot.`;
  }
}

/** The whole in a few sentences: what will happen, what the body will do at its rim, what is broken. */
export function verdictOf(firing: FiringCase, { readings, simulation }: Evaluation, unit: TemperatureUnit): string[] {
  const said: string[] = [];
  const broken = readings.filter((reading) => !reading.ok);
  if (simulation.stalled) said.push(`The kiln gets no further than ${text(formatTemperature(simulation.stalled.at_C, unit))}.`);
  else if (broken.length === 0) said.push('Keeps every limit.');
  if (broken.length > 0) said.push(`Breaks ${broken.length} ${broken.length === 1 ? 'limit' : 'limits'}.`);
  const { naturalDepth_m, tendency } = bodyFigures(firing.body).afterFiring;
  const rest = text(formatLength(naturalDepth_m, 'mm'));
  if (tendency === 'runs-out') said.push(`Deeper than the ${rest} at which hot glass rests: it runs out at the rim unless dammed.`);
  if (tendency === 'draws-in') said.push(`Thinner than the ${rest} at which hot glass rests: the rim draws in and thickens.`);
  return said;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const ofDegrees = (value: number, allowed: number, unit: TemperatureUnit): string =>
  `${formatDifference(value, unit).figure} of ${Number(differenceIn(allowed, unit).toFixed(1))} °${unit}`;
