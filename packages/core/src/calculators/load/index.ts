import { bodyFigures } from '../../body/body';
import { roomOf } from '../../kiln';
import { type Allowed, type LoadEntry, type Stores, composeLoad, fumeSays, loadSays, outlineOf } from '../../load';
import { valueOf } from '../../problem';
import { METRIC, type Units } from '../../units/convert';
import { calculator } from '../calculator';

/** One schedule for all that is in a kiln together, with who sets each of its figures and how each piece fares. */
export const composedLoad = calculator({
  compute({ entries, units = METRIC, stores, allows = {} }: { entries: LoadEntry[]; units?: Units; stores?: Stores; allows?: Allowed }) {
    const { segments, setBy, entries: loaded, ...load } = valueOf(composeLoad(entries, units, { ...allows, ...(stores ? { stores } : {}) }));
    const hottest_C = Math.max(...segments.map(({ target_C }) => target_C));
    return {
      ...load,
      room: roomOf(entries[0].firing.kiln),
      segments: segments.map((segment, i) => ({ ...segment, setBy: setBy[i] })),
      entries: loaded.map(({ window: _window, ...one }, i) => ({
        name: entries[i].name,
        ...one,
        outline: outlineOf(entries[i].firing, one.evaluation.work_perPa),
        mass_kg: bodyFigures(entries[i].firing.body).mass_kg,
        longer_s: load.total_s - one.alone.total_s,
        says: loadSays(entries[i], one, load.total_s, units),
        cautions: fumeSays(entries, i, hottest_C),
      })),
    };
  },
  contract: () => import('./contract'),
});
