import type { Recipe } from '../recipe';
import { DRAINED, drainWork } from './drained';

export const drip: Recipe = {
  ...DRAINED,
  name: 'Drip melt',
  reaches: 'glass drips through a grid and runs together below',
  spares: 'it does not pull the grid through, colours swirl but do not muddy',
  hold_s: { cooler: 10800, hotter: 5400, least: 3600, most: 28800 },
  asks: { kind: 'drain', what: 'the holes of its grid' },
  law: "Through each hole runs πρgHr⁴W/(8(b + 3πr/8)) (Poiseuille with Sampson's mouth), the head H falling as it empties.",
  work: (asked) => drainWork(asked, 'drip melt'),
  looksLike: {
    early: 'drops hang under the grid and do not fall',
    right: 'threads have thinned to hairs, what is below lies still and level',
    late: 'the grid is bare and sags, colours below have gone muddy',
  },
  care: 'Glass this hot eats what it touches: a tray under the whole, two fingers of room all round, and nobody reaches in. Steel scales and drops it into the glass.',
};
