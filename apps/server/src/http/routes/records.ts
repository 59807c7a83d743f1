import { KIND_LIST, type KindName, api, recordApi } from '@torvin/schema';
import { archiveRecord, findRecord, listRecords, removeRecord, restoreRecord, saveRecord } from '../../store/records';
import { studioShelves } from '../../store/shelfRows';
import { readStudio, saveStudio } from '../../store/studio';
import type { Works } from '../route';

/** The shelves with every kind of record that there is, and the studio's settings. */
export function recordRoutes({ route, db, now }: Works): void {
  function routesOf<K extends KindName>(kind: K): void {
    const { list, one, save, archive, remove, restore } = recordApi[kind] as (typeof recordApi)['families'];
    const of = kind as 'families';
    route(list, () => listRecords(db, of));
    route(one, (_, id) => findRecord(db, of, id));
    route(save, (record, id, _, sent) => saveRecord(db, of, id, record, sent));
    route(archive, ({ archived }, id) => archiveRecord(db, kind, id, archived));
    route(remove, ({ version: based }, id) => removeRecord(db, kind, id, based, now()));
    route(restore, ({ withNamed }, id) => restoreRecord(db, of, id, withNamed));
  }

  route(api.shelves, () => studioShelves(db));
  KIND_LIST.forEach(routesOf);
  route(api.studio, () => readStudio(db));
  route(api.saveStudio, (settings) => saveStudio(db, settings));
}
