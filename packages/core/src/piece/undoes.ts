/** A later firing that takes away what an earlier one made. */
import { RECIPES } from '../look/recipes/all';
import type { PieceDocument, PlannedStep } from './document';
import { firingsOf, placeOf } from './journey';

/** Set-ups that hold a shape while it is soft. */
export const HOLDS: readonly PlannedStep['setup']['kind'][] = ['inMould', 'inInvestment', 'overFormer'];

/** What a firing would undo, in a sentence; null where it undoes nothing. A shaped piece keeps its shape only in or over a form. */
export function undoes(doc: Pick<PieceDocument, 'journey'>, step: Pick<PlannedStep, 'id' | 'look' | 'setup'>): string | null {
  const before = firingsOf({ journey: doc.journey.slice(0, placeOf(doc, step.id)) });
  const shaped = before.findLast(({ look }) => RECIPES[look].group === 'shaped' || RECIPES[look].fills);
  if (!shaped || RECIPES[step.look].stays || RECIPES[step.look].empty || HOLDS.includes(step.setup.kind)) return null;
  const name = RECIPES[step.look].name.toLowerCase();
  if (RECIPES[shaped.look].fills) return `With nothing to hold it, a ${name} softens what was cast: fine detail rounds, and what stands thin sags.`;
  return `With nothing to hold it, a ${name} lets what the ${RECIPES[shaped.look].name.toLowerCase()} before it has shaped sink flat again.`;
}
