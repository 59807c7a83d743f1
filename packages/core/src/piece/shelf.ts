/** What the computation needs to know of the records that stand on a studio's shelves. */
import type { Content } from '../fit/reactions';
import type { GlassConstants } from '../glass/constants';
import type { Controller } from '../controller/profile';
import type { KilnConstants } from '../kiln/kiln';
import type { TakenOver } from '../learn/corrections';
import type { Coat } from '../release/coat';

/** What every record has beside its constants. */
export interface Labelled {
  id: string;
  name: string;
  source?: string;
  version?: number;
}

export interface ShelfGlass {
  id: string;
  name: string;
  familyId: string;
  colour: string;
  /** Before its first firing, where it is another then. */
  coldColour?: string;
  contents: Content[];
}

export interface ShelfTest {
  glassA: string;
  glassB: string;
  result: 'holds' | 'strained' | 'cracked';
}

/** C: all that a controller's record holds. */
export interface Shelf<C extends Labelled & Controller = Labelled & Controller> {
  families: readonly (Labelled & GlassConstants)[];
  glasses: readonly ShelfGlass[];
  kilns: readonly (Labelled & KilnConstants & TakenOver)[];
  controllers: readonly C[];
  stripTests: readonly ShelfTest[];
  releases: readonly (Labelled & Coat)[];
}

/** A glass by its id, with the constants of its family. */
export interface NamedGlass {
  id: string;
  constants: GlassConstants;
}

/** A record without what makes a record of it. */
export function constantsOf<T extends Labelled>({ id: _id, name: _name, source: _source, version: _version, ...constants }: T): Omit<T, keyof Labelled> {
  return constants;
}

const namedOf = new WeakMap<Shelf, NamedGlass[]>();

/** The glasses of the shelf with their families' constants; worked out once for each state of the shelves. */
export function namedGlasses(shelf: Shelf): NamedGlass[] {
  const known = namedOf.get(shelf);
  if (known) return known;
  const constants = new Map(shelf.families.map((family) => [family.id, constantsOf(family)]));
  const named = shelf.glasses.flatMap(({ id, familyId }) => {
    const own = constants.get(familyId);
    return own ? [{ id, constants: own }] : [];
  });
  namedOf.set(shelf, named);
  return named;
}
