import { z } from 'zod';
import { FIRING } from '../calculators/samples';
import { AskedFiringSchema, ShapingSchema } from './firing';
import { problemOf } from './problem';

const said = (schema: z.ZodType, input: unknown): string => {
  const read = schema.safeParse(input);
  return read.success ? '' : problemOf(read.error).message;
};
const { kiln: _kiln, ...withoutKiln } = FIRING;

test.each([
  ['a firing without its kiln', AskedFiringSchema, withoutKiln, "'kiln' is missing: it must be an object."],
  ['a kiln that is a number', AskedFiringSchema, { ...FIRING, kiln: 5 }, "'kiln' must be an object; got 5."],
  ['a form without its kind', ShapingSchema, { depth_m: 0.02 }, /^'kind' is missing: it must be hollow, former, .* or ware\.$/],
  ['a form of an unknown kind', ShapingSchema, { kind: 'bowl' }, /^'kind' is "bowl": it must be hollow, /],
  [
    'an outline without its shape',
    AskedFiringSchema,
    { ...FIRING, body: { ...FIRING.body, footprint: {} } },
    /^'shape' is missing: it must be rectangle, disc, /,
  ],
  ['a list that is none', z.object({ rows: z.array(z.number()) }), { rows: {} }, "'rows' must be a list; got {}."],
  ['nothing at all', AskedFiringSchema, undefined, 'What was sent is missing: it must be an object.'],
  ['one of two', z.object({ by: z.union([z.string(), z.number()]) }), { by: [] }, "'by' is none of what it may be; got []."],
])('%s is told in words', (_, schema, input, words) => expect(said(schema, input)).toMatch(words));
