import { CLAMPED, SOFT_90, sheetsOf } from '../testCases';
import { type GlassConstants, diffusivity, restrainedStress } from '../glass/constants';
import { rememberingSimulator } from '../heat/joints';
import { simulateFiring } from '../heat/simulate';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import { oneSidedLag, solidLag } from '../heat/quasiSteady';
import { compose } from '../schedule/compose';
import { valueOf } from '../problem';
import type { FiringCase } from '../schedule/firingCase';
import { simulationOf } from '../schedule/simulationOf';

const RADIUS = 0.0125;

/** Tension in the middle, as a share of Rr²/κ held fast, and the dimensions. */
const SHAPES = [
  ['cylinder', 1 / 8, 2],
  ['sphere', 1 / 15, 3],
] as const;

interface Choice {
  glass?: GlassConstants;
  radius_m?: number;
  glassIntervals?: number;
}

const inputOf = (shape: 'cylinder' | 'sphere', { glass = SOFT_90, radius_m = RADIUS, glassIntervals }: Choice): Omit<SimulationInput, 'segments'> => ({
  glass,
  stack: [{ of: 'glass', thickness_m: radius_m }],
  faces: { top: CLAMPED, bottom: { kind: 'insulated' } },
  shape,
  stress: { support: 'free' },
  resolution: { glassIntervals },
});

/** Cooled from fluid at a steady rate until nothing sets any more, then twice as fast. */
const cooled = (shape: 'cylinder' | 'sphere', rate_C_per_h: number, choice: Choice = {}): SimulationResult =>
  simulateFiring({
    ...inputOf(shape, choice),
    segments: [
      { rate_C_per_h, target_C: 380, hold_s: 0 },
      { rate_C_per_h: 2 * rate_C_per_h, target_C: 30, hold_s: 0 },
    ],
    start_C: 660,
  });

const held = (rate_C_per_h: number, radius_m: number): number => restrainedStress(SOFT_90, ((rate_C_per_h / 3600) * radius_m ** 2) / diffusivity(SOFT_90));
const profileOf = ({ residual = [] }: SimulationResult): number[] => residual.map(({ stress_Pa }) => stress_Pa);

describe.each(SHAPES)('stress in a %s', (shape, share, dimensions) => {
  const usual = cooled(shape, 13);
  const profile = profileOf(usual);
  const middle = profile[0];
  const skin = profile[profile.length - 1];

  test('of a steady heating of cold glass is the elastic closed form, within 0.5 %, and the mesh hardly matters', () => {
    const heated = (glassIntervals?: number): number =>
      simulateFiring({ ...inputOf(shape, { glassIntervals }), segments: [{ rate_C_per_h: 200, target_C: 300, hold_s: 0 }], start_C: 20 }).segments[0]
        .stress_max_Pa ?? 0;
    expect(Math.abs(heated() / (share * held(200, RADIUS)) - 1)).toBeLessThan(0.005);
    expect(Math.abs(heated(80) / (share * held(200, RADIUS)) - 1)).toBeLessThan(0.0015);
  });

  test('without a structure that shrinks is the classical one that freezing leaves, within 5 %', () => {
    const plain = cooled(shape, 13, { glass: { ...SOFT_90, meltExpansion_perK: SOFT_90.expansion_perK } });
    const ratio = profileOf(plain)[0] / (share * held(13, RADIUS));
    expect(ratio).toBeGreaterThan(1);
    expect(ratio).toBeLessThan(1.05);
  });

  test('with it is 1.5 to 1.9 times that, and presses the skin as hard as it pulls the middle', () => {
    const ratio = middle / (share * held(13, RADIUS));
    expect(ratio).toBeGreaterThan(1.5);
    expect(ratio).toBeLessThan(1.9);
    expect(usual.estimates?.[2].stress_Pa).toBeCloseTo(share * held(13, RADIUS), -3);
    expect(Math.abs(-skin / middle - 1)).toBeLessThan(0.02);
  });

  test('pulls nothing as a whole', () => {
    const radii = (usual.residual ?? []).map(({ z_m }) => z_m);
    // Along a cylinder over its area. Round about in a sphere likewise: half a sphere is held by what crosses its equator.
    let sum = 0;
    let size = 0;
    for (let i = 1; i < radii.length; i += 1) {
      const ring = (radii[i] ** 2 - radii[i - 1] ** 2) / 2;
      sum += (ring * (profile[i] + profile[i - 1])) / 2;
      size += (ring * (Math.abs(profile[i]) + Math.abs(profile[i - 1]))) / 2;
    }
    expect(Math.abs(sum) / size).toBeLessThan(0.005);
  });

  test('goes with the rate and with the radius squared, and halving the mesh changes it by less than 2 %', () => {
    expect(Math.abs(profileOf(cooled(shape, 26))[0] / middle / 2 - 1)).toBeLessThan(0.05);
    expect(Math.abs(profileOf(cooled(shape, 13, { radius_m: 2 * RADIUS }))[0] / middle / 4 - 1)).toBeLessThan(0.05);
    expect(Math.abs(profileOf(cooled(shape, 13, { glassIntervals: 80 }))[0] / middle - 1)).toBeLessThan(0.02);
  });

  test('is gone once the glass is fluid again', () => {
    const again = simulateFiring({
      ...inputOf(shape, {}),
      segments: [
        { rate_C_per_h: 600, target_C: 400, hold_s: 0 },
        { rate_C_per_h: 300, target_C: 680, hold_s: 600 },
        { rate_C_per_h: 13, target_C: 380, hold_s: 0 },
        { rate_C_per_h: 26, target_C: 30, hold_s: 0 },
      ],
      start_C: 660,
    });
    expect(again.segments[1].stressKept_Pa).toBeLessThan(1e3);
    expect(Math.abs(profileOf(again)[0] / middle - 1)).toBeLessThan(0.01);
  });

  test('can be taken up again in the middle of a firing', () => {
    const simulate = rememberingSimulator();
    const input = (last: number): SimulationInput => ({
      ...inputOf(shape, {}),
      segments: [
        { rate_C_per_h: 60, target_C: 400, hold_s: 0 },
        { rate_C_per_h: 90, target_C: last, hold_s: 0 },
      ],
      start_C: 660,
    });
    simulate(input(100));
    const taken = simulate(input(40));
    expect(simulate.startedAt()).toBe(1);
    expect(taken).toEqual(simulateFiring(input(40)));
  });

  test('from above to below is a straight line that only the held share bears; the lag is the first harmonic of such a heating', () => {
    // What half of the outside takes in, spread over all angles: (2/π) or 3/2 times its mean, of which the rest is even.
    const kappa = diffusivity(SOFT_90);
    const flux = RADIUS / dimensions; // The mean over the whole outside, for ρcR = 1.
    const steps = 20000;
    let first = 0;
    let norm = 0;
    for (let i = 0; i < steps; i += 1) {
      const angle = ((i + 0.5) / steps) * Math.PI;
      const around = shape === 'cylinder' ? 1 : Math.sin(angle);
      first += around * (angle < Math.PI / 2 ? 2 * flux : 0) * Math.cos(angle);
      norm += around * Math.cos(angle) ** 2;
    }
    const difference = (2 * RADIUS * (first / norm)) / kappa;
    expect(Math.abs(oneSidedLag(SOFT_90, 2 * RADIUS, shape) / difference - 1)).toBeLessThan(1e-4);
  });
});

describe('a slender casting', () => {
  const cast = (setup: Partial<FiringCase['setup']>, slender?: 'cylinder' | 'sphere'): FiringCase => {
    const base = sheetsOf(1, 0.006);
    return {
      ...base,
      look: 'firePolish',
      setup: { ...base.setup, ...setup },
      body: {
        ...base.body,
        layers: [],
        casting: { glass: 0, volume_m3: 2e-4, thickest_m: 0.03, thinnest_m: 0.03, slender },
        footprint: { shape: 'rectangle', width_m: 0.06, length_m: 0.06 },
      },
    };
  };
  const WALL = { of: 'support', thickness_m: 0.03, conductivity_W_mK: 0.4, density_kg_m3: 1000, heatCapacity_J_kgK: 1000 } as const;
  const coolOf = (firing: FiringCase): number => valueOf(compose(firing)).segments.find(({ role }) => role === 'firstCool')?.rate_C_per_h ?? 0;

  test.each([
    ['cylinder', {}],
    ['sphere', {}],
    ['cylinder', { around: [WALL] }],
    ['sphere', { around: [WALL] }],
    ['cylinder', { twoFaceProof: 'readings' }],
    ['sphere', { twoFaceProof: 'readings' }],
  ] as const)('as a %s with %j keeps every limit, its residual stress among them', (slender, setup) => {
    const { converged, evaluation } = valueOf(compose(cast(setup, slender)));
    expect(converged).toBe(true);
    expect(evaluation.readings.some(({ limit }) => limit === 'residual')).toBe(true);
  });

  test('on its side cools slower than one that is warmed all round, and never slower than a slab of its depth', () => {
    for (const slender of ['cylinder', 'sphere'] as const) {
      expect(coolOf(cast({}, slender))).toBeLessThan(coolOf(cast({ twoFaceProof: 'readings' }, slender)));
      expect(coolOf(cast({}, slender))).toBeGreaterThan(coolOf(cast({})));
    }
  });

  test('on its side takes its heat in by half of its outside, and lags from above to below', () => {
    const input = simulationOf(cast({}, 'cylinder'), []);
    expect(input.faces.top).toMatchObject({ emissivity: 0.45, convection_W_m2K: 2.5 });
    expect(input.sidesLag_s).toBeCloseTo((16 / Math.PI) * solidLag(SOFT_90, 0.03, 'cylinder'), 9);
    expect(simulationOf(cast({ around: [WALL] }, 'cylinder'), [])).toMatchObject({
      stack: [{ thickness_m: 0.015 }, WALL],
      faces: { top: { emissivity: 0.9 } },
    });
  });
});
