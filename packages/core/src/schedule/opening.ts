/**
 * When the kiln may be opened: the drop to room air must not pull the skin beyond the limit. The peak skin
 * stress of a suddenly cooled plate is EαΔT/(1−ν) ÷ (1.5 + 3.25/Bi − 0.5·e^(−16/Bi)) (Manson 1953, NACA TN
 * 2933); the edge runs ahead of the middle besides, since it loses heat on its own face too.
 * A ceiling set by the studio stands above both, for draughts and doubt.
 */
import type { FiringCase } from './firingCase';
import type { Limits } from './limits';
import { resolved } from './resolved';
import { emptyFiringOf } from './emptyFiring';
import { restrainedDifference } from '../glass/constants';
/** Still room air on a body just out of the kiln, radiation included, W/(m²K). */
const ROOM_EXCHANGE_W_m2K = 10;

/** The greatest that √s·e^(−s) comes to, times 2/√π: how far the edge of a plate that cools as a whole gets ahead at most. */
const EDGE_LEAD = (2 / Math.sqrt(Math.PI)) * Math.sqrt(1 / 2) * Math.exp(-1 / 2);

/**
 * By how much of a sudden drop the edge of a plate is colder than its middle at most, 1 at most. While the plate cools as a whole, in
 * ρcL/2h, its edge loses h more on its own face, which spreads inwards as in a half space with a constant flux (Carslaw and
 * Jaeger, 1959, §2.9): √(Bi/2) of the drop times EDGE_LEAD, Bi = hL/k. Thin work follows the air everywhere at once.
 */
export const edgeShare = (biot: number): number => Math.min(1, EDGE_LEAD * Math.sqrt(biot / 2));

/** From where work begins to be thick the ceiling falls, and is as low as for any thick work at so many times that depth: 25 mm over 18. */
const WHOLLY_THICK = 25 / 18;

/** What the studio opens at, at most, °C: usual work, thick work, and what lies between in between. */
export function openingCeiling({ open_C, openThick_C, thick_m }: Pick<Limits, 'open_C' | 'openThick_C' | 'thick_m'>, depth_m: number): number {
  const share = Math.min(1, Math.max(0, (depth_m / thick_m - 1) / (WHOLLY_THICK - 1)));
  return open_C + share * (openThick_C - open_C);
}

/** Highest kiln temperature, °C, at which the kiln may be opened. */
export function openingTemperature(firing: FiringCase): number {
  // A shelf or a mould is taken out with the hands.
  if (emptyFiringOf(firing)) return firing.limits.open_C;
  const { kiln, limits, glass, depth_m } = resolved(firing);
  const depth = depth_m.fired;
  const biot = (ROOM_EXCHANGE_W_m2K * depth) / glass.conductivity_W_mK;
  const throughShare = 1 / (1.5 + 3.25 / biot - 0.5 * Math.exp(-16 / biot));
  const drop_K = restrainedDifference(glass, limits.pull_Pa) / (throughShare + edgeShare(biot));
  return Math.min(kiln.ambient_C + drop_K, openingCeiling(limits, depth));
}
