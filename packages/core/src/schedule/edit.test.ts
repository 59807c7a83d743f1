import { compose } from './compose';
import { consequences, segmentDifferences } from './differences';
import { addSegment, joinSegments, removeSegment, splitSegment } from './edit';
import { equalWork } from './equalWork';
import { evaluate } from './check';
import { glassOf } from './firingCase';
import type { PurposefulSegment } from '../kiln/segment';
import { METRIC } from '../units/convert';
import { sheetsOf } from '../testCases';
import { equalHold } from '../flow/heatWork';
import { viscosityOf } from '../glass/viscosity';
import { hottestSegment } from '../heat/regimes';

const firing = sheetsOf(2, 0.003);
const made = compose(firing);
if (!made.ok) throw new Error(made.problem.message);
const { segments } = made.value;
const rows = (outcome: ReturnType<typeof addSegment>): PurposefulSegment[] => {
  if (!outcome.ok) throw new Error(outcome.problem.message);
  return outcome.value;
};

describe('rows of a schedule', () => {
  test('a stop is added on the way to the next, and after the last it stays where that ended', () => {
    const added = rows(addSegment(segments, 0));
    expect(added).toHaveLength(segments.length + 1);
    expect(added[1].target_C).toBeGreaterThan(segments[0].target_C);
    expect(added[1].target_C).toBeLessThan(segments[1].target_C);
    expect(added[1].hold_s).toBe(600);
    expect(rows(addSegment(segments, segments.length - 1)).at(-1)?.target_C).toBe(segments.at(-1)?.target_C);
  });

  test('a segment split in two fires exactly as the whole did, and joined it is the whole again', () => {
    const split = rows(splitSegment(segments, 2, 20));
    expect(split).toHaveLength(segments.length + 1);
    const [whole, parts] = [evaluate(firing, segments), evaluate(firing, split)];
    expect(parts.work_perPa.mean / whole.work_perPa.mean).toBeCloseTo(1, 2);
    expect(parts.simulation.total_s).toBeCloseTo(whole.simulation.total_s, -1);
    expect(rows(joinSegments(split, 2))).toEqual(segments);
  });

  test('joined rows take the slower rate and the later hold', () => {
    const joined = rows(joinSegments(segments, 0));
    expect(joined[0]).toEqual({ ...segments[1], rate_C_per_h: Math.min(segments[0].rate_C_per_h ?? Infinity, segments[1].rate_C_per_h ?? Infinity) });
  });

  test('what cannot be is refused with its reason', () => {
    expect(removeSegment(segments.slice(0, 1), 0)).toMatchObject({ problem: { code: 'too-few' } });
    expect(joinSegments(segments, segments.length - 1)).toMatchObject({ problem: { code: 'no-next' } });
    expect(splitSegment([{ ...segments[0], target_C: 20 }], 0, 20)).toMatchObject({ problem: { code: 'no-way' } });
    for (const refused of [addSegment(segments, 99), removeSegment(segments, -1), splitSegment(segments, 99, 20), joinSegments([], 0)]) {
      expect(refused).toMatchObject({ problem: { code: 'unknown-segment' } });
    }
  });
});

describe('the same heat work at another temperature', () => {
  const hottest = hottestSegment(segments);
  const work = evaluate(firing, segments).work_perPa.mean;

  test.each([-12, -6, 6])('%d K away keeps the work to half a per cent by another hold', (by) => {
    const target_C = segments[hottest].target_C + by;
    const moved = equalWork(firing, segments, target_C, work);
    expect(moved.reached).toBe(true);
    expect(evaluate(firing, moved.segments).work_perPa.mean / work).toBeCloseTo(1, 2);
    expect(Math.sign(moved.segments[hottest].hold_s - segments[hottest].hold_s)).toBe(-Math.sign(by));
    // The closed form leaves the ramps out; the simulated hold must stay in its neighbourhood.
    const closed = equalHold(viscosityOf(glassOf(firing)), segments[hottest].hold_s, segments[hottest].target_C, target_C);
    expect(moved.segments[hottest].hold_s / closed).toBeGreaterThan(0.6);
    expect(moved.segments[hottest].hold_s / closed).toBeLessThan(2.2);
  });

  test('so hot that the ramps alone do more, it holds not at all and says by how much', () => {
    const moved = equalWork(firing, segments, segments[hottest].target_C + 60, work);
    expect(moved.reached).toBe(false);
    expect(moved.segments[hottest].hold_s).toBe(0);
    expect(moved.share).toBeGreaterThan(1.2);
  });
});

describe('differences in words', () => {
  test('nothing changed is nothing said', () => {
    expect(segmentDifferences(segments, segments, 'C')).toEqual([]);
  });

  test('a changed figure is said with what it was, in the unit asked for', () => {
    const hotter = segments.map((segment, i) => (i === 2 ? { ...segment, target_C: segment.target_C + 10 } : segment));
    expect(segmentDifferences(segments, hotter, 'C')).toEqual([`Work: target ${segments[2].target_C + 10} °C for ${segments[2].target_C} °C.`]);
    expect(segmentDifferences(segments, hotter, 'F')[0]).toMatch(/°F for \d+ °F/);
  });

  test('rows put in and left out are named, the others keep their partners', () => {
    const without = rows(removeSegment(segments, 1));
    expect(segmentDifferences(segments, without, 'C')).toEqual([expect.stringMatching(/^Squeeze left out: /)]);
    expect(segmentDifferences(without, segments, 'C')).toEqual([expect.stringMatching(/^Squeeze put in: /)]);
  });

  test('what it did stands side by side: more work, no squeeze, another length', () => {
    const hotter = segments.map((segment, i) => (i === 2 ? { ...segment, target_C: segment.target_C + 10 } : segment));
    const compared = consequences({ firing, evaluation: evaluate(firing, segments) }, { firing, evaluation: evaluate(firing, hotter) }, METRIC);
    const work = compared.find(({ what }) => what === 'heat work');
    expect(Number(work?.after.figure)).toBeGreaterThan(Number(work?.before.figure));
    expect(compared.find(({ what }) => what === 'squeeze')?.differs).toBe(false);
    expect(compared.find(({ what }) => what === 'relief standing')?.before.figure).toBe('–');
  });
});
