/** What a controller reads from the start of a program to its end, from one corner to the next in a straight line. */
import type { Segment } from './segment';

export interface Corner {
  t_s: number;
  at_C: number;
}

/** Its start, and the end of each ramp and of each hold. ends_s: when each segment ends. */
export function cornersOf(segments: readonly Pick<Segment, 'target_C' | 'hold_s'>[], ends_s: readonly number[], start_C: number): Corner[] {
  const corners: Corner[] = [{ t_s: 0, at_C: start_C }];
  segments.slice(0, ends_s.length).forEach(({ target_C, hold_s }, i) => {
    corners.push({ t_s: Math.max(ends_s[i] - hold_s, corners[corners.length - 1].t_s), at_C: target_C }, { t_s: ends_s[i], at_C: target_C });
  });
  return corners;
}
