/** Glass families, glasses, kilns and controllers. */
import type { Shelves } from '@torvin/schema';
import { asc } from 'drizzle-orm';
import type { Database } from '../db/open';
import { controllers, families, glasses, kilns } from '../db/tables';

/** A row without the columns that hold nothing. */
const known = <T extends object>(row: T): { [K in keyof T]: Exclude<T[K], null> } =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)) as { [K in keyof T]: Exclude<T[K], null> };

export const allShelves = (db: Database): Shelves => ({
  families: db.select().from(families).orderBy(asc(families.name)).all().map(known),
  glasses: db.select().from(glasses).orderBy(asc(glasses.name)).all(),
  kilns: db.select().from(kilns).orderBy(asc(kilns.name)).all(),
  controllers: db.select().from(controllers).orderBy(asc(controllers.name)).all(),
});
