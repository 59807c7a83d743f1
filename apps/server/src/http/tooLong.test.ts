import { PieceFileSchema } from '@torvin/schema';
import { z } from 'zod';
import { tooLong } from './tooLong';

const list = (length: number): unknown[] => Array.from({ length }, () => ({}));
const Parsed = jest.fn();
const Watched = z.object({}).refine((one) => {
  Parsed(one);
  return true;
});

test.each([
  ['a list', z.array(Watched).max(3), list(4), ''],
  ['one within', z.object({ a: z.object({ b: z.array(Watched).max(3).default([]) }) }), { a: { b: list(4) } }, 'a.b'],
  ['one within a list', z.array(z.object({ c: z.array(Watched).max(1).optional() })).max(2), [{ c: [] }, { c: list(2) }], '1.c'],
  ['one by its name', z.record(z.string(), z.array(Watched).max(1)), { x: list(2) }, 'x'],
  ['one behind a change of form', z.array(Watched).max(1).transform(String), list(2), ''],
  ['one in each choice', z.union([z.object({ a: z.array(Watched).max(1) }), z.object({ a: z.array(Watched).max(2) })]), { a: list(3) }, 'a'],
])('%s that is too long is found, and nothing in it is parsed', (_what, schema, input, path) => {
  expect(tooLong(schema, input)).toMatchObject({ code: 'out-of-range', path });
  expect(Parsed).not.toHaveBeenCalled();
});

test('what is within its bounds, of another form, or too long for one choice only, is left to the schema', () => {
  const two = z.union([z.object({ a: z.array(Watched).max(1) }), z.object({ a: z.array(Watched).max(2) })]);
  for (const [schema, input] of [
    [z.array(Watched).max(3), list(3)],
    [z.array(Watched), list(3000)],
    [two, { a: list(2) }],
    [z.object({ a: z.array(Watched).max(1) }), { a: 'x', more: list(9) }],
    [z.string(), list(9)],
    [z.array(z.string()).max(1), null],
  ] as const) {
    expect(tooLong(schema, input)).toBeNull();
  }
});

test('a piece file with a million firings is refused before the first of them', () => {
  const firings = new Array<object>(1e6).fill({});
  expect(tooLong(PieceFileSchema, { firings })).toMatchObject({ path: 'firings' });
});
