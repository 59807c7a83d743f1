import { valueOf } from '../../problem';
import { hottestSegment } from '../../heat/regimes';
import type { SimulationInput, SimulationResult } from '../../heat/simulation';
import type { PurposefulSegment } from '../../kiln/segment';
import type { HowFar, LookSeen } from '../../learn/corrections';
import { evaluate } from '../../schedule/check';
import { compose } from '../../schedule/compose';
import type { FiringCase } from '../../schedule/firingCase';
import { type ChangesFirst, type SeenLike, endsOf, nextFiring, workSeen } from '../../schedule/nextFiring';
import { METRIC, type Units } from '../../units/convert';
import { expectedWords, nextWhy } from '../../schedule/nextWords';
import { calculator } from '../calculator';

interface Fired {
  segments: PurposefulSegment[];
  outcome: LookSeen['outcome'];
  by?: HowFar;
}

interface Asked {
  firing: FiringCase;
  /** What was fired of the like, the last one last. */
  fired: Fired[];
  /** Others of the like, of which the heat work is known. */
  seen?: SeenLike[];
  changes?: ChangesFirst;
  again?: boolean;
  units?: Units;
}

/** What bounds the next: the most that fell short, and the least that went too far. */
function boundsOf(seen: readonly SeenLike[], again: boolean): FiringCase['seen'] {
  const { short, past } = endsOf(seen);
  const bound = ({ work_perPa, work_C, by }: SeenLike) => ({ work_perPa, work_C, ...(by ? { by } : {}) });
  const last = seen[0];
  return {
    ...(short ? { short: bound(short) } : {}),
    ...(past ? { past: bound(past) } : {}),
    ...(again && last.outcome === 'short' ? { had: { work_perPa: last.work_perPa, work_C: last.work_C } } : {}),
  };
}

function nextAfterThese(
  { firing, fired, seen = [], changes = 'temperature', again = false, units = METRIC }: Asked,
  simulate: (input: SimulationInput) => SimulationResult,
) {
  const ran = fired.map(({ segments, outcome, by }): SeenLike => ({
    ...workSeen(firing, segments, evaluate(firing, segments, false, simulate)),
    outcome,
    ...(by ? { by } : {}),
  }));
  const all = [...ran.reverse(), ...seen];
  const last = fired[fired.length - 1].segments;
  const { target_C, hold_s } = last[hottestSegment(last)];
  const bounded = firing.seen ? firing : { ...firing, seen: boundsOf(all, again) };
  // All turns of one glass count together.
  const had = again ? bounded.seen?.had : undefined;
  const counted = had ? [{ ...all[0], work_perPa: had.work_perPa }, ...all.slice(1)] : all;
  const segments = again ? valueOf(compose(bounded, units)).segments : last;
  const answer = nextFiring({ firing: bounded, segments, was: { target_C, hold_s }, seen: counted, changes }, simulate);
  return { ...answer, why: nextWhy(answer, all, units), expected: expectedWords(answer.foreseen, bounded, units) };
}

/** The next schedule after what fell short or went too far. */
export const nextAfter = calculator({ compute: nextAfterThese, contract: () => import('./contract') });
