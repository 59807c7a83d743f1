/** A hollow cut through, to scale: its walls, its liner, what stands in it. Arithmetic from metres to pixels. */
import { type Hollow, type LaidCold, type Brick, surfaceAt } from '@torvin/core/quantity';

export interface Box {
  width: number;
  height: number;
}

/** What is cut through: one opening, or two beside a core. */
interface Channel {
  middle_m: number;
  halfAt(z_m: number): number;
}

const PROFILE_STEPS = 24;

/** The way across the middle of a hollow at a height, m. */
function channelsOf(hollow: Hollow): Channel[] {
  switch (hollow.kind) {
    case 'straight': {
      const { outline } = hollow;
      if (outline.shape === 'ring') {
        const wall = (outline.diameter_m - outline.inner_m) / 2;
        const middle = (outline.diameter_m + outline.inner_m) / 4;
        return [-middle, middle].map((middle_m) => ({ middle_m, halfAt: () => wall / 2 }));
      }
      return [{ middle_m: 0, halfAt: () => acrossOf(outline) / 2 }];
    }
    case 'vTrough':
    case 'roundTrough':
      return [{ middle_m: 0, halfAt: (z_m) => surfaceAt(hollow, z_m) / hollow.length_m / 2 }];
    default:
      return [{ middle_m: 0, halfAt: (z_m) => Math.sqrt(surfaceAt(hollow, z_m) / Math.PI) }];
  }
}

function acrossOf(outline: Extract<Hollow, { kind: 'straight' }>['outline']): number {
  switch (outline.shape) {
    case 'disc':
    case 'ring':
      return outline.diameter_m;
    case 'polygon': {
      const xs = outline.corners_m.map(([x]) => x);
      return Math.max(...xs) - Math.min(...xs);
    }
    default:
      return Math.max(outline.width_m, outline.length_m);
  }
}

export interface HollowSection {
  /** Of the mould round it. */
  walls: string[];
  /** Between the mould and what is left by the liner. */
  liners: string[];
  glass: string[];
  bricks: { x: number; y: number; width: number; height: number }[];
  rimY: number;
  /** Of a length that people know: how long it is, and its px. */
  bar: { metres: number; px: number };
}

const WALL_SHARE = 0.07;
const BARS_M = {
  mm: [0.0005, 0.001, 0.002, 0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5],
  in: [0.02, 0.05, 0.125, 0.25, 0.5, 1, 2, 4, 8, 16].map((inches) => inches * 0.0254),
} as const;
const BAR_SHARE = 0.4;

/** The longest of the lengths that people know that is no more than a part of the drawing. */
export function barFor(pxPerMetre: number, width: number, unit: 'mm' | 'in'): { metres: number; px: number } {
  const metres = BARS_M[unit].filter((one) => one * pxPerMetre <= width * BAR_SHARE).at(-1) ?? BARS_M[unit][0];
  return { metres, px: metres * pxPerMetre };
}

export interface Filled {
  /** The hollow itself, and what its liner leaves of it. */
  hollow: Hollow;
  left: Hollow;
  /** How high it is filled; none where null. */
  level_m: number | null;
  cold: LaidCold | null;
  brick: Brick | undefined;
}

export function hollowSection({ hollow, left, level_m, cold, brick }: Filled, box: Box, unit: 'mm' | 'in'): HollowSection {
  const liner_m = hollow.depth_m - left.depth_m;
  const channels = channelsOf(hollow);
  const outer = channels.map(({ middle_m, halfAt }) => Math.abs(middle_m) + halfAt(hollow.depth_m));
  const across_m = 2 * Math.max(...outer) * (1 + 2 * WALL_SHARE);
  const above_m = Math.max(cold?.overRim_m ?? 0, 0);
  const under_m = Math.max(...outer) * WALL_SHARE * 2;
  const px = Math.min(box.width / across_m, box.height / (hollow.depth_m + above_m + under_m));
  const x = (x_m: number): number => box.width / 2 + x_m * px;
  const floorY = box.height - under_m * px;
  const y = (z_m: number): number => floorY - z_m * px;
  const point = (x_m: number, z_m: number): string => `${x(x_m).toFixed(1)} ${y(z_m).toFixed(1)}`;

  /** Up one wall and down the other, to a height over the floor of what is drawn. */
  const profile = (of: Hollow, to_m: number, lift_m: number): string[] =>
    channelsOf(of).map(({ middle_m, halfAt }) => {
      const heights = Array.from({ length: PROFILE_STEPS + 1 }, (_, i) => (i / PROFILE_STEPS) * to_m);
      const right = heights.map((z_m) => point(middle_m + halfAt(z_m), z_m + lift_m));
      const leftSide = heights.toReversed().map((z_m) => point(middle_m - halfAt(z_m), z_m + lift_m));
      return `M${[...leftSide, ...right].join('L')}Z`;
    });

  const half = (Math.max(...outer) * (1 + 2 * WALL_SHARE) * px).toFixed(1);
  const block = `M${(box.width / 2 - Number(half)).toFixed(1)} ${y(hollow.depth_m).toFixed(1)}h${(2 * Number(half)).toFixed(1)}V${box.height}h${(-2 * Number(half)).toFixed(1)}Z`;
  const opening = profile(hollow, hollow.depth_m, 0);
  return {
    walls: [`${block}${opening.join('')}`],
    liners: liner_m > 0 ? opening.map((path, i) => `${path}${profile(left, left.depth_m, liner_m)[i]}`) : [],
    glass: level_m !== null && level_m > 0 ? profile(left, Math.min(level_m, left.depth_m), liner_m) : [],
    bricks: cold && brick ? bricksOf(left, cold, brick, { x, y, px, liner_m }) : [],
    rimY: y(hollow.depth_m),
    bar: barFor(px, box.width, unit),
  };
}

/** Courses as they are cut through: as many side by side as there is room for where each lies, and no more than there are. */
function bricksOf(
  left: Hollow,
  { courses }: LaidCold,
  brick: Brick,
  { x, y, px, liner_m }: { x(x_m: number): number; y(z_m: number): number; px: number; liner_m: number },
): HollowSection['bricks'] {
  const channels = channelsOf(left);
  return courses.flatMap(({ count, from_m }) =>
    channels.flatMap(({ middle_m, halfAt }) => {
      const room_m = 2 * halfAt(Math.min(from_m, left.depth_m));
      const width_m = Math.min(brick.width_m, brick.length_m);
      const abreast = Math.max(1, Math.min(Math.floor(room_m / width_m + 1e-9), Math.ceil(count / channels.length)));
      return Array.from({ length: abreast }, (_, i) => ({
        ...{ x: x(middle_m + (i - abreast / 2) * width_m), y: y(from_m + brick.depth_m + liner_m) },
        ...{ width: width_m * px, height: brick.depth_m * px },
      }));
    }),
  );
}
