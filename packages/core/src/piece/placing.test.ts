import { bodyFigures } from '../body/body';
import { TYPICAL_FAMILIES } from '../glass/families';
import type { PlacedPart } from '../plan/parts';
import type { Outcome } from '../problem';
import { designDepth } from '../look/unevenness';
import { unlikeColumns } from '../schedule/unlike';
import { applySteps } from './applySteps';
import { bodyBefore } from './bodyAt';
import { type Edited, addLayer, changeLayer, repeatLayer, setOutline } from './commands';
import type { JourneyStep, LaidLayer, PieceDocument } from './document';
import { drawnLayers } from './drawnLayers';
import { laidLayers } from './journey';
import { leanLayer, partsOf } from './placed';
import {
  alignParts,
  changePart,
  dealParts,
  mirrorParts,
  moveParts,
  partsIn,
  placeParts,
  placeSpread,
  removeParts,
  repeatInRing,
  repeatInRows,
  spaceParts,
  turnParts,
} from './placing';

const glasses = ['clear', 'rose', 'kelp'].map((id) => ({ id, constants: { ...TYPICAL_FAMILIES[0] } }));
const sheet: LaidLayer = { id: 'base', form: 'sheet', glassId: 'clear', thickness_m: 0.006 };
const numerals: LaidLayer = { id: 'numerals', form: 'pieces', glassId: 'rose', thickness_m: 0.003, cover: 0.2, count: 7 };
const panel = (...layers: LaidLayer[]): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'rectangle', width_m: 0.3, length_m: 0.24 }, dammed: false, typed: {} },
  journey: [{ id: 'laying', kind: 'lay', side: 'above', layers }],
});
const bar = (id: string, x_m = 0, y_m = 0, turned_deg = 0, width_m = 0.014): PlacedPart => ({
  ...{ id, x_m, y_m, turned_deg },
  outline: { shape: 'rectangle', width_m, length_m: 0.069 },
});
const ROSE = { form: 'pieces', glassId: 'rose', thickness_m: 0.003 } as const;
const KELP = { ...ROSE, glassId: 'kelp' };

let made = 0;
const newId = (): string => `new ${(made += 1)}`;

function done(edited: Outcome<Edited>): PieceDocument {
  if (!edited.ok) throw new Error(edited.problem.message);
  return edited.value.doc;
}
const refusal = (edited: Outcome<Edited>): string => (edited.ok ? '' : edited.problem.message);
const inStep = (doc: PieceDocument) => partsIn(doc.journey[0] as Extract<JourneyStep, { kind: 'lay' }>);
const placeOf = (doc: PieceDocument, id: string): number[] => {
  const { x_m, y_m, turned_deg } = inStep(doc).find((part) => part.id === id) ?? { x_m: NaN, y_m: NaN, turned_deg: NaN };
  return [x_m, y_m, turned_deg].map((one) => Math.round(one * 1e6) / 1e6 + 0);
};
const placed = done(placeParts(panel(sheet), 'laying', ROSE, [bar('a', -0.1), bar('b', 0.02, 0.01, 30)], 'bars', 'Bars'));

describe('parts that are placed', () => {
  test('are a layer of their own whose number and cover are those of its parts; more of the same lie in it too', () => {
    expect(laidLayers(placed)[1]).toMatchObject({ id: 'bars', name: 'Bars', form: 'pieces', count: 2, cover: expect.closeTo((2 * 0.014 * 0.069) / 0.072, 12) });
    const more = done(placeParts(placed, 'laying', ROSE, [bar('c', 0.1)], 'others'));
    expect(laidLayers(more).map(({ id }) => id)).toEqual(['base', 'bars']);
    expect(laidLayers(more)[1]).toMatchObject({ count: 3 });
    const other = done(placeParts(placed, 'laying', KELP, [bar('c', 0.1)], 'others'));
    expect(laidLayers(other).map(({ id }) => id)).toEqual(['base', 'bars', 'others']);
  });

  test('lie over what is laid over those of before', () => {
    const covered = done(addLayer(placed, { ...sheet, id: 'cover' }));
    expect(laidLayers(done(placeParts(covered, 'laying', ROSE, [bar('c')], 'upper'))).map(({ id }) => id)).toEqual(['base', 'bars', 'cover', 'upper']);
  });

  test('are moved, turned and mirrored, one or all together', () => {
    expect(placeOf(done(moveParts(placed, 'laying', ['b'], 0.01, -0.02)), 'b')).toEqual([0.03, -0.01, 30]);
    expect(placeOf(done(turnParts(placed, 'laying', ['b'], -50)), 'b')).toEqual([0.02, 0.01, -20]);
    expect(placeOf(done(mirrorParts(placed, 'laying', ['b'], 'leftRight', null)), 'b')).toEqual([0.02, 0.01, -30]);
    const both = done(mirrorParts(placed, 'laying', ['b'], 'leftRight', newId));
    expect(inStep(both)).toHaveLength(3);
    expect(placeOf(both, inStep(both)[2].id)).toEqual([-0.02, 0.01, -30]);
    const turned = done(turnParts(placed, 'laying', ['a', 'b'], 180));
    expect(placeOf(turned, 'a')[2]).toBe(180);
    expect(inStep(turned).map(({ x_m }) => x_m)[0]).toBeGreaterThan(0);
  });

  test('are repeated, lined up, spaced, cut from another glass, changed and removed', () => {
    const row = { count: 4, rows: 2, gap_m: 0.01, rowGap_m: 0.02, staggered: false, centred: true };
    const rows = done(repeatInRows(placed, 'laying', ['a'], row, newId));
    expect(inStep(rows)).toHaveLength(9);
    expect(laidLayers(rows)[1]).toMatchObject({ count: 9 });
    expect(inStep(done(repeatInRing(placed, 'laying', ['a'], 6, newId)))).toHaveLength(7);
    const lined = done(alignParts(done(turnParts(placed, 'laying', ['b'], -30)), 'laying', ['a', 'b'], 'front'));
    expect(placeOf(lined, 'a')[1]).toBe(placeOf(lined, 'b')[1]);
    expect(
      inStep(
        done(
          spaceParts(
            rows,
            'laying',
            inStep(rows).map(({ id }) => id),
            'x',
          ),
        ),
      ),
    ).toHaveLength(9);
    const dealt = done(dealParts(placed, 'laying', ['a'], KELP, 'kelp bars'));
    expect(laidLayers(dealt)).toMatchObject([{ id: 'base' }, { glassId: 'rose', count: 1 }, { glassId: 'kelp', count: 1 }]);
    expect(placeOf(done(changePart(placed, 'laying', bar('a', 0.05))), 'a')).toEqual([0.05, 0, 0]);
    expect(laidLayers(done(removeParts(placed, 'laying', ['a', 'b']))).map(({ id }) => id)).toEqual(['base']);
  });

  test('are refused in words where there are too many of them, no room, no such part or nothing left', () => {
    const row = { count: 41, rows: 10, gap_m: 0, rowGap_m: 0, staggered: false, centred: true };
    expect(refusal(repeatInRows(placed, 'laying', ['a'], row, newId))).toBe('A piece has at most 400 cut pieces in all; these would be 411.');
    expect(refusal(repeatInRows(placed, 'laying', ['a'], { ...row, count: 20, rows: 5 }, newId))).toMatch(/larger together than the outline/);
    expect(
      refusal(setOutline(done(repeatInRows(placed, 'laying', ['a'], { ...row, count: 4, rows: 2 }, newId)), { shape: 'disc', diameter_m: 0.05 }, {})),
    ).toMatch(/larger together than this outline/);
    expect(refusal(moveParts(placed, 'laying', ['gone'], 0, 0))).toMatch(/None of these parts/);
    const alone = done(placeParts(panel(), 'laying', ROSE, [bar('a')], 'bars'));
    expect(refusal(removeParts(alone, 'laying', ['a']))).toMatch(/at least one layer/);
  });

  test('of a layer laid again have ids of their own', () => {
    const again = inStep(done(repeatLayer(placed, 'bars', 'again')));
    expect(new Set(again.map(({ id }) => id)).size).toBe(4);
  });
});

describe('a layer of which only number and cover are known', () => {
  test('is given the places in which it is drawn: as many, as much, none on another, and its glass stays', () => {
    const spread = done(placeSpread(panel(sheet, numerals), 'numerals', newId));
    const [, layer] = laidLayers(spread);
    expect(layer).toMatchObject({ count: 7, cover: expect.closeTo(0.2, 9) });
    const mass = (doc: PieceDocument): number => applySteps(doc, glasses)[0].mass_kg;
    expect(mass(spread)).toBeCloseTo(mass(panel(sheet, numerals)), 9);
  });

  test('of rods too', () => {
    const rods: LaidLayer = { id: 'rods', form: 'stringer', glassId: 'rose', diameter_m: 0.002, cover: 0.1 };
    const spread = done(placeSpread(panel(sheet, rods), 'rods', newId));
    expect(partsOf(laidLayers(spread)[1])).toHaveLength(15);
    expect(applySteps(spread, glasses)[0].mass_kg).toBeCloseTo(applySteps(panel(sheet, rods), glasses)[0].mass_kg, 9);
  });
});

describe('the body of what is placed', () => {
  const met = (doc: PieceDocument) => {
    const body = bodyBefore(doc, 'the end', glasses);
    if (!body.ok) throw new Error(body.problem.message);
    return body.value;
  };

  test('is as deep as its deepest place, and thick and thin lie as far apart as they are wide', () => {
    const { body } = met(placed);
    expect(bodyFigures(body).depth).toMatchObject({ min_m: expect.closeTo(0.006, 9), max_m: expect.closeTo(0.009, 9) });
    // A layer of the same cover nobody knows the places of is as uneven; bars on bars are more.
    const crossed = met(done(placeParts(placed, 'laying', KELP, [bar('x', 0.02, 0.01, -60)], 'over')));
    expect(bodyFigures(crossed.body).depth.max_m).toBeCloseTo(0.012, 9);
    expect(designDepth(crossed.body, 'tack').depth_m).toBeGreaterThan(designDepth(body, 'tack').depth_m + 0.005);
    expect(unlikeColumns(body)?.apart_m).toBeGreaterThan(0.01);
  });

  test('is drawn from the side with its parts where they stand', () => {
    const drawn = drawnLayers(laidLayers(placed), undefined, placed.footprint);
    expect(drawn[1].spans_m).toEqual([
      [expect.closeTo(-0.107, 9), expect.closeTo(-0.093, 9)],
      [expect.any(Number), expect.any(Number)],
    ]);
    const lean = leanLayer(laidLayers(placed)[1], placed.footprint);
    expect(drawnLayers([lean], undefined, placed.footprint)[0].spans_m).toEqual(drawn[1].spans_m);
  });

  const fire = (look: 'tack' | 'fullFuse'): JourneyStep => ({
    ...{ kind: 'fire', id: look, look, setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c' },
    ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
  });
  const after = (...steps: JourneyStep[]) => applySteps({ ...placed, journey: [...placed.journey, ...steps] }, glasses).at(-1);

  test('sinks in a tack where it lies, and its glass stays', () => {
    const last = after(fire('tack'))?.body.layers[1];
    const [was, is] = [partsOf(laidLayers(placed)[1]) ?? [], (last && partsOf(last)) ?? []];
    expect(is.map(({ x_m }) => x_m)).toEqual(was.map(({ x_m }) => x_m));
    expect(is.map(({ outline }) => outline)).toEqual(was.map(({ outline }) => outline));
    if (last?.form !== 'pieces' || !last.sunk) throw new Error('It has not sunk.');
    // What stands over its places and what is level with the rest are the glass that was laid.
    const cover = (2 * 0.014 * 0.069) / 0.072;
    expect(last.sunk.stands_m).toBeGreaterThan(0.5 * 0.003);
    expect(last.sunk.stands_m).toBeLessThan(0.95 * 0.003);
    expect(cover * last.sunk.stands_m + last.sunk.film_m).toBeCloseTo(cover * 0.003, 12);
    expect(last.cover * last.thickness_m).toBeCloseTo(cover * 0.003, 12);
    const { depth } = bodyFigures(met({ ...placed, journey: [...placed.journey, fire('tack')] }).body);
    expect(depth.max_m).toBeCloseTo(0.006 + last.sunk.film_m + last.sunk.stands_m, 9);
  });

  test('sinks in level in a full fuse, where it can be seen still, also from behind', () => {
    const fused = after(fire('fullFuse'))?.body.layers[1];
    expect(fused).toMatchObject({ form: 'sheet', inlaid: [{ id: 'a' }, { id: 'b', turned_deg: 30 }] });
    const turned = after(fire('fullFuse'), { kind: 'turn', id: 'over' })?.body.layers[0];
    expect(turned).toMatchObject({
      inlaid: [
        { id: 'a', x_m: expect.closeTo(0.1, 9) },
        { id: 'b', turned_deg: -30 },
      ],
    });
  });

  test('is cut where the cut runs through a part, and by what nobody can follow its places are lost', () => {
    const cut = after(fire('tack'), {
      ...{ kind: 'cut', id: 'cut', kerf_m: 0 },
      cut: { to: 'outline', outline: { shape: 'rectangle', width_m: 0.2, length_m: 0.24 } },
    });
    const parts = partsOf(cut?.body.layers[1] ?? sheet) ?? [];
    // The cut runs through the middle of a.
    expect(parts.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(parts[0].x_m).toBeGreaterThan(-0.1);
    const strips = after(fire('tack'), { kind: 'cut', id: 'cut', kerf_m: 0.001, cut: { to: 'strips', strip_m: 0.02, stand: 'flat' } });
    expect(strips?.body.layers.map(partsOf)).toEqual([undefined, undefined]);
  });
});

test('a layer that is changed keeps its parts, and its number cannot be another', () => {
  const layer = laidLayers(placed)[1];
  expect(laidLayers(done(changeLayer(placed, { ...layer, count: 40 } as LaidLayer)))[1]).toMatchObject({ count: 2 });
});
