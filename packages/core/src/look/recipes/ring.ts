import { bodyFigures, mainGlass } from '../../body/body';
import { workToSpread } from '../../flow/spread';
import { found, refused } from '../../problem';
import { formatLength, text } from '../../units/format';
import { FUSE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byEdges, times } from '../works';

/** Full fuse's own range, so many times as wide as it is to where colours run. */
const MOST_OVER_LEAST = 3;

export const ring: Recipe = {
  name: LOOK_NAMES.ring,
  group: 'thick',
  reaches: 'sawn segments run together and close their gaps',
  spares: 'the pattern in each segment stays',
  squeezes: false,
  levels: true,
  joins: true,
  flows: true,
  flaws: FUSE_FLAWS,
  uneven: 1,
  hold_s: { cooler: 2400, hotter: 1200, least: 600, most: 7200 },
  asks: { kind: 'ring', what: 'how wide the gaps between the segments are' },
  law: 'A front of hot glass creeps √(ρgh³W/3) after the work W (Huppert 1982); two meet half-way across a gap. Edges take as much as a full fuse of their depth.',
  work({ body, works, shaping }) {
    if (shaping?.kind !== 'ring') return refused('missing', 'setup.shaping', 'A ring of segments needs the width of the gaps between them.');
    const edges = times(works.fullFuse, byEdges(body));
    // Two fronts meet half-way.
    const closes = workToSpread(mainGlass(body), bodyFigures(body).depth.max_m, shaping.gap_m / 2);
    const least = Math.max(edges.least, closes);
    return found({ least, most: Math.max(edges.most, MOST_OVER_LEAST * least) });
  },
  tells({ body, shaping }, work_perPa, { length }) {
    if (shaping?.kind !== 'ring') return [];
    const closes = workToSpread(mainGlass(body), bodyFigures(body).depth.max_m, shaping.gap_m / 2);
    // A front goes by the root of the work.
    const share = Math.min(1, Math.sqrt(work_perPa / closes));
    const gap = text(formatLength(shaping.gap_m, length));
    const figure = String(Math.round(100 * share));
    return [
      {
        label: 'gaps closed',
        figure,
        unit: '%',
        sentence: share < 1 ? `The gaps of ${gap} close by ${figure} %.` : `The gaps of ${gap} close, with the depth of the ring to fill them.`,
      },
    ];
  },
  drawn: {
    bare: true,
    glass:
      'M37 3 A17 17 0 0 1 52.5 16 L44.5 18.4 A9 9 0 0 0 37 11.2 Z M53 19 A17 17 0 0 1 42 36 L38.6 28.6 A9 9 0 0 0 44.8 20.6 Z M39 37 A17 17 0 0 1 21.5 29 L29 25 A9 9 0 0 0 36 29.2 Z M20 26 A17 17 0 0 1 24 8.5 L29.6 14.4 A9 9 0 0 0 27.6 22.8 Z M26.5 6.4 A17 17 0 0 1 34 3.2 L34.6 11.2 A9 9 0 0 0 31.6 12.6 Z',
  },
  looksLike: {
    early: 'black wedges between the segments',
    right: 'one still ring; where a gap was is a seam at most',
    late: 'the segments lean into one another and their pattern bends',
  },
  care: 'The liner and its dam hold the whole ring: pin them so that they stay shut, and stay within reach. Saw wet, with the plug away from the water.',
};
