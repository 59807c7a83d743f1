import { WISHES, comesAt, delayOf, startFor } from './delay';

const moments = { look: { from_s: 5 * 3600, to_s: 5.3 * 3600 }, controlled_s: 8 * 3600, opens_s: 14 * 3600 };
const at = (day: number, hour: number, minute = 0): number => new Date(2026, 4, day, hour, minute).getTime();
const now = at(11, 16);

test('is calculated back from the check and from the opening', () => {
  expect(startFor('start', at(12, 8), moments)).toBe(at(12, 8));
  expect(startFor('look', at(12, 8), moments)).toBe(at(12, 3));
  expect(startFor('open', at(12, 8), moments)).toBe(at(11, 18));
  for (const wish of WISHES) expect(comesAt(wish, startFor(wish, at(12, 8), moments), moments)).toBe(at(12, 8));
  const { plan, doubts } = delayOf(startFor('open', at(12, 8), moments), now, moments, 24 * 3600);
  expect(plan).toBe('Starts at 18:00, a delay of 2 h 00 from now; check from 23:00, open at Tue 08:00.');
  expect(doubts).toEqual(['The check falls at night.']);
});

test('says that it starts in the night, and from when on a controller can be set', () => {
  const { doubts, tooLate } = delayOf(at(13, 2), now, moments, 12 * 3600);
  expect(tooLate).toBe(false);
  expect(doubts).toEqual(['Its controller delays a start by 12 h 00 at most: set it from Tue 14:00 on.', 'It starts at night. Be nearby for the first hour.']);
  // Of a controller of which no longest delay is known nothing is said.
  expect(delayOf(at(13, 8), now, moments).doubts).toEqual([]);
});

test('that would have had to start before now is too late, and the earliest is said', () => {
  const { tooLate, doubts, plan } = delayOf(startFor('open', at(12, 2), moments), now, moments);
  expect([tooLate, plan]).toEqual([true, '']);
  expect(doubts[0]).toMatch(/^It would have had to start at 12:00: too late for that\. .* looked into at 21:00 and opened at Tue 06:00\.$/);
});
