/** The outline of a piece from above, to scale in a box: an SVG path and the scale it was drawn at. */
import type { Footprint } from '@torvin/core/body';
import { tenth } from '@/ui/pixels';

export interface DrawnOutline {
  path: string;
  pxPerMetre: number;
  width: number;
  height: number;
}

function extent(footprint: Footprint): { width_m: number; length_m: number } {
  switch (footprint.shape) {
    case 'disc':
    case 'ring':
      return { width_m: footprint.diameter_m, length_m: footprint.diameter_m };
    case 'polygon': {
      const [xs, ys] = [footprint.corners_m.map(([x]) => x), footprint.corners_m.map(([, y]) => y)];
      return { width_m: Math.max(...xs) - Math.min(...xs), length_m: Math.max(...ys) - Math.min(...ys) };
    }
    default:
      return footprint;
  }
}

/** From its end at the left, or at the right where the width is negative. */
function ellipse(x: number, y: number, width: number, height: number): string {
  const [rx, ry] = [tenth(Math.abs(width) / 2), tenth(height / 2)];
  const sweep = width < 0 ? 1 : 0;
  const half = (by: number): string => `a${rx} ${ry} 0 1 ${sweep} ${tenth(by)} 0`;
  return `M${tenth(x)} ${tenth(y)}${half(width)}${half(-width)}Z`;
}

/** The longer side lies level, as a picture of a piece usually does. */
export function outlineIn(footprint: Footprint, box: { width: number; height: number }): DrawnOutline {
  const { width_m, length_m } = extent(footprint);
  const upright = footprint.shape === 'rectangle' || footprint.shape === 'oval' ? length_m > width_m : false;
  const [across_m, down_m] = upright ? [length_m, width_m] : [width_m, length_m];
  const pxPerMetre = Math.min(box.width / across_m, box.height / down_m);
  const [width, height] = [across_m * pxPerMetre, down_m * pxPerMetre];
  const round = ellipse(0, height / 2, width, height);
  if (footprint.shape === 'disc' || footprint.shape === 'oval') return { path: round, pxPerMetre, width, height };
  if (footprint.shape === 'ring') {
    // The hole runs the other way round, so that it stays open however it is filled.
    const hole = footprint.inner_m * pxPerMetre;
    return { path: `${round}${ellipse((width + hole) / 2, height / 2, -hole, hole)}`, pxPerMetre, width, height };
  }
  if (footprint.shape === 'rectangle') return { path: `M0 0H${tenth(width)}V${tenth(height)}H0Z`, pxPerMetre, width, height };
  const [left, top] = [Math.min(...footprint.corners_m.map(([x]) => x)), Math.min(...footprint.corners_m.map(([, y]) => y))];
  const points = footprint.corners_m.map(([x, y]) => `${tenth((x - left) * pxPerMetre)} ${tenth((y - top) * pxPerMetre)}`);
  return { path: `M${points.join('L')}Z`, pxPerMetre, width, height };
}
