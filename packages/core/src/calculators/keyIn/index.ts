import { keyIn } from '../../controller/keyIn';
import { keysFor } from '../../controller/panel';
import { type Controller, profileOf, shownHold } from '../../controller/profile';
import type { Segment } from '../../kiln/segment';
import { calculator } from '../calculator';

interface Asked {
  segments: Segment[];
  controller: Controller;
  slot?: number;
}

/** What a schedule is keyed as, figure by figure and press by press. */
export const keySchedule = calculator({
  compute({ segments, controller, slot }: Asked) {
    const profile = profileOf(controller);
    const { rows, switchOff, remarks } = keyIn(segments, controller);
    const told = rows.map((row) => ({ ...row, hold: shownHold(row.hold_min, profile.holdAs) }));
    const fits = rows.length > 0 && rows.length <= profile.mostSegments;
    return { rows: told, switchOff, remarks, keys: fits ? keysFor(rows, slot ?? profile.builtIn + 1, controller) : [] };
  },
  contract: () => import('./contract'),
  light: true,
});
