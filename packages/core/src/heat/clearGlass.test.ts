import { SOFT_90, slab } from '../testCases';
import { STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';
import { radiantConductivity, transparentShare } from './clearGlass';
import { simulateFiring } from './simulate';
import type { SimulationInput } from './simulation';

const CLEAR = { ...SOFT_90, absorption_perM: 30 };
const cube = (celsius: number): number => (celsius + 273.15) ** 3;

describe('radiation through clear glass', () => {
  test('is nothing where the absorption is not told', () => {
    expect(radiantConductivity(SOFT_90, 800, 0.05)).toBe(0);
  });

  test('the share that is let through is that of Planck’s law, summed over its wave lengths', () => {
    // ∂/∂T of 2πhc²/λ⁵ · 1/(exp(c₂/λT) − 1), over 4σT³.
    const summed = (kelvin: number): number => {
      const [first, second] = [3.741771852e-16, 0.014387769];
      const step = 2e-9;
      let sum = 0;
      for (let metres = step / 2; metres < 2.75e-6; metres += step) {
        const x = second / (metres * kelvin);
        if (x < 300) sum += ((first / metres ** 5) * (x / kelvin) * Math.exp(x)) / Math.expm1(x) ** 2;
      }
      return (sum * step) / (4 * STEFAN_BOLTZMANN_W_m2K4 * kelvin ** 3);
    };
    for (const celsius of [300, 480, 800, 1000]) expect(transparentShare(celsius + 273.15) / summed(celsius + 273.15)).toBeCloseTo(1, 3);
  });

  test('is Rosseland’s where the glass is many absorption lengths deep, and that of two faces that see each other where it is thin', () => {
    const share = transparentShare(700 + 273.15);
    const rosseland = ((16 / 3) * 1.5 ** 2 * STEFAN_BOLTZMANN_W_m2K4 * cube(700) * share) / 30;
    expect(radiantConductivity(CLEAR, 700, 100) / rosseland).toBeCloseTo(1, 2);
    // 4n²σT³ between faces of inner emissivity 0.40, times the depth.
    const faces = (4 * 1.5 ** 2 * STEFAN_BOLTZMANN_W_m2K4 * cube(700) * share) / (2 / 0.4 - 1);
    expect(radiantConductivity(CLEAR, 700, 1e-5) / (faces * 1e-5)).toBeCloseTo(1, 2);
  });

  test.each([
    [480, 0.05, 0.43],
    [480, 0.1, 0.73],
    [480, 0.02, 0.16 * 1.2],
    [800, 0.02, 1.2 * 1.2],
  ])('at %i °C and %f m deep clear glass gains some %f W/mK', (at_C, depth_m, gains) => {
    const found = radiantConductivity({ absorption_perM: 10 }, at_C, depth_m);
    expect(found / gains).toBeGreaterThan(0.85);
    expect(found / gains).toBeLessThan(1.15);
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

  test('leaves cold glass nearly as it is', () => {
    const [clear, opaque] = [CLEAR, SOFT_90].map((glass) => climbed(glass, 100, 20, 150).segments[0].deltaT_end_K);
    expect(clear / opaque).toBeGreaterThan(0.99);
    expect(clear).toBeLessThan(opaque);
  });
});
