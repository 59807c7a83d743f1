/** What shapes the glass of a firing: by the form of the studio's own in which it stands and by the blank, or as it was typed. */
import { ofOwnMaterial } from '../form/materials';
import { type Footprint, sidesOf } from '../body/footprint';
import { type FormShape, type FormUse, alongOf, depthOf, insideOf, waterIn, wayOfSide } from '../form/shape';
import { RECIPES } from '../look/recipes/all';
import type { Look } from '../look/names';
import { narrowed } from '../flow/sag';
import { openingOf } from '../form/surface';
import { type Shaping, sideAcross } from '../look/shaping';
import { keysOf, pickKeys } from '../keys';
import { type Outcome, found, refused } from '../problem';
import type { FiringCase } from '../schedule/firingCase';
import type { HeldForm, PlannedSetUp, PlannedStep } from './plannedStep';
import type { Shelf } from './shelf';

/** What a step is refused as that the body at it does not allow. */
export const CANNOT_BE = 'cannot-be';

/** Which forms serve what a kind of firing asks for; where it asks for nothing, a dam or a plate may stand there all the same. */
const SERVES: Partial<Record<Shaping['kind'], readonly FormUse[]>> = {
  ...{ hollow: ['hollow'], former: ['former'], cavity: ['cavity'], core: ['cavity'], drain: ['grid'] },
  ...{ strips: ['dam'], ring: ['dam'] },
};
const ON_A_SHELF: readonly FormUse[] = ['shelf', 'dam', 'texture'];
/** In or on which a piece can be stuck, to be warmed until it comes free. */
const IT_STICKS_IN: readonly FormUse[] = ['hollow', 'former', 'dam'];

/** Whether what shapes the glass follows from such a form: beside a dam or on a plate it is told besides. */
export const givesShape = ({ use }: Pick<FormShape, 'use'>): boolean => !ON_A_SHELF.includes(use);

/** Whether glass comes to lie on the shelf that such a form stands on. */
export const leavesShelf = ({ use }: Pick<FormShape, 'use'>): boolean => use === 'dam' || use === 'grid';

/** Whether such a firing can stand in or on such a form. */
export function serves(form: Pick<FormShape, 'use' | 'core_m'>, look: Look): boolean {
  const { asks, empty, frees } = RECIPES[look];
  if (empty) return false;
  if (frees) return IT_STICKS_IN.includes(form.use);
  if (!asks) return ON_A_SHELF.includes(form.use);
  return (SERVES[asks.kind] ?? []).includes(form.use) && (asks.kind !== 'core' || form.core_m !== undefined);
}

/** The sides of a form that answer to the shorter and the longer side of a blank, m. */
const sidesOfForm = (form: FormShape): [number, number] => {
  const [a, b] = [form.across_m, alongOf(form)];
  return [Math.min(a, b), Math.max(a, b)];
};

/** A skirt less than this share of the longest hardly comes down while that does, and is not waited for. */
const WAITED_FOR = 0.5;
/** What is less under a blank is nothing to sink, m. */
const LEAST_DEPTH_M = 0.001;

function intoHollow({ name, shape }: HeldForm, outline: Footprint): Outcome<Shaping> {
  const opening = openingOf(shape, shape.across_m, alongOf(shape));
  const narrow_m = sideAcross(opening, outline);
  const { span_m } = opening;
  if (narrow_m >= span_m) return found({ kind: 'hollow', ...opening, depth_m: depthOf(shape) });
  const inside = insideOf(shape);
  if (!inside.ok) return inside;
  // It rests where the wall is as wide as it is.
  const rests = heightAt(inside.value.section, (shape.across_m / 2) * (narrow_m / span_m));
  return rests < LEAST_DEPTH_M
    ? refused(CANNOT_BE, 'setup.form', `The blank lies flat on the floor of '${name}': nothing is left to sink. Take a larger blank, or a smaller mould.`)
    : found({ kind: 'hollow', ...narrowed(opening, narrow_m), depth_m: rests });
}

/** How high a section is so far out, m; as high as its rim beyond. */
function heightAt(section: readonly { out_m: number; up_m: number }[], out_m: number): number {
  const k = section.findLastIndex((point) => point.out_m <= out_m);
  const [from, to] = [section[k], section[k + 1]] as [(typeof section)[number], (typeof section)[number] | undefined];
  if (!to) return from.up_m;
  return from.up_m + (to.out_m > from.out_m ? ((out_m - from.out_m) / (to.out_m - from.out_m)) * (to.up_m - from.up_m) : 0);
}

/** How far a blank stands out over a former on its sides, m: the shorter way and the longer; 0 where it does not, or where a ridge has ends. */
export function standsOut(shape: FormShape, outline: Footprint): [number, number] {
  const blank = sidesOf(outline);
  if (shape.plan === 'trough') {
    // Laid so that it is as long as the ridge, as near as its sides allow.
    const ridge = alongOf(shape);
    const across = Math.abs(blank[0] - ridge) <= Math.abs(blank[1] - ridge) ? blank[1] : blank[0];
    return [Math.max((across - shape.across_m) / 2, 0), 0];
  }
  // The box round a lobed one is as wide as its lobes, both ways.
  const form = shape.plan === 'lobed' ? [shape.across_m, shape.across_m] : sidesOfForm(shape);
  return [Math.max((blank[0] - form[0]) / 2, 0), Math.max((blank[1] - form[1]) / 2, 0)];
}

/** How far an edge that stands out comes down along sides that lean, as a share of it. */
export const steepOf = (form: FormShape): number => form.deep_m / wayOfSide(form);

const LEAST_OUT_M = 0.005;
/** Down an upright side an edge is waited for no further than this share of how far it stands out: the rest takes many times as much. */
const ALL_BUT_UPRIGHT = 0.9;

function overFormer({ name, shape, drop_m }: HeldForm, outline: Footprint): Outcome<Shaping> {
  const outs = standsOut(shape, outline);
  const longest = Math.max(...outs);
  if (longest < LEAST_OUT_M)
    return refused(CANNOT_BE, 'setup.form', `The blank does not stand out over '${name}': nothing can hang. Take a larger blank, or a smaller former.`);
  const overhang_m = Math.min(...outs.filter((out) => out >= WAITED_FOR * longest));
  const hangs_m = Math.min(overhang_m * steepOf(shape), shape.deep_m);
  return found({
    ...{ kind: 'former', overhang_m, drop_m: Math.min(drop_m ?? ALL_BUT_UPRIGHT * overhang_m, hangs_m) },
    ...(shape.plan === 'round' ? { former_m: shape.across_m } : {}),
  });
}

function intoCavity(look: Look, { shape }: HeldForm): Outcome<Shaping> {
  const { thick_m, thickest_m = thick_m, thinnest_m = thickest_m, detail_m, core_m } = shape;
  const water_kg = waterIn(shape);
  const cavity = {
    ...{ thick_m: thickest_m, thin_m: thinnest_m, wall_m: thick_m },
    ...(detail_m === undefined ? {} : { detail_m }),
    ...(water_kg === undefined ? {} : { water_kg }),
  };
  return found(RECIPES[look].asks?.kind === 'core' ? { kind: 'core', core_m: core_m ?? thick_m, ...cavity } : { kind: 'cavity', ...cavity });
}

/** What shapes it; nothing where a shelf is all it takes. Refused, at the form, where that cannot be. */
export function shapingIn({ look, setup }: Pick<PlannedStep, 'look' | 'setup'>, outline: Footprint): Outcome<Shaping | undefined> {
  const { form, shaping } = setup;
  if (!form || !RECIPES[look].asks || !serves(form.shape, look)) return found(shaping);
  switch (form.shape.use) {
    case 'hollow':
      return intoHollow(form, outline);
    case 'former':
      return overFormer(form, outline);
    case 'cavity':
      return intoCavity(look, form);
    case 'grid':
      return found({ kind: 'drain', holes: form.shape.holes ?? 1, hole_m: form.shape.hole_m ?? 0, plate_m: form.shape.thick_m });
    default:
      return found(shaping);
  }
}

/** The same where a firing that cannot be shapes nothing. */
export function shapingOf(step: Pick<PlannedStep, 'look' | 'setup'>, outline: Footprint): Shaping | undefined {
  const shaping = shapingIn(step, outline);
  return shaping.ok ? shaping.value : undefined;
}

/** The blank as it is drawn over a form's section across: how wide, and how far it comes of its way in or over. */
export function heldAcross({ shape }: HeldForm, { body, setup: { shaping } }: Pick<FiringCase, 'body' | 'setup'>): { width_m: number; down: number } {
  const [narrow, far] = sidesOf(body.footprint);
  const width_m =
    shape.plan === 'trough' && shape.use === 'former'
      ? shape.across_m + 2 * standsOut(shape, body.footprint)[0]
      : shape.across_m <= alongOf(shape)
        ? narrow
        : far;
  const hangs_m = shaping?.kind === 'former' ? shaping.overhang_m * steepOf(shape) : 0;
  return { width_m, down: shaping?.kind === 'former' && hangs_m > 0 ? Math.min(shaping.drop_m / hangs_m, 1) : 1 };
}

export const SHAPE_KEYS = keysOf<FormShape>({
  use: true,
  plan: true,
  across_m: true,
  along_m: true,
  floor_m: true,
  floorAlong_m: true,
  deep_m: true,
  wall_m: true,
  lean_deg: true,
  foot_m: true,
  points_m: true,
  lobes: true,
  bottom: true,
  undercut: true,
  once: true,
  liner_m: true,
  thick_m: true,
  thickest_m: true,
  thinnest_m: true,
  detail_m: true,
  core_m: true,
  water_kg: true,
  holes: true,
  hole_m: true,
  left_m: true,
  right_m: true,
  door_m: true,
  back_m: true,
  material: true,
  expansion_perK: true,
  conductivity_W_mK: true,
  density_kg_m3: true,
  heatCapacity_J_kgK: true,
  top_C: true,
  pace_K_per_s: true,
  paceTo_C: true,
});

/** Of a record what shapes and warms the glass. */
export const shapeOf = (record: FormShape): FormShape => pickKeys(record, SHAPE_KEYS);

export const heldForm = ({ id, name, ...record }: Shelf['forms'][number], materials?: Shelf['materials'], drop_m?: number): HeldForm => ({
  ...{ id, name, shape: shapeOf(ofOwnMaterial(record, materials)) },
  ...(drop_m === undefined ? {} : { drop_m }),
});

/** The set-up in its form as that stands on the shelf now; as it was, where it stands there no more. */
export function asItStands(setup: PlannedSetUp, { forms, materials }: Pick<Shelf, 'forms' | 'materials'>): PlannedSetUp {
  const now = (held: HeldForm): HeldForm => {
    const record = forms.find(({ id }) => id === held.id);
    return record ? heldForm(record, materials, held.drop_m) : held;
  };
  const { form, shelf } = setup;
  return { ...setup, ...(form ? { form: now(form) } : {}), ...(shelf ? { shelf: now(shelf) } : {}) };
}
