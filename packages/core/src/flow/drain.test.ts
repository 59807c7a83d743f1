import { SOFT_90 } from '../testCases';
import { drainedShare, heldHead, mostDrained, openRadius, workToDrain } from './drain';
import { throughHole } from './spread';

const POT = { volume_m3: 2.8e-4, area_m2: 7.85e-3 };
const HOLE = { holes: 1, hole_m: 0.016, plate_m: 0.012 };

describe('a pot that empties through a hole', () => {
  test('goes as a slow integration of what the hole passes at each head', () => {
    const until = workToDrain(SOFT_90, POT, HOLE, 0.8);
    const steps = 20_000;
    let left = POT.volume_m3;
    for (let i = 0; i < steps; i += 1) {
      const head_m = left / POT.area_m2 + HOLE.plate_m;
      const drives_m = head_m - heldHead(SOFT_90, HOLE.hole_m);
      left -= throughHole(SOFT_90, { radius_m: HOLE.hole_m / 2, plate_m: HOLE.plate_m, head_m: drives_m }, until / steps);
    }
    expect(1 - left / POT.volume_m3).toBeCloseTo(0.8, 3);
  });

  test('share and work are each the inverse of the other, and more than all never runs out', () => {
    for (const share of [0.1, 0.5, 0.9]) expect(drainedShare(SOFT_90, POT, HOLE, workToDrain(SOFT_90, POT, HOLE, share))).toBeCloseTo(share, 9);
    expect(drainedShare(SOFT_90, POT, HOLE, 0)).toBe(0);
    expect(drainedShare(SOFT_90, POT, HOLE, 1e6)).toBe(1);
  });

  test('six holes take a sixth of the work, and a hole twice as wide under a tenth of it', () => {
    const one = workToDrain(SOFT_90, POT, HOLE, 0.8);
    expect(one / workToDrain(SOFT_90, POT, { ...HOLE, holes: 6 }, 0.8)).toBeCloseTo(6, 9);
    expect(workToDrain(SOFT_90, POT, { ...HOLE, hole_m: 0.032 }, 0.8) / one).toBeLessThan(0.1);
  });

  test.each([
    [0.005, 0.66],
    [0.006, 0.78],
    [0.008, 0.95],
    [0.017, 1],
  ])('of 15 mm through a floor of 3 mm holes of %s m let %s leave, ever so hot', (hole_m, share) => {
    const filling = { volume_m3: 0.015 * 0.01, area_m2: 0.01 };
    const through = { holes: 4, hole_m, plate_m: 0.003 };
    const most = mostDrained(SOFT_90, filling, through);
    expect(Math.abs(most - share)).toBeLessThan(0.02);
    expect(drainedShare(SOFT_90, filling, through, 1e6)).toBeCloseTo(most, 9);
    expect(Number.isFinite(workToDrain(SOFT_90, filling, through, Math.min(0.999, most)))).toBe(share === 1);
    expect(drainedShare(SOFT_90, filling, through, workToDrain(SOFT_90, filling, through, 0.8 * most))).toBeCloseTo(0.8 * most, 9);
  });

  test('a narrow hole holds back what stands under 2γ/(ρg r) over it, less the drop that hangs: 15 mm over 3 mm', () => {
    expect(heldHead(SOFT_90, 0.003)).toBeCloseTo((2 * 0.3) / (2500 * 9.80665 * 0.0015) - 0.6 * 0.0015, 9);
    expect(heldHead(SOFT_90, 2 * openRadius(SOFT_90))).toBe(0);
    expect(openRadius(SOFT_90)).toBeCloseTo(0.0084, 4);
  });
});
