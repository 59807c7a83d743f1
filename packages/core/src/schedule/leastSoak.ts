/**
 * How long practice soaks, whatever a computation says of an even body in an even kiln: an hour at 12 mm, two to three at 19, two to
 * four at 25, six to ten at 50, some fourteen to twenty-four at 100. A soak that is low must relax as well as even out, and is a little longer.
 */
import type { OpenFaces } from '../heat/quasiSteady';
import type { Shape } from '../heat/stack';
import { RECIPES } from '../look/recipes/all';
import type { Limits } from './limits';
import type { ResolvedFiring } from './resolvedFiring';

const REFERENCE_M = 0.012;
/** Over the square at which it evens out: what thick work is set up in evens out with it, and nobody waits twice as long for that. */
const POWER = 1.25;
const LOW_LONGER = 1.15;

/** A slab with one open face that evens out as fast, over its own depth: from the lags of each, R·L²/2κ, /8κ, Rd²/16κ, /24κ. */
const asSlab = (shape: Shape, faces: OpenFaces): number => (shape === 'plate' ? 1 / faces : shape === 'cylinder' ? Math.sqrt(8 / 16) : Math.sqrt(8 / 24));

/** The least hold of a soak, s. */
export function leastSoak(
  { leastSoak_s, soakOf12mm_s = 0 }: Pick<Limits, 'leastSoak_s' | 'soakOf12mm_s'>,
  { depth_m, shape, faces, low }: { depth_m: number; shape: Shape; faces: OpenFaces; low: boolean },
): number {
  const own_s = soakOf12mm_s * ((asSlab(shape, faces) * depth_m) / REFERENCE_M) ** POWER;
  return Math.max(leastSoak_s, own_s * (low ? LOW_LONGER : 1));
}

/** Whether this firing soaks low: by choice, because the body is thick, or because it never gets hotter than others soak. */
export const soaksLower = ({ school, depth_m, limits, look }: ResolvedFiring): boolean =>
  RECIPES[look].stays || school.soak === 'lower' || (school.soak === 'auto' && depth_m.fired > limits.thick_m);
