import type { JourneyStep } from '@torvin/core/piece';
import { waitingOf } from './waits';

const step = (id: string, scheduleId: string | null = 's'): JourneyStep => ({
  ...{ kind: 'fire', id, look: id === 'fuse' ? 'fullFuse' : 'slump', setup: { kind: 'bareShelf', paper: false }, kilnId: 'k', controllerId: 'c' },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId, computedId: null },
});
const LAID: JourneyStep = { kind: 'lay', id: 'laid', side: 'above', layers: [] };
const TURN: JourneyStep = { kind: 'turn', id: 'turn' };
const ON_THE_BACK: JourneyStep = { ...LAID, id: 'back' };
const CHAIN = [LAID, step('fuse'), step('slump')];
const again = step('again');
const TURNED = [LAID, step('fuse'), TURN, ON_THE_BACK, step('slump')];

test.each([
  ['nothing planned', [LAID], {}, { for: 'choice', stepId: null }],
  ['a plan without a schedule', [step('fuse', null)], {}, { for: 'schedule', stepId: 'fuse' }],
  ['a schedule', CHAIN, {}, { for: 'kiln', stepId: 'fuse' }],
  ['a fuse that fell short', CHAIN, { fuse: 'short' }, { for: 'again', stepId: 'fuse' }],
  ['a fuse that went past', CHAIN, { fuse: 'past' }, { for: 'decision', stepId: 'fuse' }],
  ['a fuse that is right', CHAIN, { fuse: 'right' }, { for: 'kiln', stepId: 'slump' }],
  ['all of them right', CHAIN, { fuse: 'right', slump: 'right' }, null],
  ['one in the kiln', CHAIN, { fuse: null }, null],
  ['a turn between two firings, before the first', TURNED, {}, { for: 'kiln', stepId: 'fuse' }],
  ['a turn between two firings, after the first', TURNED, { fuse: 'right' }, { for: 'hand', stepId: 'turn' }],
  ['the turn done', TURNED.with(2, { ...TURN, doneAt: 1 }), { fuse: 'right' }, { for: 'hand', stepId: 'back' }],
  ['the turn not told, and what comes after it done', TURNED.with(3, { ...ON_THE_BACK, doneAt: 1 }), { fuse: 'right' }, { for: 'kiln', stepId: 'slump' }],
  ['a last step of the hands', [...CHAIN, TURN], { fuse: 'right', slump: 'right' }, { for: 'hand', stepId: 'turn' }],
  ['a fuse that fell short, and the piece gone on', CHAIN, { fuse: 'short', slump: 'right' }, null],
  ['a slump that fell short, planned once more', [...CHAIN, again], { fuse: 'right', slump: 'short' }, { for: 'kiln', stepId: 'again' }],
  ['a fuse that fell short before a turn', TURNED, { fuse: 'short' }, { for: 'again', stepId: 'fuse' }],
] as const)('with %s', (_, steps, last, expected) => {
  expect(waitingOf(steps, (id) => (last as Record<string, 'short' | 'right' | 'past' | null>)[id])).toEqual(expected);
});
