import { SOFT_90, CLAMPED } from '../testCases';
import { diffusivity } from '../glass/constants';
import { heatSolver } from './heatSolver';
import type { HeatSolver } from './solver';
import { type Drive, driveFrom } from './drive';
import { meshOf } from './stack';

/** Takes one step of dt_s while the kiln goes from one temperature to another. */
function step(body: HeatSolver, drive: Drive, dt_s: number, from_C: number, to_C: number): void {
  Object.assign(drive, { dt_s, from_C, to_C });
  body.step();
}

const DEPTH = 0.02;
const TAU = DEPTH ** 2 / diffusivity(SOFT_90);

/** Centre of a slab of unit temperature whose faces drop to 0 at once, after the given Fourier number. */
function cooledCentre(fourier: number, intervals: number, steps: number): number {
  const mesh = meshOf([{ of: 'glass', thickness_m: DEPTH }], SOFT_90, { glassIntervals: intervals });
  const drive = driveFrom(0);
  const body = heatSolver(mesh, { top: CLAMPED, bottom: CLAMPED }, 1, drive);
  // Half depth is the length in the Fourier number of the series.
  const dt = (fourier * TAU) / 4 / steps;
  for (let i = 0; i < steps; i += 1) step(body, drive, dt, 0, 0);
  return body.temperature[intervals / 2];
}

/** The classical series for the centre of a suddenly cooled slab. */
function seriesCentre(fourier: number): number {
  let sum = 0;
  for (let n = 0; n < 50; n += 1) {
    const k = ((2 * n + 1) * Math.PI) / 2;
    sum += ((2 * (-1) ** n) / k) * Math.exp(-k * k * fourier);
  }
  return sum;
}

describe('∂T/∂t = κ ∂²T/∂z², both faces suddenly cooled', () => {
  test('the series itself gives the textbook values', () => {
    expect(seriesCentre(0.2)).toBeCloseTo(0.7723, 4);
    expect(seriesCentre(1)).toBeCloseTo(0.108, 4);
  });

  test.each([0.2, 1])('the centre follows the series at Fo = %s within 0.5 %%', (fourier) => {
    const exact = seriesCentre(fourier);
    expect(Math.abs(cooledCentre(fourier, 40, 100) / exact - 1)).toBeLessThan(0.005);
  });

  test('the error falls fourfold when the mesh is halved: second order in depth', () => {
    const error = (n: number): number => Math.abs(cooledCentre(0.2, n, 4000) - seriesCentre(0.2));
    const ratio = error(10) / error(20);
    expect(ratio).toBeGreaterThan(3.5);
    expect(ratio).toBeLessThan(4.5);
  });

  test('the error falls fourfold when the step is halved on a smooth problem: second order in time', () => {
    // A steady ramp from rest, seen early, against a very fine reference on the same mesh.
    const ramped = (steps: number): number => {
      const mesh = meshOf([{ of: 'glass', thickness_m: DEPTH }], SOFT_90, { glassIntervals: 20 });
      const drive = driveFrom(0);
      const body = heatSolver(mesh, { top: { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 }, bottom: { kind: 'insulated' } }, 400, drive);
      const total = 1200;
      for (let i = 0; i < steps; i += 1) step(body, drive, total / steps, 400 + (200 * i) / steps, 400 + (200 * (i + 1)) / steps);
      return body.temperature[0];
    };
    const reference = ramped(6400);
    const ratio = Math.abs(ramped(50) - reference) / Math.abs(ramped(100) - reference);
    expect(ratio).toBeGreaterThan(3.3);
    expect(ratio).toBeLessThan(4.7);
  });
});

describe('energy', () => {
  test('what the stack stores is what crossed its faces, to rounding', () => {
    const mesh = meshOf(
      [
        { of: 'support', thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 },
        { of: 'glass', thickness_m: DEPTH },
      ],
      SOFT_90,
    );
    const drive = driveFrom(0);
    const body = heatSolver(
      mesh,
      { top: { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 }, bottom: { kind: 'open', emissivity: 0.4, convection_W_m2K: 0 } },
      20,
      drive,
    );
    for (let i = 0; i < 600; i += 1) step(body, drive, 10, 20 + i, 21 + i);
    const stored = body.temperature.reduce((sum, T, i) => sum + mesh.capacity[i] * (T - 20), 0);
    expect(stored).toBeGreaterThan(1e6);
    expect(Math.abs(stored / body.crossed_J_m2 - 1)).toBeLessThan(1e-9);
  });
});

describe('the mesh', () => {
  test('holds the heat capacity of every layer and knows where the glass lies', () => {
    const mesh = meshOf(
      [
        { of: 'support', thickness_m: 0.01, conductivity_W_mK: 1, density_kg_m3: 1000, heatCapacity_J_kgK: 1000 },
        { of: 'glass', thickness_m: 0.003 },
        { of: 'glass', thickness_m: 0.006 },
      ],
      SOFT_90,
    );
    const total = mesh.capacity.reduce((sum, c) => sum + c, 0);
    expect(total).toBeCloseTo(0.01 * 1e6 + 0.009 * 2500 * 1100, 6);
    expect(mesh.height_m[mesh.glassFrom]).toBeCloseTo(0.01, 12);
    expect(mesh.height_m[mesh.glassTo]).toBeCloseTo(0.019, 12);
    expect(mesh.sheets.map((ends) => ends.map((node) => Number(mesh.height_m[node].toFixed(9))))).toEqual([
      [0.01, 0.013],
      [0.013, 0.019],
    ]);
    expect(mesh.gaps).toEqual([]);
  });
});
