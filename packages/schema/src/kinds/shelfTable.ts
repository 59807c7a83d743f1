/** Records of one kind as a table for spreadsheets, in a studio's units. */
import type { Units } from '@torvin/core/units';
import { type CsvRow, type CsvStyle, csvOf } from '../csv';
import { type AnyRecord, kindOf } from './all';
import { entryOfRecord, labelOf } from './fields';
import { photosOf } from './inOrder';
import { type KindName, isKind } from './names';
import type { Shelves } from './shelves';
import type { Stored } from './stored';

/** What a record is called; its id where the shelves do not have it. */
export function nameOf(shelves: Shelves, kind: string, id: string): string {
  const record = isKind(kind) ? (shelves[kind] as Stored[]).find((one) => one.id === id) : undefined;
  return record && 'name' in record ? String(record.name) : id;
}

export const shelfTable = (kind: KindName, records: readonly Stored[], shelves: Shelves, units: Units, style: CsvStyle): string =>
  csvOf(shelfRows(kind, records, shelves, units), style, shelfColumns(kind, units));

const shelfColumns = (kind: KindName, units: Units): string[] => [
  ...kindOf(kind).fields.map((field) => labelOf(field, units)),
  ...(kindOf(kind).columns ?? []).map(({ title }) => title),
  ...['archived', 'id'],
];

/** Each record as its form shows it. */
const shelfRows = (kind: KindName, records: readonly Stored[], shelves: Shelves, units: Units): CsvRow[] =>
  records.map((record) => {
    const entry = entryOfRecord(kindOf(kind).fields, record, units);
    const cells = kindOf(kind).fields.map((field): [string, string | number] => {
      const told = entry[field.key];
      const label = labelOf(field, units);
      if (field.as === 'pictures')
        return [
          label,
          photosOf(record as AnyRecord)
            .map((hash) => `${hash}.jpg`)
            .join(' '),
        ];
      if (field.as === 'record') return [label, nameOf(shelves, field.of, String(told))];
      if (field.as === 'figure' && told !== '') return [label, Number(told)];
      return [label, typeof told === 'boolean' ? (told ? 'yes' : 'no') : String(Array.isArray(told) ? told.join('; ') : told)];
    });
    const about = { units, nameOf: (of: string, id: string) => nameOf(shelves, of, id), day: (at: number) => new Date(at).toISOString().slice(0, 10) };
    const more = (kindOf(kind).columns ?? []).map(({ title, told }): [string, string] => [title, told(record, about)]);
    return { ...Object.fromEntries([...cells, ...more]), archived: shelves.archived.includes(record.id) ? 'yes' : 'no', id: record.id };
  });
