/** What differs between two schedules, and what that did to the firing: in words and in figures side by side. */
import { RECIPES } from '../look/recipes/all';
import type { TemperatureUnit, Units } from '../units/convert';
import { type Figure, formatDifference, formatDuration, formatRate, formatStress, formatTemperature, text } from '../units/format';
import { type Evaluation, type LimitName, type Reading, heatWorkBand } from './reading';
import type { FiringCase } from './firingCase';
import type { PurposefulSegment } from '../kiln/segment';
import { emptyFiringOf } from './emptyFiring';
import { paceOfEmpty } from './emptyFiringWords';
import { differenceName, ownFigures } from './words';
import { ROLE_NAMES } from './roles';

type Pair = [before: PurposefulSegment | null, after: PurposefulSegment | null];

/** Aligns two schedules by what their segments are for (longest common subsequence of the roles). */
function aligned(before: readonly PurposefulSegment[], after: readonly PurposefulSegment[]): Pair[] {
  const common = Array.from({ length: before.length + 1 }, () => new Array<number>(after.length + 1).fill(0));
  for (let i = before.length - 1; i >= 0; i -= 1)
    for (let j = after.length - 1; j >= 0; j -= 1)
      common[i][j] = before[i].role === after[j].role ? common[i + 1][j + 1] + 1 : Math.max(common[i + 1][j], common[i][j + 1]);
  const pairs: Pair[] = [];
  let [i, j] = [0, 0];
  while (i < before.length || j < after.length) {
    const same = i < before.length && j < after.length && before[i].role === after[j].role;
    if (same && common[i][j] === common[i + 1][j + 1] + 1) pairs.push([before[i++], after[j++]]);
    else if (j >= after.length || (i < before.length && common[i + 1][j] >= common[i][j + 1])) pairs.push([before[i++], null]);
    else pairs.push([null, after[j++]]);
  }
  return pairs;
}

const inWords = ({ target_C, rate_C_per_h, hold_s }: PurposefulSegment, unit: TemperatureUnit): string =>
  `${text(formatRate(rate_C_per_h, unit))} to ${text(formatTemperature(target_C, unit))}${hold_s > 0 ? `, hold ${text(formatDuration(hold_s))}` : ''}`;

/** One sentence for each thing that differs; empty where nothing a controller could show does. */
export function segmentDifferences(before: readonly PurposefulSegment[], after: readonly PurposefulSegment[], unit: TemperatureUnit): string[] {
  return aligned(before, after).flatMap(([one, other]): string[] => {
    if (one && !other) return [`${ROLE_NAMES[one.role]} left out: ${inWords(one, unit)}.`];
    if (other && !one) return [`${ROLE_NAMES[other.role]} put in: ${inWords(other, unit)}.`];
    if (!one || !other) return [];
    const changes: [string, Figure, Figure][] = [
      ['target', formatTemperature(one.target_C, unit), formatTemperature(other.target_C, unit)],
      ['rate', formatRate(one.rate_C_per_h, unit), formatRate(other.rate_C_per_h, unit)],
      ['hold', formatDuration(one.hold_s), formatDuration(other.hold_s)],
    ];
    const said = changes.filter(([, a, b]) => text(a) !== text(b)).map(([what, a, b]) => `${what} ${text(b)} for ${text(a)}`);
    return said.length > 0 ? [`${ROLE_NAMES[other.role]}: ${said.join(', ')}.`] : [];
  });
}

export interface Consequence {
  what: string;
  before: Figure;
  after: Figure;
  differs: boolean;
}

export interface Judgement {
  firing: FiringCase;
  evaluation: Evaluation;
}

const percent = (share: number): Figure => ({ figure: `${Math.round(share * 100)}`, unit: '%' });

function worst({ readings }: Evaluation, limit: LimitName): Reading | null {
  const own = readings.filter((reading) => reading.limit === limit);
  return own.length === 0 ? null : own.reduce((most, reading) => (reading.value > most.value ? reading : most));
}

/** What a firing comes to, in the order in which it is read. A figure that has no meaning for a firing is a dash. */
const NONE: Figure = { figure: '–', unit: '' };

function outcome({ firing, evaluation }: Judgement, { temperature: unit, length }: Units): [string, Figure][] {
  const { simulation, work_perPa: work } = evaluation;
  const squeeze = worst(evaluation, 'squeeze');
  const haze = worst(evaluation, 'haze');
  const residual = worst(evaluation, 'residual');
  const setting = worst(evaluation, 'setting');
  const relief = simulation.segments.at(-1)?.reliefLeft ?? null;
  return [
    ['heat work', emptyFiringOf(firing) ? NONE : percent(heatWorkBand(firing, work).shown)],
    ['squeeze', squeeze ? percent(squeeze.value / squeeze.allowed) : NONE],
    ['relief standing', relief === null ? NONE : percent(relief)],
    ['devit', haze ? formatDuration(haze.value) : NONE],
    ['stress left', residual ? formatStress(residual.value, length) : NONE],
    [differenceName(setting), formatDifference(setting?.value ?? 0, unit)],
    ['tension', formatStress(worst(evaluation, 'pull')?.value ?? 0, length)],
    ['in all', formatDuration(simulation.total_s)],
  ];
}

/** The same where nothing of glass was fired. */
function outcomeOfEmpty({ firing, evaluation }: Judgement, units: Units): [string, Figure][] {
  const { simulation, readings } = evaluation;
  const [own] = ownFigures(firing, evaluation, units);
  const pace = paceOfEmpty(readings);
  return [
    ['done', own ? { figure: `${own.label} ${own.figure}`, unit: own.unit } : NONE],
    ['through it', formatDifference(Math.max(0, ...simulation.segments.map(({ deltaT_max_K }) => deltaT_max_K)), units.temperature)],
    ['pace', pace ? formatRate(pace.value, units.temperature) : NONE],
    ['in all', formatDuration(simulation.total_s)],
  ];
}

/** The same figures of two firings side by side. */
export function consequences(before: Judgement, after: Judgement, units: Units): Consequence[] {
  const emptyItems = emptyFiringOf(before.firing) && emptyFiringOf(after.firing);
  const [first, second] = [before, after].map((one) => (emptyItems ? outcomeOfEmpty(one, units) : outcome(one, units)));
  return first.map(([what, figure], i) => ({ what, before: figure, after: second[i][1], differs: text(figure) !== text(second[i][1]) }));
}

/** What differs between two firings besides their segments: look, set-up school, kiln limits of the computation. */
export function caseDifferences(before: FiringCase, after: FiringCase): string[] {
  const said: string[] = [];
  if (before.look !== after.look) said.push(`${RECIPES[after.look].name} for ${RECIPES[before.look].name.toLowerCase()}.`);
  if (before.school.heat !== after.school.heat)
    said.push(after.school.heat === 'hotter' ? 'Hotter and shorter for cooler and longer.' : 'Cooler and longer for hotter and shorter.');
  if (before.school.soak !== after.school.soak) said.push(`Soak ${SOAKS[after.school.soak]} for ${SOAKS[before.school.soak]}.`);
  if ((before.school.grains === 'held') !== (after.school.grains === 'held'))
    said.push(
      after.school.grains === 'held' ? 'Held while the grains sink together, for straight on.' : 'Straight on, for held while the grains sink together.',
    );
  if (before.body.joined !== after.body.joined) said.push(after.body.joined ? 'One solid for loose layers.' : 'Loose layers for one solid.');
  return said;
}

const SOAKS = { auto: 'by thickness', annealing: 'at the annealing point', lower: 'low' } as const;
