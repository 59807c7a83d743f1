/**
 * Photos beside the database: judged by their bytes, turned upright, made no larger than a screen shows, written anew without
 * what a camera adds (place, time, serial numbers), and named by the hash of what was written.
 */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { ProblemError } from '@torvin/core/problem';
import type { FiledPhoto, Photo } from '@torvin/schema';
import { eq, sql } from 'drizzle-orm';
import sharp from 'sharp';
import type { Database } from '../db/database';
import { firings, photos, pieces, pieceStates, records } from '../db/tables';
import { NotFound } from './failures';
import { type PhotoSize, findPhotoFile, movePhotosAside, writePhoto } from './photoFiles';

const FORMATS = ['jpeg', 'png', 'webp', 'gif', 'tiff', 'heif', 'avif'];
const LARGE_PX = 1600;
const SMALL_PX = 320;
const QUALITY = 82;
/** Decoding more than this is refused: a small file can unpack to gigabytes. */
const PIXELS_AT_MOST = 80e6;
const DAY_MS = 24 * 3600e3;

const refused = (message: string): ProblemError => new ProblemError({ code: 'no-photo', path: '', message });

async function written(bytes: Buffer, most_px: number): Promise<{ data: Buffer; width: number; height: number }> {
  // Without .withMetadata() nothing of the camera's own goes along.
  const { data, info } = await sharp(bytes, { limitInputPixels: PIXELS_AT_MOST })
    .rotate()
    .resize({ width: most_px, height: most_px, fit: 'inside', withoutEnlargement: true })
    .flatten({ background: '#ffffff' })
    .jpeg({ quality: QUALITY, mozjpeg: true })
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

export async function addPhoto(db: Database, dataDir: string, bytes: unknown, now: number): Promise<Photo> {
  if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw refused('No picture came; send its bytes as the body.');
  const format = await sharp(bytes)
    .metadata()
    .then((found) => found.format)
    .catch(() => undefined);
  if (format === undefined || !FORMATS.includes(format)) {
    throw refused(`This is no photo by its bytes${format ? `, but ${format}` : ''}; send JPEG, PNG, WebP or what a camera writes.`);
  }
  const [large, small] = await Promise.all([written(bytes, LARGE_PX), written(bytes, SMALL_PX)]).catch(() => {
    throw refused('The photo is damaged or too large to be unpacked.');
  });
  const hash = createHash('sha256').update(large.data).digest('hex');
  // Files first: a row without its file would be worse than a file without its row, which is moved aside.
  writePhoto(dataDir, hash, large.data, small.data);
  db.insert(photos).values({ hash, width: large.width, height: large.height, createdAt: now }).onConflictDoNothing().run();
  return { hash, width: large.width, height: large.height };
}

/** Of these, the ones that are here, as they are kept. In the order of their names. */
export function filedPhotos(dataDir: string, hashes: readonly string[]): FiledPhoto[] {
  return [...new Set(hashes)].sort().flatMap((hash) => {
    const file = findPhotoFile(dataDir, hash, 'large');
    return file === null ? [] : [{ hash, jpeg: readFileSync(file).toString('base64') }];
  });
}

/**
 * Takes pictures out of a piece file. They keep their names, so they are not written anew: each must be what this program
 * writes, no larger, with nothing of a camera in it, and be named by its own bytes.
 */
export async function takeFiledPhotos(db: Database, dataDir: string, filed: readonly FiledPhoto[], now: number): Promise<void> {
  const judged = await Promise.all(
    filed.map(async ({ hash, jpeg }, i) => {
      const wrong = (message: string): ProblemError => new ProblemError({ code: 'no-photo', path: `photos.${i}`, message });
      const data = Buffer.from(jpeg, 'base64');
      if (createHash('sha256').update(data).digest('hex') !== hash) throw wrong('A picture in this file is not the one it is named after.');
      const found = await sharp(data)
        .metadata()
        .catch(() => null);
      const { format, width = 0, height = 0, exif, xmp, iptc } = found ?? {};
      if (format !== 'jpeg' || Math.max(width, height) > LARGE_PX) throw wrong(`A picture in this file is no JPEG of at most ${LARGE_PX} pixels a side.`);
      if (exif ?? xmp ?? iptc) throw wrong('A picture in this file tells more than its pixels: place, time or camera.');
      const small = await written(data, SMALL_PX).catch(() => {
        throw wrong('A picture in this file is damaged.');
      });
      return { hash, width, height, data, small: small.data };
    }),
  );
  for (const { hash, width, height, data, small } of judged) {
    writePhoto(dataDir, hash, data, small);
    db.insert(photos).values({ hash, width, height, createdAt: now }).onConflictDoNothing().run();
  }
}

/** A firing or a record may name only pictures that are here; those it had before may have stayed in the studio they came from. */
export function mustHavePhotos(db: Database, hashes: readonly string[], before: readonly string[]): void {
  hashes.forEach((hash, i) => {
    if (before.includes(hash) || db.select().from(photos).where(eq(photos.hash, hash)).get()) return;
    throw new ProblemError({ code: 'unknown-photo', path: `photos.${i}`, message: 'There is no such picture here; send it first, then name it.' });
  });
}

/** Path of a photo's file. */
export function photoFile(db: Database, dataDir: string, hash: string, size: PhotoSize): string {
  const row = db.select().from(photos).where(eq(photos.hash, hash)).get();
  const file = row ? findPhotoFile(dataDir, hash, size) : null;
  if (file === null) throw new NotFound('photo', hash);
  return file;
}

/** The sketches that lie under plans, as these are and as an undo could bring them back. */
function sketches(db: Database): string[] {
  const now = db
    .select({ hash: sql<string | null>`json_extract(${pieces.doc}, '$.under.hash')` })
    .from(pieces)
    .all();
  const before = db
    .select({ back: sql<string | null>`${pieceStates.back}`, forth: sql<string | null>`${pieceStates.forth}` })
    .from(pieceStates)
    .where(sql`${pieceStates.back} like '%/under%' or ${pieceStates.forth} like '%/under%'`)
    .all();
  return [...now.flatMap(({ hash }) => hash ?? []), ...before.flatMap(({ back, forth }) => `${back} ${forth}`.match(/[0-9a-f]{64}/g) ?? [])];
}

/** Those of records, of deleted ones too, which can be brought back. */
const onTheShelves = (db: Database): string[] =>
  db
    .select({ photos: sql<string | null>`json_extract(${records.doc}, '$.photos')` })
    .from(records)
    .all()
    .flatMap(({ photos: named }) => (named === null ? [] : (JSON.parse(named) as string[])));

/** Forgets pictures that no firing, no plan and no record has had for a day; their files, and old files that no row names, are moved aside. */
export function sweepPhotos(db: Database, dataDir: string, now: number): void {
  const old = now - DAY_MS;
  const used = new Set(
    db
      .select({ photos: firings.photos })
      .from(firings)
      .all()
      .flatMap((row) => row.photos),
  );
  for (const hash of [...sketches(db), ...onTheShelves(db)]) used.add(hash);
  const rows = db.select({ hash: photos.hash, createdAt: photos.createdAt }).from(photos).all();
  const lost = rows.filter(({ hash, createdAt }) => createdAt < old && !used.has(hash));
  for (const { hash } of lost) db.delete(photos).where(eq(photos.hash, hash)).run();
  const kept = new Set(rows.filter((row) => !lost.includes(row)).map(({ hash }) => hash));
  movePhotosAside(dataDir, kept, old);
}
