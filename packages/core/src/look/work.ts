/** The heat work of a kind of firing on a body, by its recipe. */
import type { WorkRange } from '../flow/heatWork';
import type { Outcome } from '../problem';
import type { MaybeJoined } from './recipe';
import { type Look, RECIPES } from './recipes/all';
import type { Shaping } from './shaping';
import type { LookWorks } from './works';

/** The heat work that a look needs on this body and the most it bears, 1/Pa. */
export const neededWork = (body: MaybeJoined, look: Look, works: LookWorks, shaping?: Shaping): Outcome<WorkRange> =>
  RECIPES[look].work({ body, works, ...(shaping ? { shaping } : {}) });

/** The work to aim at, 1/Pa: by the recipe, or the middle of the range on its logarithm. */
export const aimedWork = (look: Look, range: WorkRange): number => RECIPES[look].aim?.(range) ?? Math.sqrt(range.least * range.most);
