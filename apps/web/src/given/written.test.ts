/** What was written of a schedule: where its faults stand, what its rows begin as, for which firing it is judged. */
import type { FiringDetail } from '@torvin/schema';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { segmentsWritten } from '@torvin/core/schedule';
import { EMPTY_ROW, begun, filledIn, firingToJudge, forWhat, placeInRows, rowsOfFile } from './written';

const SEGMENTS: PurposefulSegment[] = [
  { role: 'squeeze', rate_C_per_h: 222, target_C: 677, hold_s: 1800 },
  { role: 'work', rate_C_per_h: null, target_C: 804, hold_s: 600 },
  { role: 'firstCool', rate_C_per_h: null, target_C: 482, hold_s: 3600 },
];
const proven = { firing: { asFired: null }, schedule: { segments: SEGMENTS }, asFiredResult: null } as unknown as FiringDetail;
const PAPER = { unit: 'C', rateAs: 'perHour', holdAs: 'minutes' } as const;

test('a fault is told at the row where it stands, with the empty rows among them', () => {
  const rows = [EMPTY_ROW, { rate: '200', target: '680', hold: '30' }, { rate: ' ', target: '', hold: '' }, { rate: '200', target: 'hot', hold: '' }];
  expect(filledIn(rows)).toHaveLength(2);
  const read = segmentsWritten(filledIn(rows), PAPER);
  if (read.ok) throw new Error('It was read.');
  expect(placeInRows(read.problem.path, rows)).toBe('3.target');
  expect(placeInRows('segments.0.rate', rows)).toBe('1.rate');
  expect(placeInRows('segments', rows)).toBe('0.target');
});

test('a firing that is run again begins as its rows in the unit of the studio, and reads back as what it was', () => {
  expect(begun(null, 'F')).toEqual({ rows: [EMPTY_ROW, EMPTY_ROW, EMPTY_ROW], as: { ...PAPER, unit: 'F' } });
  for (const unit of ['C', 'F'] as const) {
    const { rows, as } = begun(proven, unit);
    expect(rows[0].target).toMatch(unit === 'C' ? /^677/ : /^1251|^1250\.6/);
    const read = segmentsWritten(rows, as);
    if (!read.ok) throw new Error(read.problem.message);
    read.value.forEach(({ target_C, hold_s, rate_C_per_h }, i) => {
      // A whole degree of either unit at most.
      expect(Math.abs(target_C - SEGMENTS[i].target_C)).toBeLessThan(0.51);
      expect(hold_s).toBeCloseTo(SEGMENTS[i].hold_s, 6);
      expect(rate_C_per_h ?? 0).toBeCloseTo(SEGMENTS[i].rate_C_per_h ?? 0, -0.5);
    });
  }
});

test('its segments are for what they were for there, unless there are more or fewer of them now', () => {
  const hotter = SEGMENTS.map(({ role: _role, ...segment }) => ({ ...segment, target_C: segment.target_C + 5 }));
  expect(forWhat(hotter, proven)?.map(({ role, target_C }) => [role, target_C])).toEqual([
    ['squeeze', 682],
    ['work', 809],
    ['firstCool', 487],
  ]);
  expect(forWhat(hotter.slice(1), proven)).toBeNull();
  expect(forWhat(hotter, null)).toBeNull();
});

test('it is judged for the firing that is asked for, else for one of its look, else for the first', () => {
  const firings = [
    { id: 'a', look: 'tack' },
    { id: 'b', look: 'slump' },
  ] as const;
  expect(firingToJudge(firings, 'b', 'tack')?.id).toBe('b');
  expect(firingToJudge(firings, undefined, 'slump')?.id).toBe('b');
  expect(firingToJudge(firings, undefined, 'fullFuse')?.id).toBe('a');
  // One that is not there any more is not another.
  expect(firingToJudge(firings, 'gone', 'tack')).toBeUndefined();
  expect(firingToJudge([], undefined, undefined)).toBeUndefined();
});

test('a schedule that Torvin wrote as JSON comes back as its rows; other JSON does not', () => {
  const file = (more: object = {}): string => JSON.stringify({ format: 'torvin-schedule', formatVersion: 1, segments: SEGMENTS, ...more }, null, 2);
  for (const unit of ['C', 'F'] as const) {
    const found = rowsOfFile(file(), unit);
    const read = segmentsWritten(found?.rows ?? [], found?.as ?? PAPER);
    if (!read.ok) throw new Error(read.problem.message);
    read.value.forEach(({ rate_C_per_h, target_C, hold_s }, i) => {
      expect([target_C, hold_s]).toEqual([expect.closeTo(SEGMENTS[i].target_C, 0), SEGMENTS[i].hold_s]);
      expect(rate_C_per_h).toEqual(SEGMENTS[i].rate_C_per_h === null ? null : expect.closeTo(SEGMENTS[i].rate_C_per_h, 0));
    });
  }
  for (const other of [file({ format: 'another' }), file({ segments: [] }), file({ segments: [{ target_C: 'hot' }] }), '{"a": 1', '[1]', '150 677 30'])
    expect(rowsOfFile(other, 'C')).toBeNull();
});
