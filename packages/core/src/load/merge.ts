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

/** ranges: of each, the heat range of its glass; of one where left out. */
export function merged(all: readonly Rows[], ranges: readonly number[] = []): PurposefulSegment[] {
  const roles = ROLES.filter((role) => all.some((rows) => rows.some((row) => row.role === role)));
  const together = roles.map((role): PurposefulSegment => {
    const having = all.flatMap((rows, i) => rows.filter((row) => row.role === role).map((row) => ({ row, range: ranges[i] ?? 0 })));
    const own = having.map(({ row }) => row);
    const targets = own.map(({ target_C }) => target_C);
    return {
      role,
      rate_C_per_h: slowest(all.map((rows) => rateIn(rows, role))),
      target_C: targetFor(
        role,
        targets,
        having.map(({ range }) => range),
      ),
      hold_s: Math.max(...own.map(({ hold_s }) => hold_s)),
    };
  });
  return inOrder(together);
}

/** The target that all of them need; of several soaks the hottest, for the cooler ones follow on the way down. */
function targetFor(role: Role, targets: readonly number[], ranges: readonly number[]): number {
  if (HOTTEST[role]) return Math.max(...targets);
  if (role !== 'drop') return Math.min(...targets);
  return Math.max(...soaksOf(targets, ranges));
}

/** Of each heat range where it soaks: as low as the one of it that soaks lowest, °C. */
const soaksOf = (targets: readonly number[], ranges: readonly number[]): number[] =>
  [...new Set(ranges)].map((range) => Math.min(...targets.filter((_, i) => ranges[i] === range)));

/** Each range is soaked where its own glass asks, the hottest first; from the first on all cool as slowly as any of them may. */
export function soakedApart(rows: readonly PurposefulSegment[], all: readonly Rows[], ranges: readonly number[]): PurposefulSegment[] {
  const soaks = all.map((own) => own.find(({ role }) => role === 'drop'));
  const cooler = [...new Set(ranges)].flatMap((range) => {
    const own = soaks.flatMap((soak, i) => (soak && ranges[i] === range ? [soak] : []));
    return own.length === 0 ? [] : [{ target_C: Math.min(...own.map((one) => one.target_C)), hold_s: Math.max(...own.map((one) => one.hold_s)) }];
  });
  const cool = rows.find(({ role }) => role === 'firstCool')?.rate_C_per_h ?? null;
  return rows.flatMap((row) => {
    if (row.role !== 'drop') return [row];
    const after = cooler.filter(({ target_C }) => target_C < row.target_C).sort((a, b) => b.target_C - a.target_C);
    return [row, ...after.map((soak): PurposefulSegment => ({ role: 'drop', rate_C_per_h: cool, ...soak }))];
  });
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
export function agreed(corrected: readonly Rows[], ranges: readonly number[] = corrected.map(() => 0)): PurposefulSegment[] {
  const [first] = corrected;
  const together = first.map(({ role }, i): PurposefulSegment => {
    const own = corrected.map((rows) => rows[i]);
    const targets = own.map(({ target_C }) => target_C);
    return {
      role,
      rate_C_per_h: slowest(own.map(({ rate_C_per_h }) => rate_C_per_h)),
      target_C: targetFor(role, targets, ranges),
      hold_s: Math.max(...own.map(({ hold_s }) => hold_s)),
    };
  });
  return inOrder(together);
}
