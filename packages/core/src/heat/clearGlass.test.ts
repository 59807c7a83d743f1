import { SOFT_90, slab } from '../testCases';
import { STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';
import { radiantConductivity } from './clearGlass';
import { simulateFiring } from './simulate';
import type { SimulationInput } from './simulation';

const CLEAR = { ...SOFT_90, absorption_perM: 200 };
const cube = (celsius: number): number => (celsius + 273.15) ** 3 - 773.15 ** 3;

describe('radiation through clear glass', () => {
  test('is nothing where the absorption is not told, and nothing up to 500 °C', () => {
    expect(radiantConductivity(SOFT_90, 800, 0.05)).toBe(0);
    expect(radiantConductivity(CLEAR, 500, 0.05)).toBe(0);
  });

  test('is Rosseland’s where the glass is many absorption lengths deep, and that of two faces that see each other where it is thin', () => {
    const rosseland = ((16 / 3) * 1.5 ** 2 * STEFAN_BOLTZMANN_W_m2K4 * cube(700)) / 200;
    expect(radiantConductivity(CLEAR, 700, 10) / rosseland).toBeCloseTo(1, 2);
    // 4n²σT³ between faces of emissivity 0.9, times the depth.
    const faces = (4 * 1.5 ** 2 * STEFAN_BOLTZMANN_W_m2K4 * cube(700)) / (2 / 0.9 - 1);
    expect(radiantConductivity(CLEAR, 700, 1e-5) / (faces * 1e-5)).toBeCloseTo(1, 2);
  });

  const climbed = (glass: SimulationInput['glass'], rate_C_per_h: number, start_C: number, target_C: number) =>
    simulateFiring({ ...slab(0.05, 2, [{ rate_C_per_h, target_C, hold_s: 0 }], start_C), glass });

  test('settles the difference of a steady climb at R·L²/8 over the conductivity with it, within 1.5 %', () => {
    const { segments, energy } = climbed(CLEAR, 20, 620, 720);
    const added = radiantConductivity(CLEAR, 720, 0.05);
    expect(added).toBeGreaterThan(0.5);
    const stores = SOFT_90.density_kg_m3 * SOFT_90.heatCapacity_J_kgK;
    const settled = ((20 / 3600) * 0.05 ** 2 * stores) / (8 * (SOFT_90.conductivity_W_mK + added));
    expect(Math.abs(segments[0].deltaT_end_K / settled - 1)).toBeLessThan(0.015);
    expect(Math.abs(energy.stored_J_m2 / energy.crossed_J_m2 - 1)).toBeLessThan(1e-6);
  });

  test('leaves cold glass as it is', () => {
    const [clear, opaque] = [CLEAR, SOFT_90].map((glass) => climbed(glass, 100, 20, 490).segments[0]);
    expect(clear).toEqual(opaque);
  });
});
