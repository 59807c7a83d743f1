/** Firings that are most like one, as it is compared with. */
import { nearestFirst, seenBody } from '@torvin/core/schedule';
import type { FiringRow, Snapshot } from '@torvin/schema';
import { and, desc, eq, inArray, isNotNull, isNull, ne } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, schedules, snapshots } from '../db/tables';
import { NotFound } from './failures';
import { firingRows } from './firings';

const NEAREST_AT_MOST = 6;
/** So many of its kind are looked through, the newest: each means reading what it was made from. */
const LOOKED_THROUGH = 100;

const read = (db: Database) =>
  db
    .select({ id: firings.id, look: schedules.look, kilnId: schedules.kilnId, formId: schedules.formId, snapshot: snapshots.doc })
    .from(firings)
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id));

type Row = ReturnType<ReturnType<typeof read>['all']>[number];

const comparable = ({ id, look, kilnId, formId, snapshot: { firing } }: Omit<Row, 'snapshot'> & { snapshot: Snapshot }) => ({
  ...{ id, look, kilnId: kilnId ?? '', formId, body: seenBody(firing) },
  ...(firing.setup.shaping ? { shaping: firing.setup.shaping } : {}),
});

/** The nearest first; none where nothing of glass was fired. */
export function nearestFirings(db: Database, id: string): FiringRow[] {
  const own = read(db).where(eq(firings.id, id)).get();
  if (!own) throw new NotFound('firing', id);
  if (own.snapshot.firing.body.glasses.length === 0) return [];
  // Ids before documents: none is opened to put them in order.
  const ids = db
    .select({ id: firings.id })
    .from(schedules)
    .innerJoin(firings, eq(firings.scheduleId, schedules.id))
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(and(eq(schedules.look, own.look), ne(firings.id, id), isNotNull(firings.result), isNull(firings.deletedAt)))
    .orderBy(desc(loads.at))
    .limit(LOOKED_THROUGH)
    .all()
    .map((one) => one.id);
  const others = read(db).where(inArray(firings.id, ids)).all();
  const nearest = nearestFirst(comparable(own), others.filter(({ snapshot }) => snapshot.firing.body.glasses.length > 0).map(comparable), NEAREST_AT_MOST).map(
    (one) => one.id,
  );
  return firingRows(db, inArray(firings.id, nearest), NEAREST_AT_MOST).sort((one, other) => nearest.indexOf(one.id) - nearest.indexOf(other.id));
}
