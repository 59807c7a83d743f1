/** The next thing to do with a piece, by where the firing stands that is looked at. */
import type { Piece, Step } from '@torvin/schema';
import { NEXT_ACT } from './words';
import { WORDS } from '@/ui/said';

export type NextAct = 'plan' | 'see' | 'keyIn' | 'start' | 'watch' | 'record';

/** Each as its button says it. */
export const ACT_NAMES: Record<NextAct, string> = {
  plan: NEXT_ACT.planAFiring,
  see: NEXT_ACT.seeTheSchedule,
  keyIn: WORDS.keyIn,
  start: NEXT_ACT.start,
  watch: NEXT_ACT.seeTheFiring,
  record: WORDS.recordResult,
};

export interface ActState {
  /** The firing that is looked at; undefined where none is planned. */
  firing: Pick<Step, 'id' | 'scheduleId'> | undefined;
  /** Results by step: null while it is in the kiln. */
  fired: Piece['fired'];
  /** Whether it is the next step of the journey. */
  isNext: boolean;
  /** Its schedule no longer answers to the piece, its set-up or its kiln. */
  isOutdated: boolean;
  /** A program of its controller holds the schedule. */
  isKeyed: boolean;
  /** In the kiln: whether its program has ended, or the kiln was opened. */
  isOver: boolean;
}

export function nextActFor({ firing, fired, isNext, isOutdated, isKeyed, isOver }: ActState): NextAct {
  if (!firing || firing.scheduleId === null) return 'plan';
  const result = fired[firing.id];
  if (result === null) return isOver ? 'record' : 'watch';
  // What came out short or too far is planned again, and what comes later is not keyed in yet.
  if (result !== undefined || !isNext || isOutdated) return 'see';
  return isKeyed ? 'start' : 'keyIn';
}
