/** The studio's settings: one row, the last save wins. */
import type { Units } from '@torvin/core/units';
import type { Studio } from '@torvin/schema';
import type { Database } from '../db/database';
import { studio } from '../db/tables';

const FIRST: Studio = { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'system', csv: 'comma' };

export function readStudio(db: Database): Studio {
  const row = db.select().from(studio).get();
  if (!row) return FIRST;
  const { id: _one, ...settings } = row;
  return settings;
}

export function saveStudio(db: Database, settings: Studio): Studio {
  db.insert(studio)
    .values({ id: 1, ...settings })
    .onConflictDoUpdate({ target: studio.id, set: settings })
    .run();
  return readStudio(db);
}

/** The units that the studio's sentences are written in. */
export function studioUnits(db: Database): Units {
  const { temperatureUnit: temperature, lengthUnit: length, massUnit: mass } = readStudio(db);
  return { temperature, length, mass };
}
