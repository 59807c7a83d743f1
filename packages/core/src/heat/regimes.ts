/** The ranges of temperature and the segments of a schedule that decide which limit applies. */
import type { GlassConstants } from '../glass/constants';
import { stateBegins } from '../glass/states';
import { LOG_VISCOSITY, temperatureAt, type Vft } from '../glass/viscosity';
import type { Segment } from '../kiln/segment';

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
 * Frozen-in glass relaxes ever slower by about 0.03 decades a degree (Narayanaswamy's non-linearity 0.5 and
 * activation 76,000 K), so 60 °C under the strain point its relaxation time is some fifty times the time that a
 * usual cool spends there.
 */
const SETTING_ENDS_BELOW_STRAIN_K = 60;

export function regimesOf(glass: GlassConstants, vft: Vft): Regimes {
  return {
    brittle_C: stateBegins(glass, 'softens', vft),
    squeezeFrom_C: temperatureAt(vft, 8.5),
    squeezeTo_C: temperatureAt(vft, LOG_VISCOSITY.softening),
    setsFrom_C: temperatureAt(vft, LOG_VISCOSITY.annealing),
    setsTo_C: temperatureAt(vft, LOG_VISCOSITY.strain) - SETTING_ENDS_BELOW_STRAIN_K,
  };
}

/** The last hold in the annealing range after the hottest segment, or -1. */
export function annealSoakSegment(vft: Vft, segments: readonly Segment[], start_C?: number): number {
  const from = temperatureAt(vft, 14.5);
  const to = temperatureAt(vft, 11);
  const hottest = hottestSegment(segments, start_C);
  for (let i = segments.length - 1; i > hottest; i -= 1) {
    const { target_C, hold_s } = segments[i];
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
