import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { UNDER_THE_BOIL, EMPTY_FIRING } from './emptyFiring';

/** By hour and wall: what burns away has to get out, and air has to get in. */
const OF_A_MOULD_S = 2 * 3600;
const OF_FIBRE_S = 1800;
const USUAL_WALL_M = 0.025;

export const burnOut: Recipe = {
  ...EMPTY_FIRING,
  name: LOOK_NAMES.burnOut,
  reaches: 'binder, paper or the rest of the wax burns away',
  empty: {
    of: ['plaster', 'castable', 'fibre', 'fired'],
    asksDamp: true,
    tells: 'top',
    label: 'burnt through',
    plan: ({ of, wall_m }, damp) => ({
      dry: damp ? { ...UNDER_THE_BOIL, for_s: of === 'fibre' || of === 'fired' ? 1800 : 8 * 3600 * (wall_m / USUAL_WALL_M) ** 2 } : null,
      top: { at_C: 540, through_C: 500, for_s: of === 'fibre' ? OF_FIBRE_S : Math.max(OF_FIBRE_S, (OF_A_MOULD_S * wall_m) / USUAL_WALL_M) },
    }),
  },
  drawn: {
    form: 'M8 36 V14 H15 Q18 30 36 30 Q54 30 57 14 H64 V36 Z',
    lines: 'M27 28 Q23 22 28 17 Q29 21 31 20 Q31 13 36 7 Q36 14 41 19 Q43 18 43 15 Q48 22 45 28',
  },
  looksLike: {
    early: 'it smokes or smells, and what should be pale is grey or brown',
    right: 'no smoke and no smell, and it is white or its own colour to the bottom',
    late: 'nothing is lost by a longer hold; far hotter plaster grows soft',
  },
  care: 'Smoke from wax, paper and binder is harmful and can burn: vent open, room aired or fumes led outside. Nobody bends over the lid. Never load more than the vent carries off. Steam most of the wax out first; it scalds.',
};
