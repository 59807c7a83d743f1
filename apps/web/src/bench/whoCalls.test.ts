import { calling, nextTurn, stillAhead } from './whoCalls';

const load = (id: string, from: number, to: number, openedAt: number | null = null) => ({ id, at: from - 100, lookFrom: from, lookTo: to, openedAt });
const loads = [load('one', 1000, 2000), load('two', 1500, 2500), load('opened', 1000, 2000, 900)];
const ids = (answered: Parameters<typeof calling>[1], now: number) => calling(loads, answered, now).map(({ id }) => id);

describe('a load calls', () => {
  test.each([
    [999, []],
    [1000, ['one']],
    [1999, ['one', 'two']],
    [2000, ['two']],
    [2500, []],
  ])('at %d: %j', (now, expected) => expect(ids({}, now)).toEqual(expected));

  test('not after it was seen, and again when that was put off', () => {
    expect(ids({ one: 'seen' }, 1600)).toEqual(['two']);
    expect(ids({ one: 1700 }, 1600)).toEqual(['two']);
    expect(ids({ one: 1700 }, 1700)).toEqual(['one', 'two']);
  });
});

test.each([
  [{}, 0, 1000],
  [{}, 1000, 1500],
  [{}, 1500, 2000],
  [{ one: 1700 }, 1500, 1700],
  [{ one: 'seen', two: 'seen' }, 0, 2000],
  [{}, 2500, null],
] as const)('answered %j, at %d the next turn is at %s', (answered, now, expected) => expect(nextTurn(loads, answered, now)).toBe(expected));

test('what is gone is forgotten', () => expect(stillAhead({ one: 'seen', gone: 5 }, loads)).toEqual({ one: 'seen' }));
