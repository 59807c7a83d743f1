import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import type { Shelves } from '@torvin/schema';

/** The family that most glasses of the shelf are of; of several alike the one that is the most usual. */
export function mostUsed({ families, glasses, archived }: Shelves): Shelves['families'][number] | undefined {
  const count = (id: string): number => glasses.filter(({ familyId }) => familyId === id).length;
  const usual = (id: string): number => {
    const at = TYPICAL_FAMILIES.findIndex((one) => one.id === id);
    return at < 0 ? TYPICAL_FAMILIES.length : at;
  };
  return families
    .filter(({ id }) => !archived.includes(id))
    .toSorted((a, b) => count(b.id) - count(a.id) || usual(a.id) - usual(b.id))
    .at(0);
}
