import { BARE_SHELF } from '../schedule/setups';
import { CLAMPED, SOFT_90 } from '../testCases';
import { type AirGaps, TYPICAL_GAP_M, airGaps, gapConductance } from './airGaps';
import { driveFrom } from './drive';
import { heatSolver } from './heatSolver';
import { simulateFiring } from './simulate';
import type { SimulationInput } from './simulation';
import { meshOf } from './stack';

const INSULATED = { kind: 'insulated' } as const;
const glass = (thickness_m: number) => ({ of: 'glass', thickness_m }) as const;

test('air conducts as the tables have it, and faces radiate beside it', () => {
  const radiant = (celsius: number): number => gapConductance(1e9, celsius);
  // 0.0243 at 0 °C, 0.0447 at 300, 0.0567 at 500 W/(m·K).
  for (const [celsius, conductivity] of [
    [0, 0.0243],
    [300, 0.0447],
    [500, 0.0567],
  ]) {
    expect((gapConductance(1e-4, celsius) - radiant(celsius)) / 1e4 / conductivity).toBeGreaterThan(0.97);
    expect((gapConductance(1e-4, celsius) - radiant(celsius)) / 1e4 / conductivity).toBeLessThan(1.03);
  }
  // Two grey faces at 527 °C: 4σT³ over 2/ε − 1.
  expect(radiant(526.85) / ((4 * 5.670374419e-8 * 800 ** 3) / (2 / 0.9 - 1))).toBeCloseTo(1, 6);
});

/** Two sheets clamped on top in a steady climb; what they come to at the end. */
function climbed(gap_m: number, rate_C_per_h: number) {
  const mesh = meshOf([glass(0.003), glass(0.003)], SOFT_90, { apart: true });
  const drive = driveFrom(20);
  const body = heatSolver(mesh, { top: CLAMPED, bottom: INSULATED }, 20, drive);
  const gaps: AirGaps = airGaps(mesh, SOFT_90, gap_m, body);
  drive.dt_s = 10;
  let kiln_C = 20;
  while (kiln_C < 400) {
    drive.from_C = kiln_C;
    kiln_C += (rate_C_per_h / 3600) * drive.dt_s;
    drive.to_C = kiln_C;
    gaps.prepare();
    body.step();
    gaps.step(drive.dt_s);
  }
  return { mesh, body };
}

test.each([1e-4, 3e-4])('over a gap of %s m the temperature leaps by what warms the sheet behind it over its conductance', (gap_m) => {
  const { mesh, body } = climbed(gap_m, 200);
  const [gap] = mesh.gaps;
  const leap = body.temperature[gap + 1] - body.temperature[gap];
  const between = (body.temperature[gap + 1] + body.temperature[gap]) / 2;
  const flux = (200 / 3600) * SOFT_90.density_kg_m3 * SOFT_90.heatCapacity_J_kgK * 0.003;
  expect(Math.abs(leap / (flux / gapConductance(gap_m, between)) - 1)).toBeLessThan(0.02);
  const stored = body.temperature.reduce((sum, T, i) => sum + mesh.capacity[i] * (T - 20), 0);
  expect(Math.abs(stored / body.crossed_J_m2 - 1)).toBeLessThan(1e-9);
});

const climb = [{ rate_C_per_h: 150, target_C: 560, hold_s: 0 }];
const stacked = (count: number, gap_m: number | undefined, segments: SimulationInput['segments'] = climb): SimulationInput => ({
  glass: SOFT_90,
  stack: [...BARE_SHELF.below, ...Array.from({ length: count }, () => glass(0.003))],
  faces: BARE_SHELF.faces,
  segments,
  looseSheets: true,
  ...(gap_m === undefined ? {} : { gap_m }),
});

describe('eight sheets of 3 mm', () => {
  const through = (gap_m?: number): number => simulateFiring(stacked(8, gap_m)).segments[0].deltaT_max_K;

  test('warm with about half again the difference that touching ones do, and more the further they stand apart', () => {
    expect(through() / through(0)).toBeGreaterThan(1.4);
    expect(through() / through(0)).toBeLessThan(1.8);
    expect(through()).toBe(through(TYPICAL_GAP_M));
    expect(through(3e-4)).toBeGreaterThan(1.2 * through(1e-4));
  });

  test('have sagged together by the end of a squeeze, and then cool as one', () => {
    const segments = [...climb, { rate_C_per_h: 100, target_C: 650, hold_s: 1800 }, { rate_C_per_h: 100, target_C: 600, hold_s: 0 }];
    const [, , apart] = simulateFiring(stacked(8, 2e-4, segments)).segments;
    const [, , touching] = simulateFiring(stacked(8, 0, segments)).segments;
    expect(Math.abs(apart.deltaT_end_K / touching.deltaT_end_K - 1)).toBeLessThan(0.01);
  });
});

test('what was fused before has no gaps', () => {
  const joined = { ...stacked(8, undefined), looseSheets: false };
  expect(simulateFiring(joined).segments).toEqual(simulateFiring({ ...joined, gap_m: 3e-4 }).segments);
});
