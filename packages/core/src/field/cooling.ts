/**
 * What a body of changing depth does while it cools steadily: how far its places are apart, and how far its inside stands above the
 * plane that fits it best. ∇·(k∇θ) = −ρc·R, θ the lead over the kiln: while the kiln cools at R, everything follows at R. Both figures
 * go with R, so they are told for 1 K/s, in s.
 */
import { ProblemError } from '../problem';
import { type UnevenBody, deepestOf, latticeOf, widthOf } from './body';
import { type Balance, type Lattice, balanceOf } from './lattice';
import { type Solver, solverOf } from './solve';

export interface Spot {
  x_m: number;
  y_m: number;
  z_m: number;
}

/** How the places of glass stand to one another; in K for a field in K, in s for one of 1 K/s. */
export interface Apart {
  lead: number;
  spread: number;
  innerSpread: number;
  bulge: number;
  dip: number;
  hottest: Spot;
  coldest: Spot;
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
  /** By how much the coldest of the glass lies under that plane, s: its rim is pulled by it while brittle. */
  dip_s: number;
  /** Time in which what it differs by comes down to 1/e in a kiln that stands still, s: that of its slowest mode. */
  evens_s: number;
  /** From the middle of the least x, y and z that the body has, m. */
  hottest: Spot;
  coldest: Spot;
  /** Across its middle. */
  map: FieldMap;
  cells: number;
  iterations: number;
  /** What passes to the kiln, less what the body gives, as a share of it. */
  imbalance: number;
}

/** A lead drawn: at the middles of even rectangles, from the lowest row up and from the least x on. */
export interface FieldMap {
  /** What it shows: from the least x to the greatest, and from the lowest of the glass to its top, m. */
  width_m: number;
  height_m: number;
  columns: number;
  rows: number;
  /** For 1 K/s, s; null where there is no glass. */
  lead_s: (number | null)[];
}

/** A body in its cells, with how to solve its balance and what to tell of a field in it. */
export interface Field {
  balance: Balance;
  solve: Solver;
  apart(theta: Float64Array): Apart;
  map(theta: Float64Array): FieldMap;
}

/** Least squares of θ over 1 and the places along each axis, weighed by volume; what is left is told at each cell. */
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

const middle = (all: readonly number[], i: number): number => (all[i] + all[i + 1]) / 2;

/** Where the middle of a cell lies. */
function spotsOf({ shape, x_m, y_m, z_m }: Lattice, { place }: Balance): Spot[] {
  const [nx, ny] = [x_m.length - 1, y_m.length - 1];
  return Array.from(place, (at) => ({
    x_m: middle(x_m, at % nx),
    y_m: shape === 'box' ? middle(y_m, Math.floor(at / nx) % ny) : 0,
    z_m: middle(z_m, Math.floor(at / (nx * ny))),
  }));
}

export function fieldOf(body: UnevenBody): Field {
  const lattice = latticeOf(body);
  const balance = balanceOf(lattice);
  const spotOf = spotsOf(lattice, balance);
  const isGlass = (i: number): boolean => lattice.cells[balance.place[i]]?.isGlass === true;
  const glass = [...balance.place.keys()].filter(isGlass);
  const weights = glass.map((i) => balance.volume[i]);
  const spots = glass.map((i) => spotOf[i]);
  const faces = balance.open.filter(({ cell }) => isGlass(cell));
  // Where it is mirrored no slope can be.
  const axes: (keyof Spot)[] = body.shape === 'section' && !body.mirrored ? ['x_m', 'z_m'] : ['z_m'];
  const rim_m = deepestOf(body);
  const foot_m = (body.under ?? []).reduce((sum, { thickness_m }) => sum + thickness_m, 0);
  const width_m = widthOf(body);
  const isInner = ({ x_m: x, y_m: y }: Spot): boolean =>
    (body.mirrored || (x < width_m - rim_m && (body.shape !== 'section' || x > rim_m))) && (body.shape !== 'box' || y < (body.length_m ?? 0) / 2 - rim_m);
  return {
    balance,
    solve: solverOf(balance),
    map: (theta) => mapOf(lattice, balance, theta, { width_m, from_m: foot_m, to_m: foot_m + rim_m }),
    apart(theta) {
      const inside = glass.map((i) => theta[i]);
      const above = aboveItsPlane(inside, weights, spots, axes);
      // The middles of the cells, and their faces that are open to the kiln.
      const points = [
        ...inside.map((value, i) => ({ value, at: spots[i] })),
        ...faces.map(({ cell, share }) => ({ value: share * theta[cell], at: spotOf[cell] })),
      ];
      const inner = points.filter(({ at }) => isInner(at));
      const most = (of: typeof points): (typeof points)[number] => of.reduce((one, other) => (other.value > one.value ? other : one));
      const least = (of: typeof points): (typeof points)[number] => of.reduce((one, other) => (other.value < one.value ? other : one));
      const spread = (of: typeof points): number => most(of).value - least(of).value;
      return {
        lead: most(points).value,
        spread: spread(points),
        innerSpread: spread(inner.length > 0 ? inner : points),
        bulge: above.reduce((greatest, value) => Math.max(greatest, value), 0),
        dip: above.reduce((greatest, value) => Math.max(greatest, -value), 0),
        hottest: most(points).at,
        coldest: least(points).at,
      };
    },
  };
}

const MAP = { columns: 48, rows: 20 } as const;

/** A field between two heights and over the width of its glass, in even rectangles. */
function mapOf(
  { x_m, y_m, z_m, cells }: Lattice,
  { place }: Balance,
  theta: Float64Array,
  { width_m, from_m, to_m }: Record<'width_m' | 'from_m' | 'to_m', number>,
): FieldMap {
  const { columns, rows } = MAP;
  const [nx, ny] = [x_m.length - 1, y_m.length - 1];
  const at = new Map(Array.from(place, (cell, i) => [cell, i]));
  const within = (all: readonly number[], here: number): number => all.findIndex((border) => border > here) - 1;
  const lead_s = Array.from({ length: columns * rows }, (_, i) => {
    const column = within(x_m, ((i % columns) + 0.5) * (width_m / columns));
    const row = within(z_m, from_m + (Math.floor(i / columns) + 0.5) * ((to_m - from_m) / rows));
    const cell = column + nx * ny * row;
    const solved = cells[cell]?.isGlass ? at.get(cell) : undefined;
    return solved === undefined ? null : theta[solved];
  });
  return { width_m, height_m: to_m - from_m, columns, rows, lead_s };
}

/** A slowest mode is found once it changes by less than this in a round, as a share. */
const MODE_SETTLES = 1e-3;
const MODE_ROUNDS = 12;
/** Left of each of its balances: it is wanted to a thousandth. */
const MODE_LEFT = 1e-5;

/** Time constant of the slowest mode, s, by inverse iteration from a field that is near it. */
function slowestMode({ balance: { capacity }, solve }: Field, start: Float64Array): number {
  const heat = (of: Float64Array): number => of.reduce((sum, value, i) => sum + capacity[i] * value * value, 0);
  let mode = start;
  let evens_s = 0;
  for (let round = 0; round < MODE_ROUNDS; round += 1) {
    const by = 1 / Math.sqrt(heat(mode));
    const unit = mode.map((value) => value * by);
    const guess = evens_s > 0 ? unit.map((value) => value * evens_s) : undefined;
    const solved = solve(
      unit.map((value, i) => value * capacity[i]),
      guess,
      MODE_LEFT,
    );
    if (!solved) break;
    mode = solved.theta_K;
    const now_s = Math.sqrt(heat(mode));
    if (Math.abs(now_s / evens_s - 1) < MODE_SETTLES) return now_s;
    evens_s = now_s;
  }
  return evens_s;
}

/** A field, its lead for 1 K/s, and what is told of that. */
function steady(body: UnevenBody) {
  const field = fieldOf(body);
  const solved = field.solve(field.balance.capacity);
  if (!solved) throw new ProblemError({ code: 'impossible', path: 'exchange_W_m2K', message: 'It would never cool: no face is open to the kiln. Open one.' });
  return { field, solved, apart: field.apart(solved.theta_K) };
}

/** How far a body stands out from its plane, over and under it, s. */
export const standsOut = (body: UnevenBody): Pick<Apart, 'bulge' | 'dip'> => steady(body).apart;

export function steadyCooling(body: UnevenBody): SteadyCooling {
  const { field, solved, apart } = steady(body);
  const { balance } = field;
  const { lead, spread, innerSpread, bulge, dip, hottest, coldest } = apart;
  const given = balance.capacity.reduce((sum, value) => sum + value, 0);
  const passed = balance.toKiln.reduce((sum, to, i) => sum + to * solved.theta_K[i], 0);
  return {
    ...{ lead_s: lead, spread_s: spread, innerSpread_s: innerSpread, bulge_s: bulge, dip_s: dip, hottest, coldest },
    evens_s: slowestMode(field, solved.theta_K),
    map: field.map(solved.theta_K),
    cells: balance.place.length,
    iterations: solved.iterations,
    imbalance: Math.abs(passed / given - 1),
  };
}
