import type { LaidLayer, LayerForm } from '../laid';
import { LAYER_KINDS, askedOf, inForm, withFigure } from './all';

const laid = { id: 'a', glassId: 'g' };
const lumps: LaidLayer = { ...laid, form: 'chunks', perArea_kg_m2: 20, thick_m: 0.01, wide_m: 0.03 };
const cut: LaidLayer = { ...laid, form: 'pieces', thickness_m: 0.003, cover: 0.25, count: 4 };
const asked = (layer: LaidLayer): Record<string, number | undefined> => Object.fromEntries(askedOf(layer).map(({ key, value }) => [key, value]));
const figure = (layer: LaidLayer, key: string) => askedOf(layer).find((one) => one.key === key)!;

test('what is asked of a layer stands there, or as it is usual where it is not told', () => {
  expect(asked(lumps)).toEqual({ perArea_kg_m2: 20, thick_m: 0.01, wide_m: 0.03, cover: 1 });
  expect(asked({ ...laid, form: 'cap', thickness_m: 0.003 })).toEqual({ thickness_m: 0.003, overhang_m: 0 });
  expect(asked({ ...laid, form: 'cap', thickness_m: 0.003, overhang_m: 0.002 })).toEqual({ thickness_m: 0.003, overhang_m: 0.002 });
  expect(asked({ ...laid, form: 'frit', perArea_kg_m2: 2, cover: 0.4 })).toEqual({ perArea_kg_m2: 2, cover: 0.4 });
});

test('where parts are placed, number and cover follow from them and are not asked', () => {
  expect(asked(cut)).toEqual({ thickness_m: 0.003, cover: 0.25, count: 4 });
  expect(asked({ ...cut, placed: [] })).toEqual({ thickness_m: 0.003 });
  expect(asked({ ...laid, form: 'rod', diameter_m: 0.005, placed: [] })).toEqual({ diameter_m: 0.005 });
});

test('a lump is at least as wide as it is thick, whichever of the two is set', () => {
  expect(withFigure(lumps, figure(lumps, 'thick_m'), 0.04)).toMatchObject({ thick_m: 0.04, wide_m: 0.04 });
  expect(withFigure(lumps, figure(lumps, 'wide_m'), 0.005)).toMatchObject({ thick_m: 0.005, wide_m: 0.005 });
  expect(withFigure(cut, figure(cut, 'count'), 7)).toEqual({ ...cut, count: 7 });
});

test.each(Object.keys(LAYER_KINDS) as LayerForm[])('a usual %s lies within its ranges and keeps what has a meaning', (form) => {
  const now = inForm({ ...laid, name: 'Rays', form: 'pieces', thickness_m: 0.006, cover: 0.3, count: 5 }, form);
  expect(now).toMatchObject({ ...laid, name: 'Rays', form });
  for (const { key, value = NaN, range } of askedOf(now)) expect([key, value >= range.least && value <= range.most]).toEqual([key, true]);
  if ('thickness_m' in now) expect(now.thickness_m).toBe(0.006);
  if ('cover' in now) expect(now.cover).toBe(0.3);
});
