import { STEAM } from '../drawn';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { UNDER_THE_BOIL, EMPTY_FIRING } from './emptyFiring';

export const dryShelf: Recipe = {
  ...EMPTY_FIRING,
  name: LOOK_NAMES.dryShelf,
  reaches: 'fresh primer dries and lets go of its last water',
  empty: {
    of: ['shelf'],
    tells: 'top',
    label: 'dry through',
    plan: () => ({ dry: { ...UNDER_THE_BOIL, for_s: 1800 }, top: { at_C: 260, through_C: 230, for_s: 900 } }),
  },
  drawn: { form: 'M6 30 H66 V34 H6 Z M12 34 H17 V36.4 H12 Z M55 34 H60 V36.4 H55 Z', lines: STEAM },
  looksLike: {
    early: 'a cold mirror held over the vent fogs, dark patches of damp show in the primer',
    right: 'the mirror stays clear and the primer is one pale colour all over',
    late: 'no harm: primer takes far more than this',
  },
  care: 'Primer is clay and mineral dust: mix it and brush it wet, and wear a respirator where it is scraped off. Leave the vent open until the shelf is past the boil.',
};
