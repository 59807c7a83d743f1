/**
 * A whole firing of a layered stack: heat conduction stepped along the kiln's curve, with everything that the
 * limits ask for gathered on the way. All temperatures in °C, lengths in m, times in s.
 *
 * What it cannot show: it is one-dimensional, so unevenness across the piece enters as acrossLag_s times the
 * glass's rate; conductivity and heat capacity are constant; loose sheets are taken to touch.
 */
import { type GlassConstants, restrainedStress, shearModulus } from '../glass/constants';
import { type Vft, fluidity, temperatureAt, viscosityOf } from '../glass/viscosity';
import type { KilnConstants } from '../kiln/kiln';
import { perSecond } from '../units/convert';
import type { Segment } from '../schedule/segment';
import { type Support, plateStress } from '../stress/plate';
import { type RelaxationConstants, typicalRelaxation } from '../stress/relaxation';
import { conductor } from './conduct';
import type { Face } from './exchange';
import { LARGEST_STEP_K, LARGEST_STEP_S, STALLED_K_PER_S, kilnRate } from './kilnPath';
import { pullGauge } from './pull';
import { type Mesh, type Shape, type StackLayer, meshOf } from './stack';

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

/** The glass's temperature ranges that decide which limit applies, °C. */
export interface Regimes {
  /** Below this a difference pulls; above, it relaxes within seconds (10^11 Pa·s). */
  brittle_C: number;
  squeezeFrom_C: number;
  squeezeTo_C: number;
  /** Where cooling begins to leave stress (10^12). */
  setsFrom_C: number;
  /** Below this less than about a fiftieth of a difference can still set. */
  setsTo_C: number;
}

/**
 * Frozen-in glass relaxes ever slower by about 0.03 decades a degree (Narayanaswamy's non-linearity 0.5 and
 * activation 76,000 K), so 60 °C under the strain point its relaxation time is some fifty times the time that a
 * usual cool spends there.
 */
const SETTING_ENDS_BELOW_STRAIN_K = 60;
/** Default of evenWithin_K. */
const EVEN_WITHIN_K = 1;
/** A hold's last creep may be rounding of either sign, K/s. */
const STILL_K_PER_S = -1e-6;
const DEFAULT_START_C = 20;
/** Residual stress is told for a body all at this temperature. */
const ROOM_C = 20;
const SAMPLES_PER_RAMP = 24;
const SAMPLES_PER_HOLD = 12;
const LONGEST_FIRING_S = 90 * 24 * 3600;

export function regimesOf(vft: Vft): Regimes {
  return {
    brittle_C: temperatureAt(vft, 11),
    squeezeFrom_C: temperatureAt(vft, 8.5),
    squeezeTo_C: temperatureAt(vft, 6.6),
    setsFrom_C: temperatureAt(vft, 12),
    setsTo_C: temperatureAt(vft, 13.5) - SETTING_ENDS_BELOW_STRAIN_K,
  };
}

/** The last hold in the annealing range after the hottest segment, or -1. */
export function soakSegment(vft: Vft, segments: readonly Segment[]): number {
  const from = temperatureAt(vft, 14.5);
  const to = temperatureAt(vft, 11);
  const hottest = hottestSegment(segments);
  for (let i = segments.length - 1; i > hottest; i -= 1) {
    const { target_C, hold_s } = segments[i];
    if (hold_s > 0 && target_C >= from && target_C <= to) return i;
  }
  return -1;
}

export const hottestSegment = (segments: readonly Segment[]): number =>
  segments.reduce((best, segment, i) => (segment.target_C > segments[best].target_C ? i : best), 0);

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

/** Gathers the figures of each segment from the node temperatures after every step. */
function watcher(input: SimulationInput, mesh: Mesh, temperature: Float64Array) {
  const { glass, segments } = input;
  const vft = viscosityOf(glass);
  const regimes = regimesOf(vft);
  const shear_Pa = shearModulus(glass);
  const across_s = input.acrossLag_s ?? 0;
  const evenWithin_K = input.evenWithin_K ?? EVEN_WITHIN_K;
  const soak = soakSegment(vft, segments);
  const setsFromSegment = soak >= 0 ? soak + 1 : hottestSegment(segments) + 1;
  const setsFrom_C = soak >= 0 ? segments[soak].target_C + evenWithin_K : regimes.setsFrom_C;
  const { glassFrom, glassTo, glassJoints, glassShare: share } = mesh;

  const depth = mesh.height_m.subarray(glassFrom, glassTo + 1);
  const plate = input.stress
    ? plateStress(glass, input.stress.relaxation ?? typicalRelaxation(glass), depth, temperature.subarray(glassFrom, glassTo + 1), input.stress.support)
    : null;

  const figures: SegmentFigures[] = [];
  const series: Series = { t_s: [], kiln_C: [], skin_C: [], core_C: [], joints: [] };
  let now = emptyFigures();
  let index = 0;
  let mean = temperature[glassFrom];
  let coldest = mean;
  let through = 0;
  let spread = 0;
  let fluidityBelow = 0;
  let fluidityMean = 0;
  let fluidityAbove = 0;
  let sampleEvery_K = 1;
  let sampleEvery_s = Infinity;
  let sampled_C = NaN;
  let sampled_s = 0;

  const plateGauges = (joints: readonly number[]) => joints.slice(1).map((joint, i) => pullGauge(mesh, temperature, joints[i], joint));
  const flat = (input.shape ?? 'plate') === 'plate';
  // A long cylinder with free ends, and the skin of a sphere, bear the mean less what is coldest; a sphere's inside bears less.
  const bodyGauge = flat ? plateGauges([glassFrom, glassTo]) : [() => mean - coldest];
  const sheetGauges = flat ? plateGauges(glassJoints) : bodyGauge;

  function pulls(gauges: (() => number)[], across_K: number): void {
    let pull_K = 0;
    for (const gauge of gauges) pull_K = Math.max(pull_K, gauge());
    const tension = restrainedStress(glass, pull_K + across_K);
    if (tension > now.tension_max_Pa) now.tension_max_Pa = tension;
  }

  function sample(t_s: number, kiln_C: number): void {
    if (!input.series) return;
    const skin = temperature[glassTo];
    let far = skin;
    for (let i = glassFrom; i < glassTo; i += 1) if (Math.abs(temperature[i] - skin) > Math.abs(far - skin)) far = temperature[i];
    series.t_s.push(t_s);
    series.kiln_C.push(kiln_C);
    series.skin_C.push(skin);
    series.core_C.push(far);
    sampled_C = kiln_C;
    sampled_s = t_s;
  }

  return {
    figures,
    series,
    sample,
    begin(segment: number, ramp_K: number, hold_s: number): void {
      index = segment;
      now = emptyFigures();
      sampleEvery_K = Math.max(ramp_K / SAMPLES_PER_RAMP, 0.5);
      sampleEvery_s = Math.max(hold_s / SAMPLES_PER_HOLD, 30);
    },
    fellBehind(rate_K_per_s: number): void {
      const perHour = rate_K_per_s * 3600;
      if (now.kilnBest_C_per_h === null || perHour < now.kilnBest_C_per_h) now.kilnBest_C_per_h = perHour;
    },
    residual(): Pick<SimulationResult, 'residual' | 'bow_perM'> {
      if (!plate) return {};
      const { stress_Pa, curvature_perM } = plate.residual(ROOM_C);
      return { residual: Array.from(stress_Pa, (stress, i) => ({ z_m: depth[i] - depth[0], stress_Pa: stress })), bow_perM: curvature_perM };
    },
    step(dt_s: number, t_s: number, kiln_C: number): void {
      plate?.step(dt_s);
      let low = temperature[glassFrom];
      let high = low;
      const before = mean;
      mean = share[0] * low;
      for (let i = glassFrom + 1; i <= glassTo; i += 1) {
        const here = temperature[i];
        if (here < low) low = here;
        else if (here > high) high = here;
        mean += share[i - glassFrom] * here;
      }
      const rate = (mean - before) / dt_s;
      coldest = low;
      through = high - low;
      const across = across_s * Math.abs(rate);
      spread = through + across;
      if (through > now.deltaT_max) now.deltaT_max = through;

      if (rate > 0) {
        if (coldest < regimes.brittle_C) pulls(input.looseSheets ? sheetGauges : bodyGauge, across);
        else now.spread_climbing = Math.max(now.spread_climbing, spread);
      } else if (index >= setsFromSegment && mean < setsFrom_C) {
        if (mean > regimes.setsTo_C) now.spread_setting = Math.max(now.spread_setting, spread);
        else pulls(bodyGauge, across);
      }

      const below = fluidity(vft, temperature[glassFrom]);
      const middle = fluidity(vft, mean);
      const above = fluidity(vft, temperature[glassTo]);
      const work = ((fluidityMean + middle) / 2) * dt_s;
      now.heatWorkUnder += ((fluidityBelow + below) / 2) * dt_s;
      now.heatWorkTop += ((fluidityAbove + above) / 2) * dt_s;
      now.heatWork += work;
      if (rate > STILL_K_PER_S && mean >= regimes.squeezeFrom_C && mean <= regimes.squeezeTo_C) now.squeezeWork += work;
      now.relaxations = spread <= evenWithin_K ? now.relaxations + work * shear_Pa : 0;
      fluidityBelow = below;
      fluidityMean = middle;
      fluidityAbove = above;

      if (Math.abs(kiln_C - sampled_C) >= sampleEvery_K || t_s - sampled_s >= sampleEvery_s) sample(t_s, kiln_C);
    },
    rampDone(t_s: number, kiln_C: number): void {
      if (input.series && sampled_s !== t_s) sample(t_s, kiln_C);
      series.joints.push({ rampEnd: series.t_s.length - 1, holdEnd: series.t_s.length - 1 });
    },
    end(t_s: number, kiln_C: number): void {
      if (input.series && sampled_s !== t_s) sample(t_s, kiln_C);
      series.joints[series.joints.length - 1].holdEnd = series.t_s.length - 1;
      now.end_s = t_s;
      now.deltaT_end = through;
      now.spread_end = spread;
      now.glassEnd_C = mean;
      now.glassColdestEnd_C = coldest;
      figures.push(now);
    },
  };
}

const emptyFigures = (): SegmentFigures => ({
  end_s: 0,
  deltaT_max: 0,
  deltaT_end: 0,
  spread_end: 0,
  tension_max_Pa: 0,
  spread_climbing: 0,
  spread_setting: 0,
  heatWork: 0,
  heatWorkUnder: 0,
  heatWorkTop: 0,
  squeezeWork: 0,
  relaxations: 0,
  kilnBest_C_per_h: null,
  glassEnd_C: 0,
  glassColdestEnd_C: 0,
});
