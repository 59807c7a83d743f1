/**
 * Places outlines on the shelves of a kiln: each against what lies there already, in several orders, turned or not; the arrangement that
 * leaves out least, and then needs the fewest shelves, is taken. Lengths in m from the left and the front wall of the kiln, to the middle of each.
 */
import { type Footprint, footprintNarrow, footprintSpan, sidesOf } from '../body/footprint';
import { bodyFigures } from '../body/body';
import { roomOfForm } from '../form/shape';
import type { KilnConstants } from '../kiln/kiln';
import type { Evaluation } from '../schedule/reading';
import type { FiringCase } from '../schedule/firingCase';
import { glassAfter } from '../schedule/inTime';
import { standingHeight } from '../schedule/possible';

/** What has to be free, m. */
export interface Clearances {
  /** Between two pieces. */
  between_m: number;
  /** From the walls, where the elements of many kilns are. */
  wall_m: number;
  /** Over a piece, under the next shelf or the lid. */
  over_m: number;
}

/** Usual; kilns with elements in their walls take more, and their makers say how much. */
export const USUAL_CLEARANCES: Clearances = { between_m: 0.012, wall_m: 0.025, over_m: 0.05 };

/** A shelf with its posts takes so much of the height, m. */
export const SHELF_DEEP_M = 0.016;

export interface Outline {
  wide_m: number;
  long_m: number;
  /** A circle as wide as that. */
  isRound: boolean;
  high_m: number;
}

export interface Room {
  wide_m: number;
  long_m: number;
  isRound: boolean;
  /** Not judged where nobody knows. */
  high_m: number | null;
}

export interface Placed {
  /** Its place in what was sent. */
  item: number;
  /** From the lowest, 0. */
  shelf: number;
  x_m: number;
  y_m: number;
  /** A quarter turn: its width lies along. */
  turned: boolean;
}

export interface Arrangement {
  placed: Placed[];
  /** What found no room, in its order. */
  left: number[];
  /** How many shelves carry something. */
  shelves: number;
}

/** The inside of a kiln; null where it is not known. */
export function roomOf({ insideWidth_m, insideLength_m, insideDiameter_m, insideHeight_m = Infinity }: KilnConstants): Room | null {
  const high_m = insideHeight_m === Infinity ? null : insideHeight_m;
  if (insideDiameter_m !== undefined) return { wide_m: insideDiameter_m, long_m: insideDiameter_m, isRound: true, high_m };
  return insideWidth_m === undefined || insideLength_m === undefined ? null : { wide_m: insideWidth_m, long_m: insideLength_m, isRound: false, high_m };
}

const isCircle = ({ shape }: Footprint): boolean => shape === 'disc' || shape === 'ring';

/** What a piece takes of a shelf: the wider of itself before and after its firing, and of the form that it is in or on. */
export function outlineOf(firing: FiringCase, work_perPa: Evaluation['work_perPa']): Outline {
  const { footprint } = firing.body;
  const form = firing.setup.form && roomOfForm(firing.setup.form);
  const after = glassAfter(firing, work_perPa.mean);
  // It spreads by as much on each side.
  const grows_m = after ? Math.max(0, after.shape.width_m - footprintNarrow(footprint)) : 0;
  const [narrow_m, far_m] = isCircle(footprint) ? [footprintSpan(footprint), footprintSpan(footprint)] : sidesOf(footprint);
  return {
    wide_m: Math.max(narrow_m + grows_m, form?.narrow_m ?? 0),
    long_m: Math.max(far_m + grows_m, form?.far_m ?? 0),
    isRound: isCircle(footprint) && (form === undefined || form.narrow_m === form.far_m),
    high_m: Math.max(standingHeight(firing), bodyFigures(firing.body).depth.max_m),
  };
}

type Lying = Pick<Placed, 'x_m' | 'y_m'> & Pick<Outline, 'wide_m' | 'long_m' | 'isRound'>;

/** Free way between two, m; negative where they lie over one another. */
export function gapBetween(one: Lying, other: Lying): number {
  if (one.isRound && other.isRound) return Math.hypot(one.x_m - other.x_m, one.y_m - other.y_m) - (one.wide_m + other.wide_m) / 2;
  const aside = Math.abs(one.x_m - other.x_m) - (one.wide_m + other.wide_m) / 2;
  const along = Math.abs(one.y_m - other.y_m) - (one.long_m + other.long_m) / 2;
  return aside > 0 && along > 0 ? Math.hypot(aside, along) : Math.max(aside, along);
}

/** Free way to the nearest wall, m; negative where it goes into one. */
export function gapToWall({ x_m, y_m, wide_m, long_m, isRound }: Lying, room: Room): number {
  if (!room.isRound) return Math.min(x_m - wide_m / 2, room.wide_m - x_m - wide_m / 2, y_m - long_m / 2, room.long_m - y_m - long_m / 2);
  const [aside, along] = [Math.abs(x_m - room.wide_m / 2), Math.abs(y_m - room.long_m / 2)];
  return room.wide_m / 2 - (isRound ? Math.hypot(aside, along) + wide_m / 2 : Math.hypot(aside + wide_m / 2, along + long_m / 2));
}

/** Rounding, m. */
const EXACT_M = 1e-9;
/** Places are told to a thousandth of a millimetre. */
const ABOUT_M = 2e-6;
/** Places tried across a round kiln, beside those that touch what lies there. */
const GRID = 16;

export const lyingOf = ({ x_m, y_m, turned }: Pick<Placed, 'x_m' | 'y_m' | 'turned'>, { wide_m, long_m, isRound }: Outline): Lying => ({
  ...{ x_m, y_m, isRound },
  ...(turned ? { wide_m: long_m, long_m: wide_m } : { wide_m, long_m }),
});

/** shelves: how many there are at most, one over the other. */
export function arranged(items: readonly Outline[], room: Room, shelves = 1, clear: Clearances = USUAL_CLEARANCES): Arrangement {
  const keys: ((one: Outline) => number)[] = [
    ({ wide_m, long_m }) => wide_m * long_m,
    ({ wide_m, long_m }) => Math.max(wide_m, long_m),
    ({ wide_m, long_m }) => Math.min(wide_m, long_m),
    ({ high_m }) => high_m,
    ({ long_m }) => long_m,
  ];
  const sorted = keys.map((key) => [...items.keys()].sort((a, b) => key(items[b]) - key(items[a]) || a - b));
  let best: Arrangement | null = null;
  for (const order of [...sorted, ...shuffled(items.length)]) {
    for (const first of ['front', 'left'] as const) {
      const one = inOrder(items, order, { room, shelves, clear, first });
      if (best === null || isBetter(items, one, best)) best = one;
      if (best.left.length === 0 && best.shelves <= 1) return best;
    }
  }
  return best!;
}

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
  first: 'front' | 'left';
}

const areaOf = (items: readonly Outline[], some: readonly number[]): number => some.reduce((sum, i) => sum + items[i].wide_m * items[i].long_m, 0);

function isBetter(items: readonly Outline[], one: Arrangement, best: Arrangement): boolean {
  if (one.left.length !== best.left.length) return one.left.length < best.left.length;
  const [left, leastLeft] = [areaOf(items, one.left), areaOf(items, best.left)];
  if (Math.abs(left - leastLeft) > EXACT_M) return left < leastLeft;
  return one.shelves < best.shelves;
}

function inOrder(items: readonly Outline[], order: readonly number[], on: On): Arrangement {
  const placed: Placed[] = [];
  const left: number[] = [];
  for (const item of order) {
    const place = placeFor(items, item, placed, on);
    if (place) placed.push(place);
    else left.push(item);
  }
  placed.sort((a, b) => a.item - b.item);
  return { placed, left: left.sort((a, b) => a - b), shelves: new Set(placed.map(({ shelf }) => shelf)).size };
}

function placeFor(items: readonly Outline[], item: number, placed: readonly Placed[], { room, shelves, clear, first }: On): Placed | null {
  const one = items[item];
  for (let shelf = 0; shelf < shelves; shelf += 1) {
    if (!isHighEnough(items, item, placed, room, shelf, clear)) continue;
    const others = placed.filter((other) => other.shelf === shelf).map((other) => lyingOf(other, items[other.item]));
    let best: (Placed & { reach_m: number; aside_m: number }) | null = null;
    for (const turned of one.isRound || one.wide_m === one.long_m ? [false] : [false, true]) {
      for (const [x_m, y_m] of candidates(lyingOf({ x_m: 0, y_m: 0, turned }, one), others, room, clear)) {
        const lies = lyingOf({ x_m, y_m, turned }, one);
        // How far it reaches: what lies at the front leaves room behind.
        const [reach_m, aside_m] = first === 'front' ? [y_m + lies.long_m / 2, x_m] : [x_m + lies.wide_m / 2, y_m];
        if (best && (reach_m > best.reach_m + EXACT_M || (reach_m > best.reach_m - EXACT_M && aside_m >= best.aside_m))) continue;
        if (gapToWall(lies, room) < clear.wall_m - ABOUT_M || others.some((other) => gapBetween(lies, other) < clear.between_m - ABOUT_M)) continue;
        best = { item, shelf, x_m, y_m, turned, reach_m, aside_m };
      }
    }
    if (best) {
      const { reach_m: _reach, aside_m: _aside, ...place } = best;
      return place;
    }
  }
  return null;
}

/** All shelves with what stands on them go into the kiln, one over the other. */
function isHighEnough(items: readonly Outline[], item: number, placed: readonly Placed[], room: Room, shelf: number, clear: Clearances): boolean {
  if (room.high_m === null) return true;
  const highest = new Map<number, number>();
  for (const one of [...placed, { item, shelf }]) highest.set(one.shelf, Math.max(highest.get(one.shelf) ?? 0, items[one.item].high_m));
  const needs_m = [...highest.values()].reduce((sum, high_m) => sum + high_m + clear.over_m + SHELF_DEEP_M, 0);
  return needs_m <= room.high_m + EXACT_M;
}

/** Middles at which it touches walls and what lies there, with what has to be free between; in a round kiln a grid besides. */
function candidates({ wide_m, long_m }: Lying, others: readonly Lying[], room: Room, { between_m, wall_m }: Clearances): [number, number][] {
  const across = [wall_m + wide_m / 2, room.wide_m - wall_m - wide_m / 2];
  const along = [wall_m + long_m / 2, room.long_m - wall_m - long_m / 2];
  for (const other of others) {
    const [aside, behind] = [(other.wide_m + wide_m) / 2 + between_m, (other.long_m + long_m) / 2 + between_m];
    across.push(other.x_m + aside, other.x_m - aside);
    along.push(other.y_m + behind, other.y_m - behind);
  }
  const [xs, ys] = [across, along].map((all) => [...new Set(all.map((metres) => Number(metres.toFixed(6))))].sort((a, b) => a - b));
  const inside = (metres: number, of_m: number, room_m: number): boolean =>
    metres >= of_m / 2 + wall_m - ABOUT_M && metres <= room_m - of_m / 2 - wall_m + ABOUT_M;
  const [free, back] = [xs.filter((x) => inside(x, wide_m, room.wide_m)), ys.filter((y) => inside(y, long_m, room.long_m))];
  const touching = free.flatMap((x) => back.map((y): [number, number] => [x, y]));
  if (!room.isRound) return touching;
  const grid = Array.from({ length: GRID - 1 }, (_, i) => (i + 1) / GRID);
  return [...touching, ...grid.flatMap((x) => grid.map((y): [number, number] => [x * room.wide_m, y * room.long_m]))];
}
