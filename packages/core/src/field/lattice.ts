/**
 * A body in cells, for heat that flows to more than one side: a long body as its section, a round one by radius and height, a compact
 * one as a quarter. Finite volumes: each cell's balance is exact, whatever the cells are like.
 */

/** section: of a long body, m of its length 1; round: about an axis at x = 0; box: a quarter, mirrored at x = 0 and y = 0. */
export type LatticeShape = 'section' | 'round' | 'box';

/** Of a face that is open to the kiln, W/(m²·K); 'held': at the kiln's temperature. */
export type Exchange = number | 'held';

export interface Exchanges {
  top: Exchange;
  side: Exchange;
  bottom: Exchange;
}

/** What fills a cell; null: nothing. */
export interface CellOf {
  conductivity_W_mK: number;
  /** ρ·c, J/(m³·K). */
  capacity_J_m3K: number;
  isGlass: boolean;
}

export interface Lattice {
  shape: LatticeShape;
  /** Cell borders, ascending, m; y alone has two where the shape has no y. */
  x_m: readonly number[];
  y_m: readonly number[];
  z_m: readonly number[];
  /** By place x + nx·(y + ny·z). */
  cells: readonly (CellOf | null)[];
  /** The sides at the least and the greatest x are open; else the body is mirrored there. */
  openAtLeastX: boolean;
  openAtMostX: boolean;
  exchange: Exchanges;
}

/** The balance of every cell that holds something: A·θ = source, A symmetric and positive definite. */
export interface Balance {
  /** Cells in their order, each with its place in the lattice. */
  place: Int32Array;
  /** W/K to what surrounds the cell, neighbours and kiln. */
  diagonal: Float64Array;
  /** W/K to the next cell upwards in x, y and z; 0 where there is none. */
  next: readonly [Float64Array, Float64Array, Float64Array];
  /** That cell, -1 where there is none. */
  neighbour: readonly [Int32Array, Int32Array, Int32Array];
  /** W/K to the kiln. */
  toKiln: Float64Array;
  /** J/K. */
  capacity: Float64Array;
  /** m³; of a section per metre. */
  volume: Float64Array;
  /** Faces that are open to the kiln: of which cell, and what share of its lead over the kiln the face has. */
  open: readonly { cell: number; share: number }[];
}

interface Sizes {
  /** Face towards greater or lesser x (at border i), y and z, m²; volume, m³. */
  faceX(i: number, j: number, k: number): number;
  faceY(i: number, k: number): number;
  faceZ(i: number, j: number): number;
  volume(i: number, j: number, k: number): number;
}

function sizesOf({ shape, x_m, y_m, z_m }: Lattice): Sizes {
  const [dx, dy, dz] = [x_m, y_m, z_m].map((borders) => (i: number) => borders[i + 1] - borders[i]);
  // About an axis each face and volume is that of a whole turn.
  const ring = (i: number): number => Math.PI * (x_m[i + 1] ** 2 - x_m[i] ** 2);
  return shape === 'round'
    ? {
        faceX: (i, _, k) => 2 * Math.PI * x_m[i] * dz(k),
        faceY: () => 0,
        faceZ: (i) => ring(i),
        volume: (i, _, k) => ring(i) * dz(k),
      }
    : {
        faceX: (_, j, k) => dy(j) * dz(k),
        faceY: (i, k) => dx(i) * dz(k),
        faceZ: (i, j) => dx(i) * dy(j),
        volume: (i, j, k) => dx(i) * dy(j) * dz(k),
      };
}

/** Two halves of cells in line, then what is between them. */
const through = (area_m2: number, half_m: number, conductivity: number, rest: number): number => area_m2 / (half_m / conductivity + rest);
const resistanceOf = (exchange: Exchange): number => (exchange === 'held' ? 0 : exchange === 0 ? Infinity : 1 / exchange);

export function balanceOf(lattice: Lattice): Balance {
  const { x_m, y_m, z_m, cells, exchange, openAtLeastX, openAtMostX, shape } = lattice;
  const size = sizesOf(lattice);
  const [nx, ny, nz] = [x_m, y_m, z_m].map((borders) => borders.length - 1);
  const at = new Int32Array(cells.length).fill(-1);
  const places: number[] = [];
  cells.forEach((cell, place) => {
    if (!cell) return;
    at[place] = places.length;
    places.push(place);
  });
  const count = places.length;
  const arrays = (): Float64Array => new Float64Array(count);
  const next = [arrays(), arrays(), arrays()] as const;
  const neighbour = [new Int32Array(count).fill(-1), new Int32Array(count).fill(-1), new Int32Array(count).fill(-1)] as const;
  const [diagonal, toKiln, capacity, volume] = [arrays(), arrays(), arrays(), arrays()];
  const open: { cell: number; share: number }[] = [];
  const strides = [1, nx, nx * ny];
  const counts = [nx, ny, nz];
  places.forEach((place, here) => {
    const cell = cells[place] as CellOf;
    const of = [place % nx, Math.floor(place / nx) % ny, Math.floor(place / (nx * ny))];
    const [i, j, k] = of;
    volume[here] = size.volume(i, j, k);
    capacity[here] = volume[here] * cell.capacity_J_m3K;
    const borders = [x_m, y_m, z_m];
    for (const axis of [0, 1, 2]) {
      if (axis === 1 && shape !== 'box') continue;
      const half_m = (borders[axis][of[axis] + 1] - borders[axis][of[axis]]) / 2;
      for (const up of [false, true]) {
        const border = of[axis] + (up ? 1 : 0);
        const area_m2 = axis === 0 ? size.faceX(border, j, k) : axis === 1 ? size.faceY(i, k) : size.faceZ(i, j);
        const outside = up ? border === counts[axis] : border === 0;
        // Mirrored there, or about the axis: nothing passes.
        if (outside && axis !== 2 && !(axis === 0 ? (up ? openAtMostX : openAtLeastX) : up)) continue;
        const beside = outside ? null : cells[place + (up ? strides[axis] : -strides[axis])];
        if (!beside) {
          const rest = resistanceOf(axis === 2 ? (up ? exchange.top : exchange.bottom) : exchange.side);
          const to = through(area_m2, half_m, cell.conductivity_W_mK, rest);
          open.push({ cell: here, share: rest === Infinity ? 1 : rest / (half_m / cell.conductivity_W_mK + rest) });
          toKiln[here] += to;
          diagonal[here] += to;
          continue;
        }
        if (!up) continue;
        const other = at[place + strides[axis]];
        const otherHalf_m = (borders[axis][border + 1] - borders[axis][border]) / 2;
        const between = through(area_m2, half_m, cell.conductivity_W_mK, otherHalf_m / beside.conductivity_W_mK);
        next[axis][here] = between;
        neighbour[axis][here] = other;
        diagonal[here] += between;
        diagonal[other] += between;
      }
    }
  });
  return { place: Int32Array.from(places), diagonal, next, neighbour, toKiln, capacity, volume, open };
}
