/**
 * What 'mine over theirs' means: of three states of one document, the one that I changed (before), what I made of it (mine)
 * and what stands by now (theirs), it is theirs with my changes put onto it. Where both changed the same thing, mine stands.
 */
type Json = unknown;
type Fields = Record<string, Json>;
type Item = Fields & { id: string };

const isFields = (value: Json): value is Fields => typeof value === 'object' && value !== null && !Array.isArray(value);
const isItems = (value: Json): value is Item[] => Array.isArray(value) && value.every((item) => isFields(item) && typeof item.id === 'string');

export function isSame(a: Json, b: Json): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => isSame(item, b[i]));
  return isFields(a) && isFields(b) && keysOf(a, b).every((key) => isSame(a[key], b[key]));
}

/** Lists whose items have ids are merged item by item; any other list is one thing. */
export function onto<T>(before: T, mine: T, theirs: T): T {
  if (isSame(before, mine) || isSame(mine, theirs)) return theirs;
  if (isSame(before, theirs)) return mine;
  if (isItems(before) && isItems(mine) && isItems(theirs)) return itemsOnto(before, mine, theirs) as T;
  // Of two shapes that differ, such as a disc and a rectangle, a mixture would be neither.
  if (isFields(before) && isFields(mine) && isFields(theirs) && isSame(Object.keys(mine).sort(), Object.keys(theirs).sort())) {
    return Object.fromEntries(Object.keys(theirs).map((key) => [key, onto(before[key], mine[key], theirs[key])])) as T;
  }
  return mine;
}

/** Of a flat document whose parts may be left out: part by part, also where one was added or removed. */
export function partsOnto<T extends object>(before: T, mine: T, theirs: T): T {
  const [was, own, stands] = [before, mine, theirs] as Fields[];
  const parts = keysOf(own, stands).map((key) => [
    key,
    key in own && key in stands ? onto(was[key], own[key], stands[key]) : isSame(was[key], own[key]) ? stands[key] : own[key],
  ]);
  return Object.fromEntries(parts.filter(([, value]) => value !== undefined)) as T;
}

function itemsOnto(before: Item[], mine: Item[], theirs: Item[]): Item[] {
  const [was, wanted, stands] = [before, mine, theirs].map((list) => new Map(list.map((item) => [item.id, item])));
  const merged = (id: string): Item | null => {
    const [old, own, other] = [was.get(id), wanted.get(id), stands.get(id)];
    if (own && other) return onto(old ?? own, own, other);
    // Taken away by me, or by them though I had not touched it.
    if (old && (!own || isSame(old, own))) return null;
    return own ?? other ?? null;
  };
  const kept = (list: Item[], others: Map<string, Item>): string[] => list.map(({ id }) => id).filter((id) => others.has(id));
  const moved = !isSame(kept(before, wanted), kept(mine, was));
  const [first, second] = moved ? [mine, theirs] : [theirs, mine];
  return interleaved(
    first.map(({ id }) => id),
    second.map(({ id }) => id),
  ).flatMap((id) => merged(id) ?? []);
}

/** The order of the first, with what the second alone has put behind what it stands behind there. */
function interleaved(first: string[], second: string[]): string[] {
  const order = [...first];
  second.forEach((id, i) => {
    if (order.includes(id)) return;
    const behind = second.slice(0, i).findLast((one) => order.includes(one));
    order.splice(behind === undefined ? 0 : order.indexOf(behind) + 1, 0, id);
  });
  return order;
}

const keysOf = (a: Fields, b: Fields): string[] => [...new Set([...Object.keys(a), ...Object.keys(b)])];
