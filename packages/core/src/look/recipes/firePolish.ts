import { found } from '../../problem';
import type { Recipe } from '../recipe';
import { byTension, times } from '../works';

export const firePolish: Recipe = {
  name: 'Fire polish',
  group: 'flat',
  reaches: 'the skin flows until it shines',
  spares: 'shape and relief stay',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  uneven: 1.5,
  hold_s: { cooler: 600, hotter: 300, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.firePolish, byTension(body))),
  looksLike: {
    early: 'ground places are still dull, edges catch no light',
    right: 'one even shine, and a line of light along each edge',
    late: 'edges bulge and fine relief has gone',
  },
  care: 'A ground piece must be clean and dry to the core: wet ground glass spits in the kiln.',
};
