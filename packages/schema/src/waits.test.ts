import { waitingOf } from './waits';

const step = (id: string, scheduleId: string | null = 's') => ({ id, scheduleId });
const CHAIN = [step('fuse'), step('slump')];

test.each([
  ['nothing planned', [], {}, { for: 'choice', stepId: null }],
  ['a plan without a schedule', [step('fuse', null)], {}, { for: 'schedule', stepId: 'fuse' }],
  ['a schedule', CHAIN, {}, { for: 'kiln', stepId: 'fuse' }],
  ['a fuse that fell short', CHAIN, { fuse: 'short' }, { for: 'again', stepId: 'fuse' }],
  ['a fuse that went past', CHAIN, { fuse: 'past' }, { for: 'decision', stepId: 'fuse' }],
  ['a fuse that is right', CHAIN, { fuse: 'right' }, { for: 'kiln', stepId: 'slump' }],
  ['all of them right', CHAIN, { fuse: 'right', slump: 'right' }, null],
  ['one in the kiln', CHAIN, { fuse: null }, null],
] as const)('with %s', (_, steps, last, expected) => {
  expect(waitingOf(steps, (id) => (last as Record<string, 'short' | 'right' | 'past' | null>)[id])).toEqual(expected);
});
