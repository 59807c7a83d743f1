/**
 * Stress in a wide plate of glass through a firing: thermal and structural strain at every depth, stress relaxation,
 * and at every step the balance of force and, if it is free to bow, of moment. Biaxial stress, tension positive, Pa.
 *
 * What it cannot show: rims and corners (a band about one depth wide), unevenness across the piece, and the weight
 * that holds a thin wide plate flat against its bow; 'flat' is the bound for that.
 */
import type { GlassConstants } from '../glass/constants';
import type { Residual, Support } from './balance';
import type { BodyStress } from './bodyStress';
import { compiledPlate } from './compiledPlate';
import { plainPlate } from './plainPlate';

export type { Residual, Support };

/**
 * One glass, or one for every node; at a joint of two glasses give the height twice. The spectra are those of the
 * first. height_m and temperature: index 0 at the underside; temperature is read after every step.
 */
export function plateStress(
  glass: GlassConstants | readonly GlassConstants[],
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
  clock: { dt_s: number },
): BodyStress & { readonly stress_Pa: Float64Array } {
  // Of one glass compiled, where that is to be had; both have the same bits.
  return ('length' in glass ? null : compiledPlate(glass, height_m, temperature, support, clock)) ?? plainPlate(glass, height_m, temperature, support, clock);
}
