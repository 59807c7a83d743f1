import type { FormShape } from '@torvin/core/form';
import { drawnForm } from './formGeometry';

const form = (more: Partial<FormShape>): FormShape => ({
  ...{ use: 'hollow', plan: 'round', across_m: 0.3, deep_m: 0.05, thick_m: 0.01, material: 'earthenware' },
  ...more,
});
const box = { width: 300, height: 150 };
const layers = [
  { thickness_m: 0.003, colour: '#111111' },
  { thickness_m: 0.003, colour: '#222222' },
];
const pointsOf = (path: string): [number, number][] =>
  path
    .slice(1, -1)
    .split('L')
    .map((one) => one.split(' ').map(Number) as [number, number]);
const span = (values: readonly number[]): number => Math.max(...values) - Math.min(...values);

test('is drawn to scale: as many px across as in height, and nothing leaves the drawing', () => {
  for (const more of [{}, { floor_m: 0.2, bottom: 'loose' as const }, { use: 'former' as const, across_m: 0.12, deep_m: 0.11 }, { use: 'dam' as const }]) {
    const { solids, wide, deep, pxPerMetre } = drawnForm(form(more), box);
    const points = solids.flatMap(pointsOf);
    expect(points.every(([x, y]) => x > -0.1 && x < box.width + 0.1 && y > -0.1 && y < box.height + 0.1)).toBe(true);
    expect((wide.to - wide.from) / pxPerMetre).toBeCloseTo(form(more).across_m, 3);
    expect(Math.abs(deep.to - deep.from) / pxPerMetre).toBeCloseTo(form(more).deep_m, 3);
  }
});

test('the glass lies on the form, each layer on the one below it, as long as the blank', () => {
  const { lying, flat, pxPerMetre } = drawnForm(form({}), box, { width_m: 0.32, layers });
  expect(lying.map(({ colour }) => colour)).toEqual(['#111111', '#222222']);
  expect((flat?.width ?? 0) / pxPerMetre).toBeCloseTo(0.32, 6);
  const lower = pointsOf(lying[0].path);
  const along = lower.slice(0, lower.length / 2);
  const long = along.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - along[i][0], y - along[i][1]), 0);
  expect(long / pxPerMetre).toBeCloseTo(0.32, 2);
  // At first it lies flat.
  const before = drawnForm(form({}), box, { width_m: 0.32, layers, down: 0 });
  expect(
    span(
      pointsOf(before.lying[0].path)
        .slice(0, 4)
        .map(([, y]) => y),
    ),
  ).toBeLessThan(1);
});

test('over a former its edge hangs as far down as it is to come', () => {
  const drum = form({ use: 'former', across_m: 0.12, deep_m: 0.11 });
  for (const down of [0.3, 0.6, 1]) {
    const { lying, pxPerMetre, y } = drawnForm(drum, box, { width_m: 0.3, layers, down });
    const lowest = Math.max(...pointsOf(lying[0].path).map(([, at]) => at));
    expect((lowest - y(0.11)) / pxPerMetre).toBeCloseTo(0.09 * down, 2);
  }
});
