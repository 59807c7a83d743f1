import { SOFT_90 } from '../testCases';
import { detailAfter, finestDetail, workToFill } from './fill';

/** dR/dW = −(ρghR − γ)/4 by small steps of the midpoint rule. */
function integrated(head_m: number, open_m: number, work_perPa: number): number {
  const pressed = SOFT_90.density_kg_m3 * 9.80665 * head_m;
  const slope = (radius: number): number => -(pressed * radius - SOFT_90.surfaceTension_N_m) / 4;
  const steps = 20_000;
  let radius = open_m;
  for (let i = 0; i < steps; i += 1) radius += (work_perPa / steps) * slope(radius + ((work_perPa / steps) * slope(radius)) / 2);
  return radius;
}

test.each([
  [0.05, 0.004, 0.003],
  [0.02, 0.008, 0.01],
  [0.1, 0.002, 0.001],
])('corners under %s m, open to %s m, close after %s 1/Pa as a slow integration says', (head, open, work) => {
  expect(detailAfter(SOFT_90, head, open, work) / integrated(head, open, work)).toBeCloseTo(1, 6);
});

test('the work to fill is the inverse, and what the skin bridges is never filled', () => {
  const detail = detailAfter(SOFT_90, 0.05, 0.004, 0.002);
  expect(workToFill(SOFT_90, 0.05, 0.004, detail) / 0.002).toBeCloseTo(1, 9);
  // 0.30 N/m over 2500 · 9.81 · 0.05 Pa.
  expect(finestDetail(SOFT_90, 0.05)).toBeCloseTo(0.000245, 6);
  expect(workToFill(SOFT_90, 0.05, 0.004, 0.0002)).toBe(Infinity);
  expect(workToFill(SOFT_90, 0.05, 0.001, 0.002)).toBe(0);
  expect(detailAfter(SOFT_90, 0.05, 0.0001, 1)).toBeCloseTo(finestDetail(SOFT_90, 0.05), 9);
});
