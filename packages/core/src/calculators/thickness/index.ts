import { type PlanAsked, planTold } from '../../plan/asked';
import { calculator } from '../calculator';

/** How thick a lay-up is at each place, from where its parts lie, and what of that goes wrong later. */
export const thickness = calculator({
  compute: (asked: PlanAsked) => planTold(asked),
  contract: () => import('./contract'),
});
