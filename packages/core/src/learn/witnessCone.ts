/**
 * A cone that stood beside the glass tells how hot it was there: how far it bent, against how far it had to bend by what the controller
 * read. Softer cones than those of clay stand beside glass. Typical of large cones: where each bends after a climb at 60 °C/h. They gain less
 * by time than the cones of clay do: with one Θ for all of them the published figures for 150 °C/h come within 10 °C. The maker's own chart
 * stands above it.
 */
import { CONES, type Cone, coneBends, coneEquivalent } from '../emptyFiring/cones';
import type { Corner } from '../kiln/corners';
import type { Witness } from './corrections';

const SOFT_BENDS_C = {
  ...{ '022': 586, '021': 600, '020': 626, '019': 678, '018': 715, '017': 738 },
  ...{ '016': 772, '015': 791, '014': 807, '013': 837, '012': 861, '011': 875 },
} as const;
type SoftCone = keyof typeof SOFT_BENDS_C;
export type WitnessCone = SoftCone | Cone;
/** From the coolest up. */
export const WITNESS_CONES = [...(Object.keys(SOFT_BENDS_C) as SoftCone[]), ...CONES] as [WitnessCone, ...WitnessCone[]];

const isSoft = (cone: WitnessCone): cone is SoftCone => cone in SOFT_BENDS_C;
const SOFT_THETA_K = 47_000;

/** From where it begins to bend to where its tip is down, °C. */
const BENDS_OVER_K = 18;
/** Bent so far its tip is down: an angle from upright. */
export const TIP_DOWN_DEG = 90;
/** Upright, or lying flat, it only tells that it was cooler or hotter. */
export const CONE_TELLS_DEG = { least: 10, most: 100 } as const;
/** As cones of one box differ, and as people read them, K. */
export const CONE_ERROR_K = 5;

/** A cone beside the glass; bent_deg: from upright. */
export interface ConeSeen {
  cone: WitnessCone;
  bent_deg: number;
}

const STEP_K = 4;

/** Corners so near that no step spans more than a few degrees. */
function closely(corners: readonly Corner[]): { t_s: number[]; at_C: number[] } {
  const [t_s, at_C] = [[corners[0].t_s], [corners[0].at_C]];
  for (let i = 1; i < corners.length; i += 1) {
    const [from, to] = [corners[i - 1], corners[i]];
    const steps = Math.max(Math.ceil(Math.abs(to.at_C - from.at_C) / STEP_K), 1);
    for (let k = 1; k <= steps; k += 1) {
      t_s.push(from.t_s + ((to.t_s - from.t_s) * k) / steps);
      at_C.push(from.at_C + ((to.at_C - from.at_C) * k) / steps);
    }
  }
  return { t_s, at_C };
}

/** What it came to, as the end of a climb at 60 °C/h, °C. */
export function coneFelt({ cone, bent_deg }: ConeSeen): number {
  const bends_C = isSoft(cone) ? SOFT_BENDS_C[cone] : coneBends(cone);
  return bends_C + (bent_deg / TIP_DOWN_DEG - 1) * BENDS_OVER_K;
}

/** What it tells of the controller; null where it stood or lay flat, which tells no figure. */
export function witnessOfCone(seen: ConeSeen, corners: readonly Corner[]): Witness | null {
  if (seen.bent_deg < CONE_TELLS_DEG.least || seen.bent_deg > CONE_TELLS_DEG.most || corners.length < 2) return null;
  const { t_s, at_C } = closely(corners);
  const read_C = isSoft(seen.cone) ? coneEquivalent(t_s, at_C, SOFT_THETA_K) : coneEquivalent(t_s, at_C);
  return Number.isFinite(read_C) ? { offset_K: read_C - coneFelt(seen), error_K: CONE_ERROR_K } : null;
}
