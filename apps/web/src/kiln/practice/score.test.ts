import { TASKS } from '@torvin/core/practice';
import { keepScore, passedOf, readScore, scored } from './score';

beforeEach(() => window.localStorage.clear());

test('each try counts, each pass too, and what was kept is read again', () => {
  let score = readScore();
  expect(passedOf(score)).toBe(0);
  score = scored(scored(score, 'find', false, 5), 'find', true, 6);
  score = scored(score, 'cut', true, 7);
  score = scored(score, 'cut', false, 8);
  expect(keepScore(score)).toBe(true);
  expect(readScore()).toMatchObject({ find: { tries: 2, passed: 1, passedAt: 6 }, cut: { tries: 2, passed: 1, passedAt: 7 }, enter: { tries: 0 } });
  expect(passedOf(readScore())).toBe(2);
});

test.each([['not JSON'], ['[]'], ['{"find":{"tries":"many"}}'], ['null']])('what cannot be read is no score: %s', (kept) => {
  window.localStorage.setItem('torvin practice', kept);
  expect(readScore()).toEqual(Object.fromEntries(TASKS.map((task) => [task, { tries: 0, passed: 0, passedAt: null }])));
});
