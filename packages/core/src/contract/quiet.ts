/**
 * Before any schema is made: in a browser they are walked, not compiled. Compiling asks for code made from text, which the
 * page's content policy forbids, and would be reported by every browser that obeys it. And what is wrong where a schema has no
 * sentence of its own is said in plain words: what came, and what would be right.
 */
import { z } from 'zod';

const WANTED: Record<string, string> = {
  ...{ object: 'an object', record: 'an object', array: 'a list', tuple: 'a list', string: 'text', number: 'a number', int: 'a whole number' },
  ...{ boolean: 'true or false', null: 'null' },
};

/** As it came, shortened. */
export function shown(input: unknown): string {
  if (input === undefined) return 'nothing';
  const written = JSON.stringify(input) ?? String(input);
  return written.length > 60 ? `${written.slice(0, 60)}…` : written;
}

/** 'a, b or c'. */
const anyOf = (choices: readonly unknown[]): string => {
  const named = choices.map(String);
  return named.length < 2 ? named.join('') : `${named.slice(0, -1).join(', ')} or ${named[named.length - 1]}`;
};

type Raw = Parameters<NonNullable<NonNullable<Parameters<typeof z.config>[0]>['customError']>>[0];

/** Undefined where the schema library's own words do. */
function inWords(issue: Raw): string | undefined {
  const at = issue.path?.[issue.path.length - 1];
  const name = at === undefined ? 'What was sent' : typeof at === 'number' ? `Number ${at + 1}` : `'${String(at)}'`;
  if (issue.code === 'invalid_type') {
    const wanted = WANTED[issue.expected] ?? issue.expected;
    return issue.input === undefined ? `${name} is missing: it must be ${wanted}.` : `${name} must be ${wanted}; got ${shown(issue.input)}.`;
  }
  if (issue.code !== 'invalid_union') return undefined;
  const { discriminator, options } = issue as { discriminator?: string; options?: readonly unknown[] };
  if (discriminator === undefined || options === undefined) return `${name} is none of what it may be; got ${shown(issue.input)}.`;
  const told = typeof issue.input === 'object' && issue.input !== null ? (issue.input as Record<string, unknown>)[discriminator] : undefined;
  return `'${discriminator}' ${told === undefined ? 'is missing' : `is ${shown(told)}`}: it must be ${anyOf(options)}.`;
}

z.config({ customError: inWords, ...('navigator' in globalThis && 'document' in globalThis ? { jitless: true } : {}) });
