/**
 * A body that runs level is heated as it was laid and cooled at the depth it has come to. Both are simulated through the whole
 * firing and joined where the hottest segment ends: the kiln's path is that of the kiln alone, so their clocks are one.
 */
import type { Series } from '../heat/figures';
import type { SimulationResult } from '../heat/simulation';

/** hottest: index of the last segment that is told by the body as it was laid. */
export function runLevel(laid: SimulationResult, level: SimulationResult, hottest: number): SimulationResult {
  if (laid.stalled) return laid;
  const { reliefLeft = null } = laid.segments[hottest] ?? {};
  const segments = laid.segments.map((figures, i) => (i <= hottest ? figures : { ...level.segments[i], reliefLeft }));
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
