import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Driver from 'better-sqlite3';
import { type Firing, KIND_LIST, type KindName, LoadSchema, PieceDocSchema, TYPICAL_SOURCE, type PieceDoc } from '@torvin/schema';
import { FiringCaseSchema } from '@torvin/core/contract';
import { v7 as uuid } from 'uuid';
import { findFiring, listFirings } from '../store/firings';
import { loadDetail, loadsAhead, loadsShown } from '../store/loads';
import { usesOfMade } from '../store/uses';
import { findPiece, undoPiece, redoPiece } from '../store/pieces';
import { allShelves } from '../store/shelfRows';
import { wholeSchedules } from '../store/schedules';
import { readStudio } from '../store/studio';
import { profileOf } from '@torvin/core/controller';
import { firingsOf, laidLayers, FIRST_LAID_ID, outdatedBy } from '@torvin/core/piece';
import { evaluate } from '@torvin/core/schedule';
import { eq, sql } from 'drizzle-orm';
import { columnsOf, copyRows, inserter, migrationsUpTo, rowsOf } from '../test/olderDatabase';
import { inOldWords } from '../test/oldWords';
import { MIGRATIONS, NOW, SCHEMA, startTestServer, temporaryFolder } from '../test/testServer';
import { DATABASE_FILE } from '../db/database';
import { isBehind, mustBeWhole, openDatabase } from './open';
import { DEMO_PIECES } from './demo';
import { seedDemo, seedOwn } from './seed';
import { FIELDS } from './afterMigrations';
import type { Database } from '../db/database';
import { firings, loadSchedules, loads, pieces, records, schedules, snapshots, studio, uses } from '../db/tables';

describe('the database file', () => {
  test('opens twice, migrates once, and is seeded once', () => {
    const dir = temporaryFolder();
    for (let round = 0; round < 2; round += 1) {
      const opened = openDatabase(dir, MIGRATIONS);
      seedDemo(opened.db, NOW + round);
      expect(opened.schema).toBe(SCHEMA);
      expect(opened.db.select().from(pieces).all()).toHaveLength(DEMO_PIECES.length);
      opened.close();
    }
  });

  test('has a mark that it keeps when it is opened again, and another one has another, also in the same place', () => {
    const [dir, other] = [temporaryFolder(), temporaryFolder()];
    const markIn = (folder: string): string => {
      const { mark, close } = openDatabase(folder, MIGRATIONS);
      close();
      return mark;
    };
    const first = markIn(dir);
    expect(first).toMatch(/^[0-9a-f]{16}$/);
    expect(markIn(dir)).toBe(first);
    expect(markIn(other)).not.toBe(first);
    renameSync(join(other, DATABASE_FILE), join(dir, DATABASE_FILE));
    expect(markIn(dir)).not.toBe(first);
  });

  test("of a studio of one's own has typical shelves, each saying so, and nothing made", () => {
    const { db, close } = openDatabase(temporaryFolder(), MIGRATIONS);
    seedOwn(db);
    seedOwn(db);
    // What a studio buys and has lying there nobody knows but itself.
    expect(
      allShelves(db)
        .glasses.flatMap((glass) => Object.keys(glass))
        .filter((key) => /^(sheet|billet)[A-Z]|^(jar|scrap)_kg$/.test(key)),
    ).toEqual([]);
    const shelves = allShelves(db);
    expect(shelves.kilns).toMatchObject([{ name: 'My kiln', source: TYPICAL_SOURCE }]);
    expect(shelves.glasses.every(({ source }) => source === TYPICAL_SOURCE)).toBe(true);
    expect(new Set(shelves.glasses.map(({ familyId }) => familyId)).size).toBe(shelves.families.length);
    expect(db.select().from(pieces).all()).toEqual([]);
    expect(seedDemo(db, NOW)).toBe(false);
    close();
  });

  test('that has stopped between two states is said to have, with what to do', () => {
    const dir = temporaryFolder();
    openDatabase(dir, migrationsUpTo(5)).close();
    const ahead = new Driver(join(dir, DATABASE_FILE));
    ahead.exec('create table receipts (key text)');
    ahead.close();
    expect(() => openDatabase(dir, MIGRATIONS)).toThrow(
      /is not what a Torvin left: a step .* failed \(table `?receipts`? already exists\)\. Put a backup in its place/,
    );
    const other = temporaryFolder();
    openDatabase(other, MIGRATIONS).close();
    const behind = new Driver(join(other, DATABASE_FILE));
    behind.exec('drop table photos; alter table loads drop column zone');
    behind.close();
    const opened = openDatabase(other, MIGRATIONS);
    expect(() => mustBeWhole(opened.db, other)).toThrow("it lacks the column 'zone' of 'loads', the table 'photos'. Put a backup");
    opened.close();
  });

  test('of a newer program is left alone with a sentence', () => {
    const dir = temporaryFolder();
    openDatabase(dir, MIGRATIONS).close();
    const file = new Driver(join(dir, DATABASE_FILE));
    file.exec("insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)");
    file.close();
    expect(() => openDatabase(dir, MIGRATIONS)).toThrow(`schema ${SCHEMA + 1}, newer than this program's ${SCHEMA};`);
    expect(() => isBehind(dir, MIGRATIONS)).not.toThrow();
  });

  test('of a newer program that said who it is is told with that, and not a byte of it is another afterwards', () => {
    const dir = temporaryFolder();
    openDatabase(dir, MIGRATIONS, { version: '9.8.7' }).close();
    const file = new Driver(join(dir, DATABASE_FILE));
    // As a killed one leaves it: with a log that is not in the file yet.
    file.pragma('journal_mode = WAL');
    file.pragma('wal_autocheckpoint = 0');
    file.exec("insert into __drizzle_migrations (hash, created_at) values ('later', 9999999999999)");
    const bytes = () =>
      ['', '-wal'].map((end) =>
        createHash('sha256')
          .update(readFileSync(join(dir, DATABASE_FILE + end)))
          .digest('hex'),
      );
    const before = bytes();
    expect(() => openDatabase(dir, MIGRATIONS, { version: '1.2.3' })).toThrow('was opened last by Torvin 9.8.7; this is Torvin 1.2.3; start the newer program');
    expect(bytes()).toEqual(before);
    file.close();
    openDatabase(temporaryFolder(), MIGRATIONS, { version: '1.2.3' }).close();
  });

  test.each([
    ['missing', () => undefined],
    ['empty', (file: string) => writeFileSync(file, '')],
    ['without a table', (file: string) => new Driver(file).close()],
  ])('that is %s beside pictures asks before a new studio starts, and touches none of them', (_, spoil) => {
    const dir = temporaryFolder();
    const picture = join(dir, 'photos', `${'c'.repeat(64)}.jpg`);
    mkdirSync(join(dir, 'photos'));
    writeFileSync(picture, 'a picture');
    spoil(join(dir, DATABASE_FILE));
    expect(() => openDatabase(dir, MIGRATIONS)).toThrow(/There is 1 picture in .* no studio's database.*TORVIN_NEW=1/);
    expect(readFileSync(picture, 'utf8')).toBe('a picture');
    const { db, close } = openDatabase(dir, MIGRATIONS, { beginAnew: true });
    expect(db.select().from(pieces).all()).toEqual([]);
    close();
    openDatabase(dir, MIGRATIONS).close();
  });

  test('enforces foreign keys, also after a transaction, and keeps its busy timeout', () => {
    const { db, close } = openDatabase(temporaryFolder(), MIGRATIONS);
    const orphan = { id: 'f', pieceId: 'none', scheduleId: 'none', loadId: 'none', result: 'right', note: '', createdAt: 1 } as const;
    expect(() => db.insert(firings).values(orphan).run()).toThrow();
    db.transaction((tx) => tx.insert(studio).values({ id: 1, temperatureUnit: 'C', theme: 'dark' }).run());
    expect(() => db.insert(firings).values(orphan).run()).toThrow();
    expect(db.get<{ timeout: number }>(sql`pragma busy_timeout`).timeout).toBe(5000);
    expect(() => db.insert(studio).values({ id: 2, temperatureUnit: 'C', theme: 'dark' }).run()).toThrow();
    close();
  });

  test('undoes a transaction that throws', () => {
    const { db, close } = openDatabase(temporaryFolder(), MIGRATIONS);
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

/** Kinds that there were then, each in a table of its own; of later ones nothing can have stood there. */
const OLD_TABLES: Partial<Record<KindName, string>> = {
  ...{ families: 'families', glasses: 'glasses', kilns: 'kilns', controllers: 'controllers', stripTests: 'strip_tests' },
};
const SINCE_THEN = ['coldColour', 'sheetWidth_m', 'sheetLength_m', 'billetWidth_m', 'billetLength_m', 'billetDepth_m', 'jar_kg', 'scrap_kg'];
const LATER = Object.fromEntries(KIND_LIST.filter((kind) => !(kind in OLD_TABLES)).map((kind) => [kind, []]));

/** Records as the tables of schema 7 and before had them: a column for each field that they knew. */
function insertShelves(to: Driver.Database, rows: Record<string, unknown>[]): void {
  const columns = Object.fromEntries(Object.entries(FIELDS).map(([column, field]) => [field, column]));
  const insert = inserter(to);
  for (const [kind, table] of Object.entries(OLD_TABLES)) {
    const known = columnsOf(to, table);
    for (const row of rows.filter((one) => one.kind === kind)) {
      const doc = Object.entries(JSON.parse(String(row.doc)) as object).map(([field, value]) => [
        columns[field] ?? field,
        typeof value === 'object' ? JSON.stringify(value) : typeof value === 'boolean' ? Number(value) : (value as unknown),
      ]);
      const all = Object.entries({ id: row.id, version: row.version, away: row.archived, ...(Object.fromEntries(doc) as object) });
      insert(table, Object.fromEntries(all.filter(([name]) => known.includes(name))));
    }
  }
}

const resultsOf = (db: Database): object[] => [
  ...db
    .select({ id: schedules.id, result: schedules.result, limits: sql<string>`json_extract(${snapshots.doc}, '$.firing.limits')` })
    .from(schedules)
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .all(),
  ...db.select({ id: firings.id, result: firings.asFiredResult }).from(firings).all(),
];

describe('a database of schema 7, where each kind had a table of its own', () => {
  test('opens with every record as it was to the last digit; of two with one id the later kind gives way, everywhere', () => {
    const [now, old] = [temporaryFolder(), temporaryFolder()];
    const seeded = openDatabase(now, MIGRATIONS);
    seedDemo(seeded.db, NOW);
    const third = 1 / 3e5;
    seeded.db
      .update(records)
      .set({ doc: sql`json_set(${records.doc}, '$.expansion_perK', ${third})` })
      .where(eq(records.id, 'soft-90'))
      .run();
    seeded.db.update(records).set({ archived: true, version: 4 }).where(eq(records.id, 'tall-kiln')).run();
    const before = allShelves(seeded.db);
    const results = resultsOf(seeded.db);
    seeded.close();
    openDatabase(old, migrationsUpTo(7)).close();
    const [from, to] = [now, old].map((dir) => new Driver(join(dir, DATABASE_FILE)));
    copyRows(from, to, ['studio', 'pieces', 'piece_states', 'schedules', 'loads', 'firings']);
    insertShelves(to, rowsOf(from, 'records'));
    // Expansion again, since SQL above wrote fifteen digits of it; and the kiln that all pieces name has the family's id.
    to.prepare("update families set expansion_per_k = ? where id = 'soft-90'").run(third);
    to.exec("update kilns set id = 'soft-90' where id = 'low-kiln'");
    for (const [table, column] of Object.entries({ pieces: 'doc', piece_states: 'doc', schedules: 'snapshot' })) {
      to.exec(`update ${table} set ${column} = replace(${column}, '"low-kiln"', '"soft-90"')`);
    }
    to.exec("update loads set kiln_id = 'soft-90' where kiln_id = 'low-kiln'");
    // Snapshots knew no family by its id; one of them knows no kiln either, and of another not even the name is on the shelf.
    to.exec("update schedules set snapshot = json_remove(snapshot, '$.familyId')");
    const [first, second] = rowsOf(to, 'schedules').map(({ id }) => String(id));
    to.prepare("update schedules set snapshot = json_remove(snapshot, '$.madeFrom'), step_id = 'gone' where id in (?, ?)").run(first, second);
    to.prepare("update schedules set kiln_name = 'Nobody knows', snapshot = json_set(snapshot, '$.kilnName', 'Nobody knows') where id = ?").run(second);
    expect(String(rowsOf(to, 'schedules')[0].result)).toContain('"deltaT_max":');
    from.close();
    to.close();

    const { db, close } = openDatabase(old, MIGRATIONS);
    // Every figure under its name of today, to the last digit.
    expect(resultsOf(db)).toEqual(results);
    const after = allShelves(db);
    const named = <T extends { id: string }>(list: T[]): T[] => list.map((record) => (record.id === 'low-kiln' ? { ...record, id: 'soft-90-kiln' } : record));
    expect(after).toEqual({
      ...before,
      ...LATER,
      kilns: named(before.kilns),
      // Of a controller three figures were known.
      controllers: before.controllers.map(({ id, version, name, source, unit, fullSpeedCode, mostSegments }) => ({
        ...{ id, version, name, source, unit, fullSpeedCode, mostSegments },
      })),
      // Of a glass neither its colour before the fire nor how it is bought.
      glasses: before.glasses.map((glass) => Object.fromEntries(Object.entries(glass).filter(([key]) => !SINCE_THEN.includes(key)))),
      // How much haze a glass bears was not told then.
      families: before.families.map(({ hazeBears_s: _later, ...family }) => (family.id === 'soft-90' ? { ...family, expansion_perK: third } : family)),
    });
    // It has a profile all the same, in which all is as usual.
    expect(after.controllers.map((controller) => profileOf(controller))).toMatchObject([
      { rateAs: 'perHour', mostRate: 3999, holdAs: 'minutes', ends: 'done', programs: 1 },
      { unit: 'F', mostRate: 7199, mostSegments: 12 },
    ]);
    expect(after.archived).toEqual(['tall-kiln']);
    const docs = db
      .select()
      .from(pieces)
      .all()
      .map(({ doc }) => doc);
    expect(docs.flatMap(firingsOf).every(({ kilnId }) => kilnId === 'soft-90-kiln')).toBe(true);
    expect(
      db
        .select()
        .from(loads)
        .all()
        .every(({ kilnId }) => kilnId === 'soft-90-kiln'),
    ).toBe(true);
    const made = wholeSchedules(db).all();
    expect(made.every(({ id, snapshot }) => [first, second].includes(id) || snapshot.madeFrom?.kiln.id === 'soft-90-kiln')).toBe(true);
    // What a firing teaches of: by what it was made from, by the only record of that name, else of nothing.
    expect(made.filter(({ id }) => id !== second).every(({ kilnId }) => kilnId === 'soft-90-kiln')).toBe(true);
    expect(made.find(({ id }) => id === second)?.kilnId).toBeNull();
    expect(made.map(({ familyId, familyName }) => after.families.find(({ id }) => id === familyId)?.name === familyName)).not.toContain(false);
    expect(rowsOf(new Driver(join(old, DATABASE_FILE)), 'sqlite_master').some(({ name }) => name === 'families')).toBe(false);
    close();
    // Opened again it is left alone.
    const again = openDatabase(old, MIGRATIONS);
    expect(allShelves(again.db)).toEqual(after);
    again.close();
  });
});

describe('a database of schema 4, where firings stood by themselves', () => {
  test('opens with every firing a load of its own, nothing lost, and two that run in one kiln both there', () => {
    const [now, old] = [temporaryFolder(), temporaryFolder()];
    const seeded = openDatabase(now, MIGRATIONS);
    seedDemo(seeded.db, NOW);
    const everyFiring = (of: Database): Firing[] => listFirings(of, {}).firings.map(({ id }) => findFiring(of, id).firing);
    const before = everyFiring(seeded.db);
    seeded.close();
    openDatabase(old, migrationsUpTo(4)).close();
    const [from, to] = [now, old].map((dir) => new Driver(join(dir, DATABASE_FILE)));
    const insert = inserter(to);
    copyRows(from, to, ['studio', 'pieces', 'piece_states', 'schedules', 'photos']);
    insertShelves(to, rowsOf(from, 'records'));
    const starts = new Map(before.map(({ id, firedAt, zone }) => [id, { firedAt, zone }]));
    const rows = rowsOf(from, 'firings').map(
      ({
        load_id: _load,
        differences: _differences,
        accepted: _accepted,
        known_by: _known,
        lesson: _lesson,
        released: _released,
        seen: _seen,
        seen_where: _where,
        marks: _marks,
        measured: _measured,
        faced: _faced,
        ...row
      }) => {
        const start = starts.get(String(row.id));
        return { ...row, fired_at: start?.firedAt, zone: start?.zone } as Record<string, unknown>;
      },
    );
    for (const row of rows) insert('firings', row);
    // An older program let a second one start in the same kiln.
    const running = rows.find(({ result }) => result === null);
    const second = uuid();
    insert('firings', { ...running, id: second });
    from.close();
    to.close();

    const { db, close } = openDatabase(old, MIGRATIONS);
    const after = everyFiring(db);
    // How it came off its form was not asked then, nor what was to be seen on it.
    expect(after.filter(({ id }) => id !== second).map(({ load: _load, ...firing }) => firing)).toEqual(
      before.map(({ load: _load, ...firing }) => ({ ...firing, released: null, seen: [], marks: [] })),
    );
    expect(new Set(after.map(({ load }) => load.id)).size).toBe(after.length);
    for (const { load, firedAt } of after) {
      expect(load).toMatchObject({ kilnId: 'low-kiln', kilnName: 'Low kiln', plannedAt: null, startedAt: firedAt, openedAt: null });
      expect(LoadSchema.safeParse(load).error).toBeUndefined();
    }
    expect(loadsAhead(db)).toHaveLength(2);
    close();
  });
});

describe('a database of schema 15, where a piece was one lay-up and a chain of firings', () => {
  test('opens with every piece a journey, judged as before, and undo goes back through all that was kept and forth again', () => {
    const [now, old] = [temporaryFolder(), temporaryFolder()];
    const seeded = openDatabase(now, MIGRATIONS);
    seedDemo(seeded.db, NOW);
    const isEarlier = ({ doc }: { doc: PieceDoc }): boolean => doc.journey.every(({ kind }, i) => (i === 0 ? kind === 'lay' : kind === 'fire'));
    const before = seeded.db.select().from(pieces).all().filter(isEarlier);
    seeded.close();
    openDatabase(old, migrationsUpTo(15)).close();
    const [from, to] = [now, old].map((dir) => new Driver(join(dir, DATABASE_FILE)));
    copyRows(from, to, ['studio', 'records', 'pieces', 'piece_states', 'snapshots', 'schedules', 'loads', 'firings']);
    expect(JSON.parse(String(rowsOf(to, 'piece_states')[0].doc))).toMatchObject({ schemaVersion: 2, layers: expect.any(Array), steps: expect.any(Array) });
    from.close();
    to.close();

    const { db, close, schema } = openDatabase(old, MIGRATIONS);
    expect(schema).toBe(SCHEMA);
    const shelves = allShelves(db);
    for (const { id, doc, position } of before) {
      const kept = findPiece(db, id);
      // What was laid first has an id of its own now; all else is as it was.
      const [laid, ...firings] = kept.doc.journey;
      expect(laid).toEqual({ ...doc.journey[0], id: FIRST_LAID_ID });
      expect(firings).toEqual(doc.journey.slice(1));
      for (const step of firingsOf(kept.doc)) {
        const made = wholeSchedules(db)
          .where(eq(schedules.id, step.scheduleId ?? ''))
          .get();
        expect(made && outdatedBy(kept.doc, step.id, shelves, made.snapshot, { temperature: 'C', length: 'mm', mass: 'g' })).toEqual([]);
      }
      const been: PieceDoc[] = [kept.doc];
      let { version } = kept;
      for (let i = 0; i < position; i += 1) {
        const piece = undoPiece(db, id, version, NOW);
        been.push(piece.doc);
        version = piece.version;
      }
      expect(() => undoPiece(db, id, version, NOW)).toThrow('nothing left to undo');
      expect(firingsOf(been[been.length - 1]).every(({ scheduleId }) => scheduleId === null)).toBe(true);
      for (const doc of been.slice(0, -1).reverse()) {
        const piece = redoPiece(db, id, version, NOW);
        expect(piece.doc).toEqual(doc);
        version = piece.version;
      }
    }
    // Of each state only how it differs is kept.
    const bytes = rowsOf(new Driver(join(old, DATABASE_FILE)), 'piece_states').map((state) => JSON.stringify(state).length);
    expect(Math.max(...bytes)).toBeLessThan(1000);
    close();
  });
});

describe('a database of schema 26, where a load was times only', () => {
  test('opens with what each load was keyed with, unlike ones left as they are, and what every piece takes; nothing is outdated by it', async () => {
    const [now, old] = [temporaryFolder(), temporaryFolder()];
    const seeded = openDatabase(now, MIGRATIONS);
    seedDemo(seeded.db, NOW);
    const taken = seeded.db.select().from(uses).all();
    const keyed = seeded.db.select().from(loadSchedules).all();
    const differing = loadsShown(seeded.db).map(({ outdated }) => outdated);
    seeded.close();
    openDatabase(old, migrationsUpTo(26)).close();
    const [from, to] = [now, old].map((dir) => new Driver(join(dir, DATABASE_FILE)));
    copyRows(from, to, ['studio', 'records', 'pieces', 'piece_states', 'snapshots', 'schedules', 'loads', 'firings']);
    expect(columnsOf(to, 'pieces')).toContain('takes');
    expect(columnsOf(to, 'loads')).not.toContain('schedule_number');
    // Two that differ, as an older Torvin let them in.
    const [kept, moved] = rowsOf(to, 'firings').map(({ id, load_id }) => ({ id: String(id), load: String(load_id) }));
    to.prepare('update firings set load_id = ? where id = ?').run(kept.load, moved.id);
    from.close();
    to.close();

    const { db, close, schema } = openDatabase(old, MIGRATIONS);
    expect(schema).toBe(SCHEMA);
    const loadNow = new Map(
      db
        .select()
        .from(loads)
        .all()
        .map((load) => [load.id, load]),
    );
    expect(loadNow.get(kept.load)?.scheduleNumber).toBeNull();
    const others = keyed.filter(({ loadId }) => loadId !== kept.load && loadId !== moved.load);
    expect(others.length).toBeGreaterThan(3);
    const now26 = db.select().from(loadSchedules).all();
    for (const { loadId, segments, entries } of others) {
      expect(loadNow.get(loadId)).toMatchObject({ scheduleNumber: 1, note: '', slot: null, ahead_s: 0 });
      expect(now26.find((one) => one.loadId === loadId)).toMatchObject({ number: 1, segments, entries });
    }
    expect(loadsShown(db).map(({ outdated }) => outdated)).toEqual(differing);
    expect(loadDetail(db, kept.load)).toMatchObject({ schedule: null, entries: [{ firingId: kept.id }, { firingId: moved.id }] });
    await usesOfMade(db);
    expect(db.select().from(uses).all()).toEqual(taken);
    close();
  });
});

describe('a database of schema 1', () => {
  /** The demo's data as the first schema kept it. */
  function ofSchema1(): string {
    const now = temporaryFolder();
    const seeded = openDatabase(now, MIGRATIONS);
    seedDemo(seeded.db, NOW);
    const rows = {
      families: allShelves(seeded.db).families,
      pieces: seeded.db.select().from(pieces).all(),
      schedules: wholeSchedules(seeded.db).all(),
    };
    seeded.close();

    const old = temporaryFolder();
    openDatabase(old, migrationsUpTo(1)).close();
    const driver = new Driver(join(old, DATABASE_FILE));
    const insert = inserter(driver);
    for (const { id, name, source } of rows.families) {
      const constants = { expansion_per_k: 9e-6, annealing_c: 515, softening_c: 680, density_kg_m3: 2500, youngs_pa: 7e10, poisson: 0.22 };
      insert('families', { id, name, source, ...constants, conductivity_w_mk: 1.2, heat_capacity_j_kgk: 1100, surface_tension_n_m: 0.3 });
    }
    for (const { id, name, version, doc, createdAt, updatedAt } of rows.pieces) {
      const { schemaVersion: _schemaVersion, dammed: _dammed, journey: _journey, ...rest } = doc;
      const layers = laidLayers(doc).map(({ id: layerId, glassId }) => ({ id: layerId, glassId, thickness_m: 0.003 }));
      const steps = firingsOf(doc)
        .slice(0, 1)
        .map(({ kind: _kind, ...step }) => ({ ...step, look: 'fullFuse', setup: 'bareShelf' }));
      const first = { ...rest, schemaVersion: 1, layers, steps };
      insert('pieces', { id, name, version, doc: JSON.stringify(first), created_at: createdAt, updated_at: updatedAt });
    }
    // The first schema knew full fuses of sheets on a bare shelf alone.
    const isOfSheets = ({ snapshot: { firing } }: (typeof rows.schedules)[number]): boolean =>
      firing.look === 'fullFuse' && !firing.setup.shaping && firing.body.layers.every(({ form }) => form === 'sheet');
    for (const row of rows.schedules.filter(isOfSheets)) {
      const { glasses, layers, ...body } = row.snapshot.firing.body;
      const { works_perPa, residual_Pa: _residual, haze_s: _haze, coating_s: _coating, ...limits } = row.snapshot.firing.limits;
      const thin = layers.map((layer) => ({ thickness_m: layer.form === 'sheet' ? layer.thickness_m : 0 }));
      const firing = { ...row.snapshot.firing, body: { ...body, glass: glasses[0], layers: thin }, limits: { ...limits, fullFuse: works_perPa.fullFuse } };
      insert('schedules', {
        id: row.id,
        piece_id: row.pieceId,
        step_id: row.stepId,
        parent_id: row.parentId,
        origin: row.origin,
        segments: JSON.stringify(row.segments),
        snapshot: inOldWords(JSON.stringify({ ...row.snapshot, setup: undefined, firing })),
        result: inOldWords(JSON.stringify(row.result)),
        work_c: row.work_C,
        work_s: row.work_s,
        total_s: row.total_s,
        kiln_name: row.kilnName,
        created_at: row.createdAt,
      });
    }
    const schedule = rows.schedules.find(isOfSheets) ?? rows.schedules[0];
    insert('firings', {
      ...{ id: 'of-old', piece_id: schedule.pieceId, schedule_id: schedule.id, fired_at: 5, zone: 'UTC', result: 'past', note: 'kept', created_at: 6 },
    });
    driver.close();
    return old;
  }

  test('opens, with every snapshot in the words of the present and the same schedule from it', () => {
    const dir = ofSchema1();
    const { db, close, schema } = openDatabase(dir, MIGRATIONS);
    expect(schema).toBe(SCHEMA);
    const kept = wholeSchedules(db).all();
    expect(kept.length).toBeGreaterThanOrEqual(2);
    for (const { snapshot, segments, result } of kept) {
      const firing = FiringCaseSchema.parse(snapshot.firing);
      expect(JSON.parse(JSON.stringify(firing))).toEqual(snapshot.firing);
      expect(evaluate(firing, segments).work_perPa).toEqual(result.work_perPa);
    }
    expect(kept.every(({ look, familyName, snapshot }) => look === 'fullFuse' && familyName !== '' && snapshot.setup.kind === 'bareShelf')).toBe(true);
    const firing = db.select().from(firings).all();
    expect(firing).toMatchObject([{ id: 'of-old', result: 'past', note: 'kept', photos: [], asFired: null, version: 1, deletedAt: null }]);
    expect(db.select().from(loads).all()).toMatchObject([{ startedAt: 5, at: 5, zone: 'UTC', openedAt: null }]);
    const docs = db.select().from(pieces).all();
    expect(docs).toHaveLength(DEMO_PIECES.length);
    for (const { id, doc } of docs) {
      expect(PieceDocSchema.safeParse(doc).error).toBeUndefined();
      expect(findPiece(db, id)).toMatchObject({ undo: null, redo: null });
    }
    expect(allShelves(db).families.every((family) => !('strain_C' in family) && !('fluidPoint' in family))).toBe(true);
    close();
  });
});

describe('the settings of an earlier schema', () => {
  test.each([1, 2, 3, 4, 5])('%i are kept, and figures stay in mm and g', (count) => {
    const dir = temporaryFolder();
    openDatabase(dir, migrationsUpTo(count)).close();
    const driver = new Driver(join(dir, DATABASE_FILE));
    driver.exec("insert into studio (id, temperature_unit, theme) values (1, 'F', 'dark')");
    driver.close();
    const { db, close } = openDatabase(dir, MIGRATIONS);
    expect(readStudio(db)).toEqual({
      temperatureUnit: 'F',
      lengthUnit: 'mm',
      massUnit: 'g',
      theme: 'dark',
      csv: 'comma',
      changesFirst: 'temperature',
      learning: 'asks',
      mixedLoads: false,
      firstDay: { answered: [], familyId: null, schedule: '', done: false },
    });
    close();
  });
});

describe('a restart', () => {
  test('finds everything as it was', async () => {
    const dir = temporaryFolder();
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
