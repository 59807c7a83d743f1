/**
 * The solver of plainSolver.ts, compiled from assembly/conduct.ts. Each runs in a memory of its own, laid out as said
 * there.
 */
import { compiledRooms } from '../numerics/compiledRooms';
import { STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';
import { CONDUCT_WASM } from './conduct.wasm';
import type { Drive } from './drive';
import type { Face } from './exchange';
import type { Faces, Gauge, GaugeWeights, HeatSolver } from './solver';
import { startMemory } from './plainSolver';
import type { Mesh } from './stack';

/** Where the head keeps what, in doubles. */
const DT = 0;
const KILN_FROM = 1;
const KILN_TO = 2;
const CROSSED = 3;
const ERROR = 4;
const BOTTOM = 6;
const TOP = 8;
const GAUGE = 10;
const GAUGE_SIZE = 5;
const MEMORY = 16;
const MEMORY_SIZE = 13;
const ROWS = 48;
/** Rows of n doubles: temperature, capacity, conductance; five that only it reads, in pairs, with what rounding takes; three of the gauge. */
const GAUGE_ROW = 8;
const ROUNDING = 6;
const ROW_COUNT = 11;

interface Conduction {
  conduct(n: number, from: number, count: number): void;
  takeBack(n: number): void;
  pull(n: number, from: number, count: number): void;
}

const rooms = compiledRooms<Conduction>(CONDUCT_WASM);

/** Null where there is no WebAssembly. */
export function compiledSolver(mesh: Mesh, faces: Faces, start_C: number, drive: Drive): HeatSolver | null {
  const n = mesh.capacity.length;
  const room = rooms.take(ROWS + ROUNDING + ROW_COUNT * n);
  if (room === null) return null;
  const { doubles, conduct } = room;
  const row = (index: number, from = ROWS): Float64Array => doubles.subarray(from + index * n, from + (index + 1) * n);
  doubles.fill(0, 0, ROWS + ROUNDING + ROW_COUNT * n);
  const temperature = row(0).fill(start_C);
  row(1).set(mesh.capacity);
  const conductance = row(2).subarray(0, n - 1);
  conductance.set(mesh.conductance);
  const memory = doubles.subarray(MEMORY, MEMORY + MEMORY_SIZE);
  startMemory(memory, start_C);
  const open = (face: Face): number[] => (face.kind === 'open' ? [face.emissivity * STEFAN_BOLTZMANN_W_m2K4, face.convection_W_m2K] : [0, 0]);
  doubles.set(open(faces.bottom), BOTTOM);
  doubles.set(open(faces.top), TOP);
  let gaugedFrom = 0;
  let gauged = 0;
  return {
    temperature,
    conductance,
    get crossed_J_m2() {
      return doubles[CROSSED];
    },
    get error_K() {
      return doubles[ERROR];
    },
    step() {
      doubles[DT] = drive.dt_s;
      doubles[KILN_FROM] = drive.from_C;
      doubles[KILN_TO] = drive.to_C;
      conduct(n, gaugedFrom, gauged);
    },
    undo: () => room.takeBack(n),
    save: () => ({ temperature: temperature.slice(), memory: memory.slice(), crossed_J_m2: doubles[CROSSED] }),
    restore(state) {
      temperature.set(state.temperature);
      memory.set(state.memory);
      doubles[CROSSED] = state.crossed_J_m2;
    },
    gauge({ from, share, arm, armShare }: GaugeWeights): Gauge {
      [share, armShare, arm].forEach((weights, i) => row(GAUGE_ROW + i, ROWS + ROUNDING).set(weights));
      gaugedFrom = from;
      gauged = share.length;
      return { told: doubles.subarray(GAUGE, GAUGE + GAUGE_SIZE), findPull: () => room.pull(n, from, share.length) };
    },
    release() {
      rooms.giveBack(room);
    },
  };
}
