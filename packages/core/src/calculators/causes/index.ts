import { causesOf } from '../../causes/causesOf';
import type { Fault, Known } from '../../causes/facts';
import type { PurposefulSegment } from '../../kiln/segment';
import { evaluate } from '../../schedule/check';
import type { FiringCase } from '../../schedule/firingCase';
import { METRIC, type Units } from '../../units/convert';
import { calculator } from '../calculator';

interface Asked {
  firing: FiringCase;
  segments: PurposefulSegment[];
  faults: Fault[];
  known?: Known;
  units?: Units;
}

/** What may have caused what was seen on the glass, with figures of this firing for and against. */
export const causes = calculator({
  compute({ firing, segments, faults, known, units = METRIC }: Asked, simulate) {
    const evaluation = evaluate(firing, segments, false, simulate);
    return { faults: faults.map((fault) => ({ flaw: fault.flaw, causes: causesOf({ firing, segments, evaluation, fault, known, units }) })) };
  },
  contract: () => import('./contract'),
});
