/** What the firings of a kiln have taught, and what plans go by of it. */
import type { Answered } from '@torvin/core/engine';
import { cornersOf } from '@torvin/core/kiln';
import { type LookSeen, WITNESS_ERROR_K, type Witness, isTakenOver, takenOverOf, witnessOfCone } from '@torvin/core/learn';
import { LOOKS, RECIPES, isBending, neededWork, shapingDown } from '@torvin/core/look';
import { type Bench, type Learned, type Shelves, type Snapshot, WITNESS_AT_MOST_K } from '@torvin/schema';
import { type SQL, and, desc, eq, inArray, isNotNull, max, sql } from 'drizzle-orm';
import { type Database, writing } from '../db/database';
import { firings, loads, pieces, schedules, snapshots } from '../db/tables';
import { firedChanges, keptWhile, nameChanges } from './keptWhile';
import { saveRecord } from './records';
import { allShelves } from './shelfRows';
import { wasTold, workDone } from './seen';
import { readStudio } from './studio';

const SEEN_AT_MOST = 30;

export interface Evidence {
  kilnId: string;
  kilnName: string;
  familyName: string;
  glass: Snapshot['firing']['body']['glasses'][number];
  seen: LookSeen[];
  witnesses: Witness[];
  /** The newest first; each of those that teach with its place among what was seen. */
  lessons: (Omit<Learned['lessons'][number], 'without'> & { at: number | null })[];
}

const TEACHING = LOOKS.filter((look) => !RECIPES[look].byForm);

/** Kilns whose firings have taught something, the one that was fired last first. */
export function kilnsThatTaught(db: Database): Bench['taught'] {
  const { kilns } = allShelves(db);
  return keptWhile(db, 'taught', [firedChanges(db), kilns], () => kilnsTaught(db, kilns));
}

function kilnsTaught(db: Database, kilns: Shelves['kilns']): Bench['taught'] {
  const rows = db
    .select({ kilnId: schedules.kilnId, last: max(loads.at) })
    .from(firings)
    .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(teaches)
    .groupBy(schedules.kilnId)
    .all();
  return rows
    .sort((a, b) => (b.last ?? 0) - (a.last ?? 0))
    .flatMap(({ kilnId }) => {
      const kiln = kilns.find(({ id }) => id === kilnId);
      return kiln ? [{ kilnId: kiln.id, kilnName: kiln.name }] : [];
    });
}

// What was said before the glass could be cold teaches nothing, nor does what ran in a kiln or was of a glass that nobody knows any more,
// nor what hangs on holes and weights.
const teaches = and(inArray(schedules.look, TEACHING), wasTold, isNotNull(schedules.kilnId), isNotNull(schedules.familyId));

/** What a kiln, or that of the last told firing, has shown with its last glass: the looks that came out, with the work that made them. */
export function evidence(db: Database, kilnId?: string): Evidence | null {
  const { kilns, families } = allShelves(db);
  return keptWhile(db, `evidence ${kilnId ?? ''}`, [firedChanges(db), nameChanges(db), kilns, families], () => shown(db, { kilns, families }, kilnId));
}

function shown(db: Database, { kilns, families }: Pick<Shelves, 'kilns' | 'families'>, kilnId?: string): Evidence | null {
  const told = and(teaches, kilnId === undefined ? undefined : eq(schedules.kilnId, kilnId));
  /** Ids before documents, from the newest load on: to put thousands in order, none is opened. */
  const latest = (where: SQL | undefined, most: number): string[] =>
    db
      .all<{ id: string }>(
        sql`select ${firings.id} as id from ${loads} cross join ${firings} on ${firings.loadId} = ${loads.id} cross join ${schedules} on ${schedules.id} = ${firings.scheduleId} where ${where} order by ${loads.at} desc, ${firings.id} limit ${most}`,
      )
      .map(({ id }) => id);
  const opened = (ids: string[]) =>
    db
      .select({
        id: firings.id,
        pieceName: pieces.name,
        firedAt: loads.at,
        loadId: firings.loadId,
        lesson: firings.lesson,
        measured: firings.measured,
        look: schedules.look,
        result: firings.result,
        asFired: firings.asFired,
        asFiredResult: firings.asFiredResult,
        segments: schedules.segments,
        snapshot: snapshots.doc,
        kilnId: schedules.kilnId,
        familyId: schedules.familyId,
        planned: schedules.result,
      })
      .from(firings)
      .innerJoin(schedules, eq(firings.scheduleId, schedules.id))
      .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
      .innerJoin(pieces, eq(firings.pieceId, pieces.id))
      .innerJoin(loads, eq(firings.loadId, loads.id))
      .where(inArray(firings.id, ids))
      .orderBy(desc(loads.at), firings.id)
      .all();
  const [last] = opened(latest(told, 1));
  if (!last?.kilnId || !last.familyId) return null;
  // As they are called now.
  const kilnName = kilns.find(({ id }) => id === last.kilnId)?.name ?? last.snapshot.kilnName;
  const familyName = families.find(({ id }) => id === last.familyId)?.name ?? last.snapshot.familyName;
  const rows = opened(latest(and(told, eq(schedules.kilnId, last.kilnId), eq(schedules.familyId, last.familyId)), SEEN_AT_MOST));
  // Pieces of one load ran in the same kiln on the same day.
  const inOrder = [...new Set(rows.map(({ loadId }) => loadId))];
  const known = rows.flatMap((row) => {
    const { result, snapshot, lesson } = row;
    const { body, look, limits, setup } = snapshot.firing;
    const wanted = neededWork(body, look, limits.works_perPa, setup.shaping);
    if (result === null || !wanted.ok) return [];
    const { least, most } = wanted.value;
    const seen: LookSeen = {
      look,
      ...workDone(row),
      least_perPa: least,
      most_perPa: most,
      outcome: result,
      age: inOrder.indexOf(row.loadId),
      ...(lesson.by === null ? {} : { by: lesson.by }),
      ...reachedOf(row),
    };
    return [{ row: { ...row, result }, seen, cone: coneOf(row) }];
  });
  const teaching = known.filter(({ row }) => !row.lesson.leftOut);
  return {
    kilnId: last.kilnId,
    kilnName,
    familyName,
    glass: last.snapshot.firing.body.glasses[0],
    seen: teaching.map(({ seen }) => seen),
    witnesses: teaching.flatMap(({ row: { lesson, snapshot }, seen: { age = 0 }, cone }, of) => [
      ...(lesson.witness
        ? [{ offset_K: lesson.witness.controller_C - lesson.witness.glass_C + (snapshot.madeFrom?.place_K ?? 0), error_K: WITNESS_ERROR_K, age, of }]
        : []),
      ...(cone ? [{ ...cone, age, of }] : []),
    ]),
    lessons: known.map(({ row: { id: firingId, pieceName, firedAt, look, result, lesson }, seen, cone }) => ({
      ...{ firingId, pieceName, firedAt, look, result, lesson, cone_K: cone?.offset_K ?? null, measured: seen.reached_perPa !== undefined },
      ...{ ofLeast: seen.work_perPa / seen.least_perPa, ofMost: seen.work_perPa / seen.most_perPa },
      at: lesson.leftOut ? null : teaching.findIndex(({ row }) => row.id === firingId),
    })),
  };
}

type Opened = Pick<typeof firings.$inferSelect, 'measured' | 'asFired' | 'asFiredResult' | 'result'> &
  Pick<typeof schedules.$inferSelect, 'segments'> & { snapshot: Snapshot; planned: typeof schedules.$inferSelect.result };

/** As far as it was measured to have come, where that is not all of its way: what is reckoned for that. */
function reachedOf({ measured: { down_m }, result, snapshot }: Opened): Pick<LookSeen, 'reached_perPa'> {
  const { body, look, limits, setup } = snapshot.firing;
  const { shaping } = setup;
  if (down_m === null || result !== 'short' || !isBending(shaping) || shaping.down_m !== undefined) return {};
  if (down_m > ALL_OF_IT * (shapingDown(shaping) ?? 0)) return {};
  const reached = neededWork(body, look, limits.works_perPa, shaping.kind === 'hollow' ? { ...shaping, depth_m: down_m } : { ...shaping, drop_m: down_m });
  return reached.ok ? { reached_perPa: reached.value.least } : {};
}

/** Where it rests on its form, more heat brings it no further down. */
const ALL_OF_IT = 0.95;

/** What a cone beside the glass told of the controller. */
function coneOf({ measured: { cone }, asFired, asFiredResult, segments, planned, snapshot }: Opened): Witness | null {
  if (cone === null) return null;
  const ends_s = (asFiredResult ?? planned).simulation.segments.map(({ end_s }) => end_s);
  const told = witnessOfCone(cone, cornersOf(asFired ?? segments, ends_s, snapshot.firing.kiln.ambient_C));
  // Further off it was another cone, or another firing.
  return told && Math.abs(told.offset_K) <= WITNESS_AT_MOST_K ? { ...told, offset_K: told.offset_K + (snapshot.madeFrom?.place_K ?? 0) } : null;
}

/** What was fitted, as it is told. */
export function learnedFrom({ kilnId, kilnName, familyName, seen, lessons }: Evidence, fit: Answered<'corrections'>): Learned {
  const { corrections, looks, offset_sd_K, workFactor_sd_log, separated, drift, line, without } = fit;
  const taught = lessons.filter(({ at }) => at !== null);
  return {
    ...{ kilnId, kilnName, familyName, firings: seen.length, offset_K: corrections.offset_K, workFactor: corrections.workFactor },
    ...{ looks, offset_sd_K, workFactor_sd_log, separated, drift },
    line: line.flatMap(({ at, offset_K, sd_K }) => {
      const firing = taught.find((lesson) => lesson.at === at);
      return firing ? [{ firingId: firing.firingId, offset_K, sd_K }] : [];
    }),
    lessons: lessons.map(({ at, ...lesson }) => ({ ...lesson, without: at === null ? null : (without?.[at] ?? null) })),
  };
}

/** The kiln that a schedule was for. */
export const taughtKiln = (db: Database, scheduleId: string): string | null =>
  db.select({ kilnId: schedules.kilnId }).from(schedules).where(eq(schedules.id, scheduleId)).get()?.kilnId ?? null;

/** Plans for this kiln go by what was learnt from here on; false where they do already, or where the kiln is gone. */
export function planBy(db: Database, learned: Pick<Learned, 'kilnId' | 'offset_K' | 'workFactor' | 'looks'>, at: number): boolean {
  return writing(db, (tx) => {
    const kiln = allShelves(tx).kilns.find(({ id }) => id === learned.kilnId);
    if (!kiln || isTakenOver(learned, kiln)) return false;
    saveRecord(tx, 'kilns', kiln.id, { ...kiln, ...takenOverOf(learned, readStudio(tx).temperatureUnit) }, { key: undefined, at });
    return true;
  });
}
