/** The ranges of temperature and the segments of a schedule that decide which limit applies. */
import type { GlassConstants } from '../glass/constants';
import { stateBegins } from '../glass/states';
import { LOG_VISCOSITY, temperatureAt, type Vft } from '../glass/viscosity';
import type { Segment } from '../kiln/segment';
import { stifferBy } from '../stress/relaxation';

/** The glass's temperature ranges that decide which limit applies, °C. */
export interface Regimes {
  /** Below this a difference pulls; above, it relaxes within seconds: where the glass softens. */
  brittle_C: number;
  squeezeFrom_C: number;
  squeezeTo_C: number;
  /** Where cooling begins to leave stress (10^12). */
  setsFrom_C: number;
  /** Below this less than about a fiftieth of a difference can still set. */
  setsTo_C: number;
}

/**
 * Glass that froze at its strain point has some fifty times the time that a usual cool spends there to go before it relaxes, once
 * it is so many decades stiffer: 60 °C lower for soft sheet, 89 for borosilicate, whose glassy slope is smaller.
 */
const SETTING_ENDS_DECADES = 1.8;

export function regimesOf(glass: GlassConstants, vft: Vft): Regimes {
  return {
    brittle_C: stateBegins(glass, 'softens', vft),
    squeezeFrom_C: temperatureAt(vft, 8.5),
    squeezeTo_C: temperatureAt(vft, LOG_VISCOSITY.softening),
    setsFrom_C: temperatureAt(vft, LOG_VISCOSITY.annealing),
    setsTo_C: stifferBy(SETTING_ENDS_DECADES, glass, temperatureAt(vft, LOG_VISCOSITY.strain), vft),
  };
}

/** What creeps into its hold as slowly as controllers count is a step of a cool and no soak, °C/h. */
const STEP_C_PER_H = 1.2;

/** The last hold in the annealing range after the hottest segment, or -1. */
export function annealSoakSegment(vft: Vft, segments: readonly Segment[], start_C?: number): number {
  const from = temperatureAt(vft, 14.5);
  const to = temperatureAt(vft, 11);
  const hottest = hottestSegment(segments, start_C);
  for (let i = segments.length - 1; i > hottest; i -= 1) {
    const { target_C, hold_s, rate_C_per_h } = segments[i];
    if (rate_C_per_h !== null && rate_C_per_h < STEP_C_PER_H) continue;
    if (hold_s > 0 && target_C >= from && target_C <= to) return i;
  }
  return -1;
}

/** The segment that goes highest; -1 where it was hotter before it began. */
export function hottestSegment(segments: readonly Segment[], start_C = -Infinity): number {
  let best = -1;
  let best_C = start_C;
  segments.forEach(({ target_C }, i) => {
    if (target_C <= best_C) return;
    best = i;
    best_C = target_C;
  });
  return best;
}
