/** How firings of one kind came out in a kiln, as the next of its kind is planned by. */
import { type Look, type SeenFiring, RECIPES, glassOf, hottestSegment, seenBody, viscosityOf, workAsRead } from '@torvin/core';
import { and, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, schedules, snapshots } from '../db/tables';

/** Older ones than so many of a kind are of a kiln that has changed since. */
const SEEN_AT_MOST = 40;

/** Newest first. What was said before the glass could be cold, or is to teach nothing, shows nothing. */
export function seenFirings(db: Database, { kiln, look }: { kiln: string; look: Look }): SeenFiring[] {
  if (RECIPES[look].ware) return [];
  const rows = db
    .select({
      ...{ kilnId: schedules.kilnId, stepId: schedules.stepId, formId: schedules.formId, segments: schedules.segments, planned: schedules.result },
      ...{ snapshot: snapshots.doc, result: firings.result, lesson: firings.lesson, asFired: firings.asFired, asFiredResult: firings.asFiredResult },
    })
    .from(schedules)
    .innerJoin(firings, eq(firings.scheduleId, schedules.id))
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(and(eq(schedules.kilnId, kiln), eq(schedules.look, look), isNotNull(firings.result), isNull(firings.deletedAt), eq(firings.knownBy, '')))
    .orderBy(desc(loads.at))
    .limit(SEEN_AT_MOST)
    .all();
  return rows.flatMap(({ kilnId, stepId, formId, segments, planned, snapshot: { firing }, result, lesson, asFired, asFiredResult }): SeenFiring[] => {
    if (result === null || kilnId === null || lesson.leftOut || firing.body.glasses.length === 0) return [];
    const ran = asFired ?? segments;
    const work_C = ran[hottestSegment(ran)].target_C;
    const { shaping } = firing.setup;
    return [
      {
        ...{ kilnId, stepId, look, formId, outcome: result, work_C, body: seenBody(firing) },
        work_perPa: workAsRead(viscosityOf(glassOf(firing)), (asFiredResult ?? planned).work_perPa.mean, work_C, firing.corrections ?? {}),
        ...(lesson.by === null ? {} : { by: lesson.by }),
        ...(shaping ? { shaping } : {}),
      },
    ];
  });
}
