import fs, { createWriteStream, existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pipeline } from 'node:stream/promises';
import Driver from 'better-sqlite3';
import { PieceFileSchema } from '@torvin/schema';
import Papa from 'papaparse';
import { ZipFile as Packer } from 'yazl';
import { fromBuffer } from 'yauzl';
import { DATABASE_FILE } from '../db/database';
import { openDatabase } from '../opening/open';
import { runStudio } from '../running';
import { copyRows, migrationsUpTo } from '../test/olderDatabase';
import { copyStudio } from '../test/fixtures';
import { MIGRATIONS, NOW, SCHEMA, type TestServer, startTestServer, temporaryFolder } from '../test/testServer';
import { type BackupReason, readManifest } from './archive';
import { KEPT, isDue, listBackups, makeBackup, prune, unpackChecked } from './backup';
import { finishSwap, swapIn } from './swap';

jest.setTimeout(60_000);

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer(copyStudio('pictured', temporaryFolder()));
});
afterEach(() => server.stop());

/** Every row of every table, and every picture's bytes. */
function allOf(dataDir: string): object {
  const driver = new Driver(join(dataDir, DATABASE_FILE));
  const tables = (driver.prepare("select name from sqlite_master where type = 'table' order by name").all() as { name: string }[]).map(({ name }) => name);
  const rows = Object.fromEntries(
    tables.map((name) => [name, (driver.prepare(`select * from ${name}`).all() as object[]).map((row) => JSON.stringify(row)).sort()]),
  );
  driver.close();
  const photos = join(dataDir, 'photos');
  const pictures = Object.fromEntries((existsSync(photos) ? readdirSync(photos).sort() : []).map((name) => [name, readFileSync(join(photos, name), 'base64')]));
  return { rows, pictures };
}

const make = (more: Partial<Parameters<typeof makeBackup>[0]> = {}): Promise<string> =>
  makeBackup({ dataDir: server.dataDir, folder: join(server.dataDir, 'backups'), why: 'asked', now: NOW, program: 'test', ...more });

const sent = (path: string): RequestInit => ({ method: 'POST', headers: { 'Content-Type': 'application/zip' }, body: new Uint8Array(readFileSync(path)) });
const restored = async (path: string): Promise<{ status: number; body: Record<string, unknown> }> => {
  const response = await fetch(`${server.base}/api/backups/restore`, sent(path));
  return { status: response.status, body: (await response.json()) as Record<string, unknown> };
};

/** An archive like another, with some of its files otherwise. */
async function forged(path: string, change: (files: Map<string, Buffer>) => void): Promise<string> {
  const files = new Map<string, Buffer>();
  await new Promise<void>((resolve, reject) => {
    fromBuffer(readFileSync(path), { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      zip.on('end', resolve).on('error', reject);
      zip.on('entry', (entry: { fileName: string }) => {
        zip.openReadStream(entry as never, async (_failed, stream) => {
          const chunks: Buffer[] = [];
          for await (const chunk of stream) chunks.push(chunk as Buffer);
          files.set(entry.fileName, Buffer.concat(chunks));
          zip.readEntry();
        });
      });
      zip.readEntry();
    });
  });
  change(files);
  const packer = new Packer();
  for (const [name, content] of files) packer.addBuffer(content, name);
  packer.end();
  const to = join(temporaryFolder(), 'forged.zip');
  await pipeline(packer.outputStream, createWriteStream(to));
  return to;
}

const manifestOf = (files: Map<string, Buffer>): { schema: number; files: { name: string; bytes: number; sha256: string }[] } =>
  JSON.parse(String(files.get('manifest.json')));

describe('a backup', () => {
  test('put into an empty folder is equal in every row and picture', async () => {
    const path = await make();
    const manifest = await readManifest(path);
    expect(manifest).toMatchObject({ madeAt: NOW, why: 'asked', program: 'test', schema: SCHEMA });
    expect(manifest.holds.pieces).toBeGreaterThan(3);
    expect(manifest.holds.pictures).toBeGreaterThan(0);
    const empty = temporaryFolder();
    await unpackChecked(path, join(empty, 'incoming'), SCHEMA);
    expect(swapIn(empty, 'incoming', NOW)).toBeNull();
    expect(allOf(empty)).toEqual(allOf(server.dataDir));
    expect(readdirSync(empty).sort()).toEqual(['photos', DATABASE_FILE]);
    const opened = openDatabase(empty, MIGRATIONS);
    opened.close();
  });

  test('is of what was committed, while somebody writes', async () => {
    const before = allOf(server.dataDir);
    const other = new Driver(join(server.dataDir, DATABASE_FILE));
    other.exec("begin immediate; update pieces set name = 'half a save'");
    const path = await make();
    other.exec('rollback');
    other.close();
    const into = join(temporaryFolder(), 'looked-at');
    await unpackChecked(path, into, SCHEMA);
    expect(allOf(into)).toEqual(before);
  });

  test('leaves nothing half made where it fails', async () => {
    const to = temporaryFolder();
    await expect(make({ dataDir: temporaryFolder(), folder: to })).rejects.toThrow();
    expect(readdirSync(to)).toEqual([]);
  });

  test('put back through the server replaces what is there, which is moved aside; pages go on', async () => {
    const { body: made } = await server.ask('POST', '/api/backups', {});
    expect(made).toMatchObject({ why: 'asked', schema: SCHEMA, holds: { pieces: expect.any(Number) } });
    const before = allOf(server.dataDir);
    const [piece] = await server.pieces();
    await server.ask('DELETE', `/api/pieces/${piece.id}`, { version: piece.version });
    const changed = allOf(server.dataDir);
    const asked = server.ask('POST', `/api/backups/${made.id}/restore`, {});
    const { status, body } = await asked;
    expect([status, body.madeAt]).toEqual([200, NOW]);
    expect(allOf(server.dataDir)).toEqual(before);
    expect(allOf(body.aside)).toEqual(changed);
    expect((await server.ask('GET', `/api/pieces/${piece.id}`)).body).toEqual(piece);
    // What was aside can be put back like anything else: as a folder of its own it opens.
    openDatabase(body.aside, MIGRATIONS).close();
  });

  test('comes from elsewhere too, and answers that are under way are waited for', async () => {
    const path = await make();
    const slow = server.ask('POST', '/api/pieces', { id: 'x' });
    const { status, body } = await restored(path);
    expect([status, body.message]).toEqual([200, undefined]);
    expect((await slow).status).toBe(422);
    expect(readdirSync(join(server.dataDir, 'backups')).filter((name) => name.endsWith('.part'))).toEqual([]);
  });

  test.each([
    ['a byte changed', (files: Map<string, Buffer>) => files.get('torvin.db')?.writeUInt8(7, 5000), /'torvin\.db' is not what was saved: its hash differs/],
    [
      'a picture missing',
      (files: Map<string, Buffer>) => files.delete([...files.keys()].find((name) => name.startsWith('photos/')) ?? ''),
      /is missing, which/,
    ],
    ['a file more', (files: Map<string, Buffer>) => files.set('more.txt', Buffer.from('x')), /holds 'more\.txt', which its manifest does not name/],
    ['no manifest', (files: Map<string, Buffer>) => files.delete('manifest.json'), /no backup of Torvin’s\. It begins without a manifest/],
    [
      'a path that leads out',
      (files: Map<string, Buffer>) => {
        const manifest = manifestOf(files);
        manifest.files.push({ name: '../../out.txt', bytes: 1, sha256: '0'.repeat(64) });
        files.set('manifest.json', Buffer.from(JSON.stringify(manifest)));
      },
      /Its manifest cannot be read/,
    ],
  ])('with %s is refused, and nothing moves', async (_what, change, message) => {
    const before = allOf(server.dataDir);
    const path = await forged(await make(), change);
    const { status, body } = await restored(path);
    expect([status, body.message]).toEqual([422, expect.stringMatching(message)]);
    expect(body.message).toMatch(/Your data is unchanged\.$/);
    expect(allOf(server.dataDir)).toEqual(before);
    expect(readdirSync(server.dataDir).filter((name) => /restore/.test(name))).toEqual([]);
    expect((await server.ask('GET', '/api/pieces')).status).toBe(200);
  });

  test('cut off on its way, or something else altogether, is refused', async () => {
    const whole = readFileSync(await make());
    for (const bytes of [whole.subarray(0, whole.length / 2), Buffer.from('{"format":"torvin-piece"}'), Buffer.alloc(0)]) {
      const path = join(temporaryFolder(), 'sent.zip');
      writeFileSync(path, bytes);
      expect(await restored(path)).toMatchObject({ status: 422, body: { code: 'no-backup' } });
    }
    expect((await server.ask('POST', '/api/backups/restore', {})).status).toBe(415);
    expect((await server.ask('POST', '/api/backups/nothing.zip/restore', {})).status).toBe(404);
    expect((await server.ask('POST', `/api/backups/${encodeURIComponent('../torvin.db')}/restore`, {})).status).toBe(404);
  });

  test('of a newer program is left alone with a sentence', async () => {
    const path = await make();
    await expect(unpackChecked(path, join(temporaryFolder(), 'into'), SCHEMA - 1)).rejects.toThrow(/of a newer Torvin/);
  });

  test('that this program cannot open brings back what was there', async () => {
    const driver = new Driver(join(server.dataDir, DATABASE_FILE));
    const kept = join(server.dataDir, 'photos-aside', `${'a'.repeat(64)}.jpg`);
    mkdirSync(join(server.dataDir, 'photos-aside'));
    writeFileSync(kept, 'set aside');
    const before = allOf(server.dataDir);
    const odd = temporaryFolder();
    driver.prepare('vacuum into ?').run(join(odd, DATABASE_FILE));
    driver.close();
    const lacking = new Driver(join(odd, DATABASE_FILE));
    lacking.exec('alter table loads drop column zone');
    lacking.close();
    const path = await makeBackup({ dataDir: odd, folder: odd, why: 'asked', now: NOW, program: 'test' });
    const { status, body } = await restored(path);
    expect([status, body.message]).toEqual([
      422,
      expect.stringMatching(/cannot open the backup \(it lacks the column 'zone' of 'loads'\)\. What was there is in its place again/),
    ]);
    expect(allOf(server.dataDir)).toEqual(before);
    expect((await server.ask('GET', '/api/pieces')).status).toBe(200);
    expect(readFileSync(kept, 'utf8')).toBe('set aside');
    expect(readdirSync(server.dataDir).filter((name) => /restore/.test(name))).toEqual([]);
  });

  test('of an older state of the database is put in and migrated, and what was there before is put back, row for row', async () => {
    const before = allOf(server.dataDir);
    const older = temporaryFolder();
    openDatabase(older, migrationsUpTo(SCHEMA - 1)).close();
    const [from, to] = [server.dataDir, older].map((dir) => new Driver(join(dir, DATABASE_FILE)));
    to.exec('delete from studio');
    copyRows(from, to, ['studio', 'records', 'pieces', 'piece_states', 'snapshots', 'schedules', 'loads', 'firings', 'photos']);
    to.exec("update pieces set name = 'Heron, as it was' where name = 'Plaque no. 14'");
    const counted = to.prepare('select count(*) as n from firings').get() as { n: number };
    for (const driver of [from, to]) driver.close();
    const folder = temporaryFolder();
    const into = await restored(await makeBackup({ dataDir: older, folder, why: 'asked', now: NOW, program: 'older' }));
    expect([into.status, into.body.message]).toEqual([200, undefined]);
    // What was added since is there, made of the old rows.
    const found = (await server.ask('GET', '/api/pieces?text=heron')).body;
    expect(found.pieces.map(({ name }: { name: string }) => name)).toEqual(['Heron, as it was']);
    expect((await server.ask('GET', '/api/firings')).body.firings).toHaveLength(counted.n);
    const out = await restored(await makeBackup({ dataDir: String(into.body.aside), folder, why: 'asked', now: NOW, program: 'test' }));
    expect([out.status, out.body.message]).toEqual([200, undefined]);
    expect(allOf(server.dataDir)).toEqual(before);
  });

  test('is made before a migration, of the state before', async () => {
    const dir = temporaryFolder();
    const old = new Driver(join(dir, DATABASE_FILE));
    old.exec('create table of_old (id integer)');
    old.close();
    const backupsDir = join(dir, 'backups');
    const parts = { dataDir: dir, migrationsDir: MIGRATIONS, backupsDir, keeper: { make: makeBackup, unpack: unpackChecked }, version: 'test', now: () => NOW };
    const studio = await runStudio({ ...parts, pools: { own: server.pool, others: server.pool }, calculators: [], log: { error: jest.fn() } as never });
    studio.close();
    const [kept] = await listBackups(backupsDir, NOW);
    expect(kept).toMatchObject({ why: 'migration', schema: 0 });
    const into = join(temporaryFolder(), 'looked-at');
    await unpackChecked(join(backupsDir, kept.name), into, SCHEMA);
    const copy = new Driver(join(into, DATABASE_FILE));
    expect(copy.prepare("select name from sqlite_master where name in ('of_old', 'pieces')").all()).toMatchObject([{ name: 'of_old' }]);
    copy.close();
  });
});

describe('an exchange that was cut off', () => {
  /** Files that say which side they are from. */
  function sides(): string {
    const dir = temporaryFolder();
    for (const [at, word] of [
      [dir, 'old'],
      [join(dir, 'incoming'), 'new'],
    ]) {
      mkdirSync(join(at, 'photos'), { recursive: true });
      writeFileSync(join(at, 'photos', 'a.jpg'), word);
      writeFileSync(join(at, DATABASE_FILE), word);
    }
    writeFileSync(join(dir, `${DATABASE_FILE}-wal`), 'old');
    return dir;
  }

  /** What lies where, by its content. */
  const told = (dir: string, names = [join('photos', 'a.jpg'), DATABASE_FILE, `${DATABASE_FILE}-wal`]): (string | null)[] =>
    names.map((name) => (existsSync(join(dir, name)) ? readFileSync(join(dir, name), 'utf8') : null));

  test('after any of its moves is ended at the next start, and then done once', () => {
    // The moves in their order; a kill may come after each of them.
    for (let moves = 0; ; moves += 1) {
      const dir = sides();
      let left = moves;
      const rename = fs.renameSync;
      const spy = jest.spyOn(fs, 'renameSync').mockImplementation((from, to) => {
        if (left === 0) throw new Error('killed');
        left -= 1;
        rename(from, to);
      });
      let ended = true;
      try {
        swapIn(dir, 'incoming', NOW);
      } catch {
        ended = false;
      }
      spy.mockRestore();
      finishSwap(dir);
      finishSwap(dir);
      const begun = moves > 0;
      expect([moves, told(dir)]).toEqual([moves, begun ? ['new', 'new', null] : ['old', 'old', 'old']]);
      if (begun) expect(told(join(dir, readdirSync(dir).find((name) => name.startsWith('before-restore')) ?? ''))).toEqual(['old', 'old', 'old']);
      if (ended) {
        expect(moves).toBeGreaterThan(4);
        break;
      }
    }
  });
});

describe('what is kept', () => {
  const DAY_MS = 24 * 3600e3;

  test('one a day, the last 14, those before a migration besides, and those that were asked for until they are deleted', async () => {
    const to = temporaryFolder();
    for (let day = 0; day < KEPT + 4; day += 1) {
      const now = NOW + day * DAY_MS;
      expect(isDue(to, now)).toBe(true);
      await make({ folder: to, why: day === 2 ? 'migration' : 'daily', now });
      if (day === 1) await make({ folder: to, why: 'asked', now });
      if (day !== 2) expect(isDue(to, now + 3600e3)).toBe(false);
      prune(to, now);
    }
    const kept = await listBackups(to, NOW + (KEPT + 4) * DAY_MS);
    const daysOf = (wanted: BackupReason) => kept.filter(({ why }) => why === wanted).map(({ madeAt }) => (madeAt - NOW) / DAY_MS);
    expect(daysOf('daily')).toEqual(Array.from({ length: KEPT }, (_, i) => KEPT + 3 - i));
    expect(daysOf('migration')).toEqual([2]);
    expect(daysOf('asked')).toEqual([1]);
  });

  test('a clock that had jumped into next year does not push out what is made after it', async () => {
    const to = temporaryFolder();
    for (let day = 0; day < KEPT; day += 1) writeFileSync(join(to, `torvin-2027-12-${String(day + 1).padStart(2, '0')}-080000-daily.zip`), '');
    const path = await make({ folder: to, why: 'daily' });
    expect(isDue(to, NOW)).toBe(false);
    prune(to, NOW);
    expect(existsSync(path)).toBe(true);
  });

  test('is listed newest first, fetched and deleted', async () => {
    const first = (await server.ask('POST', '/api/backups', {})).body;
    const second = (await server.ask('POST', '/api/backups', {})).body;
    expect(first.id).not.toBe(second.id);
    const { body } = await server.ask('GET', '/api/backups');
    expect(body).toEqual({ folder: join(server.dataDir, 'backups'), kept: [second, first], fault: null });
    const file = await fetch(`${server.base}/api/backups/${first.id}/file`);
    expect(file.headers.get('content-disposition')).toContain(first.id);
    expect(Buffer.from(await file.arrayBuffer()).equals(readFileSync(join(body.folder, first.id)))).toBe(true);
    for (let twice = 0; twice < 2; twice += 1) expect((await server.ask('DELETE', `/api/backups/${first.id}`, {})).body).toEqual({ ok: true });
    expect((await server.ask('GET', '/api/backups')).body.kept).toEqual([second]);
    expect((await fetch(`${server.base}/api/backups/${encodeURIComponent('../torvin.db')}/file`)).status).toBe(404);
  });

  test('what a server was killed over while it unpacked it is removed at the next start', async () => {
    mkdirSync(join(server.dataDir, 'restore-unpacked', 'photos'), { recursive: true });
    writeFileSync(join(server.dataDir, 'restore-fetched.part'), 'half of it');
    server.backups.everyDay();
    server.backups.stop();
    expect(readdirSync(server.dataDir).filter((name) => name.startsWith('restore-'))).toEqual([]);
    expect(existsSync(join(server.dataDir, DATABASE_FILE))).toBe(true);
    // The first of the day, begun by itself, is made before the folder goes.
    for (let tries = 0; isDue(join(server.dataDir, 'backups'), NOW) && tries < 500; tries += 1) await new Promise((resolve) => setTimeout(resolve, 20));
    expect(isDue(join(server.dataDir, 'backups'), NOW)).toBe(false);
  });

  test('why today has none is said', async () => {
    const blocked = join(server.dataDir, 'backups');
    writeFileSync(blocked, 'a file where the folder should be');
    server.backups.everyDay();
    for (let tries = 0; server.backups.fault() === null && tries < 100; tries += 1) await new Promise((resolve) => setTimeout(resolve, 20));
    server.backups.stop();
    expect(server.backups.fault()?.message).toMatch(/^Today's backup could not be made/);
  });
});

test('the whole studio as open files: each piece reads in again, tables say every firing and record', async () => {
  const response = await fetch(`${server.base}/api/files`);
  expect(response.headers.get('content-disposition')).toMatch(/torvin-files-2026-11-23\.zip/);
  const path = join(temporaryFolder(), 'files.zip');
  writeFileSync(path, Buffer.from(await response.arrayBuffer()));
  const files = new Map<string, Buffer>();
  await forged(path, (found) => found.forEach((content, name) => files.set(name, content)));

  const all = await server.pieces();
  const filed = [...files].filter(([name]) => name.startsWith('pieces/')).map(([, content]) => PieceFileSchema.parse(JSON.parse(String(content))));
  expect(filed.map(({ piece }) => piece.id).sort()).toEqual(all.map(({ id }) => id).sort());
  expect([...files.keys()]).toContain('pieces/Plaque no. 14.json');
  const another = await startTestServer();
  for (const { id, version } of all) await another.ask('DELETE', `/api/pieces/${id}`, { version });
  for (const file of filed) expect((await another.ask('POST', '/api/import?running=in', file)).body.outcome).toBe('restored');
  await another.stop();

  const table = (name: string): Record<string, string>[] =>
    Papa.parse<Record<string, string>>(String(files.get(name)).slice(1), { header: true, skipEmptyLines: true }).data;
  const { body: page } = await server.ask('GET', '/api/firings');
  expect(table('firings.csv')).toHaveLength(page.total);
  expect(new Set(table('firings.csv').map((row) => row.piece))).toEqual(new Set(page.firings.map(({ pieceName }: { pieceName: string }) => pieceName)));
  const { body: shelves } = await server.ask('GET', '/api/shelves');
  expect(table('shelves/glasses.csv').map((row) => row.id)).toEqual(shelves.glasses.map(({ id }: { id: string }) => id));
  expect(Object.keys(table('shelves/kilns.csv')[0])).toContain('Hottest it may be asked for, °C');
  expect(table('firings.csv').map((row) => row.came_off)).toContain('Came by itself');
  const pictures = [...files.keys()].filter((name) => name.startsWith('pictures/')).sort();
  const named = [...table('firings.csv').map((row) => row.pictures), ...table('shelves/forms.csv').map((row) => row.Pictures)];
  expect(pictures.length).toBeGreaterThan(0);
  expect([...new Set(named.flatMap((names) => names.split(' ').filter(Boolean)))].map((name) => `pictures/${name}`).sort()).toEqual(pictures);
});
