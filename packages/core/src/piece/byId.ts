/** What has ids, found by one: a list that does not change is gone through once, however often it is asked. */
const known = new WeakMap<readonly object[], Map<string, object>>();

/** The first of a list with this id; undefined where there is none. The list must not be changed in place. */
export function withId<T extends { id: string }>(list: readonly T[], id: string): T | undefined {
  let found = known.get(list);
  if (!found) {
    found = new Map();
    for (const one of list) if (!found.has(one.id)) found.set(one.id, one);
    known.set(list, found);
  }
  return found.get(id) as T | undefined;
}
