import type { Stack } from '@torvin/core/quantity';
import { METRIC, type Units } from '@torvin/core/units';
import { type Offered, offeredAs, putAsIn, readPutAs } from './putAs';

const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const trough = { kind: 'roundTrough', width_m: 0.08, length_m: 0.3, depth_m: 0.03 } as const;
const box = { kind: 'straight', outline: { shape: 'rectangle', width_m: 0.2, length_m: 0.3 }, depth_m: 0.02 } as const;
const stack: Stack = { strip: { width_m: 0.06, length_m: 0.294, depth_m: 0.006 }, count: 9, from_m: 0.01, overRim_m: 0.034, ends_m: 0.003, sides_m: 0.01 };
const offer = (more: Partial<Offered> = {}): Offered => ({ stock: {}, sheet_m: 0.003, density_kg_m3: 2500, left: trough, stack: null, ...more });
const billet = { width_m: 0.1, length_m: 0.2, depth_m: 0.02 };

test('strips are offered where they were reckoned, billets and sheets where the shelf has them, whole sheets only into what is straight', () => {
  expect(offeredAs(offer())).toEqual(['scrap', 'frit']);
  expect(offeredAs(offer({ stack, stock: { billet } }))).toEqual(['strips', 'billets', 'scrap', 'frit']);
  expect(offeredAs(offer({ left: box }))).toEqual(['sheets', 'scrap', 'frit']);
  expect(offeredAs(offer({ left: box, sheet_m: undefined }))).toEqual(['scrap', 'frit']);
});

test('strips that were asked for go in unless something else is chosen', () => {
  expect(putAsIn({}, ['strips', 'scrap', 'frit'])).toBe('strips');
  expect(putAsIn({ putAs: 'scrap' }, ['strips', 'scrap', 'frit'])).toBe('scrap');
  // What was chosen before cannot be chosen here.
  expect(putAsIn({ putAs: 'billets' }, ['scrap', 'frit'])).toBe('frit');
});

test('nine strips go in as strips, by what they weigh once cut', () => {
  const { value } = readPutAs({}, METRIC, offer({ stack }), 2);
  expect(value).toEqual({
    as: { form: 'chunks', name: 'Strips', thick_m: 0.006, wide_m: 0.06 },
    mass_kg: expect.closeTo(9 * 0.06 * 0.294 * 0.006 * 2500, 12),
    cut: { ...stack.strip, count: 9 },
  });
});

test('billets by the sides of one, scrap by what is told of it, the rest by all that was reckoned', () => {
  expect(readPutAs({ putAs: 'billets' }, METRIC, offer({ stock: { billet } }), 2).value).toMatchObject({
    as: { form: 'chunks', name: 'Billets', thick_m: 0.02, wide_m: 0.1 },
    mass_kg: 2,
  });
  const scrap = (typed: Record<string, string>, units = METRIC) => readPutAs({ putAs: 'scrap', ...typed }, units, offer(), 2);
  expect(scrap({}).value?.as).toMatchObject({ thick_m: 0.01, wide_m: 0.03 });
  // Whichever of the two was typed first.
  expect(scrap({ lumpThick: '50', lumpWide: '12' }).value?.as).toMatchObject({ thick_m: 0.012, wide_m: 0.05 });
  expect(scrap({ lumpThick: '1/2', lumpWide: '2' }, INCHES).value?.as).toMatchObject({ thick_m: expect.closeTo(0.0127, 9), wide_m: expect.closeTo(0.0508, 9) });
  expect(scrap({ lumpThick: '1 m' })).toMatchObject({ value: null, problems: { lumpThick: expect.stringContaining('thickness of a piece') } });
  expect(readPutAs({ putAs: 'sheets' }, METRIC, offer({ left: box }), 2).value?.as).toEqual({ form: 'sheet', thickness_m: 0.003, density_kg_m3: 2500 });
  expect(readPutAs({}, METRIC, offer(), 2).value).toEqual({ as: { form: 'frit', name: 'Frit' }, mass_kg: 2 });
});
