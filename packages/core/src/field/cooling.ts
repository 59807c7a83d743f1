/**
 * What a body of changing depth does while it cools steadily: how far its places are apart, and how far its inside stands above the
 * plane that fits it best. ∇·(k∇θ) = −ρc·R, θ the lead over the kiln: while the kiln cools at R, everything follows at R. Both figures
 * go with R, so they are told for 1 K/s, in s.
 */
import { ProblemError } from '../problem';
import { type CellOf, type Exchanges, type Lattice, type LatticeShape, balanceOf } from './lattice';
import { solveBalance } from './solve';

export interface Matter {
  conductivity_W_mK: number;
  density_kg_m3: number;
  heatCapacity_J_kgK: number;
}

export interface UnevenBody {
  /** section: across a long body; round: from the axis outwards; box: half of it, mirrored, and as long as length_m. */
  shape: LatticeShape;
  /** From one side to the other of a section; else from the middle outwards. */
  parts: readonly { width_m: number; depth_m: number }[];
  /** Of a box, the whole of its other side, m. */
  length_m?: number;
  /** Where its parts are level: laid on a shelf at the bottom, cast in a mould at the top. */
  level: 'top' | 'bottom';
  glass: Matter;
  /** What lies under the glass, under the shallow parts of a casting too; beside: round it as well. */
  wall?: Matter & { thickness_m: number; beside: boolean };
  exchange_W_m2K: Exchanges;
  /** Cells on the thinnest measure, before the whole is held to CELLS_AT_MOST; left out, as many as usual. */
  fineness?: number;
}

export interface Spot {
  x_m: number;
  y_m: number;
  z_m: number;
}

export interface SteadyCooling {
  /** The hottest of the glass over the kiln, s. */
  lead_s: number;
  /** Hottest less coldest of the glass, s: times a rate in K/s it is K. */
  spread_s: number;
  /** The same without a rim as wide as the body is deep; all of it where nothing is left then. */
  innerSpread_s: number;
  /** Greatest lead over the plane fitted through all of the glass, s: what stays as tension goes by it. */
  bulge_s: number;
  /** From the middle of the least x, y and z that the body has, m. */
  hottest: Spot;
  coldest: Spot;
  cells: number;
  iterations: number;
  /** What passes to the kiln, less what the body gives, as a share of it. */
  imbalance: number;
}

const USUAL_FINENESS = 10;
export const CELLS_AT_MOST = 20_000;

/** Into how many cells a stretch goes, none longer than size_m. */
const cellsOn = (from: number, to: number, size_m: number): number => Math.max(1, Math.ceil((to - from) / size_m - 1e-9));

/** Given places once each, ascending. */
const inOrder = (places: readonly number[]): number[] => [...new Set(places.map((place) => Number(place.toPrecision(12))))].sort((a, b) => a - b);

const countOn = (places: readonly number[], size_m: number): number => places.slice(1).reduce((sum, to, i) => sum + cellsOn(places[i], to, size_m), 0);

/** Borders through every given place, no two farther apart than size_m. */
const borders = (places: readonly number[], size_m: number): number[] => [
  places[0],
  ...places.slice(1).flatMap((to, at) => {
    const from = places[at];
    const count = cellsOn(from, to, size_m);
    return Array.from({ length: count }, (_, i) => (i + 1 === count ? to : from + ((to - from) * (i + 1)) / count));
  }),
];

const ONE_M = [0, 1] as const;

interface Outline {
  under: number;
  deepest: number;
  /** Of the parts, from 0. */
  edges: readonly number[];
  x_m: readonly number[];
  y_m: readonly number[];
  z_m: readonly number[];
}

/** The places through which borders must go. */
function placesOf({ shape, parts, level, wall, length_m = 0 }: UnevenBody): Outline {
  const deepest = Math.max(...parts.map(({ depth_m }) => depth_m));
  const under = wall?.thickness_m ?? 0;
  const beside = wall?.beside ? wall.thickness_m : 0;
  const edges = parts.reduce<number[]>((all, { width_m }) => [...all, all[all.length - 1] + width_m], [0]);
  const heights = parts.map(({ depth_m }) => (level === 'bottom' ? under + depth_m : under + deepest - depth_m));
  return {
    ...{ under, deepest, edges },
    x_m: inOrder([shape === 'section' ? -beside : 0, ...edges, edges[edges.length - 1] + beside]),
    y_m: shape === 'box' ? inOrder([0, length_m / 2, length_m / 2 + beside]) : ONE_M,
    z_m: inOrder([0, under, ...heights, under + deepest]),
  };
}

/** Where there would be too many cells, they are longer than high first: depth is what counts in thin work. */
const LONGER_AT_MOST = 40;
const COARSER_BY = 1.05;

/** As fine as asked, or as fine as CELLS_AT_MOST allow. */
function outlineOf(body: UnevenBody): Outline {
  const thinnest = Math.min(...body.parts.flatMap(({ width_m, depth_m }) => [width_m, depth_m]), body.length_m ?? Infinity);
  const places = placesOf(body);
  const { x_m, y_m, z_m } = places;
  const isBox = body.shape === 'box';
  let high_m = thinnest / (body.fineness ?? USUAL_FINENESS);
  let longer = 1;
  const count = (): number => countOn(x_m, high_m * longer) * (isBox ? countOn(y_m, high_m * longer) : 1) * countOn(z_m, high_m);
  while (count() > CELLS_AT_MOST) {
    if (longer < LONGER_AT_MOST) longer *= COARSER_BY;
    else high_m *= COARSER_BY;
  }
  const long_m = high_m * longer;
  return { ...places, x_m: borders(x_m, long_m), y_m: isBox ? borders(y_m, long_m) : y_m, z_m: borders(z_m, high_m) };
}

function latticeOf(body: UnevenBody): Lattice {
  const { shape, parts, level, wall, exchange_W_m2K: exchange, glass } = body;
  const { under, deepest, edges, x_m, y_m, z_m } = outlineOf(body);
  const half = (body.length_m ?? 0) / 2;
  const of = (matter: Matter, isGlass: boolean): CellOf => ({
    ...{ conductivity_W_mK: matter.conductivity_W_mK, capacity_J_m3K: matter.density_kg_m3 * matter.heatCapacity_J_kgK, isGlass },
  });
  const [inGlass, inWall] = [of(glass, true), wall ? of(wall, false) : null];
  const middle = (all: readonly number[], i: number): number => (all[i] + all[i + 1]) / 2;
  const cells: (CellOf | null)[] = [];
  for (let k = 0; k + 1 < z_m.length; k += 1) {
    const z = middle(z_m, k);
    for (let j = 0; j + 1 < y_m.length; j += 1) {
      const isOutY = shape === 'box' && middle(y_m, j) > half;
      for (let i = 0; i + 1 < x_m.length; i += 1) {
        const x = middle(x_m, i);
        const part = x < 0 || isOutY ? undefined : parts[edges.findIndex((edge) => edge > x) - 1];
        const foot = part && level === 'top' ? under + deepest - part.depth_m : under;
        const head = part && level === 'bottom' ? under + part.depth_m : under + deepest;
        if (part && z > foot && z < head) cells.push(inGlass);
        // Beside the glass a mould is as high as the glass is.
        else cells.push(z < foot || !part ? inWall : null);
      }
    }
  }
  return { shape, x_m, y_m, z_m, cells, openAtLeastX: shape === 'section', exchange };
}

/** Least squares of θ over 1 and the three places, weighed by volume; what is left is told at each cell. */
function aboveItsPlane(theta: readonly number[], weights: readonly number[], spots: readonly Spot[], axes: readonly (keyof Spot)[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = (of: readonly number[]): number => of.reduce((sum, value, i) => sum + weights[i] * value, 0) / total;
  const middle = mean(theta);
  const centred = axes.map((axis) => {
    const along = spots.map((spot) => spot[axis]);
    const at = mean(along);
    return along.map((value) => value - at);
  });
  // Normal equations of one or two slopes, by elimination; along one with a single row of cells there is none.
  const rows = centred.map((one) => [
    ...centred.map((other) => mean(one.map((value, i) => value * other[i]))),
    mean(one.map((value, i) => value * (theta[i] - middle))),
  ]);
  rows.forEach((row, i) => {
    for (const below of rows.slice(i + 1)) {
      const share = row[i] === 0 ? 0 : below[i] / row[i];
      for (let j = i; j < row.length; j += 1) below[j] -= share * row[j];
    }
  });
  const slopes = new Array<number>(rows.length).fill(0);
  for (let i = rows.length - 1; i >= 0; i -= 1) {
    const rest = rows[i].slice(i + 1, -1).reduce((sum, value, j) => sum + value * slopes[i + 1 + j], 0);
    slopes[i] = rows[i][i] === 0 ? 0 : (rows[i][rows.length] - rest) / rows[i][i];
  }
  return theta.map((value, i) => value - middle - slopes.reduce((sum, slope, axis) => sum + slope * centred[axis][i], 0));
}

export function steadyCooling(body: UnevenBody): SteadyCooling {
  const lattice = latticeOf(body);
  const balance = balanceOf(lattice);
  const solved = solveBalance(balance, balance.capacity);
  if (!solved) throw new ProblemError({ code: 'impossible', path: 'exchange_W_m2K', message: 'It would never cool: no face is open to the kiln. Open one.' });
  const { x_m, y_m, z_m, cells } = lattice;
  const [nx, ny] = [x_m.length - 1, y_m.length - 1];
  const middle = (all: readonly number[], i: number): number => (all[i] + all[i + 1]) / 2;
  const spotOf = (place: number): Spot => ({
    x_m: middle(x_m, place % nx),
    y_m: body.shape === 'box' ? middle(y_m, Math.floor(place / nx) % ny) : 0,
    z_m: middle(z_m, Math.floor(place / (nx * ny))),
  });
  const isGlass = (i: number): boolean => cells[balance.place[i]]?.isGlass === true;
  const glass = [...balance.place.keys()].filter(isGlass);
  const theta = glass.map((i) => solved.theta_K[i]);
  const weights = glass.map((i) => balance.volume[i]);
  const spots = glass.map((i) => spotOf(balance.place[i]));
  // Where it is mirrored no slope can be.
  const axes: (keyof Spot)[] = body.shape === 'section' ? ['x_m', 'z_m'] : ['z_m'];
  const above = aboveItsPlane(theta, weights, spots, axes);
  const deepest = Math.max(...body.parts.map(({ depth_m }) => depth_m));
  const width = body.parts.reduce((sum, { width_m }) => sum + width_m, 0);
  const isInner = ({ x_m: x, y_m: y }: Spot): boolean =>
    x < width - deepest && (body.shape !== 'section' || x > deepest) && (body.shape !== 'box' || y < (body.length_m ?? 0) / 2 - deepest);
  // The middles of the cells, and their faces that are open to the kiln.
  const faces = balance.open.flatMap(({ cell, share }) => (isGlass(cell) ? [{ value: share * solved.theta_K[cell], at: spotOf(balance.place[cell]) }] : []));
  const points = [...theta.map((value, i) => ({ value, at: spots[i] })), ...faces];
  const inner = points.filter(({ at }) => isInner(at));
  const most = (of: typeof points): (typeof points)[number] => of.reduce((one, other) => (other.value > one.value ? other : one));
  const least = (of: typeof points): (typeof points)[number] => of.reduce((one, other) => (other.value < one.value ? other : one));
  const spread = (of: typeof points): number => most(of).value - least(of).value;
  const given = balance.capacity.reduce((sum, value) => sum + value, 0);
  const passed = balance.toKiln.reduce((sum, to, i) => sum + to * solved.theta_K[i], 0);
  return {
    lead_s: most(points).value,
    spread_s: spread(points),
    innerSpread_s: spread(inner.length > 0 ? inner : points),
    bulge_s: above.reduce((greatest, value) => Math.max(greatest, value), 0),
    hottest: most(points).at,
    coldest: least(points).at,
    cells: balance.place.length,
    iterations: solved.iterations,
    imbalance: Math.abs(passed / given - 1),
  };
}
