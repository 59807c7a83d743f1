import { type BodyInput, bodyFigures } from '../body/body';
import { heightLeft } from '../flow/relief';
import { TYPICAL_FAMILIES } from '../glass/families';
import { RECIPES } from './recipes/all';
import type { Look } from './names';
import { aimedWork, neededWork } from './work';
import { TYPICAL_WORKS } from './works';

const glass = TYPICAL_FAMILIES[0];
/** The reference body: parts of 3 mm, 25 mm wide, on two sheets. */
const body: BodyInput = {
  glasses: [glass],
  layers: [
    { form: 'sheet', glass: 0, thickness_m: 0.003 },
    { form: 'sheet', glass: 0, thickness_m: 0.003 },
  ],
  parts: [{ glass: 0, thickness_m: 0.003, area_m2: 0.025 ** 2, count: 6 }],
  footprint: { shape: 'disc', diameter_m: 0.2 },
};

function left(look: Look): number {
  const needed = neededWork(body, look, TYPICAL_WORKS);
  if (!needed.ok) throw new Error(needed.problem.message);
  return heightLeft(glass, 0.025, bodyFigures(body).depth.max_m, aimedWork(look, needed.value));
}

/** What the words of a recipe promise, as the share of the height that they stand for. */
test.each([
  ['stick', /relief hardly sinks/, 0.9, 1],
  ['firePolish', /nearly all of the relief/, 0.85, 1],
  ['tack', /three quarters of the relief/, 0.7, 0.8],
  ['contour', /half of the relief/, 0.45, 0.55],
] as const)('%s says of relief what the law says', (look, words, least, most) => {
  expect(RECIPES[look].spares).toMatch(words);
  expect(left(look)).toBeGreaterThan(least);
  expect(left(look)).toBeLessThan(most);
});

test('a full fuse is nearly level, and is told so', () => {
  expect(RECIPES.fullFuse.reaches).toMatch(/nearly level/);
  expect(left('fullFuse')).toBeLessThan(0.2);
  expect(left('fullFuse')).toBeGreaterThan(0.02);
});
