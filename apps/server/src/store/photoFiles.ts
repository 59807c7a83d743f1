/**
 * Pictures as files beside the database. A file is whole or not there: it is written under another name, synced, renamed.
 * Nothing here erases a picture by itself: what seems to belong to nobody is moved to a folder aside, from where it comes back
 * when a database names it again. Only eraseAside ends it, and only a person calls that.
 */
import { closeSync, existsSync, fsyncSync, mkdirSync, openSync, readdirSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { v7 as uuid } from 'uuid';

export type PhotoSize = 'large' | 'small';

export const PHOTOS = 'photos';
export const ASIDE = 'photos-aside';
const PART = '.part';
/** A file's name begins with so many digits of its hash. */
const HASH_LENGTH = 64;

export const isPhotoName = (name: string): boolean => /^[0-9a-f]{64}(-small)?\.jpg$/.test(name);
const nameOf = (hash: string, size: PhotoSize): string => `${hash}${size === 'small' ? '-small' : ''}.jpg`;
const namesIn = (folder: string): string[] => (existsSync(folder) ? readdirSync(folder) : []);

/** Makes a rename outlive a power cut. Some systems cannot open a folder; there the rename alone must do. */
export function syncFolder(folder: string): void {
  if (process.platform === 'win32') return;
  const handle = openSync(folder, 'r');
  try {
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
}

/** Either the whole file is there afterwards, also after a power cut, or none. */
function writeWhole(folder: string, name: string, data: Uint8Array): void {
  mkdirSync(folder, { recursive: true });
  const part = join(folder, `${uuid()}${PART}`);
  const handle = openSync(part, 'wx');
  try {
    writeFileSync(handle, data);
    fsyncSync(handle);
  } finally {
    closeSync(handle);
  }
  renameSync(part, join(folder, name));
  syncFolder(folder);
}

export function writePhoto(dataDir: string, hash: string, large: Uint8Array, small: Uint8Array): void {
  writeWhole(join(dataDir, PHOTOS), nameOf(hash, 'large'), large);
  writeWhole(join(dataDir, PHOTOS), nameOf(hash, 'small'), small);
}

function moveBetween(dataDir: string, from: string, to: string, name: string): void {
  mkdirSync(join(dataDir, to), { recursive: true });
  renameSync(join(dataDir, from, name), join(dataDir, to, name));
}

/** Path of a picture's file, fetched back from aside where it had been moved there; null where there is none. */
export function findPhotoFile(dataDir: string, hash: string, size: PhotoSize): string | null {
  const name = nameOf(hash, size);
  const file = join(dataDir, PHOTOS, name);
  if (existsSync(file)) return file;
  if (!existsSync(join(dataDir, ASIDE, name))) return null;
  moveBetween(dataDir, ASIDE, PHOTOS, name);
  return file;
}

/** How many pictures lie beside the database, each counted once. */
export const countPhotoFiles = (dataDir: string): number => namesIn(join(dataDir, PHOTOS)).filter((name) => name.length === HASH_LENGTH + '.jpg'.length).length;

/** Moves aside every file that keeps does not name and that is older than a time; younger ones may belong to a save under way. */
export function movePhotosAside(dataDir: string, keeps: ReadonlySet<string>, olderThan: number): void {
  const folder = join(dataDir, PHOTOS);
  for (const name of namesIn(folder)) {
    if (keeps.has(name.slice(0, HASH_LENGTH)) || statSync(join(folder, name)).mtimeMs >= olderThan) continue;
    moveBetween(dataDir, PHOTOS, ASIDE, name);
  }
}

/** What lies aside: pictures, each counted once, and all bytes. */
export function photosAside(dataDir: string): { pictures: number; bytes: number } {
  const names = namesIn(join(dataDir, ASIDE));
  return {
    pictures: new Set(names.map((name) => name.slice(0, HASH_LENGTH))).size,
    bytes: names.reduce((sum, name) => sum + statSync(join(dataDir, ASIDE, name)).size, 0),
  };
}

/** Ends what lies aside, for good. */
export function eraseAside(dataDir: string): { pictures: number; bytes: number } {
  rmSync(join(dataDir, ASIDE), { recursive: true, force: true });
  return photosAside(dataDir);
}
