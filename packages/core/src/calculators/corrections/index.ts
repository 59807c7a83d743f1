import type { GlassConstants } from '../../glass/constants';
import { viscosityOf } from '../../glass/viscosity';
import { type LookSeen, type Witness, driftOf, learnCorrections, offsetLine, withoutEach } from '../../learn/corrections';
import { calculator } from '../calculator';

/** Offset and work factor from looks reached or missed. */
export const corrections = calculator({
  compute({ glass, seen, witnesses, weigh = false }: { glass: GlassConstants; seen: LookSeen[]; witnesses?: Witness[]; weigh?: boolean }) {
    const vft = viscosityOf(glass);
    const learnt = learnCorrections(vft, seen, witnesses);
    const lookFactors = Object.fromEntries(learnt.looks.map(({ look, factor }) => [look, factor]));
    return {
      ...learnt,
      drift: driftOf(vft, seen),
      line: offsetLine(vft, seen, { ...learnt.corrections, lookFactors }),
      without: weigh ? withoutEach(vft, seen, witnesses) : null,
    };
  },
  contract: () => import('./contract'),
});
