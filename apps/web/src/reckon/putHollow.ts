/** Glass in a hollow, as it goes into a piece: the outline and dam of the hollow, and how deep it comes to lie. */
import { type Hollow, type Units, asFrit, footprintWords, formatLength, formatMass, fromAbove, putGlass, text } from '@torvin/core';
import { capital } from '@/ui/capital';
import type { ReckonedOf } from './glassOf';
import type { Puts } from './PutOrKeep';

export interface InHollow {
  /** What the liner leaves of it. */
  left: Hollow;
  mass_kg: number;
  deepest_m: number;
}

/** inside: of one hollow; null of several or of what was told by water or by a model, where the piece keeps its outline. */
export function putsGlass({ glass }: ReckonedOf, mass_kg: number, inside: InHollow | null, units: Units): Puts | null {
  if (!glass) return null;
  const mass = text(formatMass(inside?.mass_kg ?? mass_kg, units.mass));
  const deep = inside && text(formatLength(inside.deepest_m, units.length));
  const narrows = inside !== null && inside.left.kind !== 'straight';
  const cast = narrows ? ` It narrows downwards: plan it as a casting, which is annealed by its thickest section.` : '';
  return {
    words: (isBegun) =>
      inside && !isBegun
        ? `Puts in ${mass} of ${glass.name} as frit in a dam of this outline, ${deep} deep${narrows ? ' where it is deepest' : ''}.${cast}`
        : `Puts in ${mass} of ${glass.name} as frit on the outline of the piece.`,
    replaces: true,
    into(doc, { newId, into, isBegun }) {
      return putGlass(doc, {
        ...{ layersOn: asFrit({ id: newId(), glassId: glass.id, name: 'Fill' }, inside?.mass_kg ?? mass_kg), into },
        ...(inside && !isBegun ? { holder: { footprint: fromAbove(inside.left), dammed: true, deepest_m: inside.deepest_m } } : {}),
      });
    },
    begins: inside
      ? { name: `${capital(footprintWords(fromAbove(inside.left), units.length))}, ${mass}`, footprint: fromAbove(inside.left), dammed: true }
      : null,
  };
}
