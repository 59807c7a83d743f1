/** What is going on in the studio, put together from its firings. */
import { type LookSeen, hottestSegment, neededWork } from '@torvin/core';
import type { Bench, Snapshot } from '@torvin/schema';
import { and, desc, eq, isNotNull, isNull, max } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, schedules } from '../db/tables';
import { findFiring } from './firings';
import { allShelves } from './records';

/** More than these do not stand unopened in any studio; older ones are in the Notebook. */
const IN_KILN_AT_MOST = 6;
const SEEN_AT_MOST = 30;

export function firingsInKiln(db: Database): Bench['inKiln'] {
  return db
    .select({ id: firings.id })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(and(isNull(firings.result), isNull(firings.deletedAt)))
    .orderBy(desc(loads.at))
    .limit(IN_KILN_AT_MOST)
    .all()
    .map(({ id }) => findFiring(db, id));
}

/** The last firing of every step that was ever fired. */
export function lastFired(db: Database): Bench['fired'] {
  return db
    .select({ stepId: schedules.stepId, firingId: firings.id, firedAt: max(loads.at), result: firings.result })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .where(isNull(firings.deletedAt))
    .groupBy(schedules.stepId)
    .all()
    .map(({ firedAt, ...row }) => ({ ...row, firedAt: firedAt ?? 0 }));
}

export interface Evidence {
  kilnName: string;
  familyName: string;
  glass: Snapshot['firing']['body']['glasses'][number];
  seen: LookSeen[];
}

/** What the last told firing's kiln has shown with its glass: the looks that came out, with the work that made them. */
export function evidence(db: Database): Evidence | null {
  // What was said before the glass could be cold teaches nothing, nor does what ran in a kiln or was of a glass that nobody knows any more.
  const told = and(isNotNull(firings.result), isNull(firings.deletedAt), eq(firings.knownBy, ''), isNotNull(schedules.kilnId), isNotNull(schedules.familyId));
  const joined = () =>
    db
      .select({
        result: firings.result,
        asFired: firings.asFired,
        asFiredResult: firings.asFiredResult,
        segments: schedules.segments,
        snapshot: schedules.snapshot,
        kilnId: schedules.kilnId,
        familyId: schedules.familyId,
        planned: schedules.result,
      })
      .from(firings)
      .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
      .innerJoin(loads, eq(firings.loadId, loads.id))
      .orderBy(desc(loads.at))
      .$dynamic();
  const [last] = joined().where(told).limit(1).all();
  if (!last?.kilnId || !last.familyId) return null;
  const { kilns, families } = allShelves(db);
  // As they are called now.
  const kilnName = kilns.find(({ id }) => id === last.kilnId)?.name ?? last.snapshot.kilnName;
  const familyName = families.find(({ id }) => id === last.familyId)?.name ?? last.snapshot.familyName;
  const rows = joined()
    .where(and(told, eq(schedules.kilnId, last.kilnId), eq(schedules.familyId, last.familyId)))
    .limit(SEEN_AT_MOST)
    .all();
  const seen = rows.flatMap(({ result, asFired, asFiredResult, segments, snapshot, planned }): LookSeen[] => {
    const { body, look, limits, setup } = snapshot.firing;
    const wanted = neededWork(body, look, limits.works_perPa, setup.shaping);
    if (result === null || !wanted.ok) return [];
    const ran = asFired ?? segments;
    const { least, most } = wanted.value;
    return [
      {
        work_perPa: (asFiredResult ?? planned).work_perPa.mean,
        least_perPa: least,
        most_perPa: most,
        work_C: ran[hottestSegment(ran)].target_C,
        outcome: result,
      },
    ];
  });
  return { kilnName, familyName, glass: last.snapshot.firing.body.glasses[0], seen };
}
