/** Castings and tacked bodies, drawn by a seed, and what the second solver makes of the way down that is composed for each. */
import { hottestSegment } from '../packages/core/src/heat/regimes';
import { bodyNamed, composed } from '../packages/core/src/bodies.testCases';
import { resolved } from '../packages/core/src/schedule/resolved';
import type { Footprint } from '@torvin/core/body';
import { type FiringCase, setUpOf } from '@torvin/core/schedule';
import { type Asked, type SecondField, secondField } from './secondField';
import { spelledOut } from './secondOpinion';

/** Cells through the thickest section: finer ones move what stays by a hundredth, in three dimensions by four. */
const CELLS = { round: 6, strip: 6, block: 6 } as const;
const STRESS_S = 240;

function drawing(seed: number): (from: number, to: number) => number {
  let state = Math.imul(seed, 0x9e3779b1) >>> 0;
  return (from, to) => {
    for (let i = 0; i < 3; i += 1) state = (Math.imul(state ^ (state >>> 15), 0x2c1b3c6d) + 0x6d2b79f5) >>> 0;
    return from + ((to - from) * state) / 2 ** 32;
  };
}

export interface Drawn {
  name: string;
  firing: FiringCase;
  body: Pick<Asked, 'shape' | 'parts' | 'length_m' | 'level' | 'beside'>;
}

const mm = (metres: number): string => (1000 * metres).toFixed(0);
const shared = (width_m: number, share: number, depths_m: readonly [number, number]): Asked['parts'] => [
  { width_m: share * width_m, depth_m: depths_m[0] },
  { width_m: (1 - share) * width_m, depth_m: depths_m[1] },
];

/** Filled in its mould, as deep on the mean as both its sections. */
function casting(
  seed: number,
  footprint: Footprint,
  [thick_m, thin_m]: readonly [number, number],
  wall_m: number,
): Pick<Drawn, 'firing'> & { beside: Asked['beside'] } {
  const base = bodyNamed(seed % 3 === 0 ? 'cast of soft sheet, 40 mm' : 'cast, 100 mm');
  const setup = setUpOf({ kind: 'inInvestment', paper: false, shaping: { kind: 'cavity', thick_m, thin_m, wall_m } });
  const wall = setup.below.at(-1);
  if (!wall) throw new Error('A casting has a mould.');
  const layers: FiringCase['body']['layers'] = [{ form: 'sheet', glass: 0, thickness_m: (thick_m + thin_m) / 2 }];
  return { firing: { ...base, setup, body: { ...base.body, footprint, layers } }, beside: { ...wall, thickness_m: wall_m } };
}

function roundCasting(seed: number): Drawn {
  const draw = drawing(seed);
  const [thick_m, ratio, across_m, wall_m] = [draw(0.025, 0.1), draw(0.4, 0.95), draw(0.1, 0.25), draw(0.02, 0.04)];
  const depths_m = [thick_m, ratio * thick_m] as const;
  const { firing, beside } = casting(seed, { shape: 'disc', diameter_m: across_m }, depths_m, wall_m);
  return {
    name: `cast ${mm(depths_m[0])} and ${mm(depths_m[1])} mm, ${mm(across_m)} mm across, in ${mm(wall_m)} mm`,
    firing,
    // As much of its area thick as thin, the thick in the middle.
    body: { shape: 'round', level: 'top', parts: shared(across_m / 2, Math.SQRT1_2, depths_m), beside },
  };
}

function blockCasting(seed: number): Drawn {
  const draw = drawing(seed);
  const [thick_m, ratio, side_m, longer, wall_m] = [draw(0.025, 0.08), draw(0.5, 1), draw(0.09, 0.18), draw(1, 2), draw(0.02, 0.035)];
  const depths_m = [thick_m, ratio * thick_m] as const;
  const length_m = longer * side_m;
  const { firing, beside } = casting(seed, { shape: 'rectangle', width_m: side_m, length_m }, depths_m, wall_m);
  return {
    name: `cast ${mm(depths_m[0])} and ${mm(depths_m[1])} mm, a block of ${mm(side_m)} by ${mm(length_m)} mm, in ${mm(wall_m)} mm`,
    firing,
    body: { shape: 'block', level: 'top', parts: shared(side_m / 2, 0.5, depths_m), length_m, beside },
  };
}

function tacked(seed: number): Drawn {
  const draw = drawing(seed);
  const [sheet_m, part_m, width_m, cover] = [draw(0.006, 0.015), draw(0.004, 0.012), draw(0.02, 0.08), draw(0.25, 0.6)];
  const base = bodyNamed('two sheets, tack');
  const count = Math.max(1, Math.round((cover * 0.09) / width_m ** 2));
  const parts = [{ glass: 0, thickness_m: part_m, area_m2: width_m ** 2, count }];
  return {
    name: `${mm(part_m)} on ${mm(sheet_m)} mm, ${mm(width_m)} mm wide`,
    firing: { ...base, body: { ...base.body, layers: [{ form: 'sheet', glass: 0, thickness_m: sheet_m }], parts } },
    body: { shape: 'strip', level: 'bottom', parts: shared(width_m, (count * width_m ** 2) / 0.09, [sheet_m + part_m, sheet_m]) },
  };
}

/** What the second solver makes of the way down that is composed for a body, beside the tension left that it was composed by. */
export function opinionOn({ firing, body }: Drawn): SecondField & { ours_Pa: number } {
  const { segments, evaluation } = composed(firing);
  const { glass, setup, regimes } = resolved(firing);
  const ends_s = evaluation.simulation.segments.map(({ end_s }) => end_s);
  const hottest = hottestSegment(segments);
  // Where the kiln falls by itself, at its mean over that way.
  const down = segments.slice(hottest + 1).map(({ target_C, hold_s }, at) => {
    const i = hottest + 1 + at;
    const ramp_s = ends_s[i] - ends_s[i - 1] - hold_s;
    return { rate_C_per_h: (3600 * (segments[i - 1].target_C - target_C)) / ramp_s, target_C, hold_s };
  });
  const thick_m = Math.max(...body.parts.map(({ depth_m }) => depth_m));
  const second = secondField(
    {
      ...{ ...body, glass, under: setup.below, faces: setup.faces, segments: down, start_C: segments[hottest].target_C },
      ...{ setsTo_C: regimes.setsTo_C, cell_m: thick_m / CELLS[body.shape], stress_s: STRESS_S },
    },
    spelledOut(glass),
  );
  return { ...second, ours_Pa: Math.max(...evaluation.readings.filter(({ limit }) => limit === 'residual').map(({ value }) => value)) };
}

/** How many of each. */
export interface Counts {
  castings: number;
  blocks: number;
  tacked: number;
}

export const drawnBodies = ({ castings, blocks, tacked: relief }: Counts): Drawn[] => [
  ...Array.from({ length: castings }, (_, i) => roundCasting(i + 1)),
  ...Array.from({ length: blocks }, (_, i) => blockCasting(i + 61)),
  ...Array.from({ length: relief }, (_, i) => tacked(i + 101)),
];
