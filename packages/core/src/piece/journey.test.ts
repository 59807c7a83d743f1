/** The body through any journey: what goes in is what is there and what was taken; each command undoes exactly. */
import fc from 'fast-check';
import { bodyFigures } from '../body/body';
import { TYPICAL_FAMILIES } from '../glass/families';
import { type Outcome, valueOf } from '../problem';
import { ghostOf } from '../look/ghost';
import { RECIPES } from '../look/recipes/all';
import { LOOKS } from '../look/names';
import { aimedWork, neededWork } from '../look/work';
import { TYPICAL_WORKS } from '../look/works';
import { type AfterStep, applySteps } from './applySteps';
import { bodyOf, isOnePiece, isSealed } from './bodyNow';
import { type Edited, addLayer, addStep, changeStep, moveLayer, moveStep, removeLayer, removeStep, tellDone, tellMeasured } from './commands';
import { type BenchStep, type JourneyStep, type LaidLayer, type PieceDocument, type PlannedStep } from './document';
import { PARTS_AT_MOST, STEPS_AT_MOST } from './atMost';
import { METRIC } from '../units/convert';
import { asJourney, FIRST_LAID_ID, laidLayers } from './journey';
import { drawnBody, bodyProfile } from './drawnLayers';
import { ledgerOf, ledgerWords } from './ledger';
import { bodyWords, strikeWords } from './stepWords';
import type { NamedGlass } from './shelf';
import { touchingWords } from './touching';

const BOUGHT = ['clear', 'rose', 'heavy'].map((id, i) => ({
  id,
  constants: { ...TYPICAL_FAMILIES[0], density_kg_m3: [2500, 2480, 2750][i] },
}));
/** Made of them in the studio: in layers, side by side, in no order. */
const MADE = (['level', 'upright', 'mixed'] as const).map((lie): NamedGlass => {
  const of = BOUGHT.map((glass, i) => ({ glass, share: [0.5, 0.2, 0.3][i] }));
  return { id: lie, constants: { ...TYPICAL_FAMILIES[0], density_kg_m3: 0.5 * 2500 + 0.2 * 2480 + 0.3 * 2750 }, made: { lie, of } };
});
const GLASSES: NamedGlass[] = [...BOUGHT, ...MADE];
const glassId = fc.constantFrom('clear', 'rose', 'heavy', ...MADE.map(({ id }) => id));
const figure = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const layer = (id: string): fc.Arbitrary<LaidLayer> =>
  fc.oneof(
    fc.record({ id: fc.constant(id), glassId, form: fc.constant('sheet' as const), thickness_m: figure(0.002, 0.006) }),
    fc.record({ id: fc.constant(id), glassId, form: fc.constant('cap' as const), thickness_m: figure(0.002, 0.004), overhang_m: figure(0, 0.005) }),
    fc.record({
      ...{ id: fc.constant(id), glassId, form: fc.constant('pieces' as const) },
      ...{ thickness_m: figure(0.002, 0.006), cover: figure(0.05, 1), count: fc.integer({ min: 1, max: 20 }) },
    }),
    fc.record({ id: fc.constant(id), glassId, form: fc.constant('stringer' as const), diameter_m: figure(0.001, 0.003), cover: figure(0.05, 1) }),
    fc.record({ id: fc.constant(id), glassId, form: fc.constant('powder' as const), perArea_kg_m2: figure(0.1, 3), cover: figure(0.05, 1) }),
  );

export const firing = (id: string, look: PlannedStep['look'], more: Partial<PlannedStep> = {}): PlannedStep => ({
  ...{ id, kind: 'fire', look, setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c' },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null, ...more },
});

const step = (id: string): fc.Arbitrary<JourneyStep> => {
  const of = <T extends JourneyStep>(rest: { [K in keyof Omit<T, 'id'>]: fc.Arbitrary<T[K]> }): fc.Arbitrary<JourneyStep> =>
    fc.record({ id: fc.constant(id), ...rest }) as unknown as fc.Arbitrary<JourneyStep>;
  const is = <const K extends string>(kind: K) => fc.constant(kind);
  const face = fc.constantFrom('up' as const, 'down' as const);
  type Of<K extends BenchStep['kind']> = Extract<BenchStep, { kind: K }>;
  return fc.oneof(
    { weight: 4, arbitrary: fc.constantFrom(...LOOKS.filter((look) => !RECIPES[look].empty)).map((look) => firing(id, look)) },
    fc
      .tuple(fc.constantFrom('above' as const, 'below' as const), layer(`${id}a`), layer(`${id}b`))
      .map(([side, a, b]): JourneyStep => ({ id, kind: 'lay', side, layers: [a, b] })),
    of<Of<'turn'>>({ kind: is('turn') }),
    of<Of<'cut'>>({
      kind: is('cut'),
      kerf_m: figure(0, 0.003),
      cut: fc.oneof(
        figure(0.03, 0.3).map((diameter_m) => ({ to: 'outline' as const, outline: { shape: 'disc' as const, diameter_m } })),
        fc
          .tuple(figure(0.005, 0.1), fc.constantFrom('flat' as const, 'onEdge' as const))
          .map(([strip_m, stand]) => ({ to: 'strips' as const, strip_m, stand })),
        fc.integer({ min: 2, max: 24 }).map((count) => ({ to: 'segments' as const, count })),
        fc.tuple(face, figure(0.0005, 0.02)).map(([side, depth_m]) => ({ to: 'slice' as const, face: side, depth_m })),
      ),
    }),
    of<Of<'grind'>>({
      ...{ kind: is('grind'), at: fc.constantFrom('rim', 'up', 'down'), depth_m: figure(0, 0.01) },
      ...{
        doneAt: fc.constant(1),
        took: fc.option(
          figure(0.001, 0.01).map((mass_kg) => ({ mass_kg })),
          { nil: undefined },
        ),
      },
    }),
    of<Of<'blast'>>({ kind: is('blast'), face, depth_m: figure(0, 0.006), cover: figure(0.01, 1) }),
    of<Of<'polish'>>({ kind: is('polish'), at: fc.constantFrom('rim', 'up', 'down'), depth_m: figure(0, 0.001) }),
    of<Of<'drill'>>({ kind: is('drill'), hole_m: figure(0.002, 0.02), count: fc.integer({ min: 1, max: 4 }) }),
    of<Of<'fill'>>({ kind: is('fill'), glassId, mass_kg: figure(0.0001, 0.02), spot_m: figure(0.003, 0.03) }),
    of<Of<'wait'>>({ kind: is('wait'), for_s: figure(0, 1e5) }),
  );
};

const footprint = fc.oneof(
  fc.record({ shape: fc.constant('rectangle' as const), width_m: figure(0.05, 0.5), length_m: figure(0.05, 0.5) }),
  fc.record({ shape: fc.constant('disc' as const), diameter_m: figure(0.05, 0.4) }),
  fc.record({ shape: fc.constant('oval' as const), width_m: figure(0.05, 0.3), length_m: figure(0.05, 0.5) }),
  fc.constant({
    shape: 'polygon' as const,
    corners_m: [
      [0, 0],
      [0.2, 0],
      [0.25, 0.15],
      [0.05, 0.2],
    ] as const,
  }),
);

const journeys: fc.Arbitrary<PieceDocument> = fc
  .tuple(footprint, fc.boolean(), layer('first'), fc.integer({ min: 1, max: 12 }))
  .chain(([outline, dammed, first, count]) =>
    fc.tuple(...Array.from({ length: count }, (_, i) => step(`s${i}`))).map((steps): PieceDocument => ({
      ...{ schemaVersion: 3, footprint: outline, dammed, typed: {} },
      journey: [{ id: 'laid', kind: 'lay', side: 'above', layers: [{ id: 'base', form: 'sheet', glassId: 'clear', thickness_m: 0.004 }, first] }, ...steps],
    })),
  );

/** Mass of the body by its geometry alone. */
function weighed({ body }: AfterStep): number {
  const made = valueOf(bodyOf(body, GLASSES));
  return bodyFigures(made.body).mass_kg - body.holes.mass_kg - body.lost_kg;
}

const KINDS_SEEN = new Map<string, number>();

test('what is laid on is what is there and all that was taken, within a thousandth, through 300 random journeys', () => {
  fc.assert(
    fc.property(journeys, (doc) => {
      let laid = 0;
      let taken = 0;
      const all = applySteps(doc, GLASSES);
      for (const after of all) {
        laid += after.laid_kg;
        taken += after.taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0);
        expect(Math.abs(laid - taken - weighed(after))).toBeLessThanOrEqual(1e-3 * laid);
        for (const { mass_kg } of after.taken) expect(mass_kg).toBeGreaterThan(0);
        for (const { from, to } of [after.body.solid, after.body.heated])
          expect([from >= 0, to <= after.body.layers.length, from <= to]).toEqual([true, true, true]);
        if (!after.problem) for (const { as } of after.taken) KINDS_SEEN.set(as, (KINDS_SEEN.get(as) ?? 0) + 1);
      }
      const ledger = ledgerOf(all);
      const gone = ledger.taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0);
      expect(Math.abs(ledger.laid_kg - gone - ledger.left_kg)).toBeLessThanOrEqual(1e-3 * ledger.laid_kg);
      expect(new Set(ledger.taken.map(({ as }) => as)).size).toBe(ledger.taken.length);
    }),
    { numRuns: 300, seed: 15 },
  );
  // None of the ways to lose glass went untried.
  expect([...KINDS_SEEN.keys()].sort()).toEqual(['blasted', 'drilled', 'ground', 'kerf', 'offcut', 'polished']);
});

const rectangle = { shape: 'rectangle', width_m: 0.2, length_m: 0.1 } as const;
const sheet = (id: string, of = 'clear', thickness_m = 0.003): LaidLayer => ({ id, glassId: of, form: 'sheet', thickness_m });
const bars: LaidLayer = { id: 'bars', glassId: 'rose', form: 'pieces', thickness_m: 0.004, cover: 0.3, count: 5 };
const laid = (id: string, layers: LaidLayer[], side: 'above' | 'below' = 'above'): JourneyStep => ({ id, kind: 'lay', side, layers });
const pieceOf = (...journey: JourneyStep[]): PieceDocument => ({ schemaVersion: 3, footprint: rectangle, dammed: false, typed: {}, journey });
const hand = (id: string, rest: object): JourneyStep => ({ id, ...rest }) as JourneyStep;
const last = (doc: PieceDocument): AfterStep => applySteps(doc, GLASSES).at(-1)!;
const DENSITY = { clear: 2500, rose: 2480 };

describe('a step', () => {
  const base = laid('l', [sheet('a'), sheet('b'), bars]);
  const fused = firing('f', 'fullFuse');
  const tacked = firing('t', 'tack');

  test('that turns over puts what stood on top onto the shelf, and twice is as before', () => {
    const once = last(pieceOf(base, tacked, hand('x', { kind: 'turn' })));
    expect(once.body.layers.map(({ id }) => id)).toEqual(['bars', 'b', 'a']);
    expect(once.body.isTurned).toBe(true);
    const twice = last(pieceOf(base, tacked, hand('x', { kind: 'turn' }), hand('y', { kind: 'turn' })));
    expect(twice.body).toEqual(last(pieceOf(base, tacked)).body);
  });

  test('on what does not hold together, on nothing, or on more than there is, is refused in words and changes nothing', () => {
    const cutAway = { kind: 'cut', kerf_m: 0, cut: { to: 'outline', outline: { shape: 'disc', diameter_m: 0.3 } } };
    for (const [doc, words] of [
      [pieceOf(base, hand('x', { kind: 'turn' })), /fuse these layers first/],
      [pieceOf(hand('x', { kind: 'grind', at: 'rim', depth_m: 0.001 })), /no glass here yet/],
      [pieceOf(hand('x', { kind: 'fill', glassId: 'rose', mass_kg: 0.001, spot_m: 0.005 })), /here is none yet/],
      [pieceOf(base, fused, hand('x', cutAway)), /larger than the piece/],
      [pieceOf(base, fused, hand('x', { kind: 'grind', at: 'up', depth_m: 0.02 })), /nothing of the piece would be left/],
      [pieceOf(base, fused, hand('x', { kind: 'grind', at: 'rim', depth_m: 0.06 })), /from rim to rim/],
      [pieceOf(base, fused, hand('x', { kind: 'drill', hole_m: 0.08, count: 1 })), /more than the piece can spare/],
      [pieceOf(base, fused, hand('x', { kind: 'cut', kerf_m: 0, cut: { to: 'strips', strip_m: 0.3, stand: 'flat' } })), /wider than the piece/],
    ] as const) {
      const after = last(doc);
      expect(after.problem?.message).toMatch(words);
      const before = applySteps(doc, GLASSES).at(-2);
      expect(after.mass_kg).toBe(before?.mass_kg ?? 0);
      expect(after.taken).toEqual([]);
    }
  });

  test('that cuts strips and stands them on edge makes a slab of stripes as deep as the strips are wide', () => {
    const strips = hand('x', { kind: 'cut', kerf_m: 0.002, cut: { to: 'strips', strip_m: 0.01, stand: 'onEdge' } });
    const two = pieceOf(laid('l', [sheet('a'), sheet('b', 'rose', 0.006)]), fused, strips);
    const { body, taken } = last(two);
    // 8 strips of 10 mm and 7 cuts of 2 mm of the 100 mm that the narrow side has; 6 mm are over.
    expect(body.footprint).toEqual({ shape: 'rectangle', width_m: expect.closeTo(8 * 0.009, 12), length_m: expect.closeTo(0.2, 12) });
    expect(body.layers).toMatchObject([
      { id: 'a', form: 'pieces', thickness_m: 0.01, cover: expect.closeTo(1 / 3, 12), count: 8 },
      { id: 'b', form: 'pieces', thickness_m: 0.01, cover: expect.closeTo(2 / 3, 12), count: 8 },
    ]);
    const each = 0.003 * DENSITY.clear + 0.006 * DENSITY.rose;
    expect(taken).toEqual([
      { as: 'kerf', mass_kg: expect.closeTo(7 * 0.002 * 0.2 * each, 9) },
      { as: 'offcut', mass_kg: expect.closeTo(0.006 * 0.2 * each, 9) },
    ]);
    expect(isOnePiece(body)).toBe(false);
    // Fired again they are one, and the stripes stay upright.
    const again = last(pieceOf(...two.journey, firing('g', 'strips')));
    expect(isOnePiece(again.body)).toBe(true);
    expect(again.body.layers).toEqual(body.layers);
  });

  test('that blasts leaves what was masked standing', () => {
    const blasted = last(pieceOf(base, fused, hand('x', { kind: 'blast', face: 'up', depth_m: 0.001, cover: 0.4 })));
    // The levelled bars are 1.2 mm of the top: 1 mm of them goes from 40 % of the face.
    expect(blasted.taken).toEqual([{ as: 'blasted', mass_kg: expect.closeTo(0.4 * 0.02 * 0.001 * DENSITY.rose, 9) }]);
    expect(blasted.body.layers.at(-1)).toMatchObject({ name: 'Relief', form: 'pieces', thickness_m: 0.001, cover: 0.6 });
    expect(blasted.body.faces.up).toEqual({ surface: 'blasted', isOpened: false });
    expect(last(pieceOf(base, fused, hand('x', { kind: 'blast', face: 'up', depth_m: 0.002, cover: 0.4 }))).body.faces.up.isOpened).toBe(true);
    // A polish makes the face shine again and keeps the relief; a full fuse levels it.
    const polished = last(pieceOf(base, fused, hand('x', { kind: 'blast', face: 'up', depth_m: 0.001, cover: 0.4 }), firing('p', 'firePolish')));
    expect(polished.body.faces.up.surface).toBe('asMade');
    expect(polished.body.layers.at(-1)).toMatchObject({ form: 'pieces' });
  });

  test('that fuses with relief leaves as much of it as such a firing does, lower and wider, of the same glass', () => {
    // Parts of 3 mm, 25 mm wide, on two sheets of 3 mm: what levelling was calibrated on.
    const parts: LaidLayer = { id: 'parts', glassId: 'clear', form: 'pieces', thickness_m: 0.003, cover: 0.25, count: 8 };
    const on = laid('l', [sheet('a'), sheet('b'), parts]);
    const left = (...looks: PlannedStep['look'][]): number => {
      const { layers } = last(pieceOf(on, ...looks.map((look, i) => firing(String(i), look)))).body;
      const part = layers[layers.length - 1];
      const thickness_m = 'thickness_m' in part ? part.thickness_m : 0;
      const cover = ('cover' in part ? part.cover : undefined) ?? 1;
      expect(thickness_m * cover).toBeCloseTo(0.003 * 0.25, 9);
      // Over what they come to where they have gone in altogether.
      return (thickness_m / 0.003 - 0.25) / 0.75;
    };
    expect(left('tack')).toBeCloseTo(0.75, 1);
    expect(left('contour')).toBeCloseTo(0.5, 1);
    expect(left('stick')).toBeGreaterThan(left('tack'));
    expect(left('tack', 'firePolish')).toBeLessThan(left('tack'));
    expect(left('contour', 'contour')).toBeLessThan(left('contour'));
    expect(left('fullFuse')).toBeCloseTo(0, 9);
    // As high as the drawing of what is expected has them.
    const { body } = valueOf(bodyOf(last(pieceOf(on)).body, GLASSES));
    const tacked = aimedWork('tack', valueOf(neededWork(body, 'tack', TYPICAL_WORKS)));
    const { relief_m, depth_m } = ghostOf(body, 'tack', tacked);
    const { depth } = bodyFigures(valueOf(bodyOf(last(pieceOf(on, firing('f', 'tack'))).body, GLASSES)).body);
    expect(depth.max_m).toBeCloseTo(depth_m + relief_m, 5);
    // What stands side by side without gaps has nowhere to go, and what is bent keeps its relief.
    const row = laid('l', [sheet('a'), { ...bars, cover: 0.4 }, { ...bars, id: 'more', cover: 0.6 }]);
    expect(last(pieceOf(row, firing('f', 'contour'))).body.layers.map((layer) => 'thickness_m' in layer && layer.thickness_m)).toEqual([0.003, 0.004, 0.004]);
    expect(left('contour', 'slump')).toBeCloseTo(left('contour'), 9);
  });

  test('that lays more on what is fused leaves that one solid: the engine warms it as one, and only the new sheets lie down', () => {
    const { body } = last(pieceOf(base, fused, laid('m', [sheet('c')]), laid('u', [sheet('d')], 'below')));
    expect(body.layers.map(({ id }) => id)).toEqual(['d', 'a', 'b', 'bars', 'c']);
    expect(body.solid).toEqual({ from: 1, to: 4 });
    const made = valueOf(bodyOf(body, GLASSES)).body;
    expect(made.joined).toBe(false);
    expect(made.layers.map(({ solid }) => solid ?? false)).toEqual([false, true, true, true, false]);
    expect(isSealed(body)).toBe(true);
  });

  test('that fills a spot puts so much glass there, and a hole in a face that was opened is closed', () => {
    const filled = last(
      pieceOf(base, fused, hand('g', { kind: 'grind', at: 'up', depth_m: 0.002 }), hand('x', { kind: 'fill', glassId: 'clear', mass_kg: 0.002, spot_m: 0.02 })),
    );
    expect(filled.laid_kg).toBe(0.002);
    expect(filled.body.faces.up.isOpened).toBe(false);
  });

  test('of a face takes from what stands highest first; from the shelf’s face all that stands on one ground loses alike', () => {
    const side = (id: string, thickness_m: number): LaidLayer => ({ id, glassId: 'clear', form: 'pieces', thickness_m, cover: 0.5, count: 1 });
    const tacked = firing('t', 'tack');
    const ground = (at: 'up' | 'down'): number[] =>
      last(pieceOf(laid('l', [sheet('a'), side('low', 0.003), side('high', 0.006)]), tacked, hand('g', { kind: 'grind', at, depth_m: 0.002 }))).body.layers.map(
        (one) => Math.round(1e6 * ('thickness_m' in one ? one.thickness_m : 0)),
      );
    expect(ground('up')).toEqual([3000, 3000, 4000]);
    expect(ground('down')).toEqual([1000, 3000, 6000]);
    const alone = (at: 'up' | 'down'): number[] =>
      last(pieceOf(laid('l', [side('low', 0.003), side('high', 0.006)]), tacked, hand('g', { kind: 'grind', at, depth_m: 0.002 }))).body.layers.map((one) =>
        Math.round(1e6 * ('thickness_m' in one ? one.thickness_m : 0)),
      );
    expect(alone('up')).toEqual([3000, 4000]);
    expect(alone('down')).toEqual([1000, 4000]);
  });

  test('of a shape that came out half-way is told, and the shape goes on from there', () => {
    const draped = firing('d', 'drape', { setup: { kind: 'overFormer', paper: false, shaping: { kind: 'former', overhang_m: 0.05, drop_m: 0.04 } } });
    expect(last(pieceOf(base, fused, draped)).body.formed).toMatchObject({ down_m: 0.04, isMeasured: false });
    const measured = valueOf(tellMeasured(pieceOf(base, fused, draped), 'd', 0.018)).doc;
    expect(last(measured).body.formed).toMatchObject({ down_m: 0.018, isMeasured: true });
    expect(valueOf(tellMeasured(measured, 'd', null)).doc).toEqual(pieceOf(base, fused, draped));
  });
});

test('a body says how it holds, what its faces are like, how it is shaped and which way it lies', () => {
  const words = (...journey: JourneyStep[]): string => bodyWords(last(pieceOf(...journey)).body, METRIC);
  const base = laid('l', [sheet('a'), sheet('b')]);
  const fused = firing('f', 'fullFuse');
  const slumped = firing('s', 'slump', { setup: { kind: 'inMould', paper: false, shaping: { kind: 'hollow', span_m: 0.09, depth_m: 0.012 } } });
  expect(words(base)).toBe('Loose layers, which vent at their rims.');
  expect(words(laid('l', [sheet('a')]))).toBe('One piece.');
  expect(words(base, fused)).toBe('One solid; what air is in its seams is sealed in.');
  expect(words(base, fused, laid('m', [bars]))).toBe('One solid, and loose glass with it that vents at its rim.');
  expect(words(base, fused, hand('x', { kind: 'cut', kerf_m: 0, cut: { to: 'segments', count: 6 } }))).toBe('6 loose parts, laid side by side.');
  expect(words(base, fused, hand('g', { kind: 'grind', at: 'up', depth_m: 0.003 }), hand('t', { kind: 'turn' }))).toBe(
    'One piece; shelf face ground; bubbles under the shelf face may lie open; turned over: writing on it reads the other way round.',
  );
  expect(words(base, fused, slumped)).toBe('One solid; what air is in its seams is sealed in; 12 mm down.');
  expect(words(base, fused, { ...slumped, measured: { down_m: 0.005 } } as JourneyStep)).toMatch(/; 5 mm down, as measured\.$/);
});

describe('of a body', () => {
  const base = laid('l', [sheet('a'), sheet('b'), bars]);
  const name = (id: string): string => ({ clear: 'Clear', rose: 'Rose' })[id] ?? id;
  const touching = (doc: PieceDocument): string[] => touchingWords(last(doc).body, name);
  const shelf = {
    ...{ families: [], kilns: [], controllers: [], stripTests: [], made: [], releases: [], forms: [] },
    glasses: ['clear', 'rose'].map((id) => ({
      ...{ id, name: name(id), familyId: 'f', colour: '#c7657f', contents: [] },
      ...(id === 'rose' ? { coldColour: '#e6d3cc' } : {}),
    })),
  };
  const colours = (doc: PieceDocument): string[] => drawnBody(bodyProfile(last(doc).body), shelf).layers.map(({ colour }) => colour);

  test('its ledger is one sum of all that was laid on and taken, in the units of the studio', () => {
    const doc = pieceOf(
      laid('l', [sheet('a')]),
      hand('c', { kind: 'cut', kerf_m: 0.002, cut: { to: 'outline', outline: { shape: 'rectangle', width_m: 0.16, length_m: 0.1 } } }),
      hand('g', { kind: 'grind', at: 'up', depth_m: 0.001 }),
    );
    // 20 × 10 × 0.3 cm³ at 2.5 g/cm³; 4 × 10 cm off, of it 0.2 × (16 + 10) × 2 cm mud; 0.1 cm off the rest.
    const ledger = ledgerOf(applySteps(doc, GLASSES));
    expect(ledger.laid_kg).toBeCloseTo(0.15, 9);
    expect(Object.fromEntries(ledger.taken.map(({ as, mass_kg }) => [as, Math.round(mass_kg * 1e7) / 1e4]))).toEqual({ kerf: 7.8, offcut: 22.2, ground: 40 });
    expect(ledger.left_kg).toBeCloseTo(0.08, 9);
    expect(ledgerWords(ledger, METRIC)).toBe('Laid on 150 g − 7.8 g kerf − 22 g cut off − 40 g ground off = 80 g.');
    expect(ledgerWords(ledger, { ...METRIC, mass: 'oz' })).toMatch(/^Laid on 5\.3 oz − .* = 2\.8 oz\.$/);
    expect(ledgerWords(ledgerOf(applySteps(pieceOf(base), GLASSES)), METRIC)).toBeNull();
  });

  test('is told what touches, as long as it is no seam', () => {
    expect(touching(pieceOf(base))).toEqual(['Clear on the shelf', 'Clear on Clear', 'Rose on Clear']);
    const fused = [base, firing('f', 'fullFuse')];
    expect(touching(pieceOf(...fused))).toEqual(['Clear on the shelf']);
    expect(touching(pieceOf(...fused, hand('x', { kind: 'turn' }), laid('m', [bars])))).toEqual(['Rose on the shelf', 'Rose on Clear']);
    expect(touching(pieceOf(hand('w', { kind: 'wait', for_s: 60 })))).toEqual([]);
  });

  test('glass that strikes is of another colour before it was fused, and after a slump alone still is', () => {
    expect(colours(pieceOf(base))).toEqual(['#c7657f', '#c7657f', '#e6d3cc']);
    expect(strikeWords(last(pieceOf(base)).body, shelf)).toBe('Rose is not its own colour yet: it strikes at its first fuse.');
    const slumped = pieceOf(laid('l', [sheet('a', 'rose')]), firing('s', 'slump', { setup: { kind: 'overMould' } as never }));
    expect(colours(slumped)).toEqual(['#e6d3cc']);
    const fused = pieceOf(base, firing('f', 'tack'));
    expect(colours(fused)).toEqual(['#c7657f', '#c7657f', '#c7657f']);
    expect(strikeWords(last(fused).body, shelf)).toBe('');
    // What is laid under it later is cold, and what was fused stays as it is through turning, grinding and blasting.
    const more = pieceOf(base, firing('f', 'fullFuse'), hand('g', { kind: 'grind', at: 'up', depth_m: 0.0005 }), laid('m', [bars], 'below'));
    expect(new Set(colours(more).slice(1))).toEqual(new Set(['#c7657f']));
    expect(colours(more)[0]).toBe('#e6d3cc');
  });
});

describe('a command', () => {
  const doc = pieceOf(laid('l', [sheet('a'), bars]), firing('f', 'fullFuse'), hand('x', { kind: 'turn' }), firing('g', 'firePolish'));
  const done = (outcome: Outcome<Edited>): PieceDocument => valueOf(outcome).doc;

  test('undoes exactly by its opposite, and says in words what it did', () => {
    const wait = hand('w', { kind: 'wait', for_s: 3600 });
    expect(done(removeStep(done(addStep(doc, wait, 2)), 'w'))).toEqual(doc);
    expect(done(moveStep(done(moveStep(doc, 'x', 0)), 'x', 2))).toEqual(doc);
    expect(done(changeStep(done(changeStep(doc, { ...wait, id: 'x' })), doc.journey[2]))).toEqual(doc);
    expect(done(tellDone(done(tellDone(doc, 'x', 1e12, { time_s: 240 })), 'x', null))).toEqual(doc);
    expect(done(removeLayer(done(addLayer(doc, sheet('n'), { stepId: 'l' })), 'n'))).toEqual(doc);
    expect(done(moveLayer(done(moveLayer(doc, 'a', 1)), 'a', 0))).toEqual(doc);
    expect(valueOf(addStep(doc, wait, 2)).what).toBe('wait added');
    expect(valueOf(moveStep(doc, 'x', 3)).what).toBe('turn over moved to step 4');
    expect(valueOf(tellDone(doc, 'x', 1e12)).what).toBe('turn over done');
    expect(valueOf(removeStep(doc, 'f')).what).toBe('firing removed');
  });

  test('is refused where it names nothing, lays nothing any more, or goes past what a piece holds', () => {
    expect(moveStep(doc, 'nothing', 0)).toMatchObject({ ok: false, problem: { code: 'unknown-id' } });
    expect(tellDone(doc, 'f', 1)).toMatchObject({ ok: false, problem: { code: 'not-by-hand' } });
    expect(tellMeasured(doc, 'x', 0.01)).toMatchObject({ ok: false, problem: { code: 'no-firing' } });
    expect(removeStep(doc, 'l')).toMatchObject({ ok: false, problem: { code: 'too-few' } });
    const full = pieceOf(...Array.from({ length: STEPS_AT_MOST }, (_, i) => hand(`w${i}`, { kind: 'wait', for_s: 60 })));
    expect(addStep(full, hand('more', { kind: 'turn' }))).toMatchObject({ ok: false, problem: { code: 'too-many' } });
    const many: LaidLayer = { ...bars, id: 'many', count: PARTS_AT_MOST - 4 } as LaidLayer;
    expect(addLayer(doc, many)).toMatchObject({
      ok: false,
      problem: { message: `A piece has at most ${PARTS_AT_MOST} cut pieces in all; these would be ${PARTS_AT_MOST + 1}.` },
    });
  });
});

test('a document of version 2 is the journey of its lay-up and firings; what is no such document comes back as it came', () => {
  const earlier = { schemaVersion: 2, footprint: rectangle, dammed: true, typed: { width: '20 cm' }, layers: [sheet('a'), bars] } as const;
  const { kind: _kind, ...fire } = firing('f', 'tack');
  const doc = asJourney({ ...earlier, layers: [...earlier.layers], steps: [fire] });
  expect(doc).toEqual({ ...pieceOf(laid(FIRST_LAID_ID, [sheet('a'), bars]), firing('f', 'tack')), dammed: true, typed: { width: '20 cm' } });
  expect(laidLayers(doc)).toEqual(earlier.layers);
  expect(asJourney({ ...earlier, layers: [], steps: [] }).journey).toEqual([]);
  for (const other of [doc, null, 'x', { schemaVersion: 2 }, { schemaVersion: 1, layers: [], steps: [] }]) expect(asJourney(other)).toBe(other);
});
