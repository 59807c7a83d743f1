/** What the computation needs to know of the records that stand on a studio's shelves. */
import { withId } from './byId';
import type { Footprint } from '../body/footprint';
import type { Content } from '../fit/reactions';
import type { GlassConstants } from '../glass/constants';
import type { Controller } from '../controller/profile';
import type { InsideTold } from '../kiln/inside';
import type { KilnConstants } from '../kiln/kiln';
import type { SeenFiring } from '../schedule/bounds';
import type { Finding } from '../schedule/findings';
import type { StudioLimits } from '../schedule/studioLimits';
import type { TakenOver } from '../learn/corrections';
import type { StudioMaterial } from '../form/materials';
import type { FormShape } from '../form/shape';
import type { Coat } from '../release/coat';
import type { CutFace } from './laid';

/** What every record has beside its constants. */
export interface Labelled {
  id: string;
  name: string;
  source?: string;
  version?: number;
  /** Of a family: its figures are taken from another, and nothing is known of what it fits. */
  provisional?: true;
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
  footprint?: Footprint;
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
  kilns: readonly (Labelled & KilnConstants & TakenOver & InsideTold)[];
  controllers: readonly C[];
  stripTests: readonly ShelfTest[];
  releases: readonly (Labelled & Coat)[];
  forms: readonly (Labelled & FormShape & { materialId?: string })[];
  /** Of the studio's own; none where left out. */
  materials?: readonly (Labelled & StudioMaterial)[];
  /** Of the studio's own, where it has set some. */
  limits?: StudioLimits;
  /** What test series found; none where left out. */
  findings?: readonly (Finding & { id: string })[];
  /** Ids of what is put away. */
  archived?: readonly string[];
  /** What firings have shown, where a plan is to be held to it. */
  seen?: readonly SeenFiring[];
}

/** A glass by its id, with the constants of its family; of made glass those of the most of it, its density the mean. */
export interface NamedGlass {
  id: string;
  constants: GlassConstants;
  /** What it is made of; share: of its volume. */
  made?: MadeAs & { of: readonly { glass: NamedGlass; share: number }[] };
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
export function constantsOf<T extends Labelled>({
  id: _id,
  name: _name,
  source: _source,
  version: _version,
  provisional: _provisional,
  ...constants
}: T): Omit<T, keyof Labelled> {
  return constants;
}

const namedOf = new WeakMap<Shelf['glasses'], Pick<Shelf, 'families' | 'made'> & { all: NamedGlass[] }>();

/** The glasses of the shelf with their families' constants; worked out once for each state of these three shelves. */
export function namedGlasses(shelf: Shelf): NamedGlass[] {
  const known = namedOf.get(shelf.glasses);
  if (known?.families === shelf.families && known.made === shelf.made) return known.all;
  const constants = new Map(shelf.families.map((family) => [family.id, constantsOf(family)]));
  const named = shelf.glasses.flatMap(({ id, familyId }) => {
    const own = constants.get(familyId);
    return own ? [{ id, constants: own }] : [];
  });
  const all = [...named, ...shelf.made.flatMap((made) => composed(made, named) ?? [])];
  namedOf.set(shelf.glasses, { families: shelf.families, made: shelf.made, all });
  return all;
}

/** Null where a glass of it is on no shelf. */
function composed({ id, lie, stripes, footprint }: ShelfMade, named: readonly NamedGlass[]): NamedGlass | null {
  const of = stripes.flatMap(({ glassId, share }) => named.filter((glass) => glass.id === glassId).map((glass) => ({ glass, share })));
  if (of.length === 0 || of.length < stripes.length) return null;
  const made = { lie, of, ...(footprint ? { footprint } : {}) };
  const shares = sharesOf({ ...of[0].glass, made });
  const [most] = shares.toSorted((a, b) => b.share - a.share);
  const density_kg_m3 = shares.reduce((sum, { glass, share }) => sum + share * glass.constants.density_kg_m3, 0);
  return { id, constants: { ...most.glass.constants, density_kg_m3 }, made };
}

interface LiesAs {
  form: string;
  cutFace?: CutFace;
  flipped?: true;
}

interface MadeAs {
  lie: Lie;
  /** Seen from above: strips and bars are as long as its longer side. */
  footprint?: Footprint;
}

/**
 * As made glass lies in a layer. Stood on its side, what lay in layers stands side by side, and stripes that ran across a strip are
 * still in it one after another; on its end, layers lie from the front to the back, and stripes along the bar are where they were. What
 * the saw parted from its neighbours is in one part and not in the next.
 */
function lieOf({ lie, footprint }: MadeAs, { form, cutFace }: LiesAs): Lie {
  if (form !== 'pieces' || cutFace === undefined || lie === 'mixed') return lie;
  if (lie === 'level') return cutFace === 'side' ? 'upright' : 'crosswise';
  const isWide = footprint?.shape === 'rectangle' && footprint.width_m > footprint.length_m;
  const followsLength = lie === (isWide ? 'upright' : 'crosswise');
  if (cutFace === 'side') return followsLength ? 'crosswise' : 'mixed';
  return followsLength ? 'mixed' : 'upright';
}

/** Its stripes as they lie in a layer, from the lowest up, from left to right or from the front to the back. */
export function lying<S>(made: MadeAs, stripes: readonly S[], layer: LiesAs): { lie: Lie; stripes: readonly S[] } {
  const lie = lieOf(made, layer);
  return { lie, stripes: layer.flipped && (lie === 'level' || lie === 'upright') ? stripes.toReversed() : stripes };
}

/** Whether it shows another order of glasses when it is turned over. */
export const hasTwoFaces = ({ lie, stripes }: Pick<ShelfMade, 'lie' | 'stripes'>): boolean => stripes.length > 1 && (lie === 'level' || lie === 'upright');

const plainly = (name: string): string => name.trim().toLowerCase();

const manyCalled = new WeakMap<readonly Labelled[], Set<string>>();

/** Names that more than one glass has; worked out once for each state of the shelf. */
function namesakes(glasses: readonly Labelled[]): Set<string> {
  const known = manyCalled.get(glasses);
  if (known) return known;
  const [once, again] = [new Set<string>(), new Set<string>()];
  for (const { name } of glasses) (once.has(plainly(name)) ? again : once).add(plainly(name));
  manyCalled.set(glasses, again);
  return again;
}

/** What a glass is called, bought or made, with its family where another bought one is called the same; its id where it is on no shelf. */
export function glassName({ glasses, made, families }: Pick<Shelf, 'glasses' | 'made'> & { families: readonly Labelled[] }, glassId: string): string {
  const bought = withId(glasses, glassId);
  if (!bought) return withId(made, glassId)?.name ?? glassId;
  const family = namesakes(glasses).has(plainly(bought.name)) ? withId(families, bought.familyId)?.name : undefined;
  return family === undefined ? bought.name : `${bought.name} (${family})`;
}
