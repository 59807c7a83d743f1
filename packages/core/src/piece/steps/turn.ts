import type { HandStep } from '../handStep';
import { turnBody } from '../handSteps';
import type { BenchKind } from './step';

export type TurnStep = HandStep & { kind: 'turn' };

export const turn: BenchKind<TurnStep> = {
  name: 'Turn over',
  usual: () => ({}),
  fields: [],
  words: () => 'what was on top lies on the shelf',
  applies: (now, _step, glasses) => turnBody(now, glasses),
  caution: 'A fused sheet is heavy and its rim is sharp: gloves, both hands under it, and a soft cloth to turn it on.',
};
