/**
 * The database as stores see it. What goes by the name of better-sqlite3 is libsql (package.json): the same synchronous driver, but
 * prebuilt within its packages, where the original downloads or compiles at every install. Its raw rows carry one field more.
 */
import type { BetterSQLite3Database } from 'drizzle-orm/better-sqlite3';
import type * as tables from './tables';

export type Database = BetterSQLite3Database<typeof tables>;
