/**
 * A body that runs level is heated as it was laid and cooled at the depth it has come to, or by its field. Both are simulated through the
 * whole firing and joined where the hottest segment ends: the kiln's path is that of the kiln alone, so their clocks are one.
 */
import type { SegmentFigures, Series } from '../heat/figures';
import type { SimulationResult } from '../heat/simulation';

/** What heat does to glass that stays as it was laid, whichever body its differences are told by. */
const workOn = ({ heatWork_perPa, heatWorkUnder_perPa, heatWorkTop_perPa, squeezeWork_perPa, haze_s, coating_s, reliefLeft }: SegmentFigures) => ({
  ...{ heatWork_perPa, heatWorkUnder_perPa, heatWorkTop_perPa, squeezeWork_perPa, haze_s, coating_s, reliefLeft },
});

export interface RunLevel {
  /** Index of the last segment that is told by the body as it was laid. */
  hottest: number;
  /** Whether what stood on it goes on standing. */
  stays: boolean;
  /** Where it is one solid from the start: its tension while it warms, over that of the body it is cooled as. */
  warmsAs?: number;
}

export function runLevel(laid: SimulationResult, level: SimulationResult, { hottest, stays, warmsAs = 0 }: RunLevel): SimulationResult {
  if (laid.stalled) return laid;
  const { reliefLeft = null } = laid.segments[hottest] ?? {};
  const warmed = (figures: SegmentFigures, i: number): SegmentFigures => ({
    ...figures,
    tension_max_Pa: Math.max(figures.tension_max_Pa, warmsAs * level.segments[i].tension_max_Pa),
  });
  const segments = laid.segments.map((figures, i) =>
    i <= hottest ? warmed(figures, i) : { ...level.segments[i], ...(stays ? workOn(figures) : { reliefLeft }) },
  );
  return {
    ...level,
    segments,
    steps: laid.steps + level.steps,
    stepError_K: Math.max(laid.stepError_K, level.stepError_K),
    ...(laid.series && level.series ? { series: joined(laid.series, level.series, hottest) } : {}),
  };
}

function joined(first: Series, second: Series, hottest: number): Series {
  const until = first.joints[hottest].holdEnd + 1;
  const from = second.joints[hottest].holdEnd + 1;
  const along = (name: 't_s' | 'kiln_C' | 'skin_C' | 'core_C'): number[] => [...first[name].slice(0, until), ...second[name].slice(from)];
  const moved = (index: number): number => index - from + until;
  return {
    t_s: along('t_s'),
    kiln_C: along('kiln_C'),
    skin_C: along('skin_C'),
    core_C: along('core_C'),
    joints: [
      ...first.joints.slice(0, hottest + 1),
      ...second.joints.slice(hottest + 1).map(({ rampEnd, holdEnd }) => ({ rampEnd: moved(rampEnd), holdEnd: moved(holdEnd) })),
    ],
  };
}
