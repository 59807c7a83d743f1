import { type LoadEntry, composeLoad, loadSays } from '../../load';
import { valueOf } from '../../problem';
import { METRIC, type Units } from '../../units/convert';
import { calculator } from '../calculator';

/** One schedule for all that is in a kiln together, with who sets each of its figures and how each piece fares. */
export const composedLoad = calculator({
  compute({ entries, units = METRIC }: { entries: LoadEntry[]; units?: Units }) {
    const { segments, setBy, entries: loaded, ...load } = valueOf(composeLoad(entries, units));
    return {
      ...load,
      segments: segments.map((segment, i) => ({ ...segment, setBy: setBy[i] })),
      entries: loaded.map(({ window: _window, ...one }, i) => ({
        name: entries[i].name,
        ...one,
        longer_s: load.total_s - one.alone.total_s,
        says: loadSays(entries[i], one, load.total_s, units),
      })),
    };
  },
  contract: () => import('./contract'),
});
