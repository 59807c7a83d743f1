import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { UNDER_THE_BOIL, EMPTY_FIRING } from './emptyFiring';

const USUAL_WALL_M = 0.01;

export const bisque: Recipe = {
  ...EMPTY_FIRING,
  name: LOOK_NAMES.bisque,
  reaches: 'raw clay becomes a mould, hard and open',
  empty: {
    of: ['clay'],
    toCone: true,
    asksDamp: true,
    tells: 'cone',
    label: 'comes to cone',
    plan: ({ wall_m }, damp) => ({
      // Even clay that feels dry holds water that boils.
      dry: { ...UNDER_THE_BOIL, for_s: (damp ? 4 : 1) * 3600 * Math.max(0.25, (wall_m / USUAL_WALL_M) ** 2) },
      top: null,
    }),
  },
  drawn: { form: 'M4 36 V20 H10 Q13 32 28 32 Q43 32 46 20 H52 V36 Z', lines: 'M58 36 V24 Q58 15 66 18 M62 36 V26 Q62 20 66 18' },
  looksLike: {
    early: 'the cone beside it stands upright',
    right: 'the cone has bent until its tip touches its foot',
    late: 'the cone lies flat: the mould drinks less and grips its coat less',
  },
  care: 'A pocket of water bursts raw clay: bone dry before it goes in, the vent open until it glows. Drill the vents of the mould before it is fired. Clay and its dust: wipe up wet.',
};
