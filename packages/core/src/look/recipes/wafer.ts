import { mainGlass } from '../../body/body';
import { strewnOf } from '../../body/layers';
import { neckRadius } from '../../flow/spread';
import { found } from '../../problem';
import { formatLength } from '../../units/format';
import { WAFER_FLAWS } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { byTension, laterWork, times } from '../works';

/** The powder that its range was told for, m. */
const REFERENCE_GRAIN_M = 0.0002;

export const wafer: Recipe = {
  name: LOOK_NAMES.wafer,
  group: 'grains',
  reaches: 'powder sticks grain to grain into a thin leaf',
  spares: 'it does not draw together, its drawing stays fine',
  squeezes: false,
  levels: false,
  joins: true,
  flows: false,
  flaws: WAFER_FLAWS,
  uneven: 1,
  hold_s: { cooler: 480, hotter: 240, least: 120, most: 1500 },
  law: 'Necks between grains grow as √(3γrW/2) (Frenkel 1945): the work goes with the grain.',
  work: ({ body, works }) => found(times(laterWork(works, 'wafer'), byTension(body) * ((strewnOf(body)?.grain_m ?? REFERENCE_GRAIN_M) / REFERENCE_GRAIN_M))),
  tells({ body }, work_perPa, { length }) {
    const strewn = strewnOf(body);
    if (strewn === null) return [];
    const glass = mainGlass(body);
    const { figure, unit } = formatLength(strewn.perArea_kg_m2 / glass.density_kg_m3, length);
    const share = neckRadius(glass, strewn.grain_m / 2, work_perPa) / (strewn.grain_m / 2);
    const grown = share < 1 ? `over ${Math.round(100 * share)} % of their width` : 'over their whole width';
    return [{ label: 'leaf', figure, unit, sentence: `A leaf about ${figure} ${unit} thick once dense; its grains grow together ${grown}.` }];
  },
  drawn: {
    glass: 'M6 36 V33.4 H66 V36 Z',
    lines: 'M10 30 V29.4 M16 31 V30.4 M22 29.6 V29 M28 31 V30.4 M34 30 V29.4 M40 31 V30.4 M46 29.6 V29 M52 31 V30.4 M58 30 V29.4 M63 31 V30.4',
  },
  looksLike: {
    early: 'matt like chalk, a breath of air moves it',
    right: 'satin, its edge still as it was sifted',
    late: 'glossy, thin places open and the edge has drawn in',
  },
  care: 'Powder hangs in the air and harms the lungs for good: a fitted respirator, no draught, clean up wet.',
};
