/** The section at one time of a firing, as SVG paths in the pixels of its drawing; pure arithmetic, so that it follows a finger. */
import { rowsOf } from '@torvin/core/body';
import { type FormShape, type FormView, alongOf, depthOf, formSection } from '@torvin/core/form';
import { type Cavity, type Shaping, cavityOf } from '@torvin/core/look';
import type { DrawnLayer } from '@torvin/core/piece';
import type { GlassShape } from '@torvin/core/schedule';
import { places, top } from './ghost';
import { type Box, type SectionGeometry, sectionGeometry } from './geometry';

export interface TimedSection {
  drawn: SectionGeometry;
  /** What lies, the lowest first: sheets, and each rod, piece or bead of grains that has not run together yet; then what stands on it. */
  glass: { layer: number; colour: string; path: string }[];
  /** The mould it settles into or the former it hangs over. */
  form: string | null;
}

/** What does not change while the time does. */
export interface TimedBody {
  span_m: number;
  layers: readonly DrawnLayer[];
  shaping: Shaping | undefined;
  /** The studio's own form that it stands in, where it is known. */
  form?: FormShape;
  /** Whether a layer, by its index, is of what was one solid before. */
  isSolid(layer: number): boolean;
  /** The body at its end, which must have room too. */
  end: GlassShape;
}

const standingFrom = (layers: readonly DrawnLayer[]): number => layers.findLastIndex(({ form }) => form !== 'pieces') + 1;

type Put = (x_m: number, z_m: number) => readonly [x_m: number, z_m: number];

/** Where a place of the body comes to be, by how far from its middle and how high over its underside it lies. */
function putOf(at: GlassShape, body: TimedBody): Put {
  const { shaping, form } = body;
  if (at.down && form && shaping?.kind === 'former' && form.use === 'former') return overEdge(form, body.span_m, at.down);
  if (at.down && form && shaping?.kind === 'hollow' && form.use === 'hollow') return inHollow(form, body.span_m, at.down);
  const cavity = cavityOf(shaping);
  if (cavity) return inCavity(cavity, body.span_m, at);
  const foot = footOf(at, body);
  return (x, z) => [x, foot(x) + z];
}

/** How far out, as a share, a casting is as deep as its thickest section, and from where on as its thinnest. */
const DEEP_WITHIN = 0.45;
const THIN_BEYOND = 0.6;

/** How far the floor of a cavity rises over its deepest place, m: only its thickest and its thinnest section are known. */
function rises({ thick_m, thin_m }: Cavity, out: number): number {
  const share = Math.min(Math.max((out - DEEP_WITHIN) / (THIN_BEYOND - DEEP_WITHIN), 0), 1);
  return Math.max(thick_m - thin_m, 0) * share;
}

/** In a mould that is filled: level at the top. */
function inCavity(cavity: Cavity, span_m: number, { shape }: GlassShape): Put {
  const deep_m = Math.max(shape.depth_m, 1e-6);
  return (x, z) => {
    const up_m = rises(cavity, (2 * Math.abs(x)) / span_m);
    return [x, cavity.wall_m + up_m + z * Math.max(1 - up_m / deep_m, 0)];
  };
}

/** Height of the glass's underside over the shelf at a place, m. */
function footOf({ down, shape }: GlassShape, { shaping }: TimedBody): (x_m: number) => number {
  if (!down || !shaping) return () => 0;
  const half = shape.width_m / 2;
  if (shaping.kind === 'hollow') return (x) => down.of_m - down.by_m + down.by_m * Math.min(Math.abs(x) / half, 1) ** 2;
  if (shaping.kind !== 'former') return () => 0;
  const held = half - shaping.overhang_m;
  return (x) => down.of_m - down.by_m * Math.max((Math.abs(x) - held) / shaping.overhang_m, 0) ** 2;
}

const drawnAt = ([x_m, z_m]: readonly [number, number], { x, y }: SectionGeometry): string => `${x(x_m).toFixed(1)} ${y(z_m).toFixed(1)}`;

const FORM_SAMPLES = 32;

type Down = NonNullable<GlassShape['down']>;

/** A body is drawn along its longer side, and so is what it lies in; a ridge is cut across. */
const viewOf = (form: FormShape): FormView => (form.plan !== 'trough' && alongOf(form) > form.across_m ? 'along' : 'across');

/**
 * Into a hollow as a sagging sheet: from a paraboloid at first to the form itself at its end, and nowhere under it. What lies out over the
 * rim slides in as it sinks.
 */
function inHollow(form: FormShape, span_m: number, { by_m, of_m }: Down): Put {
  const { lies, height_m } = formSection(form, viewOf(form));
  const surface = heightOn(lies ?? []);
  const share = of_m > 0 ? by_m / of_m : 0;
  const rests = height_m - Math.max(depthOf(form) - of_m, 0);
  const rim = (lies ?? []).reduce((widest, [x]) => Math.max(widest, x), 0);
  const half = Math.min(span_m / 2, rim);
  const slid = 1 - share * (1 - Math.min(1, (2 * rim) / span_m));
  const foot = (x: number): number => {
    const free = rests - by_m * Math.max(1 - (x / half) ** 2, 0);
    const lain = Math.min(surface(x), rests);
    return Math.abs(x) >= half ? rests : Math.max((1 - share) * free + share * lain, lain);
  };
  return (x, z) => [slid * x, foot(slid * x) + z];
}

/** What a skirt is bent round where the former ends, m. */
const BEND_M = 0.012;

/** How steep a skirt hangs whose edge is so far down, its first part bent round the former. */
function slopeOf(by_m: number, overhang_m: number, bend: number): number {
  const drop = (angle: number): number => (bend / angle) * (1 - Math.cos(angle)) + (overhang_m - bend) * Math.sin(angle);
  let [low, high] = [1e-9, Math.PI / 2];
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (drop(middle) < by_m) low = middle;
    else high = middle;
  }
  return high;
}

/** Over a former: from level to as its top is, bent round its edge, straight on from there, at the slope that brings its edge so far down. */
function overEdge(form: FormShape, span_m: number, { by_m, of_m }: Down): Put {
  const { top = [], lies, height_m } = formSection(form, viewOf(form));
  const sideAt = widthAt(lies ?? []);
  const held = top.reduce((widest, [x]) => Math.max(widest, x), 0);
  const surface = heightOn(top);
  const share = of_m > 0 ? by_m / of_m : 0;
  const carried = (x: number): number => height_m - share * (height_m - surface(x));
  const overhang_m = Math.max(span_m / 2 - held, 1e-6);
  const bend = Math.min(BEND_M, overhang_m / 2);
  const slope = slopeOf(by_m, overhang_m, bend);
  return (x, z) => {
    const over = Math.abs(x) - held;
    if (over <= 0 || slope < 1e-6) return [x, carried(x) + z];
    const turned = slope * Math.min(over / bend, 1);
    const [out, down] = [(bend / slope) * Math.sin(turned), (bend / slope) * (1 - Math.cos(turned))];
    const on = Math.max(over - bend, 0);
    const foot = Math.max(carried(held) - down - on * Math.sin(slope), 0);
    // A side that leans out carries what would hang through it.
    const beside = Math.max(held + out + on * Math.cos(slope), sideAt(foot));
    return [Math.sign(x) * (beside + z * Math.sin(turned)), foot + z * Math.cos(turned)];
  };
}

/** How far out the right half of a profile reaches at a height. */
function widthAt(line: readonly (readonly [x: number, z: number])[]): (z_m: number) => number {
  const right = line.filter(([x]) => x >= 0);
  return (z) =>
    right.slice(1).reduce((most, [x1, z1], i) => {
      const [x0, z0] = right[i];
      if (z < Math.min(z0, z1) || z > Math.max(z0, z1)) return most;
      return Math.max(most, z0 === z1 ? Math.max(x0, x1) : x0 + ((z0 - z) / (z0 - z1)) * (x1 - x0));
    }, 0);
}

/** Height of a line from left to right at a place; as high as its ends beyond them. */
function heightOn(line: readonly (readonly [x: number, z: number])[]): (x_m: number) => number {
  return (x) => {
    const k = line.findLastIndex(([at]) => at <= x);
    if (k < 0) return line[0]?.[1] ?? 0;
    if (k === line.length - 1) return line[k][1];
    const [from, to] = [line[k], line[k + 1]];
    return to[0] > from[0] ? from[1] + ((x - from[0]) / (to[0] - from[0])) * (to[1] - from[1]) : from[1];
  };
}

function formPath({ span_m, shaping, form, end }: TimedBody, { x, y }: SectionGeometry): string | null {
  const point = (x_m: number, z_m: number): string => `${x(x_m).toFixed(1)} ${y(z_m).toFixed(1)}`;
  if (form)
    return formSection(form, viewOf(form))
      .solids.map((solid) => `M${solid.map(([at, z]) => point(at, z)).join('L')}Z`)
      .join('');
  const cavity = cavityOf(shaping);
  if (cavity) return cavityPath(cavity, span_m, point);
  const of_m = end.down?.of_m;
  if (of_m === undefined || !shaping) return null;
  if (shaping.kind === 'former') {
    const held = Math.max(span_m / 2 - shaping.overhang_m, 0);
    return `M${point(-held, 0)}L${point(-held, of_m)}L${point(held, of_m)}L${point(held, 0)}Z`;
  }
  const half = span_m / 2;
  const wall = half * WALL_SHARE;
  const floor = Array.from({ length: FORM_SAMPLES + 1 }, (_, i) => half * ((2 * i) / FORM_SAMPLES - 1)).map((at) => point(at, of_m * (at / half) ** 2));
  return `M${point(-half - wall, 0)}L${point(-half - wall, of_m)}L${floor.join('L')}L${point(half + wall, of_m)}L${point(half + wall, 0)}Z`;
}

/** The block round a cavity, a little higher than what fills it. */
function cavityPath(cavity: Cavity, span_m: number, point: (x_m: number, z_m: number) => string): string {
  const [half, high_m] = [span_m / 2, cavity.wall_m + RIM_OVER * cavity.thick_m];
  const inside = [-1, -THIN_BEYOND, -DEEP_WITHIN, DEEP_WITHIN, THIN_BEYOND, 1].map((out) => point(out * half, cavity.wall_m + rises(cavity, Math.abs(out))));
  const out = half + cavity.wall_m;
  return `M${[point(-out, 0), point(-out, high_m), point(-half, high_m), ...inside, point(half, high_m), point(out, high_m), point(out, 0)].join('L')}Z`;
}

const RIM_OVER = 1.15;

/** How far a mould's wall is drawn beyond its hollow. */
const WALL_SHARE = 0.06;

/** So deep and so wide that nothing of the firing leaves the drawing, and the scale stays. */
function roomOf({ layers, end, span_m, form, shaping }: TimedBody): { depth_m: number; width_m: number } {
  const laid_m = layers.reduce((sum, { thickness_m }) => sum + thickness_m, 0);
  const { shape, down } = end;
  const cavity = cavityOf(shaping);
  if (cavity) return { depth_m: cavity.wall_m + Math.max(laid_m, RIM_OVER * cavity.thick_m), width_m: span_m + 2 * cavity.wall_m };
  if (form) {
    const { width_m, height_m } = formSection(form, viewOf(form));
    return { depth_m: height_m + Math.max(laid_m, shape.depth_m + shape.relief_m), width_m: Math.max(span_m, width_m, shape.width_m) };
  }
  return {
    depth_m: Math.max(laid_m, shape.depth_m + shape.relief_m) + (down?.of_m ?? 0),
    width_m: Math.max(span_m * (down ? 1 + 2 * WALL_SHARE : 1), shape.width_m),
  };
}

/** Two sheets that have air between them still are drawn so far apart, px. */
const AIR_PX = 3;
const BEAD_SAMPLES = 8;

export function timedSection(body: TimedBody, at: GlassShape, box: Box): TimedSection {
  const { layers, span_m, isSolid } = body;
  const drawn = sectionGeometry(span_m, layers, box, roomOf(body));
  const { x, y } = drawn;
  const from = standingFrom(layers);
  const lying = from > 0 ? layers.slice(0, from) : layers;
  const rows = rowsOf(lying);
  const { shape } = at;
  const put = putOf(at, body);
  const lain = lyings(rows, lying, at, isSolid);
  const deep_m = lying.reduce((sum, layer) => sum + layer.thickness_m * (layer.cover ?? 1), 0);
  const [perMetre, perDepth] = [x(1) - x(0), y(0) - y(1)];
  const air_m = AIR_PX / perDepth;
  const wide = shape.width_m / span_m;
  const half = shape.width_m / 2;
  const height = (place: number, z_m: number, airs: number): string => drawnAt(put(place, (z_m * top(shape, place)) / deep_m + airs * air_m), drawn);
  const along = places(half, shape.rim_m);
  const glass = drawn.shapes.flatMap(({ layer, x: left, width, round }) => {
    const laid = lain[layer] as Lying | undefined;
    if (!laid) return [];
    const { closed, z_m, deep_m: depth_m, airs } = laid;
    const middle = ((left + width / 2 - x(0)) / perMetre) * wide;
    // What closes its gaps grows as wide as it sinks.
    const reach = ((width / perMetre) * wide * (layers[layer].thickness_m / depth_m)) / 2;
    const [low, high] = [Math.max(middle - reach, -half), Math.min(middle + reach, half)];
    const isBead = round > 0 && closed < 1;
    const inside = isBead ? Array.from({ length: BEAD_SAMPLES - 1 }, (_, i) => low + ((i + 1) / BEAD_SAMPLES) * (high - low)) : along;
    const on = [low, ...inside.filter((place) => place > low && place < high), high];
    const plump = (place: number): number => (isBead ? 1 - (1 - closed) * (1 - Math.sqrt(Math.max(1 - ((place - middle) / reach) ** 2, 0))) : 1);
    const edge = (sign: 1 | -1): string[] => on.map((place) => height(place, z_m + (depth_m / 2) * (1 + sign * plump(place)), airs));
    return [{ layer, colour: layers[layer].colour, path: `M${edge(1).join('L')}L${edge(-1).toReversed().join('L')}Z` }];
  });
  const lift_m = air_m * (lain.at(-1)?.airs ?? 0);
  const humps =
    from > 0 && shape.relief_m > 0
      ? drawn.shapes
          .filter(({ layer }) => layer >= from)
          .map((one) => ({ layer: one.layer, colour: layers[one.layer].colour, path: hump(one, at, (place, z_m) => put(place, z_m + lift_m), drawn) }))
      : [];
  return { drawn, glass: [...glass, ...humps], form: formPath(body, drawn) };
}

/** How a layer lies: from where, how deep, how far its gaps are closed, and how much air is under it, in sheets that have not lain down. */
interface Lying {
  z_m: number;
  deep_m: number;
  closed: number;
  airs: number;
}

/** Grains have closed as far as they have run together, rods and cut pieces as far as their relief is gone. */
function lyings(
  rows: readonly (readonly number[])[],
  lying: readonly DrawnLayer[],
  { film, relief, edges, lain }: GlassShape,
  isSolid: TimedBody['isSolid'],
): Lying[] {
  const all: Lying[] = [];
  let [z_m, airs] = [0, 0];
  rows.forEach((row, at) => {
    const covered = Math.min(
      row.reduce((sum, index) => sum + (lying[index].cover ?? 1), 0),
      1,
    );
    if (at > 0 && !(isSolid(row[0]) && isSolid(rows[at - 1][0]))) airs += 1 - (lain ?? 1);
    let deepest_m = 0;
    for (const index of row) {
      const { form, thickness_m } = lying[index];
      const isGrains = form === 'frit' || form === 'powder';
      const closed = isSolid(index) ? 1 : isGrains && film !== null ? Math.min(film, 1) : Math.max(edges, 1 - (relief ?? 1));
      const deep_m = thickness_m * (1 - closed + closed * covered);
      all[index] = { z_m, deep_m, closed, airs };
      deepest_m = Math.max(deepest_m, deep_m);
    }
    z_m += deepest_m;
  });
  return all;
}

const HUMP_SAMPLES = 12;

/** A part that stood: as high as its relief is left, its corners rounded as far as its edges are. */
function hump({ x: left, width }: { x: number; width: number }, { shape, edges }: GlassShape, put: Put, drawn: SectionGeometry): string {
  const { x } = drawn;
  const perMetre = x(1) - x(0);
  const metres = (px: number): number => (px - x(0)) / perMetre;
  const sharp = 4 + 20 * (1 - edges);
  const points = Array.from({ length: HUMP_SAMPLES + 1 }, (_, i) => left + (i * width) / HUMP_SAMPLES);
  const at = (px: number, relief_m: number): string => drawnAt(put(metres(px), top(shape, metres(px)) + relief_m), drawn);
  const upper = points.map((px) => {
    const off = Math.abs((2 * (px - left)) / width - 1);
    return at(px, shape.relief_m * Math.max(1 - off ** sharp, 0) ** 0.5);
  });
  const lower = points.toReversed().map((px) => at(px, 0));
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}
