/** What pieces wait for, in words, and what is to be done about it. */
import { LOOK_NAMES } from '@torvin/core/look';
import { formatDuration, text } from '@torvin/core/units';
import type { WaitingPiece } from '@torvin/schema';
import { DECISIONS, WAITING } from './words';

export type Ready = WaitingPiece & { stepId: string };
/** It waits for its kiln, and its schedule is there. */
export const isReady = (one: WaitingPiece): one is Ready => one.for === 'kiln' && one.stepId !== null && one.total_s !== null;

/** What has a day to be done by first, the nearest before the others; the rest in its order. */
export const dueFirst = (waiting: readonly WaitingPiece[]): WaitingPiece[] => {
  const dayOf = ({ piece }: WaitingPiece): string => piece.dueOn ?? AFTER_ALL;
  return [...waiting].sort((a, b) => dayOf(a).localeCompare(dayOf(b)));
};
const AFTER_ALL = '9999';

/** 'full fuse · 20 h 09'. */
export const firingWords = ({ look, total_s }: Pick<WaitingPiece, 'look' | 'total_s'>): string =>
  [look === null ? 'firing' : LOOK_NAMES[look].toLowerCase(), ...(total_s === null ? [] : [text(formatDuration(total_s))])].join(' · ');

/** What has to be decided before a piece goes on, in a few words; null where nothing is. */
export function decisionFor({ for: what, look, outdated }: Pick<WaitingPiece, 'for' | 'look' | 'outdated'>): { why: string; act: string } | null {
  const name = look === null ? 'firing' : LOOK_NAMES[look].toLowerCase();
  if (outdated.length > 0) return { why: DECISIONS.outdated(name, outdated.join(' ')), act: DECISIONS.again };
  switch (what) {
    case 'choice':
      return { why: DECISIONS.noFiring, act: DECISIONS.plan };
    case 'decision':
      return { why: DECISIONS.tooFar(name), act: DECISIONS.nextPlan };
    case 'again':
      return { why: DECISIONS.short(name), act: DECISIONS.nextPlan };
    case 'schedule':
      return { why: DECISIONS.noSchedule(name), act: DECISIONS.plan };
    default:
      return null;
  }
}

export function waitsFor({ for: what, look, step }: Pick<WaitingPiece, 'for' | 'look' | 'step'>): string {
  const name = look === null ? 'firing' : LOOK_NAMES[look].toLowerCase();
  switch (what) {
    case 'choice':
      return WAITING.firingChosen;
    case 'decision':
      return WAITING.decisionWentToo(name);
    case 'again':
      return WAITING.anotherLastFell(name);
    case 'schedule':
      return WAITING.theScheduleOf(name);
    case 'kiln':
      return WAITING.theKilnFor(name);
    case 'hand':
      return WAITING.theBench((step ?? WAITING.aStep).toLowerCase());
  }
}
