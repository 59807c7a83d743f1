/** The inside of a kiln as its shelves meet it: how large it is, what stands and reaches into it, and what has to be free. Lengths in m. */
import type { KilnConstants } from './kiln';
import type { Elements } from './typical';

export const WALLS = ['back', 'front', 'left', 'right'] as const;
export type Wall = (typeof WALLS)[number];

/** One over the other. */
export const SHELVES_AT_MOST = 4;

/** What has to be free, m. */
export interface Clearances {
  /** Between two pieces, and between a piece and a post. */
  between_m: number;
  /** From the walls. */
  wall_m: number;
  /** Over a piece, under the next shelf or the lid. */
  over_m: number;
  /** From elements, in the walls or in the lid. */
  elements_m: number;
  /** Round the thermocouple. */
  probe_m: number;
}

/** Usual; what the kiln's maker says goes before it. */
export const USUAL_CLEARANCES: Clearances = { between_m: 0.012, wall_m: 0.025, over_m: 0.05, elements_m: 0.05, probe_m: 0.025 };

/** Usual side of a post, m. */
export const USUAL_POST_M = 0.038;
/** A thermocouple usually reaches so far in, m. */
export const USUAL_REACH_M = 0.05;

/** A shelf takes so much of the height, m. */
export const SHELF_DEEP_M = 0.016;

export interface Room {
  wide_m: number;
  long_m: number;
  isRound: boolean;
  /** Not judged where nobody knows. */
  high_m: number | null;
  /** Kept clear of where it is known. */
  elements?: Elements;
  probe?: { from: Wall; reach_m: number };
  /** Side of the posts that bear a shelf; the usual where left out. */
  post_m?: number;
}

/** The inside of a kiln; null where it is not known. */
export function roomOf({ insideWidth_m, insideLength_m, insideDiameter_m, insideHeight_m = Infinity }: KilnConstants): Room | null {
  const high_m = insideHeight_m === Infinity ? null : insideHeight_m;
  if (insideDiameter_m !== undefined) return { wide_m: insideDiameter_m, long_m: insideDiameter_m, isRound: true, high_m };
  return insideWidth_m === undefined || insideLength_m === undefined ? null : { wide_m: insideWidth_m, long_m: insideLength_m, isRound: false, high_m };
}

/** An outline where it lies, as it is turned there. */
export interface Lying {
  x_m: number;
  y_m: number;
  wide_m: number;
  long_m: number;
  isRound: boolean;
}

/** Something that is kept clear of by so much. */
export interface Stands extends Lying {
  what: 'post' | 'probe';
  clear_m: number;
}

/** From the walls, or from the elements in them. */
export const wallFree_m = ({ elements }: Room, { wall_m, elements_m }: Clearances): number =>
  elements === 'sides' || elements === 'both' ? Math.max(wall_m, elements_m) : wall_m;

/** Over the topmost shelf. */
export const lidFree_m = ({ elements }: Room, { over_m, elements_m }: Clearances): number =>
  elements === 'top' || elements === 'both' ? Math.max(over_m, elements_m) : over_m;

/** What stands on a shelf, and reaches over it. bears: posts stand on it for the next one. At what height the thermocouple is nobody says, so it counts on each. */
export function standingOn(room: Room, clear: Clearances, bears: boolean): Stands[] {
  return [...(bears ? postsOf(room, clear) : []), ...(room.probe ? [probeOf(room, room.probe, clear)] : [])];
}

/** How many posts bear a shelf, and how wide each of them is. */
export const postsUnder = ({ isRound, post_m = USUAL_POST_M }: Pick<Room, 'isRound' | 'post_m'>): { count: number; side_m: number } => ({
  count: isRound ? 3 : 4,
  side_m: post_m,
});

/** Four in the corners; in a round kiln three, the first at the back. */
function postsOf({ wide_m, long_m, isRound, post_m = USUAL_POST_M }: Room, { wall_m, between_m }: Clearances): Stands[] {
  const post = { what: 'post', wide_m: post_m, long_m: post_m, isRound: false, clear_m: between_m } as const;
  if (isRound) {
    const out_m = wide_m / 2 - wall_m - post_m / Math.SQRT2;
    return [90, 210, 330].map((deg) => {
      const angle = (deg * Math.PI) / 180;
      return { ...post, x_m: wide_m / 2 + out_m * Math.cos(angle), y_m: wide_m / 2 + out_m * Math.sin(angle) };
    });
  }
  const inset_m = wall_m + post_m / 2;
  return [inset_m, wide_m - inset_m].flatMap((x_m) => [inset_m, long_m - inset_m].map((y_m) => ({ ...post, x_m, y_m })));
}

/** As thick as a sheathed one, m. */
const PROBE_M = 0.008;
function probeOf({ wide_m, long_m }: Room, { from, reach_m }: NonNullable<Room['probe']>, { probe_m }: Clearances): Stands {
  const along = from === 'back' || from === 'front';
  const half_m = reach_m / 2;
  return {
    ...{ what: 'probe', isRound: false, clear_m: probe_m },
    ...(along ? { wide_m: PROBE_M, long_m: reach_m } : { wide_m: reach_m, long_m: PROBE_M }),
    x_m: from === 'left' ? half_m : from === 'right' ? wide_m - half_m : wide_m / 2,
    y_m: from === 'front' ? half_m : from === 'back' ? long_m - half_m : long_m / 2,
  };
}

/** Free way between two, m; negative where they lie over one another. */
export function gapBetween(one: Lying, other: Lying): number {
  if (one.isRound && other.isRound) return Math.hypot(one.x_m - other.x_m, one.y_m - other.y_m) - (one.wide_m + other.wide_m) / 2;
  if (one.isRound) return fromMiddle(one, other) - one.wide_m / 2;
  if (other.isRound) return fromMiddle(other, one) - other.wide_m / 2;
  return boxGap(Math.abs(one.x_m - other.x_m) - (one.wide_m + other.wide_m) / 2, Math.abs(one.y_m - other.y_m) - (one.long_m + other.long_m) / 2);
}

const boxGap = (aside: number, along: number): number => (aside > 0 && along > 0 ? Math.hypot(aside, along) : Math.max(aside, along));

/** From the middle of a circle to the side of a box; negative inside it. */
const fromMiddle = ({ x_m, y_m }: Lying, box: Lying): number => boxGap(Math.abs(x_m - box.x_m) - box.wide_m / 2, Math.abs(y_m - box.y_m) - box.long_m / 2);

/** Free way to the nearest wall, m; negative where it goes into one. */
export function gapToWall({ x_m, y_m, wide_m, long_m, isRound }: Lying, room: Room): number {
  if (!room.isRound) return Math.min(x_m - wide_m / 2, room.wide_m - x_m - wide_m / 2, y_m - long_m / 2, room.long_m - y_m - long_m / 2);
  const [aside, along] = [Math.abs(x_m - room.wide_m / 2), Math.abs(y_m - room.long_m / 2)];
  return room.wide_m / 2 - (isRound ? Math.hypot(aside, along) + wide_m / 2 : Math.hypot(aside + wide_m / 2, along + long_m / 2));
}

/** What a kiln's record may say of its inside besides its size; nothing of it is known at first. */
export interface InsideTold {
  /** What has to be free; the usual where left out, m. */
  betweenPieces_m?: number;
  fromWalls_m?: number;
  overPieces_m?: number;
  fromElements_m?: number;
  roundProbe_m?: number;
  elements?: Elements;
  probeFrom?: Wall;
  probeReach_m?: number;
  post_m?: number;
  /** Where its door is; it stands at the front where it is none of its lid. */
  door?: Door;
  /** By how much its places are hotter than its middle, K; negative where cooler. */
  leftHotter_K?: number;
  rightHotter_K?: number;
  frontHotter_K?: number;
  backHotter_K?: number;
  lowHotter_K?: number;
  highHotter_K?: number;
  /** How far its places run behind its middle, s. */
  leftLag_s?: number;
  rightLag_s?: number;
  frontLag_s?: number;
  backLag_s?: number;
  lowLag_s?: number;
  highLag_s?: number;
  /** Its full power, W: with it is known how much heat it stores. */
  connected_W?: number;
}

export const DOORS = ['front', 'lid'] as const;
export type Door = (typeof DOORS)[number];

/** Every key of it: what a schedule does not follow from, places apart. */
const INSIDE_KEYS = {
  ...{
    betweenPieces_m: 1,
    fromWalls_m: 1,
    overPieces_m: 1,
    fromElements_m: 1,
    roundProbe_m: 1,
    elements: 1,
    probeFrom: 1,
    probeReach_m: 1,
    post_m: 1,
    door: 1,
  },
  ...{ leftHotter_K: 1, rightHotter_K: 1, frontHotter_K: 1, backHotter_K: 1, lowHotter_K: 1, highHotter_K: 1 },
  ...{ leftLag_s: 1, rightLag_s: 1, frontLag_s: 1, backLag_s: 1, lowLag_s: 1, highLag_s: 1, connected_W: 1 },
} satisfies Record<keyof Required<InsideTold>, 1>;

/** A kiln without what is said of its inside. */
export function withoutInside<T extends InsideTold>(kiln: T): Omit<T, keyof InsideTold> {
  return Object.fromEntries(Object.entries(kiln).filter(([key]) => !(key in INSIDE_KEYS))) as Omit<T, keyof InsideTold>;
}

/** What has to be free in it, as its record says or as is usual. */
export const clearancesOf = ({ betweenPieces_m, fromWalls_m, overPieces_m, fromElements_m, roundProbe_m }: InsideTold): Clearances => ({
  between_m: betweenPieces_m ?? USUAL_CLEARANCES.between_m,
  wall_m: fromWalls_m ?? USUAL_CLEARANCES.wall_m,
  over_m: overPieces_m ?? USUAL_CLEARANCES.over_m,
  elements_m: fromElements_m ?? USUAL_CLEARANCES.elements_m,
  probe_m: roundProbe_m ?? USUAL_CLEARANCES.probe_m,
});

/** The room with what its kiln's record says stands in it. */
export const furnished = (room: Room, { elements, probeFrom, probeReach_m = USUAL_REACH_M, post_m }: InsideTold): Room => ({
  ...room,
  ...(elements ? { elements } : {}),
  ...(probeFrom ? { probe: { from: probeFrom, reach_m: probeReach_m } } : {}),
  ...(post_m === undefined ? {} : { post_m }),
});

/** Where something lies in a kiln: its middle, from the left and the front wall, and on which of how many shelves, the lowest 0. */
export interface InKiln {
  x_m: number;
  y_m: number;
  shelf: number;
  shelves: number;
}

/** What its record says of each side, and of low and high. */
interface Sides {
  left?: number;
  right?: number;
  front?: number;
  back?: number;
  low?: number;
  high?: number;
}

/**
 * What a place has of what is said of the sides: of each in proportion to how far out it lies. A single shelf counts as the middle, for so it
 * stood when the controller was set by it. 0 where nothing is known.
 */
function ofSides({ left, right, front, back, low, high }: Sides, room: Pick<Room, 'wide_m' | 'long_m'> | null, { x_m, y_m, shelf, shelves }: InKiln): number {
  const along = (out: number, toLess = 0, toMore = 0): number => Math.min(Math.abs(out), 1) * (out < 0 ? toLess : toMore);
  const across = room ? along((2 * x_m) / room.wide_m - 1, left, right) : 0;
  const deep = room ? along((2 * y_m) / room.long_m - 1, front, back) : 0;
  return across + deep + (shelves > 1 ? along((2 * shelf) / (shelves - 1) - 1, low, high) : 0);
}

/** By how much a place is hotter than the middle, K; negative where cooler. */
export const hotterAt = (told: InsideTold, room: Pick<Room, 'wide_m' | 'long_m'> | null, at: InKiln): number =>
  ofSides(
    {
      ...{ left: told.leftHotter_K, right: told.rightHotter_K, front: told.frontHotter_K },
      ...{ back: told.backHotter_K, low: told.lowHotter_K, high: told.highHotter_K },
    },
    room,
    at,
  );

/** How far a place runs behind the middle, s. */
export const lagAt = (told: InsideTold, room: Pick<Room, 'wide_m' | 'long_m'> | null, at: InKiln): number =>
  ofSides(
    { ...{ left: told.leftLag_s, right: told.rightLag_s, front: told.frontLag_s }, ...{ back: told.backLag_s, low: told.lowLag_s, high: told.highLag_s } },
    room,
    at,
  );

/** Whether another shelf is over it. */
export const isUnderShelf = ({ shelf, shelves }: Pick<InKiln, 'shelf' | 'shelves'>): boolean => shelf < shelves - 1;
