import { found } from '../../problem';
import type { Recipe } from '../recipe';
import { byEdges, times } from '../works';

export const tack: Recipe = {
  name: 'Tack fuse',
  group: 'flat',
  reaches: 'parts hold, edges soft',
  spares: 'relief stays',
  squeezes: true,
  levels: false,
  joins: true,
  flows: false,
  uneven: 2,
  hold_s: { cooler: 720, hotter: 420, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(works.tack, byEdges(body))),
  looksLike: {
    early: 'edges are still sharp, corners square',
    right: 'edges gleam and corners are a little round; each part stands up as high as it was laid',
    late: 'parts spread at the foot and sink into what they lie on',
  },
  care: 'Edges of a tack stay sharp where they did not flow; feel for them in gloves. Crevices hold dirt: not for food.',
};
