/** How anything that went wrong travels: the first problem of a failed parse, or what a function refused. */
import type { Problem } from '../problem';
import { z } from 'zod';
import { schemaFor } from './schemaFor';

export const ProblemSchema = schemaFor<Problem>()(
  z
    .object({
      code: z.string(),
      path: z.string(),
      message: z.string(),
    })
    .meta({ id: 'Problem' }),
);

/** The first issue of a Zod error as a problem; prefix is put before the path. */
export function problemOf(error: z.ZodError, prefix = ''): Problem {
  const [issue] = error.issues;
  const path = [prefix, ...issue.path.map(String)].filter((part) => part !== '').join('.');
  if (issue.code === 'unrecognized_keys') {
    return { code: 'unknown-field', path, message: `Unknown ${issue.keys.length > 1 ? 'fields' : 'field'} ${issue.keys.map((key) => `'${key}'`).join(', ')}.` };
  }
  const codes: Record<string, string> = { too_big: 'out-of-range', too_small: 'out-of-range', invalid_type: 'wrong-type', invalid_value: 'not-a-choice' };
  return { code: codes[issue.code] ?? 'invalid', path, message: issue.message };
}
