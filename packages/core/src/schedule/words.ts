/**
 * Says in words what a segment is for, what limits it and what is broken. Everything is written in the units
 * asked for; everything else comes from the readings.
 */
import { resolved, deeperBy } from './resolved';
import type { ResolvedFiring } from './resolvedFiring';
import { bodyFigures, isSlab } from '../body/body';
import { coatingFindings } from '../fit/coating';
import { rimToSpare } from '../flow/sag';
import { RECIPES } from '../look/recipes/all';
import type { Look } from '../look/names';
import { cavityOf } from '../look/shaping';
import { type LengthUnit, type TemperatureUnit, type Units, differenceIn } from '../units/convert';
import { formatDifference, formatDuration, formatLength, formatRate, formatStock, formatStress, formatTemperature, text } from '../units/format';
import type { Evaluation, HeatWorkBand, Reading } from './reading';
import type { FiringCase } from './firingCase';
import { asGlass } from './bounds';
import type { WorkDone } from './seenWork';
import { NO_CORRECTIONS } from '../learn/corrections';
import { bolderSentences } from './studioLimits';
import { soaksLower } from './leastSoak';
import { standPace } from './shelfPace';
import { impossibleFiring, shapeNotes } from './possible';
import { emptyFiringOf } from './emptyFiring';
import { brokenEmpty, hurriedEmpty, conePhrase, emptyFigure, heldPhrase, sentencesOfEmpty, whyOfEmpty } from './emptyFiringWords';
import { hottestSegment } from '../heat/regimes';
import type { PurposefulSegment, Segment } from '../kiln/segment';
import type { OwnFigure } from '../look/recipe';

/** Words that not everybody uses, each in a sentence; by the name that a figure stands under. */
export const TERMS: Readonly<Record<string, string>> = {
  'core–surface': 'How much warmer the middle of the glass is than its outside, or colder: what is left of it while the glass sets stays in it as stress.',
  'hottest–coldest':
    'How much hotter one place of an uneven body is than another, its rim left out: what is left of it while the glass sets stays in it as stress.',
  'heat work': 'What heat has done to the glass, temperature and time together: cooler for longer does the same as hotter for a while.',
  tension: 'How hard the glass is pulled within itself while it warms or cools; glass takes being pressed and breaks by being pulled.',
  squeeze: 'A hold before the rim seals, in which sheets settle and the air between them leaves.',
  'relief standing': 'How much of the height laid on still stands when it comes out.',
  devit: 'Devitrification: dull crystals on the surface, where glass stays too long between sticking and flowing. Counted as time at its worst.',
  'stress left': 'The tension that stays in the cold piece for good.',
};

/** Two lines of a phone hold no more beside it, letters. */
const LONG_REACH = 40;

/** A few words on why the segment is there, for this body. */
export function whyOf(asked: FiringCase, { role, rate_C_per_h }: Pick<PurposefulSegment, 'role' | 'rate_C_per_h'>, unit: LengthUnit): string {
  const firing = resolved(asked);
  const bare = emptyFiringOf(firing);
  if (bare) return whyOfEmpty(bare, { role, rate_C_per_h }, unit, RECIPES[firing.look].reaches);
  const depth = text(formatLength(firing.depth_m.fired, unit));
  switch (role) {
    case 'dry':
      return 'water leaves, vent open; weigh it, the clock cannot tell';
    case 'burnOff':
      return firing.setup.wet === 'glued' ? 'glue burns away, vent open and the room aired' : 'what binds the coat leaves, vent open and the room aired';
    case 'warmUp':
      if (shelfRules(firing, rate_C_per_h)) return `faster may crack a shelf of ${text(formatLength(firing.stand.long_m, unit))}`;
      if (firing.setup.pace) return `${firing.body.joined ? 'the glass' : looseWords(firing, unit)}, slowly: here the mould swells`;
      return firing.body.joined
        ? `one solid ${text(formatLength(firing.depth_m.heated, unit))} deep, brittle until here`
        : `${looseWords(firing, unit)}, brittle until here`;
    case 'climb':
      return 'past what is brittle';
    case 'settle':
      return 'grains sink together while air can still leave between them';
    case 'squeeze':
      return 'sheets settle, air leaves before the rim seals';
    case 'work': {
      const { reaches } = RECIPES[firing.look];
      const school = firing.school.heat === 'cooler' ? 'cooler and longer' : 'hotter and shorter';
      return reaches.length > LONG_REACH ? reaches : `${reaches}, ${school}`;
    }
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

/** Faster than this share of what the shelf bears it is the shelf that rules. */
const RULES_FROM = 0.95;

function shelfRules(firing: ResolvedFiring, rate_C_per_h: number | null): boolean {
  const { limit, C_per_h } = standPace(firing);
  return limit === 'shelfPace' && rate_C_per_h !== null && rate_C_per_h > RULES_FROM * C_per_h;
}

/** What lies loose, by what most of it is. */
function looseWords(firing: FiringCase, unit: LengthUnit): string {
  const { body } = firing;
  if (body.casting) return `the glass of a casting ${text(formatLength(body.casting.thickest_m, unit))} thick`;
  const [only, second] = body.layers;
  if (only?.form === 'sheet' && !second && !body.parts && (only.cover ?? 1) >= 1) {
    return `one ${isSlab(only) ? 'slab' : 'sheet'} of ${text(formatStock(only.thickness_m, unit))}`;
  }
  if ((body.parts ?? []).length > 0 || body.layers.some(({ form }) => form === 'sheet' || form === 'cap')) return 'loose sheets';
  return body.layers.some(({ form }) => form === 'rod' || form === 'stringer')
    ? 'loose rods'
    : body.layers.some(({ form }) => form === 'chunks')
      ? `loose lumps, up to ${text(formatLength(Math.max(...body.layers.map((layer) => (layer.form === 'chunks' ? layer.thick_m : 0))), unit))} thick`
      : 'loose grains';
}

/** Results of before every kind of firing had an upper limit: a band that ends so many times past its aim says nothing. */
const FAR_FROM_AIM = 10;

/** Heat work as one percentage of what the look needs, and the band that it must lie in. */
export function heatWorkFigures({ shown, least, most }: HeatWorkBand): { figure: string; band: string; bandShare: number; ok: boolean } {
  const whole = (share: number): string => String(Math.round(100 * share));
  const far = most > FAR_FROM_AIM;
  return {
    figure: whole(shown),
    band: far ? `at least ${whole(least)}` : `of ${whole(least)}–${whole(most)}`,
    bandShare: shown / (far ? 2 : most),
    ok: shown >= least * (1 - 1e-3) && shown <= most * (1 + 1e-3),
  };
}

/** Results from before the band was told have only the limit itself. */
const bandOf = ({ band, limit, value, allowed }: Reading): HeatWorkBand =>
  band ?? { shown: value / allowed, least: limit === 'workLeast' ? 1 : 0, most: limit === 'workMost' ? 1 : Infinity };

export const DIFFERENCE_NAMES = ['core–surface', 'hottest–coldest'] as const;
export type DifferenceName = (typeof DIFFERENCE_NAMES)[number];

/** Between what a difference lies. */
export const differenceName = (reading: Pick<Reading, 'places'> | null | undefined): DifferenceName => (reading?.places ? 'hottest–coldest' : 'core–surface');

/** One reading as a short phrase: 'core–surface 2.6 of 5 °C'. */
export function readingPhrase(reading: Reading, { temperature: unit, length }: Units): string {
  const { value, allowed } = reading;
  switch (reading.limit) {
    case 'kilnTop':
      return `${text(formatTemperature(value, unit))}, kiln's top ${text(formatTemperature(allowed, unit))}`;
    case 'shelfPace':
      return `shelf ${formatRate(value, unit).figure} of ${text(formatRate(allowed, unit))}`;
    case 'mouldPace':
      return `mould ${formatRate(value, unit).figure} of ${text(formatRate(allowed, unit))}`;
    case 'shelfTop':
      return `${text(formatTemperature(value, unit))}, shelf or mould to ${text(formatTemperature(allowed, unit))}`;
    case 'coatPace':
      return `coat ${formatRate(value, unit).figure} of ${text(formatRate(allowed, unit))}`;
    case 'coatTop':
      return `coat ${formatTemperature(value, unit).figure} of ${text(formatTemperature(allowed, unit))}`;
    case 'kilnPace':
      return `${formatRate(value, unit).figure} asked, over this way the kiln makes ${text(formatRate(allowed, unit))}`;
    case 'pull':
      return `tension ${formatStress(value, length).figure} of ${text(formatStress(allowed, length))}`;
    case 'climbing':
    case 'setting':
      return `${differenceName(reading)} ${ofDegrees(value, allowed, unit)}`;
    case 'even':
      return `${formatDifference(value, unit).figure} apart of ${text(formatDifference(allowed, unit))}`;
    case 'squeeze':
      return `squeeze ${percent(value / allowed)} of its need`;
    case 'workLeast':
    case 'workMost': {
      const { figure, band } = heatWorkFigures(bandOf(reading));
      return `heat work ${figure} % ${band}`;
    }
    case 'coating':
      return `coating open ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'haze':
      return `devit ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'residual':
      return `${formatStress(value, length).figure} of ${text(formatStress(allowed, length))} stays`;
    case 'relaxed':
      return value < 10 ? `relaxed ${value.toFixed(1)} times${reading.note ? '' : ` of ${allowed}`}` : 'relaxed many times over';
    case 'soakTime':
      return `soak ${text(formatDuration(value))} of ${text(formatDuration(allowed))}`;
    case 'opening':
      return `opens at ${formatTemperature(value, unit).figure} of ${text(formatTemperature(allowed, unit))}`;
    case 'filled':
      return `mould ${percent(value)} full`;
    case 'heldThrough':
      return heldPhrase(reading);
    case 'coneLeast':
    case 'coneMost':
      return conePhrase(reading, unit);
  }
}

const timesAsMuch = (times: number): string => (times < 2 ? times.toFixed(2) : times < 10 ? times.toFixed(1) : String(Math.round(times)));

/** A broken limit as a sentence that names the amount. */
export function brokenSentence(reading: Reading, { temperature: unit, length }: Units, look: Look): string {
  const { value, allowed } = reading;
  const over = text(formatDifference(value - allowed, unit));
  const aim = `a ${RECIPES[look].name.toLowerCase()}`;
  if (RECIPES[look].empty && (reading.limit === 'shelfPace' || reading.limit === 'mouldPace')) return hurriedEmpty(reading, unit);
  switch (reading.limit) {
    case 'kilnTop':
      return `${over} above what this kiln may be asked for.`;
    case 'kilnPace':
      return `${text(formatRate(value, unit))} is asked; over this way the kiln makes ${text(formatRate(allowed, unit))}, so the firing takes longer than it says.`;
    case 'shelfPace':
      return `${text(formatRate(value, unit))} is too fast for a shelf or mould of this size, by ${text(formatRate(value - allowed, unit))}. It may crack, and the glass with it: slow down.`;
    case 'mouldPace':
      return `${text(formatRate(value, unit))} is too fast for a mould with this wall, by ${text(formatRate(value - allowed, unit))}. It may crack and let the glass out: slow down.`;
    case 'shelfTop':
      return `${over} above the limit of the shelf, board or mould under it.`;
    case 'coatPace':
      return `${text(formatRate(value, unit))} is too fast while the binder under the glass burns out, by ${text(formatRate(value - allowed, unit))}: it may lift or smoke into the glass. Slow down.`;
    case 'coatTop':
      return `${over} above the limit of the release under the glass: it gives way, and glass and shelf stick. Use another, or go cooler and longer.`;
    case 'pull':
      return `Tension reaches ${text(formatStress(value, length))} while the glass is brittle, ${text(formatStress(value - allowed, length))} over the limit: it may crack. Slow down.`;
    case 'climbing':
      return `Core and skin are ${text(formatDifference(value, unit))} apart while it softens, ${over} too much. Slow down.`;
    case 'setting':
      return `${reading.places ? 'Its hottest and its coldest place' : 'Core and skin'} are ${text(formatDifference(value, unit))} apart while stress sets, ${over} too much. Cool slower.`;
    case 'even':
      return `Still ${text(formatDifference(value, unit))} apart when the cool begins, ${over} too much. Soak longer.`;
    case 'squeeze':
      return `The bubble squeeze does ${percent(value / allowed)} of the work needed: air may stay in. Hold longer or a little hotter.`;
    case 'workLeast':
      return `Heat work is ${percent(bandOf(reading).shown)}, and ${aim} needs ${percent(bandOf(reading).least)} at least: it will fall short.`;
    case 'workMost':
      return `Heat work is ${percent(bandOf(reading).shown)} (${aim} takes up to ${percent(bandOf(reading).most)}). It will go too far: ${RECIPES[look].looksLike.late}.`;
    case 'coating':
      return `The bare coating spends ${text(formatDuration(value - allowed))} too long between setting and sticking: it may lift. Cap it, turn it face down, or accept that it may.`;
    case 'haze':
      return `It is ${text(formatDuration(value - allowed))} too long where it devitrifies. Climb faster there, or go hotter and shorter.`;
    case 'residual':
      return `${text(formatStress(value, length))} of tension would stay at room temperature, ${text(formatStress(value - allowed, length))} too much. Soak longer or cool slower.`;
    case 'relaxed':
      return `Stress relaxes only ${value.toFixed(1)} times of the ${allowed} asked once it is even. Soak longer.`;
    case 'soakTime':
      return value === 0 ? 'No soak in the annealing range before it cools.' : `The soak is ${text(formatDuration(allowed - value))} short of the least.`;
    case 'opening':
      return `Opening at ${text(formatTemperature(value, unit))} is ${over} too hot.`;
    case 'filled':
      return `The glass fills ${percent(value)} of its mould: it ends below the rim, and what is above is not cast. Lay ${timesAsMuch(1 / value)} times as much, or say how much the mould really holds.`;
    case 'heldThrough':
    case 'coneLeast':
    case 'coneMost':
      return brokenEmpty(reading, unit);
  }
}

/** The whole in a few sentences: what will happen, what the body will do at its rim, what is broken. */
export function verdictOf(asked: FiringCase, { readings, simulation, work_perPa }: Evaluation, units: Units, segments: readonly Segment[]): string[] {
  const firing = resolved(asked);
  const said: string[] = [];
  const broken = readings.filter((reading) => !reading.ok);
  const impossible = impossibleFiring(firing, units.length);
  if (impossible) said.push(`It cannot be so. ${impossible.message}`);
  if (simulation.stalled) said.push(`The kiln gets no further than ${text(formatTemperature(simulation.stalled.at_C, units.temperature))}.`);
  else if (broken.length === 0 && !impossible) said.push('Keeps every limit.');
  if (broken.length > 0) said.push(`Breaks ${broken.length} ${broken.length === 1 ? 'limit' : 'limits'}.`);
  said.push(...bolderSentences(firing.limits), ...correctionSentences(firing, units), ...seenSentences(firing, work_perPa.mean));
  const bare = emptyFiringOf(firing);
  if (bare) {
    const apart_K = Math.max(...simulation.segments.map(({ deltaT_max_K }) => deltaT_max_K));
    return [...said, ...(impossible ? [] : sentencesOfEmpty(bare, readings, apart_K, units)), ...shapeNotes(firing, units.length)];
  }
  const stays = readings.find(({ limit, ok }) => limit === 'residual' && ok);
  if (stays)
    said.push(`About ${text(formatStress(stays.value, units.length))} of tension stays in it (limit ${text(formatStress(stays.allowed, units.length))}).`);
  said.push(...ownFigures(firing, { readings, work_perPa }, units).map(({ sentence }) => sentence));
  said.push(
    ...bodySentences(firing, units.length),
    ...unevenSentences(firing, readings, units),
    ...shapeNotes(firing, units.length),
    ...cautionsOfHeat(firing, segments, work_perPa),
  );
  const left = simulation.segments[simulation.segments.length - 1]?.reliefLeft ?? null;
  if (left !== null) said.push(reliefSentence(firing.look, left));
  return said;
}

/** What this kind of firing tells of itself, by its recipe. */
export function ownFigures(asked: FiringCase, { readings, work_perPa }: Pick<Evaluation, 'readings' | 'work_perPa'>, units: Units): OwnFigure[] {
  const bare = emptyFiringOf(asked);
  if (bare) return emptyFigure(bare, readings, units);
  const { body, look, limits, setup } = asked;
  return RECIPES[look].tells?.({ body, works: limits.works_perPa, ...(setup.shaping ? { shaping: setup.shaping } : {}) }, work_perPa.mean, units) ?? [];
}

/** Hotter or longer than strip tests are fired, times the most of a full fuse. */
const UNPROVEN_OVER_FULL_FUSE = 2;

/** What no limit says: fit and colour are proven at usual heats, and a cool that nothing controls. */
function cautionsOfHeat({ body, limits }: ResolvedFiring, segments: readonly Segment[], { mean }: Evaluation['work_perPa']): string[] {
  const said: string[] = [];
  if (body.glasses.length > 1 && mean > UNPROVEN_OVER_FULL_FUSE * limits.works_perPa.fullFuse.most) {
    said.push('So much heat can change how glasses fit one another and what colour they come out: fire a strip test of these through it first.');
  }
  const hottest = hottestSegment(segments);
  const cools = segments.slice(hottest + 1).filter(({ target_C }, i) => target_C < segments[hottest + i].target_C);
  if (cools.every(({ rate_C_per_h }) => rate_C_per_h === null)) said.push('No controlled cool: from its hottest on, nothing but the closed kiln slows it.');
  return said;
}

/** Rounding, K. */
const EXACT_K = 1e-6;

/** Shorter is not told, s. */
const TOLD_LAG_S = 60;

/** What was planned otherwise than usual, and why. */
function correctionSentences(
  { corrections = NO_CORRECTIONS, place_K = 0, placeLag_s = 0, setup, workFactor, look }: ResolvedFiring,
  { temperature }: Units,
): string[] {
  // Of the controller alone; its place is another matter, and all of a load are keyed alike.
  const offset_K = Math.abs(corrections.offset_K + place_K) < EXACT_K ? 0 : corrections.offset_K + place_K;
  const off = text(formatDifference(Math.abs(offset_K), temperature));
  const said: string[] = [];
  if (offset_K !== 0)
    said.push(
      `Keyed ${off} ${offset_K > 0 ? 'hotter' : 'cooler'}, because the controller reads so much ${offset_K > 0 ? 'over' : 'under'} ${RECIPES[look].empty ? 'what is fired' : 'the glass'}.`,
    );
  if (place_K !== 0)
    said.push(`It lies where the kiln is ${text(formatDifference(Math.abs(place_K), temperature))} ${place_K > 0 ? 'hotter' : 'cooler'} than in its middle.`);
  if (placeLag_s >= TOLD_LAG_S) said.push(`Its place runs ${text(formatDuration(placeLag_s))} behind the middle of the kiln.`);
  if (setup.roof) said.push('It lies under another shelf: heat comes to it later, and from its sides.');
  if (workFactor !== 1)
    said.push(
      `Aimed at ${workFactor.toFixed(2)} times the usual heat work, because ${corrections.lookFactors?.[look] === undefined ? 'looks' : `a ${RECIPES[look].name.toLowerCase()}`} took ${workFactor > 1 ? 'more' : 'less'} here.`,
    );
  return said;
}

/** What firings of the same kind have shown here, beside what this one does. */
function seenSentences({ seen, viscosity, corrections = NO_CORRECTIONS, look }: ResolvedFiring, mean_perPa: number): string[] {
  if (!seen) return [];
  // What the glass has had counts with what it is given now.
  const whole_perPa = mean_perPa + (seen.had ? asGlass(viscosity, seen.had, corrections.offset_K) : 0);
  const ofThis = (one: WorkDone): string => percent(asGlass(viscosity, one, corrections.offset_K) / whole_perPa);
  const said: string[] = [];
  const name = `the same ${RECIPES[look].name.toLowerCase()}`;
  if (seen.soFar) said.push('It goes on from its measured shape, by what the way so far really took.');
  if (seen.had) said.push('This glass has had some of its heat work already: it is given the rest.');
  if (seen.short && seen.past)
    said.push(`In this kiln ${name} fell short with ${ofThis(seen.short)} of this heat work and went too far with ${ofThis(seen.past)}.`);
  else if (seen.short) said.push(`In this kiln ${name} fell short with ${ofThis(seen.short)} of this heat work.`);
  else if (seen.past) said.push(`In this kiln ${name} went too far with ${ofThis(seen.past)} of this heat work.`);
  const under = seen.short && asGlass(viscosity, seen.short, corrections.offset_K) >= whole_perPa;
  const over = seen.past && asGlass(viscosity, seen.past, corrections.offset_K) <= whole_perPa;
  if (under && !over) said.push('As it stands it does no more than what fell short: it will again. Go hotter, or hold longer.');
  if (over && !under) said.push('As it stands it does no less than what went too far: it will again. Go cooler, or hold for less.');
  return said;
}

/** Under this share of their height what stood can hardly be felt. */
const LEVEL_UNDER = 0.1;

/** What becomes of laid parts, in one sentence. */
function reliefSentence(look: Look, left: number): string {
  if (left < LEVEL_UNDER) return 'What was laid on sinks in: it ends level.';
  if (RECIPES[look].levels) return `It ends nearly level: about ${percent(left)} of the height of its parts can still be felt.`;
  return `About ${percent(left)} of the height of its parts is left standing.`;
}

/** How glass that is shallower than it rests at stands in a dam. back: how far from its wall. */
export const inDamSentence = (as: 'scallops' | 'wavers', rest: string, back: string): string =>
  as === 'wavers'
    ? `A little less than the ${rest} at which hot glass rests: it reaches the dam, and may stay back in scallops where it is colder or thinner.`
    : `Less than the ${rest} at which hot glass rests: it draws back from the dam by about ${back} and leaves a scalloped edge.`;

const opensIntoLace = (rest: string): string =>
  `A film of grains, far thinner than the ${rest} at which hot glass rests: it draws together into lace or islands, and its outline stays.`;

/** How far an uneven body is apart in itself, at the rates of this schedule. */
function unevenSentences({ uneven }: ResolvedFiring, readings: readonly Reading[], { temperature }: Units): string[] {
  const sets = readings.filter(({ limit }) => limit === 'setting');
  if (uneven === null || sets.length === 0) return [];
  const apart = text(formatDifference(Math.max(...sets.map(({ value }) => value)), temperature));
  return [uneven.inMould ? `Its inside stays up to ${apart} hotter than its outside while it sets.` : `Its places are up to ${apart} apart while it sets.`];
}

/** What the body itself will do, whatever the schedule. */
function bodySentences(firing: ResolvedFiring, unit: LengthUnit): string[] {
  const { body, look, setup } = firing;
  const { naturalDepth_m, tendency, rimMoves_m } = bodyFigures(body).afterFiring;
  const rest = text(formatLength(naturalDepth_m, unit));
  const said: string[] = [];
  const { flows, puddle } = RECIPES[look];
  const cavity = RECIPES[look].fills ? cavityOf(setup.shaping) : null;
  if (flows && !puddle && !cavity) {
    if (tendency === 'runs-out') said.push(`Deeper than the ${rest} at which hot glass rests: it runs out at the rim unless dammed.`);
    if (tendency === 'draws-in') said.push(`Thinner than the ${rest} at which hot glass rests: the rim draws in and thickens.`);
    if (tendency === 'opens') said.push(opensIntoLace(rest));
    if (tendency === 'scallops' || tendency === 'wavers') said.push(inDamSentence(tendency, rest, text(formatLength(-rimMoves_m, unit))));
  }
  if (cavity) {
    const [thick, thin] = [cavity.thick_m, cavity.thin_m].map((depth) => text(formatLength(depth, unit)));
    const form = cavity.slender === 'cylinder' ? 'a rod of ' : cavity.slender === 'sphere' ? 'a ball of ' : '';
    const sections = thick === thin || form !== '' ? `${form}${thick}${form === '' ? ' deep' : ''}` : `${thick} here and ${thin} there`;
    said.push(`Warmed up as it is laid; annealed within its mould, ${sections}.`);
  } else if (firing.changes) {
    const [laid, level] = [firing.depth_m.laid, firing.depth_m.fired].map((depth) => text(formatLength(depth, unit)));
    const ends = firing.depth_m.fired < firing.depth_m.laid ? `runs down to ${level}` : `ends up ${level} deep`;
    if (laid !== level) said.push(`Laid ${laid} deep, it ${ends}: warmed up as laid, cooled and annealed as it ends.`);
  }
  const factor = deeperBy(firing, firing.uneven);
  if (factor > 1.01 && !cavity) {
    const fired = text(formatLength(firing.depth_m.fired, unit));
    said.push(`Uneven: calculated as ${fired}, ${factor.toFixed(1)} times its thickest point, because thin and thick parts differ along the piece.`);
  }
  said.push(...coatingFindings(body).map(({ message }) => message));
  const { shaping } = setup;
  if (RECIPES[look].asks?.kind === 'former' && shaping?.kind === 'former' && body.footprint.shape === 'disc' && shaping.former_m !== undefined) {
    const spare = rimToSpare(body.footprint.diameter_m, shaping.former_m);
    if (spare > 0) {
      said.push(
        `Of the disc ${percent(spare)} of the rim are more than goes round its former: it folds in lobes, two when slow, more when hot. A lobed blank decides where.`,
      );
    }
  }
  return said;
}

const percent = (share: number): string => `${Math.round(share * 100)} %`;

const ofDegrees = (value: number, allowed: number, unit: TemperatureUnit): string =>
  `${formatDifference(value, unit).figure} of ${Number(differenceIn(allowed, unit).toFixed(1))} °${unit}`;
