/**
 * When the kiln may be opened: the drop to room air must not pull the skin beyond the limit. The peak skin
 * stress of a suddenly cooled plate is EαΔT/(1−ν) ÷ (1.5 + 3.25/Bi − 0.5·e^(−16/Bi)) (Manson 1953, NACA TN
 * 2933); the edge runs ahead of the middle by the across-lag besides.
 * A ceiling set by the studio stands above both, for draughts and doubt.
 */
import type { FiringCase } from './firingCase';
import { resolved } from './resolved';
import { restrainedDifference } from '../glass/constants';
/** Still room air on a body just out of the kiln, radiation included, W/(m²K). */
const ROOM_EXCHANGE_W_m2K = 10;

/** Highest kiln temperature, °C, at which the kiln may be opened. */
export function openingTemperature(firing: FiringCase): number {
  const { kiln, limits, glass, depth_m, acrossLag_s } = resolved(firing);
  const depth = depth_m.fired;
  const biot = (ROOM_EXCHANGE_W_m2K * depth) / glass.conductivity_W_mK;
  const throughShare = 1 / (1.5 + 3.25 / biot - 0.5 * Math.exp(-16 / biot));
  const ratePerDrop = ROOM_EXCHANGE_W_m2K / (glass.density_kg_m3 * glass.heatCapacity_J_kgK * depth);
  const acrossShare = acrossLag_s * ratePerDrop;
  const drop_K = restrainedDifference(glass, limits.pull_Pa) / (throughShare + acrossShare);
  const ceiling = depth > limits.thick_m ? limits.openThick_C : limits.open_C;
  return Math.min(kiln.ambient_C + drop_K, ceiling);
}
