import { TYPICAL_FAMILIES } from '../glass/families';
import { type MadeFrom, madeFromDifferences } from './madeFrom';
import { METRIC } from '../units/convert';
import { STUDIO_KILN } from '../testCases';

const made: MadeFrom = {
  footprint: { shape: 'disc', diameter_m: 0.18 },
  dammed: false,
  layers: [
    { glassName: 'Clear', depth_m: 0.0031, laid: { id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.0031 } },
    { glassName: 'Clear', depth_m: 0.0031, laid: { id: 'b', form: 'sheet', glassId: 'clear', thickness_m: 0.0031 } },
  ],
  glasses: { clear: TYPICAL_FAMILIES[0] },
  before: [],
  look: 'fullFuse',
  setup: { kind: 'bareShelf', paper: false },
  school: { soak: 'auto', heat: 'cooler' },
  kiln: { id: 'low', name: 'Low kiln', constants: STUDIO_KILN },
  controller: { id: 'grey', name: 'Grey box', counts: { unit: 'C', fullSpeedCode: 1500, mostSegments: 8 } },
};
const thick = made.layers.map((layer) => ({ ...layer, depth_m: 0.009, laid: { ...layer.laid, thickness_m: 0.009 } as typeof layer.laid }));
const said = (now: Partial<MadeFrom>, units = METRIC): string => madeFromDifferences(made, { ...made, ...now }, units).join(' ');

describe('what a schedule was made from, against what stands now', () => {
  test('is the same after a name, an id or the order of keys changed', () => {
    const { look, ...rest } = made;
    const renamed = made.layers.map(({ laid, ...layer }) => ({ ...layer, laid: { ...laid, id: 'x', name: 'Base' } }));
    expect(madeFromDifferences(made, { look, ...rest, layers: renamed, kiln: { ...made.kiln, name: 'Old kiln' } }, METRIC)).toEqual([]);
    expect(madeFromDifferences(made, JSON.parse(JSON.stringify(made)) as MadeFrom, METRIC)).toEqual([]);
  });

  test('goes by how deep parts that are placed make it, and not by a part moved by a hand’s breadth on an even base', () => {
    const mapped = { thin_m: 0.006, thick_m: 0.009, apart_m: 0.03 };
    const now = (by: Partial<typeof mapped> | null): string =>
      madeFromDifferences({ ...made, mapped }, { ...made, ...(by ? { mapped: { ...mapped, ...by } } : {}) }, METRIC).join(' ');
    expect(now({ thick_m: 0.00905, apart_m: 0.032 })).toBe('');
    expect(now({ thick_m: 0.012 })).toBe('As its parts lay it was 6 mm beside 9 mm, 30 mm apart; as they lie now it is 6 mm beside 12 mm, 30 mm apart.');
    expect(now({ apart_m: 0.06 })).toMatch(/now it is 6 mm beside 9 mm, 60 mm apart/);
    expect(now(null)).toMatch(/they are not placed any more/);
    expect(said({ mapped })).toMatch(/planned before its parts were placed/);
    const placed = { ...made.layers[1], laid: { id: 'b', form: 'pieces', glassId: 'clear', thickness_m: 0.003, cover: 0.2, count: 1 } as const };
    const at = (x_m: number) => ({
      ...placed,
      laid: { ...placed.laid, placed: [{ id: 'p', x_m, y_m: 0, turned_deg: 0, outline: { shape: 'disc', diameter_m: 0.05 } as const }] },
    });
    expect(madeFromDifferences({ ...made, layers: [at(0)] }, { ...made, layers: [at(0.02)] }, METRIC)).toEqual([]);
  });

  test.each<[string, Partial<MadeFrom>, RegExp]>([
    ['a deeper lay-up', { layers: thick }, /^It was laid 6\.2 mm deep; now it is 18 mm deep\.$/],
    [
      'another glass',
      { layers: [made.layers[0], { ...made.layers[1], glassName: 'Rose', laid: { ...made.layers[1].laid, glassId: 'rose' } }] },
      /now it is Clear 3\.1 mm, Rose 3\.1 mm/,
    ],
    ['another outline', { footprint: { shape: 'disc', diameter_m: 0.2 } }, /The outline was disc of 180 mm; now it is disc of 200 mm\./],
    ['a dam', { dammed: true }, /It stood free; it stands in a dam\./],
    ['new figures of its glass', { glasses: { clear: { ...TYPICAL_FAMILIES[0], annealing_C: 500 } } }, /The figures of Clear have been changed/],
    ['limits set by the studio', { limits: { residual_Pa: 5e5 } }, /The studio's limits have been changed in Settings\./],
    ['a firing put before it', { before: [{ look: 'tack', setup: made.setup }] }, /The firings before it/],
    ['another look', { look: 'tack' }, /It was for a full fuse; it is to be a tack fuse\./],
    ['another set-up', { setup: { kind: 'raisedShelf', paper: true } }, /'bare shelf'; now it is 'raised shelf, on fibre paper'/],
    ['another mould', { setup: { ...made.setup, shaping: { kind: 'hollow', span_m: 0.1, depth_m: 0.02 } } }, /other measures/],
    ['another school', { school: { soak: 'lower', heat: 'cooler' } }, /Another way of heat or soak/],
    ['another kiln', { kiln: { ...made.kiln, id: 'tall', name: 'Tall kiln' } }, /the kiln 'Low kiln'; it is to be fired in 'Tall kiln'/],
    ["its kiln's figures", { kiln: { ...made.kiln, constants: { ...STUDIO_KILN, top_C: 800 } } }, /figures of the kiln 'Low kiln'/],
    [
      'what firings taught',
      { kiln: { ...made.kiln, taken: { offset_K: 8, workFactor: 1.1 } } },
      /What firings of 'Low kiln' have taught has been taken over since/,
    ],
    ['another controller', { controller: { ...made.controller, id: 'other', name: 'Twelve line' } }, /keyed into 'Twelve line'/],
  ])('says in words: %s', (_, now, words) => expect(said(now)).toMatch(words));

  test('says in words: more that firings taught, and that plans are as usual again', () => {
    const taken = { ...made, kiln: { ...made.kiln, taken: { offset_K: 8, workFactor: 1.1 } } };
    const more = { ...made, kiln: { ...made.kiln, taken: { offset_K: 5, workFactor: 1.1 } } };
    expect(madeFromDifferences(taken, more, METRIC)).toEqual([expect.stringMatching(/have taught more since/)]);
    expect(madeFromDifferences(taken, made, METRIC)).toEqual([expect.stringMatching(/as usual again/)]);
  });

  test('in the units of the studio', () => {
    expect(said({ layers: thick }, { temperature: 'F', length: 'in', mass: 'oz' })).not.toMatch(/mm/);
  });
});
