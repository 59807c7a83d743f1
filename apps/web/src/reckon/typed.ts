/** What is typed on a sheet of Reckon: words by field, read all at once. What is empty is missing; what is wrong is said at its field. */
import { type Outcome, refused } from '@torvin/core/problem';
import type { QuantityName } from '@torvin/core/quantity';
import {
  type Figure,
  METRES_PER_INCH,
  type Units,
  densityUnit,
  formatDensity,
  formatDuration,
  formatLength,
  formatMass,
  formatRate,
  formatTemperature,
  otherUnits,
  parseDensity,
  parseDuration,
  parseLength,
  parseMass,
  parseRate,
  parseTemperature,
  strewnUnit,
  text,
  unitsWritten,
} from '@torvin/core/units';
import { lengthWithin, massWithin, numberWithin } from '@/layup/typed';

export type Typed = Readonly<Record<string, string>>;

interface Range {
  least: number;
  most: number;
}

/** Of every field of every sheet by its name, without what it belongs to: 'c0.width' is a width. What is not named is a number or a choice. */
type FieldKind = 'length' | 'mass' | 'density' | 'coat' | 'temperature' | 'rate';
const KINDS: Record<string, FieldKind | undefined> = {
  ...{ density: 'density', coat: 'coat' },
  ...{ width: 'length', length: 'length', depth: 'length', diameter: 'length', inner: 'length', rim: 'length', floor: 'length' },
  ...{ hole: 'length', film: 'length', grain: 'length', grains: 'mass' },
  ...{ total: 'mass', step: 'mass', wall: 'length', scrap: 'mass', wanted: 'mass' },
  ...{ sheetWidth: 'length', sheetLength: 'length', stripWide: 'length', kerf: 'length', gap: 'length', thick: 'length', border: 'length' },
  ...{ slabWide: 'length', slabDeep: 'length' },
  ...{ capThick: 'length', over: 'length', slab: 'length', stop: 'length', paper: 'length', fillWide: 'length', fillLong: 'length' },
  ...{ liner: 'length', to: 'length', strip: 'length', ends: 'length', corners: 'length', stands: 'length', back: 'length' },
  ...{ lumpThick: 'length', lumpWide: 'length' },
  ...{ wasAt: 'temperature', willAt: 'temperature', coneAt: 'temperature', wasUp: 'rate', willUp: 'rate', coneRate: 'rate' },
  ...{ rimAlong: 'length', floorAlong: 'length', tape: 'length', tapeAlong: 'length', hang: 'length', foot: 'length', under: 'length' },
  ...{ lastAcross: 'length', lastAlong: 'length', atDoor: 'length', atBack: 'length', atLeft: 'length', atRight: 'length' },
  ...{ poured: 'mass', drunk: 'mass', model: 'mass', stays: 'mass', have: 'mass', mass: 'mass', lastMass: 'mass' },
};

const kindOfField = (field: string): FieldKind | undefined => KINDS[field.slice(field.lastIndexOf('.') + 1)];

const TIMES = /\s*[x×*]\s*/i;
/** A sign between sizes is no unit. */
export const hasUnit = (words: string): boolean => /[a-z"'″′]/i.test(words.split(TIMES).join(' '));

/** What a coat takes is told on a square metre, or as grains are where a studio weighs in ounces. */
export const coatUnit = (units: Units): string => (units.mass === 'g' ? 'g/m²' : strewnUnit(units).name);

/** What a bare number in a field is in. */
function unitOfKind(kind: FieldKind, units: Units): string {
  switch (kind) {
    case 'density':
      return densityUnit(units).name;
    case 'coat':
      return coatUnit(units);
    case 'temperature':
      return `°${units.temperature}`;
    case 'rate':
      return `°${units.temperature}/h`;
    default:
      return units[kind];
  }
}

/** With the units that bare numbers were meant in, so that it means the same wherever it is read again. */
export function withUnits(typed: Typed, units: Units): Typed {
  const written = Object.entries(typed).map(([field, words]): [string, string] => {
    const kind = kindOfField(field);
    return [field, kind === undefined || words.trim() === '' || hasUnit(words) ? words : `${words.trim()} ${unitOfKind(kind, units)}`];
  });
  return Object.fromEntries(written);
}

/** The same in the other unit, to stand under what is typed; nothing where it cannot be read. */
export function inOtherUnit(field: string, words: string, units: Units): string | undefined {
  const kind = kindOfField(field);
  if (words.trim() === '') return undefined;
  const other = otherUnits(unitsWritten(words, units));
  const shown = <T>(read: Outcome<T>, written: (value: T) => Figure): string | undefined => (read.ok ? text(written(read.value)) : undefined);
  switch (kind) {
    case 'length':
      return shown(parseLength(words, units.length), (value) => formatLength(value, other.length));
    case 'mass':
      return shown(parseMass(words, units.mass), (value) => formatMass(value, other.mass));
    case 'temperature':
      return shown(parseTemperature(words, units.temperature), (value) => formatTemperature(value, other.temperature));
    case 'rate':
      return shown(parseRate(words, units.temperature), (value) => formatRate(value, other.temperature));
    default:
      return undefined;
  }
}

/** A length as it would be typed in the studio's own unit, with no digit lost that anybody measures. */
export const exactly = (metres: number, { length }: Units): string =>
  String(Number(length === 'in' ? (metres / METRES_PER_INCH).toFixed(3) : (metres * 1e3).toFixed(2)));

export interface Reader {
  /** NaN where it is missing or wrong. */
  length(field: string, name: string, range: Range): number;
  mass(field: string, name: string, range: Range): number;
  density(field: string, name: string, range: Range): number;
  /** °C. */
  temperature(field: string, name: string, range: Range): number;
  /** °C/h. */
  rate(field: string, name: string, range: Range): number;
  /** s; a bare number is minutes. */
  time(field: string, name: string, range: Range): number;
  number(field: string, name: string, range: Range & { whole?: true }): number;
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

function within(read: Outcome<number>, name: string, { least, most }: Range, written: (value: number) => Figure): Outcome<number> {
  if (!read.ok || (read.value >= least && read.value <= most)) return read;
  return refused('out-of-range', '', `${name} must be from ${text(written(least))} to ${text(written(most))}.`);
}

export function readTyped<T>(typed: Typed, units: Units, take: (read: Reader) => T): Read<T> {
  const problems: Record<string, string> = {};
  const missing: string[] = [];
  const words = (field: string): string => (typed[field] ?? '').trim();
  function read(field: string, name: string, parse: (words: string) => Outcome<number>): number {
    if (words(field) === '') {
      missing.push(name);
      return Number.NaN;
    }
    const outcome = parse(words(field));
    if (outcome.ok) return outcome.value;
    problems[field] = outcome.problem.message;
    return Number.NaN;
  }
  const capital = (name: string): string => `The ${name}`;
  const value = take({
    length: (field, name, { least, most }) => read(field, name, (typed_) => lengthWithin(typed_, capital(name), least, most, units.length)),
    mass: (field, name, { least, most }) => read(field, name, (typed_) => massWithin(typed_, capital(name), least, most, units.mass)),
    density: (field, name, { least, most }) =>
      read(field, name, (typed_) => within(parseDensity(typed_, units), capital(name), { least, most }, (value) => formatDensity(value, units))),
    temperature: (field, name, range) =>
      read(field, name, (typed_) =>
        within(parseTemperature(typed_, units.temperature), capital(name), range, (value) => formatTemperature(value, units.temperature)),
      ),
    rate: (field, name, range) =>
      read(field, name, (typed_) => {
        const rate = parseRate(typed_, units.temperature);
        if (rate.ok && rate.value === null)
          return refused('out-of-range', field, `${capital(name)} must be told as a rate; full speed is what is taken where it is empty.`);
        return within(rate as Outcome<number>, capital(name), range, (value) => formatRate(value, units.temperature));
      }),
    time: (field, name, range) => read(field, name, (typed_) => within(parseDuration(typed_), capital(name), range, formatDuration)),
    number: (field, name, { whole, ...range }) =>
      read(field, name, (typed_) => numberWithin(typed_.replace(/\s*%$/, ''), capital(name), range, whole ? 'whole' : 'any')),
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
