/**
 * Reads quantities as people type them at a bench: '12 in', '1 1/4"', '6,5 mm', '1390F', '0.25h', '1:30'.
 * A bare number takes the unit the caller names. The result is SI (m, s), °C for temperatures and °C/h for rates.
 */
import { type Outcome, found, refused } from '../problem';
import {
  type LengthUnit,
  type MassUnit,
  KILOGRAMS_PER_OUNCE,
  METRES_PER_INCH,
  type TemperatureUnit,
  type Units,
  celsiusFrom,
  densityUnit,
  kelvinFrom,
  otherTemperature,
  strewnUnit,
} from './convert';
import { WATER_kg_m3 } from './physical';
import { formatDensity, formatMass, formatRate, formatStrewn, formatTemperature, text as text_ } from './format';

const VULGAR: Record<string, string> = { '½': '1/2', '¼': '1/4', '¾': '3/4', '⅛': '1/8', '⅜': '3/8', '⅝': '5/8', '⅞': '7/8' };

/** A mixed fraction ('1 1/2', '1-1/2'), a fraction, or a decimal with point or comma. */
const NUMBER = String.raw`\d+(?:\s+|\s*-\s*)\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*[.,]?\d+(?:e[+-]?\d+)?|\d+[.,]`;
const AMBIGUOUS_THOUSANDS = /(^|[^\d.,])([1-9]\d{0,2},\d{3})(?!\d|[.,])/;

const LENGTH_UNITS: Record<string, number> = {
  mm: 1e-3,
  millimetre: 1e-3,
  millimetres: 1e-3,
  millimeter: 1e-3,
  millimeters: 1e-3,
  cm: 1e-2,
  centimetre: 1e-2,
  centimetres: 1e-2,
  centimeter: 1e-2,
  centimeters: 1e-2,
  m: 1,
  metre: 1,
  metres: 1,
  meter: 1,
  meters: 1,
  in: METRES_PER_INCH,
  inch: METRES_PER_INCH,
  inches: METRES_PER_INCH,
  '"': METRES_PER_INCH,
  ft: 12 * METRES_PER_INCH,
  foot: 12 * METRES_PER_INCH,
  feet: 12 * METRES_PER_INCH,
  "'": 12 * METRES_PER_INCH,
};

const TIME_UNITS: Record<string, number> = {
  s: 1,
  sec: 1,
  second: 1,
  seconds: 1,
  m: 60,
  min: 60,
  mins: 60,
  minute: 60,
  minutes: 60,
  h: 3600,
  hr: 3600,
  hrs: 3600,
  hour: 3600,
  hours: 3600,
};

const MASS_UNITS: Record<string, number> = {
  mg: 1e-6,
  g: 1e-3,
  gram: 1e-3,
  grams: 1e-3,
  kg: 1,
  kilo: 1,
  kilos: 1,
  kilogram: 1,
  kilograms: 1,
  oz: KILOGRAMS_PER_OUNCE,
  ounce: KILOGRAMS_PER_OUNCE,
  ounces: KILOGRAMS_PER_OUNCE,
  lb: 16 * KILOGRAMS_PER_OUNCE,
  lbs: 16 * KILOGRAMS_PER_OUNCE,
  pound: 16 * KILOGRAMS_PER_OUNCE,
  pounds: 16 * KILOGRAMS_PER_OUNCE,
};

/**
 * What a comma and a point mean. 'auto' takes either for the decimal sign and refuses '1,200', which could be both;
 * 'point' and 'comma' settle it, and then the other sign groups thousands.
 */
export type Decimal = 'auto' | 'point' | 'comma';

const GROUPED_BY = { point: /(?<![\d.,])[1-9]\d{0,2}(?:,\d{3})+(?![\d,])/g, comma: /(?<![\d.,])[1-9]\d{0,2}(?:\.\d{3})+(?![\d.])/g };

/** Takes the signs that group thousands out of the numbers in a text. */
const ungrouped = (text: string, decimal: Decimal): string =>
  decimal === 'auto' ? text : text.replace(GROUPED_BY[decimal], (number) => number.replace(/[.,]/g, ''));

const tidy = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[″”“]/g, '"')
    .replace(/[′’‘]/g, "'")
    .replace(/[\u00a0\u2009\u202f]/g, ' ')
    .replace(/−/g, '-')
    .replace(/(\d)?\s*([½¼¾⅛⅜⅝⅞])/g, (_, whole: string | undefined, glyph: string) => `${whole ?? ''} ${VULGAR[glyph]}`)
    .trim();

function readNumber(text: string): number {
  const mixed = /^(?:(\d+)(?:\s+|\s*-\s*))?(\d+)\s*\/\s*(\d+)$/.exec(text.trim());
  if (mixed) return Number(mixed[1] ?? 0) + Number(mixed[2]) / Number(mixed[3]);
  return Number(text.replace(',', '.'));
}

/** Spellings that tell in which of two units something was written. */
const WRITTEN: { [K in keyof Units]: readonly [RegExp, Units[K]][] } = {
  temperature: [
    [/^(c|celsius)$/, 'C'],
    [/^(f|fahrenheit)$/, 'F'],
  ],
  length: [
    [/^(mm|cm|dm|m|(milli|centi)?met(re|er)s?)$/, 'mm'],
    [/^(in|inch|inches|ft|foot|feet|["'])$/, 'in'],
  ],
  mass: [
    [/^(mg|g|kg|grams?|kilos?|kilograms?|[mcd]?l|lit(re|er)s?)$/, 'g'],
    [/^(oz|ounces?|lbs?|pounds?|cups?)$/, 'oz'],
  ],
};

/** The units that a text was written in, the given ones where it names none: what is wrong with it is answered in these. */
export function unitsWritten(text: string, units: Units): Units {
  const words = tidy(text).match(/[a-z]+|["']/g) ?? [];
  const of = <K extends keyof Units>(kind: K): Units[K] => WRITTEN[kind].find(([spelling]) => words.some((word) => spelling.test(word)))?.[1] ?? units[kind];
  return { temperature: of('temperature'), length: of('length'), mass: of('mass') };
}

const quote = (text: string): string => `'${text.length > 40 ? `${text.slice(0, 40)}…` : text}'`;

interface Kind {
  name: string;
  units: Record<string, number>;
  examples: string;
}

/** '1,200' is a thousand to some and a little over one to others. */
function twoWays(clean: string, path: string, decimal: Decimal): ReturnType<typeof refused> | null {
  const digits = decimal === 'auto' ? AMBIGUOUS_THOUSANDS.exec(clean)?.[2] : undefined;
  return digits === undefined
    ? null
    : refused('ambiguous', path, `${quote(digits)} can be read two ways; write ${digits.replace(',', '')} or ${digits.replace(',', '.')}.`);
}

/** Reads one or several numbers with units and adds them ('1 ft 2 in'); a single bare number takes bareFactor. */
function readSum(text: string, kind: Kind, bareFactor: number, path: string, decimal: Decimal): Outcome<number> {
  const clean = ungrouped(tidy(text), decimal);
  if (clean === '') return refused('empty', path, `No ${kind.name} given. Write for example ${kind.examples}.`);
  const ambiguous = twoWays(clean, path, decimal);
  if (ambiguous) return ambiguous;
  const pair = new RegExp(String.raw`\s*(${NUMBER})\s*([a-z]+\.?|["'])?`, 'y');
  let total = 0;
  let parts = 0;
  while (pair.lastIndex < clean.length) {
    const match = pair.exec(clean);
    if (!match?.[1]) return refused('unreadable', path, `${quote(text.trim())} is not a ${kind.name}. Write for example ${kind.examples}.`);
    const unit = match[2]?.replace(/\.$/, '');
    const factor = unit === undefined ? bareFactor : kind.units[unit];
    if (factor === undefined) return refused('unknown-unit', path, `${quote(unit ?? '')} is not a unit of ${kind.name}. Write for example ${kind.examples}.`);
    if (unit === undefined && (parts > 0 || pair.lastIndex < clean.length)) {
      return refused('unreadable', path, `${quote(text.trim())} is not one ${kind.name}. Write for example ${kind.examples}.`);
    }
    total += readNumber(match[1]) * factor;
    parts += 1;
  }
  return Number.isFinite(total) ? found(total) : refused('unreadable', path, `${quote(text.trim())} is not a ${kind.name}.`);
}

/** Examples begin with the unit that a bare number is in. */
const LENGTH_EXAMPLES = { mm: '240 mm, 24 cm or 9 1/2 in', in: '9 1/2 in, 9.5 in or 240 mm' };
const MASS_EXAMPLES = { g: '445 g, 1.2 kg or 2 lb 3 oz', oz: '16 oz, 2 lb 3 oz or 445 g' };

/** Length in m. */
export function parseLength(text: string, bareUnit: LengthUnit, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const kind = { name: 'length', units: LENGTH_UNITS, examples: LENGTH_EXAMPLES[bareUnit] };
  return readSum(text, kind, bareUnit === 'mm' ? 1e-3 : METRES_PER_INCH, path, decimal);
}

/** What an inch fraction names where sheets are made to millimetres, m: the sizes that they are made in. */
const STOCK_SIZES_M = [0.0015, 0.002, 0.003, 0.004, 0.005, 0.006, 0.008, 0.01, 0.012, 0.015, 0.019, 0.025] as const;
/** No metric size is taken for a fraction that it is further from than this share of it. */
const STOCK_WITHIN = 0.06;
const FRACTION_M = METRES_PER_INCH / 32;

/** The thickness that a sheet of so many inches has, m: of those that it comes in, or else as sheets are made; a measured figure stays. */
function stockNamed(metres: number, sizes_m: readonly number[]): number {
  const parts = metres / FRACTION_M;
  if (Math.abs(parts - Math.round(parts)) > 1e-6) return metres;
  const nearest = (of: readonly number[]): number | undefined =>
    of.filter((one) => Math.abs(one / metres - 1) < STOCK_WITHIN).sort((a, b) => Math.abs(a - metres) - Math.abs(b - metres))[0];
  return nearest(sizes_m) ?? nearest(STOCK_SIZES_M) ?? metres;
}

/** Thickness of a sheet or rod in m, by the name it goes by: '1/8 in' is one of 3 mm, or the size near it that its glass comes in. */
export function parseStock(text: string, bareUnit: LengthUnit, path = '', sizes_m: readonly number[] = []): Outcome<number> {
  const read = parseLength(text, bareUnit, path);
  if (!read.ok || unitsWritten(text, { temperature: 'C', length: bareUnit, mass: 'g' }).length === 'mm') return read;
  return found(stockNamed(read.value, sizes_m));
}

/** Mass in kg; '2 lb 3 oz' is one mass. */
export function parseMass(text: string, bareUnit: MassUnit, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const kind = { name: 'mass', units: MASS_UNITS, examples: MASS_EXAMPLES[bareUnit] };
  return readSum(text, kind, bareUnit === 'g' ? 1e-3 : KILOGRAMS_PER_OUNCE, path, decimal);
}

const LITRE_M3 = 1e-3;
/** Of the kitchen measures in use beside inches, m³. */
const CUP_M3 = 236.588e-6;
const FLUID_OUNCE_M3 = CUP_M3 / 8;

const VOLUMES_M3: Record<string, number> = {
  ...{ ml: LITRE_M3 / 1e3, cl: LITRE_M3 / 100, dl: LITRE_M3 / 10, l: LITRE_M3, litre: LITRE_M3, litres: LITRE_M3, liter: LITRE_M3, liters: LITRE_M3 },
  ...{ cup: CUP_M3, cups: CUP_M3, floz: FLUID_OUNCE_M3 },
};
const WATER_UNITS: Record<string, number> = {
  ...MASS_UNITS,
  ...Object.fromEntries(Object.entries(VOLUMES_M3).map(([name, each_m3]) => [name, each_m3 * WATER_kg_m3])),
};
/** 'fl oz', 'fl. oz', 'fluid ounces' as one word. */
const withFluidOunces = (text: string): string => text.replace(/\b(?:fl\.?|fluid)\s*(?:oz\.?|ounces?)/gi, 'floz');
const WATER_EXAMPLES = { g: '640 g, 640 ml, 1.2 l or 20 fl oz', oz: '22 oz, 20 fl oz, 2 1/2 cups or 640 ml' };

/** Water in kg, weighed or measured: a litre of it weighs 998 g. */
export function parseWater(text: string, bareUnit: MassUnit, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const kind = { name: 'mass or volume of water', units: WATER_UNITS, examples: WATER_EXAMPLES[bareUnit] };
  return readSum(withFluidOunces(text), kind, bareUnit === 'g' ? 1e-3 : KILOGRAMS_PER_OUNCE, path, decimal);
}

const AREA_UNITS: Record<string, number> = { mm: 1e-6, cm: 1e-4, dm: 1e-2, m: 1, in: METRES_PER_INCH ** 2, ft: (12 * METRES_PER_INCH) ** 2 };
/** '0.3 g/cm2', '7 oz per sq ft', '1.4 g/in²'. */
const PER_AREA = new RegExp(String.raw`^(${NUMBER})\s*([a-z]+)\s*(?:/|per)\s*(sq\.?|square)?\s*(mm|cm|dm|m|in|inch|inches|ft|foot|feet)\s*(?:2|²|\^2)?$`);
const AREA_NAMES: Record<string, string> = { inch: 'in', inches: 'in', foot: 'ft', feet: 'ft' };

const VOLUME_UNITS: Record<string, number> = {
  ...{ mm: 1e-9, cm: 1e-6, dm: 1e-3, m: 1, ...VOLUMES_M3 },
  ...{ in: METRES_PER_INCH ** 3, inch: METRES_PER_INCH ** 3, ft: (12 * METRES_PER_INCH) ** 3, foot: (12 * METRES_PER_INCH) ** 3 },
};
/** '0.93 g/cm3', '0.54 oz per cu in', '930 g/l'. */
const PER_VOLUME = new RegExp(String.raw`^(${NUMBER})\s*([a-z]+)\s*(?:/|per)\s*(?:cu\.?|cubic)?\s*([a-z]+)\s*(?:3|³|\^3)?$`);

const AREA = new RegExp(String.raw`^(${NUMBER})\s*(sq\.?|square)?\s*(mm|cm|dm|m|in|inch|inches|ft|foot|feet)\s*(2|²|\^2)?$`);
const VOLUME = new RegExp(String.raw`^(${NUMBER})\s*(cu\.|cu(?=\s)|cubic)?\s*([a-z]+)\s*(3|³|\^3)?$`);

/** Area in m²; its unit must be written. */
export function parseArea(text: string, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const [, number, square, unit, two] = AREA.exec(ungrouped(tidy(text), decimal)) ?? [];
  if (number && (square || two)) return found(readNumber(number) * AREA_UNITS[AREA_NAMES[unit] ?? unit]);
  return refused('unreadable', path, `${quote(text.trim())} is not an area. Write for example 720 cm² or 112 sq in.`);
}

/** Volume in m³; its unit must be written. */
export function parseVolume(text: string, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const [, number, cubic, unit, three] = VOLUME.exec(ungrouped(withFluidOunces(tidy(text)), decimal)) ?? [];
  const of = VOLUME_UNITS[unit ?? ''];
  // A litre and a cup are volumes by themselves, with no 3 behind them.
  if (number && of !== undefined && (cubic || three || unit in VOLUMES_M3)) return found(readNumber(number) * of);
  return refused('unreadable', path, `${quote(text.trim())} is not a volume. Write for example 500 ml, 0.5 l or 30 cu in.`);
}

/** Density in kg/m³; a bare number is in what goes with the studio's units. */
export function parseDensity(text: string, units: Pick<Units, 'length' | 'mass'>, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const clean = ungrouped(tidy(text), decimal);
  if (new RegExp(`^(?:${NUMBER})$`).test(clean)) return found(readNumber(clean) * densityUnit(units).kg_m3);
  const [, number, mass, volume] = PER_VOLUME.exec(clean) ?? [];
  const [of, on] = [MASS_UNITS[mass ?? ''], VOLUME_UNITS[volume ?? '']];
  if (number && of !== undefined && on !== undefined) return found((readNumber(number) * of) / on);
  return refused('unreadable', path, `${quote(text.trim())} is not a density. Write for example ${text_(formatDensity(930, units))} or 930 g/l.`);
}

/** What lies strewn on an area, as it is weighed: the whole of it in kg, or kg/m²; whichever was written. */
export type Strewn = { mass_kg: number } | { perArea_kg_m2: number };

/** Reads grains by the mass of all of them or by mass on an area; a bare number is what bare says. */
export function parseStrewn(
  text: string,
  bare: 'mass' | 'perArea',
  units: Pick<Units, 'length' | 'mass'>,
  path = '',
  decimal: Decimal = 'auto',
): Outcome<Strewn> {
  const clean = ungrouped(tidy(text), decimal);
  const example = `${text_(formatStrewn(2.2, units))} or ${text_(formatMass(0.095, units.mass))} in all`;
  const written = PER_AREA.exec(clean);
  if (written) {
    const mass = MASS_UNITS[written[2]];
    if (mass === undefined) return refused('unknown-unit', path, `${quote(written[2])} is not a unit of mass. Write for example ${example}.`);
    return found({ perArea_kg_m2: (readNumber(written[1]) * mass) / AREA_UNITS[AREA_NAMES[written[4]] ?? written[4]] });
  }
  if (bare === 'perArea' && new RegExp(`^(?:${NUMBER})$`).test(clean)) return found({ perArea_kg_m2: readNumber(clean) * strewnUnit(units).kg_m2 });
  const mass = parseMass(text, units.mass, path, decimal);
  if (mass.ok) return found({ mass_kg: mass.value });
  return mass.problem.code === 'ambiguous'
    ? mass
    : refused(mass.problem.code, path, `${quote(text.trim())} is not an amount on an area. Write for example ${example}.`);
}

/** Duration in s; a bare number is minutes, '1:30' and '1 h 30' are hours and minutes. */
export function parseDuration(text: string, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const clock = /^(\d+)(?::|\s*h\s*)([0-5]\d)$/i.exec(text.trim());
  if (clock) return found(Number(clock[1]) * 3600 + Number(clock[2]) * 60);
  return readSum(text, { name: 'time', units: TIME_UNITS, examples: '20 min, 1:30 or 0.25 h' }, 60, path, decimal);
}

const TEMPERATURE = new RegExp(String.raw`^(-?)(${NUMBER})\s*(?:°|deg(?:rees)?\.?)?\s*(c|f|celsius|fahrenheit)?$`);

const degreesEitherWay = (celsius: number, bare: TemperatureUnit): string =>
  [bare, otherTemperature(bare)].map((unit) => text_(formatTemperature(celsius, unit))).join(' or ');

/** Temperature in °C; a bare number takes bareUnit. */
export function parseTemperature(text: string, bareUnit: TemperatureUnit, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const clean = ungrouped(tidy(text), decimal);
  const ambiguous = twoWays(clean, path, decimal);
  if (ambiguous) return ambiguous;
  const match = TEMPERATURE.exec(clean);
  if (!match?.[2]) return refused('unreadable', path, `${quote(text.trim())} is not a temperature. Write for example ${degreesEitherWay(790, bareUnit)}.`);
  const value = readNumber(match[2]) * (match[1] ? -1 : 1);
  return found(celsiusFrom(value, unitOf(match[3], bareUnit)));
}

/** A difference of temperatures in K: 1.8 alone, never 32. */
export function parseDifference(text: string, bareUnit: TemperatureUnit, path = '', decimal: Decimal = 'auto'): Outcome<number> {
  const clean = ungrouped(tidy(text), decimal);
  const ambiguous = twoWays(clean, path, decimal);
  if (ambiguous) return ambiguous;
  const match = TEMPERATURE.exec(clean);
  if (!match?.[2])
    return refused('unreadable', path, `${quote(text.trim())} is not a difference. Write for example ${bareUnit === 'C' ? '5 °C or 9 °F' : '9 °F or 5 °C'}.`);
  return found(kelvinFrom(readNumber(match[2]) * (match[1] ? -1 : 1), unitOf(match[3], bareUnit)));
}

const EXPANSION = /^(\d*[.,]?\d+)(?:\s*(?:e|[x×*·]\s*10\s*\^?)\s*-\s*(\d+))?\s*(?:(?:\/|per)\s*(?:k|°?c|degrees?(?: c)?))?$/;
/** What is left of 10⁻⁷ when people say '90'. */
const BARE_EXPANSION_EXPONENT = 7;
/** Bare numbers below this are meant in 10⁻⁶: '9.0' and '90' are the same glass. */
const BARE_MILLIONTHS_BELOW = 20;

/** Linear expansion in 1/K, in any of the notations in use: '90', '9.0', '90e-7', '9.0 x 10^-6 /K'. */
export function parseExpansion(text: string, path = ''): Outcome<number> {
  const superscripts = tidy(text).replace(
    /[⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+/g,
    (run) =>
      `^${[...run]
        .map((sign) => '⁰¹²³⁴⁵⁶⁷⁸⁹'.indexOf(sign))
        .map((digit) => (digit < 0 ? '-' : digit))
        .join('')}`,
  );
  const match = EXPANSION.exec(superscripts);
  if (!match) return refused('unreadable', path, `${quote(text.trim())} is not an expansion. Write for example 90, 9.0e-6 or 90e-7.`);
  const mantissa = readNumber(match[1]);
  const exponent =
    match[2] !== undefined ? Number(match[2]) : mantissa < 1e-3 ? 0 : mantissa < BARE_MILLIONTHS_BELOW ? BARE_EXPANSION_EXPONENT - 1 : BARE_EXPANSION_EXPONENT;
  const value = mantissa * 10 ** -exponent;
  if (value < 1e-7 || value > 3e-5)
    return refused('out-of-range', path, `${quote(text.trim())} would be ${value.toExponential(1)} per K; glass lies between 1e-7 and 3e-5.`);
  return found(value);
}

const RATE = new RegExp(String.raw`^(${NUMBER})\s*(?:°|deg(?:rees)?\.?)?\s*(c|f)?\s*(?:(?:/|per|an?)\s*(h|hr|hour|min|minute))?$`);
const FULL_SPEED = /^(full( speed)?|max(imum)?|fast(est)?|as fast as possible)$/;

/** Rate in °C/h as a positive number, or null for as fast as the kiln can. A controller's own code for that is understood too. */
export function parseRate(text: string, bareUnit: TemperatureUnit, path = '', decimal: Decimal = 'auto', fullSpeedCode?: number): Outcome<number | null> {
  const clean = ungrouped(tidy(text), decimal);
  if (FULL_SPEED.test(clean) || (fullSpeedCode !== undefined && clean === String(fullSpeedCode))) return found(null);
  const ambiguous = twoWays(clean, path, decimal);
  if (ambiguous) return ambiguous;
  const match = RATE.exec(clean);
  if (!match?.[1]) {
    const example = text_(formatRate(bareUnit === 'C' ? 220 : kelvinFrom(400, 'F'), bareUnit));
    return refused('unreadable', path, `${quote(text.trim())} is not a rate. Write for example ${example}, or full.`);
  }
  const perHour = readNumber(match[1]) * (match[3]?.startsWith('min') ? 60 : 1);
  return found(kelvinFrom(perHour, unitOf(match[2], bareUnit)));
}

const unitOf = (letter: string | undefined, bare: TemperatureUnit): TemperatureUnit => (letter === undefined ? bare : letter.startsWith('f') ? 'F' : 'C');
