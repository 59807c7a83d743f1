/** Opens the database: the migrations, a look whether all is there that is asked of it, then it is ready. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, realpathSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import Driver from 'better-sqlite3';
import { is, sql } from 'drizzle-orm';
import { SQLiteTable, getTableConfig } from 'drizzle-orm/sqlite-core';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { faultOf } from '../folder/faults';
import { countPhotoFiles } from '../store/photoFiles';
import { countChanges } from '../store/keptWhile';
import { noteChanges } from '../store/shelfRows';
import { afterMigrations } from './afterMigrations';
import { DATABASE_FILE, type Database, withHonestTransactions } from '../db/database';
import * as tables from '../db/tables';
import { program } from '../db/tables';

export interface Opened {
  db: Database;
  /** How many migrations the database has been through. */
  schema: number;
  /** Another one for another database, also where it was put in the place of the first. */
  mark: string;
  /** Brings all of it into the one file and closes it, so that the file can be moved; rejects where another program reads it. */
  closeWhole(): Promise<void>;
  close(): void;
}

const BUSY_TIMEOUT_MS = 5000;
const LET_GO_TRIES = 10;

/** Pictures lie there and their database does not: a person must say that a new studio is meant. */
export class OrphanedPictures extends Error {
  constructor(dataDir: string, pictures: number) {
    super(
      `There ${pictures === 1 ? 'is 1 picture' : `are ${pictures} pictures`} in ${dataDir}, but no studio's database beside them: ${DATABASE_FILE} is missing or empty. Put it back and they are there again. To begin a new studio there all the same, start with TORVIN_NEW=1 (npm run demo -- --new); the pictures are then set aside, not erased.`,
    );
  }
}

/** It says of itself that it has been through migrations whose tables are not there, or has tables of migrations that it has not been through. */
export class HalfMigrated extends Error {
  constructor(
    dataDir: string,
    readonly why: string,
  ) {
    super(
      `The database in ${dataDir} is not what a Torvin left: ${why}. Put a backup in its place, with npm run backup -- --restore <file>; those that were made by themselves lie in ${join(dataDir, 'backups')}.`,
    );
  }
}

/** Whether a database lies there that has migrations before it. */
export function isBehind(dataDir: string, migrationsDir: string): boolean {
  const file = join(dataDir, DATABASE_FILE);
  if (!existsSync(file) || statSync(file).size === 0) return false;
  const driver = new Driver(file, { readonly: true });
  try {
    return appliedCount(driver) < schemaOf(migrationsDir);
  } finally {
    driver.close();
  }
}

export interface Opening {
  /** An empty database is meant, although pictures of another one lie beside it. */
  beginAnew?: boolean;
  /** Of this program, to be found by an older one that comes upon the database. */
  version?: string;
  /** Nobody else may open it: then what SQLite keeps beside the file is kept in memory, for which a full disk has no room. */
  alone?: boolean;
}

export function openDatabase(dataDir: string, migrationsDir: string, { beginAnew = false, version, alone = false }: Opening = {}): Opened {
  mkdirSync(dataDir, { recursive: true });
  const file = join(dataDir, DATABASE_FILE);
  const existed = existsSync(file) && statSync(file).size > 0;
  const mustAsk = (): boolean => !beginAnew && countPhotoFiles(dataDir) > 0;
  if (!existed && mustAsk()) throw new OrphanedPictures(dataDir, countPhotoFiles(dataDir));
  const wanted = schemaOf(migrationsDir);
  if (existed) mustNotBeNewer(dataDir, file, wanted, version);
  const driver = withHonestTransactions(new Driver(file));
  if (alone) driver.pragma('locking_mode = EXCLUSIVE');
  driver.pragma('journal_mode = WAL');
  driver.pragma('synchronous = FULL');
  driver.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  const had = existed ? appliedCount(driver) : 0;
  if (had === 0 && mustAsk()) {
    driver.close();
    throw new OrphanedPictures(dataDir, countPhotoFiles(dataDir));
  }
  const db = drizzle(driver, { schema: tables });
  try {
    // A table that others name can only be rebuilt while that is not watched, and the watch cannot be changed inside a transaction.
    driver.pragma('foreign_keys = OFF');
    migrated(db, dataDir, migrationsDir);
    const broken = had < wanted ? (driver.pragma('foreign_key_check') as unknown[]) : [];
    if (broken.length > 0) throw new HalfMigrated(dataDir, `after its migration ${broken.length} of its rows name what is not there`);
  } catch (error) {
    driver.close();
    throw error;
  }
  driver.pragma('foreign_keys = ON');
  driver.pragma('temp_store = MEMORY');
  // One that is not what a Torvin left is refused in mustBeWhole.
  if (missingIn(db).length === 0) {
    if (version !== undefined && !alone) sayWho(db, version);
    noteChanges(db);
    countChanges(db);
  }
  return { db, schema: wanted, mark: markOf(file), closeWhole: () => closeWhole(driver), close: () => driver.close() };
}

/** Looked into without writing: what a newer program made of it is left as it is. */
function mustNotBeNewer(dataDir: string, file: string, wanted: number, version: string | undefined): void {
  const driver = new Driver(file, { readonly: true });
  try {
    const had = appliedCount(driver);
    if (had <= wanted) return;
    const by = madeBy(driver);
    const newer = by === null ? '' : ` and was opened last by Torvin ${by}${version === undefined ? '' : `; this is Torvin ${version}`}`;
    throw new Error(
      `The database in ${dataDir} is of schema ${had}, newer than this program's ${wanted}${newer}; start the newer program, or point TORVIN_DATA elsewhere. Your data is unchanged.`,
    );
  } finally {
    driver.close();
  }
}

/** null: by one that did not say. */
function madeBy(driver: Driver.Database): string | null {
  try {
    return (driver.prepare('select version from program').get() as { version: string } | undefined)?.version ?? null;
  } catch {
    return null;
  }
}

/** Said once for each program that opens it. */
function sayWho(db: Database, version: string): void {
  if (db.select().from(program).get()?.version === version) return;
  db.insert(program).values({ id: 1, version }).onConflictDoUpdate({ target: program.id, set: { version } }).run();
}

const MARK_DIGITS = 16;

function markOf(file: string): string {
  const { ino, birthtimeMs } = statSync(file);
  return createHash('sha256')
    .update(`${realpathSync(file)} ${ino} ${birthtimeMs}`)
    .digest('hex')
    .slice(0, MARK_DIGITS);
}

function migrated(db: Database, dataDir: string, migrationsDir: string): void {
  try {
    migrate(db, { migrationsFolder: migrationsDir });
    afterMigrations(db, Date.now());
  } catch (error) {
    if (faultOf(error, dataDir)) throw error;
    const cause = error instanceof Error && error.cause instanceof Error ? error.cause : (error as Error);
    throw new HalfMigrated(dataDir, `a step towards this program's state failed (${cause.message})`);
  }
}

/** Refuses a database that has not all the tables and columns that this program asks for, whatever it says of its migrations. */
export function mustBeWhole(db: Database, dataDir: string): void {
  const missing = missingIn(db);
  if (missing.length > 0) throw new HalfMigrated(dataDir, `it lacks ${missing.slice(0, 3).join(', ')}`);
}

function missingIn(db: Database): string[] {
  return Object.values(tables)
    .filter((table) => is(table, SQLiteTable))
    .flatMap((table) => {
      const { name, columns } = getTableConfig(table);
      const there = db.all<{ name: string }>(sql.raw(`pragma table_info(${name})`)).map((column) => column.name);
      if (there.length === 0) return [`the table '${name}'`];
      return columns.filter((column) => !there.includes(column.name)).map((column) => `the column '${column.name}' of '${name}'`);
    });
}

/**
 * A closed connection holds its file until what was prepared on it has been cleared from memory, and SQLite then takes away the
 * log that has the file's name, which may be another's by that time. So memory is cleared first.
 */
async function closeWhole(driver: Driver.Database): Promise<void> {
  driver.pragma('busy_timeout = 0');
  for (let tries = 1; ; tries += 1) {
    await clearMemory();
    try {
      driver.pragma('journal_mode = DELETE');
      driver.close();
      return;
    } catch (error) {
      if (tries === LET_GO_TRIES) {
        driver.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
        throw error;
      }
      await new Promise((resolve) => setTimeout(resolve, BUSY_TIMEOUT_MS / LET_GO_TRIES));
    }
  }
}

/** Ends what closed connections hold still. */
export async function clearMemory(): Promise<void> {
  setFlagsFromString('--expose-gc');
  (runInNewContext('gc') as () => void)();
  await new Promise((resolve) => setImmediate(resolve));
}

/** How many migrations this program knows. */
export const schemaOf = (dir: string): number =>
  (JSON.parse(readFileSync(join(dir, 'meta', '_journal.json'), 'utf8')) as { entries: unknown[] }).entries.length;

function appliedCount(driver: Driver.Database): number {
  const table = driver.prepare("select count(*) as n from sqlite_master where name = '__drizzle_migrations'").get() as { n: number };
  if (table.n === 0) return 0;
  return (driver.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number }).n;
}
