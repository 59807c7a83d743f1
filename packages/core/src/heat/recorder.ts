/** Gathers what the limits ask for from the node temperatures after every step of a simulation. */
import { restrainedStress, shearModulus } from '../glass/constants';
import { type Vft, fluidity, temperatureAt, viscosityOf } from '../glass/viscosity';
import { coatingRange, hazeBell, hazeWeight } from '../flow/harm';
import { openRim } from '../flow/squeeze';
import { levellingRate } from '../flow/relief';
import { type SegmentFigures, type Series, copyOf, emptyFigures, emptySeries } from './figures';
import type { Drive } from './drive';
import { type HeatSolver, TOLD } from './solver';
import { HELD_SHARE, thermalTensionNow, tensionWeights } from './thermalTension';
import { type Regimes, hottestSegment, regimesOf, annealSoakSegment } from './regimes';
import type { SimulationInput } from './simulation';
import type { Mesh } from './stack';
import { type StressRecorderState, stressRecorder } from './stressRecorder';

/** Default of evenWithin_K. */
const EVEN_WITHIN_K = 1;
/** A hold's last creep may be rounding of either sign, K/s. */
const STILL_K_PER_S = -1e-6;
/** log10 η above which a day's work is under 1e-12 1/Pa. */
const STIFF_LOG_ETA = 17;
const SAMPLES_PER_RAMP = 24;
const SAMPLES_PER_HOLD = 12;

/** All that a recorder remembers between two segments. */
export interface RecorderState {
  figures: SegmentFigures[];
  series: Series;
  running: Running;
  stress: StressRecorderState | null;
}

/** What is carried from step to step. */
interface Running {
  mean: number;
  /** Of the mean, K/s. */
  rate: number;
  /** Difference across the piece, and from the top to the underside of a cylinder or a sphere, K. */
  across: number;
  sides: number;
  fluidityBelow: number;
  fluidityMean: number;
  fluidityAbove: number;
  haze: number;
  /** How far the rim is open. */
  open: number;
  workSoFar: number;
  coldest: number;
  through: number;
  /** The same as it set, and how it was pulled then. */
  setThrough: number;
  setPull: number;
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
export function settingFrom({ segments, curve, start_C, evenWithin_K = EVEN_WITHIN_K }: SimulationInput, vft: Vft, regimes: Regimes): SettingFrom {
  if (curve) return { segment: 0, at_C: regimes.setsFrom_C };
  const soak = annealSoakSegment(vft, segments, start_C);
  return soak >= 0
    ? { segment: soak + 1, at_C: segments[soak].target_C + evenWithin_K }
    : { segment: hottestSegment(segments, start_C) + 1, at_C: regimes.setsFrom_C };
}

/** Mean over a step of what grows by shares, to the fourth order: the mean of both ends less a twelfth of the square of what it grows by. */
function growingMean(before: number, after: number): number {
  const sum = before + after;
  if (sum === 0) return 0;
  const grows = (after - before) / sum;
  return (sum / 2) * (1 - (grows * grows) / 3);
}

/** Before the first step: as warm all through. Written out: an object put together of others keeps its figures boxed one by one, and each step sets them all. */
const evenAt = (mean: number, haze: number): Running => ({
  mean,
  rate: 0,
  across: 0,
  sides: 0,
  fluidityBelow: 0,
  fluidityMean: 0,
  fluidityAbove: 0,
  haze,
  open: openRim(0),
  workSoFar: 0,
  coldest: mean,
  through: 0,
  setThrough: 0,
  setPull: 0,
  spread: 0,
  spreadBefore: 0,
  sampled_C: NaN,
  sampled_s: 0,
});

/** Follows one simulation; the body's temperatures are read after every step. */
export function recorder(input: SimulationInput, mesh: Mesh, body: HeatSolver, drive: Drive, columns: { apart_K: number } | null) {
  const { glass, acrossLag_s: across_s = 0, sidesLag_s: sides_s = 0, evenWithin_K = EVEN_WITHIN_K, heldShare = HELD_SHARE, spreadShare = 1, rim } = input;
  const { temperature } = body;
  const vft = viscosityOf(glass);
  const regimes = regimesOf(glass, vft);
  const shear_Pa = shearModulus(glass);
  const restrained_PaK = restrainedStress(glass, 1);
  const sets = settingFrom(input, vft, regimes);
  const halfSet_C = (sets.at_C + regimes.setsTo_C) / 2;
  const stiff_C = temperatureAt(vft, STIFF_LOG_ETA);
  const bell = hazeBell(glass);
  const lifts = coatingRange(glass);
  const { glassFrom, glassTo, glassShare } = mesh;
  const depth_m = mesh.height_m[glassTo] - mesh.height_m[glassFrom];
  const levelling_Pa = input.relief ? levellingRate(glass, input.relief.width_m, input.relief.depth_m ?? depth_m) : null;

  let figures: SegmentFigures[] = [];
  let series = emptySeries();
  let now = emptyFigures();
  let index = 0;
  let sampleEvery_K = 1;
  let sampleEvery_s = Infinity;
  const running = evenAt(temperature[glassFrom], hazeWeight(bell, temperature[glassFrom]));

  const stress = input.stress ? stressRecorder(input, mesh, temperature, drive, running) : null;
  const flat = (input.shape ?? 'plate') === 'plate';
  const { arm, armShare } = tensionWeights(mesh, temperature, glassFrom, glassTo);
  const gauge = body.gauge({ from: glassFrom, share: glassShare, arm, armShare });
  const { told } = gauge;
  const highest_m = arm[arm.length - 1];
  const sheets = input.looseSheets && flat ? mesh.sheets.map(([first, last]) => tensionWeights(mesh, temperature, first, last)) : null;

  /** Greatest in the segment, K: free to bow, straight, across, from column to column. They fall at different times; adding them is the safe side. */
  const pulled = new Float64Array(4);

  /** Holds the pull of the whole body, or of each sheet for itself, against the greatest so far. */
  function pulls(bySheet: boolean): void {
    let pull_K = 0;
    let straight_K = 0;
    if (!flat) {
      // A long cylinder with free ends, and the skin of a sphere, bear the mean less what is coldest; a sphere's inside bears less.
      pull_K = running.mean - running.coldest;
      straight_K = running.sides / 2;
    } else if (bySheet && sheets) {
      for (let i = 0; i < sheets.length; i += 1) {
        thermalTensionNow(sheets[i]);
        if (sheets[i].greatest_K > pull_K) pull_K = sheets[i].greatest_K;
        if (sheets[i].straight_K > straight_K) straight_K = sheets[i].straight_K;
      }
    } else {
      gauge.findPull();
      pull_K = told[TOLD.pull];
      straight_K = Math.abs(told[TOLD.slope]) * highest_m;
      // It set with the differences of that time in it: only what comes after pulls, on its faces and on its rim.
      if (rim && running.rate < 0) {
        pull_K = Math.max(pull_K - running.setPull, rim.coldShare * running.through - rim.setShare * running.setThrough, 0);
      }
    }
    if (pull_K > pulled[0]) pulled[0] = pull_K;
    if (straight_K > pulled[1]) pulled[1] = straight_K;
    if (running.across > pulled[2]) pulled[2] = running.across;
    // Loose parts do not hold one another.
    if (columns !== null && !(bySheet && sheets) && columns.apart_K > pulled[3]) pulled[3] = columns.apart_K;
    now.tension_max_Pa = restrained_PaK * (pulled[0] + heldShare * pulled[1] + pulled[2] + pulled[3]);
  }

  function sample(): void {
    if (!input.series) return;
    const { t_s, to_C: kiln_C } = drive;
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

  /** Share of the step that came after the body had become even: differences fade by shares. */
  const evenShare = (): number =>
    running.spreadBefore > evenWithin_K
      ? 1 - Math.log(running.spreadBefore / evenWithin_K) / Math.log(running.spreadBefore / Math.max(running.spread, 1e-9))
      : 1;

  /** Heat work at the mean and both faces, and what follows from it. */
  function flow(): void {
    const { dt_s } = drive;
    const { mean, rate } = running;
    const flows = temperature[glassFrom] > stiff_C || temperature[glassTo] > stiff_C;
    // Stiff glass does no work worth counting, and neither hazes nor lets go of a coating: most steps of a firing need none of this.
    if (!flows && running.fluidityMean === 0) {
      if (running.spread > evenWithin_K) now.relaxations = 0;
      return;
    }
    const below = flows ? fluidity(vft, temperature[glassFrom]) : 0;
    const middle = flows ? fluidity(vft, mean) : 0;
    const above = flows ? fluidity(vft, temperature[glassTo]) : 0;
    const work = growingMean(running.fluidityMean, middle) * dt_s;
    now.heatWorkUnder_perPa += growingMean(running.fluidityBelow, below) * dt_s;
    now.heatWorkTop_perPa += growingMean(running.fluidityAbove, above) * dt_s;
    now.heatWork_perPa += work;
    running.workSoFar += work;
    const open = openRim(middle);
    if (rate > STILL_K_PER_S) now.squeezeWork_perPa += (work * (running.open + open)) / 2;
    running.open = open;
    now.relaxations = running.spread > evenWithin_K ? 0 : now.relaxations + work * shear_Pa * evenShare();
    running.fluidityBelow = below;
    running.fluidityMean = middle;
    running.fluidityAbove = above;
    const haze = hazeWeight(bell, temperature[glassTo]);
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
      // What was handed on counts too: the first step may be long enough to see it gone.
      now.deltaT_max_K = running.through;
      pulled.fill(0);
      stress?.begin(segment);
      sampleEvery_K = Math.max(ramp_K / SAMPLES_PER_RAMP, 0.5);
      sampleEvery_s = Math.max(hold_s / SAMPLES_PER_HOLD, 30);
    },
    fellBehind(mean_C_per_h: number): void {
      now.kilnBest_C_per_h = mean_C_per_h;
    },
    residual: () => stress?.residual() ?? {},
    release: () => stress?.release(),
    step(): void {
      const before = running.mean;
      const mean = told[TOLD.mean];
      const low = told[TOLD.low];
      running.mean = mean;
      const rate = (mean - before) / drive.dt_s;
      running.rate = rate;
      const through = spreadShare * (told[TOLD.high] - low);
      const across = across_s * Math.abs(rate);
      const sides = sides_s * Math.abs(rate);
      const spread = through + across + sides;
      running.coldest = low;
      running.through = through;
      running.spreadBefore = running.spread;
      running.spread = spread;
      running.across = across;
      running.sides = sides;
      if (through > now.deltaT_max_K) now.deltaT_max_K = through;

      if (rate > 0) {
        if (low < regimes.brittle_C) pulls(true);
        else if (spread > now.spread_climbing_K) now.spread_climbing_K = spread;
      } else if (index >= sets.segment && mean < sets.at_C) {
        if (rim && before > halfSet_C && mean <= halfSet_C) {
          gauge.findPull();
          running.setThrough = through;
          running.setPull = told[TOLD.pull];
        }
        if (mean <= regimes.setsTo_C) pulls(false);
        else if (spread > now.spread_setting_K) now.spread_setting_K = spread;
        if (before > regimes.setsTo_C && mean <= regimes.setsTo_C) {
          const past = (before - regimes.setsTo_C) / (before - mean);
          now.spread_setting_K = Math.max(now.spread_setting_K, running.spreadBefore + past * (spread - running.spreadBefore));
        }
      }
      flow();
      stress?.step(rate < 0 && index >= sets.segment && mean < sets.at_C && mean > regimes.setsTo_C);
      if (Math.abs(drive.to_C - running.sampled_C) >= sampleEvery_K || drive.t_s - running.sampled_s >= sampleEvery_s) sample();
    },
    rampDone(): void {
      if (input.series && running.sampled_s !== drive.t_s) sample();
      series.joints.push({ rampEnd: series.t_s.length - 1, holdEnd: series.t_s.length - 1 });
    },
    end(): void {
      if (input.series && running.sampled_s !== drive.t_s) sample();
      series.joints[series.joints.length - 1].holdEnd = series.t_s.length - 1;
      now.end_s = drive.t_s;
      now.deltaT_end_K = running.through;
      now.spread_end_K = running.spread;
      now.glassEnd_C = running.mean;
      now.glassColdestEnd_C = running.coldest;
      if (levelling_Pa !== null) now.reliefLeft = Math.exp(-levelling_Pa * running.workSoFar);
      stress?.end(now);
      figures.push(now);
    },
    save: (): RecorderState => ({ figures: figures.slice(), series: copyOf(series), running: { ...running }, stress: stress?.save() ?? null }),
    restore(state: RecorderState): void {
      figures = state.figures.slice();
      series = copyOf(state.series);
      Object.assign(running, state.running);
      if (state.stress) stress?.restore(state.stress);
    },
  };
}
