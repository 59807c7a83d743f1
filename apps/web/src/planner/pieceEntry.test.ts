import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import type { Look } from '@torvin/core/look';
import { type LaidLayer, asJourney, laidLayers, setUpIn } from '@torvin/core/piece';
import { COUNT, METRIC, NUMBER, readFigure } from '@torvin/core/units';
import { EMPTY_SHELVES, type FormRecord, type PieceDoc, type Shelves, type Step } from '@torvin/schema';
import { type PieceEntry, entryOf, fieldOfPath, newEntry, PIECE_ENTRY_SCHEMAS, outlineOf } from '@/layup/pieceEntry';
import { candidatesFor } from './planned';
import { type StepEntry, entryOfStep, stepOf, whyImpossible } from './stepEntry';

const kiln = {
  name: 'Kiln',
  source: 'test',
  version: 1,
  top_C: 900,
  power_K_per_s: 0.2,
  loss_per_s: 5e-5,
  radiantLoss_per_K3_s: 5e-14,
  ambient_C: 20,
  acrossLag_s_per_300mm: 72,
};
const box = { name: 'Box', source: 'test', version: 1, unit: 'C', fullSpeedCode: 4000, mostSegments: 8 } as const;
const glass = { familyId: 'soft-90', name: 'Clear', colour: '#cfe6dc', thicknesses_m: [0.003], source: 'test', version: 1, contents: [], coated: false };

const shelves: Shelves = {
  ...EMPTY_SHELVES,
  families: TYPICAL_FAMILIES.map((family) => ({ ...family, version: 1 })),
  glasses: [
    { ...glass, id: 'retired', forms: ['sheet'] },
    { ...glass, id: 'clear', forms: ['sheet'] },
  ],
  kilns: [
    { id: 'old', ...kiln },
    { id: 'new', ...kiln },
  ],
  controllers: [{ id: 'box', ...box }],
  archived: ['retired', 'old'],
};

const entry = (change: Partial<PieceEntry> = {}): PieceEntry => ({ ...newEntry(shelves), name: 'Tray', width: '12 in', length: '30 cm', ...change });

const issues = (typed: PieceEntry): Record<string, string> => {
  const outcome = PIECE_ENTRY_SCHEMAS.mm.safeParse(typed);
  return outcome.success ? {} : Object.fromEntries(outcome.error.issues.map(({ path, message }) => [path.join('.'), message]));
};

const doc: PieceDoc = asJourney({
  schemaVersion: 2,
  footprint: { shape: 'disc', diameter_m: 0.3 },
  dammed: false,
  typed: {},
  layers: [
    { id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.003 },
    { id: 'b', form: 'sheet', glassId: 'clear', thickness_m: 0.003 },
  ],
  steps: [],
});

describe('a piece as typed', () => {
  test('becomes an outline in metres and keeps what was typed', () => {
    const read = PIECE_ENTRY_SCHEMAS.mm.parse(entry());
    expect(read.footprint).toEqual({ shape: 'rectangle', width_m: expect.closeTo(0.3048, 9), length_m: expect.closeTo(0.3, 9) });
    expect(read.typed).toEqual({ width: '12 in', length: '30 cm' });
    expect(read.glassId).toBe('clear');
  });

  test('by corners it is any outline, written anew where it is opened again; what is none is said', () => {
    const corners = entry({ shape: 'polygon', corners: '0 0; 20 0; 0 12 cm' });
    const read = PIECE_ENTRY_SCHEMAS.mm.parse(corners);
    expect(read.footprint).toEqual({
      shape: 'polygon',
      corners_m: [
        [0, 0],
        [0.2, 0],
        [0, 0.12],
      ],
    });
    expect(read.typed).toEqual({});
    expect(outlineOf(corners, 'mm')).toEqual(read.footprint);
    expect(entryOf({ name: 'Kite', doc: { ...doc, footprint: read.footprint } }, 'mm')).toMatchObject({ shape: 'polygon', corners: '0 0; 200 0; 0 120 mm' });
    expect(entryOf({ name: 'Kite', doc: { ...doc, footprint: read.footprint } }, 'in').corners).toBe('0 0; 7.87 0; 0 4.72 in');
    for (const [words, message] of [
      ['0 0; 200', /two lengths and a ;/],
      ['0 0; 100 100; 100 0; 0 100', /crosses itself/],
      ['0 0; 1 0; 0 1', /next to nothing/],
      ['0 0; 20 0; 0 12 m', /check the unit/],
    ] as const) {
      expect(issues(entry({ shape: 'polygon', corners: words })).corners).toMatch(message);
      expect(outlineOf(entry({ shape: 'polygon', corners: words }), 'mm')).toBeNull();
    }
    expect(fieldOfPath('doc.footprint.corners_m')).toBe('corners');
  });

  test('a ring needs its diameter and a smaller hole, and comes back as it was typed; what an older version left has no hole', () => {
    const ring = entry({ shape: 'ring', diameter: '22 cm', inner: '14 cm' });
    expect(issues(ring)).toEqual({});
    expect(outlineOf(ring, 'mm')).toEqual({ shape: 'ring', diameter_m: 0.22, inner_m: 0.14 });
    const read = PIECE_ENTRY_SCHEMAS.mm.parse(ring);
    expect(entryOf({ name: read.name, doc: { ...doc, footprint: read.footprint, typed: read.typed } }, 'mm')).toMatchObject({
      ...{ shape: 'ring', diameter: '22 cm', inner: '14 cm' },
    });
    expect(issues(entry({ shape: 'ring', diameter: '22 cm', inner: '22 cm' })).inner).toMatch(/smaller than the ring/);
    expect(outlineOf(entry({ shape: 'ring', diameter: '22 cm', inner: '24 cm' }), 'mm')).toBeNull();
    const { inner: _none, ...older } = entry();
    expect(issues(older as PieceEntry)).toEqual({});
  });

  test('a disc needs its diameter and nothing else; an oval both its sides', () => {
    expect(issues(entry({ shape: 'disc', diameter: '300', width: 'nonsense' }))).toEqual({});
    expect(issues(entry({ shape: 'disc', diameter: '' }))).toHaveProperty('diameter');
    expect(issues(entry({ shape: 'oval', length: '' }))).toHaveProperty('length');
  });

  test('says at each field what is wrong with it, all at once', () => {
    const found = issues(entry({ name: ' ', width: 'wide', length: '0' }));
    expect(found.name).toMatch(/name/);
    expect(found.width).toMatch(/'wide'/);
    expect(found.length).toMatch(/from 20 mm to 2000 mm/);
  });

  test('comes back as typed when it is opened again', () => {
    const { name, footprint, typed, dammed } = PIECE_ENTRY_SCHEMAS.mm.parse(entry({ dammed: true }));
    expect(entryOf({ name, doc: { ...doc, footprint, typed, dammed } }, 'mm')).toMatchObject({ name: 'Tray', width: '12 in', length: '30 cm', dammed: true });
  });

  test("a bare number is in the studio's unit, and means the same after the unit has changed", () => {
    const bare = entry({ width: '12', length: '30 cm' });
    const { footprint, typed, name, dammed } = PIECE_ENTRY_SCHEMAS.in.parse(bare);
    expect(footprint).toEqual({ shape: 'rectangle', width_m: 12 * 0.0254, length_m: 0.3 });
    const opened = entryOf({ name, doc: { ...doc, footprint, typed, dammed } }, 'mm');
    expect(opened).toMatchObject({ width: '12 in', length: '30 cm' });
    expect(PIECE_ENTRY_SCHEMAS.mm.parse({ ...bare, ...opened }).footprint).toEqual(footprint);
  });

  test('what was typed bare before units could be chosen was in mm', () => {
    expect(entryOf({ name: 'Old', doc: { ...doc, typed: { diameter: '300' } } }, 'in').diameter).toBe('300 mm');
    expect(entryOf({ name: 'Drawn', doc }, 'in').diameter).toBe('11.81 in');
  });

  test('has an outline as soon as its sizes can be read', () => {
    expect(outlineOf(entry({ width: '' }), 'mm')).toBeNull();
    expect(outlineOf(entry({ shape: 'disc', diameter: '20 cm' }), 'mm')).toEqual({ shape: 'disc', diameter_m: 0.2 });
  });
});

describe('a firing as chosen', () => {
  test('is guessed from the piece: loose sheets are fused, standing pieces tacked, what was fired is slumped', () => {
    expect(entryOfStep(doc, null, shelves, METRIC)).toMatchObject({ look: 'fullFuse', setup: 'bareShelf', kilnId: 'new', controllerId: 'box' });
    const numerals = { id: 'n', form: 'pieces', glassId: 'clear', thickness_m: 0.003, cover: 0.2, count: 4 } as const;
    expect(
      entryOfStep({ ...doc, journey: [{ id: 'l', kind: 'lay', side: 'above', layers: [...laidLayers(doc), numerals] }] }, null, shelves, METRIC).look,
    ).toBe('tack');
    const { step } = stepOf(entryOfStep(doc, null, shelves, METRIC), null, METRIC, shelves);
    expect(entryOfStep({ ...doc, journey: [...doc.journey, step as Step] }, null, shelves, METRIC)).toMatchObject({ look: 'slump', setup: 'inMould' });
  });

  test('of grains alone is guessed by what they come to: melted in a dam, a leaf of powder, lace of a film of frit, else a heap', () => {
    const of = (layers: object[], dammed = false) =>
      entryOfStep({ ...doc, dammed, journey: [{ id: 'l', kind: 'lay', side: 'above', layers: layers as LaidLayer[] }] }, null, shelves, METRIC).look;
    const strewn = (form: 'frit' | 'powder', perArea_kg_m2: number, cover?: number) => ({
      ...{ id: form, form, glassId: 'clear', perArea_kg_m2, grain_m: form === 'frit' ? 2e-3 : 2e-4 },
      ...(cover === undefined ? {} : { cover }),
    });
    expect(of([strewn('powder', 2.5)])).toBe('wafer');
    expect(of([strewn('frit', 2.2)])).toBe('lace');
    expect(of([strewn('frit', 8, 0.5)])).toBe('lace');
    expect(of([strewn('frit', 20)])).toBe('heap');
    expect(of([strewn('frit', 20)], true)).toBe('slabFlow');
    expect(of([...laidLayers(doc), strewn('frit', 2)])).toBe('fullFuse');
    const lumps = { id: 'lumps', form: 'chunks', glassId: 'clear', perArea_kg_m2: 40, thick_m: 0.02, wide_m: 0.05 };
    expect(of([lumps], true)).toBe('slabFlow');
    expect(of([lumps])).toBe('fullFuse');
    // Whatever lies in a dam is melted there; strips on edge are fused as such.
    expect(of(laidLayers(doc), true)).toBe('slabFlow');
    expect(of([{ id: 'edge', form: 'pieces', glassId: 'clear', thickness_m: 0.012, cover: 1, count: 20, cutFace: 'side' }], true)).toBe('strips');
  });

  test('is guessed to be a casting where a mould was dried for it', () => {
    const dried = { kind: 'fire', id: 'd', look: 'dryMould', kilnId: 'new', controllerId: 'box', scheduleId: null, computedId: null } as const;
    const setup = { kind: 'bareShelf', paper: false, shaping: { kind: 'ware', of: 'plaster', wall_m: 0.025, long_m: 0.2, wide_m: 0.2 } } as const;
    const journey = [{ ...dried, setup, school: { soak: 'auto' as const, heat: 'cooler' as const } }, ...doc.journey];
    expect(entryOfStep({ ...doc, journey }, null, shelves, METRIC).look).toBe('openCast');
  });

  test('what was chosen by hand stays when another kind of firing is chosen, where it serves that too', () => {
    const to = (look: Look, byHand: Partial<StepEntry>) => entryOfStep(doc, null, shelves, METRIC, { ...byHand, look });
    expect(to('tack', { setup: 'raisedShelf', wet: 'glued' })).toMatchObject({ setup: 'raisedShelf', wet: 'glued' });
    expect(to('tack', {})).toMatchObject({ setup: 'bareShelf', wet: 'dry' });
    expect(to('slump', { setup: 'raisedShelf' })).toMatchObject({ setup: 'inMould' });
    expect(to('dryMould', { wet: 'glued' })).toMatchObject({ wet: 'damp' });
    // A wall that was typed stays whatever it is of.
    expect(to('dryMould', {}).ware).not.toBe('');
    expect(to('dryMould', { ware: '31 mm', of: 'castable' })).toMatchObject({ ware: '31 mm', of: 'castable' });
    expect(to('dryMould', { of: 'castable' }).ware).not.toBe(to('dryMould', {}).ware);
  });

  test('a plaster mould is damp until a firing has dried it', () => {
    expect(entryOfStep(doc, null, shelves, METRIC, { look: 'openCast' })).toMatchObject({ setup: 'inInvestment', wet: 'damp' });
    const dried = {
      kind: 'fire',
      id: 'd',
      look: 'dryMould',
      setup: { kind: 'bareShelf', paper: false, shaping: { kind: 'ware', of: 'plaster' } },
    } as unknown as Step;
    expect(entryOfStep({ ...doc, journey: [dried, ...doc.journey] }, null, shelves, METRIC, { look: 'openCast' })).toMatchObject({ wet: 'dry' });
  });

  test('is set up as the like was in this piece, else as the studio fired it last, where that still is on its shelves', () => {
    const used = { kilnId: 'new', controllerId: 'box', releaseId: 'spray', setup: { kind: 'board', paper: true } } as const;
    expect(entryOfStep(doc, null, shelves, METRIC, {}, { used })).toMatchObject({ setup: 'board', paper: true, under: 'spray', kilnId: 'new' });
    expect(entryOfStep(doc, null, shelves, METRIC, {}, { used: { ...used, kilnId: 'old' } })).toMatchObject({ setup: 'board', kilnId: 'new' });
    // A board serves no drape.
    expect(entryOfStep(doc, null, shelves, METRIC, { look: 'drape' }, { used })).toMatchObject({ setup: 'overFormer' });
    const first = {
      kind: 'fire',
      id: 'f',
      look: 'fullFuse',
      setup: { kind: 'floorShelf', paper: false },
      kilnId: 'old',
      controllerId: 'box',
    } as unknown as Step;
    const fused = { ...doc, journey: [...doc.journey, first] };
    expect(entryOfStep(fused, null, shelves, METRIC, { look: 'fullFuse' }, { used })).toMatchObject({ setup: 'floorShelf', paper: false, kilnId: 'old' });
    // What is chosen by hand stands above all of it.
    expect(entryOfStep(fused, null, shelves, METRIC, { look: 'fullFuse', setup: 'bareShelf', paper: true }, { used })).toMatchObject({
      setup: 'bareShelf',
      paper: true,
    });
  });

  test('what came half-way is guessed to be done again, what came all the way is not', () => {
    const setup = { kind: 'overFormer', paper: false, shaping: { kind: 'former', overhang_m: 0.08, drop_m: 0.05 } } as const;
    const drape = { kind: 'fire', id: 'd', look: 'drape', setup, kilnId: 'new', controllerId: 'box', school: { soak: 'auto', heat: 'cooler' } } as const;
    const after = (measured?: { down_m: number }, result?: 'short' | 'right') =>
      entryOfStep(
        { ...doc, journey: [...doc.journey, { ...drape, scheduleId: null, computedId: null, ...(measured ? { measured } : {}) }] },
        null,
        shelves,
        METRIC,
        {},
        { fired: result ? { d: result } : {} },
      ).look;
    expect(after({ down_m: 0.02 })).toBe('drape');
    // Or where its record says so.
    expect([after(undefined, 'short'), after(undefined, 'right')]).toEqual(['drape', 'slump']);
    expect(after({ down_m: 0.05 })).toBe('slump');
    expect(after()).toBe('slump');
  });

  test('a slump says what is missing of its mould; filled in, it comes back as it was', () => {
    const slump = { ...entryOfStep(doc, null, shelves, METRIC), look: 'slump' as const, setup: 'inMould' as const, span: '28 cm', depth: '' };
    expect(stepOf(slump, null, METRIC, shelves).faults.map(({ field }) => field)).toEqual(['depth']);
    const { step } = stepOf({ ...slump, depth: '4 cm' }, null, METRIC, shelves);
    expect(step?.setup).toEqual({ kind: 'inMould', paper: false, shaping: { kind: 'hollow', span_m: 0.28, depth_m: 0.04 } });
    expect(entryOfStep(doc, step, shelves, METRIC)).toMatchObject({ span: '280 mm', depth: '40 mm' });
  });

  test('in a form of the shelf nothing is typed: the step takes it as it stands, and keeps it when it stands there no more', () => {
    const record: FormRecord = {
      ...{ id: 'basin', name: 'Basin', source: '', version: 3, use: 'hollow', plan: 'round', across_m: 0.28, deep_m: 0.05, thick_m: 0.01 },
      ...{ material: 'plasterSilica', count: 2, damaged: false, note: 'mine' },
    };
    const stocked = { ...shelves, forms: [record] };
    const slump = { ...entryOfStep(doc, null, stocked, METRIC), look: 'slump' as const, formId: 'basin', span: '', depth: '' };
    const step = stepOf(slump, null, METRIC, stocked).step as Step;
    const shape = { use: 'hollow', plan: 'round', across_m: 0.28, deep_m: 0.05, thick_m: 0.01, material: 'plasterSilica' };
    expect(step.setup).not.toHaveProperty('shaping');
    expect(step.setup.form).toEqual({ id: 'basin', name: 'Basin', shape });
    expect(setUpIn(record, 'slump')).toBe('inInvestment');
    expect(entryOfStep(doc, step, stocked, METRIC).formId).toBe('basin');
    const changed = { ...stocked, forms: [{ ...record, deep_m: 0.06 }] };
    expect(stepOf(entryOfStep(doc, step, changed, METRIC), step, METRIC, changed).step?.setup.form?.shape.deep_m).toBe(0.06);
    expect(stepOf(entryOfStep(doc, step, shelves, METRIC), step, METRIC, shelves).step?.setup.form).toEqual(step.setup.form);
    // Another kind of firing does not stand in it.
    expect(stepOf({ ...slump, look: 'drape', overhang: '8 cm', drop: '50' }, null, METRIC, stocked).step?.setup).toMatchObject({ shaping: { kind: 'former' } });
    const small = { ...doc, footprint: { shape: 'disc' as const, diameter_m: 0.025 } };
    const flat = { ...record, floor_m: 0.2 };
    const lies = { ...stocked, forms: [flat] };
    const fault = whyImpossible(small, stepOf({ ...slump, kilnId: 'new' }, null, METRIC, lies).step as Step, lies, 'mm');
    expect(fault).toMatchObject({ field: 'form', message: expect.stringMatching(/lies flat on the floor of 'Basin'/) });
  });

  test('a drape may leave its former out, and keeps the schedules of the step that it changes', () => {
    const drape = { ...entryOfStep(doc, null, shelves, METRIC), look: 'drape' as const, overhang: '8 cm', drop: '50', former: '' };
    const first = stepOf(drape, null, METRIC, shelves).step as Step;
    expect(first.setup.shaping).toEqual({ kind: 'former', overhang_m: 0.08, drop_m: 0.05 });
    const kept = { ...first, scheduleId: 's', computedId: 'c' };
    expect(stepOf({ ...drape, former: '14 cm' }, kept, METRIC, shelves).step).toMatchObject({
      id: first.id,
      scheduleId: 's',
      computedId: 'c',
      setup: { shaping: { former_m: 0.14 } },
    });
  });
});

describe('what can be instead of a firing that cannot be', () => {
  const slump = stepOf({ ...entryOfStep(doc, null, shelves, METRIC), look: 'slump', setup: 'inMould', span: '28 cm', depth: '4 cm' }, null, METRIC, shelves)
    .step as Step;
  const slumped = { ...doc, journey: [...doc.journey, slump] };
  const offered = (before: PieceDoc, look: Look) => {
    const planning = { doc: slumped, before, step: null, shelves, units: METRIC, fired: {} };
    return candidatesFor(planning, entryOfStep(before, null, shelves, METRIC, { look }), 'setup').map(({ change }) => change);
  };

  test('goes by the body that is met there, also in the middle of a journey', () => {
    // Before the slump it is loose sheets on a shelf; after it it is a bowl, which lies in its mould again.
    expect(offered(doc, 'tack')).toContainEqual({ look: 'contour' });
    expect(offered(doc, 'tack')).not.toContainEqual({ look: 'slump' });
    expect(offered(slumped, 'firePolish')).toContainEqual({ look: 'slump' });
    expect(offered(doc, 'firePolish')).not.toContainEqual({ setup: 'overFormer' });
    expect(offered(slumped, 'firePolish')).toContainEqual({ setup: 'overFormer' });
  });

  test('names no kiln that is chosen or put aside', () => {
    const both = { ...shelves, archived: [] };
    const planning = { doc, before: doc, step: null, shelves: both, units: METRIC, fired: {} };
    const kilns = (among: Shelves) =>
      candidatesFor({ ...planning, shelves: among }, entryOfStep(doc, null, shelves, METRIC), 'kiln').flatMap(({ change }) => change.kilnId ?? []);
    expect(kilns(both)).toEqual(['old']);
    expect(kilns(shelves)).toEqual([]);
  });
});

describe('a typed number', () => {
  test.each([
    ['22', 22],
    [' 22,5 ', 22.5],
  ])('%j is read', (typed, value) =>
    expect(readFigure(typed, { of: NUMBER, name: 'The share', range: { least: 1, most: 100 } }, METRIC)).toEqual({ ok: true, value }),
  );
  test.each([
    ['', /The number: enter a figure, from 1 to 100/],
    ['many', /'many' is not a number/],
    ['0', /from 1 to 100/],
    ['2.5', /must be whole/],
  ])('%j is refused with what would be right', (typed, message) => {
    const outcome = readFigure(typed, { of: COUNT, name: 'The number', range: { least: 1, most: 100 } }, METRIC);
    expect(!outcome.ok && outcome.problem.message).toMatch(message);
  });
});

describe('a problem from the server', () => {
  test.each([
    ['name', 'name'],
    ['doc.footprint.width_m', 'width'],
    ['doc.footprint.diameter_m', 'diameter'],
    ['doc.journey', 'root'],
    ['version', 'root'],
  ])('at %s is shown at %s', (path, field) => {
    expect(fieldOfPath(path)).toBe(field);
  });
});
