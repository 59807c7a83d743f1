import { bodyFigures, mainGlass } from '../../body/body';
import { workToSag } from '../../flow/sag';
import { found } from '../../problem';
import { CRACKS_ALONE } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { openingUnder } from '../shaping';
import { MOST_OVER_LEAST } from '../works';
import { UNSEEN_SAG_M, relaxed, workToRelax } from './relaxing';

/** A grip has let go once the stress in it could relax so many times over. */
const LEAST_TIMES = 3;
/** No more is asked of small stiff pieces: a few degrees past setting do it, 1/Pa. */
const ENOUGH = 1e-7;

export const loosen: Recipe = {
  name: LOOK_NAMES.loosen,
  group: 'stuck',
  reaches: 'what is stuck is warmed until it drops from its mould',
  spares: 'its shape stays as it is',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  stays: true,
  byForm: true,
  frees: true,
  flaws: CRACKS_ALONE,
  uneven: 1.5,
  hold_s: { cooler: 1800, hotter: 900, least: 600, most: 7200 },
  law: 'Stress relaxes once in η/G: what grips has let go after a few of them. The same work makes a plate sink as it does into a mould.',
  work({ body }) {
    const glass = mainGlass(body);
    const least = workToRelax(glass, LEAST_TIMES);
    const sinks = workToSag(glass, openingUnder(body.footprint), bodyFigures(body).depth.mean_m, UNSEEN_SAG_M);
    // In the middle between what lets go and what is seen: neither the grip nor the kiln is known any closer.
    const middle = Math.sqrt(least * Math.max(least, Math.min(sinks, ENOUGH)));
    const from = Math.max(least, middle / Math.sqrt(MOST_OVER_LEAST));
    return found({ least: from, most: MOST_OVER_LEAST * from });
  },
  tells({ body }, work_perPa, { length }) {
    const { times, sinks } = relaxed(body, work_perPa, length);
    const sentence = `What grips could relax ${times} times over; the piece itself sinks by ${sinks}. It may drop sooner: watch from just under the hold on.`;
    return [{ label: 'lets go', figure: times, unit: '×', sentence }];
  },
  usuallyOn: 'onPosts',
  drawn: {
    glass: 'M18 21 Q36 14 54 21 L52 26 Q36 19 20 26 Z',
    form: 'M10 8 H62 V18 H58 Q36 7 14 18 H10 Z M10 18 H14 V36 H10 Z M58 18 H62 V36 H58 Z',
    lines: 'M36 24 V32 M32.5 29 L36 33 L39.5 29',
  },
  looksLike: {
    early: 'it hangs in its mould',
    right: 'it has dropped and lies under its mould',
    late: 'it lies there and begins to flatten: go on to the soak at once',
  },
  care: 'The mould comes up with nothing holding it: it stands on posts that cannot tip, over a bed of blanket for the glass to drop on. Nobody reaches in until it is cold.',
};
