import { footprintArea } from '../body/footprint';
import { valueOf } from '../problem';
import type { LaidLayer, PieceDocument, PlannedStep } from './document';
import { isLaying, laidLayers } from './journey';
import { type PutAs, laidAsPut, putGlass, sheetsFor } from './putGlass';

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
  putGlass(of, { layersOn: laidAsPut('clear', mass_kg, { form: 'frit', name: 'Frit' }, () => 'new'), into: { stepId: 'lay', instead: true }, ...more });

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
  expect(own.what).toBe('added from Reckon');
  expect(put(doc(), { into: { stepId: 'gone', instead: true } })).toMatchObject({ ok: false, problem: { code: 'unknown-id' } });
});

test('more than goes on an outline is refused', () => {
  expect(put(doc(), {}, 100)).toMatchObject({ ok: false, problem: { path: 'mass_kg' } });
});

describe('glass goes in as what it is', () => {
  const as = (what: PutAs, mass_kg = 1) => laidAsPut('clear', mass_kg, what, () => 'new')(ring);

  test('lumps by the size of one, with all of the mass', () => {
    const [layer, ...others] = as({ form: 'chunks', name: 'Strips', thick_m: 0.006, wide_m: 0.06 });
    expect(others).toEqual([]);
    expect(layer).toMatchObject({ form: 'chunks', name: 'Strips', thick_m: 0.006, wide_m: 0.06 });
    expect(layer.form === 'chunks' && layer.perArea_kg_m2 * footprintArea(ring)).toBeCloseTo(1, 12);
  });

  test('sheets as large as the outline, as many as come to the mass at least', () => {
    const what = { form: 'sheet', thickness_m: 0.003, density_kg_m3: 2500 } as const;
    const one_kg = footprintArea(ring) * 0.003 * 2500;
    expect(as(what, 3 * one_kg)).toHaveLength(3);
    expect(as(what, 3.01 * one_kg)).toHaveLength(4);
    expect(sheetsFor(0.2 * one_kg, ring, what)).toBe(1);
  });

  test('into what narrows downwards with its casting, unless a firing is planned, which may be another', () => {
    const holder = { footprint: ring, dammed: true, deepest_m: 0.02, casting: { ...cast, id: 'casting' } };
    const fires = (of: PieceDocument) => valueOf(put(of, { holder })).doc.journey.flatMap(({ id, kind }) => (kind === 'fire' ? [id] : []));
    expect(fires(doc())).toEqual(['casting']);
    const fused: PlannedStep = { ...cast, id: 'fused', look: 'fullFuse', setup: { kind: 'bareShelf', paper: false } };
    for (const planned of [cast, fused]) expect(fires(doc({ journey: [...doc().journey, planned] }))).toEqual([planned.id]);
  });
});
