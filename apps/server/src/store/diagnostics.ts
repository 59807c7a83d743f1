/** How much stands in a studio, and how large it is. */
import { statSync, statfsSync } from 'node:fs';
import { join } from 'node:path';
import { type DiagnosticCounts, KIND_LIST } from '@torvin/schema';
import { count, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { DATABASE_FILE } from '../db/database';
import { firings, loads, photos, pieces, programs, schedules } from '../db/tables';
import { allShelves } from './shelfRows';

export function countsOf(db: Database): DiagnosticCounts {
  const shelves = allShelves(db);
  const all = (table: typeof schedules | typeof loads | typeof programs | typeof photos): number => db.select({ n: count() }).from(table).get()?.n ?? 0;
  const there = (table: typeof pieces | typeof firings): number => db.select({ n: count() }).from(table).where(isNull(table.deletedAt)).get()?.n ?? 0;
  return {
    ...{ pieces: there(pieces), firings: there(firings), schedules: all(schedules), loads: all(loads), programs: all(programs), pictures: all(photos) },
    ...Object.fromEntries(KIND_LIST.map((kind) => [kind, shelves[kind].length])),
  };
}

const sizeOf = (path: string): number => statSync(path, { throwIfNoEntry: false })?.size ?? 0;

export const bytesIn = (dataDir: string): { database_bytes: number; free_bytes: number } => {
  const { bavail, bsize } = statfsSync(dataDir);
  return { database_bytes: ['', '-wal'].reduce((sum, end) => sum + sizeOf(join(dataDir, DATABASE_FILE + end)), 0), free_bytes: bavail * bsize };
};

export const sqliteVersion = (db: Database): string => db.get<{ v: string }>(sql`select sqlite_version() as v`)?.v ?? '';
