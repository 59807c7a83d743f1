/**
 * A backup is a zip that anybody's computer opens: a manifest first, then the database, then the pictures as they are kept. The
 * manifest names every file with its bytes and SHA-256, so that what is put back is known to be what was saved.
 */
import { createHash } from 'node:crypto';
import { createReadStream, createWriteStream, statSync } from 'node:fs';
import { type Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { promisify } from 'node:util';
import { ProblemError } from '@torvin/core/problem';
import { BackupSchema } from '@torvin/schema';
import { type Entry, type ZipFile, open } from 'yauzl';
import { ZipFile as Packer } from 'yazl';
import { z } from 'zod';

export const DATABASE_NAME = 'torvin.db';
const MANIFEST_NAME = 'manifest.json';
/** Nothing else is taken out of an archive, so that no name in it leads out of the folder it is unpacked into. */
const FILE_NAME = /^(torvin\.db|photos\/[0-9a-f]{64}(-small)?\.jpg)$/;
const MANIFEST_BYTES_AT_MOST = 64e6;

const FORMAT = 'torvin-backup';
const FORMAT_VERSION = 1;

const ManifestSchema = z.object({
  format: z.literal(FORMAT),
  formatVersion: z.literal(FORMAT_VERSION),
  /** ms since 1970, UTC. */
  madeAt: z.number(),
  why: BackupSchema.shape.why,
  /** The program that made it, and how many migrations the database has been through. */
  program: z.string(),
  schema: z.int().min(0),
  /** How much of it there is, for people. */
  holds: BackupSchema.shape.holds,
  files: z.array(z.object({ name: z.string().regex(FILE_NAME), bytes: z.int().min(0), sha256: z.string().regex(/^[0-9a-f]{64}$/) })),
});
export type Manifest = z.infer<typeof ManifestSchema>;
export type BackupReason = Manifest['why'];

const unreadable = (message: string): ProblemError => new ProblemError({ code: 'no-backup', path: '', message: `${message} Your data is unchanged.` });
const NO_BACKUP = 'This is no backup of Torvin’s.';

/** Bytes and SHA-256 of what runs through it, which is handed on as it is. */
function measured(): { through: Transform; result: () => { bytes: number; sha256: string } } {
  const hash = createHash('sha256');
  let bytes = 0;
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      hash.update(chunk);
      bytes += chunk.length;
      done(null, chunk);
    },
  });
  return { through, result: () => ({ bytes, sha256: hash.digest('hex') }) };
}

async function hashOfFile(path: string): Promise<string> {
  const hash = createHash('sha256');
  for await (const chunk of createReadStream(path)) hash.update(chunk as Buffer);
  return hash.digest('hex');
}

/** Writes an archive of files that lie elsewhere: [name in the archive, path]. */
export async function pack(
  to: string,
  told: Omit<Manifest, 'format' | 'formatVersion' | 'files'>,
  files: readonly (readonly [string, string])[],
): Promise<void> {
  const named: Manifest['files'] = [];
  for (const [name, path] of files) named.push({ name, bytes: statSync(path).size, sha256: await hashOfFile(path) });
  const manifest: Manifest = { format: FORMAT, formatVersion: FORMAT_VERSION, ...told, files: named };
  const packer = new Packer();
  packer.addBuffer(Buffer.from(JSON.stringify(manifest, null, 1)), MANIFEST_NAME, { mtime: new Date(told.madeAt) });
  // Pictures do not get smaller.
  for (const [name, path] of files) packer.addFile(path, name, { mtime: new Date(told.madeAt), compress: name === DATABASE_NAME });
  packer.end();
  await pipeline(packer.outputStream as Readable, createWriteStream(to, { flags: 'wx', flush: true }));
}

const opened = promisify<string, { lazyEntries: true; autoClose: false }, ZipFile>(open);

async function withArchive<T>(path: string, act: (archive: ZipFile) => Promise<T>): Promise<T> {
  const archive = await opened(path, { lazyEntries: true, autoClose: false }).catch((error: NodeJS.ErrnoException) => {
    // A system's error is about the disk, not about what stands in the file.
    if (error.code !== undefined) throw error;
    throw unreadable(`${NO_BACKUP} It cannot be opened as a zip: it may have come only in part.`);
  });
  try {
    return await act(archive);
  } finally {
    archive.close();
  }
}

/** The next file in an archive, null after the last. */
const nextIn = (archive: ZipFile): Promise<Entry | null> =>
  new Promise((resolve, reject) => {
    const settle =
      <T>(act: (value: T) => void) =>
      (value: T): void => {
        archive.removeAllListeners();
        act(value);
      };
    archive.once('entry', settle(resolve));
    archive.once(
      'end',
      settle(() => resolve(null)),
    );
    archive.once(
      'error',
      settle(() => reject(unreadable(`${NO_BACKUP} Its list of contents is damaged.`))),
    );
    archive.readEntry();
  });

const contentOf = (archive: ZipFile, entry: Entry): Promise<Readable> =>
  promisify(archive.openReadStream.bind(archive) as (entry: Entry, done: (error: Error | null, stream: Readable) => void) => void)(entry);

async function manifestIn(archive: ZipFile): Promise<Manifest> {
  const first = await nextIn(archive);
  if (first?.fileName !== MANIFEST_NAME) throw unreadable(`${NO_BACKUP} It begins without a manifest.`);
  if (first.uncompressedSize > MANIFEST_BYTES_AT_MOST) throw unreadable(`${NO_BACKUP} Its manifest is longer than any that was written.`);
  const chunks: Buffer[] = [];
  try {
    for await (const chunk of await contentOf(archive, first)) chunks.push(chunk as Buffer);
    const read = ManifestSchema.safeParse(JSON.parse(Buffer.concat(chunks).toString('utf8')));
    if (read.success) return read.data;
  } catch {
    // Said below, with what cannot be read otherwise.
  }
  throw unreadable(`${NO_BACKUP} Its manifest cannot be read.`);
}

export const readManifest = (path: string): Promise<Manifest> => withArchive(path, manifestIn);

/**
 * Unpacks an archive, calling for a path for each file. Every file that the manifest names must be there, and each must have the
 * bytes and the hash that stand in it; what it does not name is refused.
 */
export const unpack = (path: string, whereTo: (name: string) => string): Promise<Manifest> =>
  withArchive(path, async (archive) => {
    const manifest = await manifestIn(archive);
    const wanted = new Map(manifest.files.map((file) => [file.name, file]));
    for (let entry = await nextIn(archive); entry !== null; entry = await nextIn(archive)) {
      const file = wanted.get(entry.fileName);
      if (!file) throw unreadable(`The backup holds '${entry.fileName}', which its manifest does not name.`);
      const differs = unreadable(`In the backup '${file.name}' is not what was saved: its hash differs. The backup is damaged; take another one.`);
      if (entry.uncompressedSize !== file.bytes) throw differs;
      const { through, result } = measured();
      const to = createWriteStream(whereTo(file.name), { flags: 'wx', flush: true });
      await pipeline(await contentOf(archive, entry), through, to).catch((error: NodeJS.ErrnoException) => {
        throw error.syscall === undefined ? differs : error;
      });
      if (result().sha256 !== file.sha256) throw differs;
      wanted.delete(file.name);
    }
    const [missing] = wanted.keys();
    if (missing !== undefined) throw unreadable(`In the backup '${missing}' is missing, which its manifest names.`);
    if (!manifest.files.some(({ name }) => name === DATABASE_NAME)) throw unreadable('The backup holds no database.');
    return manifest;
  });
