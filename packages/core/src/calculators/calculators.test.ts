import { CALCULATORS, CALLS } from './all';
import { createEngine } from '../engine';

const engine = createEngine();

describe('every calculator', () => {
  test.each(CALLS)('%s answers its cases as its contract says', async (call) => {
    const { summary, request, answer, cases } = await CALCULATORS[call].contract();
    expect(summary).toMatch(/^[A-Z].*[^.]$/);
    expect(Object.keys(cases).length).toBeGreaterThan(0);
    for (const [title, whole] of Object.entries(cases)) {
      const asked = request.parse(whole);
      const given = answer.safeParse(engine.call(call, asked as never));
      expect([title, given.error]).toEqual([title, undefined]);
    }
  });

  test.each(CALLS)('%s is pure: the same request has the same answer, and is left as it was', async (call) => {
    const { request, cases } = await CALCULATORS[call].contract();
    const asked = request.parse(Object.values(cases)[0]);
    const before = JSON.stringify(asked);
    const first = JSON.stringify(engine.call(call, asked as never));
    expect(JSON.stringify(engine.call(call, asked as never))).toBe(first);
    expect(JSON.stringify(asked)).toBe(before);
  });
});
