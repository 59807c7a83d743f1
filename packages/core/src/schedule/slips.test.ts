import type { PanelRow } from '../controller/keyIn';
import { keyIn } from '../controller/keyIn';
import type { Controller } from '../controller/profile';
import { TYPICAL_CONTROLLERS } from '../controller/typical';
import { rememberingSimulator } from '../heat/joints';
import { sheetsOf } from '../testCases';
import { METRIC } from '../units/convert';
import { brokenOf } from './reading';
import { compose } from './compose';
import { judgedSlips } from './slips';
import { slipDoes, slipSentence } from './slipWords';

const [hours, counting] = TYPICAL_CONTROLLERS;
const firing = sheetsOf(2, 0.003);
const outcome = compose(firing);
const segments = outcome.ok ? outcome.value.segments : [];
const work = segments.findIndex(({ role }) => role === 'work');
const soak = segments.findIndex(({ role }) => role === 'drop');
const judged = (controller: Controller, change: (rows: PanelRow[]) => PanelRow[], older: PanelRow[] = []) => {
  const { rows } = keyIn(segments, controller);
  const shown = change(rows.map(({ rate, target, hold_min }) => ({ rate, target, hold_min })));
  const told = judgedSlips(firing, segments, controller, shown, older, rememberingSimulator());
  return { ...told, words: told.slips.map((slip) => `${slipSentence(slip, rows, shown, controller)} ${slipDoes(slip, METRIC, firing.look)}`) };
};
const put =
  (at: number, more: Partial<PanelRow>) =>
  (rows: PanelRow[]): PanelRow[] =>
    rows.map((row, i) => (i === at ? { ...row, ...more } : row));

test('a program that is as it should be has no slips, and is judged as it was planned', () => {
  const { slips, asShown, asPlanned } = judged(hours, (rows) => rows);
  expect([slips, asShown]).toEqual([[], null]);
  expect(brokenOf(asPlanned.readings)).toEqual([]);
});

test('two slips: the one that harms more comes first, each told as if it were alone', () => {
  const { target } = keyIn(segments, hours).rows[work];
  const swapped = Number(String(target).slice(1, 2) + String(target).slice(0, 1) + String(target).slice(2));
  const { slips, words } = judged(hours, (rows) => put(soak, { hold_min: 20 })(put(work, { target: swapped })(rows)));
  expect(slips.map(({ row, figure }) => [row, figure])).toEqual([
    [work, 'target'],
    [soak, 'hold'],
  ]);
  expect(words[0]).toMatch(
    new RegExp(
      `^Segment ${work + 1}, target: it shows ${swapped} for ${target}; two digits are swapped\\. Heat work is \\d+ % \\(a full fuse takes up to \\d+ %\\)\\.`,
    ),
  );
  expect(words[1]).toMatch(/^Segment \d, hold: it shows 20 for 30; one digit is another\. The soak is 10 min short/);
});

test('a soak of hours for minutes keeps every limit and is told by its time', () => {
  const { words } = judged(counting, (rows) => put(soak, { hold_min: 60 * rows[soak].hold_min })(rows));
  expect(words).toEqual([expect.stringMatching(/it shows 30\.00 for 0\.30; hours and minutes are mixed up\. .*It would take \d+ h \d\d longer\.$/)]);
});

test('a first cool at full speed is told by what stays in the glass', () => {
  const cool = segments.findIndex(({ role }) => role === 'firstCool');
  const { slips, words } = judged(hours, put(cool, { rate: hours.fullSpeedCode }));
  expect(slips[0].kinds[0]).toBe('code');
  expect(words[0]).toMatch(/the figure for full speed stands where a rate should\. .*(Cool slower|stay at room temperature)/);
});

test('a segment that was skipped, and an older rate', () => {
  const older = keyIn(segments, hours).rows.map((row) => ({ ...row, rate: row.rate === 4000 ? 4000 : row.rate + 37 }));
  expect(judged(hours, (rows) => rows.filter((_, i) => i !== soak)).words[0]).toMatch(/^Segment \d is not there: it was skipped\. /);
  const { slips, words } = judged(hours, put(0, { rate: older[0].rate }), older);
  expect(slips[0].kinds[0]).toBe('old');
  expect(words[0]).toMatch(/the older program has that there still/);
});

test.each([
  ['a segment left out', (rows: PanelRow[]) => rows.filter((_, i) => i !== soak)],
  ['a segment put in', (rows: PanelRow[]) => rows.toSpliced(soak, 0, { ...rows[work], target: rows[soak].target + 90 })],
  ['a rate', put(soak, { rate: 45 })],
])('one slip alone, %s, is judged as the program that is shown', (_, change) => {
  const { slips, asShown, asPlanned } = judged(hours, change);
  expect(slips).toHaveLength(1);
  expect(slips[0].evaluation.readings).toEqual(asShown?.readings);
  expect(slips[0].longer_s).toBeCloseTo((asShown?.simulation.total_s ?? 0) - asPlanned.simulation.total_s, 6);
});
