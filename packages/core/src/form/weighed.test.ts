import { weighedWords } from './weighed';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const clay = (new_kg?: number, now_kg?: number) => ({ material: 'earthenware' as const, new_kg, now_kg });

test('a form is told by how much it is lighter or heavier than new; within what a scale tells it is the same', () => {
  expect(weighedWords(clay(0.4, 0.38), METRIC)).toMatch(/^It weighs 380 g, 5\.0 % less than new: .*weaker than it looks/);
  expect(weighedWords(clay(0.4, 0.41), METRIC)).toMatch(/^It weighs 410 g, 2\.5 % more than new: it has drunk water/);
  expect(weighedWords(clay(0.4, 0.4015), METRIC)).toBe('It weighs 402 g, as when it was new.');
  expect(weighedWords(clay(0.4, 0.38), { ...METRIC, mass: 'oz' })).toMatch(/^It weighs 13\.4 oz, 5\.0 % less/);
  expect(weighedWords(clay(undefined, 0.4), METRIC)).toBeNull();
  expect(weighedWords(clay(0.4), METRIC)).toBeNull();
});

test('steel drinks nothing and has no grains: it scales', () => {
  const steel = { material: 'mildSteel' as const, new_kg: 0.9 };
  expect(weighedWords({ ...steel, now_kg: 0.87 }, METRIC)).toMatch(/3\.3 % less than new: that went off as scale, its wall is thinner/);
  expect(weighedWords({ ...steel, now_kg: 0.93 }, METRIC)).toMatch(/3\.3 % more than new: it carries scale or old release/);
});
