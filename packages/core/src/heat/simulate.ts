/**
 * A whole firing of a layered stack: heat conduction stepped along the kiln's curve, with everything that the
 * limits ask for gathered on the way. All temperatures in °C, lengths in m, times in s.
 *
 * What it cannot show: it is one-dimensional, so unevenness across the piece enters as acrossLag_s times the
 * glass's rate; conductivity and heat capacity are constant; loose sheets are taken to touch.
 */
import type { GlassConstants } from '../glass/constants';
import type { KilnConstants } from '../kiln/kiln';
import { perSecond } from '../units/convert';
import type { Segment } from '../schedule/segment';
import type { Support } from '../stress/plate';
import type { RelaxationConstants } from '../stress/relaxation';
import { conductor } from './conduct';
import type { Face } from './exchange';
import { LARGEST_STEP_K, LARGEST_STEP_S, STALLED_K_PER_S, kilnRate } from './kilnPath';
import { type Shape, type StackLayer, meshOf } from './stack';
import { watcher } from './watch';

export interface SimulationInput {
  glass: GlassConstants;
  /** Index 0 at the bottom; its glass layers adjacent. */
  stack: readonly StackLayer[];
  faces: { top: Face; bottom: Face };
  /** A cylinder or a sphere is a stack of shells from the middle outwards; its bottom face is its middle, insulated. */
  shape?: Shape;
  segments: readonly Segment[];
  start_C?: number;
  kiln?: KilnConstants;
  /** Edge-to-edge difference per K/s of glass rate, s. */
  acrossLag_s?: number;
  /** Sheets not yet joined: each bears only its own difference while it is brittle. */
  looseSheets?: boolean;
  /** Through plus across under which the body counts as even, K. */
  evenWithin_K?: number;
  /** Asks for the residual stress, free to bow or held flat; costs about as much again as the heat. */
  stress?: { support: Support; relaxation?: RelaxationConstants };
  /** Asks for the temperature curves. */
  series?: boolean;
  /** Finer or coarser than the default, for checks of convergence. */
  resolution?: { glassIntervals?: number; stepShare?: number };
}

/** Figures of one segment; each greatest is over this segment alone. */
export interface SegmentFigures {
  end_s: number;
  /** Core to skin through the depth, K. */
  deltaT_max: number;
  deltaT_end: number;
  /** Through plus across, K, at the segment's end. */
  spread_end: number;
  /**
   * Greatest tension while brittle, Pa: the elastic tension of the profile, free to bow, plus the across difference
   * by EαΔT/(1−ν). Heating: per sheet where sheets are loose. Cooling: below the range where differences set.
   */
  tension_max_Pa: number;
  /** Greatest through plus across, K, while heating past brittle. */
  spread_climbing: number;
  /** The same while cooling through the range where a difference sets for good. */
  spread_setting: number;
  /** Heat work at the glass's mean temperature, at its underside and at its top face, 1/Pa. */
  heatWork: number;
  heatWorkUnder: number;
  heatWorkTop: number;
  /** Work done between 10^8.5 and 10^6.6 Pa·s while heating, 1/Pa. */
  squeezeWork: number;
  /** Stress relaxation times G·∫dt/η passed since the body last became even to within evenWithin_K. */
  relaxations: number;
  /** The slowest the kiln could go at its best where it fell behind, °C/h; null if it never did. */
  kilnBest_C_per_h: number | null;
  /** Glass at the segment's end: mean and coldest depth. */
  glassEnd_C: number;
  glassColdestEnd_C: number;
}

export interface Series {
  /** Seconds from the start. */
  t_s: number[];
  kiln_C: number[];
  skin_C: number[];
  core_C: number[];
  /** Index into the arrays above at which each segment's ramp ends and its hold ends. */
  joints: { rampEnd: number; holdEnd: number }[];
}

export interface SimulationResult {
  segments: SegmentFigures[];
  total_s: number;
  steps: number;
  /** Heat stored against heat that crossed the faces, J/m². */
  energy: { stored_J_m2: number; crossed_J_m2: number };
  /** Set where the kiln could get no further, or after 90 days; later segments are not simulated. */
  stalled: { segment: number; at_C: number } | null;
  /** Stress through the depth once the whole body is at room temperature, tension positive; z from its underside. */
  residual?: { z_m: number; stress_Pa: number }[];
  /** What it has bowed by, 1/m; positive where the top has grown longer. */
  bow_perM?: number;
  series?: Series;
}

const DEFAULT_START_C = 20;
const LONGEST_FIRING_S = 90 * 24 * 3600;

export function simulateFiring(input: SimulationInput): SimulationResult {
  const { glass, kiln, segments } = input;
  const start_C = input.start_C ?? kiln?.ambient_C ?? DEFAULT_START_C;
  const mesh = meshOf(input.stack, glass, input.resolution?.glassIntervals, input.shape);
  const body = conductor(mesh, input.faces, start_C);
  const watch = watcher(input, mesh, body.temperature);
  const stepShare = input.resolution?.stepShare ?? 1;
  const largestStep_s = LARGEST_STEP_S * stepShare;
  const largestStep_K = LARGEST_STEP_K * stepShare;

  let kiln_C = start_C;
  let t_s = 0;
  let steps = 0;
  let stalled: SimulationResult['stalled'] = null;
  watch.sample(0, kiln_C);

  const advance = (dt_s: number, next_C: number): void => {
    body.step(dt_s, kiln_C, next_C);
    kiln_C = next_C;
    t_s += dt_s;
    steps += 1;
    watch.step(dt_s, t_s, kiln_C);
  };

  for (let index = 0; index < segments.length && !stalled; index += 1) {
    const { rate_C_per_h, target_C, hold_s } = segments[index];
    const asked = rate_C_per_h === null ? Infinity : perSecond(rate_C_per_h);
    const direction = Math.sign(target_C - kiln_C);
    watch.begin(index, Math.abs(target_C - kiln_C), hold_s);
    while (kiln_C !== target_C) {
      const here = kilnRate(kiln, kiln_C, target_C, asked);
      const ahead = kiln_C + (direction * Math.min(largestStep_K, here * largestStep_s)) / 2;
      const rate = kilnRate(kiln, ahead, target_C, asked);
      const left = Math.abs(target_C - kiln_C);
      if (!(rate > STALLED_K_PER_S) || t_s > LONGEST_FIRING_S) {
        stalled = { segment: index, at_C: kiln_C };
        break;
      }
      if (rate < asked * 0.999 && rate_C_per_h !== null) watch.fellBehind(rate);
      const dt_s = Math.min(largestStep_s, largestStep_K / rate, left / rate);
      advance(dt_s, dt_s * rate >= left * (1 - 1e-9) ? target_C : kiln_C + direction * rate * dt_s);
    }
    watch.rampDone(t_s, kiln_C);
    const holdSteps = stalled ? 0 : Math.ceil(hold_s / largestStep_s);
    for (let i = 0; i < holdSteps && t_s <= LONGEST_FIRING_S; i += 1) advance(hold_s / holdSteps, kiln_C);
    if (t_s > LONGEST_FIRING_S) stalled ??= { segment: index, at_C: kiln_C };
    watch.end(t_s, kiln_C);
  }

  let stored = 0;
  for (let i = 0; i < mesh.capacity.length; i += 1) stored += mesh.capacity[i] * (body.temperature[i] - start_C);
  return {
    segments: watch.figures,
    total_s: t_s,
    steps,
    energy: { stored_J_m2: stored, crossed_J_m2: body.crossed_J_m2 },
    stalled,
    ...(input.series ? { series: watch.series } : {}),
    ...watch.residual(),
  };
}
