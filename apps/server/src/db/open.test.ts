import { existsSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import Driver from 'better-sqlite3';
import { eq, sql } from 'drizzle-orm';
import { MIGRATIONS, NOW, startTestServer, temporaryFolder } from '../test/testServer';
import { DATABASE_FILE, openDatabase } from './open';
import { seedDemo } from './seed';
import { firings, pieces, studio } from './tables';

const folders: string[] = [];
const folder = (): string => {
  const made = temporaryFolder();
  folders.push(made);
  return made;
};
afterAll(() => folders.forEach((made) => rmSync(made, { recursive: true, force: true })));

describe('the database file', () => {
  test('opens twice, migrates once, and is seeded once', () => {
    const dir = folder();
    for (let round = 0; round < 2; round += 1) {
      const opened = openDatabase(dir, MIGRATIONS);
      seedDemo(opened.db, NOW + round);
      expect(opened.schema).toBe(1);
      expect(opened.db.select().from(pieces).all()).toHaveLength(2);
      opened.close();
    }
    expect(readdirSync(dir).filter((name) => name.startsWith('before-schema'))).toEqual([]);
  });

  test('is copied before a migration', () => {
    const dir = folder();
    const file = join(dir, DATABASE_FILE);
    const old = new Driver(file);
    old.exec('create table of_old (id integer)');
    old.close();
    openDatabase(dir, MIGRATIONS).close();
    const copy = new Driver(join(dir, 'before-schema-1.db'));
    expect(copy.prepare("select name from sqlite_master where name in ('of_old', 'pieces')").all()).toMatchObject([{ name: 'of_old' }]);
    copy.close();
  });

  test('of a newer program is left alone with a sentence', () => {
    const dir = folder();
    openDatabase(dir, MIGRATIONS).close();
    const file = new Driver(join(dir, DATABASE_FILE));
    file.exec("insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)");
    file.close();
    expect(() => openDatabase(dir, MIGRATIONS)).toThrow(/schema 2, newer than this program's 1/);
  });

  test('enforces foreign keys, also after a transaction, and keeps its busy timeout', () => {
    const { db, close } = openDatabase(folder(), MIGRATIONS);
    const orphan = { id: 'f', pieceId: 'none', scheduleId: 'none', firedAt: 1, zone: 'UTC', result: 'right', note: '', createdAt: 1 } as const;
    expect(() => db.insert(firings).values(orphan).run()).toThrow();
    db.transaction((tx) => tx.insert(studio).values({ id: 1, temperatureUnit: 'C', theme: 'dark' }).run());
    expect(() => db.insert(firings).values(orphan).run()).toThrow();
    expect(db.get<{ timeout: number }>(sql`pragma busy_timeout`).timeout).toBe(5000);
    expect(() => db.insert(studio).values({ id: 2, temperatureUnit: 'C', theme: 'dark' }).run()).toThrow();
    close();
  });

  test('undoes a transaction that throws', () => {
    const { db, close } = openDatabase(folder(), MIGRATIONS);
    seedDemo(db, NOW);
    expect(() =>
      db.transaction((tx) => {
        tx.update(pieces).set({ name: 'half done' }).run();
        throw new Error('stop');
      }),
    ).toThrow('stop');
    expect(db.select().from(pieces).where(eq(pieces.name, 'half done')).all()).toEqual([]);
    close();
  });
});

describe('a restart', () => {
  test('finds everything as it was', async () => {
    const dir = folder();
    const first = await startTestServer(dir);
    const before = [await first.ask('GET', '/api/pieces'), await first.ask('GET', '/api/firings')].map(({ body }) => body);
    await first.stop({ keepData: true });
    expect(existsSync(join(dir, DATABASE_FILE))).toBe(true);
    const second = await startTestServer(dir);
    const after = [await second.ask('GET', '/api/pieces'), await second.ask('GET', '/api/firings')].map(({ body }) => body);
    expect(after).toEqual(before);
    await second.stop();
  });
});
