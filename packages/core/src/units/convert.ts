/** Unit factors. This module and its neighbours in units/ are the only place where units are reckoned. */
import { STANDARD_GRAVITY_m_s2 } from './physical';

export type TemperatureUnit = 'C' | 'F';
export type LengthUnit = 'mm' | 'in';
export type MassUnit = 'g' | 'oz';

/** What a person reads and writes. Rates and differences go with the temperature, areas with the length. */
export interface Units {
  temperature: TemperatureUnit;
  length: LengthUnit;
  mass: MassUnit;
}

export const METRIC: Units = { temperature: 'C', length: 'mm', mass: 'g' };

export const otherTemperature = (unit: TemperatureUnit): TemperatureUnit => (unit === 'C' ? 'F' : 'C');

/** The other unit of each kind, for a figure that is wanted both ways. */
export const otherUnits = ({ temperature, length, mass }: Units): Units => ({
  temperature: otherTemperature(temperature),
  length: length === 'mm' ? 'in' : 'mm',
  mass: mass === 'g' ? 'oz' : 'g',
});

export const METRES_PER_INCH = 0.0254;
export const KILOGRAMS_PER_OUNCE = 0.028349523125;
/** Pounds-force on a square inch: 0.45359237 kg · 9.80665 m/s² / (0.0254 m)². */
export const PASCALS_PER_PSI = (16 * KILOGRAMS_PER_OUNCE * STANDARD_GRAVITY_m_s2) / METRES_PER_INCH ** 2;
const kilogramsPer = (unit: MassUnit): number => (unit === 'g' ? 1e-3 : KILOGRAMS_PER_OUNCE);

/** What grains strewn on an area are counted in: the studio's mass on an area that goes with its length. */
export function strewnUnit({ length, mass }: Pick<Units, 'length' | 'mass'>): { name: string; kg_m2: number } {
  if (mass === 'oz') {
    return length === 'in' ? { name: 'oz/ft²', kg_m2: KILOGRAMS_PER_OUNCE / (12 * METRES_PER_INCH) ** 2 } : { name: 'oz/m²', kg_m2: KILOGRAMS_PER_OUNCE };
  }
  return length === 'in' ? { name: 'g/in²', kg_m2: 1e-3 / METRES_PER_INCH ** 2 } : { name: 'g/cm²', kg_m2: 10 };
}

/** What densities are told in: the studio's mass on the volume that goes with its length. */
export const densityUnit = ({ length, mass }: Pick<Units, 'length' | 'mass'>): { name: string; kg_m3: number } => ({
  name: `${mass}/${length === 'in' ? 'in³' : 'cm³'}`,
  kg_m3: kilogramsPer(mass) / (length === 'in' ? METRES_PER_INCH ** 3 : 1e-6),
});

export const SECONDS_PER_HOUR = 3600;
const FAHRENHEIT_DEGREES_PER_KELVIN = 1.8;
const FAHRENHEIT_AT_0_C = 32;

/** A temperature: scale and zero both change. */
export const temperatureIn = (celsius: number, unit: TemperatureUnit): number =>
  unit === 'C' ? celsius : celsius * FAHRENHEIT_DEGREES_PER_KELVIN + FAHRENHEIT_AT_0_C;

export const celsiusFrom = (value: number, unit: TemperatureUnit): number =>
  unit === 'C' ? value : (value - FAHRENHEIT_AT_0_C) / FAHRENHEIT_DEGREES_PER_KELVIN;

/** A difference or a rate: only the scale changes, never the zero. */
export const differenceIn = (kelvin: number, unit: TemperatureUnit): number => (unit === 'C' ? kelvin : kelvin * FAHRENHEIT_DEGREES_PER_KELVIN);

export const kelvinFrom = (value: number, unit: TemperatureUnit): number => (unit === 'C' ? value : value / FAHRENHEIT_DEGREES_PER_KELVIN);

export const massIn = (kilograms: number, unit: MassUnit): number => kilograms / kilogramsPer(unit);
export const massFrom = (value: number, unit: MassUnit): number => value * kilogramsPer(unit);

export const perSecond = (perHour: number): number => perHour / SECONDS_PER_HOUR;
export const perHour = (perSecondValue: number): number => perSecondValue * SECONDS_PER_HOUR;
