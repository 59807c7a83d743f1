/** A motif of parts as it is typed, and what is wrong with it. */
import type { Footprint } from '@torvin/core/body';
import { type CutFace, type LaidMotif, PARTS_AT_MOST, SHEET_RANGE_M } from '@torvin/core/piece';
import { type Motif, boxOf, footprintRings, inEvenRows, ringOfSegments, stripsOnEdge, wovenRows } from '@torvin/core/plan';
import { type Outcome, found, refused } from '@torvin/core/problem';
import { COUNT, METRIC, formatLength, readFigure, text, type LengthUnit } from '@torvin/core/units';
import { PART_RANGE_M } from '@torvin/core/contract';
import type { Glass, Made, Shelves } from '@torvin/schema';
import { glassOf, madeOf } from '@/shelves/everyGlass';
import { readLength } from './typed';

export const MOTIF_KINDS = ['onEdge', 'ring', 'woven', 'slices'] as const;
export type MotifKind = (typeof MOTIF_KINDS)[number];

export const MOTIF_TITLES: Record<MotifKind, string> = {
  onEdge: 'Strips on edge',
  ring: 'Ring of segments',
  woven: 'Woven rows',
  slices: 'Slices',
};

export type MotifField = 'count' | 'rows' | 'inRow' | 'wide' | 'narrow' | 'long' | 'deep' | 'across' | 'gap' | 'border' | 'thick' | 'sheet';
export type MotifFields = Record<MotifField, string>;

interface FieldTold {
  label: string;
  hint?: string;
}

/** What is asked of each, in this order. */
export const MOTIF_FIELDS: Record<MotifKind, Partial<Record<MotifField, FieldTold>>> = {
  onEdge: {
    count: { label: 'Strips' },
    sheet: { label: 'Cut from sheets of' },
    thick: { label: 'High', hint: 'as wide as they were cut' },
    long: { label: 'Long' },
  },
  ring: {
    count: { label: 'Segments' },
    across: { label: 'Ring across', hint: 'over its outer sides' },
    wide: { label: 'Wide outside' },
    narrow: { label: 'Wide inside', hint: 'left empty, as outside' },
    deep: { label: 'From in to out' },
    thick: { label: 'Thick' },
  },
  woven: {
    rows: { label: 'Rows' },
    inRow: { label: 'In a row' },
    long: { label: 'Long, each' },
    deep: { label: 'Wide, each', hint: 'across its row' },
    gap: { label: 'Gap', hint: 'between all of them' },
    border: { label: 'Border', hint: 'how wide; left empty, none' },
    thick: { label: 'Thick' },
  },
  slices: {
    count: { label: 'Slices' },
    inRow: { label: 'In a row' },
    wide: { label: 'Wide, each' },
    deep: { label: 'Deep, each' },
    gap: { label: 'Gap' },
    thick: { label: 'Thick', hint: 'of a slice' },
  },
};

const METRIC_USUAL: Record<MotifKind, Partial<MotifFields>> = {
  onEdge: { count: '20', sheet: '3 mm', thick: '12 mm', long: '100 mm' },
  ring: { count: '10', across: '150 mm', wide: '20 mm', narrow: '', deep: '30 mm', thick: '6 mm' },
  woven: { rows: '4', inRow: '3', long: '40 mm', deep: '15 mm', gap: '0 mm', border: '10 mm', thick: '3 mm' },
  slices: { count: '12', inRow: '4', wide: '20 mm', deep: '20 mm', gap: '2 mm', thick: '6 mm' },
};
const INCH_USUAL: Record<MotifKind, Partial<MotifFields>> = {
  onEdge: { count: '20', sheet: '1/8 in', thick: '1/2 in', long: '4 in' },
  ring: { count: '10', across: '6 in', wide: '3/4 in', narrow: '', deep: '1 1/4 in', thick: '1/4 in' },
  woven: { rows: '4', inRow: '3', long: '1 1/2 in', deep: '5/8 in', gap: '0 in', border: '3/8 in', thick: '1/8 in' },
  slices: { count: '12', inRow: '4', wide: '3/4 in', deep: '3/4 in', gap: '1/16 in', thick: '1/4 in' },
};
const EMPTY: MotifFields = {
  count: '',
  rows: '',
  inRow: '',
  wide: '',
  narrow: '',
  long: '',
  deep: '',
  across: '',
  gap: '',
  border: '',
  thick: '',
  sheet: '',
};

/** The usual figures of a kind; of made glass those that it has. */
export function usualFields(kind: MotifKind, unit: LengthUnit, made: Made | undefined): MotifFields {
  const usual = { ...EMPTY, ...(unit === 'mm' ? METRIC_USUAL : INCH_USUAL)[kind] };
  if (!made?.footprint) return usual;
  const long = (metres: number): string => text(formatLength(metres, unit));
  const { narrow_m, long_m } = sidesOf(made.footprint);
  if (kind === 'slices') return { ...usual, wide: long(narrow_m), deep: long(made.thickness_m) };
  if (kind === 'onEdge') return { ...usual, long: long(long_m), sheet: long(made.thickness_m) };
  return { ...usual, thick: long(made.thickness_m) };
}

/** What was typed, by kind. */
export type TypedMotifs = Partial<Record<MotifKind, Partial<MotifFields>>>;

/** What was typed of a kind, and as is usual what was not: another glass or another kind changes nothing that was typed. */
export const fieldsOf = (typed: TypedMotifs, kind: MotifKind, unit: LengthUnit, made: Made | undefined): MotifFields => ({
  ...usualFields(kind, unit, made),
  ...typed[kind],
});

function sidesOf(footprint: Footprint): { narrow_m: number; long_m: number } {
  const { left, right, front, back } = boxOf(footprintRings(footprint).flat());
  const [narrow_m, long_m] = [right - left, back - front].toSorted((a, b) => a - b);
  return { narrow_m, long_m };
}

export interface MotifEntry {
  kind: MotifKind;
  fields: MotifFields;
  /** In the order in which they take turns. */
  glassIds: readonly string[];
  /** Of woven rows: of its border, and of a cap over all; none where it is null. */
  borderId: string | null;
  capId: string | null;
}

export interface ReadMotif extends Pick<LaidMotif, 'motif' | 'of' | 'cap'> {
  /** That the piece would have for it. */
  footprint: Footprint;
  dammed: boolean;
  /** What comes of it, in a few words. */
  words: string;
}

const COUNTS = { least: 1, most: PARTS_AT_MOST };

/** A part of made glass has to come out of what there is: flat, on its edge, or across it. */
function comesOut(
  glass: Glass,
  made: Made | undefined,
  { long_m, wide_m, of }: { long_m: number; wide_m: number; of: string },
  unit: LengthUnit,
): Outcome<null> {
  if (!made?.footprint) return found(null);
  const sides = sidesOf(made.footprint);
  const [short, long] = [long_m, wide_m].toSorted((a, b) => a - b);
  if (short <= sides.narrow_m + 1e-6 && long <= sides.long_m + 1e-6) return found(null);
  const size = (a: number, b: number): string => `${formatLength(a, unit).figure} × ${text(formatLength(b, unit))}`;
  return refused('too-large', '', `'${glass.name}' is ${size(sides.narrow_m, sides.long_m)}: no ${of} of ${size(short, long)} comes out of it.`);
}

export function readMotif({ kind, fields, glassIds, borderId, capId }: MotifEntry, shelves: Shelves, unit: LengthUnit): Outcome<ReadMotif> {
  const glasses = glassIds.flatMap((id) => glassOf(shelves, id) ?? []);
  if (glasses.length === 0) return refused('empty', '', 'Choose a glass for it.');
  const read: Partial<Record<MotifField, number>> = {};
  for (const [key, { label }] of Object.entries(MOTIF_FIELDS[kind]) as [MotifField, FieldTold][]) {
    const typed = fields[key].trim();
    if (typed === '' && (key === 'narrow' || key === 'border')) continue;
    const isCount = key === 'count' || key === 'rows' || key === 'inRow';
    const least = key === 'gap' || key === 'border' ? 0 : key === 'thick' || key === 'sheet' ? SHEET_RANGE_M.least : PART_RANGE_M.least;
    const most = key === 'thick' || key === 'sheet' ? SHEET_RANGE_M.most : PART_RANGE_M.most;
    const value = isCount ? readFigure(typed, { of: COUNT, name: label, range: COUNTS }, METRIC) : readLength(typed, label, { least, most }, unit);
    if (!value.ok) return value;
    read[key] = value.value;
  }
  return motifOf(kind, read as Record<MotifField, number>, glasses, { borderId, capId }, shelves, unit);
}

function motifOf(
  kind: MotifKind,
  { count, rows, inRow, wide, narrow, long, deep, across, gap, border, thick, sheet }: Record<MotifField, number>,
  glasses: readonly Glass[],
  { borderId, capId }: Pick<MotifEntry, 'borderId' | 'capId'>,
  shelves: Shelves,
  unit: LengthUnit,
): Outcome<ReadMotif> {
  const made = glasses.map(({ id }) => madeOf(shelves, id));
  const length = (metres: number): string => text(formatLength(metres, unit));
  const size = ({ width_m, length_m }: Motif): string => `${formatLength(width_m, unit).figure} × ${length(length_m)}`;
  const cut = (long_m: number, wide_m: number, of: string): Outcome<null> => {
    for (const [i, glass] of glasses.entries()) {
      const out = comesOut(glass, made[i], { long_m, wide_m, of }, unit);
      if (!out.ok) return out;
    }
    return found(null);
  };
  const flat = (thickness_m: number): ReadMotif['of'] => glasses.map(({ id }) => ({ form: 'pieces', glassId: id, thickness_m }));
  const cutFace = (face: CutFace): ReadMotif['of'] => flat(thick).map((stuff) => ({ ...stuff, cutFace: face }));
  const box = ({ width_m, length_m }: Motif): Footprint => ({ shape: 'rectangle', width_m, length_m });
  switch (kind) {
    case 'onEdge': {
      const out = cut(long, thick, 'strip');
      if (!out.ok) return out;
      const motif = stripsOnEdge({ count, length_m: long, thicknesses_m: made.map((one) => one?.thickness_m ?? sheet) });
      return found({
        motif,
        of: cutFace('side'),
        footprint: box(motif),
        dammed: true,
        words: `${count} strips come to ${size(motif)}, ${length(thick)} high.`,
      });
    }
    case 'ring': {
      const out = cut(deep, Math.max(wide, narrow ?? 0), 'segment');
      if (!out.ok) return out;
      const ring = ringOfSegments({ count, wide_m: wide, narrow_m: narrow ?? wide, deep_m: deep, across_m: across, glasses: glasses.length });
      if (!ring.ok) return ring;
      const { inner_m, outer_m, ...motif } = ring.value;
      const words = `${count} segments with gaps of ${length(inner_m)} inside and ${length(outer_m)} outside; ${length(motif.width_m)} over their corners.`;
      return found({ motif, of: flat(thick), footprint: { shape: 'disc', diameter_m: motif.width_m }, dammed: false, words });
    }
    case 'woven': {
      const out = cut(long, deep, 'piece');
      if (!out.ok) return out;
      const woven = wovenRows({
        rows,
        inRow,
        long_m: long,
        deep_m: deep,
        gap_m: gap,
        border_m: borderId === null ? 0 : (border ?? 0),
        glasses: glasses.length,
      });
      if (!woven.ok) return woven;
      const cap = capId === null ? undefined : glassOf(shelves, capId);
      const of = [...flat(thick), ...(borderId === null ? [] : [{ form: 'pieces' as const, glassId: borderId, thickness_m: thick }])];
      return found({
        ...{ motif: woven.value, of, footprint: box(woven.value), dammed: false },
        ...(cap ? { cap: { glassId: cap.id, thickness_m: cap.thicknesses_m[0] } } : {}),
        words: `${woven.value.parts.length} pieces come to ${size(woven.value)}${cap ? `, under a cap of ${cap.name}` : ''}.`,
      });
    }
    case 'slices': {
      const motif = inEvenRows({ count, inRow, wide_m: wide, deep_m: deep, gap_m: gap, glasses: glasses.length });
      return found({ motif, of: cutFace('end'), footprint: box(motif), dammed: false, words: `${count} slices come to ${size(motif)}.` });
    }
  }
}
