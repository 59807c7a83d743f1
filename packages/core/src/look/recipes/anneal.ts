import { shearModulus, type GlassConstants } from '../../glass/constants';
import { bodyFigures, mainGlass } from '../../body/body';
import { sagAfter } from '../../flow/sag';
import { found } from '../../problem';
import { formatLength, text } from '../../units/format';
import type { Recipe } from '../recipe';
import { openingUnder } from '../shaping';
import { MOST_OVER_LEAST } from '../works';

/** What is left of a stress that could relax so many times over is under one part in a hundred. */
const LEAST_TIMES = 5;
/** What nobody sees of a shape that sinks, m. */
const UNSEEN_SAG_M = 0.0002;

const timesRelaxed = (glass: GlassConstants, work_perPa: number): number => work_perPa * shearModulus(glass);

export const anneal: Recipe = {
  name: 'Second anneal',
  group: 'stuck',
  reaches: 'stress that stayed in it relaxes, and its own cool leaves less',
  spares: 'shape, edges and surface stay as they are',
  squeezes: false,
  levels: false,
  joins: false,
  flows: false,
  stays: true,
  byForm: true,
  bearsShare: 0.5,
  uneven: 1.5,
  hold_s: { cooler: 3600, hotter: 1800, least: 1200, most: 14400 },
  law: 'Stress relaxes once in η/G: after five of these less than a hundredth of it is left. What stays then is what the cool leaves.',
  work({ body }) {
    const least = LEAST_TIMES / shearModulus(mainGlass(body));
    return found({ least, most: MOST_OVER_LEAST * least });
  },
  tells({ body }, work_perPa, { length }) {
    const glass = mainGlass(body);
    const times = timesRelaxed(glass, work_perPa);
    const sag_m = sagAfter(glass, openingUnder(body.footprint), bodyFigures(body).depth.mean_m, work_perPa);
    const figure = times < 10 ? times.toFixed(1) : String(Math.round(times));
    const sinks = `${sag_m < UNSEEN_SAG_M ? 'less than' : 'about'} ${text(formatLength(Math.max(sag_m, UNSEEN_SAG_M), length))}`;
    return [
      { label: 'relaxes', figure, unit: '×', sentence: `What stayed in it could relax ${figure} times over. Held by its rim alone it would sink by ${sinks}.` },
    ];
  },
  looksLike: {
    early: 'nothing to be seen: it is as it was',
    right: 'nothing to be seen: the hold tells, and polarisers once it is cold',
    late: 'marks of the shelf on its underside: too hot',
  },
  care: 'A piece under stress can break in the hand or on the first degrees up: eye protection and gloves when it is set in, the lid closed before it is warmed, and slowly.',
};
