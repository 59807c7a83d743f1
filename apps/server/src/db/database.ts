/**
 * The database as stores see it. What goes by the name of better-sqlite3 is libsql (package.json): the same synchronous driver, but
 * prebuilt within its packages, where the original downloads or compiles at every install. Its raw rows carry one field more.
 */
import type Driver from 'better-sqlite3';
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import type * as tables from './tables';

export const DATABASE_FILE = 'torvin.db';

export type Database = BetterSQLite3Database<typeof tables>;

/** What is read in it is what is written on: nobody else writes in between, and whoever does already is waited for. */
export const writing = <T>(db: Database, act: (tx: Database) => T): T => db.transaction(act, { behavior: 'immediate' });

/**
 * libsql rolls back whatever failed, also what a full disk has rolled back by itself, and then complains of that: why it failed is
 * lost. This tells why.
 */
export function withHonestTransactions(driver: Driver.Database): Driver.Database {
  const run =
    (mode: string, act: (...given: unknown[]) => unknown) =>
    (...given: unknown[]): unknown => {
      driver.exec(`begin ${mode}`);
      try {
        const answer = act(...given);
        driver.exec('commit');
        return answer;
      } catch (error) {
        if (driver.inTransaction) driver.exec('rollback');
        throw error;
      }
    };
  const transaction = (act: (...given: unknown[]) => unknown): object =>
    Object.assign(run('', act), { deferred: run('deferred', act), immediate: run('immediate', act), exclusive: run('exclusive', act) });
  return Object.assign(driver, { transaction });
}
