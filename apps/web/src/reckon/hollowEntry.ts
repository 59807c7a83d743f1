/** A hollow as it is typed: which form, and the sizes that tell it. */
import type { Footprint } from '@torvin/core/body';
import type { FormShape } from '@torvin/core/form';
import type { Hollow } from '@torvin/core/quantity';
import type { Units } from '@torvin/core/units';
import { FootprintSchema, HollowSchema } from '@torvin/core/contract';
import { readCorners, writtenCorners } from '@/layup/corners';
import { type Reader, type Typed, exactly, sizesApart } from './typed';

export const HOLLOWS = ['box', 'disc', 'oval', 'ring', 'vTrough', 'roundTrough', 'cone', 'bowl', 'dome', 'corners'] as const;
export type HollowForm = (typeof HOLLOWS)[number];

export const HOLLOW_TITLES: Record<HollowForm, string> = {
  ...{ box: 'Box', disc: 'Disc', oval: 'Oval', ring: 'Ring', vTrough: 'V-trough', roundTrough: 'Round trough' },
  ...{ cone: 'Cone', bowl: 'Bowl', dome: 'Dome', corners: 'Corners' },
};

export interface SizeAsked {
  field: string;
  label: string;
  /** Taken where it is left empty. */
  hint?: string;
}

const wide = { field: 'width', label: 'wide' };
const long = { field: 'length', label: 'long' };
const deep = { field: 'depth', label: 'deep' };
const across = { field: 'diameter', label: 'across' };
const rim = { field: 'rim', label: 'rim' };
const floor = { field: 'floor', label: 'floor' };

export const SIZES: Record<HollowForm, readonly SizeAsked[]> = {
  box: [wide, long, deep],
  disc: [across, deep],
  oval: [wide, long, deep],
  ring: [across, { field: 'inner', label: 'core in it' }, deep],
  vTrough: [wide, long, deep],
  roundTrough: [wide, long, { ...deep, hint: 'empty: a half round' }],
  cone: [rim, floor, deep],
  bowl: [rim, floor, deep],
  dome: [rim, deep],
  corners: [{ field: 'corners', label: 'its corners, as 0 0; 20 0; 0 12 cm' }, deep],
};

/** Those that are an outline with straight walls: what is asked of a flat area, without a depth. */
export const OUTLINES = ['box', 'disc', 'oval', 'ring', 'corners'] as const satisfies readonly HollowForm[];
type Forms = readonly [HollowForm, ...HollowForm[]];

export const formIn = (typed: Typed, of: string, forms: Forms = HOLLOWS): HollowForm => forms.find((one) => one === typed[`${of}form`]) ?? forms[0];

export const sizesOf = (form: HollowForm, forms: Forms = HOLLOWS): readonly SizeAsked[] =>
  forms.length === HOLLOWS.length ? SIZES[form] : SIZES[form].filter(({ field }) => field !== 'depth');

/** '18 × 26 × 4 cm' in the first size of a hollow, spread over all of them; as it came where that is one size. */
export function spreadSizes(typed: Typed, of: string, forms: Forms = HOLLOWS): Typed {
  const form = formIn(typed, of, forms);
  const sizes = sizesOf(form, forms);
  const apart = form === 'corners' ? null : sizesApart(typed[`${of}${sizes[0].field}`] ?? '', sizes.length);
  return apart ? { ...typed, ...Object.fromEntries(apart.map((one, i) => [`${of}${sizes[i].field}`, one])) } : typed;
}

/** The outline of a piece, as what is typed of a hollow with straight walls. */
export function typedOutline(outline: Footprint, of: string, units: Units): Typed {
  const long = (metres: number): string => exactly(metres, units);
  switch (outline.shape) {
    case 'rectangle':
    case 'oval':
      return { [`${of}form`]: outline.shape === 'oval' ? 'oval' : 'box', [`${of}width`]: long(outline.width_m), [`${of}length`]: long(outline.length_m) };
    case 'disc':
      return { [`${of}form`]: 'disc', [`${of}diameter`]: long(outline.diameter_m) };
    case 'ring':
      return { [`${of}form`]: 'ring', [`${of}diameter`]: long(outline.diameter_m), [`${of}inner`]: long(outline.inner_m) };
    case 'polygon':
      return { [`${of}form`]: 'corners', [`${of}corners`]: writtenCorners(outline.corners_m, units.length) };
  }
}

/** A form of the shelf, as what is typed of the hollow in it and of its liner; null where no such hollow is typed here. */
export function typedOfForm(form: FormShape, of: string, units: Units): Typed | null {
  const long = (metres: number): string => exactly(metres, units);
  const { use, plan, across_m, along_m = across_m, floor_m, deep_m, liner_m, wall_m, lean_deg, foot_m, points_m } = form;
  const isPlain = [wall_m, lean_deg, foot_m, points_m].every((one) => one === undefined);
  const liner = { [`${of}liner`]: liner_m ? long(liner_m) : '' };
  const depth = { [`${of}depth`]: long(deep_m) };
  const sides = { [`${of}width`]: long(across_m), [`${of}length`]: long(along_m) };
  if (use === 'dam') {
    if (plan === 'round') return { [`${of}form`]: 'disc', [`${of}diameter`]: long(across_m), ...depth, ...liner };
    if (plan === 'rectangle' || plan === 'oval') return { [`${of}form`]: plan === 'oval' ? 'oval' : 'box', ...sides, ...depth, ...liner };
    return null;
  }
  if (use !== 'hollow' || !isPlain) return null;
  const rim = { [`${of}rim`]: long(across_m) };
  if (plan === 'round')
    return floor_m === undefined
      ? { [`${of}form`]: 'dome', ...rim, ...depth, ...liner }
      : { [`${of}form`]: 'cone', ...rim, [`${of}floor`]: long(floor_m), ...depth, ...liner };
  if (plan !== 'trough' || (floor_m !== undefined && floor_m > 0)) return null;
  return { [`${of}form`]: floor_m === 0 ? 'vTrough' : 'roundTrough', ...sides, ...depth, ...liner };
}

const SIDE = { least: 0.005, most: 2 };
const DEPTH = { least: 0.002, most: 0.3 };

function outlineOf(read: Reader, of: string, form: HollowForm, units: Units): Footprint | null {
  const side = (field: string, name: string): number => read.figure(`${of}${field}`, name, SIDE);
  switch (form) {
    case 'box':
    case 'oval':
      return { shape: form === 'box' ? 'rectangle' : 'oval', width_m: side('width', 'width'), length_m: side('length', 'length') };
    case 'disc':
      return { shape: 'disc', diameter_m: side('diameter', 'diameter') };
    case 'ring':
      return { shape: 'ring', diameter_m: side('diameter', 'diameter'), inner_m: side('inner', 'core') };
    case 'corners':
      return { shape: 'polygon', corners_m: cornersOf(read, of, units) };
    default:
      return null;
  }
}

/** Of a flat area. */
export function readOutline(read: Reader, of: string, units: Units): Footprint {
  const outline = outlineOf(read, of, read.choice(`${of}form`, OUTLINES), units) ?? { shape: 'disc', diameter_m: Number.NaN };
  check(read, of, { kind: 'straight', outline, depth_m: DEPTH.least });
  return outline;
}

/** of: what its fields begin with. */
export function readHollow(read: Reader, of: string, units: Units): Hollow {
  const side = (field: string, name: string): number => read.figure(`${of}${field}`, name, SIDE);
  const form = read.choice(`${of}form`, HOLLOWS);
  const hollow = ((): Hollow => {
    const depth = (): number => read.figure(`${of}depth`, 'depth', DEPTH);
    const outline = outlineOf(read, of, form, units);
    if (outline) return { kind: 'straight', outline, depth_m: depth() };
    switch (form) {
      case 'vTrough':
        return { kind: form, width_m: side('width', 'width'), length_m: side('length', 'length'), depth_m: depth() };
      case 'roundTrough': {
        const width_m = side('width', 'width');
        return { kind: form, width_m, length_m: side('length', 'length'), depth_m: read.maybe(`${of}depth`, depth) ?? width_m / 2 };
      }
      case 'dome':
        return { kind: 'bowl', rim_m: side('rim', 'rim'), floor_m: 0, depth_m: depth() };
      default:
        return {
          kind: form === 'bowl' ? form : 'cone',
          rim_m: side('rim', 'rim'),
          floor_m: read.figure(`${of}floor`, 'floor', { least: 0, most: SIDE.most }),
          depth_m: depth(),
        };
    }
  })();
  check(read, of, hollow);
  return hollow;
}

function cornersOf(read: Reader, of: string, units: Units): [number, number][] {
  const words = read.words(`${of}corners`);
  const corners = readCorners(words, units.length);
  if (corners) return corners;
  if (words === '') read.figure(`${of}corners`, 'corners', SIDE);
  else read.wrong(`${of}corners`, 'Write each corner as two lengths and a ; between corners, for example 0 0; 200 0; 0 120 mm.');
  return [];
}

const isWhole = (value: unknown): boolean =>
  typeof value === 'number' ? Number.isFinite(value) : typeof value !== 'object' || value === null || Object.values(value).every(isWhole);

/** What no hollow is: sizes that are right each by itself and not together. */
function check(read: Reader, of: string, hollow: Hollow): void {
  if (!isWhole(hollow)) return;
  const outline = hollow.kind === 'straight' ? FootprintSchema.safeParse(hollow.outline) : null;
  const checked = outline && !outline.success ? outline : HollowSchema.safeParse(hollow);
  if (checked.success) return;
  const [{ path, message }] = checked.error.issues;
  const last = path.findLast((part): part is string => typeof part === 'string') ?? 'depth_m';
  read.wrong(`${of}${last.replace(/_m$/, '')}`, message);
}
