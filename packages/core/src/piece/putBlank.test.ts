import { valueOf } from '../problem';
import { type JourneyStep, type LaidLayer, type PieceDocument, type PlannedStep } from './document';
import { STEPS_AT_MOST } from './atMost';
import { laidLayers } from './journey';
import { type PutBlank, putBlank } from './putBlank';

const sheet: LaidLayer = { id: 'a', glassId: 'clear', form: 'sheet', thickness_m: 0.006 };
const fire = (id: string, look: PlannedStep['look'], shaping?: PutBlank['shaping']): PlannedStep => ({
  ...{ kind: 'fire', id, look, kilnId: 'k', controllerId: 'c', scheduleId: null, computedId: null, school: { soak: 'auto', heat: 'cooler' } },
  setup: { kind: shaping ? 'inMould' : 'bareShelf', paper: false, ...(shaping ? { shaping } : {}) },
});
const old = { kind: 'hollow', span_m: 0.22, depth_m: 0.045, down_m: 0.01 } as const;
const shaping = { kind: 'hollow', span_m: 0.3, depth_m: 0.05 } as const;
const outline = { shape: 'disc', diameter_m: 0.316 } as const;
const doc = (journey: JourneyStep[]): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'rectangle', width_m: 0.4, length_m: 0.4 }, dammed: true, typed: { width: '40 cm' } },
  journey: [{ kind: 'lay', id: 'lay', side: 'above', layers: [sheet] }, ...journey],
});
const put = (of: PieceDocument, more: Partial<PutBlank> = {}) =>
  valueOf(putBlank(of, { outline, shaping, sheet: { ...sheet, id: 'new' }, firing: fire('planned', 'slump'), from: 0, cutId: 'cut', ...more })).doc;

test('a piece that is not begun takes its outline; the firing to come takes the form, and no other', () => {
  const after = put(doc([fire('fuse', 'fullFuse'), fire('slump', 'slump', old)]));
  expect(after).toMatchObject({ footprint: outline, dammed: false, typed: {} });
  expect(after.journey.map(({ id }) => id)).toEqual(['lay', 'fuse', 'slump']);
  expect(after.journey[1]).toMatchObject({ setup: { kind: 'bareShelf' } });
  // How far it was down already was of another mould.
  expect((after.journey[2] as PlannedStep).setup.shaping).toEqual(shaping);
  expect(laidLayers(after)).toEqual([sheet]);
});

test('with no such firing one is planned, with no glass a sheet is laid', () => {
  const empty = { ...doc([]), journey: [{ kind: 'lay' as const, id: 'lay', side: 'above' as const, layers: [] }] };
  const after = put(empty);
  expect(laidLayers(after).map(({ id }) => id)).toEqual(['new']);
  expect(after.journey.at(-1)).toMatchObject({ id: 'planned', look: 'slump', setup: { shaping } });
  expect(put(empty, { firing: null }).journey).toHaveLength(1);
});

test('it is taken back by its name, and what cannot be is refused with its reason', () => {
  const asked = { outline, shaping, sheet: { ...sheet, id: 'new' }, firing: fire('planned', 'slump'), cutId: 'cut' };
  expect(valueOf(putBlank(doc([]), { ...asked, from: 0 })).what).toBe('blank put in');
  const full = doc(Array.from({ length: STEPS_AT_MOST - 1 }, (_, i) => fire(`f${i}`, 'fullFuse')));
  expect(putBlank(full, { ...asked, firing: null, from: 2 })).toMatchObject({ ok: false, problem: { message: expect.stringMatching(/steps/) as string } });
});

test('glass that has been fired is cut to it before the firing, once', () => {
  const fused = doc([fire('fuse', 'fullFuse'), fire('slump', 'slump', old)]);
  const after = put(fused, { from: 2 });
  expect(after.footprint).toEqual(fused.footprint);
  expect(after.journey.map(({ id }) => id)).toEqual(['lay', 'fuse', 'cut', 'slump']);
  expect(after.journey[2]).toMatchObject({ kind: 'cut', cut: { to: 'outline', outline } });
  const again = put(after, { from: 2, outline: { ...outline, diameter_m: 0.3 }, cutId: 'second' });
  expect(again.journey.map(({ id }) => id)).toEqual(['lay', 'fuse', 'cut', 'slump']);
  expect(again.journey[2]).toMatchObject({ cut: { outline: { diameter_m: 0.3 } } });
  // The planned one comes after the cut too.
  expect(put(doc([fire('fuse', 'fullFuse')]), { from: 2 }).journey.map(({ id }) => id)).toEqual(['lay', 'fuse', 'cut', 'planned']);
  expect(put(doc([fire('fuse', 'fullFuse')]), { from: 2, firing: null }).journey.map(({ id }) => id)).toEqual(['lay', 'fuse', 'cut']);
  // A cut that is planned already is that cut, begun or not.
  const cut = { kind: 'cut', id: 'own', cut: { to: 'outline', outline: { shape: 'disc', diameter_m: 0.35 } }, kerf_m: 0.002 } as const;
  const planned = put(doc([fire('fuse', 'fullFuse'), cut, fire('slump', 'slump', old)]));
  expect(planned.footprint).toEqual(fused.footprint);
  expect(planned.journey[2]).toEqual({ ...cut, cut: { to: 'outline', outline } });
});

test('a blank for a form of the shelf puts the firing into that form, and what was measured elsewhere goes', () => {
  const form = {
    id: 'basin',
    name: 'Basin',
    shape: { use: 'hollow', plan: 'round', across_m: 0.3, deep_m: 0.05, thick_m: 0.01, material: 'earthenware' },
  } as const;
  const setupOf = (after: PieceDocument) => (after.journey.at(-1) as PlannedStep).setup;
  const inForm = put(doc([fire('slump', 'slump', old)]), { form });
  expect(setupOf(inForm)).toEqual({ kind: 'inMould', paper: false, form });
  expect(setupOf(put(inForm))).toEqual({ kind: 'inMould', paper: false, shaping });
});
