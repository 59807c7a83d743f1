/** Where hands take hold of the parts of a plan: the knob that turns them, the room round them for a finger. */
import type { Box, Point } from '@torvin/core/plan';
import { TARGET } from '@/theme/theme';
import type { PlanGeometry } from './geometry';

const KNOB_PX = 30;
export const BEAD_PX = 20;

/** A place turned about another; degrees: from the right to the back. */
export function turned([x, y]: Point, [cx, cy]: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180;
  const [dx, dy] = [x - cx, y - cy];
  return [cx + dx * Math.cos(angle) - dy * Math.sin(angle), cy + dx * Math.sin(angle) + dy * Math.cos(angle)];
}

/** Beside what is chosen, in its own direction, on the drawing. */
export function knobAt(drawn: PlanGeometry, box: Box, [x, y]: Point, degrees: number): Point {
  const radians = ((degrees + 90) * Math.PI) / 180;
  const reach = (Math.hypot(box.right - box.left, box.back - box.front) / 2) * drawn.scale + KNOB_PX;
  const at: Point = [drawn.x(x) + reach * Math.cos(radians), drawn.y(y) - reach * Math.sin(radians)];
  // Where that is off the drawing, on the other side of it.
  const isOut = at[0] < BEAD_PX || at[0] > drawn.width - BEAD_PX || at[1] < BEAD_PX || at[1] > drawn.height - BEAD_PX;
  const other: Point = [2 * drawn.x(x) - at[0], 2 * drawn.y(y) - at[1]];
  const chosen = isOut ? other : at;
  return [Math.min(Math.max(chosen[0], BEAD_PX), drawn.width - BEAD_PX), Math.min(Math.max(chosen[1], BEAD_PX), drawn.height - BEAD_PX)];
}

/** Large enough for a finger. */
export function gripOf(drawn: PlanGeometry, { left, right, front, back }: Box): { left: number; top: number; width: number; height: number } {
  const [wide, high] = [Math.max((right - left) * drawn.scale, TARGET), Math.max((back - front) * drawn.scale, TARGET)];
  return { left: drawn.x((left + right) / 2) - wide / 2, top: drawn.y((front + back) / 2) - high / 2, width: wide, height: high };
}
