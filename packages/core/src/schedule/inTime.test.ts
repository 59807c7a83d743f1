import { sagAfter } from '../flow/sag';
import { valueOf } from '../problem';
import { SOFT_90, sheetsOf } from '../testCases';
import { compose } from './compose';
import { evaluate } from './check';
import type { FiringCase } from './firingCase';
import { type GlassAt, glassInTime } from './inTime';
import { setUpOf } from './setups';

const slumped: FiringCase = {
  ...sheetsOf(1, 0.006),
  look: 'slump',
  setup: setUpOf({ kind: 'inMould', paper: false, shaping: { kind: 'hollow', span_m: 0.17, depth_m: 0.02 } }),
};

function followed(firing: FiringCase): { at: (share: number) => GlassAt; end: GlassAt; mean: number } {
  const { segments } = valueOf(compose(firing));
  const evaluation = evaluate(firing, segments, true);
  const inTime = glassInTime(firing, evaluation)!;
  const total_s = evaluation.simulation.total_s;
  return { at: (share) => inTime(share * total_s), end: inTime(total_s), mean: evaluation.work_perPa.mean };
}

test('ends with the heat work that the run sheet tells, and never goes back', () => {
  for (const firing of [sheetsOf(2, 0.003), slumped, { ...sheetsOf(2, 0.003), look: 'tack' as const }]) {
    const { at, end, mean } = followed(firing);
    expect(end.work_perPa).toBeCloseTo(mean, 12);
    const works = Array.from({ length: 200 }, (_, i) => at(i / 199).work_perPa);
    works.slice(1).forEach((work, i) => expect(work).toBeGreaterThanOrEqual(works[i]));
    expect(works[0]).toBe(0);
  }
});

test('a slump is down by as much as its work so far lets a plate sink, and lies in its mould at the end', () => {
  const { at, end } = followed(slumped);
  expect(end.down).toEqual({ by_m: expect.closeTo(0.02, 9), of_m: 0.02 });
  const half = [...Array(400).keys()].map((i) => at(i / 399)).find(({ down }) => down!.by_m > 0.005)!;
  expect(half.down!.by_m).toBeCloseTo(sagAfter(SOFT_90, { span_m: 0.17 }, 0.006, half.work_perPa, 0.02), 9);
  expect(half.shape.crown_m).toBe(-half.down!.by_m);
  // Cold it has not moved at all.
  expect(at(0.02).down!.by_m).toBeLessThan(1e-9);
});

test('parts lose their height, grains run together, sheets lie down, edges round: each from nothing to what it ends as', () => {
  const parts: FiringCase = { ...sheetsOf(2, 0.003), look: 'tack' };
  const stood = { ...parts, body: { ...parts.body, parts: [{ glass: 0, thickness_m: 0.003, area_m2: 0.0006, count: 6 }] } };
  const tack = followed(stood);
  expect(tack.at(0).relief).toBe(1);
  expect(tack.end.relief).toBeGreaterThan(0.5);
  expect(tack.end.relief).toBeLessThan(0.95);
  const sheets = followed(sheetsOf(2, 0.003));
  expect(sheets.at(0)).toMatchObject({ relief: null, film: null, down: null, edges: 0 });
  expect(sheets.end.edges).toBeGreaterThan(0.9);
  const fuse = sheetsOf(1, 0.003);
  const strewn: FiringCase = { ...fuse, look: 'wafer', body: { ...fuse.body, layers: [{ form: 'powder', glass: 0, perArea_kg_m2: 3 }] } };
  const film = followed(strewn);
  expect(film.at(0).film).toBe(0);
  expect(film.end.film).toBeGreaterThan(0.2);
  expect(glassInTime(fuse, evaluate(fuse, valueOf(compose(fuse)).segments))).toBeNull();
});
