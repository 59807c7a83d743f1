/** The steps of ./plainBalance, compiled from assembly/balance.ts. A memory of its own holds one balance while it is solved, laid out as said there. */
import { type Rooms, compiledRooms } from '../numerics/compiledRooms';
import { BALANCE_WASM } from './balance.wasm';
import type { AskedBalance, Prepared, Stepped } from './plainBalance';

interface Balancing {
  solve(count: number, deep: boolean, left: number): number;
}

const OVER = 0;
const WANTED = 1;
const ROWS = 2;
/** Diagonal, six of what passes, inverse, source, θ; then four that only it reads. */
const READ_ROWS = 10;
const OWN_ROWS = 4;
/** Of places, two in a double; along x the next is the next. */
const PLACE_ROWS = 4;
const BYTES = 8;

const rooms: Rooms<Balancing> = compiledRooms<Balancing>(BALANCE_WASM);

/** Null where there is no WebAssembly. */
export function compiledBalance({ diagonal, beside, inverse }: Prepared, { source, guess, left }: AskedBalance): Stepped | null {
  const count = diagonal.length;
  const row = count + 1;
  const asDoubles = ROWS + (READ_ROWS + OWN_ROWS) * row;
  const room = rooms.take(asDoubles + (PLACE_ROWS / 2) * row);
  if (room === null) return null;
  const { doubles } = room;
  // y last: of sections and rounds nothing passes along it.
  const [x, y, z] = beside;
  // What stands after the last cell of each row is none.
  doubles.fill(0, 0, asDoubles);
  const rows = [diagonal, ...[x, z, y].flatMap(({ toUp, toDown }) => [toUp, toDown]), inverse, source, ...(guess ? [guess] : [])];
  rows.forEach((values, i) => doubles.set(values, ROWS + i * row));
  const places = new Uint32Array(doubles.buffer, asDoubles * BYTES, PLACE_ROWS * row);
  [z, y]
    .flatMap(({ up, down }) => [up, down])
    .forEach((cells, i) => {
      const at = i * row;
      for (let cell = 0; cell < count; cell += 1) places[at + cell] = cells[cell] * BYTES;
      places[at + count] = count * BYTES;
    });
  const iterations = room.solve(
    count,
    y.toUp.some((passes) => passes > 0),
    left,
  );
  const theta = ROWS + (READ_ROWS - 1) * row;
  const stepped = { theta_K: doubles.slice(theta, theta + count), iterations, over: doubles[OVER], wanted: doubles[WANTED] };
  rooms.giveBack(room);
  return stepped;
}
