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

/** level: one on another, the lowest first; upright: side by side, from left to right; crosswise: from the front to the back; mixed: in no order that could be told. */
export type Lie = 'level' | 'upright' | 'crosswise' | 'mixed';

/** share: of the volume; all of them come to 1. */
export interface Stripe {
  glassId: string;
  share: number;
}

/** Glass made in the studio, as what it is made of. */
export interface ShelfMade {
  id: string;
  name: string;
  lie: Lie;
  stripes: readonly Stripe[];
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
  made: readonly ShelfMade[];
  kilns: readonly (Labelled & KilnConstants & TakenOver)[];
  controllers: readonly C[];
  stripTests: readonly ShelfTest[];
  releases: readonly (Labelled & Coat)[];
}

/** A glass by its id, with the constants of its family; of made glass those of the most of it, its density the mean. */
export interface NamedGlass {
  id: string;
  constants: GlassConstants;
  /** What it is made of; share: of its volume. */
  made?: { lie: Lie; of: readonly { glass: NamedGlass; share: number }[] };
}

/** What a glass is made of: itself, unless it was made in the studio. */
export const madeUpOf = (glass: NamedGlass): readonly { glass: NamedGlass; share: number }[] => glass.made?.of ?? [{ glass, share: 1 }];

/** The same with each glass once. */
export function sharesOf(glass: NamedGlass): readonly { glass: NamedGlass; share: number }[] {
  const shares = new Map<NamedGlass, number>();
  for (const { glass: own, share } of madeUpOf(glass)) shares.set(own, (shares.get(own) ?? 0) + share);
  return [...shares].map(([own, share]) => ({ glass: own, share }));
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
  const all = [...named, ...shelf.made.flatMap((made) => composed(made, named) ?? [])];
  namedOf.set(shelf, all);
  return all;
}

/** Null where a glass of it is on no shelf. */
function composed({ id, lie, stripes }: ShelfMade, named: readonly NamedGlass[]): NamedGlass | null {
  const of = stripes.flatMap(({ glassId, share }) => named.filter((glass) => glass.id === glassId).map((glass) => ({ glass, share })));
  if (of.length === 0 || of.length < stripes.length) return null;
  const made = { lie, of };
  const shares = sharesOf({ ...of[0].glass, made });
  const [most] = shares.toSorted((a, b) => b.share - a.share);
  const density_kg_m3 = shares.reduce((sum, { glass, share }) => sum + share * glass.constants.density_kg_m3, 0);
  return { id, constants: { ...most.glass.constants, density_kg_m3 }, made };
}

interface LiesAs {
  form: string;
  onEdge?: true;
  flipped?: true;
}

/** As made glass lies in a layer: on its cut face what was level stands upright, and the other way round. */
const lieOf = (lie: Lie, layer: LiesAs): Lie =>
  layer.form !== 'pieces' || !layer.onEdge ? lie : lie === 'level' ? 'upright' : lie === 'upright' ? 'level' : lie;

/** Its stripes as they lie in a layer, from the lowest up or from left to right. */
export function lying<S>(lie: Lie, stripes: readonly S[], layer: LiesAs): { lie: Lie; stripes: readonly S[] } {
  const here = lieOf(lie, layer);
  return { lie: here, stripes: layer.flipped && (here === 'level' || here === 'upright') ? stripes.toReversed() : stripes };
}

/** Whether it shows another order of glasses when it is turned over. */
export const hasTwoFaces = ({ lie, stripes }: Pick<ShelfMade, 'lie' | 'stripes'>): boolean => stripes.length > 1 && (lie === 'level' || lie === 'upright');

/** What a glass is called, bought or made; its id where it is on no shelf. */
export const glassName = (shelf: Pick<Shelf, 'glasses' | 'made'>, glassId: string): string =>
  (shelf.glasses.find(({ id }) => id === glassId) ?? shelf.made.find(({ id }) => id === glassId))?.name ?? glassId;
