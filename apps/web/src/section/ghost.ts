/** The outline of the fired body as an SVG path, in the pixels of its section drawing. */
import type { Ghost } from '@torvin/core/look';
import type { SectionGeometry, Shape } from './geometry';

const SAMPLES = 48;
const RIM_SAMPLES = 8;

/** standing: the shapes of the pieces on top, whose relief is kept in part. */
export function ghostPath(ghost: Ghost, standing: readonly Shape[], { x, y }: Pick<SectionGeometry, 'x' | 'y'>): string {
  const half = ghost.width_m / 2;
  const upper: string[] = [];
  const lower: string[] = [];
  for (const place of places(half, ghost.rim_m)) {
    const foot = bent(ghost, place);
    upper.push(point(x(place), y(foot + top(ghost, place) + relief(ghost, standing, x(place)))));
    lower.unshift(point(x(place), y(foot)));
  }
  return `M${upper.join('L')}L${lower.join('L')}Z`;
}

/** Evenly along the body, and closer where the rim rounds. */
export function places(half: number, rim_m: number): number[] {
  const even = Array.from({ length: SAMPLES + 1 }, (_, i) => half * ((2 * i) / SAMPLES - 1));
  const rim = Array.from({ length: RIM_SAMPLES }, (_, i) => half - rim_m * (1 - Math.cos(((i + 0.5) * Math.PI) / (2 * RIM_SAMPLES))));
  return [...even, ...rim, ...rim.map((place) => -place)].sort((a, b) => a - b);
}

const point = (px: number, py: number): string => `${px.toFixed(1)} ${py.toFixed(1)}`;

/** Height of the underside over the shelf: a bowl lies on its middle, a hood on its rim. */
export function bent({ crown_m, width_m }: Pick<Ghost, 'crown_m' | 'width_m'>, place_m: number): number {
  const share = Math.min((2 * place_m) / width_m, 1) ** 2;
  return crown_m < 0 ? -crown_m * share : crown_m * (1 - share);
}

/** Depth of the body at a place: its flat, rounded off within rim_m of the rim. */
export function top({ depth_m, rim_m, width_m }: Ghost, place_m: number): number {
  const inside = width_m / 2 - Math.abs(place_m);
  if (rim_m <= 0 || inside >= rim_m) return depth_m;
  const share = 1 - inside / rim_m;
  return Math.max(depth_m - rim_m * (1 - Math.sqrt(Math.max(1 - share * share, 0))), 0);
}

/** What stands over the flat: a rounded hump over each piece. */
function relief({ relief_m }: Ghost, standing: readonly Shape[], px: number): number {
  const on = standing.find((shape) => px >= shape.x && px <= shape.x + shape.width);
  if (!on || relief_m <= 0) return 0;
  const share = Math.abs((2 * (px - on.x)) / on.width - 1);
  return relief_m * Math.sqrt(Math.max(1 - share ** 4, 0));
}
