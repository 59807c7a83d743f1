/** What is left of made glass, in words: by mass, and by number where there were several. */
import { type Units, formatMass, text } from '@torvin/core/units';
import type { Made } from '@torvin/schema';

/** Less than this share is what a saw takes, or rounding. */
const NOTHING = 0.005;

type Amount = Pick<Made, 'mass_kg' | 'count'>;

/** Whether pieces name more of it than there was. */
export const isShort = (left_kg: number, { mass_kg }: Amount): boolean => left_kg < -NOTHING * mass_kg;

export function leftWords(left_kg: number, made: Amount, { mass: unit }: Units): string {
  const { mass_kg, count } = made;
  if (isShort(left_kg, made)) return `${text(formatMass(-left_kg, unit))} more is named than there was`;
  if (left_kg < NOTHING * mass_kg) return 'none left';
  if (left_kg > (1 - NOTHING) * mass_kg) return 'all of it left';
  const pieces = Math.floor(count * (left_kg / mass_kg) + 1e-6);
  return `${text(formatMass(left_kg, unit))} left${count > 1 ? `, as much as ${pieces} of ${count}` : ''}`;
}
