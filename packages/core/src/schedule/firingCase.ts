/** All that a schedule is computed from, apart from the segments themselves. */
import type { SetUp } from './setups';
import type { Corrections } from '../learn/corrections';
import { type BodyInput, mainGlass } from '../body/body';
import type { GlassConstants } from '../glass/constants';
import type { KilnConstants } from '../kiln/kiln';
import type { Controller } from '../kiln/controller';
import type { Look } from '../look/recipes/all';
import type { Limits } from './limits';

/** Where practitioners differ. 'auto' takes the lower soak for thick bodies. */
export interface School {
  soak: 'auto' | 'annealing' | 'lower';
  heat: 'cooler' | 'hotter';
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
}

export const DEFAULT_SCHOOL: School = { soak: 'auto', heat: 'cooler' };

/** What the whole piece is computed as. */
export const glassOf = ({ body }: Pick<FiringCase, 'body'>): GlassConstants => mainGlass(body);
