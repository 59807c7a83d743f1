/**
 * Hostile days: the server killed while it saves, started twice, on a full disk. What was acknowledged is there afterwards.
 * LONG=1 kills fifty times instead of three, and fills a small disk of its own, which takes a root user.
 */
import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Driver from 'better-sqlite3';
import sharp from 'sharp';
import type { FiringDetail, LoadAhead, Piece } from '@torvin/schema';
import { ROOT, Studio, wholePieces } from './server';
import { PHONE, Visitor, launch } from './visitor';

jest.setTimeout(900_000);

const LONG = process.env.LONG === '1';
const KILLS = LONG ? 50 : 3;
const SERVER = join(ROOT, 'dist/server/main.mjs');

async function asked<T>(address: string, method: string, path: string, body?: unknown): Promise<{ status: number; body: T }> {
  const answer = await fetch(address + path, {
    method,
    ...(body === undefined ? {} : { body: JSON.stringify(body), headers: { 'Content-Type': 'application/json' } }),
  });
  return { status: answer.status, body: (await answer.json()) as T };
}

/** Bytes of a picture like no other. */
const picture = (n: number): Promise<Buffer> =>
  sharp({ create: { width: 40 + (n % 50), height: 30, channels: 3, background: { r: n % 256, g: (n >> 8) % 256, b: 90 } } })
    .png()
    .toBuffer();

const studios: Studio[] = [];
function studioOf(env: Record<string, string> = {}): Studio {
  const studio = new Studio(env);
  studios.push(studio);
  return studio;
}
afterEach(async () => {
  for (const studio of studios.splice(0)) await studio.end();
});

test(`killed ${KILLS} times while it saves, it has lost nothing that it had acknowledged`, async () => {
  const studio = studioOf();
  const lastName = new Map<string, string>();
  const made: Piece[] = [];
  const hashes: string[] = [];
  let n = 0;

  /** Saves as fast as it can until nobody answers; remembers what was acknowledged. */
  async function savePieces(address: string, template: Piece): Promise<void> {
    for (;;) {
      const mine = (n += 1);
      const piece = { id: randomUUID(), name: `Made ${mine}`, doc: template.doc };
      const { status, body } = await asked<Piece>(address, 'POST', '/api/pieces', piece);
      if (status !== 200) throw new Error(`A save was refused: ${status} ${JSON.stringify(body)}`);
      made.push(body);
      const name = `Made ${mine}, named again`;
      const changed = await asked<Piece>(address, 'PUT', `/api/pieces/${piece.id}`, { version: body.version, name, doc: body.doc, what: 'renamed' });
      if (changed.status === 200) lastName.set(piece.id, name);
    }
  }
  async function sendPictures(address: string): Promise<void> {
    for (;;) {
      n += 1;
      const answer = await fetch(`${address}/api/photos`, {
        method: 'POST',
        body: new Uint8Array(await picture(n)),
        headers: { 'Content-Type': 'image/png' },
      });
      hashes.push(((await answer.json()) as { hash: string }).hash);
    }
  }

  /** What was acknowledged last of an opening and of a deletion, and what was under way after it. */
  const opened: { last: number | null; tried: number | null } = { last: null, tried: null };
  const deleted = { last: false, tried: false };
  const detailOf = (address: string) => asked<FiringDetail>(address, 'GET', `/api/firings/${fired}`);
  /** A kiln is opened and closed again, and its firing deleted and brought back, as fast as it can. */
  async function openAndRestore(address: string): Promise<void> {
    for (;;) {
      const { status, body } = await detailOf(address);
      if (status === 200) {
        const { id, version, openedAt, at } = body.firing.load;
        opened.tried = openedAt === null ? at + 1000 + (n += 1) : null;
        const told = await asked(address, 'PUT', `/api/loads/${id}`, { version, openedAt: opened.tried });
        if (told.status !== 200) throw new Error(`An opening was refused: ${told.status} ${JSON.stringify(told.body)}`);
        opened.last = opened.tried;
        deleted.tried = true;
        await asked(address, 'DELETE', `/api/firings/${fired}`, { version: body.firing.version });
        deleted.last = true;
      }
      deleted.tried = false;
      const back = await asked(address, 'POST', `/api/firings/${fired}/restore`, {});
      if (back.status !== 200) throw new Error(`Bringing back was refused: ${back.status} ${JSON.stringify(back.body)}`);
      deleted.last = false;
    }
  }

  await studio.start();
  const [load] = (await asked<LoadAhead[]>(studio.address, 'GET', '/api/loads')).body;
  const fired = load.entries[0].firingId;
  for (let kill = 0; kill < KILLS; kill += 1) {
    const { address } = studio;
    const stands = await detailOf(address);
    expect([deleted.last, deleted.tried]).toContain(stands.status === 404);
    if (stands.status === 200) expect([opened.last, opened.tried]).toContain(stands.body.firing.load.openedAt);
    const [template] = await wholePieces(address);
    const stepless = { ...template, doc: { ...template.doc, journey: template.doc.journey.filter(({ kind }) => kind === 'lay') } };
    const work = [savePieces(address, stepless), savePieces(address, stepless), sendPictures(address), sendPictures(address), openAndRestore(address)].map(
      (one) =>
        // It ends where the server does; a refusal is a failure.
        one.catch((error: Error) => (/refused: /.test(error.message) ? error : null)),
    );
    const before = made.length + hashes.length;
    await new Promise((resolve) => setTimeout(resolve, 100 + ((kill * 137) % 400)));
    while (made.length + hashes.length === before) await new Promise((resolve) => setTimeout(resolve, 20));
    await studio.kill();
    expect((await Promise.all(work)).filter(Boolean)).toEqual([]);
    await studio.start();
  }

  expect(made.length + hashes.length).toBeGreaterThanOrEqual(KILLS);
  for (const { id, name } of made) {
    const { status, body } = await asked<Piece>(studio.address, 'GET', `/api/pieces/${id}`);
    expect([id, status, [name, lastName.get(id), `${name}, named again`].includes(body.name)]).toEqual([id, 200, true]);
    if (lastName.has(id)) expect(body.name).toBe(lastName.get(id));
  }
  for (const hash of hashes) {
    const bytes = Buffer.from(await (await fetch(`${studio.address}/api/photos/${hash}`)).arrayBuffer());
    expect(createHash('sha256').update(bytes).digest('hex')).toBe(hash);
  }
  await studio.stop();
  const driver = new Driver(join(studio.dataDir, 'torvin.db'));
  expect(driver.pragma('integrity_check')).toEqual([{ integrity_check: 'ok' }]);
  expect(driver.pragma('foreign_key_check')).toEqual([]);
  driver.close();
  expect(readdirSync(join(studio.dataDir, 'photos')).filter((name) => name.endsWith('.part')).length).toBeLessThanOrEqual(KILLS * 4);
});

/** What a start says, and how it ends. */
function started(env: Record<string, string>): Promise<{ code: number | null; said: string }> {
  const child = spawn(process.execPath, [SERVER], { cwd: ROOT, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (said += chunk.toString()));
  return new Promise((resolve) => child.once('exit', (code) => resolve({ code, said })));
}

test('a second server on the folder says that one runs there, at which address, and ends', async () => {
  const studio = studioOf();
  await studio.start();
  const { code, said } = await started({ TORVIN_DATA: studio.dataDir });
  expect([code, said]).toEqual([4, expect.stringMatching(new RegExp(`^Torvin already runs on .* at ${studio.address} \\(process \\d+`))]);
  // A killed one holds nobody up.
  await studio.kill();
  await studio.start();
});

test('a port that is taken is told with the one that is used; one that was asked for alone ends the start', async () => {
  const studio = studioOf();
  await studio.start();
  const taken = new URL(studio.address).port;
  const dir = mkdtempSync(join(tmpdir(), 'torvin-e2e-'));
  const env = { ...process.env, TORVIN_DATA: join(dir, 'data'), TORVIN_PORT: taken };
  const next = spawn(process.execPath, [SERVER], { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'inherit'] });
  let said = '';
  await new Promise<void>((resolve) => next.stdout.on('data', (chunk) => ((said += String(chunk)), said.includes('Torvin is at') && resolve())));
  const [, used] = /^Port \d+ was asked for and is taken; (\d+) is used\.\n/.exec(said) ?? [];
  expect(said).toMatch(new RegExp(`^Port ${taken} was asked .*\\nTorvin is at http://[^:]+:${used}\\n`));
  const ended = new Promise((resolve) => next.once('exit', resolve));
  next.kill('SIGTERM');
  await ended;
  const alone = await started({ TORVIN_DATA: join(dir, 'other'), TORVIN_PORT: taken, TORVIN_PORT_ALONE: '1' });
  expect([alone.code, alone.said.trim()]).toEqual([1, `Port ${taken} is taken: end what listens there, or name another.`]);
  rmSync(dir, { recursive: true });
});

test('a start that cannot be says why in a sentence, and no more', async () => {
  const dir = mkdtempSync(join(tmpdir(), 'torvin-e2e-'));
  writeFileSync(join(dir, 'torvin.db'), 'this is no database, whatever its name says; '.repeat(50));
  const damaged = await started({ TORVIN_DATA: dir });
  expect(damaged.code).toBe(1);
  expect(damaged.said.trim().split('\n')).toEqual([expect.stringMatching(/cannot be read: torvin\.db is damaged, or no database\. Put a backup in its place/)]);
  mkdirSync(join(dir, 'locked', 'server.lock'), { recursive: true });
  expect((await started({ TORVIN_DATA: join(dir, 'locked') })).said.trim()).toMatch(
    /^The lock .*server\.lock cannot be opened: it belongs to somebody else, or is no file\..*$/,
  );
  expect((await started({ TORVIN_DATA: join(dir, 'torvin.db', 'in') })).said.trim()).toMatch(
    /^The folder .* cannot be made \(.*\): name another one in TORVIN_DATA\..*$/,
  );
  expect((await started({ TORVIN_PORT: 'eighty' })).said.trim()).toBe("A port is a whole number from 1 to 65535; got 'eighty'.");
  rmSync(dir, { recursive: true });
});

if (LONG) {
  test('an hour of saves, and the Kiln page open all the while, take no more memory than the first ten minutes', async () => {
    const studio = studioOf();
    await studio.start();
    const [first] = await wholePieces(studio.address);
    const [load] = (await asked<LoadAhead[]>(studio.address, 'GET', '/api/loads')).body;
    const browser = await launch();
    const me = await Visitor.open(browser, PHONE);
    await me.page.goto(`${studio.address}/kiln`);
    await me.find('fold-programs-grey-box');
    const session = await me.page.createCDPSession();
    const memory = async (): Promise<{ server: number; page: number }> => {
      await session.send('HeapProfiler.collectGarbage');
      const { usedSize } = await session.send('Runtime.getHeapUsage');
      const { memory_bytes } = (await asked<{ memory_bytes: number }>(studio.address, 'GET', '/api/diagnostics')).body;
      return { server: memory_bytes, page: usedSize };
    };
    let { version } = first;
    let loadVersion = load.version;
    // One a second, told to the page as it comes; the kiln is opened and closed once a minute.
    async function minutes(count: number): Promise<void> {
      for (let i = 0; i < 60 * count; i += 1) {
        const change = { version, name: `${i % 2}`, doc: first.doc, what: 'x' };
        ({ version } = (await asked<Piece>(studio.address, 'PUT', `/api/pieces/${first.id}`, change)).body);
        if (i % 60 > 0) continue;
        for (const openedAt of [load.at + 1000, null])
          ({ version: loadVersion } = (await asked<LoadAhead>(studio.address, 'PUT', `/api/loads/${load.id}`, { version: loadVersion, openedAt })).body);
      }
    }
    await minutes(10);
    const before = await memory();
    await minutes(50);
    const after = await memory();
    process.stdout.write(`  ten minutes: ${JSON.stringify(before)}, an hour: ${JSON.stringify(after)}\n`);
    expect([after.server / before.server < 1.2, after.page / before.page < 1.2]).toEqual([true, true]);
    await browser.close();
  });

  test('a folder that may not be written in is said to be one', async () => {
    const disk = mkdtempSync(join(tmpdir(), 'torvin-e2e-ro-'));
    expect(spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=8m', 'tmpfs', disk]).status).toBe(0);
    try {
      mkdirSync(join(disk, 'empty'));
      const studio = studioOf({ TORVIN_DATA: disk });
      await studio.start();
      await studio.stop();
      spawnSync('mount', ['-o', 'remount,ro', disk]);
      for (const folder of [disk, join(disk, 'empty')])
        expect((await started({ TORVIN_DATA: folder })).said.trim()).toMatch(/^Torvin may not write in .*: give the folder to the user that starts Torvin.*$/);
    } finally {
      spawnSync('umount', [disk]);
      rmSync(disk, { recursive: true, force: true });
    }
  });

  test('on a full disk a save is refused whole and said to be, a killed server can be read, and saves go when there is room', async () => {
    const disk = mkdtempSync(join(tmpdir(), 'torvin-e2e-disk-'));
    expect(spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=8m', 'tmpfs', disk]).status).toBe(0);
    try {
      const studio = studioOf({ TORVIN_DATA: disk });
      await studio.start();
      const [whole] = await wholePieces(studio.address);
      const piece = whole;
      const filler = join(disk, 'filler');
      spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=4k']);
      let refused: { status: number; body: unknown } | null = null;
      let saved = whole;
      for (let i = 0; i < 200 && !refused; i += 1) {
        const answer = await asked<Piece>(studio.address, 'PUT', `/api/pieces/${piece.id}`, {
          version: saved.version,
          name: `${i}`,
          doc: saved.doc,
          what: 'x',
        });
        if (answer.status === 200) saved = answer.body;
        else refused = answer;
      }
      expect(refused).toMatchObject({ status: 507, body: { code: 'disk-full', message: expect.stringMatching(/full: make room/) } });
      expect((await asked<Piece>(studio.address, 'GET', `/api/pieces/${piece.id}`)).body).toMatchObject({ version: saved.version, name: saved.name });
      rmSync(filler);
      const last = await asked<Piece>(studio.address, 'PUT', `/api/pieces/${piece.id}`, { version: saved.version, name: 'room', doc: saved.doc, what: 'x' });
      expect(last.status).toBe(200);
      await studio.stop();
      // Killed and started on a full disk it can be read, says so on every page, and saves again by itself once there is room.
      await studio.start();
      saved = (await asked<Piece>(studio.address, 'PUT', `/api/pieces/${piece.id}`, { version: last.body.version, name: 'kept', doc: saved.doc, what: 'x' }))
        .body;
      await studio.kill();
      spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=4k']);
      await studio.start();
      expect((await asked<Piece>(studio.address, 'GET', `/api/pieces/${piece.id}`)).body).toMatchObject({ name: 'kept' });
      const change = { version: saved.version, name: 'with room again', doc: saved.doc, what: 'x' };
      expect(await asked(studio.address, 'PUT', `/api/pieces/${piece.id}`, change)).toMatchObject({ status: 507, body: { code: 'disk-full' } });
      const browser = await launch();
      const me = await Visitor.open(browser, PHONE);
      me.expectedStatuses.add(507);
      for (const path of ['/bench', '/shelves', '/notebook', `/pieces/${piece.id}`]) {
        await me.page.goto(studio.address + path);
        await me.sees('connection', /^disk full$/);
      }
      await me.press('journey-0');
      await me.press('layer-row-1');
      await me.press('layer-depth-more');
      await me.sees('connection', /^disk full · 1 waits$/);
      await me.press('connection');
      await me.sees('disk-full', /nothing more is saved until somebody makes room/);
      expect(await me.inspect()).toEqual({ overflow: [], overlaps: [], smallTargets: [], accessibility: [] });
      rmSync(filler);
      await me.gone('connection');
      await browser.close();
      expect((await asked<Piece>(studio.address, 'GET', `/api/pieces/${piece.id}`)).body).toMatchObject({ name: 'kept', version: saved.version + 1 });
      // Its database can be read by others again, as a backup does.
      expect((await asked(studio.address, 'POST', '/api/backups', {})).status).toBe(200);
      await studio.stop();
    } finally {
      spawnSync('umount', [disk]);
      rmSync(disk, { recursive: true, force: true });
    }
  });
}
