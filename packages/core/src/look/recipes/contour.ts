import { found } from '../../problem';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byRelief, times } from '../works';

export const contour: Recipe = {
  name: LOOK_NAMES.contour,
  group: 'flat',
  reaches: 'edges round, parts sink half in',
  spares: 'half of the relief stays',
  squeezes: true,
  levels: false,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1.5,
  hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.contour, byRelief(body))),
  drawn: {
    glass:
      'M7 36 Q4 36 4 32.5 Q4 29 8 29 H12 Q13 23 20 23 Q27 23 28 29 H30 Q31 23 38 23 Q45 23 46 29 H48 Q49 23 55 23 Q61 23 62 29 H64 Q68 29 68 32.5 Q68 36 65 36 Z',
  },
  looksLike: {
    early: 'parts stand on the base with a step all round',
    right: 'parts lie like drops, round over and half sunk',
    late: 'only a ripple shows where a part was',
  },
  care: 'Hot glass and a lifted lid: face shield, sleeves, and power off at the switch before you reach in.',
};
