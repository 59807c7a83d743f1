/** Runs the plain C version of the simulation beside the engine's: the same figures, and how long each takes. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { coatingRange } from '@torvin/core/flow';
import { LOG_VISCOSITY, meltExpansion, temperatureAt, viscosityOf } from '@torvin/core/glass';
import { type SimulationInput, regimesOf, settingFrom, simulateFiring } from '@torvin/core/heat';
import { glassySlope, relaxationOf } from '@torvin/core/stress';
import type { UnevenBody } from '@torvin/core/field';
import { fieldOf } from '../packages/core/src/field/cooling';
import type { Balance } from '../packages/core/src/field/lattice';
import { solverOf } from '../packages/core/src/field/solve';
import { least, report } from './measure';

const ROUNDS = 20;
const TURNS = 20;
const NODES = 41;
const FLUID_LOG_ETA = 8.5;
const HAZE = { logEta: 5.84, halfWidth_K: 45 };
/** Here terms of relaxation that stand still are left out one by one, there node by node. */
const SAME = 3e-5;
const FIELD_ROUNDS = 10;
const FIELD_TURNS = 20;
/** As a share, in both. */
const FIELD_LEFT = 1e-10;
const FIELD_SAME = 1e-9;
/** Work under this is none. */
const LEAST_FIGURE = 1e-6;

/** The case as numbers in the order that simulate.c reads them. */
function numbersOf(input: SimulationInput): number[] {
  const { glass, faces, segments } = input;
  const vft = viscosityOf(glass);
  const regimes = regimesOf(glass, vft);
  const sets = settingFrom(input, vft, regimes);
  const lifts = coatingRange(glass);
  const { stress, structureOverStress } = relaxationOf(glass);
  const open = [faces.top, faces.bottom].flatMap((face) => (face.kind === 'open' ? [face.emissivity, face.convection_W_m2K] : [0, 0]));
  return [
    ROUNDS,
    NODES,
    input.stress ? 1 : 0,
    input.steps === 'fixed' ? 0 : 1,
    input.stack[0].thickness_m,
    input.start_C ?? 20,
    input.acrossLag_s ?? 0,
    input.evenWithin_K ?? 1,
    ...[glass.expansion_perK, glass.density_kg_m3, glass.youngs_Pa, glass.poisson, glass.conductivity_W_mK, glass.heatCapacity_J_kgK],
    ...[vft.A, vft.B, vft.T0, meltExpansion(glass), ...open],
    ...[regimes.brittle_C, regimes.setsTo_C, sets.at_C, sets.segment],
    ...[temperatureAt(vft, HAZE.logEta), HAZE.halfWidth_K, lifts.from_C, lifts.to_C],
    ...[temperatureAt(vft, FLUID_LOG_ETA), temperatureAt(vft, LOG_VISCOSITY.strain)],
    ...[structureOverStress, glassySlope(glass, vft), stress.length, ...stress.flatMap(({ weight, ratio }) => [weight, ratio])],
    ...[segments.length, ...segments.flatMap(({ rate_C_per_h, target_C, hold_s }) => [(rate_C_per_h ?? 0) / 3600, target_C, hold_s])],
  ];
}

/** What the C program tells, in its order. */
function run(program: string, numbers: readonly number[]): number[] {
  const ran = spawnSync(program, { input: numbers.join('\n'), encoding: 'utf8' });
  if (ran.status !== 0) throw new Error(`The plain C version failed: ${ran.stderr}`);
  return ran.stdout.trim().split(/\s+/).map(Number);
}

function compare(program: string, name: string, input: SimulationInput): void {
  const told = run(program, numbersOf(input));
  const { segments, steps, residual = [] } = simulateFiring(input);
  const ours = [
    steps,
    ...segments.flatMap(({ deltaT_max_K, heatWork_perPa }) => [deltaT_max_K, heatWork_perPa]),
    Math.max(0, ...residual.map(({ stress_Pa }) => stress_Pa)),
  ];
  ours.forEach((value, i) => {
    if (Math.abs(told[i] - value) > SAME * Math.max(Math.abs(value), LEAST_FIGURE))
      throw new Error(`${name}: figure ${i} is ${value} here and ${told[i]} in C.`);
  });
  // In turns and by the least of each, which other work on the machine touches least.
  let c_ms = Infinity;
  let own_ms = Infinity;
  for (let turn = 0; turn < TURNS; turn += 1) {
    c_ms = Math.min(c_ms, Number(run(program, numbersOf(input)).at(-1)));
    own_ms = Math.min(
      own_ms,
      least(ROUNDS, () => simulateFiring(input)),
    );
  }
  report(`${name}, ${steps} steps`, own_ms, `${(own_ms / c_ms).toFixed(2)} of plain C, which takes ${c_ms.toFixed(2)} ms and gives the same figures`);
}

/** The balance of a field as numbers in the order that field.c reads them. */
const numbersOfField = ({ diagonal, capacity, next, neighbour }: Balance): number[] => [
  ...[FIELD_ROUNDS, FIELD_LEFT, diagonal.length, ...diagonal, ...capacity],
  ...next.flatMap((passes, axis) => [...passes, ...neighbour[axis]]),
];

function compareField(program: string, name: string, body: UnevenBody): void {
  const { balance } = fieldOf(body);
  const numbers = numbersOfField(balance);
  const solve = () => solverOf(balance)(balance.capacity, undefined, FIELD_LEFT);
  const solved = solve();
  if (!solved) throw new Error(`${name}: it is not solved here.`);
  const [iterations, most] = run(program, numbers);
  const ours = solved.theta_K.reduce((one, other) => Math.max(one, other));
  if (iterations !== solved.iterations || Math.abs(most / ours - 1) > FIELD_SAME)
    throw new Error(`${name}: ${ours} after ${solved.iterations} steps here, ${most} after ${iterations} in C.`);
  let [c_ms, own_ms] = [Infinity, Infinity];
  for (let turn = 0; turn < FIELD_TURNS; turn += 1) {
    c_ms = Math.min(c_ms, Number(run(program, numbers).at(-1)));
    own_ms = Math.min(own_ms, least(FIELD_ROUNDS, solve));
  }
  report(
    `${name}, ${balance.diagonal.length} cells, ${iterations} steps`,
    own_ms,
    `${(own_ms / c_ms).toFixed(2)} of plain C, which takes ${c_ms.toFixed(2)} ms and gives the same figures`,
  );
}

/** Prints what comes of the programs, or why there is nothing. */
function withC(file: string, measure: (program: string) => void): void {
  const folder = mkdtempSync(join(tmpdir(), 'torvin-c-'));
  try {
    const program = join(folder, file);
    const built = spawnSync('cc', ['-O3', '-std=c11', '-D_POSIX_C_SOURCE=200809L', join('benchmarks', `${file}.c`), '-o', program, '-lm'], {
      encoding: 'utf8',
    });
    if (built.error || built.status !== 0)
      process.stdout.write(`against plain C: left out, no C compiler here (${built.error?.message ?? built.stderr.split('\n')[0]})\n`);
    else measure(program);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

export function againstPlainC(input: SimulationInput): void {
  withC('simulate', (program) => {
    compare(program, 'heat alone, fixed steps', { ...input, steps: 'fixed', stress: undefined });
    compare(program, 'heat and stress, fixed steps', { ...input, steps: 'fixed', stress: { support: 'free' } });
    compare(program, 'heat alone, error-controlled', { ...input, stress: undefined });
    compare(program, 'heat and stress, error-controlled', { ...input, stress: { support: 'free' } });
  });
}

export function fieldsAgainstPlainC(bodies: Record<string, UnevenBody>): void {
  withC('field', (program) => {
    for (const [name, body] of Object.entries(bodies)) compareField(program, name, body);
  });
}
