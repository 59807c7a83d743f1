import { SOFT_90, sheetsOf } from '../testCases';
import { diffusivity } from '../glass/constants';
import { DEFAULT_LIMITS } from './limits';
import { edgeShare, openingCeiling, openingTemperature } from './opening';

/** Room air, W/(m²K). */
const H = 10;

/** Greatest lead of the edge over the middle, as a share of the drop, by cells along a plate whose faces and edge see the air: explicit steps. */
function lead(depth_m: number): number {
  const { conductivity_W_mK: k, density_kg_m3, heatCapacity_J_kgK } = SOFT_90;
  const cells = 200;
  const dx = 0.15 / cells;
  const dt = (0.4 * dx ** 2) / diffusivity(SOFT_90);
  const held = density_kg_m3 * heatCapacity_J_kgK * depth_m * dx;
  const T = new Array<number>(cells).fill(1);
  let most = 0;
  for (let t = 0; t < (density_kg_m3 * heatCapacity_J_kgK * depth_m) / H; t += dt) {
    const flow = T.map((here, i) => (i === 0 ? -H * depth_m * here : (k * depth_m * (here - T[i - 1])) / dx));
    for (let i = 0; i < cells; i += 1) T[i] += (dt * ((i < cells - 1 ? flow[i + 1] : 0) - (i === 0 ? -flow[0] : flow[i]) - 2 * H * dx * T[i])) / held;
    most = Math.max(most, T[cells - 1] - T[0]);
  }
  return most;
}

test.each([0.001, 0.003, 0.006])('the edge of a plate %s m deep leads by what cells along it say, within a tenth and on the safe side', (depth_m) => {
  const share = edgeShare((H * depth_m) / SOFT_90.conductivity_W_mK);
  expect(share / lead(depth_m)).toBeGreaterThan(0.99);
  expect(share / lead(depth_m)).toBeLessThan(1.15);
});

test('never leads by more than the drop', () => {
  expect(edgeShare(1e3)).toBe(1);
});

test.each([0.0001, 0.0005, 0.001, 0.0015, 0.002, 0.003, 0.006])('work %s m deep is opened at the ceiling: thin work follows the air', (depth_m) => {
  expect(openingTemperature(sheetsOf(1, depth_m))).toBe(90);
});

test('deeper work is opened somewhat cooler, long before it counts as thick', () => {
  const at_C = openingTemperature(sheetsOf(1, 0.012));
  expect(at_C).toBeGreaterThan(80);
  expect(at_C).toBeLessThan(90);
});

test('the ceiling of thick work comes in from where work begins to be thick, without a leap', () => {
  expect([0.006, 0.018, 0.025, 0.1].map((depth_m) => openingCeiling(DEFAULT_LIMITS, depth_m))).toEqual([90, 90, 50, 50]);
  expect(openingCeiling(DEFAULT_LIMITS, 0.0215)).toBeCloseTo(70, 9);
  // What the rule itself says of 19 mm is under it.
  expect(openingTemperature(sheetsOf(1, 0.019))).toBeLessThan(openingCeiling(DEFAULT_LIMITS, 0.019));
});
