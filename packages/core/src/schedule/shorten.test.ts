/** Fitting a controller's memory: the way out that was taken is the least harmful of all, and what it gave up is what was computed. */
import { BODIES } from '../bodies.testCases';
import { keyIn } from '../controller/keyIn';
import type { PurposefulSegment } from '../kiln/segment';
import { METRIC } from '../units/convert';
import { formatDuration, text } from '../units/format';
import { evaluate, harmOf } from './check';
import { brokenOf } from './reading';
import { compose } from './compose';
import { joinSegments, removeSegment } from './edit';
import { shortened } from './shorten';

const controllerOf = (mostSegments: number) => ({ unit: 'C', fullSpeedCode: 4000, mostSegments }) as const;
const bodyOf = (name: string) => BODIES.find(([one]) => one === name)![1];

function planned(name: string) {
  const firing = bodyOf(name);
  const plan = compose({ ...firing, controller: controllerOf(30) });
  if (!plan.ok) throw new Error(plan.problem.message);
  const shorten = (most: number) => shortened(firing, plan.value, controllerOf(most), (segments: PurposefulSegment[]) => evaluate(firing, segments), METRIC);
  return { firing, ...plan.value, rows: keyIn(plan.value.segments, controllerOf(30)).rows.length, shorten };
}

const NAMES = ['two sheets, full fuse', '25 mm, polished', 'six sheets in a dam', 'a bowl, 300 by 50 mm'];

test.each(NAMES)('%s, one segment less: nothing that joins neighbours or leaves one out does less harm in less time', (name) => {
  const { firing, segments, evaluation, rows, shorten } = planned(name);
  const taken = shorten(rows - 1);
  expect(keyIn(taken.segments, controllerOf(30)).rows).toHaveLength(rows - 1);
  expect(evaluate(firing, taken.segments).readings).toEqual(taken.evaluation.readings);
  const others = segments
    .flatMap((_, i) => [joinSegments(segments, i), removeSegment(segments, i)])
    .flatMap((outcome) => (outcome.ok ? [outcome.value] : []))
    .filter(
      (one) =>
        keyIn(one, controllerOf(30)).rows.length === rows - 1 &&
        Math.max(...one.map(({ target_C }) => target_C)) === Math.max(...segments.map(({ target_C }) => target_C)),
    );
  expect(others.length).toBeGreaterThan(2);
  for (const other of others) {
    const judged = evaluate(firing, other);
    const better = harmOf(judged) < harmOf(taken.evaluation) - 1e-6;
    const asGoodAndFaster = harmOf(judged) <= harmOf(taken.evaluation) + 1e-6 && judged.simulation.total_s < taken.evaluation.simulation.total_s - 1;
    // Going up to a heat with nothing to hold back is faster than any join; it is only taken where nothing is joined faster than before.
    const hurries = other.some((segment, i) => i > 0 && (segment.rate_C_per_h ?? Infinity) > fastestOf(segments, segment, other[i - 1].target_C));
    expect({ other: other.map(({ role }) => role).join(' '), better: better && !hurries, asGoodAndFaster: asGoodAndFaster && !hurries }).toMatchObject({
      better: false,
      asGoodAndFaster: false,
    });
  }
  if (brokenOf(evaluation.readings).length === 0) expect(brokenOf(taken.evaluation.readings)).toEqual([]);
});

/** Slowest rate at which the plan goes anywhere between two temperatures. */
function fastestOf(plan: readonly PurposefulSegment[], { target_C }: PurposefulSegment, from_C: number): number {
  const [low, high] = [Math.min(from_C, target_C), Math.max(from_C, target_C)];
  return plan.reduce((least, segment, i) => {
    const start = i === 0 ? 20 : plan[i - 1].target_C;
    const passes = Math.min(start, segment.target_C) < high - 1e-6 && Math.max(start, segment.target_C) > low + 1e-6;
    const sameWay = Math.sign(segment.target_C - start) === Math.sign(target_C - from_C);
    return passes && sameWay ? Math.min(least, segment.rate_C_per_h ?? Infinity) : least;
  }, Infinity);
}

test('what was given up is said in the figures that were calculated', () => {
  const { evaluation, rows, shorten } = planned('six sheets in a dam');
  const taken = shorten(rows - 2);
  const [what, cost] = taken.remarks;
  expect(what).toMatch(new RegExp(`^For the ${rows - 2} segments that the controller holds: `));
  expect(cost).toMatch(/^Given up for it: /);
  const [after, before] = [taken.evaluation, evaluation].map(({ simulation }) => text(formatDuration(simulation.total_s)));
  expect(cost).toContain(`in all ${after} for ${before}`);
  expect(taken.evaluations).toBeGreaterThan(2);
});

test('a schedule that fits stays as it is; one cut to a single segment breaks what it must', () => {
  const { segments, evaluation, rows, shorten } = planned('two sheets, full fuse');
  expect(shorten(rows)).toMatchObject({ segments, remarks: [], evaluations: 0 });
  expect(harmOf(evaluation)).toBe(0);
  expect(harmOf(shorten(1).evaluation)).toBeGreaterThan(0.1);
});
