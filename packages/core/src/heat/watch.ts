/** Gathers what the limits ask for from the node temperatures after every step of a simulation. */
import { restrainedStress, shearModulus } from '../glass/constants';
import { type Vft, fluidity, viscosityOf } from '../glass/viscosity';
import { coatingRange, hazeWeight } from '../flow/harm';
import { reliefRate } from '../flow/relief';
import { type SegmentFigures, type Series, copyOf, emptyFigures, emptySeries } from './figures';
import { greatestPull, pullNow, pullWeights } from './pull';
import { type Regimes, hottestSegment, regimesOf, soakSegment } from './regimes';
import type { SimulationInput } from './simulate';
import type { Mesh } from './stack';
import { type StressState, stressWatcher } from './watchStress';

/** Default of evenWithin_K. */
const EVEN_WITHIN_K = 1;
/** A hold's last creep may be rounding of either sign, K/s. */
const STILL_K_PER_S = -1e-6;
const SAMPLES_PER_RAMP = 24;
const SAMPLES_PER_HOLD = 12;

/** All that a watcher remembers between two segments. */
export interface WatchState {
  figures: SegmentFigures[];
  series: Series;
  running: Running;
  stress: StressState | null;
}

/** What is carried from step to step. */
interface Running {
  mean: number;
  fluidityBelow: number;
  fluidityMean: number;
  fluidityAbove: number;
  haze: number;
  workSoFar: number;
  coldest: number;
  through: number;
  /** Through plus across now, and a step ago, K. */
  spread: number;
  spreadBefore: number;
  sampled_C: number;
  sampled_s: number;
}

/** From which segment on, and under which temperature, a difference sets for good. */
export interface SettingFrom {
  segment: number;
  at_C: number;
}

/** The soak ends what went before: only what comes after it stays. Without one, from the annealing point down. */
export function settingFrom({ segments, curve, evenWithin_K = EVEN_WITHIN_K }: SimulationInput, vft: Vft, regimes: Regimes): SettingFrom {
  if (curve) return { segment: 0, at_C: regimes.setsFrom_C };
  const soak = soakSegment(vft, segments);
  return soak >= 0 ? { segment: soak + 1, at_C: segments[soak].target_C + evenWithin_K } : { segment: hottestSegment(segments) + 1, at_C: regimes.setsFrom_C };
}

/** Follows one simulation; temperature is the conductor's own array, read after every step. */
export function watcher(input: SimulationInput, mesh: Mesh, temperature: Float64Array) {
  const { glass } = input;
  const vft = viscosityOf(glass);
  const regimes = regimesOf(vft);
  const shear_Pa = shearModulus(glass);
  const restrained_PaK = restrainedStress(glass, 1);
  const across_s = input.acrossLag_s ?? 0;
  const evenWithin_K = input.evenWithin_K ?? EVEN_WITHIN_K;
  const sets = settingFrom(input, vft, regimes);
  const hazes = hazeWeight(glass);
  const lifts = coatingRange(glass);
  const { glassFrom, glassTo, glassJoints, glassShare: share } = mesh;
  const depth_m = mesh.height_m[glassTo] - mesh.height_m[glassFrom];
  const levelling_Pa = input.relief ? reliefRate(glass, input.relief.width_m, depth_m) : null;
  const stress = input.stress ? stressWatcher(input, mesh, temperature) : null;

  let figures: SegmentFigures[] = [];
  let series = emptySeries();
  let now = emptyFigures();
  let index = 0;
  let sampleEvery_K = 1;
  let sampleEvery_s = Infinity;
  const running: Running = {
    mean: temperature[glassFrom],
    fluidityBelow: 0,
    fluidityMean: 0,
    fluidityAbove: 0,
    haze: hazes(temperature[glassFrom]),
    workSoFar: 0,
    coldest: temperature[glassFrom],
    through: 0,
    spread: 0,
    spreadBefore: 0,
    sampled_C: NaN,
    sampled_s: 0,
  };

  const flat = (input.shape ?? 'plate') === 'plate';
  const whole = pullWeights(mesh, temperature, glassFrom, glassTo);
  const { temperature: glassT, armShare } = whole;
  const sheets = input.looseSheets && flat ? glassJoints.slice(1).map((joint, i) => pullWeights(mesh, temperature, glassJoints[i], joint)) : null;

  /** Holds the pull of the whole body, or of each sheet for itself, against the greatest so far. */
  function pulls(bySheet: boolean, slope: number, across_K: number): void {
    let pull_K = 0;
    if (!flat) {
      // A long cylinder with free ends, and the skin of a sphere, bear the mean less what is coldest; a sphere's inside bears less.
      pull_K = running.mean - running.coldest;
    } else if (bySheet && sheets) {
      for (let i = 0; i < sheets.length; i += 1) pull_K = Math.max(pull_K, pullNow(sheets[i]));
    } else {
      pull_K = greatestPull(whole, running.mean, slope);
    }
    const tension = restrained_PaK * (pull_K + across_K);
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
    running.sampled_C = kiln_C;
    running.sampled_s = t_s;
  }

  /** Share of the step that came after the body had become even. */
  const evenShare = (): number => (running.spreadBefore > evenWithin_K ? (evenWithin_K - running.spread) / (running.spreadBefore - running.spread) : 1);

  /** Heat work at the mean and both faces, and what follows from it. */
  function flow(dt_s: number, rate: number): void {
    const mean = running.mean;
    const below = fluidity(vft, temperature[glassFrom]);
    const middle = fluidity(vft, mean);
    const above = fluidity(vft, temperature[glassTo]);
    const work = ((running.fluidityMean + middle) / 2) * dt_s;
    now.heatWorkUnder += ((running.fluidityBelow + below) / 2) * dt_s;
    now.heatWorkTop += ((running.fluidityAbove + above) / 2) * dt_s;
    now.heatWork += work;
    running.workSoFar += work;
    if (rate > STILL_K_PER_S && mean >= regimes.squeezeFrom_C && mean <= regimes.squeezeTo_C) now.squeezeWork += work;
    now.relaxations = running.spread > evenWithin_K ? 0 : now.relaxations + work * shear_Pa * evenShare();
    running.fluidityBelow = below;
    running.fluidityMean = middle;
    running.fluidityAbove = above;
    const haze = hazes(temperature[glassTo]);
    now.haze_s += ((running.haze + haze) / 2) * dt_s;
    running.haze = haze;
    if (rate > STILL_K_PER_S && mean >= lifts.from_C && mean <= lifts.to_C) now.coating_s += dt_s;
  }

  return {
    figures: () => figures,
    series: () => series,
    sample,
    begin(segment: number, ramp_K: number, hold_s: number): void {
      index = segment;
      now = emptyFigures();
      stress?.begin(segment);
      sampleEvery_K = Math.max(ramp_K / SAMPLES_PER_RAMP, 0.5);
      sampleEvery_s = Math.max(hold_s / SAMPLES_PER_HOLD, 30);
    },
    fellBehind(rate_K_per_s: number): void {
      const perHour = rate_K_per_s * 3600;
      if (now.kilnBest_C_per_h === null || perHour < now.kilnBest_C_per_h) now.kilnBest_C_per_h = perHour;
    },
    residual: () => stress?.residual() ?? {},
    step(dt_s: number, t_s: number, kiln_C: number): void {
      const before = running.mean;
      let low = glassT[0];
      let high = low;
      let mean = 0;
      let slope = 0;
      for (let i = 0; i < glassT.length; i += 1) {
        const here = glassT[i];
        if (here < low) low = here;
        if (here > high) high = here;
        mean += share[i] * here;
        slope += armShare[i] * here;
      }
      running.mean = mean;
      const rate = (mean - before) / dt_s;
      const through = high - low;
      const across = across_s * Math.abs(rate);
      const spread = through + across;
      running.coldest = low;
      running.through = through;
      running.spreadBefore = running.spread;
      running.spread = spread;
      if (through > now.deltaT_max) now.deltaT_max = through;

      if (rate > 0) {
        if (low < regimes.brittle_C) pulls(true, slope, across);
        else if (spread > now.spread_climbing) now.spread_climbing = spread;
      } else if (index >= sets.segment && mean < sets.at_C) {
        if (mean <= regimes.setsTo_C) pulls(false, slope, across);
        else if (spread > now.spread_setting) now.spread_setting = spread;
        if (before > regimes.setsTo_C && mean <= regimes.setsTo_C) {
          const past = (before - regimes.setsTo_C) / (before - mean);
          now.spread_setting = Math.max(now.spread_setting, running.spreadBefore + past * (spread - running.spreadBefore));
        }
      }
      flow(dt_s, rate);
      stress?.step(dt_s, rate, through, rate < 0 && index >= sets.segment && mean < sets.at_C && mean > regimes.setsTo_C);
      if (Math.abs(kiln_C - running.sampled_C) >= sampleEvery_K || t_s - running.sampled_s >= sampleEvery_s) sample(t_s, kiln_C);
    },
    rampDone(t_s: number, kiln_C: number): void {
      if (input.series && running.sampled_s !== t_s) sample(t_s, kiln_C);
      series.joints.push({ rampEnd: series.t_s.length - 1, holdEnd: series.t_s.length - 1 });
    },
    end(t_s: number, kiln_C: number): void {
      if (input.series && running.sampled_s !== t_s) sample(t_s, kiln_C);
      series.joints[series.joints.length - 1].holdEnd = series.t_s.length - 1;
      now.end_s = t_s;
      now.deltaT_end = running.through;
      now.spread_end = running.spread;
      now.glassEnd_C = running.mean;
      now.glassColdestEnd_C = running.coldest;
      if (levelling_Pa !== null) now.reliefLeft = Math.exp(-levelling_Pa * running.workSoFar);
      stress?.end(now);
      figures.push(now);
    },
    save: (): WatchState => ({ figures: figures.slice(), series: copyOf(series), running: { ...running }, stress: stress?.save() ?? null }),
    restore(state: WatchState): void {
      figures = state.figures.slice();
      series = copyOf(state.series);
      Object.assign(running, state.running);
      if (state.stress) stress?.restore(state.stress);
    },
  };
}
