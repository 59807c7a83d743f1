/** What a step makes of a body and takes from it, or why it cannot be done. */
import { type Outcome, type Problem, found, refused } from '../problem';
import type { BodyNow } from './bodyNow';
import { CANNOT_BE } from './inForm';

/** Where glass went that left the body, or came from where none was laid. */
export type TakenAs = 'offcut' | 'kerf' | 'ground' | 'blasted' | 'polished' | 'drilled' | 'leftBehind';

export interface Taken {
  as: TakenAs;
  mass_kg: number;
}

export interface Change {
  body: BodyNow;
  taken?: Taken[];
}
export type StepOutcome = Outcome<Change>;

/** Less than this is rounding, kg. */
const LEAST_TOLD_KG = 1e-9;

export const unlike = (message: string): { ok: false; problem: Problem } => refused(CANNOT_BE, '', message);
export const NOTHING_THERE = 'There is no glass here yet: lay some on first.';
export const NOT_ONE = 'Nothing holds these layers together yet: fuse them first.';

export const stepOutcome = (body: BodyNow, ...taken: Taken[]): StepOutcome => found({ body, taken: taken.filter(({ mass_kg }) => mass_kg > LEAST_TOLD_KG) });
