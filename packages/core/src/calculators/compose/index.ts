import { resolved } from '../../schedule/resolved';
import { valueOf } from '../../problem';
import { marginOf, tightest } from '../../schedule/reading';
import { compose } from '../../schedule/compose';
import type { FiringCase } from '../../schedule/firingCase';
import { verdictOf, whyOf } from '../../schedule/words';
import { METRIC, type Units } from '../../units/convert';
import { calculator } from '../calculator';

/** A schedule for a body, a look, a set-up and a kiln, with what each segment is for and what limits it. */
export const composeFiring = calculator({
  compute({ units = METRIC, ...firing }: FiringCase & { units?: Units }) {
    const { segments, evaluation, ...composed } = valueOf(compose(firing, units));
    const asComposed = { ...resolved(firing), school: composed.school };
    return {
      ...composed,
      ...evaluation,
      segments: segments.map((segment, index) => {
        const reading = tightest(evaluation.readings, index);
        return {
          ...segment,
          why: whyOf(asComposed, segment, units.length),
          limitedBy: reading?.limit ?? null,
          margin: reading ? marginOf(reading) : null,
        };
      }),
      total_s: evaluation.simulation.total_s,
      verdict: verdictOf(asComposed, evaluation, units, segments),
    };
  },
  contract: () => import('./contract'),
});
