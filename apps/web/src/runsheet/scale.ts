/**
 * The run sheet's temperature axis: stretched where glass acts. Below STRETCH_FROM_C it takes a sixth of the
 * width, so that the columns above can be read.
 */
export interface TemperatureScale {
  /** x in px of a temperature in °C. */
  x(celsius: number): number;
  /** °C at x. */
  celsius(x: number): number;
  /** °C per px at a temperature. */
  perPixel(celsius: number): number;
}

export const STRETCH_FROM_C = 450;
const COLD_SHARE = 1 / 6;

export function temperatureScale(left: number, right: number, top_C: number): TemperatureScale {
  const bend = left + (right - left) * COLD_SHARE;
  const cold = STRETCH_FROM_C / (bend - left);
  const hot = (Math.max(top_C, STRETCH_FROM_C + 1) - STRETCH_FROM_C) / (right - bend);
  return {
    x: (celsius) => (celsius <= STRETCH_FROM_C ? left + celsius / cold : bend + (celsius - STRETCH_FROM_C) / hot),
    celsius: (x) => (x <= bend ? (x - left) * cold : STRETCH_FROM_C + (x - bend) * hot),
    perPixel: (celsius) => (celsius < STRETCH_FROM_C ? cold : hot),
  };
}
