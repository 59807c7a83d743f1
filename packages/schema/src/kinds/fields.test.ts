import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { METRIC, temperatureIn } from '@torvin/core/units';
import { type AnyRecord, KINDS, beginRecord, kindOf, titleOf } from './all';
import { KIND_LIST, type KindName } from './names';
import { type Entry, entryOfRecord, labelOf, readEntry } from './fields';
import type { Stored } from './stored';
import type { PieceDoc } from '../pieces';
import { namedAnew, renameInDoc } from './rename';
import { namedInDoc } from './named';

const INCHES = { temperature: 'F', length: 'in', mass: 'oz' } as const;
const named = { id: 'one', name: 'One', source: 'test', version: 1 };
const family = { ...TYPICAL_FAMILIES[0], ...named };
const kiln = { ...named, top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 };
const RECORDS = {
  families: { ...family, expansion_perK: 1 / 111111 },
  glasses: { ...named, familyId: 'f', colour: '#aabbcc', thicknesses_m: [0.003, 0.0127 / 4], forms: ['sheet'], contents: ['copper'], coated: true },
  kilns: { ...kiln, insideWidth_m: 0.5, betweenPieces_m: 0.01, fromWalls_m: 0.0127, workFactor: 1.1, lookFactors: { tack: 1.25, slump: 0.9 } },
  controllers: { ...named, unit: 'F', fullSpeedCode: 4000, mostSegments: 8 },
} as const;

const read = (kind: KindName, before: unknown, typed: Entry, units = METRIC) => readEntry(kindOf(kind), before as Stored, typed, units);
const faultsOf = (outcome: ReturnType<typeof read>): string[] => (outcome.ok ? [] : outcome.faults.map(({ path, message }) => `${path}: ${message}`));
const recordOf = (outcome: ReturnType<typeof read>): Record<string, unknown> => {
  if (!outcome.ok) throw new Error(faultsOf(outcome).join('; '));
  return outcome.record as unknown as Record<string, unknown>;
};

describe('a record in its form', () => {
  test.each(Object.keys(RECORDS) as (keyof typeof RECORDS)[])('%s left as it stands is itself, to the last digit, in any unit', (kind) => {
    for (const units of [METRIC, INCHES]) {
      const before = RECORDS[kind];
      expect(recordOf(read(kind, before, entryOfRecord(KINDS[kind].fields, before, units), units))).toEqual(before);
    }
  });

  test.each(Object.keys(RECORDS) as (keyof typeof RECORDS)[])('%s typed in anew from what is shown is the record again', (kind) => {
    for (const units of [METRIC, INCHES]) {
      const before = RECORDS[kind];
      const entry = entryOfRecord(KINDS[kind].fields, before, units);
      const blank = { ...before, ...Object.fromEntries(KINDS[kind].fields.flatMap(({ as, key }) => (as === 'figure' ? [[key, undefined]] : []))) };
      const again = recordOf(read(kind, blank, entry, units));
      for (const [key, value] of Object.entries(before)) {
        if (typeof value === 'number') expect((again[key] as number) / value).toBeCloseTo(1, 4);
        else expect(again[key]).toEqual(value);
      }
    }
  });

  test('has all its faults said at once, each at its field', () => {
    const typed = { name: ' ', annealing_C: 'warm', softening_C: '', density_kg_m3: '12', strain_C: '' };
    expect(faultsOf(read('families', family, typed))).toEqual([
      expect.stringMatching(/^annealing_C: 'warm' is not a/),
      'softening_C: Softening point: enter a figure, from 250 °C to 1800 °C.',
      expect.stringMatching(/^density_kg_m3: Density is 12 kg\/m³; it must be from 1500 kg\/m³ to 8000/),
      'name: Name is empty: write it, in at most 80 characters.',
    ]);
    expect(faultsOf(read('glasses', RECORDS.glasses, { colour: 'blue', thicknesses_m: '3; thick', forms: [] }))).toEqual([
      expect.stringMatching(/^thicknesses_m: .*thick/),
      expect.stringMatching(/^colour: A colour is written as #/),
      'forms: Name at least one form it comes in.',
    ]);
  });

  test('has the factors of single looks written as people say them, each named as it is chosen', () => {
    const { lookFactors } = recordOf(read('kilns', kiln, { lookFactors: 'tack fuse 1,25;  Slump 0.9 ' }));
    expect(lookFactors).toEqual({ tack: 1.25, slump: 0.9 });
    expect(recordOf(read('kilns', { ...kiln, lookFactors }, { lookFactors: '' }))).not.toHaveProperty('lookFactors');
    expect(faultsOf(read('kilns', kiln, { lookFactors: 'Tack 1.2' }))).toEqual([expect.stringMatching(/^lookFactors: 'Tack 1.2' is not a firing type/)]);
    expect(faultsOf(read('kilns', kiln, { lookFactors: 'Slump 9' }))).toEqual([expect.stringMatching(/^lookFactors: .*from 0.2 to 5; got 9/)]);
  });

  test('may leave out what is optional, a source among it, and nothing else', () => {
    expect(recordOf(read('families', { ...family, strain_C: 488 }, { strain_C: ' '.trim(), source: '' }))).not.toHaveProperty('strain_C');
    expect(recordOf(read('families', family, { source: '' }))).toMatchObject({ source: '' });
    expect(recordOf(read('families', family, { strain_C: '488' }))).toMatchObject({ strain_C: 488 });
    expect(faultsOf(read('families', family, { expansion_perK: '' }))).toEqual([expect.stringMatching(/^expansion_perK/)]);
  });

  test('is held to what holds between its figures', () => {
    expect(faultsOf(read('families', family, { annealing_C: '670' }))).toHaveLength(1);
  });

  test.each([
    ['top_C', '1050 C', 1050],
    ['top_C', '1922', 1050],
    ['insideWidth_m', '14-1/2 in', 0.3683],
    ['insideWidth_m', '20', 0.508],
    ['insideHeight_m', '25 cm', 0.25],
    ['power_K_per_s', '900 F/h', 500 / 3600],
    ['acrossLag_s_per_300mm', '73.152', 72],
  ])("%s typed as '%s' in a studio of °F and inches is %s", (key, typed, kept) => {
    expect(recordOf(read('kilns', { ...kiln, [key]: undefined }, { [key]: typed }, INCHES))[key]).toBeCloseTo(kept, 9);
  });

  test.each([
    ['top_C', '5000', /5000 °F; it must be from 212 °F to 3092 °F/],
    ['top_C', '5000 C', /5000 °C; it must be from 100 °C to 1700 °C/],
    ['top_C', 'hot', /1454 °F/],
    ['insideWidth_m', '0.2', /in; it must be from [\d.]+ in to [\d.]+ in/],
    ['power_K_per_s', 'full', /enter the rate/],
  ])("%s typed as '%s' is answered in the unit it is written in", (key, typed, message) => {
    expect(faultsOf(read('kilns', kiln, { [key]: typed }, INCHES))).toEqual([expect.stringMatching(message)]);
  });

  test('a decimal comma is read, and labels bear the unit', () => {
    expect(recordOf(read('families', family, { expansion_perK: '9,3' })).expansion_perK).toBeCloseTo(9.3e-6, 12);
    const across = KINDS.kilns.fields.find(({ key }) => key === 'acrossLag_s_per_300mm');
    expect(across && [METRIC, INCHES].map((units) => labelOf(across, units))).toEqual([
      'Lag from edge to edge of 300 mm, s',
      'Lag from edge to edge of 12 in, s',
    ]);
  });
});

describe('every kind', () => {
  test.each(KIND_LIST)('%s: what it asks for is of its schema, and a first one can be made of what it begins with', (name) => {
    const { schema, change, fields, about } = kindOf(name);
    const shape = Object.keys((schema as unknown as { shape: object }).shape);
    expect(fields.map(({ key }) => key).filter((key) => !shape.includes(key))).toEqual([]);
    let others = 0;
    const begun = beginRecord(name, '0198c5a2-0000-7000-8000-000000000001', (kind) => `${kind}-${(others += 1)}`, 1e12);
    const made = change.parse('name' in begun ? { ...begun, name: 'First' } : begun) as AnyRecord;
    const words = { units: METRIC, nameOf: (kind: string, id: string) => `${kind} ${id}`, day: String };
    expect(about(made, words)).not.toBe('');
    expect(titleOf(name, made, words)).not.toBe(made.id);
  });

  test.each(['kilns', 'releases', 'materials'] as const)('%s: the most heat of a new one is round in °F', (name) => {
    const { top_C } = beginRecord(name, '0198c5a2-0000-7000-8000-000000000001', () => 'other', 1e12, INCHES) as { top_C: number };
    expect((temperatureIn(top_C, 'F') / 10) % 1).toBeCloseTo(0, 6);
  });

  test('is read after what it names', () => {
    expect(kindOf('glasses').names(RECORDS.glasses as never)).toEqual([{ kind: 'families', id: 'f', path: 'familyId' }]);
    for (const kind of KIND_LIST) {
      const record = { ...RECORDS.glasses, glassA: 'a', glassB: 'b', stripes: [{ glassId: 'g', share: 1 }] } as never;
      for (const name of kindOf(kind).names(record)) expect(KIND_LIST.indexOf(name.kind as KindName)).toBeLessThan(KIND_LIST.indexOf(kind));
    }
  });
});

test('another id for what a record names is put where it is named, and nowhere else', () => {
  const stripes = [
    { glassId: 'a', share: 0.5 },
    { glassId: 'b', share: 0.5 },
  ];
  const record = { id: 'm', stripes, from: { pieceId: 'a' } };
  expect(namedAnew(record, 'stripes.1.glassId', 'c')).toEqual({ ...record, stripes: [stripes[0], { glassId: 'c', share: 0.5 }] });
  expect(namedAnew({ familyId: 'f', id: 'f' }, 'familyId', 'g')).toEqual({ familyId: 'g', id: 'f' });
  const doc = { journey: [{ kind: 'lay', layers: [{ glassId: 'm' }, { glassId: 'a' }] }] } as unknown as PieceDoc;
  expect(renameInDoc(doc, { made: { m: 'm-made-glass' }, glasses: { a: 'a-glass' } }).journey).toEqual([
    { kind: 'lay', layers: [{ glassId: 'm-made-glass' }, { glassId: 'a-glass' }] },
  ]);
  expect(namedInDoc(doc).map(({ id, path, kinds }) => [id, path, kinds])).toEqual([
    ['m', 'journey.0.layers.0.glassId', ['glasses', 'made']],
    ['a', 'journey.0.layers.1.glassId', ['glasses', 'made']],
  ]);
});

test('a place in a kiln goes along with the name of that kiln', () => {
  const place = { kilnId: 'k', x_m: 0.1, y_m: 0.1, shelf: 0, shelves: 1, turned: false };
  const doc = { journey: [{ kind: 'fire', kilnId: 'k', controllerId: 'c', place }] } as unknown as PieceDoc;
  expect(renameInDoc(doc, { kilns: { k: 'k-kiln' } }).journey[0]).toMatchObject({ kilnId: 'k-kiln', place: { ...place, kilnId: 'k-kiln' } });
  expect(namedInDoc(doc).flatMap(({ id, path }) => (id === 'k' ? [path] : []))).toEqual(['journey.0.kilnId', 'journey.0.place.kilnId']);
});

describe('a mould or former', () => {
  const form = {
    ...named,
    use: 'hollow',
    plan: 'round',
    across_m: 0.366,
    deep_m: 0.062,
    thick_m: 0.012,
    material: 'earthenware',
    count: 1,
    damaged: false,
    note: '',
  };
  const points_m = [
    { out_m: 0, up_m: 0.002 },
    { out_m: 0.06, up_m: 0 },
    { out_m: 0.183, up_m: 0.062 },
  ];

  test('left as it stands is itself, in any unit; its points come back as they were written', () => {
    for (const units of [METRIC, INCHES]) {
      const before = { ...form, points_m, left_m: 0.18, right_m: 0.184, door_m: 0.18, back_m: 0.19, bottom: 'loose', undercut: true };
      expect(recordOf(read('forms', before, entryOfRecord(KINDS.forms.fields, before, units), units))).toEqual(before);
      const typed = { points_m: entryOfRecord(KINDS.forms.fields, before, units).points_m };
      const again = recordOf(read('forms', form, typed, units)).points_m as typeof points_m;
      again.forEach(({ out_m, up_m }, i) => expect([out_m, up_m]).toEqual([expect.closeTo(points_m[i].out_m, 6), expect.closeTo(points_m[i].up_m, 6)]));
    }
    expect(recordOf(read('forms', form, { points_m: '0:−2; 60:0;\n183:60' })).points_m).toEqual([
      { out_m: 0, up_m: -0.002 },
      { out_m: 0.06, up_m: 0 },
      { out_m: 0.183, up_m: 0.06 },
    ]);
  });

  test('is asked only for what it has, and loses what it was asked for before', () => {
    const lobed = recordOf(read('forms', form, { plan: 'lobed', along_m: '300', lobes: '6' }));
    expect(lobed).toMatchObject({ along_m: 0.3, lobes: 6 });
    const round = recordOf(read('forms', lobed, { plan: 'round' }));
    expect(Object.keys(round)).not.toEqual(expect.arrayContaining(['lobes']));
    expect(round).not.toHaveProperty('along_m');
    const dam = recordOf(read('forms', { ...form, floor_m: 0.1, foot_m: 0.01 }, { use: 'dam', liner_m: '3' }));
    expect(dam).toMatchObject({ use: 'dam', liner_m: 0.003 });
    expect(dam).not.toHaveProperty('floor_m');
    expect(dam).not.toHaveProperty('foot_m');
    const across = KINDS.forms.fields.find(({ key }) => key === 'across_m');
    expect(across && ['hollow', 'former', 'dam'].map((use) => labelOf(across, METRIC, { use }))).toEqual([
      'Rim, inside across, mm',
      'Top, across, mm',
      'Inside, across, mm',
    ]);
  });

  test('nonsense is said at its field', () => {
    expect(faultsOf(read('forms', form, { floor_m: '400' }))).toEqual([expect.stringMatching(/^floor_m: The floor is wider than the rim/)]);
    expect(faultsOf(read('forms', form, { deep_m: '0' }))).toEqual([expect.stringMatching(/^deep_m: It must have a depth/)]);
    expect(faultsOf(read('forms', form, { points_m: '0:0; 60' }))).toEqual([expect.stringMatching(/^points_m: '60'/)]);
    expect(faultsOf(read('forms', form, { points_m: '0:0; 170:60; 60:0; 183:60' }))).toEqual([
      expect.stringMatching(/^points_m: The section (crosses|comes back)/),
    ]);
  });
});
