/**
 * Looks for a list that is longer than its schema allows, before any element of it is parsed: a schema by itself would parse
 * all of them first, and a small body can hold very many.
 */
import type { Problem } from '@torvin/core/problem';
import type { z } from 'zod';

/** What of a schema's insides is looked at. */
interface Inside {
  type: string;
  innerType?: z.ZodType;
  in?: z.ZodType;
  out?: z.ZodType;
  element?: z.ZodType;
  valueType?: z.ZodType;
  shape?: Record<string, z.ZodType>;
  options?: readonly z.ZodType[];
  checks?: readonly { _zod: { def: { check: string; maximum?: number; length?: number } } }[];
}

// Zod types what is inside a schema for each kind of schema, and this walks through all of them.
// eslint-disable-next-line no-restricted-syntax -- only the parts named in Inside are read, each where it is there
const insideOf = (schema: z.ZodType): Inside => schema._zod.def as unknown as Inside;
const mostOf = (schema: z.ZodType): number =>
  Math.min(
    ...(insideOf(schema).checks ?? []).map(
      ({ _zod: { def } }) => (def.check === 'max_length' ? def.maximum : def.check === 'length_equals' ? def.length : undefined) ?? Infinity,
    ),
  );

/** The first one, by its path; null where there is none. */
export function tooLong(schema: z.ZodType, input: unknown, path = ''): Problem | null {
  if (typeof input !== 'object' || input === null) return null;
  const inside = insideOf(schema);
  const at = (key: string | number): string => (path === '' ? String(key) : `${path}.${key}`);
  if (inside.innerType) return tooLong(inside.innerType, input, path);
  // What is put into the present form first is looked at as that.
  if (inside.in && inside.out) return tooLong(insideOf(inside.in).type === 'transform' ? inside.out : inside.in, input, path);
  if (inside.options) {
    // It may be any of them: too long for all is too long.
    const found = inside.options.map((option) => tooLong(option, input, path));
    return found.some((one) => one === null) ? null : found[0];
  }
  if (inside.type === 'array' && inside.element && Array.isArray(input)) {
    const most = mostOf(schema);
    if (input.length > most) return { code: 'out-of-range', path, message: `There are ${input.length}; at most ${most} are taken.` };
    const { element } = inside;
    return firstOf(input.entries(), ([i, one]) => tooLong(element, one, at(i)));
  }
  const entries = Object.entries(input as Record<string, unknown>);
  if (inside.shape) {
    const { shape } = inside;
    return firstOf(entries, ([key, one]) => (Object.hasOwn(shape, key) ? tooLong(shape[key], one, at(key)) : null));
  }
  const { valueType } = inside;
  return valueType ? firstOf(entries, ([key, one]) => tooLong(valueType, one, at(key))) : null;
}

function firstOf<T>(list: Iterable<T>, look: (one: T) => Problem | null): Problem | null {
  for (const one of list) {
    const found = look(one);
    if (found) return found;
  }
  return null;
}
