import { spawn } from 'node:child_process';
import { existsSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { sql } from 'drizzle-orm';
import { DATABASE_FILE, writing } from '../db/database';
import { openDatabase } from '../opening/open';
import { seedDemo } from '../opening/seed';
import { pieces } from '../db/tables';
import { MIGRATIONS, NOW, startTestServer, temporaryFolder } from '../test/testServer';
import { FolderInUse, claimFolder } from './claim';
import { faultOf, moveAside } from './faults';

jest.setTimeout(60_000);

const failureOf = (act: () => unknown): unknown => {
  try {
    act();
  } catch (error) {
    return error;
  }
  throw new Error('It did not fail.');
};

/** A process that holds the database for writing, for so long or until it is told to let go; resolves once it does. */
function heldElsewhere(dataDir: string, forMs?: number): Promise<{ ended: Promise<unknown>; letGo(): void }> {
  const script = `const db = new (require('better-sqlite3'))(${JSON.stringify(join(dataDir, DATABASE_FILE))});
    const letGo = () => { db.exec('rollback'); db.close(); process.exit(); };
    db.exec('begin immediate'); process.stdout.write('held'); process.stdin.once('data', letGo);${forMs === undefined ? '' : ` setTimeout(letGo, ${forMs});`}`;
  const child = spawn(process.execPath, ['-e', script], { stdio: ['pipe', 'pipe', 'inherit'] });
  const ended = new Promise((resolve) => child.once('exit', resolve));
  return new Promise((resolve) => child.stdout.once('data', () => resolve({ ended, letGo: () => void child.stdin.write('let go') })));
}

describe('one server to a folder', () => {
  test('the second is told who has it and where; it is free when that one lets go', () => {
    const dir = temporaryFolder();
    const first = claimFolder(dir, NOW);
    expect(String(failureOf(() => claimFolder(dir)))).toMatch(/still starting \(process \d+, since/);
    first.at('http://localhost:4310');
    const refused = failureOf(() => claimFolder(dir));
    expect(refused).toBeInstanceOf(FolderInUse);
    expect((refused as FolderInUse).holder).toEqual({ pid: process.pid, startedAt: NOW, address: 'http://localhost:4310' });
    expect((refused as Error).message).toMatch(/^Torvin already runs on .* at http:\/\/localhost:4310 \(process \d+, since .* UTC\)\. Open it there/);
    first.release();
    const second = claimFolder(dir);
    second.release();
    expect(existsSync(join(dir, 'server.json'))).toBe(false);
  });

  test('what a killed one has left behind holds nobody up, readable or not', () => {
    const dir = temporaryFolder();
    writeFileSync(join(dir, 'server.json'), JSON.stringify({ pid: process.pid, startedAt: NOW, address: 'http://localhost:1' }));
    claimFolder(dir).release();
    writeFileSync(join(dir, 'server.json'), '{"pid":');
    const claim = claimFolder(dir);
    writeFileSync(join(dir, 'server.json'), '{"pid":');
    expect((failureOf(() => claimFolder(dir)) as FolderInUse).holder).toBeNull();
    claim.release();
  });

  test('a folder that is moved aside is all there', () => {
    const dir = temporaryFolder();
    writeFileSync(join(dir, 'kept'), 'all of it');
    const aside = moveAside(dir, new Date('2026-11-25T10:20:30Z'));
    expect(basename(aside)).toBe(`${basename(dir)}-2026-11-25-10-20-30`);
    expect(readdirSync(dirname(dir))).not.toContain(basename(dir));
    expect(readFileSync(join(aside, 'kept'), 'utf8')).toBe('all of it');
  });
});

describe('what can be wrong with it is said in a sentence', () => {
  const where = 'the folder';
  test('a file that is no database, and one that is damaged', () => {
    const dir = temporaryFolder();
    writeFileSync(join(dir, DATABASE_FILE), 'this is no database at all, and long enough to be taken for one'.repeat(100));
    const fault = faultOf(
      failureOf(() => openDatabase(dir, MIGRATIONS)),
      where,
    );
    expect(fault).toMatchObject({
      status: 500,
      problem: {
        code: 'damaged',
        message: expect.stringMatching(/torvin\.db is damaged, or no database\. Put a backup in its place, with npm run backup/) as string,
      },
    });
  });

  test('a full disk refuses a save whole, and the next one goes when there is room', () => {
    const opened = openDatabase(temporaryFolder(), MIGRATIONS);
    seedDemo(opened.db, NOW);
    const [{ page_count: pages }] = opened.db.all<{ page_count: number }>(sql`pragma page_count`);
    const before = opened.db.select().from(pieces).all();
    opened.db.run(sql.raw(`pragma max_page_count = ${pages}`));
    const save = (): void =>
      writing(opened.db, (tx) => {
        tx.update(pieces).set({ name: 'half done' }).run();
        tx.insert(pieces)
          .values({ ...before[0], id: 'large', name: 'x'.repeat(4_000_000) })
          .run();
      });
    expect(faultOf(failureOf(save), where)).toMatchObject({
      status: 507,
      problem: { code: 'disk-full', message: expect.stringMatching(/disk that the folder lies on is full: make room/) as string },
    });
    expect(opened.db.select().from(pieces).all()).toEqual(before);
    opened.db.run(sql.raw(`pragma max_page_count = ${pages + 5000}`));
    save();
    expect(opened.db.select().from(pieces).all()).toHaveLength(before.length + 1);
    opened.close();
  });

  test.each(['EROFS', 'EACCES', 'SQLITE_READONLY', 'SQLITE_CANTOPEN'])('%s', (code) => {
    const fault = faultOf(new Error('outside', { cause: Object.assign(new Error('within'), { code }) }), where);
    expect(fault?.problem).toMatchObject({
      code: 'read-only',
      message: expect.stringMatching(/may not write in the folder: give the folder to the user/) as string,
    });
  });

  test('anything else is none of these', () => {
    expect(faultOf(new Error('something'), where)).toBeNull();
    expect(faultOf('no error at all', where)).toBeNull();
  });
});

describe('a lock from outside', () => {
  const name = async (server: Awaited<ReturnType<typeof startTestServer>>, to: string) => {
    const [piece] = await server.pieces();
    return server.ask('PUT', `/api/pieces/${piece.id}`, { version: piece.version, name: to, doc: piece.doc });
  };

  test('is waited for; one that lasts is said with when to come again, and the save after it succeeds', async () => {
    const dir = temporaryFolder();
    const server = await startTestServer(dir);
    const short = await heldElsewhere(dir, 700);
    expect((await name(server, 'Waited for')).body.name).toBe('Waited for');
    await short.ended;
    const long = await heldElsewhere(dir);
    const { status, body, headers } = await name(server, 'Not this time');
    expect({ status, code: body.code, again: headers.get('Retry-After') }).toEqual({ status: 503, code: 'locked', again: '2' });
    expect(body.message).toMatch(/Another program holds the database.*Your data is unchanged/);
    long.letGo();
    await long.ended;
    expect((await name(server, 'Now')).body.name).toBe('Now');
    await server.stop();
  });
});
