import { found } from '../../problem';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byEdges } from '../works';

export const rush: Recipe = {
  name: LOOK_NAMES.rush,
  group: 'flat',
  reaches: 'small coated work joins before its coating lifts',
  spares: 'the coating stays down; how round the edges come is left open',
  squeezes: false,
  levels: false,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1.5,
  hold_s: { cooler: 480, hotter: 300, least: 180, most: 900 },
  work({ body, works }) {
    const scale = byEdges(body);
    return found({ least: works.tack.least * scale, most: works.fullFuse.most * scale });
  },
  drawn: {
    glass: 'M25 36 Q20 36 20 31 Q20 24 27 24 H45 Q52 24 52 31 Q52 36 47 36 Z',
    lines: 'M23 22 L26 19 L29 22 L32 19 L35 22 L38 19 L41 22 L44 19 L47 22 M60 34 V10 M56 15 L60 9 L64 15',
  },
  looksLike: {
    early: 'edges sharp, the coating lies flat and bright',
    right: 'edges round, the coating bright without a wrinkle',
    late: 'the coating crazes, lifts in flakes or dulls at the rim',
  },
  care: 'A kiln that is opened this hot throws heat at the face: shield, gloves, power off. Coatings may hold metals: never for food.',
};
