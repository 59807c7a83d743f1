/**
 * Before any schema is made: in a browser they are walked, not compiled. Compiling asks for code made from text, which the
 * page's content policy forbids, and would be reported by every browser that obeys it.
 */
import { z } from 'zod';

if ('navigator' in globalThis && 'document' in globalThis) z.config({ jitless: true });
