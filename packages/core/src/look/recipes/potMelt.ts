import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { DRAINED, drainWork } from './drained';

export const potMelt: Recipe = {
  ...DRAINED,
  name: LOOK_NAMES.potMelt,
  reaches: 'glass runs out of a pot and levels below',
  spares: 'colours fold but do not muddy',
  hold_s: { cooler: 12600, hotter: 6300, least: 3600, most: 28800 },
  asks: { kind: 'drain', what: 'the hole in the floor of its pot' },
  law: "Through the hole runs πρgHr⁴W/(8(b + 3πr/8)) (Poiseuille with Sampson's mouth), the head H falling as the pot empties.",
  work: (asked) => drainWork(asked, 'pot melt'),
  drawn: {
    glass: 'M16 36 Q11 36 11 33 Q11 30 18 30 H54 Q61 30 61 33 Q61 36 56 36 Z M34.4 16 L35.4 30 H36.6 L37.6 16 Z M23 7 H49 L47.6 14 H24.4 Z',
    form: 'M17 3 H22 L24.4 14 H33.4 V18 H21 Z M55 3 H50 L47.6 14 H38.6 V18 H51 Z',
  },
  looksLike: {
    early: 'a drop hangs from the pot or stands on the shelf like a finger',
    right: 'no thread any more, the coil below has sunk into one level disc',
    late: 'the disc has lost its lines, its rim has devitrified',
  },
  care: 'A pot cracks if it is hurried: warm it no faster than its maker says. It stands high and hot: pin it, and never reach over it.',
};
