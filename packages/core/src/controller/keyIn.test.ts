import { keyIn, segmentsKeyed, segmentsOf } from './keyIn';
import { profileOf } from './profile';
import { TYPICAL_CONTROLLERS } from './typical';

const celsius = { unit: 'C', fullSpeedCode: 4000, mostSegments: 8 } as const;
const segments = [
  { rate_C_per_h: 220, target_C: 560, hold_s: 0 },
  { rate_C_per_h: null, target_C: 515, hold_s: 1800 },
  { rate_C_per_h: 3.5, target_C: 420, hold_s: 0 },
  { rate_C_per_h: null, target_C: 60, hold_s: 0 },
];

describe('keying a schedule in', () => {
  test('writes whole degrees per hour, whole degrees and minutes, and the full-speed code', () => {
    const { rows } = keyIn(segments, celsius);
    expect(rows[0]).toMatchObject({ rate: 220, target: 560, hold_min: 0, fullSpeed: false });
    expect(rows[1]).toMatchObject({ rate: 4000, target: 515, hold_min: 30, fullSpeed: true });
  });

  test('leaves out a last segment that is switching off', () => {
    const { rows, switchOff } = keyIn(segments, celsius);
    expect(switchOff).toBe(true);
    expect(rows).toHaveLength(3);
  });

  test('rounds a rate to the slower side and says so', () => {
    const { rows, remarks } = keyIn(segments, celsius);
    expect(rows[2].rate).toBe(3);
    expect(remarks).toEqual([{ kind: 'rounded', message: expect.stringContaining('3.5') }]);
  });

  test('writes rates in °F by the scale alone and targets with the zero', () => {
    const { rows } = keyIn(segments, { ...celsius, unit: 'F' });
    expect(rows[0]).toMatchObject({ rate: 396, target: 1040 });
  });

  test('says when the controller has too few segments or is too coarse', () => {
    expect(keyIn(segments, { ...celsius, mostSegments: 2 }).remarks.some(({ kind }) => kind === 'cannot')).toBe(true);
    const crawl = keyIn([{ rate_C_per_h: 0.8, target_C: 420, hold_s: 0 }], celsius);
    expect(crawl.remarks).toEqual([{ kind: 'cannot', message: expect.stringContaining('0.8') }]);
  });
});

describe('a hold longer than the longest', () => {
  const long = [segments[0], { ...segments[1], hold_s: 26 * 3600 }, segments[2], segments[3]];

  test.each(TYPICAL_CONTROLLERS)('$name keys it as further segments at the same heat, and runs it as one', (controller) => {
    const short = { ...controller, mostHold_s: 10 * 3600 };
    const keyed = keyIn(long, short);
    const held = keyed.rows.filter(({ segment }) => segment === 1);
    // One minute less where a hold of the longest ends the program.
    const most = profileOf(short).ends === 'hold' ? 599 : 600;
    expect(held.map(({ hold_min }) => hold_min)).toEqual([most, most, 1560 - 2 * most]);
    expect(new Set(held.map(({ target }) => target)).size).toBe(1);
    expect(keyed.remarks).toContainEqual({ kind: 'parted', message: expect.stringContaining('3 segments at the same heat') });
    const run = segmentsKeyed(long, keyed, short);
    expect(run.map(({ hold_s }) => hold_s)).toEqual(long.map(({ hold_s }) => hold_s));
    expect(segmentsOf(keyed.rows, short)).toHaveLength(3);
  });
});

test('where a hold ends a program, one more segment is keyed for it, that is no part of the firing', () => {
  const [, , dial] = TYPICAL_CONTROLLERS;
  const keyed = keyIn(segments, dial);
  expect(keyed.rows).toHaveLength(4);
  expect(keyed.rows.at(-1)).toEqual({ segment: 2, rate: 99, target: 420, hold_min: 23 * 60 + 59, fullSpeed: true, ends: true });
  expect(segmentsOf(keyed.rows, dial)).toHaveLength(3);
  expect(segmentsKeyed(segments, keyed, dial)).toHaveLength(segments.length);
  // A hold of the firing as long as that would end it: it is parted.
  const long = keyIn([{ ...segments[0], hold_s: (23 * 60 + 59) * 60 }, ...segments.slice(1)], dial);
  expect(long.rows.filter(({ segment }) => segment === 0).map(({ hold_min }) => hold_min)).toEqual([23 * 60 + 58, 1]);
});
