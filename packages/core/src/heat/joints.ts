/**
 * Simulation with a memory: state is kept at every joint, so that after an edit only what follows the joint that moved
 * is simulated again. The answer is that of a plain simulation to the last digit.
 */
import { viscosityOf } from '../glass/viscosity';
import { hottestSegment, regimesOf } from './regimes';
import { type Checkpoint, simulateFrom } from './simulate';
import type { SimulationInput, SimulationResult } from './simulation';
import { settingFrom } from './recorder';

export interface RememberingSimulator {
  (input: SimulationInput): SimulationResult;
  /** First segment that the last call had to simulate; 0 when all of it was new. */
  startedAt(): number;
}

interface Memory {
  input: SimulationInput;
  checkpoints: Checkpoint[];
}

/** A body that runs level is simulated as it was laid and as it becomes, in turns. */
const REMEMBERED = 2;

/** Everything but the segments, as one string. */
function surroundings({ segments: _segments, ...rest }: SimulationInput): string {
  return JSON.stringify(rest);
}

export function rememberingSimulator(): RememberingSimulator {
  /** By what is around the segments, the one asked for last at the end. */
  const remembered = new Map<string, Memory>();
  let startedAt = 0;

  /** The first joint from which the new input must be simulated, given what is remembered. */
  function firstToDo(input: SimulationInput, last: Memory | undefined): number {
    if (last === undefined || input.curve) return 0;
    const before = last.input.segments;
    let same = 0;
    while (same < before.length && same < input.segments.length && sameSegment(before[same], input.segments[same])) same += 1;
    const vft = viscosityOf(input.glass);
    const [was, is] = [last.input, input].map((one) => ({
      ...settingFrom(one, vft, regimesOf(input.glass, vft)),
      hottest: hottestSegment(one.segments, one.start_C),
    }));
    // What counts as setting, or where stress begins to be followed, is decided by the whole schedule: no further than where either decision bites.
    if (was.segment !== is.segment || was.at_C !== is.at_C) same = Math.min(same, was.segment, is.segment);
    if (was.hottest !== is.hottest) same = Math.min(same, was.hottest + 1, is.hottest + 1);
    return Math.min(same, last.checkpoints.length - 1, input.segments.length - 1);
  }

  const simulate = (input: SimulationInput): SimulationResult => {
    const around = surroundings(input);
    const last = remembered.get(around);
    startedAt = Math.max(0, firstToDo(input, last));
    const checkpoints = startedAt > 0 && last ? last.checkpoints.slice(0, startedAt + 1) : [];
    const result = simulateFrom(input, startedAt, checkpoints);
    remembered.delete(around);
    remembered.set(around, { input, checkpoints });
    for (const oldest of remembered.keys()) {
      if (remembered.size <= REMEMBERED) break;
      remembered.delete(oldest);
    }
    return result;
  };
  return Object.assign(simulate, { startedAt: () => startedAt });
}

type OneSegment = SimulationInput['segments'][number];
const sameSegment = (a: OneSegment, b: OneSegment): boolean => a.rate_C_per_h === b.rate_C_per_h && a.target_C === b.target_C && a.hold_s === b.hold_s;
