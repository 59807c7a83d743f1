/** What differed between two firings: lay-up, set-up, kiln, schedule as it ran; and what that did. */
import { footprintWords } from '@torvin/core/body';
import { isBending } from '@torvin/core/look';
import { type DrawnLayer, setupWords } from '@torvin/core/piece';
import { RELEASED_NAMES } from '@torvin/core/release';
import { caseDifferences, type Consequence, consequences, segmentDifferences } from '@torvin/core/schedule';
import { formatLength, formatStock, formatTemperature, type LengthUnit, text, type Units } from '@torvin/core/units';
import { type FiringDetail, type Snapshot, facedWords } from '@torvin/schema';
import { byWords, resultWords, seenWords } from '@/ui/results';
import { asRun } from './asRun';
import { measuredWords } from './measuredEntry';
import { DIFFERENCES } from './words';
import { WORDS } from '@/ui/said';

export interface FiringDifferences {
  layup: string[];
  setup: string[];
  schedule: string[];
  cameOut: string[];
  consequences: Consequence[];
}

const layerWords = ({ name, thickness_m, form, cover, count, coated }: DrawnLayer, unit: LengthUnit): string =>
  [
    `${count === undefined ? '' : `${count} × `}${name} ${text(formatStock(thickness_m, unit))}`,
    ...(form && form !== 'sheet' ? [form] : []),
    ...(cover === undefined ? [] : [DIFFERENCES.over(Math.round(cover * 100))]),
    ...(coated ? [DIFFERENCES.coating(coated)] : []),
  ].join(', ');

function layupDifferences(before: Snapshot, after: Snapshot, unit: LengthUnit): string[] {
  const said: string[] = [];
  const outlines = [before, after].map(({ firing }) => footprintWords(firing.body.footprint, unit));
  if (outlines[0] !== outlines[1]) said.push(DIFFERENCES.outlineFor(outlines[1], outlines[0]));
  const count = Math.max(before.layers.length, after.layers.length);
  for (let i = 0; i < count; i += 1) {
    const [one, other] = [before.layers[i], after.layers[i]].map((layer) => (layer ? layerWords(layer, unit) : null));
    if (one === other) continue;
    if (other === null) said.push(DIFFERENCES.layerShelfLeft(i + 1, one));
    else if (one === null) said.push(DIFFERENCES.layerShelfMore(i + 1, other));
    else said.push(DIFFERENCES.layerShelf(i + 1, other, one));
  }
  return said;
}

const startOf = ({ schedule: { snapshot } }: FiringDetail, { temperature }: Units): string =>
  text(formatTemperature(snapshot.firing.kiln.ambient_C, temperature));

/** What the glass had been through before it went in. */
function stateBefore({ schedule: { snapshot } }: FiringDetail, { length }: Units): string {
  const { setup, seen } = snapshot.firing;
  const down_m = isBending(setup.shaping) ? setup.shaping.down_m : undefined;
  if (down_m !== undefined) return DIFFERENCES.downBefore(text(formatLength(down_m, length)));
  return seen?.had ? DIFFERENCES.firedBefore : DIFFERENCES.fresh;
}

function setupDifferences(before: FiringDetail, after: FiringDetail, units: Units): string[] {
  const [one, other] = [before.schedule.snapshot, after.schedule.snapshot];
  const said = caseDifferences(one.firing, other.firing);
  const pairs: [string, string, string][] = [
    [DIFFERENCES.standsOn, setupWords(one.setup, one.firing.setup.coat?.name), setupWords(other.setup, other.firing.setup.coat?.name)],
    [DIFFERENCES.before, stateBefore(before, units), stateBefore(after, units)],
    [DIFFERENCES.startedAt, startOf(before, units), startOf(after, units)],
    [WORDS.kiln, one.kilnName, other.kilnName],
    [DIFFERENCES.turned, facedWords(before.firing.faced) || DIFFERENCES.notSaid, facedWords(after.firing.faced) || DIFFERENCES.notSaid],
    [DIFFERENCES.place, before.firing.place || DIFFERENCES.notSaid, after.firing.place || DIFFERENCES.notSaid],
  ];
  for (const [what, was, is] of pairs) if (was !== is) said.push(DIFFERENCES.for(what, is, was));
  return said;
}

/** What a person told of how they came out. */
function outcomeDifferences(before: FiringDetail, after: FiringDetail, units: Units): string[] {
  const told = ({ firing }: FiringDetail): [string, string][] => [
    [DIFFERENCES.result, `${resultWords(firing.result)}${byWords(firing.lesson)}`],
    [DIFFERENCES.seen, seenWords(firing) || DIFFERENCES.nothing],
    [DIFFERENCES.off, firing.released ? RELEASED_NAMES[firing.released] : DIFFERENCES.notSaid],
    [DIFFERENCES.measured, measuredWords(firing.measured, units) || DIFFERENCES.nothing],
  ];
  const was = told(before);
  return told(after).flatMap(([what, is], i) => (is === was[i][1] ? [] : [DIFFERENCES.for(what, is, was[i][1])]));
}

export function firingDifferences(before: FiringDetail, after: FiringDetail, units: Units): FiringDifferences {
  const [one, other] = [asRun(before), asRun(after)];
  return {
    layup: layupDifferences(before.schedule.snapshot, after.schedule.snapshot, units.length),
    setup: setupDifferences(before, after, units),
    cameOut: outcomeDifferences(before, after, units),
    schedule: segmentDifferences(one.segments, other.segments, units.temperature),
    consequences: consequences(
      { firing: before.schedule.snapshot.firing, evaluation: one.evaluation },
      { firing: after.schedule.snapshot.firing, evaluation: other.evaluation },
      units,
    ),
  };
}
