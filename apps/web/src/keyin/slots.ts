/** Which program of a controller a schedule goes into, and whether it stands in one already. */
import { type Controller, type PanelRow, profileOf } from '@torvin/core/controller';
import type { Program } from '@torvin/schema';
import { format } from 'date-fns/format';
import { aheadWords, dayAndClock } from '@/ui/clock';
import { SLOTS } from './words';

export const isStanding = ({ keyedOverAt }: Program): boolean => keyedOverAt === null;

/** Of one controller, those that stand. */
export const standingOf = (programs: readonly Program[], controllerId: string): Program[] =>
  programs.filter((one) => one.controllerId === controllerId && isStanding(one));

const sameRows = (some: readonly PanelRow[], others: readonly PanelRow[]): boolean =>
  some.length === others.length &&
  some.every(({ rate, target, hold_min }, i) => rate === others[i].rate && target === others[i].target && hold_min === others[i].hold_min);

/** The program in which these very figures stand, whichever schedule they were keyed for; one that was read back before one that was not. */
export function alreadyIn(standing: readonly Program[], rows: readonly PanelRow[]): Program | null {
  const same = standing.filter((program) => sameRows(program.rows, rows));
  return same.find(({ slips }) => slips === 0) ?? same[0] ?? null;
}

/** Numbers of the programs that can be written over. */
export function slotsOf(controller: Controller): { first: number; last: number } {
  const { programs, builtIn } = profileOf(controller);
  return { first: builtIn + 1, last: programs };
}

/** One in which nothing stands; where all are full the one that was keyed longest ago. */
export function slotFor(controller: Controller, standing: readonly Program[]): number {
  const { first, last } = slotsOf(controller);
  const numbers = Array.from({ length: last - first + 1 }, (_, i) => first + i);
  const keyedAt = (slot: number): number => standing.find((one) => one.slot === slot)?.keyedAt ?? -Infinity;
  return numbers.reduce((best, slot) => (keyedAt(slot) < keyedAt(best) ? slot : best), first);
}

const readWords = ({ slips }: Program): string => (slips === null ? SLOTS.notReadBack : slips === 0 ? SLOTS.readBackWithout : SLOTS.readBackWith(slips));

const CLOCKS_APART_MS = 5 * 60e3;

/** When a program was keyed in, and what is to be said of the clock that tells it, unless that was right. */
function clockNote({ keyedAt, ahead_s }: Program, now: Date): string {
  if (keyedAt > now.getTime() + CLOCKS_APART_MS) return SLOTS.whichStillCome(format(keyedAt, 'd MMM yyyy, HH:mm'));
  const at = dayAndClock(keyedAt, now);
  return `${at}${aheadWords(ahead_s)}`;
}

/** 'Bird-bath basin, since Tue 18:20, read back without a slip'. */
export function standsWords(program: Program | undefined, now: Date): string {
  if (program === undefined) return SLOTS.nothingTorvinKnows;
  const since = SLOTS.since(clockNote(program, now));
  return program.pieceName === null ? SLOTS.somethingElse(since) : `${program.pieceName}, ${since}, ${readWords(program)}`;
}

/** Where a schedule stood last and was keyed over; null where it stands, or never stood there. */
export function keyedOverIn(programs: readonly Program[], scheduleId: string, controllerId: string): { program: Program; by: Program | undefined } | null {
  const own = programs.filter((one) => one.scheduleId === scheduleId && one.controllerId === controllerId);
  if (own.some(isStanding)) return null;
  const last = own.toSorted((one, other) => (other.keyedOverAt ?? 0) - (one.keyedOverAt ?? 0))[0];
  return last ? { program: last, by: standingOf(programs, controllerId).find(({ slot }) => slot === last.slot) } : null;
}
