/**
 * Bodies that leave the shelf bare in places are fired as if they were deeper than their thickest point: thin and thick parts of one
 * piece differ along the piece, which a one-dimensional computation does not see. Practice doubles the depth for tack relief and
 * leaves an even or a levelled body as it is. What has glass all over goes by its field (schedule/unevenCooling).
 */
import { type BodyInput, bodyFigures } from '../body/body';
import { RECIPES } from './recipes/all';
import type { Look } from './names';

/** Relief of a third of the depth, such as one layer of parts on two sheets, counts in full. */
const FULL_RELIEF = 1 / 3;

/** How many times as deep as its thickest place a body is computed, by how much thinner its thinnest is; most: for full relief. */
const unevenBy = (most: number, thick_m: number, thin_m: number): number => 1 + (most - 1) * Math.min(1, (thick_m - thin_m) / thick_m / FULL_RELIEF);

export interface DesignDepth {
  /** What the body is computed as, m. */
  depth_m: number;
  /** Times its thickest point. */
  factor: number;
  /** Share of the thickest point by which the thinnest falls short. */
  relief: number;
}

export function designDepth(body: BodyInput, look: Look): DesignDepth {
  const { min_m, max_m } = bodyFigures(body).depth;
  const relief = (max_m - min_m) / max_m;
  const factor = unevenBy(RECIPES[look].uneven, max_m, min_m);
  return { depth_m: factor * max_m, factor, relief };
}
