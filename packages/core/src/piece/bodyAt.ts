/** The body that a firing of a piece meets: what the steps before it have made. */
import { type Outcome, found, refused } from '../problem';
import type { Body } from '../schedule/firingCase';
import { applySteps } from './applySteps';
import { type BodyNow, bodyOf, nothingYet } from './bodyNow';
import type { PieceDocument } from './document';
import { placeOf } from './journey';
import type { NamedGlass } from './shelf';

type Journeying = Pick<PieceDocument, 'footprint' | 'dammed' | 'journey'>;

export interface Met {
  now: BodyNow;
  body: Body;
  /** In the order of the body's glasses. */
  glassIds: string[];
}

/** Before a step; of an id that is not in it, at the end of the journey. */
export function bodyBefore(doc: Journeying, stepId: string, glasses: readonly NamedGlass[]): Outcome<Met> {
  const at = placeOf(doc, stepId);
  const after = applySteps({ ...doc, journey: doc.journey.slice(0, at) }, glasses);
  const fault = after.find(({ problem }) => problem !== null);
  if (fault?.problem) return refused(fault.problem.code, `doc.journey.${after.indexOf(fault)}`, fault.problem.message);
  const now = after.at(-1)?.body ?? nothingYet(doc);
  const made = bodyOf(now, glasses);
  return made.ok ? found({ now, ...made.value }) : made;
}
