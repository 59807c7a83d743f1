/**
 * Places outlines on the shelves of a kiln: each against what lies and stands there already, in several orders, turned or not; the arrangement
 * that leaves out least, and then needs the fewest shelves, is taken. What was moved by hand is held to the same ways; it is said by how much it is short of them.
 */
import { type Outline, type Placed, lyingOf } from './outline';
import {
  type Clearances,
  type Lying,
  type Room,
  type Stands,
  SHELF_DEEP_M,
  USUAL_CLEARANCES,
  gapBetween,
  gapToWall,
  lidFree_m,
  standingOn,
  wallFree_m,
} from '../kiln/inside';

export interface Arrangement {
  placed: Placed[];
  /** What found no room, in its order. */
  left: number[];
  /** How many shelves carry something. */
  shelves: number;
}

/** Rounding, m. */
const EXACT_M = 1e-9;
/** Places are kept to a thousandth of a millimetre. */
const ABOUT_M = 2e-6;
/** Places tried across a round kiln, beside those that touch what lies there. */
const GRID = 16;

/** shelves: how many there are at most, one over the other. fixed: what stays where it lies; of what is named twice or not sent, the first counts, and nothing. */
export function arranged(items: readonly Outline[], room: Room, shelves = 1, clear: Clearances = USUAL_CLEARANCES, fixed: readonly Placed[] = []): Arrangement {
  const stay = fixed.filter(({ item, shelf }, i) => item < items.length && shelf < shelves && fixed.findIndex((one) => one.item === item) === i);
  const keys: ((one: Outline) => number)[] = [
    ({ wide_m, long_m }) => wide_m * long_m,
    ({ wide_m, long_m }) => Math.max(wide_m, long_m),
    ({ wide_m, long_m }) => Math.min(wide_m, long_m),
    ({ high_m }) => high_m,
    ({ long_m }) => long_m,
  ];
  const sorted = keys.map((key) => byMost(items, key));
  const orders = [...sorted, ...shuffled(items.length)];
  let best: Arrangement | null = null;
  // One shelf has no posts on it, so fewer are tried before more.
  for (let many = Math.max(1, ...stay.map(({ shelf }) => shelf + 1)); many <= shelves; many += 1) {
    for (const order of orders) {
      for (const first of FIRST) {
        const one = inOrder(items, order, { room, shelves: many, clear, first }, stay);
        if (best === null || isBetter(items, one, best)) best = one;
        if (best.left.length === 0) return stay.length === 0 ? inTheMiddle(items, best, room, clear) : best;
      }
    }
  }
  return stay.length === 0 ? inTheMiddle(items, best!, room, clear) : best!;
}

/** All of a shelf moved to the middle of the kiln, where heat is most even: as one, across and along where that is free, else one of the two. */
function inTheMiddle(items: readonly Outline[], found: Arrangement, room: Room, clear: Clearances): Arrangement {
  let { placed } = found;
  const where = { room, clear, shelves: 1 + Math.max(0, ...placed.map(({ shelf }) => shelf)) };
  for (let shelf = 0; shelf < where.shelves; shelf += 1) {
    const here = placed.filter((one) => one.shelf === shelf).map((one) => lyingOf(one, items[one.item]));
    if (here.length === 0) continue;
    const middle = (at: (one: Lying) => number, half: (one: Lying) => number): number =>
      (Math.min(...here.map((one) => at(one) - half(one))) + Math.max(...here.map((one) => at(one) + half(one)))) / 2;
    const across_m =
      room.wide_m / 2 -
      middle(
        ({ x_m }) => x_m,
        ({ wide_m }) => wide_m / 2,
      );
    const along_m =
      room.long_m / 2 -
      middle(
        ({ y_m }) => y_m,
        ({ long_m }) => long_m / 2,
      );
    for (const [dx_m, dy_m] of [
      [across_m, along_m],
      [across_m, 0],
      [0, along_m],
    ]) {
      const moved = placed.map((one) => (one.shelf === shelf ? { ...one, x_m: rounded(one.x_m + dx_m), y_m: rounded(one.y_m + dy_m) } : one));
      if (clashesOf(items, moved, where).length > 0) continue;
      placed = moved;
      break;
    }
  }
  return { ...found, placed };
}

const rounded = (metres: number): number => Number(metres.toFixed(6));

/** A place on one shelf beside what lies there, which stays; null where there is none. */
export function placeBeside(items: readonly Outline[], item: number, placed: readonly Placed[], room: Room, clear: Clearances): Placed | null {
  return placeFor(items, item, placed, { room, shelves: 1, clear, first: 'front' });
}

/** Whether all find room on one shelf, the largest first: tried in few ways, so that some are said to find none that arranging does place. */
export function findRoom(items: readonly Outline[], room: Room, clear: Clearances): boolean {
  const order = byMost(items, ({ wide_m, long_m }) => wide_m * long_m);
  return FIRST.some((first) => inOrder(items, order, { room, shelves: 1, clear, first }, []).left.length === 0);
}

const byMost = (items: readonly Outline[], key: (one: Outline) => number): number[] => [...items.keys()].sort((a, b) => key(items[b]) - key(items[a]) || a - b);

/** Orders that follow no measure, always the same ones: of many pieces fewer, since each takes longer. */
const SHUFFLED_PLACES = 96;
function shuffled(count: number): number[][] {
  let state = 1;
  const next = (below: number): number => {
    state = (state * 48271) % 2147483647;
    return state % below;
  };
  return Array.from({ length: count > 2 ? Math.ceil(SHUFFLED_PLACES / count) : 0 }, () => {
    const order = [...Array(count).keys()];
    for (let i = count - 1; i > 0; i -= 1) {
      const j = next(i + 1);
      [order[i], order[j]] = [order[j], order[i]];
    }
    return order;
  });
}

interface On {
  room: Room;
  shelves: number;
  clear: Clearances;
  /** What is filled first: from the front to the back, or from the left to the right. */
  first: (typeof FIRST)[number];
}
const FIRST = ['front', 'left'] as const;

const areaOf = (items: readonly Outline[], some: readonly number[]): number => some.reduce((sum, i) => sum + items[i].wide_m * items[i].long_m, 0);

function isBetter(items: readonly Outline[], one: Arrangement, best: Arrangement): boolean {
  if (one.left.length !== best.left.length) return one.left.length < best.left.length;
  const [left, leastLeft] = [areaOf(items, one.left), areaOf(items, best.left)];
  if (Math.abs(left - leastLeft) > EXACT_M) return left < leastLeft;
  return one.shelves < best.shelves;
}

function inOrder(items: readonly Outline[], order: readonly number[], on: On, stay: readonly Placed[]): Arrangement {
  const placed = [...stay];
  const left: number[] = [];
  for (const item of order.filter((one) => stay.every((other) => other.item !== one))) {
    const place = placeFor(items, item, placed, on);
    if (place) placed.push(place);
    else left.push(item);
  }
  placed.sort((a, b) => a.item - b.item);
  return { placed, left: left.sort((a, b) => a - b), shelves: new Set(placed.map(({ shelf }) => shelf)).size };
}

function placeFor(items: readonly Outline[], item: number, placed: readonly Placed[], on: On): Placed | null {
  const one = items[item];
  for (let shelf = 0; shelf < on.shelves; shelf += 1) {
    if (heightShort_m(items, [...placed, { item, shelf }], on) > EXACT_M) continue;
    const kept = keptClear(items, placed, shelf, on);
    let best: (Placed & { reach_m: number; aside_m: number }) | null = null;
    for (const turned of one.isRound || one.wide_m === one.long_m ? [false] : [false, true]) {
      const turnedSo = lyingOf({ x_m: 0, y_m: 0, turned }, one);
      // Of one way round the first that is free reaches least far.
      const found = candidates(turnedSo, kept, on, { first: on.first }).find(([x_m, y_m]) => isFree({ ...turnedSo, x_m, y_m }, kept, on));
      if (!found) continue;
      const [x_m, y_m] = found;
      // How far it reaches: what lies at the front leaves room behind.
      const [reach_m, aside_m] = on.first === 'front' ? [y_m + turnedSo.long_m / 2, x_m] : [x_m + turnedSo.wide_m / 2, y_m];
      if (best && (reach_m > best.reach_m + EXACT_M || (reach_m > best.reach_m - EXACT_M && aside_m >= best.aside_m))) continue;
      best = { item, shelf, x_m, y_m, turned, reach_m, aside_m };
    }
    if (best) {
      const { reach_m: _reach, aside_m: _aside, ...place } = best;
      return place;
    }
  }
  return null;
}

/** What is kept clear of on a shelf: what lies on it, posts, the thermocouple. item: whose it is; null for what stands there. */
interface Kept extends Lying {
  clear_m: number;
  item: number | null;
  what: Stands['what'] | null;
}

type Where = Pick<On, 'room' | 'shelves' | 'clear'>;

const keptClear = (items: readonly Outline[], placed: readonly Placed[], shelf: number, { room, shelves, clear }: Where): Kept[] => [
  ...placed
    .filter((other) => other.shelf === shelf)
    .map((other) => ({ ...lyingOf(other, items[other.item]), clear_m: clear.between_m, item: other.item, what: null })),
  ...standingOn(room, clear, shelf < shelves - 1).map((one) => ({ ...one, item: null })),
];

const isFree = (lies: Lying, kept: readonly Kept[], { room, clear }: Where): boolean =>
  gapToWall(lies, room) >= wallFree_m(room, clear) - ABOUT_M && kept.every((other) => gapBetween(lies, other) >= other.clear_m - ABOUT_M);

/** All shelves with what stands on them go into the kiln, one over the other: what is missing for that, m. */
function heightShort_m(items: readonly Outline[], placed: readonly Pick<Placed, 'item' | 'shelf'>[], { room, clear }: Where): number {
  if (room.high_m === null) return 0;
  const highest = new Map<number, number>();
  for (const { item, shelf } of placed) highest.set(shelf, Math.max(highest.get(shelf) ?? 0, items[item].high_m));
  const top = Math.max(...highest.keys());
  const needs_m = [...highest].reduce((sum, [shelf, high_m]) => sum + high_m + (shelf === top ? lidFree_m(room, clear) : clear.over_m) + SHELF_DEEP_M, 0);
  return needs_m - room.high_m;
}

/** Middles at which it touches walls and what lies there, with what has to be free between; in a round kiln a grid besides. near: beside those in line with it. first: in this order, of the front or the left side. */
function candidates(
  { wide_m, long_m }: Lying,
  kept: readonly Kept[],
  { room, clear }: Where,
  { near, first = 'left' }: { near?: { x_m: number; y_m: number }; first?: On['first'] },
): [number, number][] {
  const wall_m = wallFree_m(room, clear);
  const across = [wall_m + wide_m / 2, room.wide_m - wall_m - wide_m / 2, ...(near ? [near.x_m] : [])];
  const along = [wall_m + long_m / 2, room.long_m - wall_m - long_m / 2, ...(near ? [near.y_m] : [])];
  for (const other of kept) {
    const [aside, behind] = [(other.wide_m + wide_m) / 2 + other.clear_m, (other.long_m + long_m) / 2 + other.clear_m];
    across.push(other.x_m + aside, other.x_m - aside);
    along.push(other.y_m + behind, other.y_m - behind);
  }
  const [xs, ys] = [across, along].map((all) => [...new Set(all.map(rounded))].sort((a, b) => a - b));
  const inside = (metres: number, of_m: number, room_m: number): boolean =>
    metres >= of_m / 2 + wall_m - ABOUT_M && metres <= room_m - of_m / 2 - wall_m + ABOUT_M;
  const [free, back] = [xs.filter((x) => inside(x, wide_m, room.wide_m)), ys.filter((y) => inside(y, long_m, room.long_m))];
  const front = first === 'front';
  const touching = front ? back.flatMap((y) => free.map((x): [number, number] => [x, y])) : free.flatMap((x) => back.map((y): [number, number] => [x, y]));
  if (!room.isRound) return touching;
  const grid = Array.from({ length: GRID - 1 }, (_, i) => (i + 1) / GRID);
  const [main, aside] = front ? [1, 0] : [0, 1];
  return [...touching, ...grid.flatMap((x) => grid.map((y): [number, number] => [x * room.wide_m, y * room.long_m]))].sort(
    (a, b) => a[main] - b[main] || a[aside] - b[aside],
  );
}

/** What one is too near to: another, by its item, or what it is. short_m: what is missing of the way that has to be free. */
export interface Clash {
  item: number;
  with: number | 'wall' | 'elements' | Stands['what'] | 'height';
  short_m: number;
}

/** Where an arrangement by hand is short of what has to be free, each pair once. */
export function clashesOf(items: readonly Outline[], placed: readonly Placed[], where: Where): Clash[] {
  const { room, clear } = where;
  const wall_m = wallFree_m(room, clear);
  const short: Clash[] = placed.flatMap((one): Clash[] => {
    const lies = lyingOf(one, items[one.item]);
    const kept = keptClear(items, placed, one.shelf, where).filter(({ item }) => item === null || item > one.item);
    return [
      { item: one.item, with: wall_m > clear.wall_m ? ('elements' as const) : ('wall' as const), short_m: wall_m - gapToWall(lies, room) },
      ...kept.map((other) => ({ item: one.item, with: other.item ?? other.what!, short_m: other.clear_m - gapBetween(lies, other) })),
    ];
  });
  const high_m = placed.length === 0 ? 0 : heightShort_m(items, placed, where);
  const tallest = placed.reduce<Placed | null>((most, one) => (most && items[most.item].high_m >= items[one.item].high_m ? most : one), null);
  return [...short, ...(tallest ? [{ item: tallest.item, with: 'height' as const, short_m: high_m }] : [])].filter(({ short_m }) => short_m > ABOUT_M);
}

/** The nearest place that is free for it, no further than that away and on the same shelf; itself where it is free, null where there is none. */
export function freeNear(items: readonly Outline[], moved: Placed, placed: readonly Placed[], where: Where, within_m: number): Placed | null {
  const kept = keptClear(
    items,
    placed.filter(({ item }) => item !== moved.item),
    moved.shelf,
    where,
  );
  const lies = lyingOf(moved, items[moved.item]);
  if (isFree(lies, kept, where)) return moved;
  let best: { x_m: number; y_m: number; far_m: number } | null = null;
  for (const [x_m, y_m] of candidates(lies, kept, where, { near: moved })) {
    const far_m = Math.hypot(x_m - moved.x_m, y_m - moved.y_m);
    if (far_m > within_m || (best && far_m >= best.far_m) || !isFree({ ...lies, x_m, y_m }, kept, where)) continue;
    best = { x_m, y_m, far_m };
  }
  return best && { ...moved, x_m: best.x_m, y_m: best.y_m };
}
