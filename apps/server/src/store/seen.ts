/** How firings of one kind came out in a kiln, as the next of its kind is planned by. */
import { viscosityOf } from '@torvin/core/glass';
import { hottestSegment } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { workAsRead } from '@torvin/core/learn';
import { type Look, RECIPES } from '@torvin/core/look';
import { type Evaluation, type SeenFiring, glassOf, seenBody } from '@torvin/core/schedule';
import type { Snapshot } from '@torvin/schema';
import { and, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, schedules, snapshots } from '../db/tables';

/** Older ones than so many of a kind are of a kiln that has changed since. */
const SEEN_AT_MOST = 40;

/** Told of once the glass could be cold. */
export const wasTold = and(isNotNull(firings.result), isNull(firings.deletedAt), eq(firings.knownBy, ''));

interface Ran {
  segments: PurposefulSegment[];
  planned: Evaluation;
  asFired: PurposefulSegment[] | null;
  asFiredResult: Evaluation | null;
  snapshot: Snapshot;
}

/** What a firing did, as it ran: by what the controller read, since what a plan had taken off for its offset is what is to be found out. */
export function workDone({ segments, planned, asFired, asFiredResult, snapshot: { firing, madeFrom } }: Ran): { work_perPa: number; work_C: number } {
  const ran = asFired ?? segments;
  const work_C = ran[hottestSegment(ran)].target_C;
  return {
    work_C,
    work_perPa: workAsRead(viscosityOf(glassOf(firing)), (asFiredResult ?? planned).work_perPa.mean, work_C, {
      offset_K: (firing.corrections?.offset_K ?? 0) + (madeFrom?.place_K ?? 0),
    }),
  };
}

/** Newest first. What was said before the glass could be cold, or is to teach nothing, shows nothing. */
export function seenFirings(db: Database, { kiln, look }: { kiln: string; look: Look }): SeenFiring[] {
  if (RECIPES[look].empty) return [];
  // Ids before documents: one kind in one kiln is few among thousands, and none is opened to put them in order.
  const ids = db
    .select({ id: firings.id })
    .from(schedules)
    .innerJoin(firings, eq(firings.scheduleId, schedules.id))
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(and(eq(schedules.kilnId, kiln), eq(schedules.look, look), wasTold))
    .orderBy(desc(loads.at))
    .limit(SEEN_AT_MOST)
    .all()
    .map(({ id }) => id);
  if (ids.length === 0) return [];
  const rows = db
    .select({
      ...{ id: firings.id, stepId: schedules.stepId, formId: schedules.formId, segments: schedules.segments, planned: schedules.result },
      ...{ snapshot: snapshots.doc, result: firings.result, lesson: firings.lesson, asFired: firings.asFired, asFiredResult: firings.asFiredResult },
    })
    .from(firings)
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .where(inArray(firings.id, ids))
    .all();
  return rows
    .sort((one, other) => ids.indexOf(one.id) - ids.indexOf(other.id))
    .flatMap((row): SeenFiring[] => {
      const { id: firingId, stepId, formId, result, lesson, snapshot } = row;
      if (result === null || lesson.leftOut || snapshot.firing.body.glasses.length === 0) return [];
      const { shaping } = snapshot.firing.setup;
      return [
        {
          ...{ firingId, kilnId: kiln, stepId, look, formId, outcome: result, body: seenBody(snapshot.firing) },
          ...workDone(row),
          ...(lesson.by === null ? {} : { by: lesson.by }),
          ...(shaping ? { shaping } : {}),
        },
      ];
    });
}

/** The same by kiln and kind, each looked up once however many ask. */
export function seenOnce(db: Database): (of: { kilnId: string; look: Look }) => SeenFiring[] {
  const known = new Map<string, SeenFiring[]>();
  return ({ kilnId, look }) => {
    const key = `${look} ${kilnId}`;
    const seen = known.get(key) ?? seenFirings(db, { kiln: kilnId, look });
    known.set(key, seen);
    return seen;
  };
}
