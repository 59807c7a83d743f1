import type { FormShape } from '@torvin/core/form';
import { METRIC, type Units } from '@torvin/core/units';
import { HOLLOWS, SIZES, readHollow, readOutline, typedOfForm, typedOutline } from './hollowEntry';
import { inUnits } from './state';
import { inOtherUnit, readTyped, sizesApart, withUnits } from './typed';

const INCHES: Units = { temperature: 'F', length: 'in', mass: 'oz' };
const hollow = (typed: Record<string, string>, units = METRIC) => readTyped(typed, units, (read) => readHollow(read, '', units));

test('what is empty is missing, what is wrong stands at its field, and only what is whole has a value', () => {
  expect(hollow({ width: '80' })).toEqual({ value: null, problems: {}, missing: ['length', 'depth'] });
  const wrong = hollow({ width: '80', length: 'wide', depth: '4 m' });
  expect(wrong.value).toBeNull();
  expect(wrong.problems).toEqual({ length: expect.stringMatching(/240 mm/), depth: expect.stringMatching(/from 2 mm to 300 mm/) });
  expect(hollow({ width: '80', length: '25 cm', depth: '1 1/2 in' }).value).toEqual({
    kind: 'straight',
    outline: { shape: 'rectangle', width_m: 0.08, length_m: 0.25 },
    depth_m: expect.closeTo(0.0381, 9),
  });
});

test.each(HOLLOWS)('a %s is read from its sizes, and asks for no other', (form) => {
  const sizes = { width: '80', length: '200', depth: '30', diameter: '200', inner: '120', rim: '200', floor: '60', corners: '0 0; 200 0; 0 120' };
  const asked = Object.fromEntries(SIZES[form].map(({ field }) => [field, sizes[field as keyof typeof sizes]]));
  expect(hollow({ form, ...asked })).toMatchObject({ value: { depth_m: 0.03 }, problems: {}, missing: [] });
  const [first, ...others] = SIZES[form];
  expect(hollow({ form, ...asked, [first.field]: '' }).missing).toHaveLength(1);
  expect(others.length).toBeGreaterThan(0);
});

test('sizes that are right by themselves and not together are refused at the field', () => {
  expect(hollow({ form: 'ring', diameter: '120', inner: '140', depth: '20' }).problems).toHaveProperty('inner');
  expect(hollow({ form: 'roundTrough', width: '60', length: '200', depth: '50' }).problems).toHaveProperty('depth');
  expect(hollow({ form: 'bowl', rim: '100', floor: '120', depth: '20' }).problems).toHaveProperty('floor');
  expect(hollow({ form: 'corners', corners: '0 0; 100 100; 100 0; 0 100', depth: '20' }).problems).toHaveProperty('corners');
  expect(hollow({ form: 'corners', corners: 'round', depth: '20' }).problems).toHaveProperty('corners');
});

test('a half round is as deep as half its width where nothing else is told', () => {
  expect(hollow({ form: 'roundTrough', width: '60', length: '200' }).value).toMatchObject({ depth_m: 0.03 });
});

test('the sizes of a piece are typed in the unit of the studio, and read back as they are', () => {
  for (const outline of [
    { shape: 'rectangle', width_m: 0.2413, length_m: 0.1524 },
    { shape: 'oval', width_m: 0.2, length_m: 0.3 },
    { shape: 'disc', diameter_m: 0.38 },
    { shape: 'ring', diameter_m: 0.214, inner_m: 0.146 },
  ] as const)
    for (const units of [METRIC, INCHES]) {
      const typed = typedOutline(outline, '', units);
      const read = readTyped(typed, units, (one) => readOutline(one, '', units)).value;
      expect(Object.keys(read ?? {})).toEqual(Object.keys(outline));
      Object.entries(outline).forEach(([key, value]) => {
        const got = (read as unknown as Record<string, unknown>)[key];
        if (typeof value === 'number') expect(Math.abs(Number(got) - value)).toBeLessThan(2e-5);
        else expect(got).toBe(value);
      });
    }
  const corners = {
    shape: 'polygon',
    corners_m: [
      [0, 0],
      [0.2, 0],
      [0, 0.12],
    ],
  } as const;
  expect(readTyped(typedOutline(corners, '', METRIC), METRIC, (one) => readOutline(one, '', METRIC)).value).toEqual(corners);
});

test('sizes typed as one are taken apart, with the unit of the last', () => {
  expect(sizesApart('18 × 26 × 4 cm', 3)).toEqual(['18 cm', '26 cm', '4 cm']);
  expect(sizesApart('18x26', 3)).toEqual(['18', '26']);
  expect(sizesApart('7 in x 26 cm', 3)).toEqual(['7 in', '26 cm']);
  for (const words of ['18', '18 x', '1 x 2 x 3 x 4']) expect(sizesApart(words, 3)).toBeNull();
});

test('what is kept names its units, and what is typed is shown in the other one', () => {
  expect(withUnits({ width: '80', 'c1.depth': '3/8 in', poured: '530', count: '2', form: 'box', liner: '', hole: '20 x 30' }, METRIC)).toEqual({
    ...{ width: '80 mm', 'c1.depth': '3/8 in', poured: '530 g', count: '2', form: 'box', liner: '', hole: '20 x 30 mm' },
  });
  expect(inOtherUnit('c0.width', '25.4', METRIC)).toBe('1 in');
  expect(inOtherUnit('width', '1 in', METRIC)).toBe('25.4 mm');
  expect(inOtherUnit('mass', '16', INCHES)).toBe('454 g');
  expect(inOtherUnit('mass', 'much', INCHES)).toBeUndefined();
  expect(inOtherUnit('count', '2', METRIC)).toBeUndefined();
  expect(inOtherUnit('wasAt', '790', METRIC)).toBe('1454 °F');
  expect(inOtherUnit('wasAt', '1450 F', METRIC)).toBe('788 °C');
  expect(inOtherUnit('wasUp', '360', INCHES)).toBe('200 °C/h');
});

test('a studio that comes to other units meets what was typed as it was meant', () => {
  const typed = { howMuch: { 'c0.width': '80', 'c0.density': '0.93', 'c0.count': '2' }, mixes: { coat: '120', total: '250' } };
  const moved = inUnits({ sheet: 'howMuch', typed, units: METRIC }, INCHES);
  expect(moved).toEqual({
    ...{ sheet: 'howMuch', units: INCHES },
    typed: { howMuch: { 'c0.width': '80 mm', 'c0.density': '0.93 g/cm³', 'c0.count': '2' }, mixes: { coat: '120 g/m²', total: '250 g' } },
  });
  expect(inUnits(moved, INCHES)).toBe(moved);
  // Degrees are meant in what they were typed in, too.
  const warmer = { ...METRIC, temperature: 'F' as const };
  const degrees = { conversions: { wasAt: '790', willAt: '1450 F', wasUp: '200', hold: '10' } };
  expect(inUnits({ sheet: 'conversions', typed: degrees, units: METRIC }, warmer).typed).toEqual({
    conversions: { wasAt: '790 °C', willAt: '1450 F', wasUp: '200 °C/h', hold: '10' },
  });
});

test('a dam or a plain mould of the shelf is typed as the hollow that it is, with its liner; what has no such hollow is not', () => {
  const form = (more: Partial<FormShape>): FormShape => ({
    ...{ use: 'dam', plan: 'round', across_m: 0.166, deep_m: 0.04, thick_m: 0.003, material: 'stainless' },
    ...more,
  });
  const read = (more: Partial<FormShape>, units = METRIC) => {
    const typed = typedOfForm(form(more), '', units);
    return typed && hollow(typed, units).value;
  };
  expect(typedOfForm(form({ liner_m: 0.003 }), '', METRIC)).toEqual({ form: 'disc', diameter: '166', depth: '40', liner: '3' });
  expect(typedOfForm(form({}), 'c0.', METRIC)).toMatchObject({ 'c0.form': 'disc', 'c0.liner': '' });
  expect(read({}, INCHES)).toEqual({ kind: 'straight', outline: { shape: 'disc', diameter_m: expect.closeTo(0.166, 4) }, depth_m: expect.closeTo(0.04, 4) });
  expect(read({ plan: 'rectangle', along_m: 0.2 })).toMatchObject({ outline: { shape: 'rectangle', length_m: 0.2 } });
  expect(read({ use: 'hollow' })).toMatchObject({ kind: 'bowl', rim_m: 0.166, floor_m: 0 });
  expect(read({ use: 'hollow', floor_m: 0.1 })).toMatchObject({ kind: 'cone', floor_m: 0.1 });
  expect(read({ use: 'hollow', plan: 'trough', along_m: 0.3, floor_m: 0 })).toMatchObject({ kind: 'vTrough', length_m: 0.3 });
  expect(read({ use: 'hollow', plan: 'trough', along_m: 0.3 })).toMatchObject({ kind: 'roundTrough' });
  for (const more of [{ use: 'former' as const }, { plan: 'lobed' as const }, { use: 'hollow' as const, foot_m: 0.01, floor_m: 0.1 }])
    expect(read(more)).toBeNull();
});
