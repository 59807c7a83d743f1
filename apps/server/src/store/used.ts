/** How the like was set up when it was last fired: in the same form, else the same kind of firing. */
import type { Look } from '@torvin/core/look';
import type { UsedSetUp } from '@torvin/schema';
import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, schedules, snapshots } from '../db/tables';

/** Older snapshots do not name their kiln by id, and are passed over. */
const LOOKED_AT = 5;

/** form: id of one of the studio's forms; '' for none. */
export function usedSetUp(db: Database, { look, form = '' }: { look: Look; form?: string }): UsedSetUp | null {
  const inForm = form === '' ? null : lastWith(db, and(eq(schedules.formId, form), eq(schedules.look, look)));
  return inForm ?? lastWith(db, eq(schedules.look, look));
}

function lastWith(db: Database, alike: ReturnType<typeof and>): UsedSetUp | null {
  const found = db
    .select({ id: firings.id, snapshotId: schedules.snapshotId, controllerId: loads.controllerId })
    .from(schedules)
    .innerJoin(firings, eq(firings.scheduleId, schedules.id))
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(and(alike, isNotNull(loads.startedAt), isNull(firings.deletedAt)))
    .orderBy(desc(loads.at))
    .limit(LOOKED_AT)
    .all();
  for (const { snapshotId, controllerId } of found) {
    const { madeFrom, setup } = db.select({ doc: snapshots.doc }).from(snapshots).where(eq(snapshots.id, snapshotId)).get()?.doc ?? {};
    if (!madeFrom || !setup) continue;
    const { kiln, controller, release } = madeFrom;
    return { kilnId: kiln.id, controllerId: controllerId ?? controller.id, ...(release ? { releaseId: release.id } : {}), setup };
  }
  return null;
}
