/** A former as its points were taken: from the middle of its top out and down to its foot. Lengths in m. */
import type { SectionPoint } from './surface';

type Line = readonly SectionPoint[];

/** What falls less steeply carries the glass on it; what is farther out hangs. */
export const TOP_ENDS_DEG = 30;
const STEEP = Math.tan((TOP_ENDS_DEG * Math.PI) / 180);

/** Which point is the last of its top. */
export function topEnd(line: Line): number {
  const falls = line.slice(1).findIndex(({ out_m, up_m }, i) => line[i].up_m - up_m > STEEP * Math.max(out_m - line[i].out_m, 0) + 1e-12);
  return falls < 0 ? line.length - 1 : falls;
}

/** Half of its top. */
export const topHalf = (line: Line): number => line[topEnd(line)].out_m;

/** Down its sides, from where its top ends. */
export const sidesDown = (line: Line): SectionPoint[] => line.slice(topEnd(line));

/** How far the steepest of its sides leans out, degrees off upright; negative where one leans in under its top. */
export function leanOf(sides: Line): number {
  const leans = sides.slice(1).map(({ out_m, up_m }, i) => Math.atan2(out_m - sides[i].out_m, sides[i].up_m - up_m));
  return (Math.min(...leans, Math.PI / 2) * 180) / Math.PI;
}

/** From the middle along it, down to so far over its foot, m. */
export function wayDown(line: Line, over_m: number): number {
  const level = line[line.length - 1].up_m + over_m;
  return line.slice(1).reduce((way, to, i) => {
    const from = line[i];
    if (from.up_m <= level) return way;
    const share = to.up_m >= level ? 1 : (from.up_m - level) / (from.up_m - to.up_m);
    return way + share * Math.hypot(to.out_m - from.out_m, to.up_m - from.up_m);
  }, 0);
}
