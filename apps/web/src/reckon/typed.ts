/** What is typed on a sheet of Reckon: words by field, read all at once. What is empty is missing; what is wrong is said at its field. */
import type { QuantityName } from '@torvin/core/quantity';
import {
  COAT,
  COUNT,
  DENSITY,
  LENGTH,
  MASS,
  METRES_PER_INCH,
  type Measure,
  NUMBER,
  RATE,
  type Range,
  STOCK,
  TEMPERATURE,
  TIME,
  type Units,
  WATER,
  otherUnits,
  plainMeasure,
  readFigure,
  stockOf,
  text,
  unitsWritten,
} from '@torvin/core/units';

export type Typed = Readonly<Record<string, string>>;

const each = (of: Measure, ...fields: string[]): Record<string, Measure> => Object.fromEntries(fields.map((field) => [field, of]));
const HUNDREDTHS = plainMeasure('%');

/** What each field of the sheets measures, without what it belongs to: 'c0.width' is a width. One that does not stand here is a number or a choice. */
const MEASURES: Record<string, Measure | undefined> = {
  ...each(LENGTH, 'width', 'length', 'depth', 'diameter', 'inner', 'rim', 'rimAlong', 'floor', 'floorAlong', 'wall', 'tape', 'tapeAlong', 'hang', 'foot'),
  ...each(STOCK, 'strip', 'thick', 'capThick'),
  ...each(LENGTH, 'hole', 'film', 'grain', 'liner', 'to', 'ends', 'corners', 'stands', 'back', 'under', 'lumpThick', 'lumpWide', 'size'),
  ...each(LENGTH, 'sheetWidth', 'sheetLength', 'stripWide', 'kerf', 'gap', 'border', 'over', 'slab', 'stop', 'paper'),
  ...each(LENGTH, 'slabWide', 'slabDeep', 'fillWide', 'fillLong', 'lastAcross', 'lastAlong', 'atDoor', 'atBack', 'atLeft', 'atRight'),
  ...each(MASS, 'grains', 'total', 'step', 'scrap', 'wanted', 'model', 'stays', 'have', 'mass', 'lastMass'),
  ...each(WATER, 'poured', 'drunk'),
  ...each(TEMPERATURE, 'wasAt', 'willAt', 'coneAt'),
  ...each(RATE, 'wasUp', 'willUp', 'coneRate'),
  ...each(TIME, 'wasHold', 'willHold', 'coneHold'),
  ...each(COUNT, 'count', 'high', 'across', 'along', 'coats', 'lobes', 'holes'),
  ...each(HUNDREDTHS, 'percent', 'liquid', 'cover', 'packing', 'spare', 'open', 'yield-coarse', 'yield-medium', 'yield-fine', 'yield-powder'),
  density: DENSITY,
  coat: COAT,
};

const measureOf = (field: string): Measure | undefined => MEASURES[field.slice(field.lastIndexOf('.') + 1)];

/** Whether a bare number in it means something else in another studio. */
const hangsOnUnits = (of: Measure, units: Units): boolean => of.unit(units) !== of.unit(otherUnits(units));

const TIMES = /\s*[x×*]\s*/i;
/** A sign between sizes is no unit. */
export const hasUnit = (words: string): boolean => /[a-z"'″′]/i.test(words.split(TIMES).join(' '));

/** With the units that bare numbers were meant in, so that it means the same wherever it is read again. */
export function withUnits(typed: Typed, units: Units): Typed {
  const written = Object.entries(typed).map(([field, words]): [string, string] => {
    const of = measureOf(field);
    const isBare = of !== undefined && hangsOnUnits(of, units) && words.trim() !== '' && !hasUnit(words);
    return [field, isBare ? `${words.trim()} ${of.unit(units)}` : words];
  });
  return Object.fromEntries(written);
}

/** The same in the other unit, to stand under what is typed; nothing where it cannot be read. */
export function inOtherUnit(field: string, words: string, units: Units): string | undefined {
  const of = measureOf(field);
  if (words.trim() === '' || !of?.read || !hangsOnUnits(of, units)) return undefined;
  const read = of.read(words, units, field);
  return read.ok ? text(of.written(read.value, otherUnits(unitsWritten(words, units)))) : undefined;
}

/** A length as it would be typed in the studio's own unit, with no digit lost that anybody measures. */
export const exactly = (metres: number, { length }: Units): string =>
  String(Number(length === 'in' ? (metres / METRES_PER_INCH).toFixed(3) : (metres * 1e3).toFixed(2)));

export interface Reader {
  /** As it is kept, by what the field measures; NaN where it is missing or wrong. */
  figure(field: string, name: string, range: Range): number;
  /** Left out where it is empty. */
  maybe<T>(field: string, read: () => T): T | undefined;
  choice<T extends string>(field: string, choices: readonly [T, ...T[]]): T;
  /** Has to be chosen: the first stands in while it is missing. */
  chosen<T extends string>(field: string, name: string, choices: readonly [T, ...T[]]): T;
  /** Says what is wrong at a field. */
  wrong(field: string, message: string): void;
  words(field: string): string;
}

export interface Read<T> {
  /** Null while something is missing or wrong. */
  value: T | null;
  problems: Record<string, string>;
  /** What is to be told yet, as it is called. */
  missing: string[];
}

/** sizes_m: that the glass in question comes in, by which an inch fraction of a sheet is understood. */
export function readTyped<T>(typed: Typed, units: Units, take: (read: Reader) => T, sizes_m: readonly number[] = []): Read<T> {
  const problems: Record<string, string> = {};
  const missing: string[] = [];
  const words = (field: string): string => (typed[field] ?? '').trim();
  function figure(field: string, name: string, range: Range): number {
    if (words(field) === '') {
      missing.push(name);
      return Number.NaN;
    }
    const measured = measureOf(field);
    const of = measured === STOCK ? stockOf(sizes_m) : measured;
    // A share of parts may be written in hundredths too.
    const typedWords = of ? words(field) : words(field).replace(/\s*%$/, '');
    const outcome = readFigure(typedWords, { of: of ?? NUMBER, name: `The ${name}`, range, path: field }, units);
    if (outcome.ok) return outcome.value;
    problems[field] = outcome.problem.message;
    return Number.NaN;
  }
  const value = take({
    figure,
    maybe: (field, one) => (words(field) === '' ? undefined : one()),
    choice: (field, choices) => choices.find((one) => one === typed[field]) ?? choices[0],
    chosen: (field, name, choices) => {
      const chosen = choices.find((one) => one === typed[field]);
      if (chosen === undefined) missing.push(name);
      return chosen ?? choices[0];
    },
    wrong: (field, message) => {
      problems[field] = message;
    },
    words,
  });
  return { value: missing.length === 0 && Object.keys(problems).length === 0 ? value : null, problems, missing };
}

/** '18 × 26 × 4 cm' typed into the first of several sizes, as each of them; null where it is one size. */
export function sizesApart(words: string, count: number): string[] | null {
  const parts = words.split(TIMES).map((part) => part.trim());
  if (parts.length < 2 || parts.length > count || parts.some((part) => part === '')) return null;
  const unit = /([a-z"'″′]+\.?)$/i.exec(parts[parts.length - 1])?.[1];
  return parts.map((part) => (hasUnit(part) || !unit ? part : `${part} ${unit}`));
}

/** What is typed on each sheet. */
export type TypedOf = Partial<Record<QuantityName, Typed>>;
