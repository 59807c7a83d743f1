/** What a simulation is asked and what it answers. All temperatures in °C, lengths in m, times in s. */
import type { GlassConstants } from '../glass/constants';
import type { KilnConstants } from '../kiln/kiln';
import type { Segment } from '../kiln/segment';
import type { UnlikeColumns } from './columns';
import type { Face } from './exchange';
import type { SegmentFigures, Series } from './figures';
import type { Shape, StackLayer } from './stack';

/** What the kiln really did: readings in rising time, °C, linear between them. */
export interface MeasuredCurve {
  t_s: readonly number[];
  kiln_C: readonly number[];
  /** Times at which one stretch ends and the next begins; figures are told for each. One stretch where left out. */
  joints_s?: readonly number[];
}

export interface SimulationInput {
  glass: GlassConstants;
  /** Index 0 at the bottom; its glass layers adjacent. */
  stack: readonly StackLayer[];
  faces: { top: Face; bottom: Face };
  /** A cylinder or a sphere is a stack of shells from the middle outwards; its bottom face is its middle, insulated. */
  shape?: Shape;
  /** Empty where a measured curve stands in for them. */
  segments: readonly Segment[];
  curve?: MeasuredCurve;
  start_C?: number;
  kiln?: KilnConstants;
  /** Top to underside of a cylinder or a sphere that is warmed unequally, per K/s of glass rate, s; 0 where left out. */
  sidesLag_s?: number;
  /** What an uneven body differs by, over what the plate does that stands for it; 1 where left out. */
  spreadShare?: number;
  /** By how much the rim of such a body lies under its plane while it cools, over what it differs by, in K of a body held fast: as it sets, and cold. */
  rim?: { setShare: number; coldShare: number };
  /** How deep the body is that radiation crosses, where the glass of the stack stands for one of another depth, m. */
  clearDepth_m?: number;
  /** How far its place in the kiln runs behind the middle, s; 0 where left out. */
  placeLag_s?: number;
  /** Edge-to-edge difference per K/s of glass rate, s. */
  acrossLag_s?: number;
  /** Share of the straight part of the profile that contact and shade hold; HELD_SHARE where left out. */
  heldShare?: number;
  /** Sheets not yet joined: each bears only its own difference while it is brittle. */
  looseSheets?: boolean;
  /** Air between loose sheets until they sag together, m; 0 where they touch, TYPICAL_GAP_M where left out. */
  gap_m?: number;
  /** Where a joined plate is thickest and thinnest: what one runs ahead of the other pulls too. */
  columns?: UnlikeColumns;
  /** Through plus across under which the body counts as even, K. */
  evenWithin_K?: number;
  /** Width of the parts whose relief is followed, m, and the depth of the body with them on it; that of the glass in the stack where left out. */
  relief?: { width_m: number; depth_m?: number };
  /**
   * Asks for stress by the full model, free to bow, held flat, or both; a cylinder or a sphere is free. From the start, or only once the hottest
   * segment is over: glass that was fluid then remembers nothing from before.
   */
  stress?: { support: 'free' | 'flat' | 'both'; from?: 'start' | 'hottest' };
  /** Asks for the temperature curves. */
  series?: boolean;
  /** Error-controlled steps unless the fixed ones of the reference are asked for. */
  steps?: 'controlled' | 'fixed';
  /** Finer or coarser than the default, for checks of convergence. */
  resolution?: { glassIntervals?: number; stepShare?: number };
}

export interface SimulationResult {
  segments: SegmentFigures[];
  total_s: number;
  steps: number;
  /** Greatest error that a step made by its own estimate, K. */
  stepError_K: number;
  /** Heat stored against heat that crossed the faces, J/m². */
  energy: { stored_J_m2: number; crossed_J_m2: number };
  /** Set where the kiln could get no further, or after 90 days; later segments are not simulated. */
  stalled: { segment: number; at_C: number } | null;
  /**
   * Stress through the depth once the whole body is at room temperature, tension positive; z from its underside. Of a cylinder along
   * it, of a sphere round about, z from its middle.
   */
  residual?: { z_m: number; stress_Pa: number }[];
  /** The same had it been held flat: the upper bound. */
  residualFlat?: { z_m: number; stress_Pa: number }[];
  /** What it has bowed by, 1/m; positive where the top has grown longer. */
  bow_perM?: number;
  /** Quick estimates beside the residual stress, each named by its formula. */
  estimates?: { formula: string; stress_Pa: number }[];
  series?: Series;
}
