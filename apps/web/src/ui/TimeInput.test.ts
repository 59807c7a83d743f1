import { format } from 'date-fns/format';
import { FIELD_TIME, readFieldTime } from './TimeInput';

/** The clocks of the place in which the tests run, Lisbon: back at 01:00 UTC of 25 October 2026, forward at 01:00 UTC of 29 March. */
const FIRST = Date.UTC(2026, 9, 25, 0, 30);
const SECOND = Date.UTC(2026, 9, 25, 1, 30);

test('a time is read as it is written', () => {
  const at = Date.UTC(2026, 6, 1, 17, 30);
  expect(readFieldTime(format(at, FIELD_TIME))?.getTime()).toBe(at);
  for (const written of ['', '2026-07-01', '2026-02-30T10:00', 'tomorrow']) expect(readFieldTime(written)).toBeUndefined();
});

test('of an hour that comes twice the one nearer to what is meant is read', () => {
  expect([FIRST, SECOND].map((at) => format(at, FIELD_TIME))).toEqual(['2026-10-25T01:30', '2026-10-25T01:30']);
  for (const at of [FIRST, SECOND]) expect(readFieldTime('2026-10-25T01:30', at)?.getTime()).toBe(at);
  expect(readFieldTime('2026-10-25T01:30', SECOND + 5 * 3600e3)?.getTime()).toBe(SECOND);
  expect(readFieldTime('2026-10-25T01:30', FIRST - 5 * 3600e3)?.getTime()).toBe(FIRST);
});

test('an hour that never came is none', () => {
  expect(readFieldTime('2026-03-29T01:30')).toBeUndefined();
  expect(readFieldTime('2026-03-29T02:30')?.getTime()).toBe(Date.UTC(2026, 2, 29, 1, 30));
});
