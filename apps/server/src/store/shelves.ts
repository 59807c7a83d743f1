/** Glass families, glasses, strip tests, kilns and controllers. What schedules were made from stands in their snapshots. */
import { ProblemError } from '@torvin/core';
import type { ControllerRecord, Family, Glass, Kiln, ShelfKind, Shelves, StripTest } from '@torvin/schema';
import { asc, desc, eq, getTableColumns } from 'drizzle-orm';
import type { Database } from '../db/open';
import { controllers, families, glasses, kilns, stripTests } from '../db/tables';
import { NotFound, Stale, Taken } from './failures';
import { type Sent, once } from './receipts';

/** A row without the columns that hold nothing. */
const known = <T extends object>(row: T): { [K in keyof T]: Exclude<T[K], null> } =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)) as { [K in keyof T]: Exclude<T[K], null> };

export function allShelves(db: Database): Shelves {
  const putAway: string[] = [];
  const present = <T extends { id: string; away: boolean }>({ away, ...row }: T): Omit<T, 'away'> => {
    if (away) putAway.push(row.id);
    return row;
  };
  return {
    families: db.select().from(families).orderBy(asc(families.name)).all().map(known).map(present),
    glasses: db.select().from(glasses).orderBy(asc(glasses.name)).all().map(present),
    kilns: db.select().from(kilns).orderBy(asc(kilns.name)).all().map(known).map(present),
    controllers: db.select().from(controllers).orderBy(asc(controllers.name)).all().map(present),
    stripTests: db.select().from(stripTests).orderBy(desc(stripTests.testedAt)).all(),
    putAway,
  };
}

const TABLES = { families, glasses, kilns, controllers };
const ONE: Record<ShelfKind, string> = { families: 'glass family', glasses: 'glass', kilns: 'kiln', controllers: 'controller' };

interface Records {
  families: Family;
  glasses: Glass;
  kilns: Kiln;
  controllers: ControllerRecord;
}

/** Adds a record that names version 0, or changes one that still stands at the version named. */
export function saveRecord<K extends ShelfKind>(db: Database, kind: K, id: string, record: Records[K], sent: Sent): Records[K] {
  // The four tables are written alike; their columns are those of the record, checked by its schema.
  const table = TABLES[kind] as typeof families;
  if (record.id !== id) throw new ProblemError({ code: 'id-differs', path: 'id', message: `The record is '${record.id}' but was sent to '${id}'.` });
  const find = (tx: Database): Records[K] | undefined => (allShelves(tx)[kind] as Records[K][]).find((one) => one.id === id);
  const mustFind = (tx: Database): Records[K] => {
    const found = find(tx);
    if (!found) throw new NotFound(ONE[kind], id);
    return found;
  };
  return once(
    db,
    sent,
    `${kind} ${id}`,
    (tx) => {
      const before = find(tx);
      if (before && record.version === 0) throw new Taken(ONE[kind], id);
      if (!before && record.version !== 0) throw new NotFound(ONE[kind], id);
      if (before && before.version !== record.version) throw new Stale(ONE[kind], before, record.version);
      // What the record does not say any more is not known any more.
      const unsaid = Object.fromEntries(Object.keys(getTableColumns(table)).map((key) => [key, null]));
      const { away: _away, ...columns } = { ...unsaid, ...record, version: record.version + 1 } as typeof table.$inferInsert;
      if (before) tx.update(table).set(columns).where(eq(table.id, id)).run();
      else tx.insert(table).values(columns).run();
      return mustFind(tx);
    },
    mustFind,
  );
}

/** Puts a record of any kind away, or back. Nothing that was made with it changes. */
export function putAway(db: Database, id: string, away: boolean): Shelves {
  return db.transaction((tx) => {
    const touched = Object.values(TABLES).map((table) => tx.update(table).set({ away }).where(eq(table.id, id)).run().changes);
    if (touched.every((changes) => changes === 0)) throw new NotFound('record', id);
    return allShelves(tx);
  });
}

export function addStripTest(db: Database, test: StripTest): StripTest {
  return db.transaction((tx) => {
    for (const id of [test.glassA, test.glassB]) if (!tx.select().from(glasses).where(eq(glasses.id, id)).get()) throw new NotFound('glass', id);
    tx.insert(stripTests).values(test).onConflictDoNothing().run();
    return test;
  });
}
