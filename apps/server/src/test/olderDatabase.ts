/** Databases as earlier programs left them. */
import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type Driver from 'better-sqlite3';
import { type EarlierDocument, type PieceDocument, firingsOf, laidLayers } from '@torvin/core/piece';
import patches, { type Operation } from 'fast-json-patch';
import { inOldWords } from './oldWords';
import { MIGRATIONS, temporaryFolder } from './testServer';

/** The migrations up to and including the given one, in a folder of their own. */
export function migrationsUpTo(count: number): string {
  const made = temporaryFolder();
  mkdirSync(join(made, 'meta'));
  const journal = JSON.parse(readFileSync(join(MIGRATIONS, 'meta', '_journal.json'), 'utf8')) as { entries: { tag: string }[] };
  const entries = journal.entries.slice(0, count);
  writeFileSync(join(made, 'meta', '_journal.json'), JSON.stringify({ ...journal, entries }));
  for (const { tag } of entries) cpSync(join(MIGRATIONS, `${tag}.sql`), join(made, `${tag}.sql`));
  return made;
}

type Insert = (table: string, row: Record<string, unknown>) => void;
export const inserter =
  (driver: Driver.Database): Insert =>
  (table, row) => {
    const names = Object.keys(row);
    driver.prepare(`insert into ${table} (${names.join()}) values (${names.map(() => '?').join()})`).run(Object.values(row));
  };

export const rowsOf = (driver: Driver.Database, table: string): Record<string, unknown>[] =>
  driver
    // What older schedules were made from stood in their own row.
    .prepare(
      table === 'schedules' && columnsOf(driver, table).includes('snapshot_id')
        ? 'select s.*, n.doc as snapshot from schedules s join snapshots n on n.id = s.snapshot_id'
        : `select * from ${table}`,
    )
    .all()
    .map((row) => Object.fromEntries(Object.entries(row as object).filter(([name]) => name !== '_metadata')));

/** Of states only how they differ is kept; older ones held each document. */
function statesOf(driver: Driver.Database): Record<string, unknown>[] {
  const pieces = new Map(rowsOf(driver, 'pieces').map(({ id, doc, position }) => [id, { doc: String(doc), position: Number(position) }]));
  return rowsOf(driver, 'piece_states').map(({ back: _back, forth: _forth, ...state }) => {
    const piece = pieces.get(state.piece_id);
    const later = rowsOf(driver, 'piece_states').filter(
      ({ piece_id, position }) => piece_id === state.piece_id && Number(position) > Number(state.position) && Number(position) <= (piece?.position ?? 0),
    );
    const doc = later
      .sort((a, b) => Number(b.position) - Number(a.position))
      .reduce<unknown>(
        (now, { back }) => patches.applyPatch(now, JSON.parse(String(back)) as Operation[], false, false).newDocument,
        JSON.parse(piece?.doc ?? '{}'),
      );
    return { ...state, doc: JSON.stringify(doc) };
  });
}

/** A piece's document as version 2 had it. */
export function asVersion2({ journey, ...rest }: PieceDocument): EarlierDocument {
  const steps = firingsOf({ journey }).map(({ kind: _kind, ...step }) => step);
  return { ...rest, schemaVersion: 2, layers: laidLayers({ journey }), steps };
}

const inOldForm = (row: Record<string, unknown>): Record<string, unknown> => ({
  ...row,
  doc: JSON.stringify(asVersion2(JSON.parse(String(row.doc)) as PieceDocument)),
});

export const columnsOf = (driver: Driver.Database, table: string): string[] =>
  driver
    .prepare(`select name from pragma_table_info('${table}')`)
    .all()
    .map((row) => (row as { name: string }).name);

/** With so many migrations the names of figures all ended in their unit. */
const NAMES_ENDED_IN_UNITS = 10;

const migrated = (driver: Driver.Database): number => Number((driver.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number }).n);

/** An older table has not all the columns of a later one, and older words in its JSON. */
export function copyRows(from: Driver.Database, to: Driver.Database, tables: readonly string[]): void {
  for (const table of tables) {
    const known = columnsOf(to, table);
    const isOlder = !columnsOf(to, 'piece_states').includes('back');
    const inWords = migrated(to) < NAMES_ENDED_IN_UNITS ? inOldWords : (json: string): string => json;
    const rows = table === 'piece_states' && isOlder ? statesOf(from) : rowsOf(from, table);
    for (const row of isOlder && ['pieces', 'piece_states'].includes(table) ? rows.map(inOldForm) : rows) {
      const then = Object.entries(row).map(([name, value]) => [name, typeof value === 'string' && value.startsWith('{') ? inWords(value) : value]);
      inserter(to)(table, Object.fromEntries(then.filter(([name]) => known.includes(String(name)))) as Record<string, unknown>);
    }
  }
}
