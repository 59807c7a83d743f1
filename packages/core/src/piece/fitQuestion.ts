/** What the fit of a lay-up is judged from. */
import { withId } from './byId';
import type { Contact, Evidence, FitGlass } from '../fit/fit';
import type { Face, LaidLayer } from './document';
import { drawnLayers } from './drawnLayers';
import { type NamedGlass, type Shelf, lying, madeUpOf, namedGlasses } from './shelf';
import { touchingLayers } from './touching';

export interface FitQuestion {
  glasses: FitGlass[];
  contacts: Required<Contact>[];
  evidence: Evidence[];
}

export interface FitOfLayers extends FitQuestion {
  /** Of its glasses, in their order. */
  ids: string[];
  /** For each contact, the layers that touch so, lower one first. */
  between: [lower: number, upper: number][][];
}

/** Which glasses of a layer meet what lies over or under it: of made sheets in layers the outermost one, of all else every one. */
function meeting(layer: LaidLayer, glass: NamedGlass, face: Face): NamedGlass[] {
  const { lie, stripes } = lying(glass.made ?? { lie: 'mixed' }, madeUpOf(glass), layer);
  const all = stripes.map(({ glass: own }) => own);
  if (lie === 'level' && (layer.form === 'sheet' || layer.form === 'cap')) return all.slice(...(face === 'up' ? [-1] : [0, 1]));
  return [...new Set(all)];
}

/** What the fit of a lay-up is judged from, and which layers touch; made glass counts by what it is of. */
export function fitQuestion(layers: readonly LaidLayer[], shelf: Shelf): FitOfLayers {
  const named = new Map(namedGlasses(shelf).map((glass) => [glass.id, glass]));
  const own = layers.map(({ glassId }) => named.get(glassId));
  const used = [...new Set(own.flatMap((glass) => (glass ? madeUpOf(glass).map((part) => part.glass) : [])))];
  const ids = used.map(({ id }) => id);
  const records = ids.map((id) => withId(shelf.glasses, id));
  const isFound = (familyId: string | undefined): boolean => shelf.families.some(({ id, provisional }) => id === familyId && provisional === true);
  const glasses = used.map(({ constants }, i): FitGlass => ({
    ...{ ...constants, contents: records[i]?.contents ?? [] },
    ...(isFound(records[i]?.familyId) ? { unknown: true as const } : {}),
  }));
  const depths = drawnLayers(layers, shelf).map(({ thickness_m }) => thickness_m);
  const contacts = new Map<string, { contact: Required<Contact>; between: [number, number][] }>();
  for (const [below, above] of touchingLayers(layers)) {
    const [under, over] = [own[below], own[above]];
    if (!under || !over) continue;
    for (const low of meeting(layers[below], under, 'up')) {
      for (const high of meeting(layers[above], over, 'down')) {
        const [lower, upper] = [used.indexOf(low), used.indexOf(high)];
        const known = contacts.get(`${lower} ${upper}`);
        if (known) known.between.push([below, above]);
        else contacts.set(`${lower} ${upper}`, { contact: { lower, upper, lower_m: depths[below], upper_m: depths[above] }, between: [[below, above]] });
      }
    }
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
  const met = [...contacts.values()];
  return { glasses, contacts: met.map(({ contact }) => contact), evidence, ids, between: met.map(({ between }) => between) };
}
