import { found } from '../../problem';
import { POLISH_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byTension, times } from '../works';

export const firePolish: Recipe = {
  name: LOOK_NAMES.firePolish,
  group: 'flat',
  reaches: 'the skin flows until it shines',
  spares: 'shape and nearly all of the relief stay',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  flaws: POLISH_FLAWS,
  uneven: 1.5,
  hold_s: { cooler: 600, hotter: 300, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.firePolish, byTension(body))),
  holdsGrains: true,
  drawn: { glass: 'M7 36 Q4 36 4 33 V25 Q4 22 7 22 H65 Q68 22 68 25 V33 Q68 36 65 36 Z', lines: 'M12 16 V9 M36 15 V6 M60 16 V9' },
  looksLike: {
    early: 'ground places are still dull, edges catch no light',
    right: 'one even shine, and a line of light along each edge',
    late: 'edges bulge and fine relief has gone',
  },
  care: 'A ground piece must be clean and dry to the core: wet ground glass spits in the kiln.',
};
