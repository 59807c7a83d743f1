/** What slump and drape share: glass that bends before it begins to polish. */
import type { WorkRange } from '../../flow/heatWork';
import { type Outcome, found, refused } from '../../problem';
import type { WorkQuestion } from '../recipe';
import { byTension } from '../works';

/** Composing aims at this many times the work that just reaches the mould: rims drag on primer, and a mould stops it anyway. */
const SHAPING_AIM = 2;
/** Top and underside of a sheet do work that differs by so much: what must lie between closer limits cannot be fired. */
const SIDES_APART = 1.1;
/** Shaped glass may do this share of the work that would begin to polish it. */
const STAYS_CRISP = 0.8;
/** So near to the whole way it is there. */
const ALL_BUT = 0.98;

/** From the work that gets it there, 1/Pa, to what begins to polish it; at: the measure to change where there is no room between. */
export function bentWork({ body, works }: WorkQuestion, least: number, at: string): Outcome<WorkRange> {
  const most = works.firePolish.least * byTension(body) * STAYS_CRISP;
  if (least * SIDES_APART < most) return found({ least, most });
  return refused(
    'too-stiff',
    `setup.shaping.${at}`,
    `It would round its edges before it gets there. Take a wider span, a thinner body or a shallower shape. This one asks for ${((100 * least) / most).toFixed(0)} % of the heat work at which edges begin to flow; glass is never that even.`,
  );
}

/** How far it is down already, m; at: the measure that it has reached, so that there is nothing left to fire for. */
export const leftToGo = (down_m = 0, whole_m: number, at: string): Outcome<number> =>
  down_m < whole_m * ALL_BUT
    ? found(down_m)
    : refused('there-already', `setup.shaping.${at}`, 'It is down all the way already. Enter a greater depth to fire it again.');

/** A little past the least; where that would come near to polishing, the middle between the two. */
export const shapingAim = ({ least, most }: WorkRange): number => Math.min(least * SHAPING_AIM, Math.sqrt(least * most));
