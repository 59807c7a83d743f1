/** The piece's form as typed: strings, read by the same parser everywhere, turned into an outline when they hold. */
import { everyGlass } from '@/shelves/everyGlass';
import { CORNERS_AT_MOST, type Footprint, crossesItself, footprintArea } from '@torvin/core/body';
import { comesAs, type LaidLayer, type LayerForm, inForm, laidLayers } from '@torvin/core/piece';
import { type Outcome, found, refused } from '@torvin/core/problem';
import { formatLength, text, type LengthUnit } from '@torvin/core/units';
import { type Glass, type Piece, SIZE_RANGE_M, type Shelves } from '@torvin/schema';
import { z } from 'zod';
import { readCorners, writtenCorners } from './corners';
import { readLength } from './typed';

export const SHAPES = ['rectangle', 'disc', 'oval', 'ring'] as const;
/** By corners any outline can be told. */
export const OUTLINES = [...SHAPES, 'polygon'] as const;
export const SHAPE_TITLES = { rectangle: 'Rectangle', disc: 'Disc', oval: 'Oval', ring: 'Ring', polygon: 'Corners' } as const;

/** Forms that a piece can begin with: all but what needs something under it to be called so. */
export const FIRST_FORMS = ['sheet', 'pieces', 'rod', 'stringer', 'frit', 'powder', 'chunks'] as const satisfies readonly LayerForm[];
export type FirstForm = (typeof FIRST_FORMS)[number];
/** 'nothing': a shelf or a mould is fired by itself. */
export const FIRST = [...FIRST_FORMS, 'nothing'] as const;

export interface PieceEntry {
  name: string;
  shape: (typeof OUTLINES)[number];
  width: string;
  length: string;
  diameter: string;
  /** Of a ring's hole. */
  inner: string;
  /** In order, as '0 0; 200 0; 0 120'. */
  corners: string;
  dammed: boolean;
  /** What lies at the bottom of a new piece, and of which glass. */
  form: (typeof FIRST)[number];
  glassId: string;
}

const sizeOf = (typed: string, name: string, unit: LengthUnit) => readLength(typed, name, SIZE_RANGE_M, unit);

/** A bare number is kept with the unit it was meant in, so that it means the same when the studio's unit has changed. */
const withUnit = (typed: string, unit: LengthUnit): string => (/[a-z"']/i.test(typed) || typed.trim() === '' ? typed : `${typed.trim()} ${unit}`);

export type SizeField = 'width' | 'length' | 'diameter' | 'inner' | 'corners';
const SIZE_NAMES: Record<SizeField, string> = {
  ...{ width: 'The width', length: 'The length', diameter: 'The diameter', inner: 'The hole', corners: 'The corners' },
};
/** By which of its sizes each outline is told. */
export const SIZES_OF: Record<(typeof OUTLINES)[number], readonly SizeField[]> = {
  ...{ rectangle: ['width', 'length'], oval: ['width', 'length'], disc: ['diameter'], ring: ['diameter', 'inner'], polygon: ['corners'] },
};
const LEAST_WALL_M = 0.004;

function outlineWith(shape: (typeof SHAPES)[number], first: number, second: number): Footprint {
  switch (shape) {
    case 'disc':
      return { shape, diameter_m: first };
    case 'ring':
      return { shape, diameter_m: first, inner_m: second };
    default:
      return { shape, width_m: first, length_m: second };
  }
}

/** The least that an outline encloses, m². */
const LEAST_AREA_M2 = 1e-4;

function outlineByCorners(words: string, unit: LengthUnit): Outcome<Footprint> {
  const corners_m = readCorners(words, unit);
  const wrong = (message: string): Outcome<Footprint> => refused('unreadable', 'corners', message);
  if (!corners_m) return wrong('Write each corner as two lengths and a ; between corners, for example 0 0; 200 0; 0 120 mm.');
  if (corners_m.length > CORNERS_AT_MOST) return wrong(`An outline has at most ${CORNERS_AT_MOST} corners; these are ${corners_m.length}.`);
  if (corners_m.flat().some((one) => Math.abs(one) > SIZE_RANGE_M.most)) return wrong('A corner lies further away than any shelf is wide: check the unit.');
  if (crossesItself(corners_m)) return wrong('The outline crosses itself: write the corners in order, all the way round.');
  const outline: Footprint = { shape: 'polygon', corners_m };
  return footprintArea(outline) < LEAST_AREA_M2 ? wrong('These corners enclose next to nothing: check them, and the unit.') : found(outline);
}

const entryShape = z.object({
  name: z.string(),
  shape: z.enum(OUTLINES),
  width: z.string(),
  length: z.string(),
  diameter: z.string(),
  // What was left by an older version has none.
  inner: z.string().default(''),
  corners: z.string().default(''),
  dammed: z.boolean(),
  form: z.enum(FIRST),
  glassId: z.string(),
});

const entrySchemaIn = (unit: LengthUnit) =>
  entryShape.transform((entry, context) => {
    const fail = (path: string, message: string): typeof z.NEVER => {
      context.addIssue({ code: 'custom', path: [path], message });
      return z.NEVER;
    };
    const name = entry.name.trim();
    if (name === '' || name.length > 80) fail('name', name === '' ? 'Give the piece a name.' : 'A name has at most 80 characters.');
    const read = (field: SizeField, label: string): number => {
      const size = sizeOf(entry[field], label, unit);
      return size.ok ? size.value : fail(field, size.problem.message);
    };
    const outlined = (): Footprint => {
      if (entry.shape === 'polygon') {
        const outline = outlineByCorners(entry.corners, unit);
        return outline.ok ? outline.value : fail('corners', outline.problem.message);
      }
      const [first, second] = SIZES_OF[entry.shape].map((field) => read(field, SIZE_NAMES[field]));
      return outlineWith(entry.shape, first, second);
    };
    const footprint = outlined();
    if (footprint.shape === 'ring' && footprint.inner_m >= footprint.diameter_m - LEAST_WALL_M)
      fail('inner', 'The hole must be smaller than the ring, with a wall left between them.');
    // Corners may be many: they are written anew from the outline.
    const kept = SIZES_OF[entry.shape].filter((field) => field !== 'corners');
    const typed = Object.fromEntries(kept.map((field) => [field, withUnit(entry[field], unit)]));
    return { name, footprint, typed, dammed: entry.dammed, form: entry.form, glassId: entry.glassId };
  });

/** Reads an entry into a document's parts; every issue stands at its field. By what a bare number is in. */
export const PIECE_ENTRY_SCHEMAS = { mm: entrySchemaIn('mm'), in: entrySchemaIn('in') };
export type ReadPiece = z.output<typeof PIECE_ENTRY_SCHEMAS.mm>;

/** The outline of an unfinished entry, where it can already be read. */
export function outlineOf(entry: PieceEntry, unit: LengthUnit): Footprint | null {
  if (entry.shape === 'polygon') {
    const outline = outlineByCorners(entry.corners ?? '', unit);
    return outline.ok ? outline.value : null;
  }
  const sizes = SIZES_OF[entry.shape].map((field) => sizeOf(entry[field], '', unit));
  const [first, second = NaN] = sizes.flatMap((size) => (size.ok ? [size.value] : []));
  return sizes.every(({ ok }) => ok) && !(entry.shape === 'ring' && second >= first) ? outlineWith(entry.shape, first, second) : null;
}

const USUAL_SHEET_M = 0.003;

/** The first glass on the shelf that comes in a form, the present one where it does. */
export function glassFor(shelves: Shelves, form: FirstForm, present: string): Glass | undefined {
  const usable = everyGlass(shelves).filter((glass) => comesAs(glass, form) && !shelves.archived.includes(glass.id));
  return usable.find(({ id }) => id === present) ?? usable[0];
}

/** The bottom layer of a new piece. Sheet comes in the size on the shelf that is nearest the usual. */
export function firstLayer(id: string, form: LayerForm, glass: Glass | undefined, glassId: string, length: LengthUnit): LaidLayer {
  const sizes = [...(glass?.thicknesses_m ?? [])].sort((a, b) => Math.abs(a - USUAL_SHEET_M) - Math.abs(b - USUAL_SHEET_M));
  const layer = inForm({ id, glassId, form: 'sheet', thickness_m: sizes[0] ?? USUAL_SHEET_M }, form, length);
  return layer.form === 'sheet' && glass?.coated ? { ...layer, coated: 'up' } : layer;
}

/** What a new piece begins with: a sheet of the family that the studio mostly uses, where it said so. */
export function firstGlass({ glasses, archived }: Shelves, familyId: string | null = null): Glass | undefined {
  const there = glasses.filter(({ id }) => !archived.includes(id));
  const sheets = there.filter(({ forms }) => forms.includes('sheet'));
  return sheets.find((one) => one.familyId === familyId) ?? sheets[0] ?? there[0];
}

export function newEntry(shelves: Shelves, familyId: string | null = null): PieceEntry {
  const glass = firstGlass(shelves, familyId);
  return { name: '', shape: 'rectangle', width: '', length: '', diameter: '', inner: '', corners: '', dammed: false, form: 'sheet', glassId: glass?.id ?? '' };
}

export function entryOf({ name, doc }: Pick<Piece, 'name' | 'doc'>, unit: LengthUnit): PieceEntry {
  const { footprint, typed } = doc;
  const field = (written: string | undefined, size_m: number | null): string =>
    written === undefined ? (size_m === null ? '' : text(formatLength(size_m, unit))) : withUnit(written, 'mm');
  const sides = footprint.shape === 'rectangle' || footprint.shape === 'oval' ? footprint : null;
  const round = footprint.shape === 'disc' || footprint.shape === 'ring' ? footprint : null;
  return {
    name,
    shape: footprint.shape,
    width: field(typed.width, sides?.width_m ?? null),
    length: field(typed.length, sides?.length_m ?? null),
    diameter: field(typed.diameter, round?.diameter_m ?? null),
    inner: field(typed.inner, footprint.shape === 'ring' ? footprint.inner_m : null),
    corners: footprint.shape === 'polygon' ? writtenCorners(footprint.corners_m, unit) : '',
    dammed: doc.dammed,
    form: 'sheet',
    glassId: laidLayers(doc)[0]?.glassId ?? '',
  };
}

/** Whether what was read of the outline is what stood in the form when it was opened. */
export const isOutlineUntouched = (opened: PieceEntry, read: Footprint, typed: Readonly<Record<string, string>>, unit: LengthUnit): boolean =>
  read.shape === opened.shape &&
  (read.shape === 'polygon' ? writtenCorners(read.corners_m, unit) === opened.corners : SIZES_OF[read.shape].every((field) => typed[field] === opened[field]));

type EntryField = 'name' | SizeField | 'root';

/** Which field a server's problem belongs to. */
export function fieldOfPath(path: string): EntryField {
  if (path.startsWith('name')) return 'name';
  const size = /footprint\.(width|length|diameter|inner|corners)_m/.exec(path);
  return size ? (size[1] as EntryField) : 'root';
}
