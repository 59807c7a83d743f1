/**
 * A mould, a former, a dam: what shapes glass, by the few measures that people take of it. One flat record of plain figures, as it stands
 * on the shelf and as a firing keeps it. Lengths in m.
 */
import type { Footprint } from '../body/footprint';
import { type Outcome, type Problem, refused } from '../problem';
import { METRES_PER_INCH } from '../units/convert';
import { TOP_ENDS_DEG, sidesDown, topEnd, topHalf, wayDown } from './overPoints';
import { type OwnMaterial, materialOf } from './materials';
import { type FormSurface, type HollowForm, type Plan, type SectionPoint, formSurface, planArea } from './surface';

export const FORM_USES = ['hollow', 'former', 'dam', 'texture', 'cavity', 'grid', 'shelf'] as const;
/** hollow: glass sinks into it; former: it hangs over it; dam: round glass on a shelf; texture: a plate that prints; cavity: to cast into; grid: to drip through; shelf: a kiln shelf, which all of them may stand on. */
export type FormUse = (typeof FORM_USES)[number];

export const BOTTOMS = ['closed', 'loose', 'open'] as const;
export type Bottom = (typeof BOTTOMS)[number];

/** From the lowest place of a form made by hand to its rim, on each side as it stands in the kiln. */
export interface FourSides {
  left_m?: number;
  right_m?: number;
  door_m?: number;
  back_m?: number;
}

export interface FormShape extends OwnMaterial, FourSides {
  use: FormUse;
  plan: Plan;
  /** Inside at the rim; of a former over its top; of a plate the plate. */
  across_m: number;
  /** The other way; of a lobed one where two lobes meet. Round ones have none. */
  along_m?: number;
  /** Its floor inside; of a former its foot. */
  floor_m?: number;
  floorAlong_m?: number;
  /** Inside from rim to floor; of a former and a dam how high; of a plate its relief; of a shelf nothing. */
  deep_m: number;
  /** Along the wall from floor to rim, as a tape tells. */
  wall_m?: number;
  /** How far a straight wall leans out, degrees off upright, in place of the floor. */
  lean_deg?: number;
  /** Radius by which the floor turns up. */
  foot_m?: number;
  /** Its section as it was taken: of a hollow from the middle to the rim, and stands before floor, depth and wall; of a former from the middle of its top to the foot. */
  points_m?: readonly SectionPoint[];
  lobes?: number;
  /** A floor that is one with it, lies loose in it, or none: glass sinks to the shelf then. */
  bottom?: Bottom;
  /** Wider below than at its rim, and meant so: it is broken away, or bends. */
  undercut?: boolean;
  /** Broken, dug or soaked away after its firing: nothing has to let go. */
  once?: boolean;
  /** Paper or blanket on its walls and floor. */
  liner_m?: number;
  /** Its wall, its plate, or the floor with the holes. */
  thick_m: number;
  /** Of a cavity: its thickest and its thinnest section of glass, its finest detail, its core. */
  thickest_m?: number;
  thinnest_m?: number;
  detail_m?: number;
  core_m?: number;
  /** Of a cavity: the water that fills it, kg. */
  water_kg?: number;
  /** Of a grid or a pot. */
  holes?: number;
  hole_m?: number;
}

/** What weighed water tells of a volume, kg/m³. */
export const WATER_KG_M3 = 1000;

const hasTwo = ({ plan }: Pick<FormShape, 'plan'>): boolean => plan !== 'round';

/** Along, where it has a second size; as wide as across where that is not told. */
export const alongOf = (form: Pick<FormShape, 'plan' | 'across_m' | 'along_m'>): number => (hasTwo(form) ? (form.along_m ?? form.across_m) : form.across_m);

/** How deep it is by its points, where those were taken, or as it is told; a former's points are held to what is told. */
export const depthOf = ({ points_m, deep_m, use }: Pick<FormShape, 'points_m' | 'deep_m' | 'use'>): number => {
  if (!points_m || use === 'former') return deep_m;
  const ups = points_m.map(({ up_m }) => up_m);
  return ups[ups.length - 1] - Math.min(...ups);
};

/** Measured wider below than at the rim, and meant so: as its points would be. */
const undercutPoints = ({ undercut, floor_m, across_m, deep_m }: FormShape): readonly SectionPoint[] | undefined =>
  undercut && floor_m !== undefined && floor_m > across_m
    ? [
        { out_m: 0, up_m: 0 },
        { out_m: floor_m / 2, up_m: 0 },
        { out_m: across_m / 2, up_m: deep_m },
      ]
    : undefined;

/** What is hollow in it, as a surface is reckoned from; the walls of a dam and of a pot stand upright. */
export function hollowOf(form: FormShape): HollowForm {
  const { plan, floor_m, floorAlong_m, wall_m, lean_deg, foot_m, lobes, use } = form;
  const upright = use === 'dam' || use === 'grid';
  const points_m = upright ? undefined : (form.points_m ?? undercutPoints(form));
  // The liner of a dam is on its walls; what lies on the shelf is the shelf's.
  const less_m = use === 'dam' ? 2 * (form.liner_m ?? 0) : 0;
  const [across_m, along_m] = [form.across_m - less_m, alongOf(form) - less_m];
  const low = points_m ? Math.min(...points_m.map(({ up_m }) => up_m)) : 0;
  const maybe = (own: number | undefined, straight: number): { floor_m?: number } =>
    upright ? { floor_m: straight } : own === undefined || points_m ? {} : { floor_m: own };
  return {
    plan,
    across: { rim_m: across_m, ...maybe(floor_m, across_m) },
    ...(hasTwo(form) ? { along: { rim_m: along_m, ...maybe(floorAlong_m, along_m) } } : {}),
    depth_m: depthOf(form),
    ...(upright || wall_m === undefined ? {} : { wall_m }),
    ...(upright || lean_deg === undefined ? {} : { lean_deg }),
    ...(upright || foot_m === undefined ? {} : { foot_m }),
    ...(points_m ? { points_m: points_m.map(({ out_m, up_m }) => ({ out_m, up_m: up_m - low })) } : {}),
    ...(lobes === undefined ? {} : { lobes }),
  };
}

/** Inside of what is hollow in it, within its liner. */
export const insideOf = (form: FormShape): Outcome<FormSurface> => formSurface(hollowOf(form), form.use === 'dam' ? 0 : (form.liner_m ?? 0));

const isHollow = ({ use }: Pick<FormShape, 'use'>): boolean => use === 'hollow' || use === 'dam' || use === 'cavity';

/** Seen from above, inside, less its liner: what a dam gives its glass. */
export function outlineIn(form: FormShape): Footprint {
  const [across, along] = [form.across_m - 2 * (form.liner_m ?? 0), alongOf(form) - 2 * (form.liner_m ?? 0)];
  switch (form.plan) {
    case 'round':
    case 'lobed':
      return { shape: 'disc', diameter_m: across };
    case 'oval':
      return { shape: 'oval', width_m: across, length_m: along };
    default:
      return { shape: 'rectangle', width_m: across, length_m: along };
  }
}

/** Of a cavity: the water that fills it, kg, as it was weighed or by its measures; undefined where a core takes part of it that nobody measured. */
export function waterIn(form: FormShape): number | undefined {
  if (form.use !== 'cavity' || form.water_kg !== undefined || form.core_m !== undefined) return form.water_kg;
  const inside = insideOf(form);
  return inside.ok ? inside.value.heldTo(Infinity) * WATER_KG_M3 : undefined;
}

/** Its surface that glass touches or that stands round it, m²: of a hollow its inside, of a former its top and sides, of all else its plan. */
export function touchedArea(form: FormShape): number {
  const plan = planArea(form.plan, [form.across_m / 2, alongOf(form) / 2]);
  if (form.use === 'former') return plan + risenArea(form) + sidesArea(form);
  const inside = isHollow(form) ? insideOf({ ...form, liner_m: 0 }) : null;
  return inside?.ok ? inside.value.areaTo(1) - (form.bottom === 'open' || form.use === 'dam' ? planArea(form.plan, floorHalves(form)) : 0) : plan;
}

const floorHalves = (form: FormShape): number[] =>
  form.use === 'dam' ? [form.across_m / 2, alongOf(form) / 2] : [(form.floor_m ?? 0) / 2, (form.floorAlong_m ?? form.floor_m ?? 0) / 2];

/** Round its top, m; an oval's by the mean of both ways, which is 1 % short for one twice as long as wide. */
const roundOf = (form: FormShape): number =>
  form.plan === 'rectangle' ? 2 * (form.across_m + alongOf(form)) : (Math.PI * (form.across_m + alongOf(form))) / 2;

/** A former's section from where its top ends to its foot. */
export const sidesOfFormer = ({ points_m, across_m, floor_m = across_m, deep_m }: FormShape): SectionPoint[] =>
  points_m
    ? sidesDown(points_m)
    : [
        { out_m: across_m / 2, up_m: deep_m },
        { out_m: floor_m / 2, up_m: 0 },
      ];

/** How long a side of a former is, m: from where its top would end as a plane, down to its foot. */
export const wayOfSide = ({ points_m, across_m, floor_m = across_m, deep_m }: FormShape): number =>
  points_m ? wayDown(points_m, 0) - across_m / 2 : Math.hypot(Math.max(floor_m - across_m, 0) / 2, deep_m);

/** Round it where it stands so far out over its top; what is bent one way is open at its ends. */
function roundAt(form: FormShape, out_m: number): number {
  if (form.plan === 'trough') return 2 * alongOf(form);
  return Math.max(roundOf(form) + (form.plan === 'rectangle' ? 8 : 2 * Math.PI) * (out_m - form.across_m / 2), 0);
}

/** Of strips round it, each so wide as it is told. */
const stripsRound = (form: FormShape, line: readonly SectionPoint[], wide: (out_m: number, up_m: number) => number): number =>
  line.slice(1).reduce((sum, { out_m, up_m }, i) => {
    const from = line[i];
    return sum + roundAt(form, (from.out_m + out_m) / 2) * wide(out_m - from.out_m, up_m - from.up_m);
  }, 0);

const sidesArea = (form: FormShape): number => stripsRound(form, sidesOfFormer(form), Math.hypot);

/** What a top that is no plane has more than its plan. */
const risenArea = (form: FormShape): number =>
  form.points_m ? stripsRound(form, form.points_m.slice(0, topEnd(form.points_m) + 1), (out_m, up_m) => Math.hypot(out_m, up_m) - out_m) : 0;

/** What its outside takes up, m³: a block of its own plan, as high as it stands. */
export function outsideVolume(form: FormShape): number {
  const { narrow_m, far_m, high_m } = roomOfForm(form);
  return (form.plan === 'rectangle' || form.plan === 'trough' ? 1 : Math.PI / 4) * narrow_m * far_m * high_m;
}

/** What it weighs, kg: by its surface and its wall; what is cast into by the block round its hollow. */
export function formMass(form: FormShape): number {
  const inside = form.use === 'cavity' ? insideOf({ ...form, liner_m: 0 }) : null;
  const solid_m3 = inside?.ok ? outsideVolume(form) - inside.value.heldTo(Infinity) : touchedArea(form) * form.thick_m;
  return solid_m3 * materialOf(form).density_kg_m3;
}

/** How thick a plate of its mass and of the glass's size is: what has to be warmed for each m² of glass, m. Between half its wall and four times it. */
export const plateOf = (form: FormShape, glass_m2: number): number => form.thick_m * Math.min(Math.max(touchedArea(form) / glass_m2, 0.5), 4);

/** Whether a line of points crosses itself. */
function crosses(points: readonly SectionPoint[]): boolean {
  const turn = (a: SectionPoint, b: SectionPoint, c: SectionPoint): number =>
    Math.sign((b.out_m - a.out_m) * (c.up_m - a.up_m) - (b.up_m - a.up_m) * (c.out_m - a.out_m));
  return points.slice(1).some((b, i) =>
    points.slice(i + 3).some((d, k) => {
      const [a, c] = [points[i], points[i + k + 2]];
      return turn(a, b, c) !== turn(a, b, d) && turn(c, d, a) !== turn(c, d, b);
    }),
  );
}

const wrong = (path: keyof FormShape, message: string): Problem => refused('impossible', path, message).problem;

function lineProblem(points_m: readonly SectionPoint[]): Problem | null {
  if (points_m.length < 2) return wrong('points_m', 'A section needs at least two points: its middle and its rim, or foot.');
  if (points_m[0].out_m !== 0) return wrong('points_m', 'The first point is the middle of the form: nothing out.');
  if (crosses(points_m)) return wrong('points_m', 'The section crosses itself: write its points in their order, from the middle outwards.');
  return null;
}

/** In both units, since what is wrong is said before anybody knows which one is written. */
const both = (metres: number): string => `${Math.round(1e4 * metres) / 10} mm (${(metres / METRES_PER_INCH).toFixed(2)} in)`;
const APART_M = 0.004;

/** The points of a former come to the same top, foot and height as are told besides, which all is reckoned with. */
function formerPointsProblem({ points_m = [], across_m, floor_m, deep_m, undercut }: FormShape): Problem | null {
  const line = lineProblem(points_m);
  if (line) return line;
  const [first, last] = [points_m[0], points_m[points_m.length - 1]];
  if (points_m.slice(1).some(({ up_m }, i) => up_m > points_m[i].up_m + 1e-9))
    return wrong('points_m', 'A former goes down all the way from the middle of its top to its foot: glass rests on its top.');
  const comesBack = points_m.slice(1).some(({ out_m }, i) => out_m < points_m[i].out_m - 1e-9);
  if (comesBack && !undercut)
    return wrong(
      'points_m',
      'The section comes back inwards on its way down: glass that hangs there is held. If the former is broken away, mark the undercut.',
    );
  const top_m = 2 * topHalf(points_m);
  if (top_m === 0) return wrong('points_m', 'The top comes to a point, on which no glass rests: take the places of its top too.');
  const off = (found_m: number, told_m: number): boolean => Math.abs(found_m - told_m) > APART_M;
  const differs = (path: keyof FormShape, what: string, found_m: number): Problem =>
    wrong(path, `By its points ${what} ${both(found_m)}: write that, or measure again.`);
  if (off(top_m, across_m)) return differs('across_m', `the top, where it falls no steeper than ${TOP_ENDS_DEG}°, is across`, top_m);
  if (floor_m === undefined || off(2 * last.out_m, floor_m)) return differs('floor_m', 'the foot is across', 2 * last.out_m);
  return off(first.up_m - last.up_m, deep_m) ? differs('deep_m', 'it is high', first.up_m - last.up_m) : null;
}

function pointsProblem({ points_m = [], across_m, undercut }: FormShape): Problem | null {
  const line = lineProblem(points_m);
  if (line) return line;
  const last = points_m[points_m.length - 1];
  if (Math.abs(2 * last.out_m - across_m) > 0.002)
    return wrong('points_m', 'The last point is the rim: it must be half as far out as the rim is across. Measure one of the two again.');
  const low = Math.min(...points_m.map(({ up_m }) => up_m));
  if (last.up_m - low < 0.001) return wrong('points_m', 'The rim must be higher than the lowest place: a depth of nothing holds nothing.');
  const comesBack = points_m.slice(1).some(({ out_m }, i) => out_m < points_m[i].out_m - 1e-9);
  if (comesBack && !undercut)
    return wrong(
      'points_m',
      'The section comes back inwards on its way up: glass would be locked in. If the mould is broken away or bends, mark the undercut.',
    );
  if (comesBack && points_m.slice(1).some(({ up_m }, i) => up_m < points_m[i].up_m - 1e-9))
    return wrong('points_m', 'Give an undercut from its middle up to its rim, each point higher than the last.');
  return null;
}

const SIDES_APART_M = 0.004;

function sidesProblem({ left_m, right_m, door_m, back_m, across_m, along_m, plan }: FormShape): Problem | null {
  const told = [left_m, right_m, door_m, back_m].filter((one) => one !== undefined).length;
  if (told === 0) return null;
  if (left_m === undefined || right_m === undefined || door_m === undefined || back_m === undefined)
    return wrong('left_m', 'A form measured on its four sides has all four: left, right, door and back.');
  const off = (sum: number, whole: number): boolean => Math.abs(sum - whole) > SIDES_APART_M;
  if (off(left_m + right_m, across_m)) return wrong('left_m', 'Left and right do not come to how wide it is across: measure one of the three again.');
  if (plan !== 'round' && along_m !== undefined && off(door_m + back_m, along_m))
    return wrong('door_m', 'Door and back do not come to how long it is: measure one of the three again.');
  return null;
}

/** What a surface's problem is at, among the fields of a form. */
const FIELD_OF: Record<string, keyof FormShape> = {
  'form.across.floor_m': 'floor_m',
  'form.along.floor_m': 'floorAlong_m',
  'form.along.rim_m': 'along_m',
  'form.wall_m': 'wall_m',
  'form.lean_deg': 'lean_deg',
  'form.foot_m': 'foot_m',
  'form.depth_m': 'deep_m',
  thickness_m: 'liner_m',
};

/** Why there can be no such form, at the measure to change; null where there can. */
export function formProblem(form: FormShape): Problem | null {
  const { use, plan, across_m, along_m, floor_m, deep_m, lobes, liner_m = 0, thick_m } = form;
  if (hasTwo(form) && along_m === undefined) return wrong('along_m', 'Enter its width the other way, too.');
  if (plan === 'lobed' && lobes === undefined) return wrong('lobes', 'Enter how many lobes it has.');
  if (plan === 'trough' && use !== 'hollow' && use !== 'former') return wrong('plan', 'Bent one way is for what glass sinks into or hangs over.');
  if (use === 'shelf') return plan === 'round' || plan === 'rectangle' ? null : wrong('plan', 'A shelf is round, or square or oblong.');
  if (!(deep_m > 0) && use !== 'texture' && use !== 'grid') return wrong('deep_m', 'It must have a depth, or a height, above nothing.');
  const sides = sidesProblem(form);
  if (sides) return sides;
  if (use === 'former') {
    if (floor_m !== undefined && floor_m < across_m - 1e-9 && !form.undercut)
      return wrong('floor_m', 'A former narrower at its foot than on its top holds the glass that hangs over it: turn the two round, or mark the undercut.');
    return form.points_m ? formerPointsProblem(form) : null;
  }
  if (use === 'grid') {
    if (form.holes === undefined || form.hole_m === undefined) return wrong('holes', 'Enter how many holes it has, and how wide one is.');
    if (form.holes * planArea('round', [form.hole_m / 2]) >= planArea(plan, [across_m / 2, alongOf(form) / 2]))
      return wrong('holes', 'So many holes of that width are more than there is floor.');
    return null;
  }
  if (use === 'texture') return form.deep_m < thick_m ? null : wrong('deep_m', 'The relief must be less than the plate is thick.');
  if (use === 'cavity') {
    const { thickest_m, thinnest_m } = form;
    if (thickest_m === undefined || thinnest_m === undefined) return wrong('thickest_m', 'Tell its thickest and its thinnest section of glass.');
    if (thinnest_m > thickest_m) return wrong('thinnest_m', 'The thinnest section cannot be thicker than the thickest.');
  }
  if (form.points_m) {
    const points = pointsProblem(form);
    if (points) return points;
  }
  if (2 * liner_m >= Math.min(across_m, alongOf(form)) || (liner_m >= depthOf(form) && use !== 'dam'))
    return wrong('liner_m', 'The liner leaves no room inside: it counts on both sides.');
  const inside = insideOf(form);
  if (inside.ok) return null;
  return { ...inside.problem, path: FIELD_OF[inside.problem.path] ?? 'deep_m' };
}

/** Flat: glass lies on it. */
export const isPlate = ({ use }: Pick<FormShape, 'use'>): boolean => use === 'texture' || use === 'shelf';

/** What a kiln needs for it, m: the shorter and the longer way over its outside, and how high it stands. */
export function roomOfForm(form: FormShape): { narrow_m: number; far_m: number; high_m: number } {
  const { use, thick_m, deep_m, across_m, floor_m = 0, floorAlong_m = 0 } = form;
  const wall_m = use === 'former' || isPlate(form) ? 0 : 2 * thick_m;
  const [across, along] = use === 'former' ? [Math.max(across_m, floor_m), Math.max(alongOf(form), floorAlong_m)] : [across_m + wall_m, alongOf(form) + wall_m];
  const under_m = use === 'dam' || use === 'former' || form.bottom === 'open' ? 0 : thick_m;
  return {
    narrow_m: Math.min(across, along),
    far_m: Math.max(across, along),
    high_m: isPlate(form) ? thick_m : (use === 'former' ? deep_m : depthOf(form)) + under_m,
  };
}
