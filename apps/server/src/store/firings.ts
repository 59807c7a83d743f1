/** Firings: each an entry of a load, pointing at the schedule version it ran, and told more of once it has been opened. */
import { fit } from '@torvin/core/fit';
import { hottestSegment } from '@torvin/core/heat';
import { firingOf, fitBefore, fitWarnings, standingWarnings, untoldBefore, untoldWords } from '@torvin/core/piece';
import { LOOKS } from '@torvin/core/look';
import { ProblemError } from '@torvin/core/problem';
import { type Evaluation, brokenOf, brokenSentence, openingTemperature } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import {
  type Firing,
  type FiringChangeSchema,
  type FiringDetail,
  type FiringPage,
  type FiringQuery,
  type FiringRow,
  type NewFiringSchema,
  ResultSchema,
  type Schedule,
  toldIn,
} from '@torvin/schema';
import { type SQL, and, count, desc, eq, isNotNull, isNull, lt, ne, or, sql } from 'drizzle-orm';
import { isDeepStrictEqual } from 'node:util';
import type { z } from 'zod';
import { type Database, writing } from '../db/database';
import { firings, loads, pieces, schedules } from '../db/tables';
import { Conflict, Deleted, NotFound, Stale, Taken } from './failures';
import { findLoad, loadsAhead, mustBeFree, mustBeFreeFor, mustNotOverlap } from './loads';
import { tellLoadSchedule } from './loadSchedules';
import { firedChanges, keptWhile } from './keptWhile';
import { differencesNow } from './outdated';
import { mustHavePhotos } from './photos';
import { tellProgram } from './programs';
import { type Sent, once } from './receipts';
import { findSchedule, rowsOf } from './schedules';
import { allShelves } from './shelfRows';
import { mentions } from './search';
import { readStudio, studioUnits } from './studio';
import { lastResults, tellWaiting } from './waiting';
import { type Clocks, CLOCKS_APART_MS, clockWords } from './times';

type Recorded = z.output<typeof NewFiringSchema>;
type Change = z.output<typeof FiringChangeSchema>;

export const PAGE = 50;
const DAY_MS = 24 * 3600e3;
/** A controller is set no further ahead. */
const PLANNED_AHEAD_MS = 60 * DAY_MS;
/** Kilns overshoot; more than so much over its top is no reading of it. */
const OVERSHOOT_K = 30;

const { id, pieceId, scheduleId, place, result, seen, lookReached, released, note, photos, asFired, version, createdAt } = firings;
const { stepId, work_C, work_s, total_s, kilnName, familyName, look } = schedules;
const COLUMNS = {
  ...{ id, pieceId, scheduleId, stepId, ...toldIn(firings), differences: firings.differences, accepted: firings.accepted, version, createdAt },
  ...{ pieceName: pieces.name, work_C, work_s, total_s, kilnName, familyName, look, load: loads },
};

const joined = (db: Database) =>
  db
    .select(COLUMNS)
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(pieces, eq(pieceId, pieces.id))
    .innerJoin(schedules, eq(scheduleId, schedules.id))
    .$dynamic();

type Row = Awaited<ReturnType<typeof joined>>[number];

const asFiring = ({ load: { createdAt: _createdAt, ...load }, ...row }: Row): Firing => ({ ...row, load, firedAt: load.at, zone: load.zone });

/** So much of a note stands in a list. */
const NOTE_IN_LIST = 160;

/** What a list does not show is not read for it. */
const ROW_COLUMNS = {
  ...{ id, pieceId, scheduleId, stepId, place, result, seen, lookReached, released, photos, version, createdAt, asFired },
  note: sql<string>`substr(${note}, 1, ${NOTE_IN_LIST})`,
  ...{ pieceName: pieces.name, work_C, work_s, total_s, kilnName, familyName, look, firedAt: loads.at, zone: loads.zone },
};

function narrowed(db: Database, { text, look: wanted, result: outcome, kiln, piece, form }: FiringQuery): SQL | undefined {
  return and(
    isNull(firings.deletedAt),
    mentions(db, id, 'f', text),
    wanted && eq(look, wanted),
    outcome && (outcome === 'open' ? isNull(result) : eq(result, outcome)),
    kiln ? eq(kilnName, kiln) : undefined,
    piece ? eq(pieceId, piece) : undefined,
    form ? or(eq(schedules.formId, form), eq(schedules.shelfId, form)) : undefined,
  );
}

/** Newest first; a page ends with where the next one begins. */
export function listFirings(db: Database, query: FiringQuery): FiringPage {
  const where = narrowed(db, query);
  const [time, last] = query.after?.split('~') ?? [];
  const beyond = last === undefined ? undefined : or(lt(loads.at, Number(time)), and(eq(loads.at, Number(time)), lt(id, last)));
  const found = firingRows(db, and(where, beyond), PAGE + 1);
  const page = found.slice(0, PAGE);
  const end = page.at(-1);
  const { after: _after, ...narrowing } = query;
  const counted = keptWhile(db, `firings ${JSON.stringify(narrowing)}`, [firedChanges(db)], () => counts(db, narrowing));
  return { firings: page, ...counted, next: found.length > PAGE && end ? `${end.firedAt}~${end.id}` : null };
}

/** As lists show them, newest first. */
export const firingRows = (db: Database, where: SQL | undefined, most: number): FiringRow[] =>
  db
    .select(ROW_COLUMNS)
    .from(firings)
    .innerJoin(loads, eq(firings.loadId, loads.id))
    .innerJoin(pieces, eq(pieceId, pieces.id))
    .innerJoin(schedules, eq(scheduleId, schedules.id))
    .where(where)
    .orderBy(desc(loads.at), desc(id))
    .limit(most)
    .all()
    .map(({ asFired: ran, ...row }): FiringRow => {
      const { target_C: ran_C, hold_s: ran_s } = ran ? ran[hottestSegment(ran)] : { target_C: row.work_C, hold_s: row.work_s };
      return { ...row, ran_C, ran_s };
    });

/** How many there are, and of each result and each kind, whichever of those is asked for. */
function counts(db: Database, query: FiringQuery): Pick<FiringPage, 'total' | 'results' | 'looks'> {
  const { result: wanted, look: kind, ...others } = query;
  const all = db
    .select({ result, look, count: count() })
    .from(firings)
    .innerJoin(schedules, eq(scheduleId, schedules.id))
    .where(narrowed(db, others))
    .groupBy(result, look)
    .all();
  const sum = (rows: typeof all): number => rows.reduce((so, one) => so + one.count, 0);
  const isWanted = (one: (typeof all)[number]): boolean => wanted === undefined || (one.result ?? 'open') === wanted;
  const isKind = (one: (typeof all)[number]): boolean => kind === undefined || one.look === kind;
  return {
    total: sum(all.filter((one) => isWanted(one) && isKind(one))),
    results: [...ResultSchema.options, 'open' as const].flatMap((one) => {
      const found = sum(all.filter((row) => (row.result ?? 'open') === one && isKind(row)));
      return found > 0 ? [{ result: one, count: found }] : [];
    }),
    looks: LOOKS.flatMap((one) => {
      const found = sum(all.filter((row) => row.look === one && isWanted(row)));
      return found > 0 ? [{ look: one, count: found }] : [];
    }),
  };
}

export function findOne(db: Database, wanted: string): Firing {
  const [row] = joined(db)
    .where(and(eq(id, wanted), isNull(firings.deletedAt)))
    .all();
  if (!row) throw new NotFound('firing', wanted);
  return asFiring(row);
}

export function findFiring(db: Database, wanted: string): FiringDetail {
  const firing = findOne(db, wanted);
  const row = db.select({ told: firings.asFiredResult }).from(firings).where(eq(id, wanted)).get();
  const together = db
    .select({ id, pieceName: pieces.name })
    .from(firings)
    .innerJoin(pieces, eq(pieceId, pieces.id))
    .where(and(eq(firings.loadId, firing.load.id), ne(id, wanted), isNull(firings.deletedAt)))
    .all();
  const schedule = findSchedule(db, firing.scheduleId);
  return { firing, schedule, asFiredResult: row?.told ?? null, opens_C: openingTemperature(schedule.snapshot.firing), together };
}

const impossible = (path: string, message: string): ProblemError => new ProblemError({ code: 'impossible', path, message });

/** Refuses what cannot have been: a start to come that is no plan, heat that the kiln has not, a result before the glass could be cold. */
function mustBePossible({ firedAt, zone, result: told, knownBy: known }: Change | Recorded, ran: Evaluation, planned: boolean, now: number): void {
  if (!planned && firedAt > now + CLOCKS_APART_MS) {
    throw impossible(
      'firedAt',
      `It cannot have started at ${clockWords(firedAt, zone)}, which is still to come. A start to come is planned on the key-in sheet.`,
    );
  }
  if (planned && firedAt > now + PLANNED_AHEAD_MS) {
    throw impossible('firedAt', `A start is planned at most 60 days ahead; got ${clockWords(firedAt, zone)}.`);
  }
  if (told === null || known !== '') return;
  const ends = ran.simulation.segments.map(({ end_s }) => end_s);
  // Only the last cooling may go faster than planned: before it the glass is hot whatever the kiln does.
  const cold_s = ends.at(-2) ?? ran.simulation.total_s;
  if (now < firedAt + cold_s * 1000 - CLOCKS_APART_MS) {
    const message = `By its schedule the glass cannot be cold before ${clockWords(firedAt + cold_s * 1000, zone)}. Say how the result is known already, or tell it then.`;
    throw new ProblemError({ code: 'too-early', path: 'knownBy', message });
  }
}

function mustBeReached(db: Database, ran: Change['asFired'], { snapshot }: Schedule): void {
  const { top_C } = snapshot.firing.kiln;
  const written = (celsius: number): string => text(formatTemperature(celsius, readStudio(db).temperatureUnit));
  ran?.forEach(({ target_C }, i) => {
    if (target_C <= top_C + OVERSHOOT_K) return;
    throw impossible(`asFired.${i}.target_C`, `The kiln '${snapshot.kilnName}' goes to ${written(top_C)}; it cannot have reached ${written(target_C)}.`);
  });
}

/** Rows as they ran, or null where they are the planned ones. */
const ranOtherwise = (ran: Change['asFired'], { segments }: Schedule): Change['asFired'] => (ran === null || isDeepStrictEqual(ran, segments) ? null : ran);

/** What speaks against a firing as it is started: what was found at the piece and in its form, and limits that its schedule breaks. */
function standingNow(db: Database, { pieceId: of, stepId: at, segments, result: planned, snapshot }: Schedule): string[] {
  const piece = db
    .select({ doc: pieces.doc })
    .from(pieces)
    .where(and(eq(pieces.id, of), isNull(pieces.deletedAt)))
    .get();
  const step = piece && firingOf(piece.doc, at);
  const units = studioUnits(db);
  const broken = brokenOf(planned.readings).map((reading) => brokenSentence(reading, units, snapshot.firing.look));
  const hottest_C = segments[hottestSegment(segments)].target_C;
  const shelf = allShelves(db);
  const found = step ? standingWarnings(piece.doc, step, shelf, units, { hottest_C, work_perPa: planned.work_perPa.mean }) : [];
  const asked = step ? fitBefore(piece.doc, step, shelf) : null;
  if (asked) found.push(...fitWarnings(asked, fit(asked.question), shelf, units));
  const fired = lastResults(db, of);
  const untold = piece
    ? untoldWords(
        piece.doc.journey,
        untoldBefore(piece.doc.journey, at, (id) => fired.has(id)),
      )
    : '';
  return [...broken, ...found, ...(untold === '' ? [] : [untold])];
}

/** The id of the kiln that a schedule was made for; older versions know its name alone. */
function kilnOf(db: Database, { snapshot }: Schedule): string | null {
  const id = snapshot.madeFrom?.kiln.id;
  return id ?? allShelves(db).kilns.find(({ name }) => name === snapshot.kilnName)?.id ?? null;
}

/** A uuid of its own, the same whenever the same firing comes again. */
export const loadIdFor = (firingId: string): string => `${firingId.slice(0, 14)}8${firingId.slice(15)}`;

/** Puts an entry into a load that stands in its kiln or waits for it: the same kiln, the same rows, the piece not in it yet. */
function mustJoin(db: Database, loadId: string, schedule: Schedule): void {
  const load = loadsAhead(db).find(({ id: one }) => one === loadId);
  if (!load) throw new Conflict('load-over', 'loadId', 'That load was opened or its result recorded: start another load.');
  if (load.kilnId !== kilnOf(db, schedule))
    throw new Conflict('other-kiln', 'loadId', `That load is in the kiln '${load.kilnName}'; this schedule is for '${schedule.snapshot.kilnName}'.`);
  if (load.entries.some(({ pieceId: one }) => one === schedule.pieceId)) throw new Conflict('twice', 'loadId', 'This piece is in that load already.');
  if (rowsOf(findSchedule(db, load.entries[0].scheduleId).segments) !== rowsOf(schedule.segments)) {
    throw new Conflict(
      'other-schedule',
      'scheduleId',
      'A load runs one schedule: take that of the load for this piece, and see what it does to it, before joining.',
    );
  }
}

/** The load that a new firing belongs to, judged as things stand now. */
function loadFor(db: Database, wanted: Recorded, schedule: Schedule, { now, ahead_s }: Clocks): string {
  const loadId = wanted.loadId ?? loadIdFor(wanted.id);
  const there = db.select({ id: loads.id }).from(loads).where(eq(loads.id, loadId)).get();
  const { firedAt, zone, planned, result: told } = wanted;
  if (there) {
    mustJoin(db, loadId, schedule);
    return loadId;
  }
  const kilnId = kilnOf(db, schedule);
  const to = firedAt + schedule.result.simulation.total_s * 1000;
  if (told === null) mustBeFree(db, { kilnId, from: firedAt, to }, now);
  else if (!wanted.atOnce) mustNotOverlap(db, { firingId: wanted.id, pieceId: wanted.pieceId, loadId, kilnId, from: firedAt, to, zone });
  const start = planned ? { plannedAt: firedAt, startedAt: null } : { plannedAt: null, startedAt: firedAt };
  db.insert(loads)
    .values({ id: loadId, kilnId, kilnName: schedule.snapshot.kilnName, ...start, at: firedAt, zone, ahead_s, createdAt: now })
    .run();
  return loadId;
}

/** asFiredResult: the engine's word on firing.asFired, where there is any. Judged and kept in one transaction. */
export function recordFiring(db: Database, wanted: Recorded, asFiredResult: Evaluation | null, clocks: Clocks): Firing {
  return writing(db, (tx) => {
    const before = tx.select().from(firings).where(eq(id, wanted.id)).get();
    if (before && before.scheduleId !== wanted.scheduleId) throw new Taken('firing', wanted.id);
    if (!before) {
      const schedule = findSchedule(tx, wanted.scheduleId);
      if (schedule.pieceId !== wanted.pieceId) throw new NotFound('schedule of this piece', wanted.scheduleId);
      mustHavePhotos(tx, wanted.photos, []);
      const ran = ranOtherwise(wanted.asFired, schedule);
      mustBeReached(tx, ran, schedule);
      mustBePossible(wanted, (ran && asFiredResult) ?? schedule.result, wanted.planned, clocks.now);
      const differs = wanted.result === null ? differencesNow(tx, schedule) : [];
      if (differs.length > 0 && !wanted.asItIs) {
        throw new Conflict('outdated', 'asItIs', `This schedule is out of date. ${differs.join(' ')} Calculate it again, or fire it as it is.`, differs);
      }
      const loadId = loadFor(tx, wanted, schedule, clocks);
      const stood = wanted.result === null ? standingNow(tx, schedule) : [];
      const { zone: _zone, firedAt: _firedAt, planned: _planned, asItIs: _asItIs, atOnce: _atOnce, ...told } = wanted;
      tx.insert(firings)
        .values({ ...told, loadId, asFired: ran, asFiredResult: ran && asFiredResult, differences: differs, accepted: stood, createdAt: clocks.now })
        .run();
      tellLoadSchedule(tx, loadId, clocks.now);
      tellProgram(tx, wanted.scheduleId);
      tellWaiting(tx, wanted.pieceId);
    }
    return findOne(tx, wanted.id);
  });
}

/** The schedule that a firing ran, deleted or not. */
export function scheduleIdOf(db: Database, wanted: string): string {
  const row = db.select({ scheduleId }).from(firings).where(eq(id, wanted)).get();
  if (!row) throw new NotFound('firing', wanted);
  return row.scheduleId;
}

/** As it stands, if nobody has deleted it. */
function standing(db: Database, wanted: string): Firing {
  const [gone] = joined(db)
    .where(and(eq(id, wanted), isNotNull(firings.deletedAt)))
    .all();
  if (gone) throw new Deleted('firing', asFiring(gone));
  return findOne(db, wanted);
}

function unchanged(db: Database, wanted: string, based: number): void {
  const current = standing(db, wanted);
  if (current.version !== based) throw new Stale('firing', current, based);
}

/** sent.at is the later of the two clocks. */
export const saveFiring = (
  db: Database,
  wanted: string,
  change: Change,
  asFiredResult: Evaluation | null,
  { ahead_s, ...sent }: Sent & Pick<Clocks, 'ahead_s'>,
): FiringDetail =>
  once(
    db,
    sent,
    `firing ${wanted}`,
    (tx) => changeFiring(tx, wanted, change, asFiredResult, { now: sent.at, ahead_s }),
    (tx) => findFiring(tx, wanted),
  );

function changeFiring(
  tx: Database,
  wanted: string,
  { version: based, ...told }: Change,
  asFiredResult: Evaluation | null,
  { now, ahead_s }: Clocks,
): FiringDetail {
  const firing = standing(tx, wanted);
  unchanged(tx, wanted, based);
  const schedule = findSchedule(tx, firing.scheduleId);
  mustHavePhotos(tx, told.photos, firing.photos);
  const { firedAt, zone, atOnce, ...rest } = told;
  const ran = ranOtherwise(rest.asFired, schedule);
  mustBeReached(tx, ran, schedule);
  const load = findLoad(tx, firing.load.id);
  const to = firedAt + 1000 * firing.total_s;
  // Open once more, or open at another time than before.
  if (rest.result === null && load.openedAt === null && (firing.result !== null || firedAt !== load.at)) mustBeFreeFor(tx, { ...load, at: firedAt }, now);
  if (rest.result !== null && firedAt !== load.at && !atOnce)
    mustNotOverlap(tx, { firingId: wanted, pieceId: firing.pieceId, loadId: load.id, kilnId: load.kilnId, from: firedAt, to, zone });
  // A plan stays one until its time is told otherwise or something came of it.
  const stillPlanned = load.startedAt === null && firedAt === load.plannedAt && rest.result === null;
  mustBePossible({ ...told, version: based }, (ran && asFiredResult) ?? schedule.result, stillPlanned, now);
  tx.update(firings)
    .set({ ...rest, asFired: ran, asFiredResult: ran && asFiredResult, version: based + 1 })
    .where(eq(id, wanted))
    .run();
  if (!stillPlanned && (firedAt !== load.startedAt || zone !== load.zone)) {
    tx.update(loads)
      .set({ startedAt: firedAt, at: firedAt, zone, ahead_s, version: load.version + 1 })
      .where(eq(loads.id, load.id))
      .run();
  }
  for (const together of tx.select({ pieceId }).from(firings).where(eq(firings.loadId, load.id)).all()) tellWaiting(tx, together.pieceId);
  return findFiring(tx, wanted);
}

/** Repeated, it does nothing. */
export function deleteFiring(db: Database, wanted: string, based: number, now: number): { ok: true } {
  return writing(db, (tx) => {
    const row = tx.select().from(firings).where(eq(id, wanted)).get();
    if (row?.deletedAt != null) return { ok: true };
    unchanged(tx, wanted, based);
    tx.update(firings)
      .set({ deletedAt: now, version: based + 1 })
      .where(eq(id, wanted))
      .run();
    if (row) {
      tellLoadSchedule(tx, row.loadId, now);
      tellWaiting(tx, row.pieceId);
    }
    return { ok: true };
  });
}

/** One that is still open takes up its kiln again; repeated, it does nothing. */
export function restoreFiring(db: Database, wanted: string, now: number): Firing {
  return writing(db, (tx) => {
    tx.update(firings).set({ deletedAt: null }).where(eq(id, wanted)).run();
    const firing = findOne(tx, wanted);
    const load = findLoad(tx, firing.load.id);
    if (firing.result === null && load.openedAt === null) mustBeFreeFor(tx, load, now);
    tellLoadSchedule(tx, load.id, now);
    tellWaiting(tx, firing.pieceId);
    return firing;
  });
}
