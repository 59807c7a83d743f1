/** Glass as layers and parts take it: what is bought, and what was made here. */
import { type MadeForm, hasTwoFaces, laidAs } from '@torvin/core/piece';
import type { Glass, Made, Shelves } from '@torvin/schema';

/** A made glass in the words of a bought one: in the colour of the most of it, as thick as it is, with all that is in it. */
function asGlass({ id, name, source, version, form, thickness_m, stripes }: Made, { glasses }: Shelves): Glass | null {
  const of = stripes.flatMap(({ glassId, share }) => glasses.filter((glass) => glass.id === glassId).map((glass) => ({ glass, share })));
  if (of.length === 0) return null;
  const most = of.reduce((one, other) => (other.share > one.share ? other : one)).glass;
  return {
    ...{ id, name, source, version, familyId: most.familyId, colour: most.colour, thicknesses_m: [thickness_m], forms: [...laidAs(form)], coated: false },
    contents: [...new Set(of.flatMap(({ glass }) => glass.contents))],
  };
}

const known = new WeakMap<Shelves, Glass[]>();

export function everyGlass(shelves: Shelves): readonly Glass[] {
  const before = known.get(shelves);
  if (before) return before;
  const all = [...shelves.glasses, ...shelves.made.flatMap((made) => asGlass(made, shelves) ?? [])];
  known.set(shelves, all);
  return all;
}

export const glassOf = (shelves: Shelves, glassId: string | null | undefined): Glass | undefined => everyGlass(shelves).find(({ id }) => id === glassId);
export const madeOf = (shelves: Shelves, glassId: string): Made | undefined => shelves.made.find(({ id }) => id === glassId);

/** Whether a glass shows something else when it is turned over: made glass in layers or stripes. */
export function facesDiffer(shelves: Shelves, glassId: string): boolean {
  const made = madeOf(shelves, glassId);
  return made !== undefined && hasTwoFaces(made);
}

/** Whether it is told by its grains or by how it is pulled: it has no outline. */
export const hasOutline = (form: MadeForm): boolean => form !== 'cane' && form !== 'frit';

/** Grains of a layer are no coarser. */
const COARSEST_M = 0.03;

/** A layer or part of made glass is as thick as that is, its grains as coarse; of bought glass it stays as it is. */
export function madeInto<T extends { thickness_m: number } | { diameter_m: number } | object>(of: T, made: Made | undefined): T {
  if (!made) return of;
  if ('thickness_m' in of) return { ...of, thickness_m: made.thickness_m };
  if ('diameter_m' in of) return { ...of, diameter_m: made.thickness_m };
  return 'perArea_kg_m2' in of ? { ...of, grain_m: Math.min(made.thickness_m, COARSEST_M) } : of;
}
