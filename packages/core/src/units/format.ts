/** Writes SI quantities for people. Figures and units are separate so that a screen can set them in two sizes. */
import {
  type LengthUnit,
  METRES_PER_INCH,
  type MassUnit,
  PASCALS_PER_PSI,
  type TemperatureUnit,
  type Units,
  densityUnit,
  differenceIn,
  massIn,
  strewnUnit,
  temperatureIn,
} from './convert';

export interface Figure {
  figure: string;
  unit: string;
}

export const text = ({ figure, unit }: Figure): string => (unit === '' ? figure : `${figure} ${unit}`);

const round = (value: number, digits: number): string => {
  const written = value.toFixed(digits);
  return Number(written) === 0 ? written.replace('-', '') : written;
};

export const formatTemperature = (celsius: number, unit: TemperatureUnit): Figure => ({
  figure: round(temperatureIn(celsius, unit), 0),
  unit: `°${unit}`,
});

export function formatDifference(kelvin: number, unit: TemperatureUnit): Figure {
  const value = differenceIn(kelvin, unit);
  return { figure: round(value, Math.abs(value) < 10 ? 1 : 0), unit: `°${unit}` };
}

/** For a refusal, whose reader may think in either. */
export const differenceBothWays = (kelvin: number): string => [kelvin, differenceIn(kelvin, 'F')].map((one) => Math.round(one)).join(' °C (') + ' °F)';

/** A rate in °C/h; null reads as full speed. */
export function formatRate(perHour: number | null, unit: TemperatureUnit): Figure {
  if (perHour === null) return { figure: 'full speed', unit: '' };
  const value = differenceIn(perHour, unit);
  return { figure: round(value, value < 10 ? 1 : 0), unit: `°${unit}/h` };
}

/** '12 h 40', '35 min', '3 d 4 h'. */
export function formatDuration(seconds: number): Figure {
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return { figure: `${minutes}`, unit: 'min' };
  const hours = Math.floor(minutes / 60);
  if (hours < 48) return { figure: `${hours} h ${String(minutes % 60).padStart(2, '0')}`, unit: '' };
  const roundedHours = Math.round(minutes / 60);
  return { figure: `${Math.floor(roundedHours / 24)} d ${roundedHours % 24} h`, unit: '' };
}

/** Sheets and rods are told apart by thousandths of an inch, larger things by hundredths. */
const FINE_INCHES_M = 0.2 * METRES_PER_INCH;
/** Below this, as of a polish, two figures are told. */
const FINEST_M = 0.0001 - 1e-9;

export function formatLength(metres: number, unit: LengthUnit): Figure {
  const value = unit === 'in' ? metres / METRES_PER_INCH : metres * 1e3;
  if (metres !== 0 && Math.abs(metres) < FINEST_M) return { figure: String(Number(value.toPrecision(2))), unit };
  if (unit === 'in') return { figure: trimZeros(round(value, Math.abs(metres) < FINE_INCHES_M ? 3 : 2)), unit: 'in' };
  const millimetres = value;
  return { figure: trimZeros(round(millimetres, Math.abs(millimetres) < 100 ? 1 : 0)), unit: 'mm' };
}

/** From so many on a mass is told in the larger unit, and how many of the small go into that: kilograms from one on, pounds from two. */
export const LARGE_MASS = { g: { name: 'kg', from: 1000, per: 1000 }, oz: { name: 'lb', from: 32, per: 16 } } as const satisfies Record<MassUnit, object>;

/** What is scattered on is told in tenths of a gram. */
const FINE_GRAMS = 10;

export function formatMass(kilograms: number, unit: MassUnit): Figure {
  const { name, from, per } = LARGE_MASS[unit];
  const small = massIn(kilograms, unit);
  if (small >= from) return { figure: round(small / per, 2), unit: name };
  if (unit === 'oz') return { figure: small < 1 ? trimZeros(round(small, 3)) : round(small, 1), unit };
  return { figure: small < FINE_GRAMS ? trimZeros(round(small, 1)) : round(small, 0), unit };
}

/** Eighths of an inch as people write them; other fractions in figures. */
const EIGHTHS = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'];
/** A sheet made to a metric size passes for the inch fraction that is within this share of it. */
const PASSES_WITHIN = 0.06;

function inchFraction(inches: number, of: number): { value: number; figure: string } {
  const count = Math.round(inches * of);
  const whole = Math.floor(count / of);
  const rest = ((count % of) * 8) / of;
  const part = Number.isInteger(rest) ? EIGHTHS[rest] : `${count % of}/${of}`;
  const figure = whole === 0 ? part : Number.isInteger(rest) || part === '' ? `${whole}${part}` : `${whole} ${part}`;
  return { value: count / of, figure };
}

/**
 * A sheet's thickness or a rod's, by the name it goes by: a 3 mm sheet is ⅛ in to those who think in inches. What neither is
 * a fraction nor comes in half millimetres stands as a decimal.
 */
export function formatStock(metres: number, unit: LengthUnit): Figure {
  const inches = metres / METRES_PER_INCH;
  const halves = metres / 0.0005;
  const nominal = Math.abs(halves - Math.round(halves)) < 1e-6;
  if (unit === 'in') {
    for (const of of [8, 16, 32]) {
      const { value, figure } = inchFraction(inches, of);
      const off = Math.abs(inches / value - 1);
      if (value > 0 && (off < 1e-6 || (nominal && off < PASSES_WITHIN))) return { figure, unit: 'in' };
    }
  }
  return formatLength(metres, unit);
}

/** Grains strewn on: mass on an area, in what goes with the studio's units. */
export function formatStrewn(kg_m2: number, units: Pick<Units, 'length' | 'mass'>): Figure {
  const { name, kg_m2: one } = strewnUnit(units);
  const value = kg_m2 / one;
  return { figure: trimZeros(round(value, value < 1 ? 3 : value < 10 ? 2 : 1)), unit: name };
}

/** What a coat of primer takes, or paper weighs: on a square metre, or as grains are told where a studio weighs in ounces. */
export const formatCoat = (kg_m2: number, units: Pick<Units, 'length' | 'mass'>): Figure =>
  units.mass === 'g' ? { figure: trimZeros(round(kg_m2 * 1e3, kg_m2 < 0.01 ? 1 : 0)), unit: 'g/m²' } : formatStrewn(kg_m2, units);

/** An area in cm² or square inches. */
/** Of what is painted or papered: m² or square feet. */
export const formatWideArea = (squareMetres: number, unit: LengthUnit): Figure =>
  unit === 'mm' ? { figure: squareMetres.toFixed(2), unit: 'm²' } : { figure: (squareMetres / (12 * METRES_PER_INCH) ** 2).toFixed(1), unit: 'ft²' };

export const formatArea = (squareMetres: number, unit: LengthUnit): Figure =>
  unit === 'in' ? { figure: round(squareMetres / METRES_PER_INCH ** 2, 0), unit: 'in²' } : { figure: round(squareMetres * 1e4, 0), unit: 'cm²' };

const CUBIC_INCH_M3 = METRES_PER_INCH ** 3;

/** A volume in cm³ or cubic inches. */
export function formatVolume(cubicMetres: number, unit: LengthUnit): Figure {
  const value = unit === 'in' ? cubicMetres / CUBIC_INCH_M3 : cubicMetres * 1e6;
  return { figure: round(value, value < 10 ? 2 : value < 100 ? 1 : 0), unit: unit === 'in' ? 'in³' : 'cm³' };
}

/** A density in the studio's mass on its own volume: g/cm³, oz/in³. */
export function formatDensity(kg_m3: number, units: Pick<Units, 'length' | 'mass'>): Figure {
  const { name, kg_m3: one } = densityUnit(units);
  const value = kg_m3 / one;
  return { figure: trimZeros(round(value, value < 10 ? 3 : 1)), unit: name };
}

/** A stress, in pounds on the square inch where lengths are in inches. */
export const formatStress = (pascals: number, unit: LengthUnit): Figure =>
  unit === 'in' ? { figure: round(pascals / PASCALS_PER_PSI, 0), unit: 'psi' } : { figure: round(pascals / 1e6, pascals < 1e6 ? 2 : 1), unit: 'MPa' };

const trimZeros = (written: string): string => (written.includes('.') ? written.replace(/\.?0+$/, '') : written);
