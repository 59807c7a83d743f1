/**
 * The inside of a hollow form as a surface: rim and floor of one plan, joined by a wall that is straight, an arc as long as it was
 * measured, straight over a rounded foot, or as its points were taken. Its area, the way over it and what it holds, up to any height.
 * By strips; within 1e-4 of closed forms. Lengths in m.
 */
import { OUTLINES, type Opening, type Outline } from '../flow/sag';
import { type Outcome, found, refused } from '../problem';

export const PLANS = OUTLINES;
/** From above, as an opening is seen. */
export type Plan = Outline;

/** Along a line over the middle: wall to wall. */
export interface Measured {
  rim_m: number;
  /** Left out of a form with a wall that leaves its middle flat-on: a bowl. */
  floor_m?: number;
  /** A tape laid down one wall, over the floor and up the other: it stands in place of the floor. */
  tape_m?: number;
}

export interface HollowForm {
  plan: Plan;
  /** Of an oval, rectangle or trough its width; of a lobed one twice from the middle to the end of a lobe. */
  across: Measured;
  /** The other way: its length; of a lobed one twice from the middle to where two lobes meet. Round ones have none. */
  along?: Measured;
  depth_m: number;
  /** Along the wall from the edge of the floor to the rim, where it was measured. */
  wall_m?: number;
  /** How far a straight wall leans out, degrees off upright: it stands in place of the floor. */
  lean_deg?: number;
  /** Radius by which the floor turns up into a straight wall; the floor ends where the turn begins. */
  foot_m?: number;
  /** Its section as it was taken, from the middle to the rim: it stands before floor and wall. */
  points_m?: readonly SectionPoint[];
  lobes?: number;
}

/** What a sheet over such a form spans: the sides of a trough, or the shorter way across with the longer beside it. */
export function openingOf({ plan, lobes }: Pick<HollowForm, 'plan' | 'lobes'>, across_m: number, along_m = across_m): Opening {
  const [span_m, far_m] = plan === 'trough' ? [across_m, along_m] : [Math.min(across_m, along_m), Math.max(across_m, along_m)];
  if (plan === 'round') return { span_m: across_m };
  return { plan, span_m, along_m: far_m, ...(plan === 'lobed' && lobes !== undefined ? { lobes } : {}) };
}

/** How far out from the middle, and how high over the lowest place. */
export interface SectionPoint {
  out_m: number;
  up_m: number;
}

/** A wall, from the floor up: how far out, how high and how steep, step by step. */
interface Wall {
  out_m: number[];
  up_m: number[];
  /** From the level, radians. */
  steep: number[];
  /** How far along the wall, as a share of it. */
  share: number[];
  long_m: number;
}

const AROUND = 96;
const UP = 96;

/** Halves of an angle by what an arc is longer than its chord: a / sin a. */
function halfAngleOf(longer: number): number {
  let [low, high] = [0, Math.PI];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (middle / Math.sin(middle) < longer) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/** Of a chord that goes out and up, an arc below it that turns by twice the half angle; straight for 0. */
function arc(out_m: number, up_m: number, half: number): Wall {
  const chord = Math.hypot(out_m, up_m);
  const steps = Array.from({ length: UP + 1 }, (_, i) => i / UP);
  const leans = Math.atan2(up_m, out_m);
  const steep = steps.map((t) => leans + (2 * t - 1) * half);
  if (half < 1e-6) return { out_m: steps.map((t) => t * out_m), up_m: steps.map((t) => t * up_m), steep, share: steps, long_m: chord };
  const radius = chord / (2 * Math.sin(half));
  const along = steps.map((t) => chord / 2 + radius * Math.sin((2 * t - 1) * half));
  const below = steps.map((t) => radius * (Math.cos((2 * t - 1) * half) - Math.cos(half)));
  const [x, z] = [out_m / chord, up_m / chord];
  return {
    out_m: along.map((a, i) => a * x + below[i] * z),
    up_m: along.map((a, i) => a * z - below[i] * x),
    steep,
    share: steps,
    long_m: 2 * radius * half,
  };
}

/** Through points, each stretch between two of them in steps; at a corner as steep as the mean of both sides. */
function through(points: readonly SectionPoint[]): Wall {
  const lengths = points.slice(1).map((to, i) => Math.hypot(to.out_m - points[i].out_m, to.up_m - points[i].up_m));
  const long_m = lengths.reduce((sum, one) => sum + one, 0);
  const wall: Wall = { out_m: [], up_m: [], steep: [], share: [], long_m };
  let done_m = 0;
  lengths.forEach((length, i) => {
    const [from, to] = [points[i], points[i + 1]];
    const steps = Math.max(1, Math.round((UP * length) / long_m));
    const own = Math.atan2(to.up_m - from.up_m, to.out_m - from.out_m);
    for (let k = i === 0 ? 0 : 1; k <= steps; k++) {
      const t = k / steps;
      const after = i + 2 < points.length ? Math.atan2(points[i + 2].up_m - to.up_m, points[i + 2].out_m - to.out_m) : own;
      wall.out_m.push(from.out_m + t * (to.out_m - from.out_m));
      wall.up_m.push(from.up_m + t * (to.up_m - from.up_m));
      wall.steep.push(k === steps ? (own + after) / 2 : own);
      wall.share.push((done_m + t * length) / long_m);
    }
    done_m += length;
  });
  return wall;
}

/** A turn of that radius out of the level, then straight on to the rim; null where the turn does not fit. */
function turned(out_m: number, up_m: number, radius_m: number): Wall | null {
  // Where the straight part leaves the turn it points at the rim.
  const misses = (angle: number): number => {
    const [x, z] = [out_m - radius_m * Math.sin(angle), up_m - radius_m * (1 - Math.cos(angle))];
    return x * Math.sin(angle) - z * Math.cos(angle);
  };
  let [low, high] = [0, Math.PI / 2];
  if (misses(high) < -1e-12) return null;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (misses(middle) < 0) low = middle;
    else high = middle;
  }
  const [x, z] = [radius_m * Math.sin(high), radius_m * (1 - Math.cos(high))];
  if (x > out_m + 1e-9 || z > up_m + 1e-9) return null;
  const steps = Math.max(8, Math.round((UP * radius_m * high) / (radius_m * high + Math.hypot(out_m - x, up_m - z))));
  const turn = Array.from({ length: steps + 1 }, (_, i) => (i / steps) * high);
  return through([
    ...turn.map((angle) => ({ out_m: radius_m * Math.sin(angle), up_m: radius_m * (1 - Math.cos(angle)) })),
    ...(up_m - z > 1e-9 ? [{ out_m, up_m }] : []),
  ]);
}

/** Of straight walls, the floor between them by the way over all of it: less floor, less way. */
function floorByTape(rim_m: number, depth_m: number, tape_m: number): number {
  let [low, high] = [0, rim_m];
  for (let i = 0; i < 60; i++) {
    const floor = (low + high) / 2;
    if (floor + 2 * Math.hypot((rim_m - floor) / 2, depth_m) < tape_m) low = floor;
    else high = floor;
  }
  return (low + high) / 2;
}

/** Less than that is how a measure is read. */
const READ_M = 0.001;

function floorOf({ rim_m, floor_m, tape_m }: Measured, { depth_m, lean_deg }: Pick<HollowForm, 'depth_m' | 'lean_deg'>, at: string): Outcome<number> {
  if (lean_deg !== undefined && tape_m === undefined) {
    const floor = rim_m - 2 * depth_m * Math.tan((lean_deg * Math.PI) / 180);
    if (floor < -READ_M)
      return refused('impossible', 'form.lean_deg', 'Walls that lean so far out meet before they are so deep: check the lean, the rim and the depth.');
    if (floor_m !== undefined && Math.abs(floor - floor_m) > 2 * READ_M)
      return refused('impossible', 'form.lean_deg', `Rim, floor and depth make another lean than that: leave the lean or the floor empty.`);
    return found(floor_m ?? Math.max(floor, 0));
  }
  if (tape_m !== undefined) {
    if (tape_m < 2 * Math.hypot(rim_m / 2, depth_m))
      return refused('impossible', `${at}.tape_m`, 'The tape is shorter than the straight way down to the middle and up again: lay it along the form.');
    if (tape_m > rim_m + 2 * depth_m)
      return refused('impossible', `${at}.tape_m`, 'The tape is longer than straight down, over the floor and straight up: check it, the rim and the depth.');
    return found(floorByTape(rim_m, depth_m, tape_m));
  }
  if (floor_m !== undefined && floor_m > rim_m)
    return refused('impossible', `${at}.floor_m`, 'The floor is wider than the rim: glass would not come out. Measure both inside.');
  return found(floor_m ?? 0);
}

function wallOf(form: HollowForm, out_m: number): Outcome<Wall> {
  const { depth_m, wall_m, foot_m, points_m, across } = form;
  if (points_m) return found(through(points_m));
  const slant = Math.hypot(out_m, depth_m);
  if (wall_m !== undefined && across.tape_m === undefined) {
    if (wall_m < slant * (1 - 1e-9))
      return refused('impossible', 'form.wall_m', 'The wall is shorter than the straight way from the floor up to the rim: measure it along the mould.');
    const half = wall_m > slant ? halfAngleOf(wall_m / slant) : 0;
    const steep = Math.atan2(depth_m, out_m);
    if (half > Math.min(steep, Math.PI / 2 - steep) + 1e-6)
      return refused(
        'impossible',
        'form.wall_m',
        'A wall so long would bulge wider than the rim or sink under the floor. Glass would not come out: check it, the rim and the depth.',
      );
    return found(arc(out_m, depth_m, half));
  }
  if (foot_m !== undefined && foot_m > 0) {
    const wall = turned(out_m, depth_m, foot_m);
    return wall
      ? found(wall)
      : refused('impossible', 'form.foot_m', 'So wide a turn at the foot has no room between floor and rim: check it, the floor and the depth.');
  }
  const isBowl = across.floor_m === undefined && across.tape_m === undefined && form.lean_deg === undefined;
  if (!isBowl) return found(arc(out_m, depth_m, 0));
  if (depth_m > out_m * (1 + 1e-9))
    return refused('impossible', 'form.depth_m', 'A round bowl is at most half as deep as its rim is wide: tell its floor, or the length of its wall.');
  // Leaves the floor flat-on: it turns by twice the angle of its chord.
  return found(arc(out_m, depth_m, Math.atan2(depth_m, out_m)));
}

export interface FormSurface {
  /** Half of the rim and of the way from the middle to it, in each direction, up to a share of the wall's length. */
  reachesAt(share: number): { half_m: number; way_m: number }[];
  /** m², up to a share of the wall's length. */
  areaTo(share: number): number;
  /** Share of the wall at which so much area lies below; 1 where all of it is less. */
  shareAt(area_m2: number): number;
  /** m³ up to a level over its lowest place. */
  heldTo(up_m: number): number;
  /** How high an amount stands in it, m; null where it runs over the rim. */
  levelOf(volume_m3: number): number | null;
  wall_m: number;
  depth_m: number;
  /** How far its steepest wall leans out, degrees off upright; negative where it leans in. */
  draft_deg: number;
  /** Its section over the middle, half of it: from the middle out, as far as the rim; and the same the other way. */
  section: SectionPoint[];
  along: SectionPoint[];
}

/** A point around a plan without corners, and which way it goes on there: both by the angle. */
function around(plan: Plan, [a, b = a]: readonly number[], lobes: number, angle: number): { at: readonly [number, number]; on: readonly [number, number] } {
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  if (plan !== 'lobed') return { at: [a * c, b * s], on: [-a * s, b * c] };
  const r = lobedRadius(a, b, lobes, angle);
  const dr = (-lobes * (a - b) * Math.sin(lobes * angle)) / 2;
  return { at: [r * c, r * s], on: [dr * c - r * s, dr * s + r * c] };
}

/** Waves as a cosine between the end of a lobe and where two meet. */
export const lobedRadius = (tip_m: number, between_m: number, lobes: number, angle: number): number =>
  (tip_m + between_m) / 2 + ((tip_m - between_m) / 2) * Math.cos(lobes * angle);

/** Area of a plan by halves of its directions, m². */
export function planArea(plan: Plan, [a, b = a]: readonly number[]): number {
  switch (plan) {
    case 'rectangle':
    case 'trough':
      return 4 * a * b;
    case 'lobed':
      return Math.PI * (((a + b) / 2) ** 2 + ((a - b) / 2) ** 2 / 2);
    default:
      return Math.PI * a * b;
  }
}

/** Of a strip of wall that rises by up_m from one outline to the next, halves of both told. Steps around are exact for waves (a periodic sum). */
function stripArea(plan: Plan, low: readonly number[], high: readonly number[], up_m: number, lobes: number): number {
  if (plan === 'rectangle') {
    const [[a0, b0 = a0], [a1, b1 = a1]] = [low, high];
    return 2 * (b0 + b1) * Math.hypot(a1 - a0, up_m) + 2 * (a0 + a1) * Math.hypot(b1 - b0, up_m);
  }
  let sum = 0;
  const steps = plan === 'round' ? 1 : AROUND;
  for (let i = 0; i < steps; i++) {
    const angle = (2 * Math.PI * i) / steps;
    const [p, q] = [around(plan, low, lobes, angle), around(plan, high, lobes, angle)];
    const [ux, uy] = [(p.on[0] + q.on[0]) / 2, (p.on[1] + q.on[1]) / 2];
    const [vx, vy] = [q.at[0] - p.at[0], q.at[1] - p.at[1]];
    sum += Math.hypot(uy * up_m, ux * up_m, ux * vy - uy * vx);
  }
  return (sum * 2 * Math.PI) / steps;
}

/** A line around the form: at which share of the wall, halves of its directions, how high. */
interface Row {
  share: number;
  halves: number[];
  up_m: number;
}

const mixed = (from: Row, to: Row, t: number): Row => ({
  share: from.share + t * (to.share - from.share),
  halves: from.halves.map((half, i) => half + t * (to.halves[i] - half)),
  up_m: from.up_m + t * (to.up_m - from.up_m),
});

/** From where the wall stands clear of the floor, or of the middle where there is none: what lies before that is cut off. Null where all does. */
function clearOf(rows: readonly Row[], floor_m: number): Row[] | null {
  // How far a row is clear: over the floor, and out from the middle.
  const clear = ({ up_m, halves }: Row): number => Math.min(up_m - floor_m, ...halves);
  const first = rows.findIndex((row) => clear(row) >= -1e-12);
  if (first < 0) return null;
  if (first === 0) return [...rows];
  const [before, after] = [rows[first - 1], rows[first]];
  const [under, over] = [clear(before), clear(after)];
  return [mixed(before, after, over === under ? 1 : -under / (over - under)), ...rows.slice(first)];
}

/** lift_m: of the surface that lies so far within it, as the middle of a sheet does whose edge stands square to the wall. */
export function formSurface(form: HollowForm, lift_m = 0): Outcome<FormSurface> {
  const { plan, depth_m, lobes = 0 } = form;
  const ways = plan === 'round' || !form.along ? [form.across] : [form.across, form.along];
  if (plan === 'lobed' && ways[1] && ways[1].rim_m > ways[0].rim_m)
    return refused('impossible', 'form.along.rim_m', 'Where two lobes meet it is narrower than over a lobe: change the two round.');
  const floors: number[] = [];
  for (const [i, way] of ways.entries()) {
    // A trough is as long below as above; what is not told of the other way goes with the first.
    if (i === 1 && !form.points_m && (plan === 'trough' || (way.floor_m === undefined && way.tape_m === undefined && form.lean_deg === undefined))) {
      floors.push(plan === 'trough' ? way.rim_m / 2 : plan === 'lobed' ? floors[0] : (floors[0] * way.rim_m) / ways[0].rim_m);
      continue;
    }
    if (form.points_m) {
      floors.push(0);
      continue;
    }
    const floor = floorOf(way, form, i === 0 ? 'form.across' : 'form.along');
    if (!floor.ok) return floor;
    floors.push(floor.value / 2);
  }
  if (plan === 'lobed' && ways[1] && floors[0] > ways[1].rim_m / 2)
    return refused('impossible', 'form.across.floor_m', 'The floor is wider than the form where two lobes meet: measure it inside.');
  const out_m = ways[0].rim_m / 2 - floors[0];
  const wall = wallOf(form, out_m);
  if (!wall.ok) return wall;
  const { out_m: outs, up_m: ups, steep, share: shares, long_m } = wall.value;
  // The other way its wall is the same, drawn out or pressed together.
  const stretch = (i: number): number => (i === 0 ? 1 : out_m > 1e-9 ? (ways[i].rim_m / 2 - floors[i]) / out_m : 1);
  // As points were taken over the width, the walls across are as far from the rim as those along.
  const isInset = form.points_m !== undefined && (plan === 'rectangle' || plan === 'trough');
  const halfAt = (i: number, out: number): number =>
    i > 0 && isInset ? (plan === 'trough' ? ways[i].rim_m / 2 : Math.max(ways[i].rim_m / 2 - (out_m - out), 0)) : floors[i] + stretch(i) * out;
  const bends = (i: number): boolean => !(plan === 'trough' && i === 1);
  const rows = clearOf(
    outs.map((out, k) => ({
      share: shares[k],
      halves: ways.map((_, i) => halfAt(i, out) - (bends(i) ? lift_m * Math.sin(steep[k]) : 0)),
      up_m: ups[k] + lift_m * Math.cos(steep[k]),
    })),
    lift_m,
  );
  if (!rows) return refused('too-thick', 'thickness_m', 'Glass this thick does not bend into so small a form.');
  const ways_m = ways.map((_, i) =>
    running(rows[0].halves[i], rows, (from, to) => Math.hypot(to.halves[i] - from.halves[i], bends(i) ? to.up_m - from.up_m : 0)),
  );
  const areas = running(planArea(plan, rows[0].halves), rows, (from, to, k) =>
    plan === 'trough' ? 4 * (ways_m[0][k] - ways_m[0][k - 1]) * to.halves[1] : stripArea(plan, from.halves, to.halves, to.up_m - from.up_m, lobes),
  );
  /** Between two rows at a share of the wall; on the floor before the first. */
  const at = (share: number, take: (k: number) => number): number => {
    const k = rows.findIndex((row) => row.share >= share);
    if (k === 0) return take(0);
    const to = k < 0 ? rows.length - 1 : k;
    return take(to - 1) + ((take(to) - take(to - 1)) * (share - rows[to - 1].share)) / (rows[to].share - rows[to - 1].share);
  };
  const sectionOf = (i: number): SectionPoint[] => [{ out_m: 0, up_m: ups[0] }, ...outs.map((out, k) => ({ out_m: halfAt(i, out), up_m: ups[k] }))];
  return found({
    reachesAt: (share) => ways.map((_, i) => ({ half_m: at(share, (k) => rows[k].halves[i]), way_m: at(share, (k) => ways_m[i][k]) })),
    areaTo: (share) => at(share, (k) => areas[k]),
    shareAt(area_m2) {
      const k = areas.findIndex((area) => area >= area_m2);
      if (k < 0) return 1;
      if (k === 0) return rows[0].share;
      return mixed(rows[k - 1], rows[k], (area_m2 - areas[k - 1]) / (areas[k] - areas[k - 1])).share;
    },
    ...held(plan, rows),
    ...{ wall_m: long_m, depth_m },
    draft_deg: 90 - (Math.max(...steep) * 180) / Math.PI,
    ...{ section: sectionOf(0), along: sectionOf(ways.length - 1) },
  });
}

/**
 * What is held: the area inside every rise of the wall, less that inside every fall of it, as of a boss in the middle. Between two rows
 * halves change in proportion, areas with their square, so that Simpson's rule is exact.
 */
function held(plan: Plan, rows: readonly Row[]): Pick<FormSurface, 'heldTo' | 'levelOf'> {
  const top = rows[rows.length - 1].up_m;
  const heldTo = (up_m: number): number =>
    rows.slice(1).reduce((sum, to, k) => {
      const from = rows[k];
      const [low, high] = from.up_m <= to.up_m ? [from, to] : [to, from];
      if (low.up_m >= up_m || low.up_m === high.up_m) return sum;
      const end = high.up_m <= up_m ? high : mixed(low, high, (up_m - low.up_m) / (high.up_m - low.up_m));
      const middle = mixed(low, end, 0.5);
      const part = ((end.up_m - low.up_m) / 6) * (planArea(plan, low.halves) + 4 * planArea(plan, middle.halves) + planArea(plan, end.halves));
      return sum + (low === from ? part : -part);
    }, 0);
  return {
    heldTo,
    levelOf(volume_m3) {
      const [whole, least] = [heldTo(top), Math.min(...rows.map((row) => row.up_m))];
      if (volume_m3 > whole * (1 + 1e-9)) return null;
      let [low, high] = [least, top];
      for (let i = 0; i < 50; i++) {
        const middle = (low + high) / 2;
        if (heldTo(middle) < volume_m3) low = middle;
        else high = middle;
      }
      return (low + high) / 2;
    },
  };
}

/** Sums along the rows, from a first one on. */
function running(first: number, rows: readonly Row[], step: (from: Row, to: Row, k: number) => number): number[] {
  const sums = [first];
  for (let k = 1; k < rows.length; k++) sums.push(sums[k - 1] + step(rows[k - 1], rows[k], k));
  return sums;
}
