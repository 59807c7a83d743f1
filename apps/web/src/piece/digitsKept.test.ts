/** What is opened and saved again without a touch keeps every digit, in either unit. */
import { LOOKS, METRIC, RECIPES, type Units, asJourney } from '@torvin/core';
import { EMPTY_SHELVES, type PieceDoc } from '@torvin/schema';
import { entryOf, isOutlineUntouched, PIECE_ENTRY_SCHEMAS } from './pieceEntry';
import { entryOfStep, fieldsOf, stepFor, stepOf } from './stepEntry';

const INCH: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const doc: PieceDoc = asJourney({
  ...{ schemaVersion: 2, footprint: { shape: 'oval', width_m: 0.20123456789, length_m: 0.30123456789 }, dammed: false, typed: {}, steps: [] },
  layers: [{ id: 'a', form: 'sheet', glassId: 'clear', thickness_m: 0.003 }],
});

describe.each([
  ['metric', METRIC],
  ['inches', INCH],
] as const)('in %s', (_, units) => {
  test.each(LOOKS.filter((look) => RECIPES[look].asks && !RECIPES[look].ware).map((look) => [look]))('a firing to %s is changed and computed again', (look) => {
    const fields = fieldsOf(look);
    const shaping = {
      kind: RECIPES[look].asks?.kind,
      ...Object.fromEntries(fields.map(({ key, of, least, most }) => [key, of === 'count' ? 3 : least + (most - least) * 0.123456789])),
    } as never;
    const entry = entryOfStep(doc, null, EMPTY_SHELVES, units, { look, setup: 'bareShelf', kilnId: 'k', controllerId: 'c' });
    const before = stepFor(entry, shaping, null, 's');
    const again = stepOf(entryOfStep(doc, before, EMPTY_SHELVES, units), before, units, EMPTY_SHELVES);
    expect(again.step?.setup.shaping).toEqual(before.setup.shaping);
    const [first] = fields;
    const typedOver = stepOf({ ...entryOfStep(doc, before, EMPTY_SHELVES, units), [first.field]: '1e9' }, before, units, EMPTY_SHELVES);
    expect(typedOver.step).toBeNull();
  });

  test('an outline that came from elsewhere, with no words of its own', () => {
    const opened = entryOf({ name: 'Bowl', doc }, units.length);
    const read = PIECE_ENTRY_SCHEMAS[units.length].parse(opened);
    expect(isOutlineUntouched(opened, read.footprint, read.typed, units.length)).toBe(true);
    const wider = PIECE_ENTRY_SCHEMAS[units.length].parse({ ...opened, width: '210 mm' });
    expect(isOutlineUntouched(opened, wider.footprint, wider.typed, units.length)).toBe(false);
  });
});
