/** Thick flow: heaps, presses, holes and grains. All go by heat work W = ∫dt/η, 1/Pa. */
import { naturalDepth } from '../body/body';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { GlassConstants } from '../glass/constants';

const HUPPERT = 0.894;

/**
 * Radius, m, of a heap of given volume after some work, R = 0.894·(ρgV³W/3)^(1/8) (Huppert 1982, J. Fluid Mech. 121, 43),
 * until it has sunk to its natural depth. Right once it is much wider than deep.
 */
export function puddleRadius(glass: GlassConstants, volume_m3: number, work_perPa: number): number {
  const spreads = HUPPERT * ((glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * volume_m3 ** 3 * work_perPa) / 3) ** (1 / 8);
  return Math.min(spreads, Math.sqrt(volume_m3 / (Math.PI * naturalDepth(glass))));
}

/** Heat work, 1/Pa, after which a heap has the given radius: the inverse of puddleRadius before it comes to rest. */
export const workToPuddle = (glass: GlassConstants, volume_m3: number, radius_m: number): number =>
  (3 * (radius_m / HUPPERT) ** 8) / (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * volume_m3 ** 3);

/**
 * Depth, m, of a disc of radius R pressed by a weight between plates that grip: ∫F dt/η = (3πR⁴/4)(1/h² − 1/h0²)
 * (Stefan 1874). Holds R, as under a full plate; a disc that spreads under it goes slower.
 */
export const pressedDepth = (radius_m: number, depth_m: number, force_N: number, work_perPa: number): number =>
  (1 / depth_m ** 2 + (4 * force_N * work_perPa) / (3 * Math.PI * radius_m ** 4)) ** -0.5;

/** Heat work, 1/Pa, after which a disc is pressed to a depth: the inverse of pressedDepth. */
export const workToPress = (radius_m: number, from_m: number, to_m: number, force_N: number): number =>
  ((3 * Math.PI * radius_m ** 4) / (4 * force_N)) * (1 / to_m ** 2 - 1 / from_m ** 2);

/**
 * Volume, m³, that runs through a round hole of radius r in a plate of thickness b under a head H that stays:
 * πρgHr⁴W/(8(b + 3πr/8)), Poiseuille's flow with the loss at the mouth (Sampson 1891).
 */
export const throughHole = (glass: GlassConstants, hole: { radius_m: number; plate_m: number; head_m: number }, work_perPa: number): number =>
  (Math.PI * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * hole.head_m * hole.radius_m ** 4 * work_perPa) /
  (8 * (hole.plate_m + (3 * Math.PI * hole.radius_m) / 8));

/** Radius, m, of the neck between two grains of radius r: x² = 3γrW/2 (Frenkel 1945), no more than the grain itself. */
export const neckRadius = (glass: GlassConstants, grain_m: number, work_perPa: number): number =>
  Math.min(Math.sqrt((3 * glass.surfaceTension_N_m * grain_m * work_perPa) / 2), grain_m);

/**
 * How far a rim can have crept, m, after some work: a step of depth h spreads as √(ρgh³W/3) (the early law of a viscous
 * gravity current, Huppert 1982), driven by what its depth differs from the natural one. An estimate, of the right order.
 */
export function rimReach(glass: GlassConstants, depth_m: number, work_perPa: number): number {
  const driven = Math.abs(1 - (naturalDepth(glass) / depth_m) ** 2);
  return Math.sqrt((Math.min(driven, 1) * glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * depth_m ** 3 * work_perPa) / 3);
}

/** Heat work, 1/Pa, after which the front of a step of depth h has crept some way, by the same law: 3x²/(ρgh³). */
export const workToSpread = (glass: GlassConstants, depth_m: number, way_m: number): number =>
  (3 * way_m ** 2) / (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * depth_m ** 3);
