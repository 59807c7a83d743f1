/**
 * What a body that is no even plate cools as: a casting in its mould as a block of its two sections, uneven work as the strip from the
 * middle of a thick place to the middle of a thin one.
 */
import { bodyFigures } from '../body/body';
import { footprintNarrow } from '../body/footprint';
import type { UnevenBody } from '../field/body';
import type { GlassConstants } from '../glass/constants';
import { radiantConductivity } from '../heat/clearGlass';
import { type Face, exchange } from '../heat/exchange';
import type { Regimes } from '../heat/regimes';
import type { StackLayer } from '../heat/stack';
import { RECIPES } from '../look/recipes/all';
import type { Filled } from '../look/recipe';
import { cavityOf } from '../look/shaping';
import { unlikeColumns } from './unlike';
import type { FiringCase } from './firingCase';
import { BULGE_RESERVE, type Limits } from './limits';
import { type SetUp, facesOf, overGlass } from './setups';

type SupportLayer = Extract<StackLayer, { of: 'support' }>;

/** A body that cools by its field: what that is solved for (./unevenCooling). */
export interface Uneven extends Sections {
  /** Cast in a mould that stands round it. */
  inMould: boolean;
  /** One solid fills that from the start: it is warmed as it will be cooled, from all round, its inside lagging. */
  isOneBlock: boolean;
  /** Cooled no faster than an even plate with one open face, as deep as it is thick. */
  isCapped: boolean;
  /** While it sets, and in a cold kiln. */
  body: OpenedBody;
  cold: OpenedBody;
  bulgeReserve: number;
  /** Of its set-up; index 0 at the bottom, and at the glass. */
  faces: SetUp['faces'];
  below: readonly SupportLayer[];
  above: readonly SupportLayer[];
}

type OpenedBody = UnevenBody & { exchange_W_m2K: Opened };

/** Kiln of the last cool in which a rim lags most behind what the kiln gives, °C: the colder, the less a face exchanges. */
const COLD_C = 150;
/** Many times as many change what it differs by, and its bulge, by a fiftieth. A rim's coldest corner is told a tenth too low: tension there has its reserve. */
const MESH = { cellsAtMost: 2000, fineness: 16 } as const;
const BLOCK_CELLS = 4000;
/** What takes less than this share of a way is left out of it. */
const LEAST_SHARE = 1e-3;

const exchangeAt = (face: Face, at_C: number): number => exchange(face, at_C, at_C);

/** From thick to thin in a shell, as a share of its side: nobody tells. */
const SHELL_APART = 1 / 4;

interface Sections {
  thick_m: number;
  thin_m: number;
}

/** Widths of what is thick and what is thin of a way, m, by how deep the whole is on the mean. */
function sharedOut(way_m: number, { thick_m, thin_m, mean_m }: Sections & { mean_m: number }): UnevenBody['parts'] {
  const share = thick_m > thin_m ? Math.min(Math.max((mean_m - thin_m) / (thick_m - thin_m), 0), 1) : 1;
  const widths: [number, number][] = [
    [share * way_m, thick_m],
    [(1 - share) * way_m, thin_m],
  ];
  return widths.flatMap(([width_m, depth_m]) => (width_m >= LEAST_SHARE * way_m ? [{ width_m, depth_m }] : []));
}

interface Shaped extends Sections {
  body: OpenedBody;
}

interface Opened {
  top: number;
  side: number;
  bottom: number;
}

const opened = ({ top, bottom }: SetUp['faces'], at_C: number): Opened => ({
  top: exchangeAt(top, at_C),
  side: exchangeAt(top, at_C),
  bottom: exchangeAt(bottom, at_C),
});

/** Round, or a block: as large as its volume asks for, in the outline that it has; where that is neither a disc nor a rectangle a square, which holds its heat longest. */
function blockOf({ body }: Pick<FiringCase, 'body'>, { thick_m, thin_m }: Sections): Pick<UnevenBody, 'shape' | 'parts' | 'length_m' | 'cellsAtMost'> {
  const { footprint } = body;
  const mean_m = (thick_m + thin_m) / 2;
  const area_m2 = bodyFigures(body).volume_m3 / mean_m;
  if (footprint.shape === 'disc') {
    const radius_m = Math.max(Math.sqrt(area_m2 / Math.PI), thick_m / 2);
    // As much of its area thick as thin, the thick in the middle.
    const parts = thick_m > thin_m ? [radius_m * Math.SQRT1_2, radius_m * (1 - Math.SQRT1_2)] : [radius_m];
    return { shape: 'round', parts: parts.map((width_m, i) => ({ width_m, depth_m: i === 0 ? thick_m : thin_m })) };
  }
  const longer = footprint.shape === 'rectangle' ? Math.max(footprint.width_m, footprint.length_m) / Math.min(footprint.width_m, footprint.length_m) : 1;
  const side_m = Math.max(Math.sqrt(area_m2 / longer), thick_m);
  return { shape: 'box', cellsAtMost: BLOCK_CELLS, parts: sharedOut(side_m / 2, { thick_m, thin_m, mean_m }), length_m: Math.max(area_m2 / side_m, thick_m) };
}

/** A rod as a square bar, which holds its heat longer; a ball as a cylinder as high as wide. */
function slenderOf(
  form: NonNullable<Filled['slender']>,
  volume_m3: number,
  across_m: number,
): Pick<UnevenBody, 'shape' | 'parts' | 'length_m' | 'cellsAtMost'> {
  const parts = [{ width_m: across_m / 2, depth_m: across_m }];
  if (form === 'sphere') return { shape: 'round', parts };
  return { shape: 'box', cellsAtMost: BLOCK_CELLS, parts, length_m: Math.max((4 * volume_m3) / (Math.PI * across_m ** 2), across_m) };
}

/** In its mould, which stands round it too; round a core glass is a shell, with no rim of its own. */
function castingOf({ body, setup }: Pick<FiringCase, 'body' | 'setup'>, glass: GlassConstants, { thick_m, thin_m, slender }: Filled, at_C: number): Shaped {
  const cavity = cavityOf(setup.shaping);
  const mould = setup.below.at(-1);
  const laid = {
    ...({ level: 'top', glass, under: setup.below, over: overGlass(setup), ...MESH } as const),
    exchange_W_m2K: opened(facesOf(setup), at_C),
  };
  if (cavity?.kind === 'core') {
    const mean_m = (thick_m + thin_m) / 2;
    const side_m = Math.sqrt(bodyFigures(body).volume_m3 / mean_m);
    const parts = sharedOut(Math.max(side_m * SHELL_APART, thick_m), { thick_m, thin_m, mean_m });
    return { body: { ...laid, shape: 'section', mirrored: true, parts }, thick_m, thin_m };
  }
  const beside = mould && cavity ? { beside: { ...mould, thickness_m: cavity.wall_m } } : {};
  return {
    body: { ...laid, ...beside, ...(slender ? slenderOf(slender, bodyFigures(body).volume_m3, thick_m) : blockOf({ body }, { thick_m, thin_m })) },
    thick_m,
    thin_m,
  };
}

/** From the middle of what is thick to the middle of what is thin, and on as its mirror image. */
function plateOf({ body, setup }: Pick<FiringCase, 'body' | 'setup'>, glass: GlassConstants, at_C: number): Shaped | null {
  const unlike = unlikeColumns(body);
  if (!unlike) return null;
  const { thick_m, thin_m, apart_m } = unlike;
  return {
    body: {
      ...({ shape: 'section', mirrored: true, level: 'bottom', glass, under: setup.below, ...MESH } as const),
      parts: sharedOut(Math.min(apart_m, footprintNarrow(body.footprint)), { thick_m, thin_m, mean_m: bodyFigures(body).depth.mean_m }),
      exchange_W_m2K: opened(facesOf(setup), at_C),
    },
    ...{ thick_m, thin_m },
  };
}

const isOneSolid = ({ joined, layers }: FiringCase['body']): boolean => joined || (layers.length === 1 && layers[0].form === 'sheet');

/** filled: what it ends as in a mould; null where it fills none. Null where it is an even plate, or a rod or a ball that lies free. */
export function unevenOf(
  firing: Pick<FiringCase, 'body' | 'setup' | 'look' | 'limits'>,
  glass: GlassConstants,
  regimes: Regimes,
  filled: Filled | null,
): Uneven | null {
  const { body, setup, look, limits } = firing;
  const at = (at_C: number): Shaped | null => {
    const thick_m = filled?.thick_m ?? bodyFigures(body).depth.max_m;
    const conducting = { ...glass, conductivity_W_mK: glass.conductivity_W_mK + radiantConductivity(glass, at_C, thick_m) };
    if (filled) return castingOf(firing, conducting, filled, at_C);
    if (body.casting?.slender || (RECIPES[look].levels && !body.casting)) return null;
    return plateOf(firing, conducting, at_C);
  };
  const [sets, cold] = [at((glass.annealing_C + regimes.setsTo_C) / 2), at(COLD_C)];
  if (!sets || !cold) return null;
  const { thick_m, thin_m } = sets;
  const { below } = setup;
  const faces = facesOf(setup);
  return {
    ...{ thick_m, thin_m, inMould: filled !== null, isOneBlock: filled !== null && isOneSolid(body), body: sets.body, cold: cold.body },
    // Work on a shelf and a shell round a core are known to give off their heat to one side alone.
    isCapped: sets.body.shape === 'section',
    ...{ bulgeReserve: limits.bulgeReserve ?? BULGE_RESERVE, faces, below, above: overGlass(setup) },
  };
}

/** On tension on the way down. */
export const coolPullReserve = ({ uneven, limits: { pullReserve, coolPullReserve: own = pullReserve } }: { uneven: Uneven | null; limits: Limits }): number =>
  uneven ? own : pullReserve;
