import type { JourneyStep } from './document';
import { untoldBefore, untoldWords } from './untold';

const fire = (id: string): JourneyStep => ({ kind: 'fire', id }) as JourneyStep;
const journey: JourneyStep[] = [
  { kind: 'lay', id: 'lay', side: 'above', layers: [] },
  fire('fuse'),
  { kind: 'grind', id: 'grind', at: 'rim', depth_m: 0.001 },
  { kind: 'lay', id: 'more', side: 'above', layers: [] },
  { kind: 'turn', id: 'turn', doneAt: 5 },
  { kind: 'clean', id: 'clean', off: 'dust', soak_s: 0 },
  fire('slump'),
  { kind: 'look', id: 'look', with: 'eye' },
];
const before = (id: string, ...fired: string[]) => untoldBefore(journey, id, (one) => fired.includes(one)).map((step) => step.id);

test('what hands are to do before a firing and was not told, since the last one that was fired; what was laid lies there', () => {
  expect(before('slump', 'fuse')).toEqual(['grind', 'clean']);
  expect(before('slump')).toEqual(['grind', 'clean']);
  expect(before('fuse')).toEqual([]);
  expect(before('gone')).toEqual([]);
  const longer = [...journey, fire('again')];
  expect(untoldBefore(longer, 'again', (one) => one === 'slump').map(({ id }) => id)).toEqual(['look']);
});

test('is named by its place', () => {
  expect(
    untoldWords(
      journey,
      untoldBefore(journey, 'slump', () => false),
    ),
  ).toBe('Not told as done: 3 Trim the rim, 6 Clean.');
  expect(untoldWords(journey, [])).toBe('');
});
