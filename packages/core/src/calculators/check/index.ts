import { ProblemError } from '../../problem';
import { evaluate } from '../../schedule/check';
import { brokenOf } from '../../schedule/reading';
import type { FiringCase } from '../../schedule/firingCase';
import { impossibleFiring } from '../../schedule/possible';
import type { Segment } from '../../kiln/segment';
import { brokenSentence, verdictOf } from '../../schedule/words';
import { METRIC, type Units } from '../../units/convert';
import { calculator } from '../calculator';

/** Any schedule held against every limit, in words with figures. */
export const check = calculator({
  compute({ segments, units = METRIC, ...firing }: FiringCase & { segments: Segment[]; units?: Units }, simulate) {
    const impossible = impossibleFiring(firing, units.length);
    if (impossible) throw new ProblemError(impossible);
    const evaluation = evaluate(firing, segments, false, simulate);
    const broken = brokenOf(evaluation.readings).map((reading) => ({ ...reading, message: brokenSentence(reading, units, firing.look) }));
    return {
      ok: broken.length === 0 && evaluation.simulation.stalled === null,
      broken,
      readings: evaluation.readings,
      verdict: verdictOf(firing, evaluation, units, segments),
      total_s: evaluation.simulation.total_s,
    };
  },
  contract: () => import('./contract'),
});
