import { z } from 'zod';
import { CONTROLLER_COUNTS, countsOf } from '../piece/snapshot';
import { SHAPE_KEYS, shapeOf } from '../piece/inForm';
import { controllerFields } from './controller';
import { formFields } from './form';
import { schemaFor, schemaWith } from './schemaFor';

interface Asked {
  deep_m: number;
  wide_m?: number;
  parts?: readonly { note?: string }[];
}
const part = z.strictObject({ note: z.string().optional() });
const whole = z.strictObject({ deep_m: z.number(), wide_m: z.number().optional(), parts: z.array(part).optional() });

test('a schema that holds all of a type, and nothing else, is taken as it is', () => {
  expect(schemaFor<Asked>()(whole)).toBe(whole);
  expect(schemaWith<Asked>()(whole.extend({ name: z.string() })).parse({ deep_m: 1, name: 'One' })).toEqual({ deep_m: 1, name: 'One' });
});

test('the compiler refuses one that lacks an optional field, at any depth, and one that has another', () => {
  // @ts-expect-error wide_m is absent: a strict object would refuse it at run time
  schemaFor<Asked>()(whole.omit({ wide_m: true }));
  // @ts-expect-error the note of a part is absent
  schemaFor<Asked>()(whole.extend({ parts: z.array(z.strictObject({})).optional() }));
  // @ts-expect-error nothing of the type is called tall_m
  schemaFor<Asked>()(whole.extend({ tall_m: z.number().optional() }));
  // @ts-expect-error a record has more than the type, and never less
  schemaWith<Asked>()(whole.omit({ wide_m: true }).extend({ name: z.string() }));
  expect(whole.safeParse({ deep_m: 1, tall_m: 1 }).success).toBe(false);
});

test('what is calculated alone need not be in the schema', () => {
  const withoutParts = whole.omit({ parts: true });
  expect(schemaFor<Asked, 'parts'>()(withoutParts)).toBe(withoutParts);
});

describe('what a firing keeps of a record is named by the fields of its schema', () => {
  test('of a form all that shapes and warms the glass, the finest detail too', () => {
    expect([...SHAPE_KEYS].sort()).toEqual(Object.keys(formFields).sort());
    const shape = { use: 'cavity', plan: 'round', across_m: 0.2, deep_m: 0.05, thick_m: 0.01, material: 'earthenware', detail_m: 0.0005 } as const;
    expect(shapeOf({ ...shape, ...{ name: 'Ignored' } })).toEqual(shape);
  });

  test('of a controller how it counts, and none of how it runs; each field is one or the other', () => {
    expect(Object.keys(CONTROLLER_COUNTS).sort()).toEqual(Object.keys(controllerFields).sort());
    const counts = { unit: 'F', mostSegments: 8, fullSpeedCode: 9999, rateAs: 'perMinute', holdAs: 'point', mostHold_s: 3600, top_C: 900 } as const;
    expect(countsOf({ ...counts, order: 'targetFirst', programs: 6, rateWords: 'RA' } as never)).toEqual(counts);
  });
});
