/** What is going on in the studio, put together from its firings. */
import { type LookSeen, WITNESS_ERROR_K, type Witness } from '@torvin/core/learn';
import { LOOKS, RECIPES, neededWork } from '@torvin/core/look';
import { namedGlasses, outdatedBy, stepName } from '@torvin/core/piece';
import type { Units } from '@torvin/core/units';
import type { Bench, Learned, Shelves, Snapshot, WaitingPiece } from '@torvin/schema';
import { type SQL, and, asc, count, desc, eq, inArray, isNotNull, isNull, max, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, pieces, schedules, snapshots } from '../db/tables';
import { findOne } from './firings';
import { allShelves, studioShelves } from './shelfRows';
import { firedChanges, keptWhile, nameChanges } from './keptWhile';
import { pieceRow } from './pieceRows';
import { countPieces } from './pieces';
import { findSchedule } from './schedules';
import { seenOnce, wasTold, workDone } from './seen';
import { studioUnits } from './studio';
import { firedOf, lastFiring } from './waiting';

/** More than these do not stand unopened in any studio; older ones are in the Notebook. */
const LOADS_AT_MOST = 6;
const SEEN_AT_MOST = 30;

export const firingsInKiln = (db: Database): Bench['inKiln'] => keptWhile(db, 'in kiln', [firedChanges(db), nameChanges(db)], () => standingIn(db));

function standingIn(db: Database): Bench['inKiln'] {
  const unopened = and(isNull(firings.result), isNull(firings.deletedAt));
  const newest = db
    .selectDistinct({ id: firings.loadId, at: loads.at })
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .where(unopened)
    .orderBy(desc(loads.at))
    .limit(LOADS_AT_MOST)
    .all();
  // A load is there with all of its pieces, or not at all.
  return newest.flatMap(({ id }) =>
    db
      .select({ id: firings.id })
      .from(firings)
      .where(and(eq(firings.loadId, id), unopened))
      .orderBy(asc(firings.createdAt), asc(firings.id))
      .all()
      .map((firing) => findOne(db, firing.id)),
  );
}

/** More is not looked through at a glance; the list of pieces has them all. */
const SHOWN_AT_MOST = 12;

const waits = and(isNotNull(pieces.waits), isNull(pieces.deletedAt));

export function waitingPieces(db: Database): { waiting: WaitingPiece[]; waitingInAll: number } {
  // Without documents: none is opened to put them in order, nor where nothing has changed.
  const { id, version, tags, finishedAt, awayAt, patternAt } = pieces;
  const first = db
    .select({ id, version, tags, finishedAt, awayAt, patternAt, waits: pieces.waits, waitsStepId: pieces.waitsStepId })
    .from(pieces)
    .where(waits)
    .orderBy(desc(pieces.updatedAt), desc(pieces.id))
    .limit(SHOWN_AT_MOST)
    .all();
  const shelves = studioShelves(db);
  const units = studioUnits(db);
  const seen = seenOnce(db);
  const on = [shelves, firedChanges(db), units.temperature, units.length, units.mass];
  const waiting = first.map((row) => {
    const filed = [row.tags.join('\n'), row.finishedAt, row.awayAt, row.patternAt];
    return keptWhile(db, `waiting ${row.id}`, [row.version, row.waits, row.waitsStepId, ...filed, ...on], () => waitingPiece(db, row.id, shelves, units, seen));
  });
  return { waiting: waiting.flatMap((one) => one ?? []), waitingInAll: countWaiting(db) };
}

interface Around {
  learned: Bench['learned'];
  recoat: Bench['recoat'];
  making: Bench['making'];
}

/** All of the Bench; the same object for as long as nothing in it has changed. */
export function benchNow(db: Database, { learned, recoat, making }: Around): Bench {
  const [inKiln, taught, pieces] = [firingsInKiln(db), kilnsThatTaught(db), countPieces(db)];
  const { waiting, waitingInAll } = waitingPieces(db);
  const rests = [inKiln, taught, pieces, learned, recoat, making, waitingInAll, ...waiting];
  return keptWhile(db, 'bench', rests, () => ({ inKiln, waiting, waitingInAll, pieces, learned, taught, recoat, making }));
}

/** All that wait but for the few that were deleted: each of the two is counted by an index, and no document is passed over. */
function countWaiting(db: Database): number {
  const counted = (where: SQL | undefined): number => db.select({ n: count() }).from(pieces).where(where).get()?.n ?? 0;
  return counted(isNotNull(pieces.waits)) - counted(and(isNotNull(pieces.deletedAt), isNotNull(pieces.waits)));
}

/** What a piece waits for; how long its firing takes, and what is out of date in it. */
function waitingPiece(db: Database, pieceId: string, shelves: Shelves, units: Units, seen: ReturnType<typeof seenOnce>): WaitingPiece | null {
  const row = db.select().from(pieces).where(eq(pieces.id, pieceId)).get();
  if (!row?.waits) return null;
  const step = row.doc.journey.find(({ id }) => id === row.waitsStepId);
  const fire = step?.kind === 'fire' ? step : null;
  const schedule = fire?.scheduleId ? findSchedule(db, fire.scheduleId) : null;
  return {
    piece: pieceRow(db, row, firedOf(db, [pieceId])(pieceId), namedGlasses(shelves)),
    for: row.waits,
    look: fire?.look ?? null,
    step: step && step.kind !== 'fire' ? stepName(step) : null,
    stepId: step?.id ?? null,
    firingId: fire && !RECIPES[fire.look].empty ? lastFiring(db, pieceId, fire.id) : null,
    total_s: schedule?.result.simulation.total_s ?? null,
    outdated: schedule && fire ? outdatedBy(row.doc, schedule.stepId, { ...shelves, seen: seen(fire) }, schedule.snapshot, units) : [],
  };
}

export interface Evidence {
  kilnId: string;
  kilnName: string;
  familyName: string;
  glass: Snapshot['firing']['body']['glasses'][number];
  seen: LookSeen[];
  witnesses: Witness[];
  lessons: Learned['lessons'];
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
        sql`select ${firings.id} as id from ${loads} cross join ${firings} on ${firings.loadId} = ${loads.id} cross join ${schedules} on ${schedules.id} = ${firings.scheduleId} where ${where} order by ${loads.at} desc limit ${most}`,
      )
      .map(({ id }) => id);
  const opened = (ids: string[]) =>
    db
      .select({
        id: firings.id,
        pieceName: pieces.name,
        firedAt: loads.at,
        lesson: firings.lesson,
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
      .orderBy(desc(loads.at))
      .all();
  const [last] = opened(latest(told, 1));
  if (!last?.kilnId || !last.familyId) return null;
  // As they are called now.
  const kilnName = kilns.find(({ id }) => id === last.kilnId)?.name ?? last.snapshot.kilnName;
  const familyName = families.find(({ id }) => id === last.familyId)?.name ?? last.snapshot.familyName;
  const rows = opened(latest(and(told, eq(schedules.kilnId, last.kilnId), eq(schedules.familyId, last.familyId)), SEEN_AT_MOST));
  const known = rows.flatMap((row, age) => {
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
      age,
      ...(lesson.by === null ? {} : { by: lesson.by }),
    };
    return [{ row: { ...row, result }, seen }];
  });
  const teaching = known.filter(({ row }) => !row.lesson.leftOut);
  return {
    kilnId: last.kilnId,
    kilnName,
    familyName,
    glass: last.snapshot.firing.body.glasses[0],
    seen: teaching.map(({ seen }) => seen),
    witnesses: teaching.flatMap(({ row: { lesson }, seen }) =>
      lesson.witness
        ? [{ offset_K: lesson.witness.controller_C - lesson.witness.glass_C, error_K: WITNESS_ERROR_K, ...(seen.age === undefined ? {} : { age: seen.age }) }]
        : [],
    ),
    lessons: known.map(({ row: { id: firingId, pieceName, firedAt, look, result, lesson }, seen }) => ({
      ...{ firingId, pieceName, firedAt, look, result, lesson },
      ...{ ofLeast: seen.work_perPa / seen.least_perPa, ofMost: seen.work_perPa / seen.most_perPa },
    })),
  };
}
