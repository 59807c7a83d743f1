/** What the fit of a lay-up is judged from. */
import type { Contact, Evidence, FitGlass } from '../fit/fit';
import type { LaidLayer } from './document';
import { drawnLayers } from './drawnLayers';
import { type Shelf, namedGlasses } from './shelf';
import { touchingLayers } from './touching';

export interface FitQuestion {
  glasses: FitGlass[];
  contacts: Required<Contact>[];
  evidence: Evidence[];
}

/** What the fit of a lay-up is judged from, and which layers touch; index i of the glasses is the i-th that the layers name. */
export function fitQuestion(layers: readonly LaidLayer[], shelf: Shelf): FitQuestion & { ids: string[]; touching: [lower: number, upper: number][] } {
  const constants = namedGlasses(shelf);
  const ids = [...new Set(layers.map(({ glassId }) => glassId))].filter((id) => constants.some((glass) => glass.id === id));
  const records = ids.map((id) => shelf.glasses.find((glass) => glass.id === id));
  const glasses = ids.flatMap((id, i): FitGlass[] => {
    const own = constants.find((glass) => glass.id === id);
    return own ? [{ ...own.constants, contents: records[i]?.contents ?? [] }] : [];
  });
  const depths = drawnLayers(layers, shelf).map(({ thickness_m }) => thickness_m);
  const touching = touchingLayers(layers).filter((pair) => pair.every((index) => ids.includes(layers[index].glassId)));
  const contacts = new Map<string, Required<Contact>>();
  for (const [below, above] of touching) {
    const [lower, upper] = [below, above].map((index) => ids.indexOf(layers[index].glassId));
    const key = `${lower} ${upper}`;
    if (!contacts.has(key)) contacts.set(key, { lower, upper, lower_m: depths[below], upper_m: depths[above] });
  }
  const evidence: Evidence[] = [];
  records.forEach((one, a) =>
    records.slice(a + 1).forEach((other, i) => {
      if (one?.familyId === other?.familyId) evidence.push({ a, b: a + 1 + i, kind: 'proven', result: 'holds' });
    }),
  );
  for (const { glassA, glassB, result } of shelf.stripTests) {
    const [a, b] = [ids.indexOf(glassA), ids.indexOf(glassB)];
    if (a >= 0 && b >= 0) evidence.push({ a, b, kind: 'ownTest', result });
  }
  return { glasses, contacts: [...contacts.values()], evidence, ids, touching };
}
