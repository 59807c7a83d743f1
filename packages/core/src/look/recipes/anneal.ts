import { mainGlass } from '../../body/body';
import { found } from '../../problem';
import { CRACKS_ALONE } from '../flaws';
import { LOOK_NAMES } from '../names';
import type { Recipe } from '../recipe';
import { MOST_OVER_LEAST } from '../works';
import { relaxed, workToRelax } from './relaxing';

/** What is left of a stress that could relax so many times over is under one part in a hundred. */
const LEAST_TIMES = 5;

export const anneal: Recipe = {
  name: LOOK_NAMES.anneal,
  group: 'stuck',
  reaches: 'stress that stayed in it relaxes, and its own cool leaves less',
  spares: 'shape, edges and surface stay as they are',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  stays: true,
  byForm: true,
  warmsStressed: 0.5,
  flaws: CRACKS_ALONE,
  uneven: 1.5,
  hold_s: { cooler: 3600, hotter: 1800, least: 1200, most: 14400 },
  law: 'Stress relaxes once in η/G: after five of these less than a hundredth of it is left. What stays then is what the cool leaves.',
  work({ body }) {
    const least = workToRelax(mainGlass(body), LEAST_TIMES);
    return found({ least, most: MOST_OVER_LEAST * least });
  },
  tells({ body }, work_perPa, { length }) {
    const { times, sinks } = relaxed(body, work_perPa, length);
    const sentence = `What stayed in it could relax ${times} times over. Held by its rim alone it would sink by ${sinks}.`;
    return [{ label: 'relaxes', figure: times, unit: '×', sentence }];
  },
  drawn: { glass: 'M4 36 V22 H68 V36 Z', lines: 'M14 29 H30 M26 25.5 L30 29 L26 32.5 M58 29 H42 M46 25.5 L42 29 L46 32.5' },
  looksLike: {
    early: 'nothing to be seen: it is as it was',
    right: 'nothing to be seen: the hold tells, and polarisers once it is cold',
    late: 'marks of the shelf on its underside: too hot',
  },
  care: 'A piece under stress can break in the hand or on the first degrees up: eye protection and gloves when it is set in, the lid closed before it is warmed, and slowly.',
};
