/** What differed between two firings: lay-up, set-up, kiln, schedule as it ran; and what that did. */
import { footprintWords } from '@torvin/core/body';
import { type DrawnLayer, setupWords } from '@torvin/core/piece';
import { caseDifferences, type Consequence, consequences, segmentDifferences } from '@torvin/core/schedule';
import { formatStock, type LengthUnit, text, type Units } from '@torvin/core/units';
import type { FiringDetail, Snapshot } from '@torvin/schema';
import { asRun } from './asRun';
import { DIFFERENCES } from './words';
import { WORDS } from '@/ui/said';

export interface FiringDifferences {
  layup: string[];
  setup: string[];
  schedule: string[];
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

function setupDifferences(before: FiringDetail, after: FiringDetail): string[] {
  const [one, other] = [before.schedule.snapshot, after.schedule.snapshot];
  const said = caseDifferences(one.firing, other.firing);
  const pairs: [string, string, string][] = [
    [DIFFERENCES.standsOn, setupWords(one.setup, one.firing.setup.coat?.name), setupWords(other.setup, other.firing.setup.coat?.name)],
    [WORDS.kiln, one.kilnName, other.kilnName],
    [DIFFERENCES.place, before.firing.place || DIFFERENCES.notSaid, after.firing.place || DIFFERENCES.notSaid],
  ];
  for (const [what, was, is] of pairs) if (was !== is) said.push(DIFFERENCES.for(what, is, was));
  return said;
}

export function firingDifferences(before: FiringDetail, after: FiringDetail, units: Units): FiringDifferences {
  const [one, other] = [asRun(before), asRun(after)];
  return {
    layup: layupDifferences(before.schedule.snapshot, after.schedule.snapshot, units.length),
    setup: setupDifferences(before, after),
    schedule: segmentDifferences(one.segments, other.segments, units.temperature),
    consequences: consequences(
      { firing: before.schedule.snapshot.firing, evaluation: one.evaluation },
      { firing: after.schedule.snapshot.firing, evaluation: other.evaluation },
      units,
    ),
  };
}
