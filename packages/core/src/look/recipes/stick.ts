import { found } from '../../problem';
import { SLAB } from '../drawn';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byEdges, laterWork, times } from '../works';

export const stick: Recipe = {
  name: LOOK_NAMES.stick,
  group: 'flat',
  reaches: 'parts hold together, edges as they were cut',
  spares: 'no edge rounds, relief hardly sinks',
  squeezes: true,
  levels: false,
  joins: true,
  flows: false,
  flaws: FUSE_FLAWS,
  uneven: 2,
  hold_s: { cooler: 900, hotter: 480, least: 300, most: 2400 },
  work: ({ body, works }) => found(times(laterWork(works, 'stick'), byEdges(body))),
  drawn: { glass: `${SLAB} M12 28.4 V20 H26 V28.4 Z M32 28.4 V20 H42 V28.4 Z M48 28.4 V20 H60 V28.4 Z` },
  looksLike: {
    early: 'edges cast a hard shadow and the parts still rattle when the kiln is knocked',
    right: 'edges hard, but a dark line of contact runs round under each part',
    late: 'edges begin to shine and to lose their corners',
  },
  care: 'What is only stuck can come apart, in the hand or in the next firing. Its edges cut: wear gloves, put no load on a seam.',
};
