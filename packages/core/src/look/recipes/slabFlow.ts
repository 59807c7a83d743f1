import { naturalDepth, bodyFigures, mainGlass } from '../../body/body';
import { found } from '../../problem';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byTension, times } from '../works';

export const slabFlow: Recipe = {
  name: LOOK_NAMES.slabFlow,
  group: 'thick',
  reaches: 'pieces run together and fill their dam',
  spares: 'colours do not mix',
  squeezes: true,
  levels: true,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1,
  hold_s: { cooler: 5400, hotter: 2700, least: 1200, most: 10800 },
  work: ({ body, works }) => found(times(works.slabFlow, byTension(body))),
  levelsTo: (body) => Math.max(bodyFigures(body).depth.mean_m, naturalDepth(mainGlass(body))),
  drawn: { glass: 'M12 36 V17 Q12 15 15 15.6 Q36 17.4 57 15.6 Q60 15 60 17 V36 Z', form: 'M5 36 V10 H11 V36 Z M61 36 V10 H67 V36 Z' },
  looksLike: {
    early: 'gaps along the dam and seams between the pieces are open',
    right: 'a still surface right up to the dam on all sides',
    late: 'colours trail into one another, large bubbles show in the surface',
  },
  care: 'A dam that gives way lets hot glass onto the elements: pin it with props, line it, and stay within reach at the working heat.',
};
