/** A form cut through with its blank, to scale: as it is laid on, and as it comes to lie. Arithmetic from metres to pixels. */
import { lobedRadius } from '@torvin/core/form';
import type { BlankAsked, BlankTold } from '@torvin/core/quantity';
import { type Box, barFor } from './hollowSection';

export interface BlankSection {
  form: string;
  /** As it is laid on. */
  flat: { x: number; y: number; width: number; height: number };
  /** As it comes to lie. */
  lying: string;
  /** Where the former stands; none under a mould. */
  shelfY: number | null;
  bar: { metres: number; px: number };
}

const WALL_SHARE = 0.08;
/** Thin glass is drawn so that it can be seen. */
const THINNEST_PX = 3;
/** As it comes to lie it is drawn this thick, on the form. */
export const LYING_PX = 6;
const RIM_STEPS = 96;

type Point = { out_m: number; up_m: number };

/** The part of a way that is no longer than long_m, its end cut where it is. */
function upTo(way: readonly Point[], long_m: number): Point[] {
  const kept = [way[0]];
  let left = long_m;
  for (let i = 1; i < way.length; i++) {
    const [from, to] = [way[i - 1], way[i]];
    const step = Math.hypot(to.out_m - from.out_m, to.up_m - from.up_m);
    if (step >= left) {
      const share = step > 0 ? left / step : 0;
      return [...kept, { out_m: from.out_m + share * (to.out_m - from.out_m), up_m: from.up_m + share * (to.up_m - from.up_m) }];
    }
    kept.push(to);
    left -= step;
  }
  return kept;
}

const lengthOf = (way: readonly Point[]): number =>
  way.slice(1).reduce((sum, { out_m, up_m }, i) => sum + Math.hypot(out_m - way[i].out_m, up_m - way[i].up_m), 0);

export function blankSection(asked: BlankAsked, told: BlankTold, box: Box, unit: 'mm' | 'in'): BlankSection {
  const { section, sizes_m } = told;
  const into = asked.way === 'into';
  const half_m = sizes_m[0] / 2;
  const wide_m = Math.max(half_m, ...section.map(({ out_m }) => out_m)) * (1 + WALL_SHARE);
  const high_m = asked.form.depth_m;
  const rim_m = Math.max(...section.map(({ out_m }) => out_m));
  // A mould has a floor under it; an edge that is too low goes below the shelf.
  const under_m = into ? rim_m * WALL_SHARE * 2 : Math.max(-(told.clearance_m ?? 0), 0) + high_m * 0.1;
  const px = Math.min(box.width / (2 * wide_m), (box.height - 3 * THINNEST_PX) / (high_m + under_m + asked.thickness_m));
  const thick = Math.max(asked.thickness_m * px, THINNEST_PX);
  const topY = thick + THINNEST_PX;
  const x = (out_m: number): number => box.width / 2 + out_m * px;
  const y = (up_m: number): number => topY + (high_m - up_m) * px;
  const lift = LYING_PX / 2;
  const at = ({ out_m, up_m }: Point, side: 1 | -1): string => `${x(side * out_m).toFixed(1)} ${y(up_m).toFixed(1)}`;
  const both = (way: readonly Point[]): string => [...way.toReversed().map((point) => at(point, -1)), ...way.map((point) => at(point, 1))].join('L');
  const outer = rim_m * (1 + WALL_SHARE);
  const form = into
    ? `M${both(section)}L${x(outer).toFixed(1)} ${y(high_m).toFixed(1)}V${y(-under_m).toFixed(1)}H${x(-outer).toFixed(1)}V${y(high_m).toFixed(1)}Z`
    : `M${both(section)}Z`;
  const wall = into ? lengthOf(section) - (asked.way === 'into' ? asked.under_m : 0) : half_m;
  const hangs = (): Point[] => {
    const way = half_m - told.bend_m / 2;
    if (way <= lengthOf(section)) return upTo(section, way);
    // Longer than its sides: straight on.
    const [before, last] = section.slice(-2);
    return [...section.slice(0, -1), along(before, last, way - lengthOf(section.slice(0, -1)))];
  };
  return {
    form,
    flat: { x: x(-half_m), y: topY - thick, width: 2 * half_m * px, height: thick },
    lying: `M${both((into ? upTo(section, wall) : hangs()).map(({ out_m, up_m }) => ({ out_m, up_m: up_m + lift / px })))}`,
    shelfY: into ? null : y(0),
    bar: barFor(px, box.width, unit),
  };
}

/** So far on from a point, the way to the next one and past it. */
function along(from: Point, to: Point, by_m: number): Point {
  const step = Math.hypot(to.out_m - from.out_m, to.up_m - from.up_m);
  return { out_m: from.out_m + (by_m * (to.out_m - from.out_m)) / step, up_m: from.up_m + (by_m * (to.up_m - from.up_m)) / step };
}

/** The outline of a lobed blank from above, in a square, with the rim or the top that it lies on. */
export function lobedPlan({ form }: BlankAsked, { outline, sizes_m }: BlankTold, side: number): { blank: string; on: string } | null {
  if (outline.shape !== 'polygon') return null;
  const px = (side - 4) / Math.max(...sizes_m);
  const closed = (corners: readonly (readonly [number, number])[]): string =>
    `M${corners.map(([a, b]) => `${(side / 2 + a * px).toFixed(1)} ${(side / 2 - b * px).toFixed(1)}`).join('L')}Z`;
  const [tip, between] = [form.across.rim_m / 2, (form.plan === 'lobed' && form.along ? form.along.rim_m : form.across.rim_m) / 2];
  const rim = Array.from({ length: RIM_STEPS }, (_, i): [number, number] => {
    const angle = (2 * Math.PI * i) / RIM_STEPS;
    const r = lobedRadius(tip, between, form.lobes ?? 0, angle);
    return [r * Math.cos(angle), r * Math.sin(angle)];
  });
  return { blank: closed(outline.corners_m), on: closed(rim) };
}
