import { found } from '../../problem';
import { SLAB } from '../drawn';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byEdges, times } from '../works';

export const tack: Recipe = {
  name: LOOK_NAMES.tack,
  group: 'flat',
  reaches: 'parts hold, edges soft',
  spares: 'three quarters of the relief stays',
  squeezes: true,
  levels: false,
  joins: true,
  flows: false,
  flaws: FUSE_FLAWS,
  uneven: 2,
  hold_s: { cooler: 720, hotter: 420, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.tack, byEdges(body))),
  drawn: {
    glass: `${SLAB} M12 29 V23 Q12 20 15 20 H23 Q26 20 26 23 V29 Z M32 29 V23 Q32 20 35 20 H39 Q42 20 42 23 V29 Z M48 29 V23 Q48 20 51 20 H57 Q60 20 60 23 V29 Z`,
  },
  looksLike: {
    early: 'edges are still sharp, corners square',
    right: 'edges gleam and corners are a little round; each part still stands three quarters as high as it was laid',
    late: 'parts spread at the foot and sink into what they lie on',
  },
  care: 'Edges of a tack stay sharp where they did not flow; feel for them in gloves. Crevices hold dirt: not for food.',
};
