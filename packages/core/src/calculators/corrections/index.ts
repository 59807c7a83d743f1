import type { GlassConstants } from '../../glass/constants';
import { viscosityOf } from '../../glass/viscosity';
import { type LookSeen, type Witness, driftOf, learnCorrections } from '../../learn/corrections';
import { calculator } from '../calculator';

/** Offset and work factor from looks reached or missed. */
export const corrections = calculator({
  compute({ glass, seen, witnesses }: { glass: GlassConstants; seen: LookSeen[]; witnesses?: Witness[] }) {
    const vft = viscosityOf(glass);
    return { ...learnCorrections(vft, seen, witnesses), drift: driftOf(vft, seen) };
  },
  contract: () => import('./contract'),
});
