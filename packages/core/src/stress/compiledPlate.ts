/**
 * The plate of plate.ts for one glass, compiled from assembly/relax.ts. Each runs in a memory of its own, laid out as said there.
 */
import type { GlassConstants } from '../glass/constants';
import { LOG_VISCOSITY, temperatureAt, viscosityOf } from '../glass/viscosity';
import { compiledRooms } from '../numerics/compiledRooms';
import { DECAY_TABLE } from '../numerics/decay';
import { type Support, evenedOut, leversOf } from './balance';
import { materialOf } from './material';
import type { BodyStress } from './bodyStress';
import { relaxationOf } from './relaxation';
import { RELAX_WASM } from './relax.wasm';

/** Where the head keeps what, in doubles. */
const DT = 0;
const CONSTANTS = 1;
const TENSION = 10;
const CURVATURE = 12;
const STRUCTURE_WEIGHT = 16;
const STRUCTURE_PACE = 28;
const STRESS_WEIGHT = 40;
const STRESS_PACE = 52;
const TABLE = 64;
const ROWS = TABLE + DECAY_TABLE.length;
/** Rows of n doubles by what they hold; behind them one for each term of structure and two for each of stress. */
const ROW = {
  ...{ temperature: 0, before: 1, fictiveMean: 2, fictiveRate: 3, isFluid: 4, stress: 7, taken: 8, held: 9, isElastic: 10, wasFluid: 11 },
  ...{ modulus: 14, weight: 15, weightArm: 16, weightArm2: 17, arm: 18 },
} as const;
const ROW_COUNT = 19;
/** No more terms than this have room in the head. */
const TERMS_AT_MOST = 12;

interface Plate {
  step(n: number, structureTerms: number, stressTerms: number, flat: number): void;
}

const rooms = compiledRooms<Plate>(RELAX_WASM, { relax: { exp: Math.exp } });

/** Null where there is no WebAssembly. */
export function compiledPlate(
  glass: GlassConstants,
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
  clock: { dt_s: number },
): (BodyStress & { readonly stress_Pa: Float64Array }) | null {
  const n = height_m.length;
  const relaxation = relaxationOf(glass);
  // The fastest term first: where one stands still in a step, so do all after it.
  const [structure, spectrum] = [relaxation.structure, relaxation.stress].map((terms) => [...terms].sort((one, other) => one.ratio - other.ratio));
  if (Math.max(structure.length, spectrum.length) > TERMS_AT_MOST) return null;
  const size = ROWS + (ROW_COUNT + structure.length + 2 * spectrum.length) * n;
  const room = rooms.take(size);
  if (room === null) return null;
  const { doubles } = room;
  doubles.fill(0, 0, size);
  const row = (index: number, rows = 1): Float64Array => doubles.subarray(ROWS + index * n, ROWS + (index + rows) * n);
  const { fluid_C, solid, structural, modulus, perAnnealing_Hz, curve_K, T0_C, glassy_K, offset } = materialOf(glass);
  const pace = structure.map(({ ratio }) => 1 / (ratio * relaxation.structureOverStress));
  const fastest = Math.max(pace[0], 1 / spectrum[0].ratio);
  doubles.set([fluid_C, solid, structural, perAnnealing_Hz, curve_K, T0_C, glassy_K, offset, fastest], CONSTANTS);
  doubles.set(
    structure.map(({ weight }) => weight),
    STRUCTURE_WEIGHT,
  );
  doubles.set(pace, STRUCTURE_PACE);
  doubles.set(
    spectrum.map(({ weight }) => weight),
    STRESS_WEIGHT,
  );
  doubles.set(
    spectrum.map(({ ratio }) => 1 / ratio),
    STRESS_PACE,
  );
  doubles.set(DECAY_TABLE, TABLE);
  const levers = leversOf(height_m);
  row(ROW.weight).set(levers.weight);
  row(ROW.weightArm).set(levers.weightArm);
  row(ROW.weightArm2).set(levers.weightArm2);
  row(ROW.arm).set(levers.arm);
  const moduli = row(ROW.modulus).fill(modulus);
  const now = row(ROW.temperature);
  const stress = row(ROW.stress);
  // As plate.ts remembers them, so that one may go on where the other left off.
  const fictive = row(ROW_COUNT, structure.length);
  const ofStructure = [row(ROW.before), fictive, row(ROW.fictiveMean), row(ROW.fictiveRate), row(ROW.isFluid)];
  const parts = ROW_COUNT + structure.length;
  const ofStress = [
    ...[row(parts, spectrum.length), row(parts + spectrum.length, spectrum.length)],
    ...[row(ROW.taken), row(ROW.held), row(ROW.isElastic), row(ROW.wasFluid), stress],
  ];
  // Glass begins near its strain point, frozen there.
  const strain_C = temperatureAt(viscosityOf(glass), LOG_VISCOSITY.strain);
  row(ROW.before).set(temperature);
  row(ROW.fictiveMean).set(temperature.map((at_C) => Math.max(at_C, strain_C)));
  for (let i = 0; i < n; i += 1) fictive.fill(Math.max(temperature[i], strain_C), i * structure.length, (i + 1) * structure.length);
  const flat = Number(support === 'flat');

  return {
    stress_Pa: stress,
    get tension_Pa() {
      return doubles[TENSION];
    },
    step() {
      doubles[DT] = clock.dt_s;
      now.set(temperature);
      room.step(n, structure.length, spectrum.length, flat);
    },
    residual(room_C: number) {
      const shrinks = temperature.map((at_C) => solid * (room_C - at_C));
      return evenedOut(levers, support, moduli, stress, shrinks, doubles[CURVATURE]);
    },
    save: () => ({ structure: ofStructure.map((one) => one.slice()), components: [ofStress.map((one) => one.slice())], curvature_perM: doubles[CURVATURE] }),
    restore(state) {
      ofStructure.forEach((one, k) => one.set(state.structure[k]));
      ofStress.forEach((one, k) => one.set(state.components[0][k]));
      doubles[CURVATURE] = state.curvature_perM;
    },
    release() {
      rooms.giveBack(room);
    },
  };
}
