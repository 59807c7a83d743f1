/**
 * The same heat work at another temperature: the hold of the hottest segment is solved for, ramps counted by simulation.
 * Work grows by 1/η of the glass for every second of hold, so Newton's steps on the hold settle in two or three.
 */
import { resolved } from './resolved';
import { valueOf } from '../problem';
import { fluidity } from '../glass/viscosity';
import { hottestSegment } from '../heat/regimes';
import { simulateFiring } from '../heat/simulate';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import { evaluate } from './check';
import { type Evaluation } from './reading';
import type { FiringCase } from './firingCase';
import type { PurposefulSegment } from '../kiln/segment';

export interface EqualWork {
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** Work over the work asked for; not 1 where even no hold does too much, or the longest too little. */
  share: number;
  reached: boolean;
}

const CLOSE_ENOUGH = 0.005;
const MOST_EVALUATIONS = 6;
const HOLD_AT_MOST_S = 24 * 3600;

/** work_perPa: the mean work to keep, of the segments before they were moved. */
export function equalWork(
  asked: FiringCase,
  segments: readonly PurposefulSegment[],
  target_C: number,
  work_perPa: number,
  simulate: (input: SimulationInput) => SimulationResult = simulateFiring,
): EqualWork {
  const hottest = hottestSegment(segments);
  const firing = resolved(asked);
  // Of what has no glass in it, and of what no heat gives, there is none.
  valueOf(firing.work_perPa);
  const moved = (hold_s: number): PurposefulSegment[] => segments.map((segment, i) => (i === hottest ? { ...segment, target_C, hold_s } : segment));
  let hold_s = segments[hottest].hold_s;
  for (let evaluations = 1; ; evaluations += 1) {
    const tried = moved(hold_s);
    const evaluation = evaluate(firing, tried, false, simulate);
    const share = evaluation.work_perPa.mean / work_perPa;
    const reached = Math.abs(share - 1) <= CLOSE_ENOUGH;
    const perSecond = fluidity(firing.viscosity, evaluation.simulation.segments[hottest]?.glassEnd_C ?? target_C);
    const next_s = Math.min(Math.max(hold_s + (work_perPa - evaluation.work_perPa.mean) / perSecond, 0), HOLD_AT_MOST_S);
    if (reached || evaluations === MOST_EVALUATIONS || Math.abs(next_s - hold_s) < 0.5) return { segments: tried, evaluation, share, reached };
    hold_s = next_s;
  }
}
