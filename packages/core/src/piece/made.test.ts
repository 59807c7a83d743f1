/** Made glass: what of a piece goes onto the shelf, what it is there, what is taken of it again. */
import { bodyFigures } from '../body/body';
import { footprintArea } from '../body/footprint';
import { fit } from '../fit/fit';
import { TYPICAL_FAMILIES } from '../glass/families';
import { stripsOnEdge } from '../plan/motifs';
import { valueOf } from '../problem';
import { METRIC } from '../units/convert';
import { type AfterStep, applySteps } from './applySteps';
import { bodyOf, nothingYet } from './bodyNow';
import type { JourneyStep, LaidLayer, PieceDocument, PlannedStep } from './document';
import { drawnLayers } from './drawnLayers';
import { fitQuestion } from './fitQuestion';
import { heatWords } from './heatSoFar';
import { STRIPES_AT_MOST, glassIdsIn, laidAs, stripesOf, takenBy, yieldOf } from './made';
import { turnLayer } from './commands';
import { laidLayers } from './journey';
import { layMotif } from './layMotif';
import { STUDIO_KILN } from '../testCases';
import { outdatedBy } from './outdated';
import { snapshotOf } from './snapshot';
import { type Shelf, type ShelfMade, glassName, namedGlasses } from './shelf';

const [FAMILY] = TYPICAL_FAMILIES;
const OTHER = { ...FAMILY, id: 'other', name: 'Other', expansion_perK: FAMILY.expansion_perK * 1.4, density_kg_m3: 2800 };
const glass = (id: string, familyId = FAMILY.id) => ({ id, name: id, familyId, colour: { straw: '#eecc66', rose: '#cc6677' }[id] ?? '#99aabb', contents: [] });
const shelfWith = (...made: ShelfMade[]): Shelf => ({
  ...{ families: [FAMILY, OTHER], glasses: [glass('straw'), glass('rose'), glass('alien', 'other')], made },
  ...{ kilns: [], controllers: [], stripTests: [], releases: [], forms: [] },
});
const BARE = shelfWith();
const slab = (more: Partial<ShelfMade> = {}): ShelfMade => ({
  ...{ id: 'slab', name: 'Striped slab', lie: 'upright' },
  ...{
    stripes: [
      { glassId: 'straw', share: 0.25 },
      { glassId: 'rose', share: 0.75 },
    ],
  },
  ...more,
});

const outline = { shape: 'rectangle', width_m: 0.06, length_m: 0.1 } as const;
const laid = (id: string, layers: LaidLayer[]): JourneyStep => ({ id, kind: 'lay', side: 'above', layers });
const fused: PlannedStep = {
  ...{ id: 'f', kind: 'fire', look: 'fullFuse', setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c' },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
};
const pieceOf = (journey: JourneyStep[], dammed = false): PieceDocument => ({ schemaVersion: 3, footprint: outline, dammed, typed: {}, journey });
const sheet = (id: string, glassId: string, thickness_m = 0.003): LaidLayer => ({ id, glassId, form: 'sheet', thickness_m });
const after = (doc: PieceDocument, shelf = BARE): AfterStep[] => applySteps(doc, namedGlasses(shelf));
let count = 0;
const newId = (): string => `p${(count += 1)}`;

/** 20 strips of 3 mm, one straw and two of rose and so on, 12 mm high, in a dam that they fill. */
function onEdge(): PieceDocument {
  const motif = stripsOnEdge({ count: 20, length_m: 0.1, thicknesses_m: [0.003, 0.003, 0.003] });
  const stuff = (glassId: string) => ({ form: 'pieces', glassId, thickness_m: 0.012 }) as const;
  const dam = { footprint: { shape: 'rectangle', width_m: motif.width_m, length_m: motif.length_m } as const, dammed: true };
  const edited = layMotif(pieceOf([]), undefined, { motif, of: [stuff('straw'), stuff('rose'), stuff('rose')], outline: dam, what: 'strips laid' }, newId);
  const { doc } = valueOf(edited);
  return { ...doc, journey: [...doc.journey, fused] };
}

describe('what comes out of a piece', () => {
  test('strips on edge that have run together are a slab of upright stripes in the order in which they stood', () => {
    const doc = onEdge();
    expect([doc.dammed, footprintArea(doc.footprint)]).toEqual([true, expect.closeTo(0.06 * 0.1, 12)]);
    const made = yieldOf(after(doc), namedGlasses(BARE))!;
    expect(made).toMatchObject({ form: 'slab', count: 1, thickness_m: expect.closeTo(0.012, 9), lie: 'upright' });
    expect(made.mass_kg).toBeCloseTo(0.06 * 0.1 * 0.012 * FAMILY.density_kg_m3, 9);
    // Straw, two of rose as one stripe, straw and so on: 7 of straw and 7 of rose, the last of which is one strip.
    expect(made.stripes).toHaveLength(14);
    expect(made.stripes.map(({ glassId }) => glassId).slice(0, 3)).toEqual(['straw', 'rose', 'straw']);
    expect(made.stripes.map(({ share }) => share)).toEqual([
      ...Array.from({ length: 13 }, (_, i) => expect.closeTo(i % 2 === 0 ? 0.05 : 0.1, 9)),
      expect.closeTo(0.05, 9),
    ]);
    expect(made.stripes.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });

  test('sheets that lie on one another are level, the lowest first; with bars in between they are in no order', () => {
    const level = after(pieceOf([laid('l', [sheet('a', 'straw'), sheet('b', 'rose', 0.006)]), fused]));
    expect(stripesOf(level[1].body, namedGlasses(BARE))).toEqual({
      lie: 'level',
      stripes: [
        { glassId: 'straw', share: expect.closeTo(1 / 3, 9) },
        { glassId: 'rose', share: expect.closeTo(2 / 3, 9) },
      ],
    });
    const rods: LaidLayer = { id: 'r', glassId: 'rose', form: 'stringer', diameter_m: 0.002, cover: 0.4 };
    const lace = after(pieceOf([laid('l', [sheet('a', 'straw'), rods]), { ...fused, look: 'tack' }]));
    expect(stripesOf(lace[1].body, namedGlasses(BARE)).lie).toBe('mixed');
    const bars: LaidLayer = { id: 'c', glassId: 'rose', form: 'pieces', thickness_m: 0.003, cover: 0.5, count: 3 };
    const mixed = stripesOf(
      after(pieceOf([laid('l', [sheet('a', 'straw'), bars, { ...bars, id: 'd', glassId: 'straw', cover: 0.2 }])]))[0].body,
      namedGlasses(BARE),
    );
    expect(mixed.lie).toBe('mixed');
    expect(mixed.stripes.map(({ glassId }) => glassId).sort()).toEqual(['rose', 'straw']);
  });

  test('is as many as it was cut to, each as large as a strip', () => {
    const strips: JourneyStep = { id: 's', kind: 'cut', kerf_m: 0, cut: { to: 'strips', strip_m: 0.01, stand: 'flat' } };
    const made = yieldOf(after(pieceOf([laid('l', [sheet('a', 'straw', 0.006)]), strips])), namedGlasses(BARE));
    expect(made).toMatchObject({
      count: 6,
      form: 'bar',
      footprint: { shape: 'rectangle', width_m: expect.closeTo(0.01, 9), length_m: expect.closeTo(0.1, 9) },
    });
    const segments: JourneyStep = { id: 's', kind: 'cut', kerf_m: 0, cut: { to: 'segments', count: 8 } };
    const wedges = yieldOf(after(pieceOf([laid('l', [sheet('a', 'straw', 0.006)]), segments])), namedGlasses(BARE))!;
    expect([wedges.count, wedges.footprint.shape, 8 * footprintArea(wedges.footprint)]).toEqual([8, 'polygon', expect.closeTo(0.06 * 0.1, 12)]);
    expect(yieldOf(after(pieceOf([])), namedGlasses(BARE))).toBeNull();
  });

  test('sawn across its stripes every bar has all of them, sawn along them each has others', () => {
    const strips: JourneyStep = { id: 's', kind: 'cut', kerf_m: 0.002, cut: { to: 'strips', strip_m: 0.02, stand: 'flat' } };
    const sawn = (length_m: number) => {
      const motif = stripsOnEdge({ count: 20, length_m, thicknesses_m: [0.005, 0.005] });
      const of = ['straw', 'rose'].map((glassId) => ({ form: 'pieces', glassId, thickness_m: 0.012 }) as const);
      const dam = { footprint: { shape: 'rectangle', width_m: motif.width_m, length_m } as const, dammed: true };
      const { doc } = valueOf(layMotif(pieceOf([]), undefined, { motif, of, outline: dam, what: '' }, newId));
      return yieldOf(after({ ...doc, journey: [...doc.journey, fused, strips] }), namedGlasses(BARE))!;
    };
    // 100 mm of stripes, 66 or 150 mm long: the saw divides what is narrower.
    const across = sawn(0.066);
    expect([across.count, across.form, across.lie, across.stripes.length]).toEqual([3, 'bar', 'crosswise', 20]);
    const along = sawn(0.15);
    expect([along.count, along.lie, along.stripes.map(({ share }) => share)]).toEqual([4, 'mixed', [expect.closeTo(0.5, 9), expect.closeTo(0.5, 9)]]);
  });

  test(`more than ${STRIPES_AT_MOST} stripes are told by their shares alone`, () => {
    const motif = stripsOnEdge({ count: 80, length_m: 0.1, thicknesses_m: [0.0005, 0.001] });
    const of = ['straw', 'rose'].map((glassId) => ({ form: 'pieces', glassId, thickness_m: 0.01 }) as const);
    const dam = { footprint: { shape: 'rectangle', width_m: motif.width_m, length_m: 0.1 } as const, dammed: true };
    const { doc } = valueOf(layMotif(pieceOf([]), undefined, { motif, of, outline: dam, what: '' }, newId));
    const { lie, stripes } = stripesOf(after(doc)[0].body, namedGlasses(BARE));
    expect([lie, stripes.map(({ share }) => share)]).toEqual(['mixed', [expect.closeTo(1 / 3, 9), expect.closeTo(2 / 3, 9)]]);
  });
});

describe('on the shelf', () => {
  const shelf = shelfWith(slab(), slab({ id: 'layered', lie: 'level' }));

  test('is a glass by its name, as dense as what it is of', () => {
    const alien = slab({
      id: 'heavy',
      stripes: [
        { glassId: 'straw', share: 0.5 },
        { glassId: 'alien', share: 0.5 },
      ],
    });
    const dense = namedGlasses(shelfWith(alien)).find(({ id }) => id === 'heavy');
    expect(dense?.constants.density_kg_m3).toBeCloseTo((FAMILY.density_kg_m3 + 2800) / 2, 9);
    expect([glassName(shelf, 'slab'), glassName(shelf, 'straw'), glassName(shelf, 'gone')]).toEqual(['Striped slab', 'straw', 'gone']);
    // Where two are called the same, each with its family.
    const [straw] = shelf.glasses.filter(({ id }) => id === 'straw');
    const two = {
      ...{ made: [], glasses: [straw, { ...straw, id: 'other', name: 'Straw ', familyId: 'float' }] },
      families: [
        { id: straw.familyId, name: 'Soft sheet' },
        { id: 'float', name: 'Window float' },
      ],
    };
    expect([glassName(two, 'straw'), glassName(two, 'other')]).toEqual(['straw (Soft sheet)', 'Straw  (Window float)']);
    // Of a glass that is on no shelf it is none.
    expect(namedGlasses(shelfWith(slab({ stripes: [{ glassId: 'gone', share: 1 }] }))).map(({ id }) => id)).toEqual(['straw', 'rose', 'alien']);
    expect([laidAs('bar'), laidAs('cane'), laidAs('frit')]).toEqual([
      ['sheet', 'cap', 'pieces'],
      ['rod', 'stringer'],
      ['frit', 'powder'],
    ]);
  });

  test.each([
    ['a whole sheet of it', sheet('a', 'slab', 0.012), 1],
    ['pieces', { id: 'a', glassId: 'slab', form: 'pieces', thickness_m: 0.012, cover: 0.4, count: 4 }, 0.4],
    ['a row of rods', { id: 'a', glassId: 'slab', form: 'rod', diameter_m: 0.012 / (Math.PI / 4), cover: 0.3 }, 0.3],
  ] as [string, LaidLayer, number][])('%s weighs and is of what it was made of', (_, layer, cover) => {
    const now = { ...nothingYet({ footprint: outline, dammed: false }), layers: [sheet('base', 'straw', 0.001), layer] };
    const { body, glassIds } = valueOf(bodyOf(now, namedGlasses(shelf)));
    expect(glassIds).toEqual(['straw', 'rose']);
    const figures = bodyFigures(body);
    const whole = 0.06 * 0.1 * FAMILY.density_kg_m3;
    expect(figures.perGlass_kg).toEqual([expect.closeTo(whole * (0.001 + 0.25 * cover * 0.012), 9), expect.closeTo(whole * 0.75 * cover * 0.012, 9)]);
    expect(figures.depth.max_m).toBeCloseTo(0.013, 9);
  });

  test('a sheet of it is solid already: alone it is one piece, under loose glass its layers hold together', () => {
    const alone = { ...nothingYet({ footprint: outline, dammed: false }), layers: [sheet('a', 'layered', 0.012)] };
    expect(valueOf(bodyOf(alone, namedGlasses(shelf))).body).toMatchObject({
      joined: true,
      layers: [{ thickness_m: 0.003 }, { thickness_m: expect.closeTo(0.009, 12) }],
    });
    const under = { ...alone, layers: [sheet('a', 'layered', 0.012), sheet('b', 'straw')] };
    const { body, laidAt } = valueOf(bodyOf(under, namedGlasses(shelf)));
    expect([body.joined, body.layers.map(({ solid }) => solid === true), laidAt]).toEqual([false, [true, true, false], [0, 0, 1]]);
  });

  test('fits by what meets what lies over and under it', () => {
    const alien = slab({
      id: 'mixed',
      lie: 'level',
      stripes: [
        { glassId: 'straw', share: 0.5 },
        { glassId: 'alien', share: 0.5 },
      ],
    });
    const within = shelfWith(alien);
    const asked = (layers: LaidLayer[]) => fit(fitQuestion(layers, within)).verdict;
    // Straw is its underside, the other family its face.
    expect(asked([sheet('a', 'rose'), sheet('b', 'mixed')])).toBe('fits');
    expect(asked([sheet('b', 'mixed'), sheet('a', 'rose')])).toBe('fails');
    const upright = shelfWith({ ...alien, lie: 'upright' });
    expect(fit(fitQuestion([sheet('a', 'rose'), sheet('b', 'mixed')], upright)).verdict).toBe('fails');
    const { between, ids } = fitQuestion([sheet('a', 'rose'), sheet('b', 'mixed')], upright);
    expect([ids, between]).toEqual([
      ['rose', 'straw', 'alien'],
      [[[0, 1]], [[0, 1]]],
    ]);
  });

  test('is drawn in its stripes: side by side, or on one another; on its cut face the other way', () => {
    const drawn = (layer: LaidLayer) => drawnLayers([layer], shelf)[0];
    const stripes = [
      { colour: '#eecc66', share: 0.25 },
      { colour: '#cc6677', share: 0.75 },
    ];
    expect(drawn(sheet('a', 'slab'))).toMatchObject({ name: 'Striped slab', colour: '#cc6677', stripes });
    expect(drawn(sheet('a', 'slab')).stacked).toBeUndefined();
    expect(drawn(sheet('a', 'layered')).stacked).toBe(true);
    const cut: LaidLayer = { id: 'c', glassId: 'layered', form: 'pieces', thickness_m: 0.01, cover: 0.2, count: 2, cutFace: 'side' };
    expect(drawn(cut).stacked).toBeUndefined();
    // Sliced, its layers lie from the front to the back.
    expect(drawn({ ...cut, cutFace: 'end' } as LaidLayer)).toMatchObject({ crosswise: true });
    // A slab that is longer than wide, its stripes running along it: slices show them all, of strips each has others.
    expect(drawn({ ...cut, glassId: 'slab', cutFace: 'end' } as LaidLayer)).toMatchObject({ stripes });
    expect(drawn({ ...cut, glassId: 'slab' }).stripes).toBeUndefined();
    // Wider than long, they run across it: strips show them one after another, of slices each has others.
    const wide = shelfWith(slab({ footprint: { shape: 'rectangle', width_m: 0.12, length_m: 0.06 } }));
    const across = (cutFace: 'side' | 'end') => drawnLayers([{ ...cut, glassId: 'slab', cutFace } as LaidLayer], wide)[0];
    expect(across('side')).toMatchObject({ crosswise: true, stripes });
    expect(across('end').stripes).toBeUndefined();
  });

  test('turned over it shows its other face: laid so, or with the piece that it is in', () => {
    const one = { ...sheet('a', 'layered', 0.012), flipped: true } as LaidLayer;
    const stripes = [
      { colour: '#cc6677', share: 0.75 },
      { colour: '#eecc66', share: 0.25 },
    ];
    expect(drawnLayers([one], shelf)[0]).toMatchObject({ stacked: true, stripes });
    const depths = (layer: LaidLayer) =>
      valueOf(bodyOf({ ...nothingYet({ footprint: outline, dammed: false }), layers: [layer] }, namedGlasses(shelf))).body.layers;
    expect(depths(one)).toMatchObject([{ glass: 1, thickness_m: expect.closeTo(0.009, 12) }, { glass: 0 }]);
    const doc = pieceOf([laid('l', [sheet('a', 'layered', 0.012)]), { id: 't', kind: 'turn' }]);
    const turned = after(doc, shelf)[1].body;
    expect(drawnLayers(turned.layers, shelf)[0]).toMatchObject({ stripes });
    expect(stripesOf(turned, namedGlasses(shelf)).stripes.map(({ glassId }) => glassId)).toEqual(['rose', 'straw']);
    const twice = after({ ...doc, journey: [...doc.journey, { id: 'u', kind: 'turn' }] }, shelf)[2].body;
    expect(twice.layers).toEqual([sheet('a', 'layered', 0.012)]);
    // By a touch, and back again.
    const edited = valueOf(turnLayer(doc, 'a', true));
    expect([laidLayers(edited.doc)[0].flipped, edited.what]).toEqual([true, 'Sheet turned over']);
    expect(valueOf(turnLayer(edited.doc, 'a', true)).doc).toEqual(doc);
  });

  test('what was made of it again is of the same glass', () => {
    const twice = after(pieceOf([laid('l', [sheet('a', 'layered'), sheet('b', 'straw', 0.003)]), fused]), shelf);
    expect(stripesOf(twice[1].body, namedGlasses(shelf))).toEqual({
      lie: 'level',
      stripes: [
        { glassId: 'straw', share: expect.closeTo(0.125, 9) },
        { glassId: 'rose', share: expect.closeTo(0.375, 9) },
        { glassId: 'straw', share: expect.closeTo(0.5, 9) },
      ],
    });
  });
});

describe('what a piece takes', () => {
  const shelf = shelfWith(slab());

  test('is what it lays of each, on the outline that it has there; of a glass on no shelf nothing', () => {
    const cut: JourneyStep = { id: 'c', kind: 'cut', kerf_m: 0, cut: { to: 'outline', outline: { shape: 'rectangle', width_m: 0.03, length_m: 0.1 } } };
    const fill: JourneyStep = { id: 'x', kind: 'fill', glassId: 'slab', mass_kg: 0.001, spot_m: 0.005 };
    const doc = pieceOf([laid('l', [sheet('a', 'straw', 0.006)]), cut, laid('m', [sheet('b', 'slab', 0.01)]), fill]);
    const each = 0.03 * 0.1 * 0.01 * FAMILY.density_kg_m3;
    // Twice as wide before it was cut, and not as deep.
    const straw_kg = 2 * 0.03 * 0.1 * 0.006 * FAMILY.density_kg_m3;
    expect([...takenBy(doc, namedGlasses(shelf))]).toEqual([
      ['straw', expect.closeTo(straw_kg, 9)],
      ['slab', expect.closeTo(each + 0.001, 9)],
    ]);
    expect(takenBy(pieceOf([laid('l', [sheet('a', 'nowhere', 0.006)])]), namedGlasses(shelf)).get('nowhere')).toBe(0);
    expect(glassIdsIn(doc)).toEqual(['straw', 'slab']);
  });

  test('a schedule of it is outdated by other figures of a glass that it is of, not by another name', () => {
    const kiln = { ...STUDIO_KILN, id: 'k', name: 'Kiln' };
    const controller = { id: 'c', name: 'Box', unit: 'C', fullSpeedCode: 4000, mostSegments: 8 } as const;
    const standing = { ...shelf, kilns: [kiln], controllers: [controller] };
    const doc = pieceOf([laid('l', [sheet('a', 'slab', 0.006)]), fused]);
    const made = valueOf(snapshotOf(doc, fused, standing));
    expect(made.firing.body.glasses).toHaveLength(2);
    expect(made.layers[0]).toMatchObject({ name: 'Striped slab', stripes: [{ share: 0.25 }, { share: 0.75 }] });
    const now = (changed: Partial<Shelf>): string[] => outdatedBy(doc, 'f', { ...standing, ...changed }, made, METRIC);
    expect(now({ made: [slab({ name: 'Grey slab' })] })).toEqual([]);
    const [said] = now({ families: [{ ...FAMILY, annealing_C: FAMILY.annealing_C + 20 }, OTHER] });
    expect(said).toMatch(/The figures of .* have been changed on the shelf/);
  });

  test('goes on from the heat that it had seen', () => {
    const now = { ...nothingYet({ footprint: outline, dammed: false }), layers: [sheet('a', 'slab')] };
    const { body } = valueOf(bodyOf(now, namedGlasses(shelf)));
    const own = { work_perPa: 1e-3, haze_s: 600, hazeBears_s: 7200, stress_Pa: 1e5 };
    expect(heatWords([], body, METRIC)).toEqual([]);
    const [haze, heat, from] = heatWords([own], body, METRIC, [{ name: 'Striped slab', work_perPa: 1e-3, haze_s: 1200 }]);
    expect(haze).toBe('Devit so far: 30 min (limit 120).');
    expect(from).toBe('Striped slab brought 20 min of that, and the heat of its own firings.');
    const [, twice] = heatWords([own, own], body, METRIC);
    expect(heat).toBe(twice);
    expect(heatWords([], body, METRIC, [{ name: 'Striped slab', work_perPa: 1e-3, haze_s: 1200 }])[0]).toBe('Devit so far: 20 min.');
  });
});
