/** Refuses what is nested deeper than anything that is asked for: what walks a body, or puts it into a sentence, may call itself at each level. */
import { BadRequest } from './errors';

const DEEPEST = 64;

/** Throws BadRequest. Walks without calling itself. */
export function mustBeShallow(body: unknown): void {
  let level: unknown[] = [body];
  for (let depth = 0; level.length > 0; depth += 1) {
    if (depth > DEEPEST) throw new BadRequest({ code: 'too-deep', path: '', message: `The request is nested deeper than ${DEEPEST} levels.` });
    const next: unknown[] = [];
    for (const one of level) {
      if (typeof one !== 'object' || one === null) continue;
      for (const inner of Array.isArray(one) ? one : Object.values(one)) if (typeof inner === 'object' && inner !== null) next.push(inner);
    }
    level = next;
  }
}
