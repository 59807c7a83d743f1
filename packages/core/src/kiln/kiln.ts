/**
 * A kiln as one lumped node: C·dT/dt = P·u − U(T − Ta) − S(T⁴ − Ta⁴) − G(T − Tw), u from 0 to 1. Only the ratios P/C, U/C, S/C
 * and G/C can be told from temperatures, so only they are kept. The last term is a wall that stores heat, Cw·dTw/dt = G(T − Tw): with
 * one node alone no kiln of thick brick has both its climb and its long tail.
 */
import { KELVIN_AT_0_C } from '../units/physical';

export interface KilnConstants {
  /** Highest temperature the kiln may be asked for, °C. */
  top_C: number;
  /** Full power over heat capacity P/C, K/s. */
  power_K_per_s: number;
  /** Linear loss over heat capacity U/C, 1/s. */
  loss_per_s: number;
  /** Radiant loss over heat capacity S/C, 1/(K³·s). */
  radiantLoss_per_K3_s: number;
  /** Room temperature Ta, °C. */
  ambient_C: number;
  /**
   * How far apart two places on a 300 mm piece are, per K/s of kiln rate, s. It stands for uneven elements and
   * shading; a test with thermocouples at the glass replaces it.
   */
  acrossLag_s_per_300mm: number;
  /** A wall that stores heat: its exchange over the chamber's heat capacity G/C, 1/s, and its own heat capacity over that, Cw/C. Both or neither. */
  wallExchange_per_s?: number;
  wallOverChamber?: number;
  /** Room inside, m: a box or a round; not judged where it is not known. */
  insideWidth_m?: number;
  insideLength_m?: number;
  insideDiameter_m?: number;
  insideHeight_m?: number;
}

const REFERENCE_SPAN_M = 0.3;

/** Cooling with the power off, K/s, positive; the wall at wall_C, as hot as the chamber where it is left out. */
export function naturalCooling(kiln: KilnConstants, temperature_C: number, wall_C = temperature_C): number {
  const here = temperature_C + KELVIN_AT_0_C;
  const room = kiln.ambient_C + KELVIN_AT_0_C;
  const here2 = here * here;
  const room2 = room * room;
  const loses = kiln.loss_per_s * (here - room) + kiln.radiantLoss_per_K3_s * (here2 * here2 - room2 * room2);
  return kiln.wallExchange_per_s === undefined ? loses : loses + kiln.wallExchange_per_s * (temperature_C - wall_C);
}

/** Heating at full power, K/s; negative where the kiln cannot hold this temperature. */
export const fullPowerHeating = (kiln: KilnConstants, temperature_C: number, wall_C = temperature_C): number =>
  kiln.power_K_per_s - naturalCooling(kiln, temperature_C, wall_C);

/** The rate, K/s, at which full power still climbs past a temperature when it has come from cold, wall and all, at that rate. */
export function steadyHeating(kiln: KilnConstants, temperature_C: number): number {
  const { wallExchange_per_s, wallOverChamber, ambient_C } = kiln;
  const best = fullPowerHeating(kiln, temperature_C);
  if (wallExchange_per_s === undefined || wallOverChamber === undefined || best <= 0) return best;
  let rate = best;
  // A wall that follows at a steady rate takes its whole share of it; one that has only begun to, less. From above, step by step.
  for (let i = 0; i < 12; i += 1) {
    const follows = 1 - Math.exp((-wallExchange_per_s / wallOverChamber) * ((temperature_C - ambient_C) / rate));
    rate = best / (1 + wallOverChamber * follows);
  }
  return rate;
}

/** Cooling with the power off once chamber and wall come down together, K/s. */
export const settledCooling = (kiln: KilnConstants, temperature_C: number): number => naturalCooling(kiln, temperature_C) / (1 + (kiln.wallOverChamber ?? 0));

/** The wall's temperature, °C, after dt_s in which the chamber goes linearly from one temperature to the other. */
export function wallAfter(
  { wallExchange_per_s, wallOverChamber }: Pick<KilnConstants, 'wallExchange_per_s' | 'wallOverChamber'>,
  wall_C: number,
  from_C: number,
  to_C: number,
  dt_s: number,
): number {
  if (wallExchange_per_s === undefined || wallOverChamber === undefined) return to_C;
  const pace = wallExchange_per_s / wallOverChamber;
  const lag = (to_C - from_C) / (dt_s * pace);
  return to_C - lag + (wall_C - from_C + lag) * Math.exp(-pace * dt_s);
}

/** The across-lag u of a piece of the given span, s: its edge-to-edge difference is u times its rate. */
export const acrossLag = (kiln: KilnConstants, span_m: number): number => (kiln.acrossLag_s_per_300mm * span_m) / REFERENCE_SPAN_M;
