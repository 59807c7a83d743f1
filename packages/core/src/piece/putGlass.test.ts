import { footprintArea } from '../body/footprint';
import { valueOf } from '../problem';
import type { LaidLayer, PieceDocument, PlannedStep } from './document';
import { isLaying, laidLayers } from './journey';
import { asFrit, putGlass } from './putGlass';

const sheet: LaidLayer = { id: 'a', glassId: 'clear', form: 'sheet', thickness_m: 0.003 };
const cast = {
  ...{ kind: 'fire', id: 'fire', look: 'openCast', kilnId: 'k', controllerId: 'c', scheduleId: null, computedId: null },
  ...{
    school: { soak: 'auto', heat: 'cooler' },
    setup: { kind: 'bareShelf', paper: false, shaping: { kind: 'cavity', thick_m: 0.01, thin_m: 0.01, wall_m: 0.02 } },
  },
} as unknown as PlannedStep;
const doc = (more: Partial<PieceDocument> = {}): PieceDocument => ({
  ...{ schemaVersion: 3, footprint: { shape: 'disc', diameter_m: 0.2 }, dammed: false, typed: { diameter: '20 cm' } },
  journey: [{ kind: 'lay', id: 'lay', side: 'above', layers: [sheet] }],
  ...more,
});
const ring = { shape: 'ring', diameter_m: 0.22, inner_m: 0.14 } as const;
const put = (of: PieceDocument, more: object = {}, mass_kg = 1) =>
  putGlass(of, { layersOn: asFrit({ id: 'new', glassId: 'clear' }, mass_kg), into: { stepId: 'lay', instead: true }, ...more });

test('all of the mass lies on the outline that it was reckoned for, in place of what was laid there or on it', () => {
  const { doc: after } = valueOf(put(doc({ journey: [...doc().journey, cast] }), { holder: { footprint: ring, dammed: true, deepest_m: 0.02 } }));
  expect(after).toMatchObject({ footprint: ring, dammed: true, typed: {} });
  const [layer, ...others] = laidLayers(after);
  expect(others).toEqual([]);
  expect(layer.form === 'frit' && layer.perArea_kg_m2 * footprintArea(ring)).toBeCloseTo(1, 12);
  // The thinnest section was as thick as the thickest: it cannot become thicker than it.
  expect(after.journey.at(-1)).toMatchObject({ setup: { shaping: { thick_m: 0.02, thin_m: 0.01 } } });
  const added = valueOf(put(doc(), { into: { stepId: 'lay', instead: false } }));
  expect(laidLayers(added.doc).map(({ form }) => form)).toEqual(['sheet', 'frit']);
  expect(added.doc).toMatchObject({ dammed: false, typed: { diameter: '20 cm' } });
});

test('goes into the step that it was asked from, or is a step of its own', () => {
  const later = { kind: 'lay' as const, id: 'later', side: 'above' as const, layers: [{ ...sheet, id: 'b' }] };
  const { doc: after } = valueOf(put(doc({ journey: [...doc().journey, later] }), { into: { stepId: 'later', instead: true } }));
  expect(after.journey.filter(isLaying).map(({ layers }) => layers.map(({ id }) => id))).toEqual([['a'], ['new']]);
  const own = valueOf(put(doc({ journey: [...doc().journey, cast] }), { into: { place: 1, newStepId: 'own' } }));
  expect(own.doc.journey.map(({ id }) => id)).toEqual(['lay', 'own', 'fire']);
  expect(own.what).toBe('put in as reckoned');
  expect(put(doc(), { into: { stepId: 'gone', instead: true } })).toMatchObject({ ok: false, problem: { code: 'unknown-id' } });
});

test('more than goes on an outline is refused', () => {
  expect(put(doc(), {}, 100)).toMatchObject({ ok: false, problem: { path: 'mass_kg' } });
});
