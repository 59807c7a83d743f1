/** Databases as earlier programs left them. */
import { cpSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type Driver from 'better-sqlite3';
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

export const columnsOf = (driver: Driver.Database, table: string): string[] =>
  driver
    .prepare(`select name from pragma_table_info('${table}')`)
    .all()
    .map((row) => (row as { name: string }).name);

/** An older table has not all the columns of a later one, and older words in its JSON. */
export function copyRows(from: Driver.Database, to: Driver.Database, tables: readonly string[]): void {
  for (const table of tables) {
    const known = columnsOf(to, table);
    for (const row of rowsOf(from, table)) {
      const then = Object.entries(row).map(([name, value]) => [name, typeof value === 'string' && value.startsWith('{') ? inOldWords(value) : value]);
      inserter(to)(table, Object.fromEntries(then.filter(([name]) => known.includes(String(name)))) as Record<string, unknown>);
    }
  }
}
