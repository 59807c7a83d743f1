/** Whether a mould is dry, by the scales: no clock can tell. Masses in kg; times in ms, UTC. */

export interface Weighing {
  at: number;
  mass_kg: number;
}

export interface Drying {
  isDry: boolean;
  /** Water in it that has to leave yet; null where nobody knows what it weighs dry. */
  holds_kg: number | null;
  /** When it will be dry at the pace of its last two weighings; null where they do not tell. */
  dryAt: number | null;
  /** What it lost between its last two weighings, as a share of it, and over how long, s; null with fewer. */
  lost: { share: number; over_s: number } | null;
}

/** So much of its dry mass is left to the air round it: plaster and clay hold as much in any room. */
const AIR_SHARE = 0.02;
/** Less than so much lost, over so long, is as dry as this room makes it. */
const STEADY = { share: 0.005, over_s: 20 * 3600 };

/**
 * Once its surface is dry, water leaves at a pace in proportion to what is left of it (the falling-rate period; Lewis 1921): two weighings
 * tell that pace where its dry mass is known.
 */
export function drying(weighings: readonly Weighing[], dry_kg: number | null): Drying {
  const [before, last] = weighings.length > 1 ? weighings.slice(-2) : [undefined, weighings.at(-1)];
  if (!last) return { isDry: false, holds_kg: null, dryAt: null, lost: null };
  const over_s = before ? (last.at - before.at) / 1000 : 0;
  const lost = before && over_s > 0 ? { share: (before.mass_kg - last.mass_kg) / before.mass_kg, over_s } : null;
  const isSteady = lost !== null && lost.over_s >= STEADY.over_s && Math.abs(lost.share) < STEADY.share;
  const holds_kg = dry_kg === null ? null : Math.max(last.mass_kg - dry_kg, 0);
  const enough_kg = (dry_kg ?? 0) * AIR_SHARE;
  const isDry = isSteady || (holds_kg !== null && holds_kg <= enough_kg);
  return { isDry, holds_kg, dryAt: isDry ? null : foreseen(before, last, dry_kg, enough_kg), lost };
}

function foreseen(before: Weighing | undefined, last: Weighing, dry_kg: number | null, enough_kg: number): number | null {
  if (!before || dry_kg === null || last.at <= before.at) return null;
  const [was, is] = [before.mass_kg - dry_kg, last.mass_kg - dry_kg];
  if (is <= enough_kg || was <= is) return null;
  const perMs = Math.log(was / is) / (last.at - before.at);
  return Math.round(last.at + Math.log(is / enough_kg) / perMs);
}
