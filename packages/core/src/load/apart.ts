/** What a load would take without one of its bodies, and in two: reckoned from what each has by itself, with nothing simulated. */
import { efold } from '../flow/heatWork';
import { type KilnConstants, settledCooling, steadyHeating } from '../kiln/kiln';
import type { Segment } from '../kiln/segment';
import type { ResolvedFiring } from '../schedule/resolvedFiring';
import { type Rows, SHARED_FROM, merged } from './merge';

/** Which entries go into which of two loads, in their order, and about how long both take one after the other, s. */
export interface Split {
  first: number[];
  second: number[];
  total_s: number;
}

/** Ways are followed in so many parts. */
const PARTS = 24;

/** About how long a kiln takes for a schedule, s: each part of a way at what is asked, or at what the kiln gives. */
export function about_s(kiln: KilnConstants, segments: readonly Segment[]): number {
  let from_C = kiln.ambient_C;
  let total = 0;
  for (const { rate_C_per_h, target_C, hold_s } of segments) {
    const way = target_C - from_C;
    for (let part = 0; part < PARTS; part += 1) {
      const at_C = from_C + ((part + 0.5) / PARTS) * way;
      const best = way > 0 ? steadyHeating(kiln, at_C) : settledCooling(kiln, at_C);
      total += Math.abs(way) / PARTS / Math.max(Math.min(best, rate_C_per_h === null ? Infinity : rate_C_per_h / 3600), 1e-6);
    }
    total += hold_s;
    from_C = target_C;
  }
  return total;
}

const together_s = (kiln: KilnConstants, rows: readonly Rows[]): number => (rows.length === 0 ? 0 : about_s(kiln, merged(rows)));

/** Of each, about how much sooner the others could be opened, s; total_s: what all of them take. */
export function withoutEach_s(kiln: KilnConstants, rows: readonly Rows[], total_s: number): number[] {
  const all = together_s(kiln, rows);
  return rows.map((_, i) => {
    const rest = rows.filter((_one, at) => at !== i);
    return rest.length === 0 ? total_s : Math.max(0, (total_s * (all - together_s(kiln, rest))) / all);
  });
}

interface Asked {
  rows: Rows;
  /** The heat work that is right for it, over what it gets in the load of all. */
  window: { least: number; most: number };
  /** Hottest that what it lies on bears, °C. */
  bears_C: number;
}

/** One load takes as long as all of its bodies ask for; two are offered from this share of it on. */
const SHORTER_FROM = 0.98;

/** Whether one heat can be right for all of them. */
function canShare({ viscosity }: Pick<ResolvedFiring, 'viscosity'>, some: readonly Asked[]): boolean {
  const least = Math.max(...some.map(({ window }) => window.least));
  const most = Math.min(...some.map(({ window }) => window.most));
  if (most < SHARED_FROM * least) return false;
  const own_C = (rows: Rows): number => Math.max(...rows.map(({ target_C }) => target_C));
  // Hotter by what the most needy asks for beyond the coolest of them.
  return some.every(
    ({ rows, window, bears_C }) => own_C(rows) + efold(viscosity, own_C(rows)) * Math.log(Math.max(least / window.least, 1e-6)) <= bears_C + BEARS_ABOUT_K,
  );
}
/** Rounding of a target, K. */
const BEARS_ABOUT_K = 10;

/** The best of two loads: everything above and everything below some place in the order of heat, of pace and of time. */
export function splitOf(firing: ResolvedFiring, all: readonly Asked[], total_s: number, fits: boolean): Split | null {
  const { kiln } = firing;
  const alone_s = all.map(({ rows }) => about_s(kiln, rows));
  const cools = all.map(({ rows }) => rows.find(({ role }) => role === 'firstCool')?.rate_C_per_h ?? Infinity);
  const orders = [all.map(({ window }) => window.least), cools, alone_s].map((key) => [...all.keys()].sort((a, b) => key[a] - key[b] || a - b));
  const rowsOf = (some: readonly number[]): Rows[] => some.map((i) => all[i].rows);
  let best: Split | null = null;
  const whole = together_s(kiln, rowsOf([...all.keys()]));
  for (const order of orders) {
    for (let cut = 1; cut < order.length; cut += 1) {
      const [first, second] = [order.slice(0, cut), order.slice(cut)].map((some) => [...some].sort((a, b) => a - b));
      if (
        ![first, second].every((some) =>
          canShare(
            firing,
            some.map((i) => all[i]),
          ),
        )
      )
        continue;
      const sum = together_s(kiln, rowsOf(first)) + together_s(kiln, rowsOf(second));
      if (best === null || sum < best.total_s) best = { first, second, total_s: sum };
    }
  }
  if (best === null) return null;
  // Told by the same measure as the load of all.
  const told = fits ? { ...best, total_s: (best.total_s * total_s) / whole } : best;
  return !fits || told.total_s < SHORTER_FROM * total_s ? told : null;
}
