import { radiantConductivity, transparentShare } from '../packages/core/src/heat/clearGlass';
import { conductedByOrdinates } from './discreteOrdinates';

const KELVIN_AT_0_C = 273.15;
const slab = { emissivity: 0.4, refraction: 1.5, kelvin: 480 + KELVIN_AT_0_C };
const perKelvin = 4 * 1.5 ** 2 * 5.670374419e-8 * slab.kelvin ** 3;

test('by itself it comes to Rosseland’s diffusion in the deep, and to faces that see each other where nothing is taken up', () => {
  expect(conductedByOrdinates({ ...slab, depth_m: 1, absorption_perM: 200 }) / ((4 * perKelvin) / 3 / 200)).toBeCloseTo(1, 1);
  expect(conductedByOrdinates({ ...slab, depth_m: 0.01, absorption_perM: 1e-3 }) / ((perKelvin * 0.01) / (2 / 0.4 - 1))).toBeCloseTo(1, 3);
});

/** 1/m, clear to dark. */
const ABSORPTIONS = [5, 10, 30, 100, 300];
const DEPTHS_M = [0.005, 0.02, 0.05, 0.1, 0.2];

test.each(ABSORPTIONS.flatMap((absorption_perM) => DEPTHS_M.map((depth_m) => [absorption_perM, depth_m] as const)))(
  'glass that absorbs %f a metre, %f m deep, is never told to conduct more than it does, and at least half of what radiation adds',
  (absorption_perM, depth_m) => {
    for (const at_C of [480, 800]) {
      const kelvin = at_C + KELVIN_AT_0_C;
      const adds = transparentShare(kelvin) * conductedByOrdinates({ ...slab, kelvin, depth_m, absorption_perM });
      const share = radiantConductivity({ absorption_perM }, at_C, depth_m) / adds;
      expect(share).toBeGreaterThan(0.5);
      expect(share).toBeLessThan(1.001);
    }
  },
);
