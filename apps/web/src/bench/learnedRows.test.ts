import type { Taught } from './learnedRows';
import { SHOWN, factorRow, heightOf, lookRow, offsetRow, placed } from './learnedRows';

const lesson = { leftOut: false, by: null, witness: null };
const taught = {
  ...{ kilnId: 'k', kilnName: 'Low kiln', familyName: 'Soft sheet 90', firings: 3, offset_K: 4, workFactor: 1.2, offset_sd_K: 3, workFactor_sd_log: 0.1 },
  drift: null,
  separated: true,
  looks: [{ look: 'tack', factor: 1.2, sd_log: 0.1, firings: 2 }],
  lessons: [
    { firingId: 'a', pieceName: 'A', firedAt: 3, look: 'tack', result: 'short', lesson, ofLeast: 1.5, ofMost: 0.5 },
    {
      firingId: 'b',
      pieceName: 'B',
      firedAt: 2,
      look: 'tack',
      result: 'right',
      lesson: { ...lesson, witness: { controller_C: 800, glass_C: 790 } },
      ofLeast: 2,
      ofMost: 0.8,
    },
    { firingId: 'c', pieceName: 'C', firedAt: 1, look: 'tack', result: 'past', lesson: { ...lesson, leftOut: true }, ofLeast: 4, ofMost: 1.3 },
  ],
} as Taught;

test('a look that fell short asks for more than was done, one that was right lies between, one that went past asks for less', () => {
  const { said, middle, now, before } = lookRow(taught, taught.looks[0]);
  expect(said.map(({ from, to }) => [from, to].map((end) => end && Number(Math.exp(end).toFixed(3))))).toEqual([
    [1.5, null],
    [0.8, 2],
    [null, 1.3],
  ]);
  expect(said.map(({ leftOut }) => leftOut)).toEqual([false, false, true]);
  expect(Math.exp(middle)).toBeCloseTo(1.2, 9);
  expect(now[0]).toBeLessThan(middle);
  // Nothing speaks of all looks alone, and of one less is known before than of all.
  expect(factorRow(taught).said).toEqual([]);
  expect(before[1]).toBeGreaterThan(factorRow(taught).before[1]);
  expect(lookRow({ ...taught, lessons: taught.lessons.map((one) => ({ ...one, look: 'slump' })) }, taught.looks[0]).said).toEqual([]);
});

test('of the offset only readings at the glass say something', () => {
  const { said, before, now } = offsetRow(taught);
  expect(said).toHaveLength(1);
  expect(((said[0].from ?? 0) + (said[0].to ?? 0)) / 2).toBeCloseTo(10, 9);
  expect(before[1] - before[0]).toBeGreaterThan(now[1] - now[0]);
});

test('nothing is drawn outside, and no more than so many firings', () => {
  const row = lookRow({ ...taught, lessons: Array.from({ length: 40 }, () => taught.lessons[0]) }, taught.looks[0]);
  expect(placed(99, row, 300)).toBe(300);
  expect(placed(-99, row, 300)).toBe(0);
  expect(placed(0, row, 300)).toBe(150);
  expect(heightOf(row)).toBe(34 + 7 * SHOWN);
});
