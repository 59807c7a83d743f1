/** What the plan says of what is moved, turned or looked at. */
import { type Box, type Point, type ToldMap, wholeTurn } from '@torvin/core/plan';
import { type LengthUnit, formatLength, text } from '@torvin/core/units';
import type { OwnPart } from './ownPart';
import type { Held } from './usePlanHands';

/** With a true minus. */
export const angle = (degrees: number): string => `${degrees < 0 ? '−' : ''}${Math.round(Math.abs(degrees))}°`;

/** Over what is held: how far its middle is from the left and the front, or how far it is turned. */
export function heldWords(chosen: readonly OwnPart[], held: Held, middle: Point, within: Box, unit: 'mm' | 'in'): string {
  if (held.turn_deg !== 0)
    return chosen.length === 1 ? `${chosen[0].size} · ${angle(wholeTurn(chosen[0].turned_deg + held.turn_deg))}` : `turned ${angle(held.turn_deg)}`;
  return `${text(formatLength(middle[0] - within.left, unit))} · ${text(formatLength(middle[1] - within.front, unit))}`;
}

/** A map of thickness as it is read out. */
export function mapWords({ deepest, thinnest, mean_m }: ToldMap, within: { left: number; front: number }, unit: LengthUnit): string {
  const length = (metres: number): string => text(formatLength(metres, unit));
  if (deepest.depth_m - thinnest.depth_m < 1e-5) return `Thickness from above: ${length(mean_m)} all over`;
  const at = ({ x_m, y_m }: { x_m: number; y_m: number }): string =>
    `${length(x_m - within.left)} from the left and ${length(y_m - within.front)} from the front`;
  return `Thickness from above: deepest ${length(deepest.depth_m)}, ${at(deepest)}; thinnest ${length(thinnest.depth_m)}, ${at(thinnest)}; ${length(mean_m)} on the whole`;
}

export const PLAN_EDITOR = {
  planPageUp: (own: number): string =>
    `Plan, ${own === 1 ? 'one part' : `${own} parts`}. Page up and down choose a part. Arrows move it, square brackets turn it, both farther with shift. Delete removes it.`,
  inLine: 'in line',
  asFar: 'as far',
} as const;

export const THICKNESS_DRAWING = {
  deepest: 'deepest',
  allOfIt: 'all of it',
  here: 'here',
  howThickPlace: 'How thick, from place to place',
  steepestChange: 'steepest change',
} as const;
