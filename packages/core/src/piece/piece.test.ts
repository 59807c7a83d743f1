import { bodyDepth, bodyFigures } from '../body/body';
import { contactsOf } from '../fit/contacts';
import { TYPICAL_FAMILIES } from '../glass/families';
import { type Outcome, found } from '../problem';
import type { Body } from '../schedule/firingCase';
import { bodyBefore } from './bodyAt';
import { type Edited, addLayer, addStep, changeLayer, changeStep, layerName, moveLayer, removeLayer, removeStep, setOutline, turnLayer } from './commands';
import { inForm } from './layers/all';
import { asJourney, firingsOf, laidLayers } from './journey';
import { touchingLayers } from './touching';
import { undoes } from './undoes';
import { LAYER_FORMS, type LaidLayer, type PieceDocument, type PlannedStep } from './document';
import { LAYERS_AT_MOST } from './atMost';

const sheet = (id: string, glassId = 'clear', more: Partial<LaidLayer> = {}): LaidLayer =>
  ({ id, form: 'sheet', glassId, thickness_m: 0.003, ...more }) as LaidLayer;
const numerals: LaidLayer = { id: 'n', form: 'pieces', glassId: 'rose', thickness_m: 0.003, cover: 0.2, count: 4, name: 'Numerals' };
const step = (look: PlannedStep['look']): PlannedStep => ({
  kind: 'fire',
  id: `step of ${look}`,
  look,
  setup: { kind: 'bareShelf', paper: false },
  kilnId: 'k',
  controllerId: 'c',
  school: { soak: 'auto', heat: 'cooler' },
  scheduleId: null,
  computedId: null,
});
const piece = (layers: LaidLayer[], steps: PlannedStep[] = []): PieceDocument =>
  asJourney({ schemaVersion: 2, footprint: { shape: 'rectangle', width_m: 0.2, length_m: 0.14 }, dammed: false, typed: {}, layers, steps });
/** What the firing of an index meets. */
const bodyAt = (doc: PieceDocument, index: number): Outcome<Body> => {
  const met = bodyBefore(doc, firingsOf(doc)[index]?.id ?? 'the end', glasses);
  return met.ok ? found(met.value.body) : met;
};
const plaque = piece([sheet('a'), sheet('b', 'blue'), numerals]);
const glasses = ['clear', 'blue', 'rose'].map((id) => ({ id, constants: { ...TYPICAL_FAMILIES[0] } }));

function done(edited: Outcome<Edited>): Edited {
  if (!edited.ok) throw new Error(edited.problem.message);
  return edited.value;
}
const ids = ({ doc }: Edited): string[] => laidLayers(doc).map(({ id }) => id);

describe('an edit of a piece', () => {
  test('makes a new document and leaves the old one as it was', () => {
    const before = JSON.stringify(plaque);
    expect(ids(done(addLayer(plaque, sheet('new'))))).toEqual(['a', 'b', 'n', 'new']);
    expect(ids(done(addLayer(plaque, sheet('new'), { index: 0 })))).toEqual(['new', 'a', 'b', 'n']);
    expect(ids(done(moveLayer(plaque, 'a', 2)))).toEqual(['b', 'n', 'a']);
    expect(ids(done(moveLayer(plaque, 'n', -5)))).toEqual(['n', 'a', 'b']);
    expect(ids(done(removeLayer(plaque, 'b')))).toEqual(['a', 'n']);
    expect(laidLayers(done(changeLayer(plaque, sheet('b', 'rose'))).doc)[1]).toMatchObject({ id: 'b', glassId: 'rose' });
    expect(done(setOutline(plaque, { shape: 'disc', diameter_m: 0.3 }, { diameter: '30 cm' }, true)).doc).toMatchObject({
      dammed: true,
      typed: { diameter: '30 cm' },
    });
    expect(JSON.stringify(plaque)).toBe(before);
  });

  test('says in the past tense what was done, by the name of the layer', () => {
    expect(done(moveLayer(plaque, 'a', 1)).what).toBe('Base moved up');
    expect(done(removeLayer(plaque, 'n')).what).toBe('Numerals removed');
    expect(done(addLayer(plaque, { id: 'f', form: 'frit', glassId: 'clear', perArea_kg_m2: 1 })).what).toBe('frit added');
    expect([0, 1, 2].map((i) => layerName(laidLayers(plaque), i))).toEqual(['Base', 'Top sheet', 'Numerals']);
    expect(layerName([sheet('a')], 0)).toBe('Sheet');
  });

  test('turns a coated sheet over and back, and no other', () => {
    const coated = piece([sheet('a'), sheet('c', 'blue', { coated: 'up' } as Partial<LaidLayer>)]);
    const once = done(turnLayer(coated, 'c'));
    expect(laidLayers(once.doc)[1]).toMatchObject({ coated: 'down' });
    expect(done(turnLayer(once.doc, 'c')).doc).toEqual(coated);
    expect(turnLayer(coated, 'a')).toMatchObject({ ok: false, problem: { code: 'not-coated' } });
  });

  test('is refused where it names nothing, empties the piece, or piles up too much', () => {
    for (const refused of [moveLayer(plaque, 'x', 0), removeLayer(plaque, 'x'), changeLayer(plaque, sheet('x')), turnLayer(plaque, 'x')]) {
      expect(refused).toMatchObject({ ok: false, problem: { code: 'unknown-id' } });
    }
    expect(removeLayer(piece([sheet('a')]), 'a')).toMatchObject({ ok: false, problem: { code: 'too-few' } });
    const full = piece(Array.from({ length: LAYERS_AT_MOST }, (_, i) => sheet(String(i))));
    expect(addLayer(full, sheet('one more'))).toMatchObject({ ok: false, problem: { code: 'too-many' } });
    for (const refused of [changeStep(plaque, step('tack')), removeStep(plaque, 'x')]) expect(refused).toMatchObject({ problem: { code: 'unknown-id' } });
  });

  test('adds, changes and takes away firings', () => {
    const added = done(addStep(plaque, step('tack'))).doc;
    const changed = done(changeStep(added, { ...step('tack'), kilnId: 'other' })).doc;
    expect(firingsOf(changed)[0].kilnId).toBe('other');
    expect(done(removeStep(changed, step('tack').id)).doc).toEqual(plaque);
  });

  test.each(LAYER_FORMS)('lays any layer as %s, its glass and its cover kept', (form) => {
    const laid = inForm(numerals, form);
    expect(laid).toMatchObject({ id: 'n', glassId: 'rose', form, name: 'Numerals' });
    if (form !== 'sheet' && form !== 'cap') expect(laid).toMatchObject({ cover: 0.2 });
    expect(bodyAt(piece([sheet('a'), laid]), 0).ok).toBe(true);
  });
});

describe('the body that a firing meets', () => {
  const body = (doc: PieceDocument, index: number) => {
    const outcome = bodyAt(doc, index);
    if (!outcome.ok) throw new Error(outcome.problem.message);
    return outcome.value;
  };

  test('has standing pieces as parts of their share of the outline', () => {
    const { parts, layers, joined } = body(plaque, 0);
    expect(layers).toHaveLength(2);
    expect(parts).toEqual([{ glass: 2, thickness_m: 0.003, area_m2: expect.closeTo(0.0014, 9), count: 4 }]);
    expect(joined).toBe(false);
    expect(bodyDepth(body(plaque, 0))).toBeCloseTo(0.009, 12);
  });

  test('has pieces under a sheet as a layer with gaps', () => {
    const { parts, layers } = body(done(moveLayer(plaque, 'n', 1)).doc, 0);
    expect(parts).toBeUndefined();
    expect(layers[1]).toMatchObject({ form: 'sheet', cover: 0.2 });
  });

  test('is one solid after a tack, with its relief; level after a full fuse, with the same mass', () => {
    const chain = piece(laidLayers(plaque), [step('tack'), step('fullFuse'), step('slump')]);
    expect(body(chain, 0).joined).toBe(false);
    expect(body(chain, 1)).toMatchObject({ joined: true, parts: [{ count: 4 }] });
    const level = body(chain, 2);
    expect(level.parts).toBeUndefined();
    const figures = bodyFigures(level);
    expect(figures.unevenness).toBeCloseTo(1, 9);
    expect(figures.mass_kg).toBeCloseTo(bodyFigures(body(chain, 0)).mass_kg, 9);
  });

  test.each(LAYER_FORMS)('keeps the mass of %s when it levels', (form) => {
    const chain = piece([sheet('a'), inForm(numerals, form)], [step('fullFuse'), step('slump')]);
    expect(bodyFigures(body(chain, 1)).mass_kg).toBeCloseTo(bodyFigures(body(chain, 0)).mass_kg, 9);
  });

  test('is refused where a layer names a glass that is not on the shelf', () => {
    expect(bodyAt(piece([sheet('a'), sheet('b', 'gone')]), 0)).toMatchObject({
      ok: false,
      problem: { code: 'unknown-id', message: "No glass 'gone' on the shelf." },
    });
  });
});

describe('which layers touch', () => {
  const frit: LaidLayer = { id: 'f', form: 'frit', glassId: 'rose', perArea_kg_m2: 1, cover: 0.4 };
  test.each<[string, LaidLayer[], [number, number][]]>([
    ['one sheet touches nothing', [sheet('a')], []],
    [
      'sheets touch their neighbours',
      [sheet('a'), sheet('b'), sheet('c')],
      [
        [0, 1],
        [1, 2],
      ],
    ],
    [
      'through a layer with gaps the one below is touched too',
      [sheet('a'), frit, sheet('b')],
      [
        [0, 1],
        [1, 2],
        [0, 2],
      ],
    ],
    [
      'standing pieces touch what they stand on and not each other',
      [sheet('a'), numerals, { ...numerals, id: 'm' }],
      [
        [0, 1],
        [0, 2],
      ],
    ],
  ])('%s', (_, layers, pairs) => expect(touchingLayers(layers)).toEqual(pairs));

  test('and they are the contacts of the body', () => {
    for (const layers of [laidLayers(plaque), [sheet('a'), frit, sheet('b', 'blue')], laidLayers(done(moveLayer(plaque, 'n', 1)).doc)]) {
      const outcome = bodyAt(piece(layers), 0);
      if (!outcome.ok) throw new Error(outcome.problem.message);
      const ofBody = contactsOf(outcome.value).map(({ lower, upper }) => `${lower} ${upper}`);
      const used = [...new Set(layers.map(({ glassId }) => glassId))];
      const ofLayers = touchingLayers(layers).map(([lower, upper]) => `${used.indexOf(layers[lower].glassId)} ${used.indexOf(layers[upper].glassId)}`);
      expect(new Set(ofLayers)).toEqual(new Set(ofBody));
    }
  });
});

describe('what has run into a disc', () => {
  const heaped = [
    { id: 'f', form: 'frit', glassId: 'clear', perArea_kg_m2: 30, grain_m: 0.004 } as LaidLayer,
    { id: 'g', form: 'frit', glassId: 'blue', perArea_kg_m2: 10 } as LaidLayer,
  ];
  const after = (look: PlannedStep['look'], shaping?: PlannedStep['setup']['shaping']) => {
    const doc = piece(heaped, [{ ...step(look), setup: { kind: 'bareShelf', paper: false, ...(shaping ? { shaping } : {}) } }, step('firePolish')]);
    const bodies = [0, 1].map((index) => bodyAt({ ...doc, footprint: { shape: 'disc', diameter_m: 0.1 } }, index));
    return bodies.map((outcome) => {
      if (!outcome.ok) throw new Error(outcome.problem.message);
      return { body: outcome.value, figures: bodyFigures(outcome.value) };
    });
  };

  test.each([
    ['heap', undefined, 1],
    ['press', { kind: 'press', spacer_m: 0.008, plate_kg: 4, plate_m: 0.02 }, 1],
    ['potMelt', { kind: 'drain', holes: 1, hole_m: 0.02, plate_m: 0.01 }, 0.94],
  ] as const)('by a %s is one solid for the next firing, of the glass that there is', (look, shaping, share) => {
    const [laid, fired] = after(look, shaping);
    expect(fired.body.joined).toBe(true);
    expect(fired.body.footprint.shape).toBe('disc');
    expect(fired.figures.volume_m3 / laid.figures.volume_m3).toBeGreaterThan(share - 0.05);
    expect(fired.figures.volume_m3 / laid.figures.volume_m3).toBeLessThan(share + 0.001);
    // Each glass has its share of it still.
    expect(fired.figures.perGlass_kg[0] / fired.figures.mass_kg).toBeCloseTo(laid.figures.perGlass_kg[0] / laid.figures.mass_kg, 6);
    expect(fired.figures.depth.max_m).toBeLessThan(laid.figures.depth.max_m);
    expect(look === 'press' ? fired.figures.depth.max_m : 0.008).toBeCloseTo(0.008, 6);
  });

  test('stays as it was laid where such a firing cannot be', () => {
    const [laid, fired] = after('press', { kind: 'press', spacer_m: 0.09, plate_kg: 4, plate_m: 0.02 });
    expect(fired.figures.volume_m3).toBeCloseTo(laid.figures.volume_m3, 9);
    expect(fired.body.footprint).toEqual(laid.body.footprint);
  });

  test('what was cast is one solid of the sections of its mould for the next firing, of all the glass that there is', () => {
    const [laid, fired] = after('openCast', { kind: 'cavity', thick_m: 0.03, thin_m: 0.02, wall_m: 0.025 });
    expect(fired.body).toMatchObject({ joined: true, layers: [], casting: { thickest_m: 0.03, thinnest_m: 0.02 } });
    expect(fired.figures.volume_m3 / laid.figures.volume_m3).toBeCloseTo(1, 9);
    expect(fired.figures.depth).toMatchObject({ max_m: 0.03, min_m: 0.02 });
    expect(fired.figures.depth.mean_m).toBeCloseTo(0.025, 9);
  });

  test('a polish after a casting is said to soften it, but for one in its mould', () => {
    const doc = piece(heaped, [{ ...step('openCast'), setup: { kind: 'inInvestment', paper: false } }]);
    expect(undoes(doc, step('firePolish'))).toMatch(/softens what was cast/);
    expect(undoes(doc, { ...step('firePolish'), setup: { kind: 'inInvestment', paper: false } })).toBeNull();
  });

  test('a loosening takes no shape away, however it stands', () => {
    const doc = piece(laidLayers(plaque), [{ ...step('slump'), setup: { kind: 'inMould', paper: false } }]);
    expect(undoes(doc, { ...step('loosen'), setup: { kind: 'bareShelf', paper: false } })).toBeNull();
    expect(undoes(doc, step('firePolish'))).toMatch(/sink flat again/);
  });
});

describe('a later firing', () => {
  const step = (look: PlannedStep['look'], kind: PlannedStep['setup']['kind']): PlannedStep => ({
    kind: 'fire',
    id: `${look} ${kind}`,
    look,
    setup: { kind, paper: false },
    kilnId: 'k',
    controllerId: 'c',
    school: { soak: 'auto', heat: 'cooler' },
    scheduleId: null,
    computedId: null,
  });
  const slumped = [step('fullFuse', 'bareShelf'), step('slump', 'inMould')];

  test('with nothing to hold the shape undoes a slump; in its mould, or before it, it does not', () => {
    const polish = step('firePolish', 'bareShelf');
    expect(undoes({ journey: [...slumped, polish] }, polish)).toMatch(/fire polish lets what the slump before it has shaped sink flat again/);
    expect(undoes({ journey: slumped }, step('tack', 'board'))).toMatch(/tack fuse/);
    expect(undoes({ journey: slumped }, step('firePolish', 'inMould'))).toBeNull();
    expect(undoes({ journey: slumped }, slumped[0])).toBeNull();
  });
});
