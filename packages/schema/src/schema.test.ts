import { TYPICAL_FAMILIES } from '@torvin/core/glass';
import { drawnLayers, fitQuestion, snapshotOf, type LaidLayer } from '@torvin/core/piece';
import { DEFAULT_LIMITS, DEFAULT_SCHOOL, SETUPS, resolved, withPaper } from '@torvin/core/schedule';
import { z } from 'zod';
import { type PieceDoc, PieceDocSchema, type Step } from './pieces';
import { AskedFiringSchema, problemOf, quantity, SimulationInputSchema } from '@torvin/core/contract';
import { type Shelves } from './kinds/shelves';
import { EMPTY_SHELVES } from './kinds/emptyShelves';

let made = 0;
/** A valid id, another one each time. */
const uuid = (): string => `018f0000-0000-7000-8000-${String((made += 1)).padStart(12, '0')}`;

const KILN = { top_C: 900, power_K_per_s: 0.2, loss_per_s: 5e-5, radiantLoss_per_K3_s: 5.6e-14, ambient_C: 20, acrossLag_s_per_300mm: 72 };

const shelves: Shelves = {
  ...EMPTY_SHELVES,
  families: TYPICAL_FAMILIES.map((family) => ({ ...family, version: 1 })),
  glasses: ['soft-90', 'soft-96'].map((familyId) => ({
    id: `clear-${familyId}`,
    familyId,
    name: `Clear ${familyId}`,
    colour: '#ffffff',
    thicknesses_m: [0.003],
    source: 'test',
    version: 1,
    forms: ['sheet'],
    contents: familyId === 'soft-90' ? ['copper'] : ['sulphur'],
    coated: false,
  })),
  archived: [],
  kilns: [{ id: 'kiln', name: 'Kiln', source: 'test', version: 1, ...KILN }],
  controllers: [{ id: 'box', name: 'Box', source: 'test', version: 1, unit: 'C', fullSpeedCode: 4000, mostSegments: 8 }],
};

const step: Step = {
  kind: 'fire',
  id: uuid(),
  look: 'fullFuse',
  setup: { kind: 'bareShelf', paper: false },
  kilnId: 'kiln',
  controllerId: 'box',
  school: DEFAULT_SCHOOL,
  scheduleId: null,
  computedId: null,
};

const sheetsOf = (...glassIds: string[]): LaidLayer[] => glassIds.map((glassId) => ({ id: uuid(), form: 'sheet', glassId, thickness_m: 0.003 }));
const doc = (...glassIds: string[]): PieceDoc => ({
  schemaVersion: 3,
  dammed: false,
  footprint: { shape: 'disc', diameter_m: 0.18 },
  typed: { diameter: '180' },
  journey: [{ kind: 'lay', id: uuid(), side: 'above', layers: sheetsOf(...glassIds) }, step],
});

describe('a number field', () => {
  const depth = z.object({ depth: quantity('Depth', 'm', 0.001, 0.1) });

  test.each([
    [0.4, 'out-of-range', 'got 0.4'],
    [0, 'out-of-range', 'got 0'],
    ['3 mm', 'wrong-type', 'got "3 mm"'],
    [null, 'wrong-type', 'got null'],
    [undefined, 'wrong-type', 'got nothing'],
    [Infinity, 'wrong-type', 'got null'],
  ])('given %p says what came and the legal range', (value, code, came) => {
    const outcome = depth.safeParse({ depth: value });
    if (outcome.success) throw new Error('it was accepted');
    const problem = problemOf(outcome.error, 'body');
    expect(problem).toMatchObject({ code, path: 'body.depth' });
    expect(problem.message).toBe(`Depth must be a number from 0.001 to 0.1 m; ${came}.`);
  });
});

describe('a piece document', () => {
  test('is refused when its layers together are too deep, and names them', () => {
    const layers = Array.from({ length: 2 }, () => ({ id: uuid(), form: 'frit', glassId: 'x', perArea_kg_m2: 400 }));
    const deep = { ...doc(), journey: [{ kind: 'lay', id: uuid(), side: 'above', layers }] };
    const outcome = PieceDocSchema.safeParse(deep);
    expect(outcome.success).toBe(false);
    if (!outcome.success) expect(problemOf(outcome.error).path).toBe('journey');
  });

  describe('with parts that are placed', () => {
    const bar = (i: number, outline: object = { shape: 'rectangle', width_m: 0.005, length_m: 0.005 }) => ({
      id: `part ${i}`,
      x_m: 0,
      y_m: 0,
      turned_deg: 0,
      outline,
    });
    const told = (placed: object[], count = placed.length): string => {
      const layer = { id: uuid(), form: 'pieces', glassId: 'clear-soft-90', thickness_m: 0.003, cover: 0.2, count, placed };
      const parsed = PieceDocSchema.safeParse({
        ...doc('clear-soft-90'),
        journey: [{ kind: 'lay', id: uuid(), side: 'above', layers: [...sheetsOf('clear-soft-90'), layer] }],
      });
      return parsed.success ? '' : parsed.error.issues.map(({ message }) => message).join(' ');
    };

    test('takes 400 of them and refuses what no part is, in words', () => {
      expect(told(Array.from({ length: 400 }, (_, i) => bar(i)))).toBe('');
      expect(told(Array.from({ length: 401 }, (_, i) => bar(i)))).toMatch(/At most 400 parts; got 401/);
      expect(told([])).toMatch(/needs at least one/);
      expect(told([bar(1), bar(1)])).toMatch(/one id/);
      expect(told([bar(1)], 2)).toMatch(/must be that of the parts/);
      expect(told([bar(1, { shape: 'disc', diameter_m: 0 })])).toMatch(/Diameter must be a number from 0\.0005 to 2 m; got 0/);
      const crossed = [
        [0, 0],
        [0.04, 0.04],
        [0.04, 0],
        [0, 0.04],
      ];
      expect(told([bar(1, { shape: 'polygon', corners_m: crossed })])).toMatch(/must not cross/);
      expect(
        told([
          bar(1, {
            shape: 'polygon',
            corners_m: [
              [0, 0],
              [0.04, 0.04],
              [0.02, 0.02],
            ],
          }),
        ]),
      ).toMatch(/must enclose/);
      expect(
        told([
          bar(1, {
            shape: 'strip',
            width_m: 0.004,
            along_m: [
              [0, 0],
              [0, 0],
            ],
          }),
        ]),
      ).toMatch(/at least 0\.0005 m apart/);
    });
  });

  test('of one family gives a firing case with that family’s constants', () => {
    const snapshot = snapshotOf(doc('clear-soft-96', 'clear-soft-96'), step, shelves);
    if (!snapshot.ok) throw new Error(snapshot.problem.message);
    expect(snapshot.value.firing.body.glasses[0].annealing_C).toBe(508);
    expect(snapshot.value.firing.body.joined).toBe(false);
    expect(snapshot.value.familyName).toBe('Soft sheet 96');
    expect(Object.keys(snapshot.value.firing.kiln).sort()).toEqual(Object.keys(KILN).sort());
  });

  test('with paper and a mould has both in the set-up of the engine', () => {
    const shaping = { kind: 'hollow', span_m: 0.15, depth_m: 0.02 } as const;
    const slump: Step = { ...step, look: 'slump', setup: { kind: 'inMould', paper: true, shaping } };
    const snapshot = snapshotOf(doc('clear-soft-90'), slump, shelves);
    if (!snapshot.ok) throw new Error(snapshot.problem.message);
    expect(snapshot.value.firing.setup.below).toEqual(withPaper(SETUPS.inMould).below);
    expect(snapshot.value.firing.setup.shaping).toEqual(shaping);
    expect(snapshot.value.setup).toEqual({ kind: 'inMould', paper: true });
  });

  test('of two families is calculated with the one that the most of it is made of', () => {
    const mixed = doc('clear-soft-90', 'clear-soft-96', 'clear-soft-96');
    const snapshot = snapshotOf(mixed, step, shelves);
    expect(snapshot.ok && snapshot.value.familyName).toBe('Soft sheet 96');
    expect(snapshot.ok && snapshot.value.firing.body.glasses).toHaveLength(2);
  });

  test('asks of its fit with what the shelf knows: contents, the same family as proof, own strip tests', () => {
    const pair = (result: 'holds' | 'cracked') => ({ id: uuid(), version: 1, glassA: 'clear-soft-96', glassB: 'clear-soft-90', result, note: '', testedAt: 1 });
    const question = fitQuestion(sheetsOf('clear-soft-90', 'clear-soft-96', 'clear-soft-90'), { ...shelves, stripTests: [pair('cracked')] });
    expect(question.ids).toEqual(['clear-soft-90', 'clear-soft-96']);
    expect(question.glasses.map(({ contents }) => contents)).toEqual([['copper'], ['sulphur']]);
    expect(question.evidence).toEqual([{ a: 1, b: 0, kind: 'ownTest', result: 'cracked' }]);
    const twins = { ...shelves.glasses[0], id: 'twin' };
    expect(fitQuestion(sheetsOf('clear-soft-90', 'twin'), { ...shelves, glasses: [...shelves.glasses, twins] }).evidence).toEqual([
      { a: 0, b: 1, kind: 'proven', result: 'holds' },
    ]);
  });

  test('is drawn with the names and colours of the shelf, grains by what they come to', () => {
    const frit = { id: uuid(), form: 'frit', glassId: 'clear-soft-90', perArea_kg_m2: 2.5, cover: 0.5 } as const;
    const [sheet, grains, gone] = drawnLayers([...sheetsOf('clear-soft-90'), frit, ...sheetsOf('gone')], shelves);
    expect(sheet).toEqual({ name: 'Clear soft-90', colour: '#ffffff', thickness_m: 0.003, form: 'sheet' });
    expect(grains).toMatchObject({ thickness_m: expect.closeTo(0.001, 6), cover: 0.5 });
    expect(gone.name).toBe('gone');
  });

  test('of a single sheet has air under it until a firing has been, and is one solid after it', () => {
    const snapshot = snapshotOf(doc('clear-soft-90'), step, shelves);
    if (!snapshot.ok) throw new Error(snapshot.problem.message);
    expect(snapshot.value.firing.body.joined).toBe(false);
    expect(resolved({ ...snapshot.value.firing, look: 'fullFuse' }).squeeze_perPa).toBeGreaterThan(0);
    const again = snapshotOf(
      { ...doc('clear-soft-90'), journey: [doc('clear-soft-90').journey[0], { ...step, id: uuid(), look: 'fullFuse' }, step] },
      step,
      shelves,
    );
    expect(again.ok && again.value.firing.body.joined).toBe(true);
  });

  test.each([
    ['an unknown glass', doc('moonstone'), step, 'unknown-id'],
    ['an unknown kiln', doc('clear-soft-90'), { ...step, kilnId: 'none' }, 'unknown-id'],
    ['an unknown controller', doc('clear-soft-90'), { ...step, controllerId: 'none' }, 'unknown-id'],
  ])('of %s is refused', (_, piece, ofStep, code) => {
    const snapshot = snapshotOf(piece, ofStep, shelves);
    expect(snapshot.ok).toBe(false);
    if (!snapshot.ok) expect(snapshot.problem.code).toBe(code);
  });
});

describe('calculate requests', () => {
  const { id: _, name: __, source: ___, ...glass } = TYPICAL_FAMILIES[0];
  const face = { kind: 'insulated' } as const;
  const glassLayer = { of: 'glass', thickness_m: 0.006 } as const;
  const shelf = { of: 'support', thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 } as const;
  const simulation = { glass, faces: { top: face, bottom: face }, segments: [{ rate_C_per_h: 100, target_C: 500, hold_s: 0 }] };

  test.each([
    ['glass on a shelf', [shelf, glassLayer], true],
    ['glass between supports', [shelf, glassLayer, glassLayer, shelf], true],
    ['no glass', [shelf], false],
    ['glass in two places', [glassLayer, shelf, glassLayer], false],
  ])('a stack of %s is accepted: %s', (_name, stack, accepted) => {
    expect(SimulationInputSchema.safeParse({ ...simulation, stack }).success).toBe(accepted);
  });

  test('compose fills school and limits that were left out, or left out in part', () => {
    const request = {
      body: { glasses: [glass], layers: [{ form: 'sheet', glass: 0, thickness_m: 0.003 }], footprint: { shape: 'disc', diameter_m: 0.18 }, joined: true },
      setup: { below: [shelf], faces: { top: face, bottom: face } },
      kiln: KILN,
      look: 'fullFuse',
    };
    expect(AskedFiringSchema.parse(request)).toMatchObject({ school: DEFAULT_SCHOOL, limits: DEFAULT_LIMITS });
    expect(AskedFiringSchema.parse({ ...request, limits: { open_C: 60 } }).limits).toEqual({ ...DEFAULT_LIMITS, open_C: 60 });
  });
});
