/** Backups: made while the server runs and writes, kept in a folder, and taken apart again with every hash checked. */
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { basename, join } from 'node:path';
import { ProblemError } from '@torvin/core/problem';
import Driver from 'better-sqlite3';
import { v7 as uuid } from 'uuid';
import { PHOTOS, isPhotoName } from '../store/photoFiles';
import { type BackupReason, DATABASE_NAME, type Manifest, pack, readManifest, unpack } from './archive';

/** So many are kept of those of the days, and of those before a migration. What somebody asked for stays until somebody deletes it. */
export const KEPT = 14;

const NAME = /^torvin-(\d{4})-(\d{2})-(\d{2})-(\d{2})(\d{2})(\d{2})-(daily|asked|migration)\.zip$/;
const PART = /\.part(\.db)?$/;

export interface Making {
  dataDir: string;
  /** Where it goes. */
  folder: string;
  why: BackupReason;
  /** ms since 1970, UTC. */
  now: number;
  /** The version of this program. */
  program: string;
}

export interface Kept extends Pick<Manifest, 'madeAt' | 'why' | 'schema' | 'holds'> {
  name: string;
  bytes: number;
}

const nameFor = (at: number, why: BackupReason): string =>
  `torvin-${new Date(at).toISOString().slice(0, 10)}-${new Date(at).toISOString().slice(11, 19).replaceAll(':', '')}-${why}.zip`;

/** How far a database has been migrated, and how much of it is there for people; of any state that a Torvin had. */
function lookInto(database: string): Pick<Manifest, 'schema' | 'holds'> {
  const driver = new Driver(database);
  try {
    const rows = (table: string): number => {
      const columns = (driver.pragma(`table_info(${table})`) as { name: string }[]).map(({ name }) => name);
      if (columns.length === 0) return 0;
      return (driver.prepare(`select count(*) as n from ${table}${columns.includes('deleted_at') ? ' where deleted_at is null' : ''}`).get() as { n: number })
        .n;
    };
    return {
      schema: rows('__drizzle_migrations'),
      holds: { pieces: rows('pieces'), firings: rows('firings'), records: rows('records'), pictures: rows('photos') },
    };
  } finally {
    driver.close();
  }
}

/** Makes one, of what was committed when it began; its path. Whole or not there. */
export async function makeBackup({ dataDir, folder, why, now, program }: Making): Promise<string> {
  mkdirSync(folder, { recursive: true });
  const part = join(folder, `${uuid()}.part`);
  const copy = `${part}.db`;
  try {
    const database = join(dataDir, DATABASE_NAME);
    if (!existsSync(database)) throw new Error(`There is no studio in ${dataDir}: ${DATABASE_NAME} is not there.`);
    const driver = new Driver(database);
    try {
      driver.prepare('vacuum into ?').run(copy);
    } finally {
      driver.close();
    }
    // After the database: a picture is there before a row names it.
    const pictures = namesIn(join(dataDir, PHOTOS)).filter(isPhotoName).sort();
    const files = [[DATABASE_NAME, copy] as const, ...pictures.map((name) => [`${PHOTOS}/${name}`, join(dataDir, PHOTOS, name)] as const)];
    await pack(part, { madeAt: now, why, program, ...lookInto(copy) }, files);
    const path = freePath(folder, now, why);
    renameSync(part, path);
    return path;
  } finally {
    for (const left of [part, copy]) rmSync(left, { force: true });
  }
}

/** Two in one second are told apart by the next free second. */
function freePath(folder: string, at: number, why: BackupReason): string {
  const path = join(folder, nameFor(at, why));
  return existsSync(path) ? freePath(folder, at + 1000, why) : path;
}

const namesIn = (folder: string): string[] => (existsSync(folder) ? readdirSync(folder) : []);

interface Named {
  name: string;
  why: BackupReason;
  /** From its name, UTC. */
  at: number;
}

/** The backups in a folder by their names, newest first. Those of a time to come, which a clock that had jumped named, come last. */
function named(folder: string, now: number): Named[] {
  const found = namesIn(folder).flatMap((name): Named[] => {
    const [, year, month, day, hour, minute, second, why] = NAME.exec(name) ?? [];
    if (why === undefined) return [];
    return [{ name, why: why as BackupReason, at: Date.UTC(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute), Number(second)) }];
  });
  const rank = ({ at }: Named): number => (at > now + DAY_MS ? 0 : at);
  return found.sort((a, b) => rank(b) - rank(a) || b.name.localeCompare(a.name));
}

const DAY_MS = 24 * 3600e3;
const dayOf = (at: number): string => new Date(at).toDateString();

/** Whether today, on this machine's calendar, has had none yet. */
export const isDue = (folder: string, now: number): boolean => !named(folder, now).some(({ why, at }) => why === 'daily' && dayOf(at) === dayOf(now));

/** Ends the oldest of those that nobody asked for, and what a killed server left half made. */
export function prune(folder: string, now: number): void {
  // Each kind by itself: a new version that comes to nothing at one start after another must not push out those of the days.
  for (const kind of ['daily', 'migration'] as const) {
    const own = named(folder, now).filter(({ why }) => why === kind);
    for (const { name } of own.slice(KEPT)) rmSync(join(folder, name), { force: true });
  }
  for (const name of namesIn(folder)) if (PART.test(name) && now - statSync(join(folder, name)).mtimeMs > DAY_MS) rmSync(join(folder, name), { force: true });
}

/** What there is, newest first; one that cannot be read is left out. */
export async function listBackups(folder: string, now: number): Promise<Kept[]> {
  const read = await Promise.all(
    named(folder, now).map(async ({ name }): Promise<Kept | null> => {
      const path = join(folder, name);
      const manifest = await readManifest(path).catch(() => null);
      if (manifest === null) return null;
      const { madeAt, why, schema, holds } = manifest;
      return { name, bytes: statSync(path).size, madeAt, why, schema, holds };
    }),
  );
  return read.filter((one) => one !== null);
}

/** Path of a backup in the folder; null where there is none of that name. */
export function findBackup(folder: string, name: string): string | null {
  const path = join(folder, basename(name));
  return NAME.test(name) && existsSync(path) ? path : null;
}

export function deleteBackup(folder: string, name: string): void {
  const path = findBackup(folder, name);
  if (path !== null) rmSync(path);
}

/**
 * Unpacks a backup into a new folder beside nothing else, every hash checked, and looks whether its database can be read by a
 * program that knows so many migrations. The folder is gone again where any of that fails.
 */
export async function unpackChecked(archive: string, into: string, schemaKnown: number): Promise<Manifest> {
  mkdirSync(join(into, PHOTOS), { recursive: true });
  try {
    const manifest = await unpack(archive, (name) => join(into, name));
    const { schema } = lookInto(join(into, DATABASE_NAME));
    if (schema > schemaKnown) {
      const message = `The backup is of a newer Torvin (its database is at ${schema}, this program knows ${schemaKnown}): start the newer one to restore it. Your data is unchanged.`;
      throw new ProblemError({ code: 'newer', path: '', message });
    }
    const driver = new Driver(join(into, DATABASE_NAME));
    const [{ quick_check: found }] = driver.pragma('quick_check(1)') as { quick_check: string }[];
    driver.close();
    if (found !== 'ok')
      throw new ProblemError({ code: 'no-backup', path: '', message: 'The database in the backup is damaged; take another backup. Your data is unchanged.' });
    return manifest;
  } catch (error) {
    rmSync(into, { recursive: true, force: true });
    throw error;
  }
}
