/** What is opened and saved again without a touch keeps every digit, in either unit. */
import { LOOKS, RECIPES } from '@torvin/core/look';
import { asJourney, shapingOf } from '@torvin/core/piece';
import { METRIC, type Units } from '@torvin/core/units';
import { EMPTY_SHELVES, type PieceDoc } from '@torvin/schema';
import { entryOf, isOutlineUntouched, PIECE_ENTRY_SCHEMAS } from '@/layup/pieceEntry';
import { entryOfStep, fieldsOf, stepFor, stepOf } from './stepEntry';

const INCH: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const doc: PieceDoc = asJourney({
  ...{ schemaVersion: 2, footprint: { shape: 'oval', width_m: 0.20123456789, length_m: 0.30123456789 }, dammed: false, typed: {}, steps: [] },
  layers: [{ id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.003 }],
});

test('where its load put it stays for as long as it is said to lie there, in that kiln', () => {
  const place = { kilnId: 'k', x_m: 0.1, y_m: 0.2, shelf: 0, shelves: 2, turned: true };
  const entry = entryOfStep(doc, null, EMPTY_SHELVES, METRIC, { look: 'fullFuse', setup: 'bareShelf', kilnId: 'k', controllerId: 'c' });
  const before = { ...stepFor(entry, undefined, null, 's'), place };
  const again = (more: Partial<typeof entry>) => stepFor({ ...entryOfStep(doc, before, EMPTY_SHELVES, METRIC), ...more }, undefined, before, 's').place;
  expect(again({})).toEqual(place);
  expect(again({ lies: 'middle' })).toBeUndefined();
  expect(again({ kilnId: 'other' })).toBeUndefined();
});

describe.each([
  ['metric', METRIC],
  ['inches', INCH],
] as const)('in %s', (_, units) => {
  test.each(LOOKS.filter((look) => RECIPES[look].asks && !RECIPES[look].empty).map((look) => [look]))(
    'a firing to %s is changed and calculated again',
    (look) => {
      const fields = fieldsOf(look, 'oval');
      const shaping = {
        kind: RECIPES[look].asks?.kind,
        ...(RECIPES[look].asks?.kind === 'hollow' ? { plan: 'oval' } : {}),
        ...Object.fromEntries(fields.map(({ key, of, range: { least, most } }) => [key, of.whole ? 3 : least + (most - least) * 0.123456789])),
      } as never;
      const entry = entryOfStep(doc, null, EMPTY_SHELVES, units, { look, setup: 'bareShelf', kilnId: 'k', controllerId: 'c' });
      const before = stepFor(entry, shaping, null, 's');
      const again = stepOf(entryOfStep(doc, before, EMPTY_SHELVES, units), before, units, EMPTY_SHELVES);
      expect(again.step?.setup.shaping).toEqual(before.setup.shaping);
      const [first] = fields;
      const typedOver = stepOf({ ...entryOfStep(doc, before, EMPTY_SHELVES, units), [first.field]: '1e9' }, before, units, EMPTY_SHELVES);
      expect(typedOver.step).toBeNull();
    },
  );

  test('an outline that came from elsewhere, with no words of its own', () => {
    const opened = entryOf({ name: 'Bowl', doc }, units.length);
    const read = PIECE_ENTRY_SCHEMAS[units.length].parse(opened);
    expect(isOutlineUntouched(opened, read.footprint, read.typed, units.length)).toBe(true);
    const wider = PIECE_ENTRY_SCHEMAS[units.length].parse({ ...opened, width: '210 mm' });
    expect(isOutlineUntouched(opened, wider.footprint, wider.typed, units.length)).toBe(false);
  });
});

describe('a mould that is typed', () => {
  const typed = (entry: Partial<ReturnType<typeof entryOfStep>>, piece = doc) =>
    stepOf({ ...entryOfStep(piece, null, EMPTY_SHELVES, METRIC, { look: 'slump', kilnId: 'k', controllerId: 'c' }), ...entry }, null, METRIC, EMPTY_SHELVES);

  test('has an outline and both sizes, whichever was typed first, as the same mould of the shelf has', () => {
    const own = { use: 'hollow', plan: 'oval', across_m: 0.3, along_m: 0.2, deep_m: 0.04, thick_m: 0.01, material: 'earthenware' } as const;
    const step = { look: 'slump', setup: { kind: 'inMould', paper: false, form: { id: 'o', name: 'Oval', shape: own } } } as const;
    const onShelf = shapingOf(step, { shape: 'oval', width_m: 0.22, length_m: 0.32 });
    for (const [span, along] of [
      ['200', '300'],
      ['300', '200'],
    ])
      expect(typed({ mould: 'oval', span, along, depth: '40' }).step?.setup.shaping).toEqual(onShelf);
    expect(onShelf).toEqual({ kind: 'hollow', plan: 'oval', span_m: 0.2, along_m: 0.3, depth_m: 0.04 });
  });

  test('is round with one size, whatever stood in the other, and a trough goes across', () => {
    expect(typed({ mould: 'round', span: '200', along: '300', depth: '40' }).step?.setup.shaping).toEqual({ kind: 'hollow', span_m: 0.2, depth_m: 0.04 });
    expect(typed({ mould: 'trough', span: '300', along: '200', depth: '40' }).step?.setup.shaping).toEqual({
      ...{ kind: 'hollow', plan: 'trough', span_m: 0.3, along_m: 0.2, depth_m: 0.04 },
    });
    expect(typed({ mould: 'oval', span: '200', along: '', depth: '40' }).faults).toMatchObject([{ field: 'along' }]);
    // One with corners goes by the circle within them: across its flats, and how many they are.
    const six = typed({ mould: 'lobed', span: '200', along: '231', lobes: '6', depth: '40' }).step?.setup.shaping;
    expect(six).toEqual({ kind: 'hollow', plan: 'lobed', span_m: 0.2, along_m: 0.231, lobes: 6, depth_m: 0.04 });
    expect(typed({ mould: 'lobed', span: '200', along: '231', lobes: '', depth: '40' }).faults).toMatchObject([{ field: 'lobes' }]);
  });

  test('is taken to be of the outline of its blank, somewhat narrower both ways', () => {
    const of = (footprint: PieceDoc['footprint']) => entryOfStep({ ...doc, footprint }, null, EMPTY_SHELVES, METRIC, { look: 'slump' });
    expect(of({ shape: 'rectangle', width_m: 0.3, length_m: 0.2 })).toMatchObject({ mould: 'rectangle', span: '190 mm', along: '285 mm' });
    expect(of({ shape: 'disc', diameter_m: 0.2 })).toMatchObject({ mould: 'round', span: '190 mm' });
  });
});

test('what the chosen form was not told stays empty; of the other forms what is usual for this piece stands there', () => {
  const began = entryOfStep(doc, null, EMPTY_SHELVES, METRIC, { look: 'slump', setup: 'bareShelf', kilnId: 'k', controllerId: 'c' });
  const round = stepFor(began, { kind: 'hollow', span_m: 0.18, depth_m: 0.03 }, null, 's');
  expect(entryOfStep(doc, round, EMPTY_SHELVES, METRIC)).toMatchObject({ span: '180 mm', along: '', lobes: '', depth: '30 mm', wall: '25 mm', holes: '' });
  const cast = stepFor(began, { kind: 'cavity', thick_m: 0.06, thin_m: 0.02, wall_m: 0.03 }, null, 's');
  expect(entryOfStep(doc, cast, EMPTY_SHELVES, METRIC)).toMatchObject({
    span: '191 mm',
    along: '286 mm',
    thick: '60 mm',
    wall: '30 mm',
    detail: '',
    water: '',
  });
});
