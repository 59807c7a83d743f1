import { LOOKS, RECIPES } from '../look';
import { sheetsOf } from '../testCases';
import { compose, estimatedTop_C } from './compose';

const flat = LOOKS.filter((look) => RECIPES[look].group === 'flat');

test.each(flat)('the estimated top of a %s is the composed one, within what a controller counts in', (look) => {
  for (const sheets of [2, 4]) {
    const firing = { ...sheetsOf(sheets, 0.003), look };
    const composed = compose(firing);
    if (!composed.ok) throw new Error(composed.problem.message);
    const top_C = Math.max(...composed.value.segments.map(({ target_C }) => target_C));
    expect(Math.abs((estimatedTop_C(firing) ?? NaN) - top_C)).toBeLessThanOrEqual(5);
  }
});

test('a controller that reads high has its own figure in it; a firing that cannot be has none', () => {
  const firing = sheetsOf(2, 0.003);
  const corrections = { workFactor: 1, offset_K: 8, paceFactor: 1 };
  expect((estimatedTop_C({ ...firing, corrections } as never) ?? NaN) - (estimatedTop_C(firing) ?? NaN)).toBe(8);
  expect(estimatedTop_C({ ...firing, kiln: { ...firing.kiln, insideWidth_m: 0.1, insideLength_m: 0.1 } })).toBeNull();
  expect(estimatedTop_C({ ...firing, look: 'slump' })).toBeNull();
});
