/** Firings of a piece beside those of fused glass: without any, alone or before it; and castings, which end another body. */
import { valueOf } from '../problem';
import { impossibleFiring } from '../schedule/possible';
import { STUDIO_SHELF } from '../testCases';
import { METRIC } from '../units/convert';
import { removeLayer } from './commands';
import type { LaidLayer, PieceDocument, PlannedStep } from './document';
import { asJourney } from './journey';
import { outdatedBy } from './outdated';
import { snapshotOf } from './snapshot';
import { undoes } from './undoes';
import { setupWords } from './words';

const sheet = (id: string): LaidLayer => ({ id, form: 'sheet', glassId: 'clear', thickness_m: 0.003 });
const step = (look: PlannedStep['look'], more: Partial<PlannedStep['setup']> = {}): PlannedStep => ({
  kind: 'fire',
  id: `step of ${look}`,
  look,
  setup: { kind: 'bareShelf', paper: false, ...more },
  kilnId: 'k',
  controllerId: 'c',
  school: { soak: 'auto', heat: 'cooler' },
  scheduleId: null,
  computedId: null,
});
const drying = step('dryMould', { wet: 'damp', shaping: { kind: 'ware', of: 'plaster', wall_m: 0.025, wide_m: 0.2, long_m: 0.25 } });
const piece = (layers: LaidLayer[], steps: PlannedStep[]): PieceDocument =>
  asJourney({ schemaVersion: 2, footprint: { shape: 'disc', diameter_m: 0.12 }, dammed: true, typed: {}, layers, steps });
const shelf = STUDIO_SHELF;

test('is calculated from what is fired alone, whatever lies in the piece, and drawn and named as that', () => {
  const { firing, layers, familyName, familyId, setup } = valueOf(snapshotOf(piece([sheet('a')], [drying, step('fullFuse')]), drying, shelf));
  expect(firing.body).toEqual({ glasses: [], layers: [], footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.25 }, joined: true });
  expect(layers).toEqual([{ name: 'Plaster mould', colour: expect.any(String), thickness_m: 0.025, ware: 'plaster' }]);
  expect([familyName, familyId]).toEqual(['Plaster mould', undefined]);
  expect(setupWords(setup)).toBe('plaster mould, bare shelf, damp');
  expect(setupWords({ ...setup, shaping: { kind: 'ware', of: 'shelf', wall_m: 0.016, wide_m: 0.4, long_m: 0.4 } })).toBe('shelf, on low posts, damp');
  expect(impossibleFiring(firing, 'mm')).toBeNull();
});

test('is outdated by its own wall and not by the glass', () => {
  const doc = piece([sheet('a')], [drying, step('fullFuse')]);
  const made = valueOf(snapshotOf(doc, drying, shelf));
  expect(
    outdatedBy(
      { ...piece([sheet('a'), sheet('b')], [drying, step('fullFuse')]), footprint: { shape: 'disc', diameter_m: 0.3 } },
      drying.id,
      shelf,
      made,
      METRIC,
    ),
  ).toEqual([]);
  const thicker = {
    ...drying,
    setup: { ...drying.setup, shaping: { kind: 'ware', of: 'plaster', wall_m: 0.03, wide_m: 0.2, long_m: 0.25 } },
  } satisfies PlannedStep;
  expect(outdatedBy(piece([sheet('a')], [thicker]), drying.id, shelf, made, METRIC)).toEqual(['The mould or former has other measures than then.']);
});

test('leaves the glass of the firings after it as it was laid, and undoes no shape', () => {
  const slump = step('slump', { kind: 'inMould', shaping: { kind: 'hollow', span_m: 0.12, depth_m: 0.02 } });
  const later = step('fullFuse');
  const [alone, after] = [[later], [drying, later]].map((steps) => valueOf(snapshotOf(piece([sheet('a'), sheet('b')], steps), later, shelf)).firing.body);
  expect(after).toEqual(alone);
  expect(undoes({ journey: [slump, drying] }, drying)).toBeNull();
  expect(undoes({ journey: [slump, later] }, later)).not.toBeNull();
});

test('a piece may have no glass as long as none of its firings needs one', () => {
  expect(valueOf(removeLayer(piece([sheet('a')], [drying]), 'a')).doc.journey).toEqual([
    { id: expect.any(String), kind: 'lay', side: 'above', layers: [] },
    drying,
  ]);
  expect(removeLayer(piece([sheet('a')], [drying, step('fullFuse')]), 'a').ok).toBe(false);
  expect(removeLayer(piece([sheet('a')], []), 'a').ok).toBe(false);
  const fuse = step('fullFuse');
  const { firing } = valueOf(snapshotOf(piece([], [fuse]), fuse, shelf));
  expect(impossibleFiring(firing, 'mm')).toMatchObject({ path: 'body.layers', message: expect.stringMatching(/^A full fuse needs glass, and here is none/) });
});

test('a casting whose thickest part is slender meets its next firing as that', () => {
  const cast = step('openCast', { kind: 'inInvestment', shaping: { kind: 'cavity', thick_m: 0.02, thin_m: 0.02, wall_m: 0.025, slender: 'cylinder' } });
  const polish = step('firePolish');
  const doc = piece([{ id: 'f', form: 'frit', glassId: 'clear', perArea_kg_m2: 20 }], [cast, polish]);
  const { body } = valueOf(snapshotOf(doc, polish, shelf)).firing;
  expect(body.casting).toMatchObject({ slender: 'cylinder', thickest_m: 0.02 });
  expect(body.footprint).toMatchObject({ shape: 'rectangle', width_m: 0.02 });
  // As long as its mass asks for.
  const { width_m, length_m } = body.footprint as { width_m: number; length_m: number };
  expect((Math.PI / 4) * width_m ** 2 * length_m).toBeCloseTo(body.casting!.volume_m3, 9);
});
