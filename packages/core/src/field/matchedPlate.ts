/**
 * The even plate that stands for a body of changing depth while that cools: it bulges as much (L²/24κ, by whichever face it cools) and
 * evens out no sooner. Stress and its relaxation are then followed through its depth; what the body differs by in itself is the
 * plate's own difference, times a share.
 */
import type { Exchange } from './lattice';
import type { Laid, Matter, UnevenBody } from './body';
import { type SteadyCooling, steadyCooling } from './cooling';

export interface MatchedPlate {
  depth_m: number;
  /** In front of each face, where it is open at both, m. */
  wall_m: number;
  /** What the body differs by over what the plate does. */
  spreadShare: number;
}

type Told = Pick<SteadyCooling, 'bulge_s' | 'innerSpread_s' | 'evens_s'>;

const BULGE_SHARE = 24;
const CELLS_THROUGH = 40;
const THICKEST_WALL_M = 0.5;
const WALL_FOUND_TO_M = 1e-4;

export const plateAsDeep = (glass: Matter, bulge_s: number): number =>
  Math.sqrt((BULGE_SHARE * bulge_s * glass.conductivity_W_mK) / (glass.density_kg_m3 * glass.heatCapacity_J_kgK));

/** A plate without sides, one cell wide. */
const column = (glass: Matter, depth_m: number, top: Exchange, bottom: Exchange, laid: Pick<UnevenBody, 'under' | 'over'>): UnevenBody => ({
  ...({ shape: 'section', mirrored: true, level: 'top', glass, fineness: 1, ...laid } as const),
  parts: [{ width_m: depth_m / CELLS_THROUGH, depth_m }],
  exchange_W_m2K: { top, side: 0, bottom },
});

/** Open at both faces alike, behind as thick a wall as it takes. wall: its make; exchange_W_m2K: outside of it. */
export function matchedWithin({ bulge_s, innerSpread_s, evens_s }: Told, glass: Matter, wall: Matter, exchange_W_m2K: number): MatchedPlate {
  const depth_m = plateAsDeep(glass, bulge_s);
  // One half of it, mirrored at its middle.
  const behind = (thickness_m: number): SteadyCooling =>
    steadyCooling(column(glass, depth_m / 2, exchange_W_m2K, 0, thickness_m > 0 ? { over: [{ ...wall, thickness_m }] } : {}));
  let [thin, thick] = [0, THICKEST_WALL_M];
  // A plate that is slower by itself is the careful one.
  if (behind(0).evens_s >= evens_s) thick = 0;
  while (thick - thin > WALL_FOUND_TO_M) {
    const between = (thin + thick) / 2;
    if (behind(between).evens_s < evens_s) thin = between;
    else thick = between;
  }
  return { depth_m, wall_m: thick, spreadShare: innerSpread_s / behind(thick).spread_s };
}

/** On what the body itself lies on, under what it lies under. */
export function matchedOn(
  { bulge_s, innerSpread_s }: Told,
  glass: Matter,
  { top, bottom, ...laid }: { top: number; bottom: number; under: readonly Laid[]; over?: readonly Laid[] },
): MatchedPlate {
  const depth_m = plateAsDeep(glass, bulge_s);
  return { depth_m, wall_m: 0, spreadShare: innerSpread_s / steadyCooling(column(glass, depth_m, top, bottom, laid)).spread_s };
}
