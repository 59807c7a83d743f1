/**
 * The fields of a record as people write them: what each is called, in which unit it is written, how it is kept. A form is made
 * from these; what is wrong in it is said all at once, at each field.
 */
import type { SectionPoint } from '@torvin/core/form';
import type { LookFactors } from '@torvin/core/learn';
import { LOOKS, RECIPES } from '@torvin/core/look';
import { type Outcome, type Problem, found, refused } from '@torvin/core/problem';
import {
  DIFFERENCE,
  LENGTH,
  type LengthUnit,
  MASS,
  METRES_PER_INCH,
  type Measure,
  type Range,
  SLOPE,
  TEMPERATURE,
  type Units,
  WATER,
  formatStock,
  parseLength,
  parseStock,
  plainMeasure,
  readFigure,
} from '@torvin/core/units';
import { z } from 'zod';
import type { Stored } from './stored';

/** What stands folded beneath a form's other fields. */
export const FOLDS = {
  constants: { title: 'Constants', about: 'what the engine calculates with' },
  shelves: { title: 'On its shelves', about: 'what has to be free round a piece; posts, elements, thermocouple' },
  places: { title: 'Its places', about: 'how much hotter than the middle, and how far behind' },
  keyed: { title: 'How it is keyed', about: 'its figures, their order and form, its programs' },
  runs: { title: 'While it runs', about: 'delay, alarm, what can be added, a power cut' },
  mix: { title: 'The mix', about: 'plaster, silica and water by mass' },
  wears: { title: 'How it wears', about: 'firings it lasts, what it weighed new and weighs now' },
  shape: { title: 'More of its shape', about: 'wall, turn, points, four sides, liner' },
  bought: { title: 'As it is bought', about: 'sizes and masses that Reckon counts in' },
} as const;
type Fold = keyof typeof FOLDS;

interface Common {
  key: string;
  label: string;
  hint?: string;
  /** By which a test finds it on the page. */
  testID: string;
  /** Stands folded beneath the others, under that heading. */
  folded?: Fold;
  /** May be left empty; what is usual is taken then. */
  optional?: boolean;
  /** Only asked for where this holds of what stands in the form; a record has no such part where it does not. */
  when?(entry: Entry): boolean;
  /** What it is called by what stands in the form. */
  called?(entry: Entry): string;
}

export interface Figure extends Common {
  as: 'figure';
  of: Measure;
  labelIn?(units: Units): string;
}

interface Option {
  value: string;
  title: string;
}

export type Field =
  | Figure
  | (Common & { as: 'colour' | 'lengths' })
  /** A day, kept as its beginning here: '2026-11-28'. */
  | (Common & { as: 'day' })
  /** Pictures, by their content; one that has not been sent is no part of a record yet. */
  | (Common & { as: 'pictures'; key: 'photos' })
  /** Places of a section, out and up: '0:0; 60:0; 90:12'. */
  | (Common & { as: 'points' })
  /** long: of several lines. */
  | (Common & { as: 'words'; long?: boolean })
  | (Common & { as: 'several'; options: readonly Option[] })
  /** usual: what is meant where nothing was chosen. */
  | (Common & { as: 'choice'; options: readonly Option[]; usual?: string })
  /** Looks, each with a factor: 'Tack fuse 1.12; Slump 0.9'. */
  | (Common & { as: 'looks' })
  /** A few plain numbers: '50; 150; 300'. */
  | (Common & { as: 'numbers' })
  | (Common & { as: 'yes'; title: string; usual?: boolean })
  | (Common & { as: 'record'; of: string });

/** Each of a few values with what it is called. */
export const asOptions = <T extends string>(values: readonly T[], title: (value: T) => string): { value: T; title: string }[] =>
  values.map((value) => ({ value, title: title(value) }));

/** A record as it stands in a form. */
export type Entry = Record<string, string | string[] | boolean>;

export const NAME: Field = { as: 'words', key: 'name', label: 'Name', testID: 'record-name' };
export const SOURCE: Field = {
  as: 'words',
  key: 'source',
  label: 'Source',
  hint: 'where the figures are from: the maker’s sheet, a test of your own; may be left empty',
  testID: 'record-source',
  optional: true,
};

type More = Partial<Pick<Figure, 'optional' | 'folded' | 'hint' | 'when' | 'called'>>;
const figureOf =
  (of: Measure) =>
  (key: string, label: string, more: More = {}): Figure => ({ as: 'figure', of, key, label, testID: `figure-${key}`, ...more });
export const plain = (key: string, label: string, unit = '', factor = 1, more: More = {}): Figure => figureOf(plainMeasure(unit, factor))(key, label, more);
export const temperature = figureOf(TEMPERATURE);
export const length = figureOf(LENGTH);
export const mass = figureOf(MASS);
/** By its weight or its volume. */
export const water = figureOf(WATER);
/** Kept in K/s. */
export const rate = figureOf(SLOPE);
/** A difference of temperatures: written in the studio's degrees, without the 32. */
export const difference = figureOf(DIFFERENCE);
/** A lag that is kept for 300 mm and shown for a foot in inches. */
const acrossShare = (unit: LengthUnit): number => (unit === 'in' ? (12 * METRES_PER_INCH) / 0.3 : 1);
const ACROSS: Measure = {
  ...plainMeasure('s'),
  shown: (value, { length: unit }) => value * acrossShare(unit),
  kept: (value, { length: unit }) => value / acrossShare(unit),
};
export const lag = (key: string, label: (span: string) => string, more: More = {}): Figure => ({
  ...figureOf(ACROSS)(key, label('300 mm'), more),
  labelIn: ({ length: unit }) => label(unit === 'in' ? '12 in' : '300 mm'),
});

/** As people would write it: six figures at most, no tail of noughts. */
export const written = (value: number): string => String(Number(value.toPrecision(6)));

/** entry: as it stands in its form, where it is called by that. */
export const labelOf = (field: Field, units: Units, entry?: Entry): string => {
  const label = (entry && field.called?.(entry)) ?? field.label;
  if (field.as === 'lengths' || field.as === 'points') return `${label}, ${units.length}`;
  if (field.as !== 'figure') return label;
  const mark = field.of.unit(units);
  return `${field.labelIn?.(units) ?? label}${mark ? `, ${mark}` : ''}`;
};

/** Whether it is asked for by what stands in the form. */
export const isAsked = (field: Field, entry: Entry): boolean => field.when?.(entry) ?? true;

/** What a figure of a record may be, as it is kept; null where it has no range. */
export function figureRange(schema: z.ZodType, key: string): Range | null {
  const shape = schema instanceof z.ZodObject ? (schema.shape as Record<string, z.ZodType | undefined>) : {};
  const field = shape[key];
  const number = field instanceof z.ZodOptional ? field.unwrap() : field;
  if (!(number instanceof z.ZodNumber) || number.minValue === null || number.maxValue === null) return null;
  return { least: number.minValue, most: number.maxValue };
}

/** A figure as it is kept, within what its record may hold there. */
export const figureOfRecord = (schema: z.ZodType, { of, key, label, labelIn, optional }: Figure, typed: string, units: Units): Outcome<number> =>
  readFigure(typed, { of, name: labelIn?.(units) ?? label, range: figureRange(schema, key), path: key, optional }, units);

function readNumbers(field: Field, typed: string): Outcome<number[]> {
  const parts = typed.split(';').filter((one) => one.trim() !== '');
  const values = parts.map((part) => Number(part.trim().replace(',', '.')));
  const wrong = parts.find((_, i) => !Number.isFinite(values[i]));
  return wrong === undefined
    ? found(values)
    : refused('unreadable', field.key, `'${wrong.trim()}' is not a number. Write numbers with a ; between, such as 50; 150; 300.`);
}

function readLengths(field: Field, typed: string, units: Units): Outcome<number[]> {
  const values: number[] = [];
  for (const part of typed.split(';').filter((one) => one.trim() !== '')) {
    const read = parseStock(part, units.length, field.key);
    if (!read.ok) return read;
    values.push(read.value);
  }
  return found(values);
}

/** Written as it is read; a mark between out and up that no unit and no decimal has. */
const pointsWritten = (points: readonly SectionPoint[], units: Units): string =>
  points.map(({ out_m, up_m }) => `${written(LENGTH.shown(out_m, units))}:${written(LENGTH.shown(up_m, units))}`).join('; ');

function readPoints(field: Field, typed: string, units: Units): Outcome<SectionPoint[]> {
  const points: SectionPoint[] = [];
  for (const part of typed.split(/[;\n]/).filter((one) => one.trim() !== '')) {
    const [out = '', up, ...more] = part.split(':');
    if (up === undefined || more.length > 0)
      return refused('unreadable', field.key, `'${part.trim()}' is not a point. Write each place as out:up from the middle, such as 0:0; 60:0; 90:12.`);
    const low = up.trim().replace(/^−/, '-');
    const [far, high] = [parseLength(out, units.length, field.key), parseLength(low.replace(/^-/, ''), units.length, field.key)];
    if (!far.ok) return far;
    if (!high.ok) return high;
    points.push({ out_m: far.value, up_m: low.startsWith('-') ? -high.value : high.value });
  }
  return found(points);
}

export const dayWritten = (at: number): string => {
  const day = new Date(at);
  const two = (value: number): string => String(value).padStart(2, '0');
  return `${day.getFullYear()}-${two(day.getMonth() + 1)}-${two(day.getDate())}`;
};

function readDay(field: Field, typed: string): Outcome<number> {
  const [, year, month, date] = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(typed.trim()) ?? [];
  const day = new Date(Number(year), Number(month) - 1, Number(date));
  if (Number.isNaN(day.getTime()) || day.getDate() !== Number(date))
    return refused('unreadable', field.key, `'${typed.trim()}' is not a date. Write 2026-11-28.`);
  return found(day.getTime());
}

const looksWritten = (factors: LookFactors): string =>
  LOOKS.flatMap((look) => (factors[look] === undefined ? [] : [`${RECIPES[look].name} ${written(factors[look])}`])).join('; ');

function readLooks(field: Field, typed: string): Outcome<LookFactors> {
  const factors: LookFactors = {};
  for (const part of typed.split(';').filter((one) => one.trim() !== '')) {
    const [, name = '', figure = ''] = /^(.*?)\s+([\d.,]+)$/.exec(part.trim()) ?? [];
    const look = LOOKS.find((one) => RECIPES[one].name.toLowerCase() === name.toLowerCase());
    const factor = Number(figure.replace(',', '.'));
    if (!look || !Number.isFinite(factor))
      return refused('unreadable', field.key, `'${part.trim()}' is not a firing type with a factor. Write for example Tack fuse 1.1; Slump 0.9.`);
    factors[look] = factor;
  }
  return found(factors);
}

const show = (field: Field, value: unknown, units: Units): string | string[] | boolean => {
  if (field.as === 'figure') return typeof value === 'number' ? written(field.of.shown(value, units)) : '';
  if (field.as === 'lengths') return ((value as number[] | undefined) ?? []).map((one) => formatStock(one, units.length).figure).join('; ');
  if (field.as === 'numbers') return ((value as number[] | undefined) ?? []).map(written).join('; ');
  if (field.as === 'points') return pointsWritten((value as SectionPoint[] | undefined) ?? [], units);
  if (field.as === 'day') return typeof value === 'number' ? dayWritten(value) : '';
  if (field.as === 'looks') return looksWritten((value as LookFactors | undefined) ?? {});
  if (field.as === 'several' || field.as === 'pictures') return (value as string[] | undefined) ?? [];
  if (field.as === 'yes') return (value ?? field.usual) === true;
  if (field.as === 'choice') return (value as string | undefined) ?? field.usual ?? '';
  return typeof value === 'string' ? value : '';
};

/** What a record has under a key that its kind names; undefined where it has none. */
export const valueAt = (record: Stored, key: string): unknown => Object.getOwnPropertyDescriptor(record, key)?.value;

export const entryOfRecord = (fields: readonly Field[], record: Stored, units: Units): Entry =>
  Object.fromEntries(fields.map((field) => [field.key, show(field, valueAt(record, field.key), units)]));

function readField(schema: z.ZodType, field: Field, typed: Entry[string], units: Units): Outcome<unknown> {
  if (field.as === 'figure') return figureOfRecord(schema, field, String(typed), units);
  if (field.as === 'lengths') return readLengths(field, String(typed), units);
  if (field.as === 'numbers') return readNumbers(field, String(typed));
  if (field.as === 'points') return readPoints(field, String(typed), units);
  if (field.as === 'looks') return readLooks(field, String(typed));
  if (field.as === 'day') return readDay(field, String(typed));
  if (typed === '' && !field.optional && (field.as === 'record' || field.as === 'choice')) return refused('empty', field.key, `${field.label}: choose one.`);
  return found(typeof typed === 'string' ? typed.trim() : typed);
}

export type ReadEntry<T> = { ok: true; record: T } | { ok: false; faults: Problem[] };

/** Whether a record may have no such part at all; one that is empty words has it. */
const mayBeAbsent = (schema: z.ZodType, key: string): boolean =>
  schema instanceof z.ZodObject && (schema.shape as Record<string, unknown>)[key] instanceof z.ZodOptional;

/** The record with what stands in the form. What was not touched stays as it was, to the last digit; all faults are told, each at its field. */
export function readEntry<T extends Stored>(
  { fields, schema, change }: { fields: readonly Field[]; schema: z.ZodType; change: z.ZodType<T> },
  before: T,
  entry: Entry,
  units: Units,
): ReadEntry<T> {
  const faults: Problem[] = [];
  const next = { ...before } as Record<string, unknown>;
  const standing = { ...entryOfRecord(fields, before, units), ...entry };
  for (const field of fields) {
    if (!isAsked(field, standing)) {
      delete next[field.key];
      continue;
    }
    const typed = entry[field.key];
    const was = show(field, valueAt(before, field.key), units);
    const isUntouched = typed === undefined || (typed === was && typed !== '');
    if (isUntouched) continue;
    const isEmpty = typed === '' || (field.as === 'pictures' && Array.isArray(typed) && typed.length === 0);
    if (isEmpty && field.optional && (field.as === 'looks' || mayBeAbsent(schema, field.key))) delete next[field.key];
    else {
      const read = readField(schema, field, typed, units);
      if (read.ok) next[field.key] = read.value;
      else faults.push({ ...read.problem, path: field.key });
    }
  }
  const held = change.safeParse(next);
  if (!held.success) {
    for (const { path, message, code } of held.error.issues) {
      const at = String(path[0] ?? '');
      if (!faults.some((fault) => fault.path === at)) faults.push({ code: code ?? 'invalid', path: at, message });
    }
  }
  return faults.length > 0 || !held.success ? { ok: false, faults } : { ok: true, record: held.data };
}
