/** The section at one time of a firing, as SVG paths in the pixels of its drawing; pure arithmetic, so that it follows a finger. */
import type { DrawnLayer, GlassAt, Shaping } from '@torvin/core';
import { places, top } from './ghost';
import { type Box, type SectionGeometry, sectionGeometry } from './geometry';

export interface TimedSection {
  drawn: SectionGeometry;
  /** What lies, each layer a band, the lowest first; then what stands on it. */
  glass: { layer: number; path: string }[];
  /** The mould it settles into or the former it hangs over. */
  form: string | null;
}

/** What does not change while the time does. */
export interface TimedBody {
  span_m: number;
  layers: readonly DrawnLayer[];
  shaping: Shaping | undefined;
  /** The body at its end, which must have room too. */
  end: GlassAt;
}

const standingFrom = (layers: readonly DrawnLayer[]): number => layers.findLastIndex(({ form }) => form !== 'pieces') + 1;

/** Height of the glass's underside over the shelf at a place, m. */
function footOf({ down, shape }: GlassAt, shaping: Shaping | undefined): (x_m: number) => number {
  if (!down || !shaping) return () => 0;
  const half = shape.width_m / 2;
  if (shaping.kind === 'hollow') return (x) => down.of_m - down.by_m + down.by_m * Math.min(Math.abs(x) / half, 1) ** 2;
  if (shaping.kind !== 'former') return () => 0;
  const held = half - shaping.overhang_m;
  return (x) => down.of_m - down.by_m * Math.max((Math.abs(x) - held) / shaping.overhang_m, 0) ** 2;
}

const FORM_SAMPLES = 32;

function formPath({ span_m, shaping, end }: TimedBody, { x, y }: SectionGeometry): string | null {
  const of_m = end.down?.of_m;
  if (of_m === undefined || !shaping) return null;
  const point = (x_m: number, z_m: number): string => `${x(x_m).toFixed(1)} ${y(z_m).toFixed(1)}`;
  if (shaping.kind === 'former') {
    const held = Math.max(span_m / 2 - shaping.overhang_m, 0);
    return `M${point(-held, 0)}L${point(-held, of_m)}L${point(held, of_m)}L${point(held, 0)}Z`;
  }
  const half = span_m / 2;
  const wall = half * WALL_SHARE;
  const floor = Array.from({ length: FORM_SAMPLES + 1 }, (_, i) => half * ((2 * i) / FORM_SAMPLES - 1)).map((at) => point(at, of_m * (at / half) ** 2));
  return `M${point(-half - wall, 0)}L${point(-half - wall, of_m)}L${floor.join('L')}L${point(half + wall, of_m)}L${point(half + wall, 0)}Z`;
}

/** How far a mould's wall is drawn beyond its hollow. */
const WALL_SHARE = 0.06;

/** So deep and so wide that nothing of the firing leaves the drawing, and the scale stays. */
function roomOf({ layers, end, span_m }: TimedBody): { depth_m: number; width_m: number } {
  const laid_m = layers.reduce((sum, { thickness_m }) => sum + thickness_m, 0);
  const { shape, down } = end;
  return {
    depth_m: Math.max(laid_m, shape.depth_m + shape.relief_m) + (down?.of_m ?? 0),
    width_m: Math.max(span_m * (down ? 1 + 2 * WALL_SHARE : 1), shape.width_m),
  };
}

export function timedSection(body: TimedBody, at: GlassAt, box: Box): TimedSection {
  const { layers, span_m, shaping } = body;
  const drawn = sectionGeometry(span_m, layers, box, roomOf(body));
  const { x, y } = drawn;
  const from = standingFrom(layers);
  const lying = from > 0 ? layers.slice(0, from) : layers;
  const deep_m = lying.reduce((sum, layer) => sum + layer.thickness_m * (layer.cover ?? 1), 0);
  const foot = footOf(at, shaping);
  const { shape } = at;
  const along = places(shape.width_m / 2, shape.rim_m);
  const point = (x_m: number, z_m: number): string => `${x(x_m).toFixed(1)} ${y(z_m).toFixed(1)}`;
  const edge = (share: number): string[] => along.map((place) => point(place, foot(place) + share * top(shape, place)));
  let share = 0;
  const glass = lying.map((layer, index) => {
    const lower = edge(share);
    share = Math.min(share + (layer.thickness_m * (layer.cover ?? 1)) / deep_m, 1);
    return { layer: index, path: `M${edge(share).join('L')}L${lower.toReversed().join('L')}Z` };
  });
  const humps =
    from > 0 && shape.relief_m > 0
      ? drawn.shapes.filter(({ layer }) => layer >= from).map((one) => ({ layer: one.layer, path: hump(one, at, foot, drawn) }))
      : [];
  return { drawn, glass: [...glass, ...humps], form: formPath(body, drawn) };
}

const HUMP_SAMPLES = 12;

/** A part that stood: as high as its relief is left, its corners rounded as far as its edges are. */
function hump({ x: left, width }: { x: number; width: number }, { shape, edges }: GlassAt, foot: (x_m: number) => number, { x, y }: SectionGeometry): string {
  const perMetre = x(1) - x(0);
  const metres = (px: number): number => (px - x(0)) / perMetre;
  const sharp = 4 + 20 * (1 - edges);
  const points = Array.from({ length: HUMP_SAMPLES + 1 }, (_, i) => left + (i * width) / HUMP_SAMPLES);
  const height = (px: number, relief_m: number): number => foot(metres(px)) + top(shape, metres(px)) + relief_m;
  const upper = points.map((px) => {
    const off = Math.abs((2 * (px - left)) / width - 1);
    return `${px.toFixed(1)} ${y(height(px, shape.relief_m * Math.max(1 - off ** sharp, 0) ** 0.5)).toFixed(1)}`;
  });
  const lower = points.toReversed().map((px) => `${px.toFixed(1)} ${y(height(px, 0)).toFixed(1)}`);
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}
