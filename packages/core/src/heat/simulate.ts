/**
 * A whole firing of a layered stack: heat conduction stepped along the kiln's curve, with everything that the
 * limits ask for gathered on the way. All temperatures in °C, lengths in m, times in s.
 *
 * What it cannot show: it is one-dimensional, so unevenness across the piece enters as acrossLag_s times the
 * glass's rate; conductivity and heat capacity are constant.
 */
import { ROOM_C } from '../units/physical';
import type { MeasuredCurve, SimulationInput, SimulationResult } from './simulation';
import { diffusivity } from '../glass/constants';
import { perHour, perSecond } from '../units/convert';
import { wallAfter } from '../kiln/kiln';
import { heatSolver } from './heatSolver';
import type { HeatSolverState } from './solver';
import { driveFrom } from './drive';
import { shaded } from './exchange';
import { FIXED_STEPS, controlledSteps, SHORTEST_STEP_S, STALLED_K_PER_S, STEP_TOLERANCE_K, findKilnRate } from './kilnPath';
import { clearGlass } from './clearGlass';
import { columnsOf } from './columns';
import { meshOf } from './stack';
import { TYPICAL_GAP_M, airGaps } from './airGaps';
import { type RecorderState, recorder } from './recorder';

/** Everything between two segments: from here the rest can be simulated anew. */
export interface Checkpoint {
  kiln_C: number;
  /** At its place. */
  felt_C: number;
  wall_C: number;
  t_s: number;
  steps: number;
  next_s: number;
  stepError_K: number;
  body: HeatSolverState;
  gaps: Float64Array;
  columns: HeatSolverState[];
  watch: RecorderState;
}

const DAY_S = 24 * 3600;
/** A casting 300 mm thick takes a third of a year. Fixed steps, which are there to check by, would take minutes of computing over that. */
const LONGEST_FIRING_S = { controlled: 400 * DAY_S, fixed: 90 * DAY_S };
/** What the step is scaled by is kept a little under what the error asks for, and never leaps. */
const SAFETY = 0.9;
const STEP_GROWS_AT_MOST = 2;
const STEP_SHRINKS_AT_MOST = 0.2;

/** How long its steps may be, by its depth and what the input asks. */
function stepping({ glass, steps, resolution, placeLag_s = 0 }: SimulationInput, depth_m: number) {
  const controlled = steps !== 'fixed';
  const { stepShare = 1 } = resolution ?? {};
  const caps = controlled ? controlledSteps(depth_m, diffusivity(glass)) : FIXED_STEPS;
  return {
    ...{ controlled, longestFiring_s: LONGEST_FIRING_S[controlled ? 'controlled' : 'fixed'] },
    // A place that lags is linear over a step only where that is short beside its lag.
    ...{
      largestStep_s: Math.min(caps.step_s, placeLag_s > 0 ? Math.max(FIXED_STEPS.step_s, placeLag_s / 4) : Infinity) * stepShare,
      largestStep_K: caps.step_K * stepShare,
      tolerance_K: STEP_TOLERANCE_K * stepShare ** 2,
    },
  };
}

/** As its own faces exchange with the kiln, what lies over it across open air counted as seen through. */
const facesOfGlass = ({ stack, faces }: Pick<SimulationInput, 'stack' | 'faces'>): SimulationInput['faces'] =>
  stack.some(({ of }) => of === 'air') ? { ...faces, top: shaded(faces.top) } : faces;

export const simulateFiring = (input: SimulationInput): SimulationResult => simulateFrom(input, 0, null);

/**
 * Simulates from the given segment on, whose checkpoint must be there, and fills the checkpoints, if they are wanted, as
 * it goes: index 0 before the first segment.
 */
export function simulateFrom(input: SimulationInput, first: number, checkpoints: Checkpoint[] | null): SimulationResult {
  const { glass, kiln, segments, curve } = input;
  const start_C = curve ? curve.kiln_C[0] : (input.start_C ?? kiln?.ambient_C ?? ROOM_C);
  const { looseSheets = false, gap_m = TYPICAL_GAP_M, shape = 'plate' } = input;
  const apart = looseSheets && gap_m > 0 && shape === 'plate';
  const mesh = meshOf(input.stack, glass, { glassIntervals: input.resolution?.glassIntervals, shape, apart });
  const drive = driveFrom(start_C);
  const body = heatSolver(mesh, input.faces, input.start_C ?? start_C, drive);
  const gaps = airGaps(mesh, glass, gap_m, body);
  const clear = clearGlass(mesh, glass, body, input.clearDepth_m);
  const columns =
    input.columns && shape === 'plate' ? columnsOf(input.columns, input.stack, glass, facesOfGlass(input), input.start_C ?? start_C, drive) : null;
  const watch = recorder(input, mesh, body, drive, columns);
  const { controlled, longestFiring_s, largestStep_s, largestStep_K, tolerance_K } = stepping(
    input,
    mesh.height_m[mesh.glassTo] - mesh.height_m[mesh.glassFrom],
  );
  /** Kiln temperature, time, steps done, the step that the error allows, the greatest error. */
  const now = { kiln_C: start_C, felt_C: start_C, t_s: 0, steps: 0, next_s: largestStep_s, stepError_K: 0 };
  let stalled: SimulationResult['stalled'] = null;
  /** The place as a wall that follows the kiln and takes nothing from it. */
  const place = input.placeLag_s ? { wallExchange_per_s: 1, wallOverChamber: input.placeLag_s } : null;
  /** A kiln whose wall stores heat. */
  const storing = kiln?.wallExchange_per_s === undefined ? null : kiln;

  /** One step of at most the drive's longest with the kiln at its steady rate; ends at its end exactly where it may take all of it. */
  function advance(): void {
    const { longest_s, rate_K_per_s } = drive;
    drive.from_C = place ? now.felt_C : now.kiln_C;
    gaps.prepare();
    clear.prepare();
    for (;;) {
      const dt_s = controlled && now.next_s < longest_s ? now.next_s : longest_s;
      drive.dt_s = dt_s;
      const kilnTo_C = dt_s === longest_s ? drive.end_C : now.kiln_C + rate_K_per_s * dt_s;
      drive.to_C = place ? wallAfter(place, now.felt_C, now.kiln_C, kilnTo_C, dt_s) : kilnTo_C;
      body.step();
      if (controlled) {
        const error = body.error_K;
        const scale = error > 0 ? SAFETY * Math.cbrt(tolerance_K / error) : STEP_GROWS_AT_MOST;
        if (error > tolerance_K && dt_s > SHORTEST_STEP_S) {
          body.undo();
          now.next_s = Math.max(SHORTEST_STEP_S, dt_s * Math.max(scale, STEP_SHRINKS_AT_MOST));
          continue;
        }
        const allowed_s = Math.max(SHORTEST_STEP_S, dt_s * Math.min(scale, STEP_GROWS_AT_MOST));
        now.next_s = dt_s < now.next_s ? Math.max(allowed_s, now.next_s) : allowed_s;
        if (error > now.stepError_K) now.stepError_K = error;
      }
      if (storing) drive.wall_C = wallAfter(storing, drive.wall_C, now.kiln_C, kilnTo_C, dt_s);
      now.kiln_C = kilnTo_C;
      now.felt_C = drive.to_C;
      now.t_s += dt_s;
      now.steps += 1;
      drive.t_s = now.t_s;
      gaps.step(dt_s);
      columns?.step();
      drive.to_C = kilnTo_C;
      watch.step();
      return;
    }
  }

  /** Steps at a steady rate for a time. */
  function steady(duration_s: number, rate_K_per_s: number, end_C: number): void {
    const until = now.t_s + duration_s;
    const cap_s = Math.min(largestStep_s, rate_K_per_s === 0 ? Infinity : largestStep_K / Math.abs(rate_K_per_s));
    const least = duration_s * 1e-9;
    drive.rate_K_per_s = rate_K_per_s;
    for (;;) {
      const left_s = until - now.t_s;
      if (left_s <= least || now.t_s > longestFiring_s) return;
      // The last two steps share what is left, so that none is a sliver.
      const dt_s = left_s <= cap_s ? left_s : left_s < 2 * cap_s ? left_s / 2 : cap_s;
      drive.longest_s = dt_s;
      drive.end_C = left_s <= cap_s ? end_C : now.kiln_C + rate_K_per_s * dt_s;
      advance();
    }
  }

  function ramp(index: number): void {
    const { rate_C_per_h, target_C } = segments[index];
    const asked = rate_C_per_h === null ? Infinity : perSecond(rate_C_per_h);
    const direction = Math.sign(target_C - now.kiln_C);
    const from_C = now.kiln_C;
    const from_s = now.t_s;
    let fellBehind = false;
    drive.asked_K_per_s = asked;
    drive.target_C = target_C;
    while (now.kiln_C !== target_C) {
      drive.at_C = now.kiln_C;
      findKilnRate(kiln, drive);
      const left = Math.abs(target_C - now.kiln_C);
      // The middle of the step never lies past the target, where the kiln would be asked to go the other way.
      drive.at_C = now.kiln_C + (direction * Math.min(largestStep_K, drive.kiln_K_per_s * largestStep_s, left)) / 2;
      findKilnRate(kiln, drive);
      const rate = drive.kiln_K_per_s;
      if (!(rate > STALLED_K_PER_S) || now.t_s > longestFiring_s) {
        stalled = { segment: index, at_C: now.kiln_C };
        break;
      }
      if (rate < asked * 0.999 && rate_C_per_h !== null) fellBehind = true;
      const dt_s = Math.min(largestStep_s, largestStep_K / rate, left / rate);
      drive.longest_s = dt_s;
      drive.rate_K_per_s = direction * rate;
      drive.end_C = dt_s * rate >= left * (1 - 1e-9) ? target_C : now.kiln_C + direction * rate * dt_s;
      advance();
    }
    if (fellBehind && now.t_s > from_s) watch.fellBehind(perHour(Math.abs(now.kiln_C - from_C) / (now.t_s - from_s)));
  }

  function runSegment(index: number): void {
    const { target_C, hold_s } = segments[index];
    watch.begin(index, Math.abs(target_C - now.kiln_C), hold_s);
    ramp(index);
    watch.rampDone();
    if (!stalled) steady(hold_s, 0, now.kiln_C);
    if (now.t_s > longestFiring_s) stalled ??= { segment: index, at_C: now.kiln_C };
    watch.end();
  }

  function runCurve({ t_s, kiln_C, joints_s = [] }: MeasuredCurve): void {
    const ends = [...joints_s, t_s[t_s.length - 1]];
    let reading = 1;
    ends.forEach((end, index) => {
      watch.begin(index, Math.max(...kiln_C) - Math.min(...kiln_C), end - now.t_s);
      while (reading < t_s.length && now.t_s < end) {
        const slope = (kiln_C[reading] - kiln_C[reading - 1]) / (t_s[reading] - t_s[reading - 1]);
        const to_s = Math.min(t_s[reading], end);
        steady(to_s - now.t_s, slope, kiln_C[reading] + slope * (to_s - t_s[reading]));
        now.t_s = to_s;
        drive.t_s = to_s;
        if (to_s === t_s[reading]) reading += 1;
      }
      watch.rampDone();
      watch.end();
    });
  }

  function goOnFrom(at: Checkpoint): void {
    Object.assign(now, { kiln_C: at.kiln_C, felt_C: at.felt_C, t_s: at.t_s, steps: at.steps, next_s: at.next_s, stepError_K: at.stepError_K });
    body.restore(at.body);
    gaps.restore(at.gaps);
    columns?.restore(at.columns);
    watch.restore(at.watch);
    drive.wall_C = at.wall_C;
    drive.to_C = at.kiln_C;
    drive.t_s = at.t_s;
  }

  /** What has gone into the stack since the start, J/m². */
  function stored_J_m2(): number {
    let stored = 0;
    for (let i = 0; i < mesh.capacity.length; i += 1) stored += mesh.capacity[i] * (body.temperature[i] - (input.start_C ?? start_C));
    return stored;
  }

  const at = first > 0 ? checkpoints?.[first] : undefined;
  if (at) goOnFrom(at);
  else watch.sample();
  if (curve) runCurve(curve);
  for (let index = first; index < segments.length && !stalled && !curve; index += 1) {
    if (checkpoints)
      checkpoints[index] = { ...now, wall_C: drive.wall_C, body: body.save(), gaps: gaps.save(), columns: columns?.save() ?? [], watch: watch.save() };
    runSegment(index);
  }

  const result: SimulationResult = {
    segments: watch.figures(),
    total_s: now.t_s,
    steps: now.steps,
    stepError_K: now.stepError_K,
    energy: { stored_J_m2: stored_J_m2(), crossed_J_m2: body.crossed_J_m2 },
    stalled,
    ...(input.series ? { series: watch.series() } : {}),
    ...watch.residual(),
  };
  body.release();
  watch.release();
  columns?.release();
  return result;
}
