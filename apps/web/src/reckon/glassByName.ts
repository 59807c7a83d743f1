/** A glass of the shelf by what was typed for it: its name, or its name with its family where several are called so. */
import type { Glass, Shelves } from '@torvin/schema';

export type Named = { glass: Glass; problem: null } | { glass: null; problem: string };

const NEAREST_AT_MOST = 3;

const plain = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ');
const pairsOf = (name: string): string[] => Array.from({ length: Math.max(name.length - 1, 1) }, (_, i) => name.slice(i, i + 2));

/** Share of the pairs of letters that two names have in common, 0 to 1 (Dice 1945). */
function likeness(one: string, other: string): number {
  const [a, b] = [pairsOf(one), pairsOf(other)];
  const left = [...b];
  const common = a.filter((pair) => {
    const at = left.indexOf(pair);
    if (at >= 0) left.splice(at, 1);
    return at >= 0;
  }).length;
  return (2 * common) / (a.length + b.length);
}

/** What is in use on the shelf, with its family where another is called the same. */
function offered({ glasses, families, archived }: Shelves): { glass: Glass; called: string }[] {
  const used = glasses.filter(({ id }) => !archived.includes(id));
  return used.map((glass) => {
    const isShared = used.some((other) => other.id !== glass.id && plain(other.name) === plain(glass.name));
    const family = families.find(({ id }) => id === glass.familyId)?.name;
    return { glass, called: isShared && family ? `${glass.name}, ${family}` : glass.name };
  });
}

const listed = (names: readonly string[]): string => (names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} or ${names[names.length - 1]}`);

export function glassByName(shelves: Shelves, typed: string): Named {
  const all = offered(shelves);
  const exact = all.filter(({ called }) => plain(called) === plain(typed));
  if (exact.length === 1) return { glass: exact[0].glass, problem: null };
  const so = all.filter(({ glass }) => plain(glass.name) === plain(typed));
  if (so.length > 0)
    return { glass: null, problem: `${so.length} glasses of the shelf are called '${typed.trim()}': write ${listed(so.map(({ called }) => `'${called}'`))}.` };
  const near = all
    .map(({ called }) => ({ called, like: likeness(plain(typed), plain(called)) }))
    .sort((a, b) => b.like - a.like)
    .slice(0, NEAREST_AT_MOST);
  if (near.length === 0) return { glass: null, problem: `No glass of the shelf is called '${typed.trim()}'; there is none on it yet.` };
  return {
    glass: null,
    problem: `No glass of the shelf is called '${typed.trim()}'. Nearest: ${listed(near.map(({ called }) => `'${called}'`))}; left empty, it is the one chosen below.`,
  };
}
