/**
 * One list of segments out of those that several bodies ask for, by what each segment is for: the slowest rate, the longest hold, the
 * target that all of them need. A body that has no such segment is on its way to its next one, and bears no more than there.
 */
import { type PurposefulSegment, ROLES, type Role } from '../kiln/segment';
import { LEAST_CLIMB_K, LEAST_SECOND_COOL_K } from '../schedule/firstGuess';

export type Rows = readonly PurposefulSegment[];

/** Ranges of heat work that do no more than touch are not shared: no schedule is keyed so closely. */
export const SHARED_FROM = 1.1;

/** Whose figure counts where they differ: the hottest or the coldest target. */
const HOTTEST: Record<Role, boolean> = {
  ...{ dry: true, burnOff: true, warmUp: true, climb: true, squeeze: true, settle: true, work: true },
  ...{ drop: false, firstCool: false, secondCool: false, lastCool: false },
};

const slowest = (rates: readonly (number | null)[]): number | null => {
  const least = Math.min(...rates.map((rate) => rate ?? Infinity));
  return least === Infinity ? null : least;
};

/** What a body does while another has a segment that it has not: the way to its next one. */
export function rateIn(rows: Rows, role: Role): number | null {
  const next = rows.find((row) => ROLES.indexOf(row.role) >= ROLES.indexOf(role));
  return next?.rate_C_per_h ?? null;
}

export function merged(all: readonly Rows[]): PurposefulSegment[] {
  const roles = ROLES.filter((role) => all.some((rows) => rows.some((row) => row.role === role)));
  const together = roles.map((role): PurposefulSegment => {
    const own = all.flatMap((rows) => rows.find((row) => row.role === role) ?? []);
    const targets = own.map(({ target_C }) => target_C);
    return {
      role,
      rate_C_per_h: slowest(all.map((rows) => rateIn(rows, role))),
      target_C: HOTTEST[role] ? Math.max(...targets) : Math.min(...targets),
      hold_s: Math.max(...own.map(({ hold_s }) => hold_s)),
    };
  });
  return inOrder(together);
}

/**
 * Glass of several heat ranges is soaked where each asks, the hottest first, and from there on cools as slowly as any of it may. ranges: of each
 * body, the range of its glass.
 */
export function soakedApart(rows: PurposefulSegment[], all: readonly Rows[], ranges: readonly number[]): PurposefulSegment[] {
  const soaks = rangesAsSoaked(all, ranges).map((range) => merged(all.filter((_, i) => ranges[i] === range)).filter(({ role }) => role === 'drop'));
  if (soaks.length < 2) return rows;
  const cool = rows.find(({ role }) => role === 'firstCool')?.rate_C_per_h ?? null;
  return rows.flatMap((row) => (row.role !== 'drop' ? [row] : soaks.flat().map((soak, i) => ({ ...soak, rate_C_per_h: i === 0 ? row.rate_C_per_h : cool }))));
}

/** The ranges that soak, the one that soaks hottest first. */
export function rangesAsSoaked(all: readonly Rows[], ranges: readonly number[]): number[] {
  const soak_C = (range: number): number =>
    Math.min(...all.filter((_, i) => ranges[i] === range).flatMap((rows) => rows.find(({ role }) => role === 'drop')?.target_C ?? []));
  return [...new Set(ranges)].filter((range) => Number.isFinite(soak_C(range))).sort((one, other) => soak_C(other) - soak_C(one));
}

/** Each segment goes on from the one before: a way up ends under the next one, the second cool under the first. */
export function inOrder(rows: PurposefulSegment[]): PurposefulSegment[] {
  const next = [...rows];
  for (let i = next.length - 2; i >= 0; i -= 1) {
    const [one, after] = [next[i], next[i + 1]];
    if (isClimb(one.role) && isClimb(after.role)) next[i] = { ...one, target_C: Math.min(one.target_C, after.target_C - LEAST_CLIMB_K) };
  }
  for (let i = 1; i < next.length; i += 1) {
    if (next[i].role === 'secondCool') next[i] = { ...next[i], target_C: Math.min(next[i].target_C, next[i - 1].target_C - LEAST_SECOND_COOL_K) };
  }
  return next;
}

export const isClimb = (role: Role): boolean => HOTTEST[role];

/** Of one schedule that each body has corrected for itself, segment by segment. */
export function agreed(corrected: readonly Rows[]): PurposefulSegment[] {
  const [first] = corrected;
  const together = first.map(({ role }, i): PurposefulSegment => {
    const own = corrected.map((rows) => rows[i]);
    const targets = own.map(({ target_C }) => target_C);
    return {
      role,
      rate_C_per_h: slowest(own.map(({ rate_C_per_h }) => rate_C_per_h)),
      target_C: HOTTEST[role] ? Math.max(...targets) : Math.min(...targets),
      hold_s: Math.max(...own.map(({ hold_s }) => hold_s)),
    };
  });
  return inOrder(together);
}
