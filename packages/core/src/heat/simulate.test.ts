import { SOFT_90, STUDIO_KILN, sheetsOf, slab } from '../testCases';
import { diffusivity, restrainedStress } from '../glass/constants';
import { fluidity, temperatureAt, viscosityOf } from '../glass/viscosity';
import { simulationOf } from '../schedule/firingCase';
import { naturalCooling } from '../kiln/kiln';
import { equalisingTime, rateWithin, slabLag, solidLag } from './quasiSteady';
import { simulateFiring } from './simulate';

const kappa = diffusivity(SOFT_90);

describe('a slab whose faces move at a steady rate R', () => {
  const rate_C_per_h = 60;
  const R = rate_C_per_h / 3600;
  const L = 0.025;
  const ramp = [{ rate_C_per_h, target_C: 400, hold_s: 0 }];

  test('with both faces open lags by R·L²/(8κ) within 1 %', () => {
    const [figures] = simulateFiring(slab(L, 2, ramp)).segments;
    expect(Math.abs(figures.deltaT_end / ((R * L ** 2) / (8 * kappa)) - 1)).toBeLessThan(0.01);
  });

  test('with one face open lags by R·L²/(2κ) within 1 %', () => {
    const [figures] = simulateFiring(slab(L, 1, ramp)).segments;
    expect(Math.abs(figures.deltaT_end / ((R * L ** 2) / (2 * kappa)) - 1)).toBeLessThan(0.01);
  });

  test('its closed forms are those that compose starts from', () => {
    expect(slabLag(SOFT_90, L, 2) * R).toBeCloseTo((R * L ** 2) / (8 * kappa), 12);
    expect(slabLag(SOFT_90, L, 1) * R).toBeCloseTo((R * L ** 2) / (2 * kappa), 12);
    expect(rateWithin(5, 30, 20)).toBeCloseTo(0.1, 12);
  });

  test.each([1, 2] as const)('free to bow, with %s face open, pulls by EαRL²/(24κ(1−ν)) of the equal slab within 2 %%', (faces) => {
    const [figures] = simulateFiring(slab(L, faces, ramp)).segments;
    // The curvature of the profile is R/κ either way; a straight-line part costs a free plate nothing.
    const exact = restrainedStress(SOFT_90, (R * L ** 2) / (24 * kappa));
    expect(Math.abs(figures.tension_max_Pa / exact - 1)).toBeLessThan(0.02);
  });

  test('evens out with its slowest time constant once the ramp ends', () => {
    const tau = equalisingTime(SOFT_90, L, 1);
    const at = (hold_s: number): number => simulateFiring(slab(L, 1, [{ rate_C_per_h, target_C: 400, hold_s }])).segments[0].deltaT_end;
    expect(Math.abs(at(tau) / at(2 * tau) / Math.E - 1)).toBeLessThan(0.01);
  });
});

describe.each([
  ['cylinder', 16, 2],
  ['sphere', 24, 3],
] as const)('a %s whose outside moves at a steady rate R', (shape, divisor, dimensions) => {
  const diameter = 0.05;
  const R = 60 / 3600;
  const run = (glassIntervals?: number) =>
    simulateFiring({ ...slab(diameter / 2, 1, [{ rate_C_per_h: 60, target_C: 400, hold_s: 0 }]), shape, resolution: { glassIntervals } });

  test(`lags in its middle by R·d²/(${divisor}κ) within 1 %`, () => {
    const exact = (R * diameter ** 2) / (divisor * kappa);
    expect(Math.abs(run().segments[0].deltaT_end / exact - 1)).toBeLessThan(0.01);
    expect(solidLag(SOFT_90, diameter, shape) * R).toBeCloseTo(exact, 12);
  });

  test('is pulled by what its middle lags behind its mean', () => {
    // The profile is a parabola: the mean lies at n/(n+2) of the way from the middle to the skin, n its dimensions.
    const lag = (R * diameter ** 2) / (divisor * kappa);
    const exact = restrainedStress(SOFT_90, (lag * dimensions) / (dimensions + 2));
    expect(Math.abs(run().segments[0].tension_max_Pa / exact - 1)).toBeLessThan(0.01);
  });

  test('holds its whole heat, and the mesh hardly matters', () => {
    const { energy } = run();
    const perOutside = diameter / 2 / dimensions;
    expect(energy.stored_J_m2 / (2500 * 1100 * perOutside * 380)).toBeGreaterThan(0.97);
    expect(Math.abs(energy.stored_J_m2 / energy.crossed_J_m2 - 1)).toBeLessThan(1e-6);
    expect(Math.abs(run(80).segments[0].deltaT_end / run().segments[0].deltaT_end - 1)).toBeLessThan(0.001);
  });
});

describe('heat work', () => {
  test('of a hold is hold/η, and the ramps add to it', () => {
    const vft = viscosityOf(SOFT_90);
    const run = (hold_s: number): number => simulateFiring(slab(0.003, 2, [{ rate_C_per_h: 300, target_C: 790, hold_s }])).segments[0].heatWork;
    const exact = fluidity(vft, 790) * 1200;
    expect(Math.abs((run(1500) - run(300)) / exact - 1)).toBeLessThan(0.001);
    expect(run(0)).toBeGreaterThan(0);
  });

  test('holds of equal W at another temperature do equal work', () => {
    const vft = viscosityOf(SOFT_90);
    const half = temperatureAt(vft, Math.log10(1 / fluidity(vft, 790)) + Math.log10(2));
    expect(fluidity(vft, half) * 1200).toBeCloseTo(fluidity(vft, 790) * 600, 10);
  });
});

describe('the kiln as boundary', () => {
  test('cools with the power off by U(T−Ta) + S(T⁴−Ta⁴)', () => {
    const off = simulateFiring({ ...simulationOf(sheetsOf(2, 0.003), [{ rate_C_per_h: null, target_C: 400, hold_s: 0 }]), start_C: 800 });
    // Against a fine explicit march of the same balance.
    let T = 800;
    let t = 0;
    while (T > 400) {
      T -= naturalCooling(STUDIO_KILN, T) * 0.5;
      t += 0.5;
    }
    expect(Math.abs(off.total_s / t - 1)).toBeLessThan(0.002);
  });

  test('that cannot follow the asked rate takes longer and says what it could do', () => {
    const { segments, total_s } = simulateFiring(simulationOf(sheetsOf(2, 0.003), [{ rate_C_per_h: 900, target_C: 800, hold_s: 0 }]));
    expect(total_s).toBeGreaterThan((780 / 900) * 3600);
    expect(segments[0].kilnBest_C_per_h).toBeGreaterThan(200);
    expect(segments[0].kilnBest_C_per_h).toBeLessThan(400);
  });

  test('that cannot get there at all is reported as stalled, not as a number', () => {
    const weak = { ...STUDIO_KILN, power_K_per_s: 0.08 };
    const result = simulateFiring({ ...simulationOf(sheetsOf(2, 0.003), [{ rate_C_per_h: 200, target_C: 880, hold_s: 60 }]), kiln: weak });
    expect(result.stalled?.segment).toBe(0);
    expect(result.stalled?.at_C).toBeLessThan(880);
    expect(result.stalled?.at_C).toBeGreaterThan(500);
  });
});

describe('a whole firing', () => {
  const firing = simulationOf(sheetsOf(4, 0.006), [
    { rate_C_per_h: 100, target_C: 560, hold_s: 0 },
    { rate_C_per_h: 100, target_C: 800, hold_s: 900 },
    { rate_C_per_h: null, target_C: 483, hold_s: 6000 },
    { rate_C_per_h: 14, target_C: 425, hold_s: 0 },
    { rate_C_per_h: 40, target_C: 60, hold_s: 0 },
  ]);
  const plain = simulateFiring(firing);

  test('keeps its energy balance within 0.5 %', () => {
    const fromCold = { ...firing, segments: firing.segments.slice(0, 2) };
    const { energy } = simulateFiring(fromCold);
    expect(energy.stored_J_m2).toBeGreaterThan(1e7);
    expect(Math.abs(energy.stored_J_m2 / energy.crossed_J_m2 - 1)).toBeLessThan(0.005);
  });

  test.each([
    ['mesh', { glassIntervals: 80 }],
    ['step', { stepShare: 0.5 }],
  ])('changes by under 1 %% in its figures when the %s is halved', (_, resolution) => {
    const fine = simulateFiring({ ...firing, resolution });
    fine.segments.forEach((figures, i) => {
      expect(Math.abs(plain.segments[i].deltaT_max / figures.deltaT_max - 1)).toBeLessThan(0.01);
    });
    const work = (result: typeof plain): number => result.segments.reduce((sum, one) => sum + one.heatWork, 0);
    expect(Math.abs(work(plain) / work(fine) - 1)).toBeLessThan(0.01);
  });

  test('steps by at most 1 °C and 30 s', () => {
    const { series, steps } = simulateFiring({ ...firing, series: true });
    expect(series).toBeDefined();
    expect(steps).toBeGreaterThanOrEqual(plain.total_s / 30);
    expect(steps).toBe(plain.steps);
  });

  test('gives the same answer twice', () => {
    expect(simulateFiring(firing)).toEqual(plain);
  });

  test('samples every joint, in order, with skin and core', () => {
    const { series } = simulateFiring({ ...firing, series: true });
    if (!series) throw new Error('no series');
    expect(series.joints).toHaveLength(5);
    series.joints.forEach((joint, i) => {
      expect(series.kiln_C[joint.rampEnd]).toBeCloseTo(firing.segments[i].target_C, 9);
      expect(series.t_s[joint.holdEnd]).toBeCloseTo(plain.segments[i].end_s, 6);
    });
    for (let i = 1; i < series.t_s.length; i += 1) expect(series.t_s[i]).toBeGreaterThan(series.t_s[i - 1]);
    const soakStart = series.joints[2].rampEnd;
    expect(Math.abs(series.skin_C[soakStart] - series.core_C[soakStart])).toBeGreaterThan(1);
  });

  test('counts relaxation only after the body has become even', () => {
    const short = simulateFiring({ ...firing, segments: firing.segments.map((one, i) => (i === 2 ? { ...one, hold_s: 600 } : one)) });
    expect(plain.segments[2].relaxations).toBeGreaterThan(0.5);
    expect(short.segments[2].relaxations).toBe(0);
  });
});
