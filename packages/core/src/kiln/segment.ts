/** One line of a schedule: go to a target at a rate, then hold. */
export interface Segment {
  /** °C/h, positive whichever way the segment goes; null is as fast as the kiln can (off, when cooling). */
  rate_C_per_h: number | null;
  target_C: number;
  hold_s: number;
}

/** What a segment is for, in the order a full fuse has them; climb: from where an empty item is past its slow range to the last stretch; settle: grains sink together before they are worked. */
export const ROLES = ['dry', 'burnOff', 'warmUp', 'climb', 'squeeze', 'settle', 'work', 'drop', 'firstCool', 'secondCool', 'lastCool'] as const;
export type Role = (typeof ROLES)[number];

export interface PurposefulSegment extends Segment {
  role: Role;
}
