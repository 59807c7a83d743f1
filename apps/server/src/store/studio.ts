/** The studio's settings: one row, the last save wins. */
import type { Units } from '@torvin/core/units';
import type { FirstDay, Studio } from '@torvin/schema';
import type { Database } from '../db/database';
import { pieces, studio } from '../db/tables';

const FIRST: Studio = {
  ...{ temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'system', csv: 'comma' },
  ...{ changesFirst: 'temperature', learning: 'asks', mixedLoads: false },
};

/** A studio that has a piece has had its first day, whether it was asked or not. */
function firstDayOf(db: Database, kept: FirstDay | null): FirstDay {
  const begun = kept ?? { answered: [], familyId: null, schedule: '', done: false };
  return begun.done || !db.select({ id: pieces.id }).from(pieces).limit(1).get() ? begun : { ...begun, done: true };
}

export function readStudio(db: Database): Studio {
  const row = db.select().from(studio).get();
  if (!row) return { ...FIRST, firstDay: firstDayOf(db, null) };
  const { id: _one, firstDay, limits, ...settings } = row;
  return { ...settings, firstDay: firstDayOf(db, firstDay), ...(limits ? { limits } : {}) };
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
