/** Figures that a form suggests before anything is told: kept in metres and °C, round in the studio's own unit. */
import { METRES_PER_INCH, type LengthUnit, type TemperatureUnit, celsiusFrom, temperatureIn } from './convert';
import { formatLength, text } from './format';

/** From so many inches on in steps of so many: as rules are divided, coarser for larger things. */
const STEPS_in = [
  [4, 1 / 2],
  [1, 1 / 4],
  [1 / 2, 1 / 8],
  [1 / 4, 1 / 16],
  [1 / 32, 1 / 32],
  [0, 1 / 1000],
] as const;

/** A usual size, m, as whoever measures in this unit would put it: 300 mm or 12 in. Usual sizes are round in millimetres already. */
export function suggested(metres: number, unit: LengthUnit): number {
  if (unit === 'mm') return metres;
  const inches = metres / METRES_PER_INCH;
  const [, step] = STEPS_in.find(([from]) => inches >= from) ?? STEPS_in[STEPS_in.length - 1];
  return Math.max(step, Math.round(inches / step) * step) * METRES_PER_INCH;
}

const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));

/** The same as it stands in a field: '12 in', '2 3/4 in', '250 mm'. */
export function suggestedWords(metres: number, unit: LengthUnit): string {
  const value_m = suggested(metres, unit);
  const parts = Math.round((value_m / METRES_PER_INCH) * 32);
  if (unit === 'mm' || Math.abs(parts / 32 - value_m / METRES_PER_INCH) > 1e-9) return text(formatLength(value_m, unit));
  const [whole, rest] = [Math.floor(parts / 32), parts % 32];
  const shared = gcd(rest, 32);
  return `${[...(whole > 0 ? [whole] : []), ...(rest > 0 ? [`${rest / shared}/${32 / shared}`] : [])].join(' ')} in`;
}

const ROUND_F = 10;

/** The most that something can be heated to, °C: in °F the next round figure below. Usual ones are round in °C already. */
export function suggestedTop(celsius: number, unit: TemperatureUnit): number {
  return unit === 'C' ? celsius : celsiusFrom(ROUND_F * Math.floor(temperatureIn(celsius, unit) / ROUND_F + 1e-9), unit);
}
