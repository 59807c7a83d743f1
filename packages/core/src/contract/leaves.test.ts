import { CALCULATORS, CALLS } from '../engine';
import { z } from 'zod';
import { type JsonSchema, leavesOf, withLeaf } from './leaves';

const schemaOf = (schema: z.ZodType, io: 'input' | 'output'): JsonSchema => z.toJSONSchema(schema, { io, unrepresentable: 'any' }) as JsonSchema;

test.each(CALLS)('%s: each figure of its cases has a name and a unit where it has one', async (call) => {
  const { request, cases } = await CALCULATORS[call].contract();
  for (const whole of Object.values(cases)) {
    const leaves = leavesOf(whole, schemaOf(request, 'input'));
    expect(leaves.length).toBeGreaterThan(1);
    for (const { path, title } of leaves) expect([path.join('.'), title]).toEqual([path.join('.'), expect.stringMatching(/\S/)]);
    const tops = leaves.filter(({ path }) => path.at(-1) === 'annealing_C');
    for (const { title, unit } of tops) expect([title, unit]).toEqual(['Annealing point', '°C']);
  }
});

test('one leaf is changed and the rest left as it was', () => {
  const value = { a: [{ b: 1 }, { b: 2 }], c: 'x' };
  const changed = withLeaf(value, ['a', 1, 'b'], 3);
  expect(changed).toEqual({ a: [{ b: 1 }, { b: 3 }], c: 'x' });
  expect(value.a[1].b).toBe(2);
});
