import type { Recipe } from '../recipe';
import { DRAINED, drainWork } from './drained';

export const potMelt: Recipe = {
  ...DRAINED,
  name: 'Pot melt',
  reaches: 'glass runs out of a pot and levels below',
  spares: 'colours fold but do not muddy',
  hold_s: { cooler: 12600, hotter: 6300, least: 3600, most: 28800 },
  asks: { kind: 'drain', what: 'the hole in the floor of its pot' },
  law: "Through the hole runs πρgHr⁴W/(8(b + 3πr/8)) (Poiseuille with Sampson's mouth), the head H falling as the pot empties.",
  work: (asked) => drainWork(asked, 'pot melt'),
  looksLike: {
    early: 'a drop hangs from the pot or stands on the shelf like a finger',
    right: 'no thread any more, the coil below has sunk into one level disc',
    late: 'the disc has lost its lines, haze lies at its rim',
  },
  care: 'A pot cracks if it is hurried: warm it no faster than its maker says. It stands high and hot: pin it, and never reach over it.',
};
