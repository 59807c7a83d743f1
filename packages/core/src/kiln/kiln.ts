/**
 * A kiln as one lumped node: C·dT/dt = P·u − U(T − Ta) − S(T⁴ − Ta⁴), u from 0 to 1. Only the ratios P/C, U/C
 * and S/C can be told from temperatures, so only they are kept. One node climbs well and cools well from the
 * top; a thick-walled kiln's long tail needs a second node, which this has not.
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
  /** Room inside, m: a box or a round; not judged where it is not known. */
  insideWidth_m?: number;
  insideLength_m?: number;
  insideDiameter_m?: number;
  insideHeight_m?: number;
}

const REFERENCE_SPAN_M = 0.3;

/** Cooling with the power off, K/s, positive. */
export function naturalCooling(kiln: KilnConstants, temperature_C: number): number {
  const here = temperature_C + KELVIN_AT_0_C;
  const room = kiln.ambient_C + KELVIN_AT_0_C;
  const here2 = here * here;
  const room2 = room * room;
  return kiln.loss_per_s * (here - room) + kiln.radiantLoss_per_K3_s * (here2 * here2 - room2 * room2);
}

/** Heating at full power, K/s; negative where the kiln cannot hold this temperature. */
export const fullPowerHeating = (kiln: KilnConstants, temperature_C: number): number => kiln.power_K_per_s - naturalCooling(kiln, temperature_C);

/** The across-lag u of a piece of the given span, s: its edge-to-edge difference is u times its rate. */
export const acrossLag = (kiln: KilnConstants, span_m: number): number => (kiln.acrossLag_s_per_300mm * span_m) / REFERENCE_SPAN_M;
