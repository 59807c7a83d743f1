import { SOFT_90 } from '../testCases';
import * as compiled from './compiledSolver';
import { driveFrom } from './drive';
import { plainSolver } from './plainSolver';
import type * as choice from './heatSolver';
import type { HeatSolver } from './solver';
import { type StackLayer, meshOf } from './stack';
import { tensionWeights } from './thermalTension';

const { compiledSolver } = compiled;
const glass = (thickness_m: number): StackLayer => ({ of: 'glass', thickness_m });
const shelf: StackLayer = { of: 'support', thickness_m: 0.018, conductivity_W_mK: 1, density_kg_m3: 2000, heatCapacity_J_kgK: 1000 };
const faces = {
  top: { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 },
  bottom: { kind: 'open', emissivity: 0.7, convection_W_m2K: 3 },
} as const;

/** Climbs, holds, falls and takes a step back now and then; all that can be seen of it after every step. */
function followed(make: typeof plainSolver | typeof compiledSolver, stack: StackLayer[], glassIntervals: number): number[][] {
  const mesh = meshOf(stack, SOFT_90, { glassIntervals });
  const drive = driveFrom(20);
  const body = make(mesh, faces, 20, drive) as HeatSolver;
  const { arm, armShare } = tensionWeights(mesh, body.temperature, mesh.glassFrom, mesh.glassTo);
  const gauge = body.gauge({ from: mesh.glassFrom, share: mesh.glassShare, arm, armShare });
  const seen: number[][] = [];
  for (let step = 0; step < 60; step += 1) {
    drive.dt_s = 20 + 7 * (step % 5);
    drive.to_C = drive.from_C + (step < 30 ? 6 : step < 40 ? 0 : -8);
    body.conductance[0] *= 1.001;
    body.step();
    if (step % 7 === 3) {
      const after = body.crossed_J_m2;
      body.undo();
      expect(body.crossed_J_m2).not.toBe(after);
      drive.dt_s /= 2;
      drive.to_C = (drive.from_C + drive.to_C) / 2;
      body.step();
    }
    drive.from_C = drive.to_C;
    gauge.findPull();
    seen.push([...body.temperature, body.crossed_J_m2, body.error_K, ...gauge.told]);
    if (step === 30) {
      const kept = body.save();
      body.step();
      body.restore(kept);
    }
  }
  body.release();
  return seen;
}

describe('compiled and plain give the same bits', () => {
  test.each([
    ['an odd number of nodes', [glass(0.025)], 40],
    ['an even one', [glass(0.025)], 41],
    ['few', [glass(0.003)], 4],
    ['on a shelf, the gauge from its top on', [shelf, glass(0.006)], 11],
    ['on a shelf, with an odd count in the glass', [shelf, glass(0.006)], 10],
    ['more than fit one page', Array.from({ length: 230 }, () => glass(0.001)), 920],
  ])('%s', (_, stack, intervals) => {
    expect(compiledSolver(meshOf(stack, SOFT_90), faces, 20, driveFrom(20))).not.toBeNull();
    const plain = followed(plainSolver, stack, intervals);
    expect(plain.at(-1)?.every(Number.isFinite)).toBe(true);
    expect(followed(compiledSolver, stack, intervals)).toEqual(plain);
    // A memory that has served is taken up again as if it were new.
    expect(followed(compiledSolver, stack, intervals)).toEqual(plain);
  });
});

test('where WebAssembly is not there, or a policy forbids it, the plain solver answers', () => {
  const there = globalThis.WebAssembly;
  try {
    Object.assign(globalThis, { WebAssembly: undefined });
    jest.isolateModules(() => {
      const { compiledSolver: anew } = jest.requireActual<typeof compiled>('./compiledSolver');
      const { heatSolver } = jest.requireActual<typeof choice>('./heatSolver');
      const mesh = meshOf([glass(0.006)], SOFT_90);
      expect(anew(mesh, faces, 20, driveFrom(20))).toBeNull();
      const drive = driveFrom(20);
      const body = heatSolver(mesh, faces, 20, drive);
      Object.assign(drive, { dt_s: 60, to_C: 40 });
      body.step();
      expect(body.temperature[0]).toBeGreaterThan(20);
    });
  } finally {
    Object.assign(globalThis, { WebAssembly: there });
  }
});
