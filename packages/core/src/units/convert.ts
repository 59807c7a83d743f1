/** Unit factors. This module and its neighbours in units/ are the only place where units are reckoned. */
export type TemperatureUnit = 'C' | 'F';

export const METRES_PER_INCH = 0.0254;
export const KILOGRAMS_PER_OUNCE = 0.028349523125;
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

export const perSecond = (perHour: number): number => perHour / SECONDS_PER_HOUR;
export const perHour = (perSecondValue: number): number => perSecondValue * SECONDS_PER_HOUR;
