import { EMPTY_ITEM_MATERIALS, type EmptyItem } from '../../emptyFiring/emptyItems';
import { STEAM } from '../drawn';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { UNDER_THE_BOIL, EMPTY_FIRING } from './emptyFiring';

/** Water comes out of a wall by the square of how thick it is. Typical: only weighing tells. */
const bySquare = ({ of, wall_m }: EmptyItem, for_s: number): number => for_s * (wall_m / (EMPTY_ITEM_MATERIALS[of].pace?.wall_m ?? wall_m)) ** 2;

export const dryMould: Recipe = {
  ...EMPTY_FIRING,
  name: LOOK_NAMES.dryMould,
  reaches: 'its water leaves, first what is free, then what is bound',
  empty: {
    of: ['plaster', 'castable', 'fired'],
    tells: 'dry',
    label: 'warm, unboiled',
    plan(item) {
      // Gypsum gives up its water from 120 to 180 °C, a castable's binder until 350; a fired mould has only its fresh coat to lose.
      if (item.of === 'fired') return { dry: { ...UNDER_THE_BOIL, for_s: 3600 }, top: { at_C: 260, through_C: 230, for_s: 900 } };
      const dry = { ...UNDER_THE_BOIL, for_s: bySquare(item, 8 * 3600) };
      return item.of === 'plaster'
        ? { dry, top: { at_C: 200, through_C: 180, for_s: bySquare(item, 2 * 3600) } }
        : { dry, top: { at_C: 360, through_C: 330, for_s: bySquare(item, 3600) } };
    },
  },
  drawn: { form: 'M8 36 V14 H15 Q18 30 36 30 Q54 30 57 14 H64 V36 Z', lines: STEAM },
  looksLike: {
    early: 'a cold mirror held over the vent fogs, and it weighs less at every weighing',
    right: 'the mirror stays clear and two weighings an hour apart are the same',
    late: 'nothing is lost by waiting; plaster that goes far hotter grows soft and dusty',
  },
  care: 'Weigh the mould before and after: the clock cannot tell that it is dry. Lift a hot mould with both hands gloved, the power off; plaster and silica dust harms the lungs for good.',
};
