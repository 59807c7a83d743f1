import { z } from 'zod';
import { LAYER_KINDS } from '../piece/layers/all';
import { SHAPINGS } from '../look/shapings/all';
import { figures } from './quantity';

const schemaOf = (declared: Parameters<typeof figures>[0]) => z.strictObject(figures(declared));
const fault = (schema: z.ZodType, given: object): string => {
  const read = schema.safeParse(given);
  return read.success ? 'taken' : read.error.issues.map(({ path, message }) => `${path.join('.')}: ${message}`).join(' ');
};

test('what is asked for must be there, what may be left out may', () => {
  const drain = schemaOf(SHAPINGS.drain);
  const whole = { holes: 12, hole_m: 0.01, plate_m: 0.02 };
  expect(drain.parse(whole)).toEqual(whole);
  expect(drain.parse({ ...whole, collects_m: 0.3 })).toEqual({ ...whole, collects_m: 0.3 });
  for (const key of Object.keys(whole)) expect(fault(drain, { ...whole, [key]: undefined })).toMatch(new RegExp(`^${key}: .* got nothing\\.$`));
  expect(fault(drain, { ...whole, hole_m: 0.3 })).toBe('hole_m: Width of a hole must be a number from 0.002 to 0.2 m; got 0.3.');
  expect(fault(drain, { ...whole, holes: 1.5 })).toBe('holes: The number of holes must be whole.');
  expect(fault(schemaOf(SHAPINGS.press), { spacer_m: 0.01, plate_kg: 200, plate_m: 0.02 })).toBe(
    'plate_kg: Weight of the plate must be a number from 0.05 to 100 kg; got 200.',
  );
});

test('what follows from placed parts may be less than anybody types', () => {
  const cut = schemaOf(LAYER_KINDS.pieces.fields);
  expect(fault(cut, { thickness_m: 0.003, cover: 2e-4, count: 1 })).toBe('taken');
  expect(fault(cut, { thickness_m: 0.003, cover: 5e-5, count: 1 })).toMatch(/^cover: /);
  expect(fault(cut, { thickness_m: 0.003, cover: 1.1, count: 1 })).toMatch(/^cover: /);
  expect(fault(schemaOf(LAYER_KINDS.frit.fields), { perArea_kg_m2: 2000 })).toMatch(/from 0\.01 to 1000 kg\/m²/);
});
