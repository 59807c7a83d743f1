import { found } from '../../problem';
import type { Recipe } from '../recipe';
import { byRelief, times } from '../works';

export const contour: Recipe = {
  name: 'Contour fuse',
  group: 'flat',
  reaches: 'edges round, parts sink half in',
  spares: 'some relief stays',
  squeezes: true,
  levels: false,
  joins: true,
  flows: true,
  uneven: 1.5,
  hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.contour, byRelief(body))),
  looksLike: {
    early: 'parts stand on the base with a step all round',
    right: 'parts lie like drops, round over and half sunk',
    late: 'only a ripple shows where a part was',
  },
  care: 'Hot glass and a lifted lid: face shield, sleeves, and power off at the switch before you reach in.',
};
