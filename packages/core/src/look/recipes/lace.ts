import { mainGlass } from '../../body/body';
import { strewnOf } from '../../body/layers';
import { laceAfter } from '../../flow/lace';
import { found } from '../../problem';
import { formatLength, text } from '../../units/format';
import { LACE_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byTension, laterWork, times } from '../works';

export const lace: Recipe = {
  name: LOOK_NAMES.lace,
  group: 'grains',
  reaches: 'grains run together into threads and holes',
  spares: 'the outline stays and the holes stay open',
  squeezes: false,
  levels: false,
  joins: true,
  flows: false,
  flaws: LACE_FLAWS,
  uneven: 1.5,
  hold_s: { cooler: 1080, hotter: 600, least: 300, most: 2400 },
  law: 'Grains sprinkled at random leave exp(−s) of the shelf bare, s their area on it; hot, they run into fewer and coarser drops. How fast is a typical figure.',
  work: ({ body, works }) => found(times(laterWork(works, 'lace'), byTension(body))),
  opens({ body }, work_perPa) {
    const strewn = strewnOf(body);
    return strewn && laceAfter(mainGlass(body), strewn, work_perPa).open;
  },
  tells({ body }, work_perPa, { length }) {
    const strewn = strewnOf(body);
    if (strewn === null) return [];
    const { open, hole_m, as } = laceAfter(mainGlass(body), strewn, work_perPa);
    const figure = String(Math.round(100 * open));
    const holes = text(formatLength(hole_m, length));
    const sentence =
      as === 'film'
        ? `Too much for lace: about ${figure} % is open, a film with pinholes.`
        : as === 'islands'
          ? `So little that it may fall into islands: about ${figure} % is open. More frit, or heaped so that the grains touch.`
          : `About ${figure} % is open, the holes about ${holes} wide, if it is sprinkled evenly.`;
    return [{ label: 'open', figure, unit: '%', sentence }];
  },
  drawn: {
    glass:
      'M4 32 A4 4 0 1 1 12 32 A4 4 0 1 1 4 32 Z M11 33 A3 3 0 1 1 17 33 A3 3 0 1 1 11 33 Z M25 32 A4 4 0 1 1 33 32 A4 4 0 1 1 25 32 Z M41 33 A3 3 0 1 1 47 33 A3 3 0 1 1 41 33 Z M46 32 A4 4 0 1 1 54 32 A4 4 0 1 1 46 32 Z M61 33 A3 3 0 1 1 67 33 A3 3 0 1 1 61 33 Z',
  },
  looksLike: {
    early: 'grains with corners, sugar-like',
    right: 'round threads that shine, holes clear to the shelf',
    late: 'threads have drawn into drops and the net breaks',
  },
  care: 'Frit is dust as well as grains: wear a respirator while you sprinkle it. Lace is thin and sharp at its rim: lift it with the shelf, in gloves.',
};
