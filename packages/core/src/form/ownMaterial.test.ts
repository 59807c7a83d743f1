import { formPace, materialOf, ofOwnMaterial } from './materials';
import { leftToUse, leftWords } from './usedOnce';

const crank = { id: 'crank', name: 'Crank clay', material: 'stoneware', expansion_perK: 4.4e-6, top_C: 1080, pace_K_per_s: 0.02, paceTo_C: 300 } as const;
const form = { material: 'earthenware', materialId: 'crank', thick_m: 0.01 } as const;

test('a form of the studio’s own material has its figures, and what that does not tell is of what it is most like', () => {
  const made = ofOwnMaterial(form, [crank]);
  expect(materialOf(made)).toMatchObject({ expansion_perK: 4.4e-6, top_C: 1080, density_kg_m3: materialOf({ material: 'stoneware' }).density_kg_m3 });
  expect(formPace(made)).toEqual({ C_per_h: 72, past_C: 300 });
});

test('what was told of the form itself stands above its material; a material that is gone changes nothing', () => {
  expect(ofOwnMaterial({ ...form, expansion_perK: 5.1e-6 }, [crank]).expansion_perK).toBe(5.1e-6);
  expect(ofOwnMaterial(form, [])).toBe(form);
  expect(ofOwnMaterial(form)).toBe(form);
});

test.each([
  [{ count: 5 }, 9, null, ''],
  [{ once: true, count: 5 }, 2, 3, 'Used once each: 3 of 5 are left.'],
  [{ once: true, count: 5 }, 4, 1, 'Used once each: 1 of 5 is left.'],
  [{ once: true, count: 5 }, 7, 0, 'Used once each, and all 5 have been fired: make or buy more, and write down how many there are.'],
])('%j after %i firings leaves %s', (of, fired, left, words) => {
  expect(leftToUse(of, fired)).toBe(left);
  expect(leftWords(of, fired)).toBe(words);
});
