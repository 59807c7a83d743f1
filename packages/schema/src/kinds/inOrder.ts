/** Lists of records, and what they have in common. */
import type { AnyRecord, RecordOf } from './all';
import type { KindName } from './names';

const byName = (a: AnyRecord, b: AnyRecord): number => ('name' in a && 'name' in b ? a.name.localeCompare(b.name) : 0);

const WHEN: { [K in KindName]?: (record: RecordOf<K>) => number } = {
  made: ({ madeAt }) => madeAt,
  stripTests: ({ testedAt }) => testedAt,
  coated: ({ coatedAt }) => coatedAt,
  makings: ({ begunAt }) => begunAt,
  findings: ({ foundAt }) => foundAt,
};

/** Newest first where a kind has a time, else by name. */
export function inOrder(kind: KindName, list: readonly AnyRecord[]): AnyRecord[] {
  const when = WHEN[kind] as ((record: AnyRecord) => number) | undefined;
  return list.toSorted(when ? (a, b) => when(b) - when(a) : byName);
}

/** The pictures that a record names, of whatever kind it is. */
export const photosOf = (record: AnyRecord): readonly string[] => ('photos' in record ? (record.photos ?? []) : []);
