/**
 * The bubble squeeze: how much heat work a sheet needs before it has sagged onto what lies under it. A sheet
 * spanning a pocket of radius a sinks at 0.17·ρ·g·a⁴/(η·L²) (viscous bending of a supported disc), so the work
 * to close a gap d is W = d·L²/(0.17·ρ·g·a⁴), in 1/Pa.
 */
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';
import { LOG_VISCOSITY } from '../glass/viscosity';

export interface AirPocket {
  /** Half the free span between contacts, m. */
  radius_m: number;
  /** Gap to close, m. */
  gap_m: number;
}

/** Cut sheets touch at points some 40 mm apart and are out of flat by up to a millimetre. */
export const TYPICAL_POCKET: AirPocket = { radius_m: 0.02, gap_m: 0.001 };

/** Viscosity at which a rim is half sealed, Pa·s: where glass softens. */
const SEALS_PA_S = 10 ** LOG_VISCOSITY.softening;

/** How open the rim is, 1 to 0, by the fluidity that glass has, 1/(Pa·s): nine tenths a quarter of a decade before it is half sealed. */
export function openRim(fluidity_perPa_s: number): number {
  const sealed = fluidity_perPa_s * SEALS_PA_S;
  const squared = sealed * sealed;
  return 1 / (1 + squared * squared);
}

const SUPPORTED_DISC_SAG = 0.17;

/** Work, 1/Pa, that lays a sheet of the given thickness onto its support. */
export const squeezeWork = (glass: GlassConstants, sheet_m: number, pocket: AirPocket = TYPICAL_POCKET): number =>
  (pocket.gap_m * sheet_m ** 2) / (SUPPORTED_DISC_SAG * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * pocket.radius_m ** 4);
