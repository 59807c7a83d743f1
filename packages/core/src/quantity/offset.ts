/** A polygon with so much off along every side: its sides moved in along their normals and met again where neighbours cross. */
import { type Footprint, crossesItself } from '../body/footprint';

type Corner = readonly [x: number, y: number];

const twiceArea = (corners: readonly Corner[]): number =>
  corners.reduce((sum, [x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length];
    return sum + x0 * y1 - x1 * y0;
  }, 0);

/** Where a side turns round, or nothing is left. */
const HARDLY_M = 1e-9;

/**
 * by_m: inwards positive. Null where a side would be gone or turn round, or the outline cross itself: what is left then is not of the
 * same corners. Corners stay sharp, as paper is cut.
 */
export function offsetPolygon(corners: readonly Corner[], by_m: number): Corner[] | null {
  const turn = Math.sign(twiceArea(corners));
  if (turn === 0) return null;
  const sides = corners.map(([x0, y0], i) => {
    const [x1, y1] = corners[(i + 1) % corners.length];
    const length = Math.hypot(x1 - x0, y1 - y0);
    const along = [(x1 - x0) / length, (y1 - y0) / length] as const;
    // To the left of a side lies the inside where corners run against the clock.
    return { along, from: [x0 - turn * by_m * along[1], y0 + turn * by_m * along[0]] as const };
  });
  const met = sides.map((side, i): Corner | null => {
    const before = sides[(i + sides.length - 1) % sides.length];
    const cross = before.along[0] * side.along[1] - before.along[1] * side.along[0];
    // In line with the one before it goes on where it was.
    if (Math.abs(cross) < 1e-12) return before.along[0] * side.along[0] + before.along[1] * side.along[1] > 0 ? side.from : null;
    const [dx, dy] = [side.from[0] - before.from[0], side.from[1] - before.from[1]];
    const t = (dx * side.along[1] - dy * side.along[0]) / cross;
    return [before.from[0] + t * before.along[0], before.from[1] + t * before.along[1]];
  });
  if (met.some((corner) => corner === null)) return null;
  const moved = met as Corner[];
  const kept = sides.every(({ along }, i) => {
    const [[x0, y0], [x1, y1]] = [moved[i], moved[(i + 1) % moved.length]];
    return (x1 - x0) * along[0] + (y1 - y0) * along[1] > HARDLY_M;
  });
  return kept && !crossesItself(moved) ? moved : null;
}

/** Any outline with so much off all round; null where nothing of its form is left. */
export function outlineInside(outline: Footprint, by_m: number): Footprint | null {
  switch (outline.shape) {
    case 'polygon': {
      const corners_m = offsetPolygon(outline.corners_m, by_m);
      return corners_m && { shape: 'polygon', corners_m };
    }
    case 'disc':
      return outline.diameter_m > 2 * by_m ? { shape: 'disc', diameter_m: outline.diameter_m - 2 * by_m } : null;
    case 'ring':
      return outline.diameter_m - outline.inner_m > 4 * by_m && outline.inner_m + 2 * by_m > 0
        ? { shape: 'ring', diameter_m: outline.diameter_m - 2 * by_m, inner_m: outline.inner_m + 2 * by_m }
        : null;
    default:
      return Math.min(outline.width_m, outline.length_m) > 2 * by_m
        ? { ...outline, width_m: outline.width_m - 2 * by_m, length_m: outline.length_m - 2 * by_m }
        : null;
  }
}
