import { wearOf, wearWords, wornBy } from './wear';

const METRIC = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const primer = { name: 'Shelf primer', firings: 5, top_C: 850 };
const since = (hot: number, cool = 0, hottest_C: number | null = hot > 0 ? 804 : cool > 0 ? 640 : null) => ({ hot, cool, hottest_C });

const none = { fell: 0, tapped: 0, stuck: 0, broke: 0 };

test('what came off it judges above its count: what stuck asks for another, what always came by itself may be left once more', () => {
  const life = { name: 'Primer', firings: 2, top_C: 850 };
  const since = (fired: number, released: Partial<typeof none>) => ({ hot: fired, cool: 0, hottest_C: 700, released: { ...none, ...released } });
  const words = (fired: number, released: Partial<typeof none>) =>
    wearWords(life, since(fired, released), false, { temperature: 'C', length: 'mm', mass: 'g' });
  expect(wearOf({ ...life, firings: 9 }, since(1, { stuck: 1 }), false)).toBe('recoat');
  expect(wearOf({ ...life, firings: 9 }, since(1, { tapped: 1 }), false)).toBe('good');
  expect(words(1, { broke: 1 })).toMatch(/^Glass stuck or broke on it once since: recoat it\./);
  expect(words(2, { fell: 2 })).toMatch(/: recoat it\. All 2 recorded came off by themselves: by this record it may be left for one more\.$/);
  expect(words(2, { fell: 1, tapped: 1 })).toMatch(/ 1 of 2 recorded had to be tapped\.$/);
  expect(words(2, {})).toMatch(/: recoat it\.$/);
});

test('a coat is good until its life is had, and says when one more uses it up', () => {
  expect([0, 3, 4, 5, 6].map((hot) => wearOf(primer, since(hot), false))).toEqual(['good', 'good', 'last', 'recoat', 'recoat']);
  expect(wearOf({ ...primer, firings: 1 }, since(0), false)).toBe('good');
  expect(wearOf({ ...primer, firings: 1 }, since(1), false)).toBe('recoat');
  expect(wearWords(primer, since(3), false, METRIC)).toBe('3 firings since, none over 804 °C; Shelf primer lasts 5 firings.');
  expect(wearWords(primer, since(4), false, METRIC)).toMatch(/recoat it after the next\.$/);
  expect(wearWords(primer, since(5), false, METRIC)).toBe('5 firings since, none over 804 °C; Shelf primer lasts 5 firings: recoat it.');
  expect(wearWords(primer, since(0), false, METRIC)).toBe('Not fired since; Shelf primer lasts 5 firings.');
});

test('cool firings take their own share, where they were counted', () => {
  const nitride = { name: 'Nitride', firings: 4, coolFirings: 40, top_C: 870 };
  expect(wornBy(nitride, since(1, 10))).toBeCloseTo(0.5, 12);
  expect(wornBy(primer, since(1, 1))).toBeCloseTo(0.4, 12);
  expect(wearOf(nitride, since(0, 38), false)).toBe('good');
  expect(wearOf(nitride, since(0, 39), false)).toBe('last');
  expect(wearOf(nitride, since(3, 10), false)).toBe('recoat');
  expect(wearWords(nitride, since(0, 7), false, METRIC)).toBe('7 firings since, none over 640 °C; Nitride lasts 4 firings, 40 below 700 °C.');
});

test('scratched, or hotter than it bears, it is to be renewed whatever its count', () => {
  expect(wearOf(primer, since(0), true)).toBe('recoat');
  expect(wearWords(primer, since(1), true, METRIC)).toMatch(/^It is scratched or bare: recoat before glass lies on it\. One firing since/);
  expect(wearOf(primer, since(1, 0, 860), false)).toBe('recoat');
  expect(wearWords(primer, since(1, 0, 860), false, METRIC)).toBe('It was fired to 860 °C, and Shelf primer is good for 850 °C: recoat it. One firing since.');
});
