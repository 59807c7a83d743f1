/**
 * The plate of plate.ts for one glass, compiled from assembly/relax.ts. Each runs in a memory of its own, laid out as said there.
 */
import type { GlassConstants } from '../glass/constants';
import { LOG_VISCOSITY, temperatureAt, viscosityOf } from '../glass/viscosity';
import { compiledRooms } from '../numerics/compiledRooms';
import { DECAY_END, DECAY_TABLE, PER_UNIT, ROUNDS } from '../numerics/decay';
import { SERIES_BELOW } from '../numerics/fade';
import { type Support, evenedOut, leversOf } from './balance';
import { materialOf } from './material';
import type { BodyStress } from './bodyStress';
import { relaxationOf } from './relaxation';
import { RELAX_WASM } from './relax.wasm';
import { STANDS_STILL } from './structure';

/** Where the head keeps what, in doubles. */
const DT = 0;
const CONSTANTS = 1;
const TENSION = 10;
const CURVATURE = 12;
const STRUCTURE = { weight: 16, pace: 28, time: 40 };
const STRESS = { weight: 52, pace: 64, time: 76 };
const LOOPS = 88;
const TABLE = 99;
const ROWS = TABLE + DECAY_TABLE.length;
/** Rows of n doubles, n even, by what they hold; behind them one for each term of structure and two for each of stress. */
const ROW = {
  ...{ temperature: 0, before: 1, fictiveMean: 2, fictiveRate: 3, isFluid: 4, stress: 7, taken: 8, held: 9, isElastic: 10, wasFluid: 11 },
  ...{ modulus: 14, weight: 15, weightArm: 16, weightArm2: 17, arm: 18 },
} as const;
const ROW_COUNT = 19;
/** What the loops calculate with, in the order of assembly/relax.ts: of the table and its series, where it ends, where a series does, and what stands still. */
const OF_LOOPS = [1, 1 / 2, 1 / 6, 1 / 24, 1 / 120, PER_UNIT, 1 / PER_UNIT, ROUNDS, DECAY_END, SERIES_BELOW, STANDS_STILL];
/** No more terms than this have room in the head. */
const TERMS_AT_MOST = 12;

interface Plate {
  step(n: number, structureTerms: number, stressTerms: number, flat: number): void;
}

const rooms = compiledRooms<Plate>(RELAX_WASM, { relax: { exp: Math.exp } });

/** One row as it is remembered, node by node. */
interface Kept {
  read(): Float64Array;
  write(values: Float64Array): void;
}

/** Sets a row of an even number of nodes; the last has its like beside it where there is one more. */
function doubled(row: Float64Array, values: Float64Array): void {
  row.set(values);
  if (row.length > values.length) row[values.length] = values[values.length - 1];
}

/** Where term k of node i stands: the terms of two nodes alternate. */
const wovenAt = (i: number, k: number, count: number): number => (i - (i % 2)) * count + 2 * k + (i % 2);

/** Node by node, the terms of each together. */
function unwoven(rows: Float64Array, n: number, count: number): Float64Array {
  const values = new Float64Array(n * count);
  for (let i = 0; i < n; i += 1) for (let k = 0; k < count; k += 1) values[i * count + k] = rows[wovenAt(i, k, count)];
  return values;
}

function weave(rows: Float64Array, values: Float64Array, n: number, count: number): void {
  const padded = rows.length / count;
  for (let i = 0; i < padded; i += 1) for (let k = 0; k < count; k += 1) rows[wovenAt(i, k, count)] = values[Math.min(i, n - 1) * count + k];
}

/** Null where there is no WebAssembly. */
export function compiledPlate(
  glass: GlassConstants,
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
  clock: { dt_s: number },
): (BodyStress & { readonly stress_Pa: Float64Array }) | null {
  const n = height_m.length;
  // Two nodes go side by side: where their number is odd the last has a double beside it, which weighs nothing.
  const padded = n + (n % 2);
  const relaxation = relaxationOf(glass);
  // The fastest term first: where one stands still in a step, so do all after it.
  const [structure, spectrum] = [relaxation.structure, relaxation.stress].map((terms) => [...terms].sort((one, other) => one.ratio - other.ratio));
  if (Math.max(structure.length, spectrum.length) > TERMS_AT_MOST) return null;
  const size = ROWS + (ROW_COUNT + structure.length + 2 * spectrum.length) * padded;
  const room = rooms.take(size);
  if (room === null) return null;
  const { doubles } = room;
  doubles.fill(0, 0, size);
  const row = (index: number, rows = 1): Float64Array => doubles.subarray(ROWS + index * padded, ROWS + (index + rows) * padded);
  const ofNodes = (index: number): Float64Array => row(index).subarray(0, n);
  const { fluid_C, solid, structural, modulus, perAnnealing_Hz, curve_K, T0_C, glassy_K, offset } = materialOf(glass);
  const fastest = Math.max(1 / (structure[0].ratio * relaxation.structureOverStress), 1 / spectrum[0].ratio);
  doubles.set([fluid_C, solid, structural, perAnnealing_Hz, curve_K, T0_C, glassy_K, offset, fastest], CONSTANTS);
  const setTerms = (terms: typeof structure, over: number, at: typeof STRUCTURE): void =>
    terms.forEach(({ weight, ratio }, k) => {
      doubles[at.weight + k] = weight;
      doubles[at.pace + k] = 1 / (ratio * over);
      doubles[at.time + k] = ratio * over;
    });
  setTerms(structure, relaxation.structureOverStress, STRUCTURE);
  setTerms(spectrum, 1, STRESS);
  doubles.set(OF_LOOPS, LOOPS);
  doubles.set(DECAY_TABLE, TABLE);
  const levers = leversOf(height_m);
  row(ROW.weight).set(levers.weight);
  row(ROW.weightArm).set(levers.weightArm);
  row(ROW.weightArm2).set(levers.weightArm2);
  doubled(row(ROW.arm), levers.arm);
  row(ROW.modulus).fill(modulus);
  const now = row(ROW.temperature);
  const stress = ofNodes(ROW.stress);
  // As plate.ts remembers them, so that one may go on where the other left off.
  const kept = (index: number): Kept => ({ read: () => row(index).slice(0, n), write: (values) => doubled(row(index), values) });
  const keptTerms = (index: number, count: number): Kept => ({
    read: () => unwoven(row(index, count), n, count),
    write: (values) => weave(row(index, count), values, n, count),
  });
  const fictive = keptTerms(ROW_COUNT, structure.length);
  const parts = ROW_COUNT + structure.length;
  const ofStructure = [kept(ROW.before), fictive, kept(ROW.fictiveMean), kept(ROW.fictiveRate), kept(ROW.isFluid)];
  const ofStress = [
    ...[keptTerms(parts, spectrum.length), keptTerms(parts + spectrum.length, spectrum.length)],
    ...[ROW.taken, ROW.held, ROW.isElastic, ROW.wasFluid, ROW.stress].map(kept),
  ];
  // Glass begins near its strain point, frozen there.
  const strain_C = temperatureAt(viscosityOf(glass), LOG_VISCOSITY.strain);
  const frozen = temperature.map((at_C) => Math.max(at_C, strain_C));
  doubled(row(ROW.before), temperature);
  doubled(row(ROW.fictiveMean), frozen);
  fictive.write(Float64Array.from({ length: n * structure.length }, (_, at) => frozen[Math.floor(at / structure.length)]));
  const flat = Number(support === 'flat');

  return {
    stress_Pa: stress,
    get tension_Pa() {
      return doubles[TENSION];
    },
    step() {
      doubles[DT] = clock.dt_s;
      doubled(now, temperature);
      room.step(padded, structure.length, spectrum.length, flat);
    },
    residual(room_C: number) {
      const shrinks = temperature.map((at_C) => solid * (room_C - at_C));
      return evenedOut(levers, support, ofNodes(ROW.modulus), stress, shrinks, doubles[CURVATURE]);
    },
    save: () => ({ structure: ofStructure.map((one) => one.read()), components: [ofStress.map((one) => one.read())], curvature_perM: doubles[CURVATURE] }),
    restore(state) {
      ofStructure.forEach((one, k) => one.write(state.structure[k]));
      ofStress.forEach((one, k) => one.write(state.components[0][k]));
      doubles[CURVATURE] = state.curvature_perM;
    },
    release() {
      rooms.giveBack(room);
    },
  };
}
