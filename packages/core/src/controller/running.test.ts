/** A program run in quick time: on the simulation's clock, and after each thing that can happen to it what such a controller does. */
import { BODIES } from '../bodies.testCases';
import { TYPICAL_KILN } from '../kiln/typical';
import type { Segment } from '../kiln/segment';
import { evaluate } from '../schedule/check';
import { compose } from '../schedule/compose';
import { simulateFiring } from '../heat/simulate';
import { simulationOf } from '../schedule/simulationOf';
import { keyIn } from './keyIn';
import { STILL_WARM_K, type Run, asItRuns, cutFor, heldLonger, pressedInRun, ran, ranSoFar, ranToChange, shownInRun, startRun } from './running';
import { TYPICAL_CONTROLLERS } from './typical';

const [hours, counting, dial, timer] = TYPICAL_CONTROLLERS;
const HOUR_S = 3600;
const SEGMENTS: Segment[] = [
  { rate_C_per_h: 200, target_C: 600, hold_s: 1800 },
  { rate_C_per_h: null, target_C: 790, hold_s: 900 },
  { rate_C_per_h: null, target_C: 515, hold_s: 3600 },
  { rate_C_per_h: 60, target_C: 420, hold_s: 0 },
];
const rowsFor = (controller: (typeof TYPICAL_CONTROLLERS)[number]) => keyIn(SEGMENTS, controller).rows;
const started = (controller: (typeof TYPICAL_CONTROLLERS)[number], more: { delay_s?: number; rings?: boolean } = {}): Run =>
  startRun({ rows: rowsFor(controller), controller, kiln: TYPICAL_KILN, ...more });
const until = (run: Run, there: (one: Run) => boolean): Run => {
  let one = run;
  for (let k = 0; k < 5000 && !there(one); k += 1) one = ran(one, 60);
  expect(there(one)).toBe(true);
  return one;
};
const inHold = (index: number) => (run: Run) => run.state === 'holding' && run.index === index;
const kinds = ({ events }: Run) => events.map(({ kind }) => kind);

test.each(['two sheets, full fuse', '25 mm, polished', 'a bowl, 300 by 50 mm'])('%s: left alone it is done when the simulation says', (name) => {
  const firing = BODIES.find(([one]) => one === name)![1];
  for (const kiln of [TYPICAL_KILN, { ...TYPICAL_KILN, wallExchange_per_s: 2e-5, wallOverChamber: 0.6 }]) {
    const plan = compose({ ...firing, kiln, controller: hours });
    if (!plan.ok) throw new Error(plan.problem.message);
    const { segments } = plan.value;
    const { rows, switchOff } = keyIn(segments, hours);
    const closing = switchOff ? segments.at(-1) : undefined;
    const run = ran(startRun({ rows, controller: hours, kiln }), 30 * 24 * HOUR_S);
    const asRun = asItRuns(run, closing);
    expect(asRun).toHaveLength(segments.length);
    const { simulation } = evaluate({ ...firing, kiln }, asRun);
    const controlled_s = simulation.segments[rows.length - 1].end_s;
    expect(run.state).toBe('done');
    expect(Math.abs(run.at_s / controlled_s - 1)).toBeLessThan(0.003);
    // Temperature by temperature too.
    const { series } = simulateFiring({ ...simulationOf({ ...firing, kiln }, asRun), series: true });
    const { t_s, kiln_C } = series!;
    for (let one = startRun({ rows, controller: hours, kiln }); one.state !== 'done'; one = ran(one, 1800)) {
      const k = Math.max(
        t_s.findIndex((t) => t >= one.at_s),
        1,
      );
      const between_C = kiln_C[k - 1] + ((kiln_C[k] - kiln_C[k - 1]) * (one.at_s - t_s[k - 1])) / (t_s[k] - t_s[k - 1]);
      expect(Math.abs(between_C - one.kiln_C)).toBeLessThan(3);
    }
  }
});

test('stepping by minutes or by days comes to the same', () => {
  let minutes = started(hours);
  while (minutes.state !== 'done') minutes = ran(minutes, 47);
  const days = ran(started(hours), 10 * 24 * HOUR_S);
  expect(Math.abs(minutes.at_s - days.at_s)).toBeLessThan(60);
  expect(asItRuns(minutes)).toEqual(asItRuns(days));
  // As it will run is as it ran, to the second: nothing that was computed of it is computed again.
  expect(asItRuns(started(hours))).toEqual(asItRuns(days));
});

test('from one change to the next', () => {
  const seen: string[] = [];
  for (let run = started(counting, { rings: true }); run.state !== 'done'; run = ranToChange(run.ringing ? pressedInRun(run, 'quiet') : run)) {
    const shows = `${run.state} ${run.index}`;
    if (seen.at(-1) !== shows) seen.push(shows);
  }
  expect(seen).toEqual(['going 0', 'holding 0', 'going 1', 'holding 1', 'going 2', 'holding 2', 'going 3']);
});

test('a delay is waited out cold; one longer than it takes, or on one that has none, is refused', () => {
  const run = started(hours, { delay_s: 5 * HOUR_S });
  expect(shownInRun(run)).toMatchObject({ segment: 0, left_s: 5 * HOUR_S });
  const waited = ran(run, 5 * HOUR_S - 1);
  expect(waited).toMatchObject({ state: 'waiting', kiln_C: 20 });
  expect(ran(waited, 3600)).toMatchObject({ state: 'going', index: 0 });
  expect(started(hours, { delay_s: 25 * HOUR_S })).toMatchObject({ state: 'stopped', refused: expect.stringContaining('24 h') });
  expect(started(dial, { delay_s: 60 })).toMatchObject({ state: 'stopped', refused: 'It cannot delay a start.' });
  expect(startRun({ rows: [], controller: hours, kiln: TYPICAL_KILN }).refused).not.toBe('');
});

test('it rings at the hold that it was told, and time stands until it is quieted', () => {
  const rings = ran(started(counting, { rings: true }), 24 * HOUR_S);
  expect(rings).toMatchObject({ ringing: true, index: 1, held_s: 0 });
  expect(ran(rings, 600).at_s).toBe(rings.at_s);
  const quiet = pressedInRun(rings, 'quiet');
  expect(ran(quiet, 300)).toMatchObject({ held_s: 300, ringing: false });
  const hotter = ran(pressedInRun(ran(quiet, 300), 'addDegrees'), 24 * HOUR_S);
  expect(kinds(hotter).filter((kind) => kind === 'rings')).toHaveLength(1);
  expect(hotter.state).toBe('done');
  expect(started(hours, { rings: true }).refused).toBe('It has no alarm.');
});

test('what ran so far is as long as it ran', () => {
  const run = ran(until(started(hours), inHold(1)), 300);
  const parts = ranSoFar(run);
  expect(parts.map(({ hold_s }) => hold_s)).toEqual([1800, run.held_s]);
  const { simulation } = evaluate({ ...BODIES[0][1], kiln: TYPICAL_KILN }, parts);
  expect(Math.abs(simulation.total_s / run.at_s - 1)).toBeLessThan(0.003);
  expect(ranSoFar(started(hours))).toMatchObject([{ target_C: 20, hold_s: 0 }]);
});

test('a hold and nothing else is made longer, by as much as was asked in steps of the controller', () => {
  const climbing = ran(started(hours), HOUR_S);
  expect(heldLonger(climbing, 300).refused).toBe('It makes a hold longer, and does not hold now.');
  const holding = until(climbing, inHold(1));
  for (const odd_s of [90, 0, -60, NaN])
    expect(heldLonger(holding, odd_s)).toMatchObject({ refused: 'It makes a hold longer in steps of 1 min.', now: { hold_s: 900 } });
  expect(heldLonger(holding, 999 * 60).refused).toBe('It holds for 16 h 39 at most.');
  const longer = heldLonger(heldLonger(holding, 240), 360);
  expect(longer.events.at(-1)).toMatchObject({ kind: 'addTime', said: 'holds 6 min longer' });
  expect(longer.now.hold_s).toBe(900 + 600);
  expect(asItRuns(longer)[1]).toMatchObject({ target_C: 790, hold_s: 1500 });
  const alone = ran(started(hours), 30 * HOUR_S);
  expect(ran(longer, 30 * HOUR_S).events.at(-1)!.at_s - alone.events.at(-1)!.at_s).toBeCloseTo(600, -1);
  expect(heldLonger(until(started(dial), inHold(0)), 300).refused).toBe('It cannot make a hold longer.');
});

test('degrees added on the way lift the target, in a hold the rest of it', () => {
  const way = pressedInRun(ran(started(dial), HOUR_S), 'addDegrees');
  expect(way.now.target_C).toBe(605);
  const held = pressedInRun(ran(until(started(dial), inHold(1)), 300), 'addDegrees');
  const ranOn = ran(held, 40 * HOUR_S);
  const parts = asItRuns(ranOn).slice(1, 3);
  expect(parts.map(({ target_C }) => target_C)).toEqual([790, 795]);
  expect(parts[0].hold_s + parts[1].hold_s).toBeCloseTo(900, 0);
});

test('sent on, it goes to the next segment from where it is', () => {
  const way = until(started(hours), (run) => run.kiln_C > 400);
  const skipped = pressedInRun(way, 'skip');
  expect(skipped).toMatchObject({ index: 1, state: 'going' });
  expect(asItRuns(skipped)[0]).toMatchObject({ rate_C_per_h: 200, target_C: way.kiln_C, hold_s: 0 });
  const held = ran(until(started(hours), inHold(1)), 300);
  expect(asItRuns(pressedInRun(held, 'skip'))[1].hold_s).toBeCloseTo(held.held_s, 6);
  expect(pressedInRun(until(started(dial), inHold(1)), 'skip').refused).not.toBe('');
});

describe('a power cut', () => {
  const inSoak = (controller: (typeof TYPICAL_CONTROLLERS)[number]) => ran(until(started(controller), inHold(2)), 1200);

  test('one that goes on takes the rest of the hold up where it was', () => {
    const before = inSoak(hours);
    const back = ran(cutFor(before, 2 * HOUR_S), 2 * HOUR_S);
    expect(kinds(back).slice(-2)).toEqual(['cut', 'back']);
    expect(back.kiln_C).toBeLessThan(before.kiln_C - STILL_WARM_K);
    const parts = asItRuns(ran(back, 40 * HOUR_S));
    expect(parts).toHaveLength(SEGMENTS.length + 2);
    expect(parts[3]).toEqual({ rate_C_per_h: null, target_C: back.kiln_C, hold_s: 0, index: 2 });
    expect(parts[2].hold_s + parts[4].hold_s).toBeCloseTo(3600, 0);
    expect(parts[4].target_C).toBe(515);
  });

  test('one that goes on only while warm stops where it has cooled too far, and goes on where it has not', () => {
    const before = inSoak(counting);
    const short = ran(cutFor(before, 5 * 60), 400);
    expect(kinds(short).slice(-2)).toEqual(['cut', 'back']);
    expect(['going', 'holding']).toContain(short.state);
    const cold = ran(cutFor(before, 2 * HOUR_S), 3 * HOUR_S);
    expect(cold.state).toBe('stopped');
    expect(kinds(cold).slice(-3)).toEqual(['cut', 'back', 'stopped']);
  });

  test('one that stops is stopped, however short it was, and cools as a closed kiln does', () => {
    const stopped = ran(cutFor(inSoak(timer), 60), 120);
    expect(stopped.state).toBe('stopped');
    const parts = asItRuns(stopped, { rate_C_per_h: null, target_C: 60, hold_s: 0 });
    expect(parts.at(-1)).toMatchObject({ rate_C_per_h: null, target_C: 60, hold_s: 0 });
    expect(pressedInRun(stopped, 'skip').refused).not.toBe('');
  });

  test('the cooling without power is the closed kiln’s own', () => {
    const before = inSoak(hours);
    const after = ran(cutFor(before, HOUR_S), HOUR_S - 1);
    const firing = BODIES[0][1];
    const parts: Segment[] = [...before.past, { ...before.now, hold_s: before.held_s }, { rate_C_per_h: null, target_C: after.kiln_C, hold_s: 0 }];
    const { simulation } = evaluate({ ...firing, kiln: TYPICAL_KILN }, parts);
    const [hold, fall] = simulation.segments.slice(-2).map(({ end_s }) => end_s);
    expect(Math.abs((fall - hold) / HOUR_S - 1)).toBeLessThan(0.01);
  });

  test('nothing that is not running can be cut', () => expect(cutFor(started(hours, { delay_s: 600 }), 60).refused).not.toBe(''));
});

test('a controller that reads off reaches its targets by its own reading, at the pace that the kiln has there', () => {
  const off = ran(startRun({ rows: rowsFor(hours), controller: hours, kiln: TYPICAL_KILN, offset_K: 12 }), 40 * HOUR_S);
  const firing = BODIES[0][1];
  const judged = evaluate({ ...firing, kiln: TYPICAL_KILN, corrections: { offset_K: 12, workFactor: 1 } }, asItRuns(off));
  expect(Math.abs(off.events.at(-1)!.at_s / judged.simulation.total_s - 1)).toBeLessThan(0.004);
});
