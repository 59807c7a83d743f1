/** By what a page and a server know that they mean the same requests and answers. */
import { createHash } from 'node:crypto';
import { openApiDocument } from '@torvin/schema/server';

/** Words for people change nothing of what is sent. A property may bear such a name too: a schema stands there then, which is an object. */
const PROSE = new Set(['description', 'summary', 'title', 'tags']);
const DIGITS = 12;

/** Another one where a request or an answer of pieces, firings, records and the rest has another shape; the calculators are asked by strangers alone. */
export function apiDigest(document: object = openApiDocument('', [])): string {
  const bare = JSON.stringify({ ...document, info: undefined }, (key, value: unknown) =>
    key === 'examples' || (PROSE.has(key) && (typeof value === 'string' || Array.isArray(value))) ? undefined : value,
  );
  return createHash('sha256').update(bare).digest('hex').slice(0, DIGITS);
}

/** Told by the build, which has it for the pages too; worked out where nothing was built, as in tests. */
declare const TORVIN_API: string | undefined;
let known: string | undefined;

/** Of this server, and of the pages that were built with it. */
export const ownApi = (): string => (known ??= typeof TORVIN_API === 'undefined' ? apiDigest() : TORVIN_API);
