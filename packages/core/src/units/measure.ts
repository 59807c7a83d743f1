/** Figures as people type them into any form: what a bare number is in, what else is read, and what is said of one that cannot be. */
import { type Outcome, found, refused } from '../problem';
import {
  METRES_PER_INCH,
  PASCALS_PER_PSI,
  SECONDS_PER_HOUR,
  type Units,
  celsiusFrom,
  densityUnit,
  differenceIn,
  kelvinFrom,
  massFrom,
  massIn,
  strewnUnit,
  temperatureIn,
} from './convert';
import {
  type Figure,
  LARGE_MASS,
  formatCoat,
  formatDensity,
  formatDifference,
  formatDuration,
  formatLength,
  formatMass,
  formatRate,
  formatStock,
  formatStress,
  formatStrewn,
  formatTemperature,
  text,
} from './format';
import {
  parseDensity,
  parseDifference,
  parseDuration,
  parseLength,
  parseMass,
  parseRate,
  parseStock,
  parseTemperature,
  parseWater,
  unitsWritten,
} from './parse';

/** What a figure measures. 'kept' is in SI, °C or °C/h; 'shown' is the bare number in the studio's unit. */
export interface Measure {
  /** '' where it has none. */
  unit(units: Units): string;
  shown(kept: number, units: Units): number;
  kept(shown: number, units: Units): number;
  /** Where people write more than a number: '1050 C', '14 1/2 in'. */
  read?(typed: string, units: Units, path: string): Outcome<number>;
  /** As a page shows it. */
  written(kept: number, units: Units): Figure;
  /** In a sentence, where a number before the unit would not do. */
  told?(kept: number, units: Units, end?: End): string;
  whole?: true;
}

const MILLIMETRE_M = 1e-3;
const MINUTE_S = 60;
const THOUSAND = 1000;
/** Digits within which a product of figures is exact again. */
const EXACT_DIGITS = 6;
const metresPer = ({ length }: Units): number => (length === 'in' ? METRES_PER_INCH : MILLIMETRE_M);

/** m. */
export const LENGTH: Measure = {
  unit: ({ length }) => length,
  shown: (kept, units) => kept / metresPer(units),
  kept: (shown, units) => shown * metresPer(units),
  written: (kept, { length }) => formatLength(kept, length),
  read: (typed, { length }, path) => parseLength(typed, length, path),
};

/** kg. */
export const MASS: Measure = {
  unit: ({ mass }) => mass,
  shown: (kept, { mass }) => massIn(kept, mass),
  kept: (shown, { mass }) => massFrom(shown, mass),
  written: (kept, { mass }) => formatMass(kept, mass),
  read: (typed, { mass }, path) => parseMass(typed, mass, path),
  told(kept, { mass }, end) {
    const { name, from, per } = LARGE_MASS[mass];
    const shown = massIn(kept, mass);
    return shown < from ? `${inFewDigits(shown, end)} ${mass}` : `${inFewDigits(shown / per, end)} ${name}`;
  },
};

/** m, of a sheet or a rod: told and read by the name it goes by. */
export const STOCK: Measure = {
  ...LENGTH,
  written: (kept, { length }) => formatStock(kept, length),
  read: (typed, { length }, path) => parseStock(typed, length, path),
};

/** Of a glass that comes in such sheets, m: an inch fraction is the nearest of them. */
export const stockOf = (sizes_m: readonly number[]): Measure => ({ ...STOCK, read: (typed, { length }, path) => parseStock(typed, length, path, sizes_m) });

/** kg of water, by its weight or its volume. */
export const WATER: Measure = { ...MASS, read: (typed, { mass }, path) => parseWater(typed, mass, path) };

/** °C. */
export const TEMPERATURE: Measure = {
  unit: ({ temperature }) => `°${temperature}`,
  shown: (kept, { temperature }) => temperatureIn(kept, temperature),
  kept: (shown, { temperature }) => celsiusFrom(shown, temperature),
  written: (kept, { temperature }) => formatTemperature(kept, temperature),
  read: (typed, { temperature }, path) => parseTemperature(typed, temperature, path),
};

/** K: written in the studio's degrees, without the 32. */
export const DIFFERENCE: Measure = {
  unit: ({ temperature }) => `°${temperature}`,
  shown: (kept, { temperature }) => differenceIn(kept, temperature),
  kept: (shown, { temperature }) => kelvinFrom(shown, temperature),
  written: (kept, { temperature }) => formatDifference(kept, temperature),
  read: (typed, { temperature }, path) => parseDifference(typed, temperature, path),
};

function readRate(typed: string, { temperature }: Units, path: string): Outcome<number> {
  const read = parseRate(typed, temperature, path);
  if (!read.ok) return read;
  return read.value === null ? refused('unreadable', path, 'Full speed is no figure: enter the rate.') : found(read.value);
}

/** °C/h; full speed is no figure. */
export const RATE: Measure = {
  unit: ({ temperature }) => `°${temperature}/h`,
  shown: (kept, { temperature }) => differenceIn(kept, temperature),
  kept: (shown, { temperature }) => kelvinFrom(shown, temperature),
  written: (kept, { temperature }) => formatRate(kept, temperature),
  read: readRate,
};

/** The same kept in K/s. */
export const SLOPE: Measure = {
  ...RATE,
  shown: (kept, units) => RATE.shown(kept * SECONDS_PER_HOUR, units),
  kept: (shown, units) => RATE.kept(shown, units) / SECONDS_PER_HOUR,
  written: (kept, units) => RATE.written(kept * SECONDS_PER_HOUR, units),
  read(typed, units, path) {
    const read = readRate(typed, units, path);
    return read.ok ? found(read.value / SECONDS_PER_HOUR) : read;
  },
};

/** s; a bare number is minutes. */
export const TIME: Measure = {
  unit: () => 'min',
  shown: (kept) => kept / MINUTE_S,
  kept: (shown) => shown * MINUTE_S,
  written: formatDuration,
  read: (typed, _units, path) => parseDuration(typed, path),
  told: (kept) => text(formatDuration(kept)),
};

const stressUnit = ({ length }: Units) => (length === 'in' ? { name: 'psi', pascals: PASCALS_PER_PSI } : { name: 'MPa', pascals: 1e6 });

/** Pa. */
export const STRESS: Measure = {
  unit: (units) => stressUnit(units).name,
  shown: (kept, units) => kept / stressUnit(units).pascals,
  kept: (shown, units) => shown * stressUnit(units).pascals,
  written: (kept, { length }) => formatStress(kept, length),
};

/** kg/m³. */
export const DENSITY: Measure = {
  unit: (units) => densityUnit(units).name,
  shown: (kept, units) => kept / densityUnit(units).kg_m3,
  kept: (shown, units) => shown * densityUnit(units).kg_m3,
  written: formatDensity,
  read: (typed, units, path) => parseDensity(typed, units, path),
};

/** kg/m² of a wet coat: on a square metre, or as grains are told where a studio weighs in ounces. */
export const COAT: Measure = {
  unit: (units) => (units.mass === 'g' ? 'g/m²' : strewnUnit(units).name),
  shown: (kept, units) => (units.mass === 'g' ? kept * 1e3 : kept / strewnUnit(units).kg_m2),
  kept: (shown, units) => (units.mass === 'g' ? shown / 1e3 : shown * strewnUnit(units).kg_m2),
  written: formatCoat,
};

/** kg/m² of grains, or of lumps; told of an area, it is read with that: see parseStrewn. */
export const STREWN: Measure = {
  unit: (units) => strewnUnit(units).name,
  shown: (kept, units) => kept / strewnUnit(units).kg_m2,
  kept: (shown, units) => shown * strewnUnit(units).kg_m2,
  written: formatStrewn,
};

/** Kept as it stands, or as so many of what people write. */
export const plainMeasure = (unit = '', factor = 1): Measure => ({
  unit: () => unit,
  shown: (kept) => kept * factor,
  kept: (shown) => shown / factor,
  written: (kept) => ({ figure: String(Number((kept * factor).toPrecision(EXACT_DIGITS))), unit }),
});
export const NUMBER = plainMeasure();
export const COUNT: Measure = { ...NUMBER, whole: true };
/** A share, written in hundredths. */
export const PERCENT = plainMeasure('%', 100);

export interface Range {
  least: number;
  most: number;
}

export interface TypedFigure {
  of: Measure;
  /** Of the sentence that says what is wrong. */
  name: string;
  /** As it is kept, ends included; any number where there is none. */
  range?: Range | null;
  path?: string;
  /** May be left empty. */
  optional?: boolean;
}

const FEW = 4;
const SCALE_OF_ENDS = 100;
const BESIDE_END = 1e-6;

/** end: of a range, drawn inwards to three figures, so that what is written lies within it. */
type End = 'least' | 'most';

/** Four figures, and every one of those before the point. */
function inFewDigits(value: number, end?: End): string {
  if (end === undefined || value === 0) return String(Math.abs(value) >= THOUSAND ? Math.round(value) : Number(value.toPrecision(FEW)));
  const scale = Math.min(10 ** Math.floor(Math.log10(Math.abs(value))) / SCALE_OF_ENDS, 1);
  const drawn = end === 'least' ? Math.ceil(value / scale - BESIDE_END) : Math.floor(value / scale + BESIDE_END);
  return String(Number((drawn * scale).toPrecision(12)));
}

/** A figure with its unit, for a sentence. */
export function told(of: Measure, kept: number, units: Units, end?: End): string {
  if (of.told) return of.told(kept, units, end);
  const unit = of.unit(units);
  return `${inFewDigits(of.shown(kept, units), end)}${unit === '' ? '' : ` ${unit}`}`;
}

const rangeWords = (of: Measure, { least, most }: Range, units: Units): string => `${told(of, least, units, 'least')} to ${told(of, most, units, 'most')}`;

/** What is typed ends a little beside a bound that was written in another unit. */
const BESIDE = 1e-9;

/** value: as it is kept, drawn to the end of the range that it lies a rounding beside. */
function withinRange(value: number, { of, name, range, path = '' }: TypedFigure, units: Units): Outcome<number> {
  if (of.whole && !Number.isInteger(value)) return refused('not-whole', path, `${name} is ${value}; it must be whole.`);
  if (!range) return found(value);
  const { least, most } = range;
  const beside = BESIDE * Math.max(Math.abs(least), Math.abs(most));
  if (value >= least - beside && value <= most + beside) return found(Math.min(Math.max(value, least), most));
  return refused('out-of-range', path, `${name} is ${told(of, value, units)}; it must be from ${rangeWords(of, range, units)}.`);
}

function plainNumber(typed: string, { of, range, path = '', optional }: TypedFigure, units: Units): Outcome<number> {
  const bare = typed.replace(',', '.').replace('−', '-');
  const unit = of.unit(units);
  const value = Number(unit !== '' && bare.endsWith(unit) ? bare.slice(0, -unit.length) : bare);
  if (Number.isFinite(value)) return found(of.kept(value, units));
  const instead = optional ? ' Leave it empty where it is not known.' : range ? ` Enter ${rangeWords(of, range, units)}.` : '';
  return refused('unreadable', path, `'${typed}' is not a number.${instead}`);
}

/** What is typed, as it is kept. What is wrong with it is told in the unit that it is written in. */
export function readFigure(typed: string, figure: TypedFigure, units: Units): Outcome<number> {
  const { of, name, range, path = '' } = figure;
  // A plus says nothing, and people write it of what an instrument is off by.
  const words = typed.trim().replace(/^\+\s*/, '');
  if (words === '') return refused('empty', path, `${name}: enter a figure${range ? `, from ${rangeWords(of, range, units)}` : ''}.`);
  const read = of.read ? of.read(words, units, path) : plainNumber(words, figure, units);
  return read.ok ? withinRange(read.value, figure, unitsWritten(words, units)) : read;
}
