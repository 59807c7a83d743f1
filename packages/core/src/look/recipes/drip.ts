import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { DRAINED, drainWork } from './drained';

export const drip: Recipe = {
  ...DRAINED,
  name: LOOK_NAMES.drip,
  reaches: 'glass drips through a grid and runs together below',
  spares: 'it does not pull the grid through, colours swirl but do not muddy',
  hold_s: { cooler: 10800, hotter: 5400, least: 3600, most: 28800 },
  asks: { kind: 'drain', what: 'the holes of its grid' },
  law: "Through each hole runs πρgHr⁴W/(8(b + 3πr/8)) (Poiseuille with Sampson's mouth), the head H falling as it empties.",
  work: (asked) => drainWork(asked, 'screen melt'),
  drawn: {
    glass:
      'M16 36 Q11 36 11 33 Q11 30 18 30 H54 Q61 30 61 33 Q61 36 56 36 Z M24 12 L25.4 30 H26.2 L27.6 12 Z M35 12 L36 30 H37 L38 12 Z M45.4 12 L46.8 30 H47.6 L49 12 Z M20 4 H52 L50 10 H22 Z',
    form: 'M14 14 V10 H24 V14 Z M28 14 V10 H34 V14 Z M39 14 V10 H45 V14 Z M49 14 V10 H59 V14 Z',
  },
  looksLike: {
    early: 'drops hang under the grid and do not fall',
    right: 'threads have thinned to hairs, what is below lies still and level',
    late: 'the grid is bare and sags, colours below have gone muddy',
  },
  care: 'Glass this hot eats what it touches: a tray under the whole, two fingers of room all round, and nobody reaches in. Steel scales and drops it into the glass.',
};
