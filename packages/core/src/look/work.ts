/** The heat work of a kind of firing on a body, by its recipe. */
import type { WorkRange } from '../flow/heatWork';
import { type Outcome, found } from '../problem';
import { RECIPES } from './recipes/all';
import type { Look } from './names';
import type { Shaping } from './shaping';
import { type LookWorks, MOST_OVER_LEAST, type MaybeJoined } from './works';

/** The heat work that a look needs on this body and the most it bears, 1/Pa: no more than five times as much. */
export function neededWork(body: MaybeJoined, look: Look, works: LookWorks, shaping?: Shaping): Outcome<WorkRange> {
  const needed = RECIPES[look].work({ body, works, ...(shaping ? { shaping } : {}) });
  return needed.ok ? found({ ...needed.value, most: Math.min(needed.value.most, MOST_OVER_LEAST * needed.value.least) }) : needed;
}

/** The work to aim at, 1/Pa: by the recipe, or the middle of the range on its logarithm where that is nearer to an end than the middle. */
export function aimedWork(look: Look, range: WorkRange): number {
  const middle = Math.sqrt(range.least * range.most);
  const aim = RECIPES[look].aim?.(range) ?? middle;
  return aim * AIM_CLEARANCE > range.most ? middle : aim;
}
/** An aim is not so near to the end of its range, as a factor. */
const AIM_CLEARANCE = 1.1;
