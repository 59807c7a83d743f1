/** What is going on in the studio, put together from its firings. */
import { RECIPES } from '@torvin/core/look';
import { namedGlasses, outdatedBy, stepName } from '@torvin/core/piece';
import type { Units } from '@torvin/core/units';
import type { Bench, Shelves, WaitingPiece } from '@torvin/schema';
import { type SQL, and, asc, count, desc, eq, isNotNull, isNull } from 'drizzle-orm';
import type { Database } from '../db/database';
import { firings, loads, pieces } from '../db/tables';
import { findOne } from './firings';
import { studioShelves } from './shelfRows';
import { kilnsThatTaught } from './learnt';
import { firedChanges, keptWhile, nameChanges } from './keptWhile';
import { pieceRow } from './pieceRows';
import { countPieces } from './pieces';
import { suggestedNow } from './forKiln';
import { findSchedule } from './schedules';
import { seenOnce } from './seen';
import { studioUnits } from './studio';
import { firedOf, lastFiring } from './waiting';

/** More than these do not stand unopened in any studio; older ones are in the Notebook. */
const LOADS_AT_MOST = 6;

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
  const { id, version, tags, finishedAt, awayAt, patternAt, dueOn } = pieces;
  const first = db
    .select({ id, version, tags, finishedAt, awayAt, patternAt, dueOn, waits: pieces.waits, waitsStepId: pieces.waitsStepId })
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
    const filed = [row.tags.join('\n'), row.finishedAt, row.awayAt, row.patternAt, row.dueOn];
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
  const [together = null] = suggestedNow(db);
  const rests = [inKiln, taught, pieces, learned, recoat, making, waitingInAll, together, ...waiting];
  return keptWhile(db, 'bench', rests, () => ({ inKiln, waiting, waitingInAll, pieces, together, learned, taught, recoat, making }));
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
    kilnId: fire?.kilnId ?? null,
    step: step && step.kind !== 'fire' ? stepName(step) : null,
    stepId: step?.id ?? null,
    firingId: fire && !RECIPES[fire.look].empty ? lastFiring(db, pieceId, fire.id) : null,
    total_s: schedule?.result.simulation.total_s ?? null,
    outdated: schedule && fire ? outdatedBy(row.doc, schedule.stepId, { ...shelves, seen: seen(fire) }, schedule.snapshot, units) : [],
  };
}
