/** What differed between two firings: lay-up, set-up, kiln, schedule as it ran; and what that did. */
import { footprintWords } from '@torvin/core/body';
import { type DrawnLayer, setupWords } from '@torvin/core/piece';
import { caseDifferences, type Consequence, consequences, segmentDifferences } from '@torvin/core/schedule';
import { formatStock, type LengthUnit, text, type Units } from '@torvin/core/units';
import type { FiringDetail, Snapshot } from '@torvin/schema';

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
    ...(cover === undefined ? [] : [`over ${Math.round(cover * 100)} %`]),
    ...(coated ? [`coating ${coated}`] : []),
  ].join(', ');

function layupDifferences(before: Snapshot, after: Snapshot, unit: LengthUnit): string[] {
  const said: string[] = [];
  const outlines = [before, after].map(({ firing }) => footprintWords(firing.body.footprint, unit));
  if (outlines[0] !== outlines[1]) said.push(`Outline: ${outlines[1]} for ${outlines[0]}.`);
  const count = Math.max(before.layers.length, after.layers.length);
  for (let i = 0; i < count; i += 1) {
    const [one, other] = [before.layers[i], after.layers[i]].map((layer) => (layer ? layerWords(layer, unit) : null));
    if (one === other) continue;
    if (other === null) said.push(`Layer ${i + 1} from the shelf left out: ${one}.`);
    else if (one === null) said.push(`Layer ${i + 1} from the shelf more: ${other}.`);
    else said.push(`Layer ${i + 1} from the shelf: ${other} for ${one}.`);
  }
  return said;
}

function setupDifferences(before: FiringDetail, after: FiringDetail): string[] {
  const [one, other] = [before.schedule.snapshot, after.schedule.snapshot];
  const said = caseDifferences(one.firing, other.firing);
  const pairs: [string, string, string][] = [
    ['Stands on', setupWords(one.setup, one.firing.setup.coat?.name), setupWords(other.setup, other.firing.setup.coat?.name)],
    ['Kiln', one.kilnName, other.kilnName],
    ['Place', before.firing.place || 'not said', after.firing.place || 'not said'],
  ];
  for (const [what, was, is] of pairs) if (was !== is) said.push(`${what}: ${is} for ${was}.`);
  return said;
}

/** The segments that ran and the engine's word on them. */
export const asRun = ({ firing, schedule, asFiredResult }: FiringDetail) =>
  firing.asFired && asFiredResult ? { segments: firing.asFired, evaluation: asFiredResult } : { segments: schedule.segments, evaluation: schedule.result };

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
