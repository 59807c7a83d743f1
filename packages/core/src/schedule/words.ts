/**
 * Says in words what a segment is for, what limits it and what is broken. Everything is written in the units
 * asked for; everything else comes from the readings.
 */
import { bodyFigures } from '../body/body';
import { designDepth } from '../body/unevenness';
import { coatingFindings } from '../fit/coating';
import { rimToSpare } from '../flow/sag';
import { type Look, PURPOSES } from '../look/purpose';
import { type LengthUnit, type TemperatureUnit, type Units, differenceIn } from '../units/convert';
import { formatDifference, formatDuration, formatLength, formatRate, formatStress, formatTemperature, text } from '../units/format';
import type { Evaluation, Reading } from './check';
import { type FiringCase, firedDepth } from './firingCase';
import { soaksLower } from './firstGuess';
import { impossibleFiring, shapeNotes } from './possible';
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
export function whyOf(firing: FiringCase, { role, rate_C_per_h }: Pick<PurposefulSegment, 'role' | 'rate_C_per_h'>, unit: LengthUnit): string {
  const depth = text(formatLength(firedDepth(firing), unit));
  switch (role) {
    case 'warmUp':
      return firing.body.joined ? `one solid ${depth} deep, brittle until here` : 'loose sheets, brittle until here';
    case 'squeeze':
      return 'sheets lie down, air leaves before the rim seals';
    case 'work':
      return `${PURPOSES[firing.look].reaches}, ${firing.school.heat === 'cooler' ? 'cooler and longer' : 'hotter and shorter'}`;
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
      return `${formatRate(value, unit).figure} asked, over this way the kiln makes ${text(formatRate(allowed, unit))}`;
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
    case 'coating':
      return `coating open ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'haze':
      return `haze ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'residual':
      return `${formatStress(value).figure} of ${text(formatStress(allowed))} stays`;
    case 'relaxed':
      return value < 10 ? `relaxed ${value.toFixed(1)} times of ${allowed}` : 'relaxed many times over';
    case 'soakTime':
      return `soak ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'opening':
      return `opens at ${formatTemperature(value, unit).figure} of ${text(formatTemperature(allowed, unit))}`;
  }
}

/** A broken limit as a sentence that names the amount. */
export function brokenSentence(reading: Reading, unit: TemperatureUnit, look: Look): string {
  const { value, allowed } = reading;
  const over = text(formatDifference(value - allowed, unit));
  const aim = `a ${PURPOSES[look].name.toLowerCase()}`;
  switch (reading.limit) {
    case 'kilnTop':
      return `${over} above what this kiln may be asked for.`;
    case 'kilnPace':
      return `${text(formatRate(value, unit))} is asked; over this way the kiln makes ${text(formatRate(allowed, unit))}, so the firing takes longer than it says.`;
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
      return `Heat work is ${percent(value / allowed)} of the least for ${aim}: it will fall short.`;
    case 'workMost':
      return `Heat work is ${percent(value / allowed)} of the most for ${aim}: it will go past.`;
    case 'coating':
      return `The bare coating spends ${text(formatDuration(value - allowed))} too long between setting and sticking: it may lift. Cap it, turn it face down, or accept that it may.`;
    case 'haze':
      return `It hazes for ${text(formatDuration(value - allowed))} too long. Climb faster through that range, or go hotter and shorter.`;
    case 'residual':
      return `${text(formatStress(value))} of tension would stay at room temperature, ${text(formatStress(value - allowed))} too much. Soak longer or cool slower.`;
    case 'relaxed':
      return `Stress relaxes only ${value.toFixed(1)} times of the ${allowed} asked once it is even. Soak longer.`;
    case 'soakTime':
      return value === 0 ? 'No soak in the annealing range before it cools.' : `The soak is ${text(formatDuration(allowed - value))} short of the least.`;
    case 'opening':
      return `Opening at ${text(formatTemperature(value, unit))} is ${over} too hot.`;
  }
}

/** The whole in a few sentences: what will happen, what the body will do at its rim, what is broken. */
export function verdictOf(firing: FiringCase, { readings, simulation }: Evaluation, units: Units): string[] {
  const said: string[] = [];
  const broken = readings.filter((reading) => !reading.ok);
  const impossible = impossibleFiring(firing, units.length);
  if (impossible) said.push(`It cannot be so. ${impossible.message}`);
  if (simulation.stalled) said.push(`The kiln gets no further than ${text(formatTemperature(simulation.stalled.at_C, units.temperature))}.`);
  else if (broken.length === 0 && !impossible) said.push('Keeps every limit.');
  if (broken.length > 0) said.push(`Breaks ${broken.length} ${broken.length === 1 ? 'limit' : 'limits'}.`);
  const stays = readings.find(({ limit, ok }) => limit === 'residual' && ok);
  if (stays) said.push(`About ${text(formatStress(stays.value))} of tension stays once it is cold; ${text(formatStress(stays.allowed))} is allowed.`);
  said.push(...bodySentences(firing, units.length), ...shapeNotes(firing, units.length));
  const left = simulation.segments[simulation.segments.length - 1]?.reliefLeft ?? null;
  if (left !== null) said.push(`About ${percent(left)} of the parts' relief is left, by the theory of small slopes; steep edges level sooner.`);
  return said;
}

/** What the body itself will do, whatever the schedule. */
function bodySentences(firing: FiringCase, unit: LengthUnit): string[] {
  const { body, look, setup } = firing;
  const { naturalDepth_m, tendency } = bodyFigures(body).afterFiring;
  const rest = text(formatLength(naturalDepth_m, unit));
  const said: string[] = [];
  if (look === 'fullFuse' || look === 'contour' || look === 'slabFlow') {
    if (tendency === 'runs-out') said.push(`Deeper than the ${rest} at which hot glass rests: it runs out at the rim unless dammed.`);
    if (tendency === 'draws-in') said.push(`Thinner than the ${rest} at which hot glass rests: the rim draws in and thickens.`);
    if (tendency === 'scallops') said.push(`Less than the ${rest} at which hot glass rests: it draws back from the dam and leaves a scalloped edge.`);
  }
  const { factor } = designDepth(body, look);
  if (factor > 1.01) {
    const fired = text(formatLength(firedDepth(firing), unit));
    said.push(`Uneven: computed as ${fired}, ${factor.toFixed(1)} times its thickest point, because thin and thick parts differ along the piece.`);
  }
  said.push(...coatingFindings(body).map(({ message }) => message));
  const { shaping } = setup;
  if (look === 'drape' && shaping?.kind === 'former' && body.footprint.shape === 'disc' && shaping.former_m !== undefined) {
    const spare = rimToSpare(body.footprint.diameter_m, shaping.former_m);
    if (spare > 0) {
      said.push(`The disc has ${percent(spare)} more rim than its former: it folds in lobes, two when slow, more when hot. A lobed blank decides where.`);
    }
  }
  return said;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const ofDegrees = (value: number, allowed: number, unit: TemperatureUnit): string =>
  `${formatDifference(value, unit).figure} of ${Number(differenceIn(allowed, unit).toFixed(1))} °${unit}`;
