/** What waits for the kilns with a schedule of its own, and what of it may go into one load. */
import { clearancesOf, furnished, roomOf } from '@torvin/core/kiln';
import { type Insides, type Outline, type Waits, outlineOf, suggestedLoads } from '@torvin/core/load';
import { RECIPES } from '@torvin/core/look';
import type { ForKiln, SuggestedLoad } from '@torvin/schema';
import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { pieces, schedules, snapshots } from '../db/tables';
import { firedChanges, keptWhile, pieceChanges } from './keptWhile';
import { findSchedule, inUse } from './schedules';
import { studioShelves } from './shelfRows';

const FOR_KILN_AT_MOST = 300;

/** All pieces that wait for a kiln with a schedule of their own, by name. */
export const forKiln = (db: Database): ForKiln[] =>
  keptWhile(db, 'for kiln', [pieceChanges(db), firedChanges(db)], () =>
    db
      .select({
        ...{ pieceId: pieces.id, pieceName: pieces.name, dueOn: pieces.dueOn, stepId: schedules.stepId, look: schedules.look },
        ...{ kilnId: schedules.kilnId, scheduleId: schedules.id, familyId: schedules.familyId, total_s: schedules.total_s },
        wet: sql<string | null>`json_extract(${snapshots.doc}, '$.firing.setup.wet')`,
      })
      .from(pieces)
      .innerJoin(schedules, and(eq(schedules.pieceId, pieces.id), eq(schedules.stepId, pieces.waitsStepId)))
      .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
      .where(and(isNull(pieces.deletedAt), eq(pieces.waits, 'kiln'), inUse))
      .orderBy(asc(pieces.name), asc(pieces.id))
      .limit(FOR_KILN_AT_MOST)
      .all()
      .flatMap(({ kilnId, wet, ...one }) => (kilnId === null ? [] : [{ ...one, kilnId, damp: wet !== null }])),
  );

/** A schedule stays as it was made, and so does what it takes of a shelf. */
const outlineFor = (db: Database, scheduleId: string): Outline =>
  keptWhile(db, `outline ${scheduleId}`, [], () => {
    const { snapshot, result } = findSchedule(db, scheduleId);
    return outlineOf(snapshot.firing, result.work_perPa);
  });

/** What may go into one load, by the insides of the kilns as their records have them now. */
export function suggestedNow(db: Database): SuggestedLoad[] {
  const [waiting, { kilns }] = [forKiln(db), studioShelves(db)];
  // By what waits, not by when it was read.
  return keptWhile(db, 'suggested loads', [JSON.stringify(waiting), kilns], () => {
    const insideOf: Insides = (kilnId) => {
      const kiln = kilns.find(({ id }) => id === kilnId);
      const room = kiln && roomOf(kiln);
      return room ? { room: furnished(room, kiln), clear: clearancesOf(kiln) } : null;
    };
    // What has no glass in it is fired alone.
    const withGlass = waiting.filter(({ look }) => !RECIPES[look].empty);
    const withOutlines = withGlass.map((one): Waits & ForKiln => ({ ...one, outline: outlineFor(db, one.scheduleId) }));
    return suggestedLoads(withOutlines, insideOf).map(({ pieces: some, atLeast_s, apart_s }) => {
      const [{ kilnId, look }] = some;
      return {
        ...{ kilnId, look, atLeast_s, apart_s, onOneShelf: insideOf(kilnId) !== null },
        pieces: some.map(({ pieceId, pieceName }) => ({ id: pieceId, name: pieceName })),
      };
    });
  });
}
