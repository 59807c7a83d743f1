import { weighedWords } from './weighed';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;

test('a form is told by how much it is lighter or heavier than new; within what a scale tells it is the same', () => {
  expect(weighedWords(0.4, 0.38, METRIC)).toMatch(/^It weighs 380 g, 5\.0 % less than new: .*weaker than it looks/);
  expect(weighedWords(0.4, 0.41, METRIC)).toMatch(/^It weighs 410 g, 2\.5 % more than new: it has drunk water/);
  expect(weighedWords(0.4, 0.4015, METRIC)).toBe('It weighs 402 g, as when it was new.');
  expect(weighedWords(0.4, 0.38, { ...METRIC, mass: 'oz' })).toMatch(/^It weighs 13\.4 oz, 5\.0 % less/);
  expect(weighedWords(undefined, 0.4, METRIC)).toBeNull();
  expect(weighedWords(0.4, undefined, METRIC)).toBeNull();
});
