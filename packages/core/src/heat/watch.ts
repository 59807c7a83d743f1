/** Gathers what the limits ask for from the node temperatures after every step of a simulation. */
import { restrainedStress, shearModulus } from '../glass/constants';
import { fluidity, viscosityOf } from '../glass/viscosity';
import { plateStress } from '../stress/plate';
import { typicalRelaxation } from '../stress/relaxation';
import { pullGauge } from './pull';
import { hottestSegment, regimesOf, soakSegment } from './regimes';
import type { SegmentFigures, Series, SimulationInput, SimulationResult } from './simulate';
import type { Mesh } from './stack';

/** Default of evenWithin_K. */
const EVEN_WITHIN_K = 1;
/** A hold's last creep may be rounding of either sign, K/s. */
const STILL_K_PER_S = -1e-6;
/** Residual stress is told for a body all at this temperature. */
const ROOM_C = 20;
const SAMPLES_PER_RAMP = 24;
const SAMPLES_PER_HOLD = 12;

/** Follows one simulation; temperature is the conductor's own array, read after every step. */
export function watcher(input: SimulationInput, mesh: Mesh, temperature: Float64Array) {
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
