/** Opens the database: a copy before any migration, then the migrations, then it is ready. */
import { copyFileSync, existsSync, mkdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import Driver from 'better-sqlite3';
import { drizzle } from 'drizzle-orm/better-sqlite3';
import { migrate } from 'drizzle-orm/better-sqlite3/migrator';
import { countPhotoFiles } from '../store/photoFiles';
import { afterMigrations } from './afterMigrations';
import { type Database, withHonestTransactions } from './database';
import * as tables from './tables';

export interface Opened {
  db: Database;
  /** How many migrations the database has been through. */
  schema: number;
  close(): void;
}

export const DATABASE_FILE = 'torvin.db';
const BUSY_TIMEOUT_MS = 5000;

/** Pictures lie there and their database does not: a person must say that a new studio is meant. */
export class OrphanedPictures extends Error {
  constructor(dataDir: string, pictures: number) {
    super(
      `There ${pictures === 1 ? 'is 1 picture' : `are ${pictures} pictures`} in ${dataDir}, but no studio's database beside them: ${DATABASE_FILE} is missing or empty. Put it back and they are there again. To begin a new studio there all the same, start with TORVIN_NEW=1 (npm run demo -- --new); the pictures are then set aside, not erased.`,
    );
  }
}

/** beginAnew: an empty database is meant, although pictures of another one lie beside it. */
export function openDatabase(dataDir: string, migrationsDir: string, { beginAnew = false } = {}): Opened {
  mkdirSync(dataDir, { recursive: true });
  const file = join(dataDir, DATABASE_FILE);
  const existed = existsSync(file) && statSync(file).size > 0;
  const mustAsk = (): boolean => !beginAnew && countPhotoFiles(dataDir) > 0;
  if (!existed && mustAsk()) throw new OrphanedPictures(dataDir, countPhotoFiles(dataDir));
  const driver = withHonestTransactions(new Driver(file));
  driver.pragma('journal_mode = WAL');
  driver.pragma('synchronous = FULL');
  driver.pragma(`busy_timeout = ${BUSY_TIMEOUT_MS}`);
  const wanted = migrationCount(migrationsDir);
  const had = existed ? appliedCount(driver) : 0;
  if (had === 0 && mustAsk()) {
    driver.close();
    throw new OrphanedPictures(dataDir, countPhotoFiles(dataDir));
  }
  if (had > wanted) {
    driver.close();
    throw new Error(
      `The database in ${dataDir} is of schema ${had}, newer than this program's ${wanted}; start the newer program, or point TORVIN_DATA elsewhere.`,
    );
  }
  if (existed && had < wanted) {
    driver.pragma('wal_checkpoint(TRUNCATE)');
    copyFileSync(file, join(dataDir, `before-schema-${wanted}.db`));
  }
  const db = drizzle(driver, { schema: tables });
  // A table that others name can only be rebuilt while that is not watched, and the watch cannot be changed inside a transaction.
  driver.pragma('foreign_keys = OFF');
  migrate(db, { migrationsFolder: migrationsDir });
  afterMigrations(db, Date.now());
  const broken = had < wanted ? (driver.pragma('foreign_key_check') as unknown[]) : [];
  if (broken.length > 0) {
    driver.close();
    throw new Error(
      `After its migration the database in ${dataDir} names ${broken.length} things that are not there; the copy before-schema-${wanted}.db is whole.`,
    );
  }
  driver.pragma('foreign_keys = ON');
  return { db, schema: wanted, close: () => driver.close() };
}

const migrationCount = (dir: string): number => (JSON.parse(readFileSync(join(dir, 'meta', '_journal.json'), 'utf8')) as { entries: unknown[] }).entries.length;

function appliedCount(driver: Driver.Database): number {
  const table = driver.prepare("select count(*) as n from sqlite_master where name = '__drizzle_migrations'").get() as { n: number };
  if (table.n === 0) return 0;
  return (driver.prepare('select count(*) as n from __drizzle_migrations').get() as { n: number }).n;
}
