import { keyIn } from '../controller/keyIn';
import { readBack } from '../controller/readBack';
import { TYPICAL_CONTROLLERS } from '../controller/typical';
import { evaluate } from '../schedule/check';
import { brokenOf } from '../schedule/reading';
import { compose } from '../schedule/compose';
import { joinSegments } from '../schedule/edit';
import { READING_OFF, PRACTICE_FIRING, SHORTEN, hideSlip, isShortened, lengthened, powerCut, seenAs, toEnter } from './practice';

const plans = TYPICAL_CONTROLLERS.map((controller) => {
  const plan = compose({ ...PRACTICE_FIRING, controller });
  if (!plan.ok) throw new Error(plan.problem.message);
  return { name: controller.name, controller, ...plan.value };
});
const [{ segments, controller: hours }] = plans;

test.each(plans)('$name: a slip is hidden in one figure of one segment, elsewhere from turn to turn', ({ controller, segments: planned }) => {
  const { rows } = keyIn(planned, controller);
  const found = Array.from({ length: 24 }, (_, turn) => {
    const { program, row, figure } = hideSlip(rows, turn);
    const slips = readBack(rows, program, controller);
    expect(slips).toHaveLength(1);
    expect(slips[0]).toMatchObject({ row, figure });
    return `${row} ${figure}`;
  });
  expect(new Set(found).size).toBeGreaterThan(6);
  expect(toEnter(rows)).toHaveLength(3);
});

test('in a kiln that reads off the plan falls short; minutes added bring it right, too many take it past', () => {
  const hottest = segments.reduce((best, { target_C }, i) => (target_C > segments[best].target_C ? i : best), 0);
  const seen = (added_min: number) =>
    seenAs(
      READING_OFF,
      evaluate(
        READING_OFF,
        segments.map((one, i) => (i === hottest ? { ...one, hold_s: one.hold_s + 60 * added_min } : one)),
      ),
    );
  expect(seenAs(PRACTICE_FIRING, evaluate(PRACTICE_FIRING, segments))).toBe('right');
  const by = [0, 5, 10, 15, 20, 30, 90].map(seen);
  expect(by[0]).toBe('early');
  expect(by).toContain('right');
  expect(by.at(-1)).toBe('late');
});

test.each(plans)('$name: a schedule of eight can be brought to six without harm, and not by every way', ({ controller, segments: planned }) => {
  const long = lengthened(planned, controller);
  expect(keyIn(long, controller).rows).toHaveLength(SHORTEN.from);
  const ways = long.flatMap((_, i) => {
    const one = joinSegments(long, i);
    return one.ok
      ? one.value.flatMap((__, k) => {
          const two = joinSegments(one.value, k);
          return two.ok ? [two.value] : [];
        })
      : [];
  });
  const passed = ways.map((way) => isShortened(way, controller, evaluate(PRACTICE_FIRING, way)));
  expect(passed).toContain(true);
  expect(passed).toContain(false);
  expect(isShortened(long, controller, evaluate(PRACTICE_FIRING, long))).toBe(false);
});

test('after a cut each goes on or stops as its profile says, and the glass is judged by what ran', () => {
  const turns = Array.from({ length: 8 }, (_, turn) => powerCut(segments, turn));
  for (const { controller, cut_s, goesOn, run } of turns) {
    const should = controller.afterCut === 'goesOn' || (controller.afterCut === 'goesOnIfWarm' && cut_s < 1000);
    expect({ name: controller.name, cut_s, goesOn }).toEqual({ name: controller.name, cut_s, goesOn: should });
    expect(run.cutFrom_C).toBeGreaterThan(450);
  }
  expect(new Set(turns.map(({ goesOn }) => goesOn)).size).toBe(2);
  expect(new Set(turns.map(({ controller: { name }, cut_s }) => `${name} ${cut_s}`)).size).toBe(8);
  expect(brokenOf(evaluate(PRACTICE_FIRING, segments).readings)).toEqual([]);
  expect(hours.name).toBe('Hour box');
});
