/**
 * The blank for a form: how large it is cut to sink into a hollow or to hang over a former.
 *
 * Into a hollow: a sheet that is free to slide carries no load at its edge, and then the mean of the stress in it is nothing (Chree 1892;
 * the mean-stress theorem), so that it keeps its area as a whole, thinner in the middle and thicker at the rim. The blank has as much area as
 * what it comes to lie on. Of a shallow round bowl that is three quarters of what the way over it is longer than the rim. Where its rim is
 * held fast it stretches instead, and the rim is all that is needed: a studio's own last result tells where between the two it is.
 *
 * Over a former: the skirt bends and does not stretch, so the blank is as wide as the way over the top. What a round one has too much of
 * rim hangs in folds.
 *
 * Either way it is the middle of the sheet that keeps its size where it bends: within a hollow it lies half a thickness inside of what was
 * measured, over an edge half a thickness outside. Lengths in m.
 */
import { CORNERS_AT_MOST, type Footprint, footprintArea, scaledBy } from '../body/footprint';
import { type Opening, overhangThatHolds, rimToSpare, workToDrape, workToSag } from '../flow/sag';
import type { GlassConstants } from '../glass/constants';
import { type Outcome, found, refused } from '../problem';
import { type HollowForm, type Measured, type Plan, formSurface, lobedRadius, openingOf, planArea } from '../form/surface';

/** How far an edge ended over where it was meant to end, on each side of the kiln; negative where it fell short. */
export interface OverBySide {
  door_m: number;
  back_m: number;
  left_m: number;
  right_m: number;
}

interface Cut {
  glass: GlassConstants;
  thickness_m: number;
  /** What was cut last time, across and along, and how it came out: it stands before the sum. */
  last?: { across_m: number; along_m?: number; over: OverBySide };
}

export type BlankAsked =
  /** under_m: so far below the rim, along the wall, its edge is to end. */
  | (Cut & { way: 'into'; form: HollowForm; under_m: number })
  /** form.depth_m: from its top to the shelf. hang_m: how far down its sides the edge is to come, where no tape tells it. */
  | (Cut & { way: 'over'; form: HollowForm; hang_m?: number });

/** What its firing is to be computed by: the hollow that it spans, or how far it stands out over a former and comes down. */
export type ShapedBy = ({ kind: 'hollow'; depth_m: number } & Opening) | { kind: 'former'; overhang_m: number; drop_m: number; former_m?: number };

export interface BlankTold {
  outline: Footprint;
  /** Across, and along where it has two sizes. */
  sizes_m: number[];
  /** By the sum alone, where last time's result stands before it, or where so much would stand out over a rim that it hooks. */
  summed_m: number[];
  /** Area of its middle as it comes to lie, m². */
  lies_m2: number;
  /** What bending over the edges of a former takes of each of its sizes, m; 0 in a hollow. */
  bend_m: number;
  mass_kg: number;
  /** How far it stands out over the rim or the former on each side, across and along; negative where it lies within the rim. */
  stands_m: number[];
  /** How far this thickness may stand out before its edge is a millimetre down by the heat of this firing. */
  bears_m: number;
  /** How far below the rim a blank as large as the rim itself would end; null over a former. */
  rimEnds_m: number | null;
  /** From its lowest edge to the shelf; negative where it would stand on it. Null in a hollow. */
  clearance_m: number | null;
  /** Share of its rim that it has too much over a round former; null where it does not fold. */
  spare: number | null;
  /** To be laid so much further from the door, and from the left; negative: nearer. Null without a last one. */
  shift: { fromDoor_m: number; fromLeft_m: number; /** What it would still be off on its worst side. */ left_m: number } | null;
  shaping: ShapedBy;
  /** The form cut through: from the middle out and up, half of it; of a former down from its top. */
  section: { out_m: number; up_m: number }[];
}

/** An edge that hooks over a rim is seen from here on. */
const HOOKS_M = 0.001;
/** Beside a tip a valley of a folded skirt stands out by so much less, as a square's sides do beside its corners: its glass is down a quarter as soon. */
export const VALLEY = Math.SQRT1_2;
const LARGEST_M = 2;
const SMALLEST_M = 0.01;

const isLobed = ({ plan, lobes }: HollowForm): boolean => plan === 'lobed' || (lobes ?? 0) > 1;
const halved = (sizes_m: readonly number[]): number[] => sizes_m.map((size) => size / 2);
const waysOf = ({ plan, across, along }: HollowForm): Measured[] => (plan === 'round' || !along ? [across] : [across, along]);

/** An outline by its sizes: of a lobed one as many corners as are allowed, as much in area as the waves. */
function outlineOf(plan: Plan, lobes: number, [a, b = a]: readonly number[]): Footprint {
  switch (plan) {
    case 'round':
      return { shape: 'disc', diameter_m: a };
    case 'oval':
      return { shape: 'oval', width_m: a, length_m: b };
    case 'rectangle':
    case 'trough':
      return { shape: 'rectangle', width_m: a, length_m: b };
    case 'lobed': {
      const corners = lobes * Math.floor(CORNERS_AT_MOST / lobes);
      const waves: Footprint = {
        shape: 'polygon',
        corners_m: Array.from({ length: corners }, (_, i) => {
          const angle = (2 * Math.PI * i) / corners;
          const r = lobedRadius(a / 2, b / 2, lobes, angle);
          return [r * Math.cos(angle), r * Math.sin(angle)] as const;
        }),
      };
      return scaledBy(waves, Math.sqrt(planArea('lobed', [a / 2, b / 2]) / footprintArea(waves)));
    }
  }
}

/** Between the rim and the way over the form, in both directions alike, so that the blank has an area. */
function halvesOfArea(plan: Plan, reach: { half_m: number; way_m: number }[], area_m2: number): number[] {
  const at = (slides: number): number[] => reach.map(({ half_m, way_m }) => half_m + slides * (way_m - half_m));
  let [low, high] = [0, 1.5];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (planArea(plan, at(middle)) < area_m2) low = middle;
    else high = middle;
  }
  return at((low + high) / 2);
}

interface Reckoned {
  sizes_m: number[];
  lies_m2: number;
  rimEnds_m: number | null;
  shaping: BlankTold['shaping'];
  section: BlankTold['section'];
  /** Of the heat work that shapes it, 1/Pa. */
  work_perPa: number;
  /** Over a former: how far down its lowest edge hangs. */
  hangs_m: number | null;
  bend_m: number;
}

function into({ glass, thickness_m, form, under_m }: Extract<BlankAsked, { way: 'into' }>): Outcome<Reckoned> {
  const surface = formSurface(form, thickness_m / 2);
  if (!surface.ok) return surface;
  const { wall_m, depth_m, section, areaTo, shareAt, reachesAt } = surface.value;
  if (under_m >= wall_m) return refused('impossible', 'under_m', 'Its edge cannot end lower than the wall is long: that would be on the floor.');
  const share = 1 - under_m / wall_m;
  const lies_m2 = areaTo(share);
  const sizes_m = halvesOfArea(form.plan, reachesAt(share), lies_m2).map((half) => 2 * half);
  const rims = waysOf(form).map(({ rim_m }) => rim_m);
  const opening = openingOf(form, ...(rims as [number, number?]));
  return found({
    ...{ sizes_m, lies_m2, section, hangs_m: null, bend_m: 0 },
    rimEnds_m: wall_m * (1 - shareAt(planArea(form.plan, halved(rims)))),
    shaping: { kind: 'hollow', ...opening, depth_m },
    work_perPa: workToSag(glass, opening, thickness_m, depth_m),
  });
}

function over({ glass, thickness_m, form, hang_m }: Extract<BlankAsked, { way: 'over' }>): Outcome<Reckoned> {
  const ways = waysOf(form);
  const hangs: number[] = [];
  for (const [i, { rim_m, tape_m }] of ways.entries()) {
    // A trough over a ridge hangs on two sides alone.
    if (form.plan === 'trough' && i === 1) {
      hangs.push(0);
      continue;
    }
    const hang = tape_m === undefined ? hang_m : (tape_m - rim_m) / 2;
    if (hang === undefined) return refused('missing', 'hang_m', 'Enter how far down its edge should come, or the tape over the top from edge to edge.');
    if (hang <= 0)
      return refused(
        'impossible',
        tape_m === undefined ? 'hang_m' : `form.${i === 0 ? 'across' : 'along'}.tape_m`,
        'The tape must be longer than the top is wide: lay it over the top and down both sides.',
      );
    hangs.push(hang);
  }
  const folds = form.plan === 'round' && isLobed(form);
  const plan = folds ? 'lobed' : form.plan;
  // Sides that stand out towards the foot bring the edge less far down than they are long, and bend it less.
  const out_m = form.across.floor_m === undefined ? 0 : Math.max((form.across.floor_m - form.across.rim_m) / 2, 0);
  const steep = form.depth_m / (form.wall_m ?? Math.hypot(out_m, form.depth_m));
  const bend_m = thickness_m * Math.atan2(form.depth_m, out_m);
  const sizes_m = ways.map(({ rim_m }, i) => rim_m + (hangs[i] > 0 ? 2 * hangs[i] + bend_m : 0));
  if (folds) sizes_m.push(form.across.rim_m + 2 * hangs[0] * VALLEY + bend_m);
  const skirts = hangs.filter((hang) => hang > 0);
  const least = Math.min(...skirts);
  // A corner hangs by both sides' skirts together.
  const longest = plan === 'rectangle' ? Math.hypot(...hangs) : Math.max(...hangs);
  const top = form.across.rim_m / 2;
  return found({
    ...{
      sizes_m,
      lies_m2: planArea(plan, halved(sizes_m)),
      rimEnds_m: null,
      bend_m,
      hangs_m: longest * steep,
    },
    shaping: { kind: 'former', overhang_m: least + bend_m / 2, drop_m: least * steep, ...(form.plan === 'round' ? { former_m: form.across.rim_m } : {}) },
    section: form.points_m
      ? [...form.points_m]
      : [
          { out_m: 0, up_m: form.depth_m },
          { out_m: top, up_m: form.depth_m },
          { out_m: top + out_m, up_m: 0 },
        ],
    work_perPa: workToDrape(glass, least + bend_m / 2, thickness_m, least * steep),
  });
}

/** What came of the last blank, taken off it: of round ones by the mean of all sides, of others each way by its two. */
function corrected(
  plan: Plan,
  { across_m, along_m, over: { door_m, back_m, left_m, right_m } }: NonNullable<Cut['last']>,
  sizes: number,
): { sizes_m: number[]; shift: NonNullable<BlankTold['shift']> } {
  const [acrossOver, alongOver] = [left_m + right_m, door_m + back_m];
  const keepsForm = plan === 'round' || plan === 'lobed';
  const [offAcross, offAlong] = keepsForm ? [(acrossOver + alongOver) / 2, (acrossOver + alongOver) / 2] : [acrossOver, alongOver];
  const [fromDoor_m, fromLeft_m] = [(door_m - back_m) / 2, (left_m - right_m) / 2];
  const still = [
    left_m - offAcross / 2 - fromLeft_m,
    right_m - offAcross / 2 + fromLeft_m,
    door_m - offAlong / 2 - fromDoor_m,
    back_m - offAlong / 2 + fromDoor_m,
  ];
  return {
    sizes_m: [across_m - offAcross, ...(sizes > 1 && along_m !== undefined ? [along_m - offAlong] : [])],
    shift: { fromDoor_m, fromLeft_m, left_m: Math.max(...still.map(Math.abs)) },
  };
}

export function blank(asked: BlankAsked): Outcome<BlankTold> {
  const { form, glass, thickness_m, last } = asked;
  const reckoned = asked.way === 'into' ? into(asked) : over(asked);
  if (!reckoned.ok) return reckoned;
  const { sizes_m: summed_m, lies_m2, bend_m, rimEnds_m, shaping, section, work_perPa, hangs_m } = reckoned.value;
  if (last && summed_m.length > 1 && last.along_m === undefined) return refused('missing', 'last.along_m', 'Tell both sizes of the last blank.');
  const plan: Plan = form.plan === 'round' && asked.way === 'over' && isLobed(form) ? 'lobed' : form.plan;
  const next = last ? corrected(plan, last, summed_m.length) : null;
  const rims = waysOf(form).map(({ rim_m }) => rim_m);
  const bears_m = overhangThatHolds(glass, thickness_m, HOOKS_M, work_perPa);
  // What would stand out so far over a rim that it hooks before it slides in is cut smaller, and ends lower; a trough is open at its ends.
  const borne = (size_m: number, i: number): number =>
    asked.way === 'into' && !(form.plan === 'trough' && i === 1) ? Math.min(size_m, rims[i] + 2 * bears_m) : size_m;
  const sizes_m = next?.sizes_m ?? summed_m.map(borne);
  if (sizes_m.some((size) => !(size >= SMALLEST_M && size <= LARGEST_M)))
    return refused(
      'out-of-range',
      last ? 'last' : 'form.across.rim_m',
      `No blank of this size is cut${last ? ': check last time’s size and what it was over' : ''}.`,
    );
  if (plan === 'lobed' && sizes_m[1] > sizes_m[0])
    return refused('impossible', 'last.along_m', 'Between two lobes it cannot be wider than over a lobe: change the two round.');
  const outline = outlineOf(plan, form.lobes ?? 0, sizes_m);
  const stands_m = sizes_m.map((size, i) => (size - (rims[i] ?? rims[0])) / 2);
  // What is cut otherwise than by the sum hangs as much lower or higher.
  const hangs = hangs_m === null ? null : hangs_m + Math.max(...sizes_m.map((size, i) => (size - summed_m[i]) / 2));
  return found({
    ...{ outline, sizes_m, summed_m, lies_m2, bend_m, stands_m, rimEnds_m, shaping, section },
    mass_kg: footprintArea(outline) * thickness_m * glass.density_kg_m3,
    bears_m,
    clearance_m: hangs === null ? null : form.depth_m - hangs,
    spare: asked.way === 'over' && form.plan === 'round' ? rimToSpare(sizes_m[0], rims[0]) : null,
    shift: next?.shift ?? null,
  });
}
