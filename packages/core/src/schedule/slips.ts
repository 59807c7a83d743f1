/** What each slip in keying a schedule would have done to its piece: the controller's program is simulated with that slip alone. */
import { type PanelRow, keyIn, segmentsOf } from '../controller/keyIn';
import type { Controller } from '../controller/profile';
import { type Slip, readBack } from '../controller/readBack';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import type { Segment } from '../kiln/segment';
import { evaluate, harmOf } from './check';
import { type Evaluation } from './reading';
import type { FiringCase } from './firingCase';

export interface JudgedSlip extends Slip {
  /** Of the firing as it would have run. */
  evaluation: Evaluation;
  /** Longer than planned, s; negative where shorter. */
  longer_s: number;
}

export interface Judged {
  slips: JudgedSlip[];
  /** Of the program as it stands there, with all its slips; null where there are none. */
  asShown: Evaluation | null;
  asPlanned: Evaluation;
}

const KEYS = { rate: 'rate', target: 'target', hold: 'hold_min' } as const;

/** The program that was to be keyed, with one slip. */
function withSlip(wanted: readonly PanelRow[], shown: readonly PanelRow[], { row, shownRow, figure }: Slip): PanelRow[] {
  if (row === null) return [...wanted.slice(0, shownRow ?? 0), shown[shownRow ?? 0], ...wanted.slice(shownRow ?? 0)];
  if (shownRow === null || figure === null) return wanted.filter((_, i) => i !== row);
  return wanted.map((one, i) => (i === row ? { ...one, [KEYS[figure]]: shown[shownRow][KEYS[figure]] } : one));
}

/** Slips worst first: by how far the firing goes outside of its limits, then by how much longer or shorter it takes. */
export function judgedSlips(
  firing: FiringCase,
  segments: readonly Segment[],
  controller: Controller,
  shown: readonly PanelRow[],
  older: readonly PanelRow[],
  simulate: (input: SimulationInput) => SimulationResult,
): Judged {
  const { rows, switchOff } = keyIn(segments, controller);
  const last = switchOff ? [segments[segments.length - 1]] : [];
  const judged = (program: readonly PanelRow[]): Evaluation => evaluate(firing, [...segmentsOf(program, controller), ...last], false, simulate);
  const asPlanned = judged(rows);
  const slips = readBack(rows, shown, controller, older)
    .map((slip): JudgedSlip => {
      const program = withSlip(rows, shown, slip);
      const evaluation = program.length === 0 ? asPlanned : judged(program);
      return { ...slip, evaluation, longer_s: evaluation.simulation.total_s - asPlanned.simulation.total_s };
    })
    .sort((one, other) => harmOf(other.evaluation) - harmOf(one.evaluation) || Math.abs(other.longer_s) - Math.abs(one.longer_s));
  return { slips, asShown: slips.length === 0 || shown.length === 0 ? null : judged(shown), asPlanned };
}
