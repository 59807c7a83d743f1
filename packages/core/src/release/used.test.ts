import type { FormShape } from '../form/shape';
import { usedOf, usedWords } from './used';

const shelf: FormShape = { use: 'shelf', plan: 'rectangle', across_m: 0.4, along_m: 0.5, deep_m: 0, thick_m: 0.016, material: 'cordierite' };
const drum: FormShape = { use: 'former', plan: 'round', across_m: 0.2, deep_m: 0.1, thick_m: 0.002, material: 'stainless' };
const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;

test('coats are counted since it was opened, each by the surface that it covers', () => {
  const laid = [
    { coats: 5, at: 10, on: shelf, onId: 'a' },
    { coats: 3, at: 20, on: drum, onId: 'b' },
    { coats: 5, at: 30, on: shelf, onId: 'a' },
  ];
  const all = usedOf(laid);
  // A shelf by its plan; a drum by its top and its side.
  expect(all.area_m2).toBeCloseTo(10 * 0.4 * 0.5 + 3 * (Math.PI * 0.01 + Math.PI * 0.2 * 0.1), 9);
  expect(all).toMatchObject({ coats: 13, forms: 2 });
  expect(usedOf(laid, 15)).toMatchObject({ coats: 8, forms: 2 });
  expect(usedWords(usedOf(laid, 25), 40, METRIC)).toMatch(/^5 coats in one place, 1\.00 m² of coat in all; 35 of 40 are left\.$/);
  expect(usedWords(all, 12, METRIC)).toMatch(/; it should give 12\.$/);
  expect(usedWords(usedOf([]), 12, METRIC)).toBe('No coat recorded yet.');
});

test('what a bottle gave by brush and by spray is told apart, where it was told', () => {
  const laid = [
    { coats: 5, at: 10, on: shelf, onId: 'a', by: 'brush' as const },
    { coats: 3, at: 20, on: shelf, onId: 'b', by: 'spray' as const },
    { coats: 1, at: 30, on: shelf, onId: 'a' },
  ];
  expect(usedOf(laid).parts).toEqual([
    { by: 'brush', coats: 5, area_m2: expect.closeTo(1, 9) },
    { by: 'spray', coats: 3, area_m2: expect.closeTo(0.6, 9) },
  ]);
  expect(usedWords(usedOf(laid), 40, METRIC)).toBe('9 coats in 2 places, 1.80 m² of coat in all (5 brushed, 1.00 m²; 3 sprayed, 0.60 m²); 31 of 40 are left.');
  expect(usedWords(usedOf(laid.slice(1, 2)), undefined, METRIC)).toBe('3 coats in one place, 0.60 m² of coat in all, all sprayed.');
});
