/** What the five tasks have in common: what each is given, the verdict, a controller that can do what is practised. */
import { type Controller, type Profile, TYPICAL_CONTROLLERS, profileOf } from '@torvin/core/controller';
import type { PurposefulSegment } from '@torvin/core/kiln';
import type { Evaluation } from '@torvin/core/schedule';
import { Notice } from '@/ui/Notice';
import { SHARED } from '../words';

export interface Practised {
  controller: Controller & { name: string };
  /** The schedule that is practised on, and what it comes to. */
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  /** Another figure, another controller from try to try. */
  turn: number;
  onDone(passed: boolean): void;
}

export function Verdict({ passed, children }: { passed: boolean; children: string }) {
  return (
    <Notice tone={passed ? 'plain' : 'warn'} testID={passed ? 'task-passed' : 'task-failed'}>
      {`${passed ? SHARED.passed : SHARED.notPassed} ${children}`}
    </Notice>
  );
}

/** The controller itself where it can do what the task needs, else one of no make that can. */
export const able = (controller: Practised['controller'], can: (profile: Profile) => boolean): Practised['controller'] =>
  can(profileOf(controller)) ? controller : (TYPICAL_CONTROLLERS.find((one) => can(profileOf(one))) ?? controller);

export const insteadWords = (controller: { name: string }, instead: { name: string }, cannot: string): string =>
  controller === instead ? '' : SHARED.oneCounts(controller.name, cannot, instead.name);
