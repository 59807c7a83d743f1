/** Where the glass of a piece came from and went to, over all of its steps so far. */
import type { Units } from '../units/convert';
import { formatMass, text } from '../units/format';
import type { AfterStep } from './applySteps';
import type { Taken } from './stepOutcome';
import { TAKEN_NAMES } from './stepWords';

export interface Ledger {
  laid_kg: number;
  /** Each kind once, in the order in which it came up, kg. */
  taken: Taken[];
  /** What is left: by the body's own measures, so that the sum can be held against it. */
  left_kg: number;
}

export function ledgerOf(after: readonly AfterStep[]): Ledger {
  const taken = new Map<Taken['as'], number>();
  for (const { as, mass_kg } of after.flatMap((one) => one.taken)) taken.set(as, (taken.get(as) ?? 0) + mass_kg);
  return {
    laid_kg: after.reduce((sum, { laid_kg }) => sum + laid_kg, 0),
    taken: [...taken].map(([as, mass_kg]) => ({ as, mass_kg })),
    left_kg: after.at(-1)?.mass_kg ?? 0,
  };
}

/** 'Laid on 940 g − 31 g kerf − 12 g ground off = 897 g'; null where nothing was taken yet. */
export function ledgerWords({ laid_kg, taken, left_kg }: Ledger, { mass: unit }: Units): string | null {
  if (taken.length === 0) return null;
  const heavy = (mass_kg: number): string => text(formatMass(mass_kg, unit));
  return `Laid on ${heavy(laid_kg)}${taken.map(({ as, mass_kg }) => ` − ${heavy(mass_kg)} ${TAKEN_NAMES[as]}`).join('')} = ${heavy(left_kg)}.`;
}
