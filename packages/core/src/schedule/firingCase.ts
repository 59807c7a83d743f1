/** All that a schedule is computed from, apart from the segments themselves. */
import type { SetUp } from './setups';
import type { SeenWork } from './seenWork';
import type { Corrections } from '../learn/corrections';
import { type BodyInput, mainGlass } from '../body/body';
import type { GlassConstants } from '../glass/constants';
import type { KilnConstants } from '../kiln/kiln';
import type { Controller } from '../controller/profile';
import { RECIPES } from '../look/recipes/all';
import type { Look } from '../look/names';
import { emptyItemOf } from '../look/shaping';
import { type Outcome, found, refused } from '../problem';
import { inertAs } from '../emptyFiring/emptyItems';
import type { Limits } from './limits';

/** Where practitioners differ. 'auto' takes the lower soak for thick bodies. */
export interface School {
  soak: 'auto' | 'annealing' | 'lower';
  heat: 'cooler' | 'hotter';
  /** Whether grains in a mould are held while they sink together, before the climb to their work; straight on where left out. */
  grains?: 'straight' | 'held';
}

export interface Body extends BodyInput {
  /** Layers fused before are one solid; fresh ones bear each its own difference. */
  joined: boolean;
}

export interface FiringCase {
  body: Body;
  setup: SetUp;
  kiln: KilnConstants;
  look: Look;
  school: School;
  limits: Limits;
  /** Where it is given, no more segments are composed than it holds. */
  controller?: Controller;
  corrections?: Corrections;
  /** By how much its place in the kiln is hotter than the middle, K: the offset in its corrections is less by that already. */
  place_K?: number;
  /** How far its place runs behind the middle of the kiln, s. */
  placeLag_s?: number;
  /** What firings of the same kind have shown: it bounds what is planned. */
  seen?: SeenWork;
}

export const DEFAULT_SCHOOL: School = { soak: 'auto', heat: 'cooler' };

/** What the whole piece is computed as: its glass, or what an empty item is followed as. */
export function glassOf({ body, setup }: Pick<FiringCase, 'body' | 'setup'>): GlassConstants {
  const item = emptyItemOf(setup.shaping);
  return body.glasses.length === 0 && item ? inertAs(item.of) : mainGlass(body);
}

/** Of what has no glass no look can be told. */
export const hasGlass = ({ body, look }: Pick<FiringCase, 'body' | 'look'>): Outcome<true> =>
  body.glasses.length > 0
    ? found(true)
    : refused('no-glass', 'body.layers', `A ${RECIPES[look].name.toLowerCase()} needs glass, and here is none: lay a layer, or choose a firing without glass.`);
