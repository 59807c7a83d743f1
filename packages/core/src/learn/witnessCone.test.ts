import { CONES, coneBendsAt } from '../emptyFiring/cones';
import type { Corner } from '../kiln/corners';
import { CONE_ERROR_K, WITNESS_CONES, coneFelt, witnessOfCone } from './witnessCone';

const climb = (end_C: number, rate_C_per_h: number): Corner[] => [
  { t_s: 0, at_C: 20 },
  { t_s: (3600 * (end_C - 20)) / rate_C_per_h, at_C: end_C },
];

test('a cone whose tip is down after a climb at 60 °C an hour to where it bends shows that the controller is right', () => {
  for (const cone of WITNESS_CONES) {
    const bends_C = coneFelt({ cone, bent_deg: 90 });
    expect(witnessOfCone({ cone, bent_deg: 90 }, climb(bends_C, 60))?.offset_K).toBeCloseTo(0, 0);
    expect(witnessOfCone({ cone, bent_deg: 90 }, climb(bends_C + 12, 60))?.offset_K).toBeCloseTo(12, 0);
  }
});

test('cones go from the softest to the hardest', () => {
  const felt = WITNESS_CONES.map((cone) => coneFelt({ cone, bent_deg: 90 }));
  expect([...felt].sort((a, b) => a - b)).toEqual(felt);
});

test('faster, a cone bends later: published figures for 150 °C an hour within 10 °C', () => {
  const published = { '021': 617, '019': 695, '017': 763, '015': 818, '013': 861, '011': 894 } as const;
  for (const [cone, bends_C] of Object.entries(published) as [keyof typeof published, number][]) {
    expect(Math.abs(witnessOfCone({ cone, bent_deg: 90 }, climb(bends_C, 150))?.offset_K ?? NaN)).toBeLessThan(10);
  }
  for (const cone of CONES) expect(witnessOfCone({ cone, bent_deg: 90 }, climb(coneBendsAt(cone, 150), 150))?.offset_K).toBeCloseTo(0, 0);
});

test('less bent it was cooler at the glass, and a hold counts', () => {
  const corners = climb(738, 60);
  const tip = witnessOfCone({ cone: '017', bent_deg: 90 }, corners);
  const half = witnessOfCone({ cone: '017', bent_deg: 45 }, corners);
  expect(half!.offset_K - tip!.offset_K).toBeCloseTo(9, 5);
  const last = corners[corners.length - 1];
  const held = witnessOfCone({ cone: '017', bent_deg: 90 }, [...corners, { t_s: last.t_s + 1800, at_C: last.at_C }]);
  expect(held!.offset_K).toBeGreaterThan(tip!.offset_K + 10);
  expect(tip?.error_K).toBe(CONE_ERROR_K);
});

test('upright or flat it tells no figure', () => {
  expect(witnessOfCone({ cone: '017', bent_deg: 0 }, climb(738, 60))).toBeNull();
  expect(witnessOfCone({ cone: '017', bent_deg: 140 }, climb(738, 60))).toBeNull();
});
