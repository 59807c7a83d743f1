/**
 * The body after a firing, seen from the side, as a drawing needs it: estimates put together from rim, relief and the
 * shape asked for. Nothing is judged by it.
 */
import { rimReach } from '../flow/spread';
import { heightLeft } from '../flow/relief';
import { RECIPES } from './recipes/all';
import type { Look } from './names';
import { TYPICAL_WORKS, widestPart } from './works';
import type { Shaping } from './shaping';
import { type BodyInput, bodyFigures, mainGlass } from '../body/body';
import { footprintSpan } from '../body/footprint';

export interface Ghost {
  /** Width of the body at its foot, m. */
  width_m: number;
  /** Depth of the flat of the body, m. */
  depth_m: number;
  /** Radius to which its rim has rounded, m. */
  rim_m: number;
  /** Height that standing parts keep over the flat, m. */
  relief_m: number;
  /** How far the middle stands over the rim (drape) or the rim over the middle (slump, negative), m. */
  crown_m: number;
}

/** How far a rim travels in a firing, m, outwards positive: as far as it would in the end, and no further than so much heat lets it creep. */
export function rimMovesIn(body: BodyInput, look: Look, work_perPa: number): number {
  if (!RECIPES[look].flows) return 0;
  const { depth, afterFiring } = bodyFigures(body);
  return Math.sign(afterFiring.rimMoves_m) * Math.min(Math.abs(afterFiring.rimMoves_m), rimReach(mainGlass(body), depth.mean_m, work_perPa));
}

/** work_perPa: heat work of the firing at the glass's mean temperature. */
export function ghostOf(body: BodyInput, look: Look, work_perPa: number, shaping?: Shaping): Ghost {
  const figures = bodyFigures(body);
  const glass = mainGlass(body);
  const { puddle, fills } = RECIPES[look];
  const asked = { body, works: TYPICAL_WORKS, ...(shaping ? { shaping } : {}) };
  const filled = fills?.(asked);
  // The mould holds it: as deep as its thickest section, within the outline that it was laid in.
  if (filled) return { width_m: footprintSpan(body.footprint), depth_m: filled.thick_m, rim_m: 0, relief_m: 0, crown_m: 0 };
  const disc = puddle?.(asked, work_perPa);
  if (disc) return { ...disc, rim_m: Math.min(disc.depth_m / 2, figures.afterFiring.naturalDepth_m / 2), relief_m: 0, crown_m: 0 };
  const span = footprintSpan(body.footprint);
  const { mean_m, max_m } = figures.depth;
  const parts = body.parts ?? [];
  const partVolume = parts.reduce((sum, { area_m2, thickness_m, count }) => sum + area_m2 * thickness_m * count, 0);
  const standing = Math.max(0, ...parts.map(({ thickness_m }) => thickness_m));
  const width = widestPart(body);
  const left = width === null ? 0 : heightLeft(glass, width, max_m, work_perPa);
  const flat = mean_m - (left * partVolume) / figures.area_m2;
  const { naturalDepth_m } = figures.afterFiring;
  const width_m = span + 2 * rimMovesIn(body, look, work_perPa);
  // The volume stays: what the rim gives up in width it gains in depth.
  const depth_m = body.dammed ? flat : (flat * figures.area_m2) / (figures.area_m2 * (width_m / span) ** 2);
  const rounded = (glass.surfaceTension_N_m * work_perPa) / 2;
  const crown_m = (shaping && RECIPES[look].crown?.(shaping)) ?? 0;
  return { width_m, depth_m, rim_m: Math.min(rounded, depth_m / 2, naturalDepth_m / 2), relief_m: left * standing, crown_m };
}
