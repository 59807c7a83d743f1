/**
 * What crossed polarisers show: retardation C∫(σ1 − σ2) along the line of sight, σ1 and σ2 the principal stresses across
 * it. Looked through face on, an even plate is dark: its stress is the same in all directions of its face. Edge on, only
 * the stress along the edge counts and the path is as long as the plate is wide. At the rim the stress across the edge
 * vanishes, so a band about one depth wide lights up. The picture is in nm; verdicts come from MPa.
 */
import { type GlassConstants, stressOptical } from '../glass/constants';

export const NM_PER_M = 1e9;

/** Retardation of one stress difference over a path, nm. */
export const retardation = (glass: GlassConstants, difference_Pa: number, path_m: number): number => stressOptical(glass) * difference_Pa * path_m * NM_PER_M;

/** Edge on: retardation at each depth, nm, tension positive, through a plate that is path_m wide along the line of sight. */
export const edgeOn = (
  glass: GlassConstants,
  residual: readonly { z_m: number; stress_Pa: number }[],
  path_m: number,
): { z_m: number; retardation_nm: number }[] => residual.map(({ z_m, stress_Pa }) => ({ z_m, retardation_nm: retardation(glass, stress_Pa, path_m) }));

/**
 * Looked through: retardation of two principal stresses of the face, each given through the depth, nm. Equal ones, as in
 * an even plate away from its rim, give nothing whatever their size.
 */
export function lookedThrough(glass: GlassConstants, layers: readonly { depth_m: number; first_Pa: number; second_Pa: number }[]): number {
  return layers.reduce((sum, { depth_m, first_Pa, second_Pa }) => sum + retardation(glass, first_Pa - second_Pa, depth_m), 0);
}

/**
 * Looked through near the rim: the rim is a face that cools like the top, so that at a distance x from it the stress along
 * the rim is about the profile at depth x, while the stress across it is small. Retardation through the whole depth, nm, from
 * the rim inwards to half the depth. An estimate by likeness; corners show more.
 */
export function rimBand(glass: GlassConstants, residual: readonly { z_m: number; stress_Pa: number }[]): { x_m: number; retardation_nm: number }[] {
  if (residual.length === 0) return [];
  const [foot, top] = [residual[0].z_m, residual[residual.length - 1].z_m];
  const depth_m = top - foot;
  return residual
    .filter(({ z_m }) => top - z_m <= depth_m / 2)
    .map(({ z_m, stress_Pa }) => ({ x_m: top - z_m, retardation_nm: retardation(glass, stress_Pa, depth_m) }))
    .sort((a, b) => a.x_m - b.x_m);
}
