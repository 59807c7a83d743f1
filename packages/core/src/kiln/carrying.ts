/**
 * A kiln that carries more than it did when it was timed. Its constants are all over the heat capacity of its chamber, so what is added to that divides
 * each of them: it climbs more slowly at full power, and falls more slowly when it is switched off.
 */
import type { KilnConstants } from './kiln';

/** How much heat the chamber of a kiln stores, J/K, as it was timed, its usual shelf in it; null where its full power is not known. */
export const chamberOf = ({ connected_W, power_K_per_s }: Pick<KilnConstants, 'power_K_per_s'> & { connected_W?: number }): number | null =>
  connected_W === undefined ? null : connected_W / power_K_per_s;

/** chamber_J_K: of the kiln as it was timed; load_J_K: what is in it beside that. Nothing is added where either is not known. */
export function carrying<K extends KilnConstants>(kiln: K, chamber_J_K: number | null, load_J_K: number | undefined): K {
  if (chamber_J_K === null || !load_J_K) return kiln;
  const more = 1 + load_J_K / chamber_J_K;
  return {
    ...kiln,
    power_K_per_s: kiln.power_K_per_s / more,
    loss_per_s: kiln.loss_per_s / more,
    radiantLoss_per_K3_s: kiln.radiantLoss_per_K3_s / more,
    ...(kiln.wallExchange_per_s === undefined ? {} : { wallExchange_per_s: kiln.wallExchange_per_s / more }),
    ...(kiln.wallOverChamber === undefined ? {} : { wallOverChamber: kiln.wallOverChamber / more }),
  };
}
