/** What the programs of the controllers hold. What came last for a program stands, the rest was keyed over; a wrong entry can be taken out. */
import { profileOf } from '@torvin/core/controller';
import { ProblemError } from '@torvin/core/problem';
import type { NewProgramSchema, Program } from '@torvin/schema';
import { and, asc, desc, eq, gt, inArray, isNull, max, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import { type Database, writing } from '../db/database';
import { firings, loads, pieces, programs, schedules } from '../db/tables';
import { NotFound, Taken } from './failures';
import { type Clocks, CLOCKS_APART_MS } from './times';
import { findRecord } from './records';

type New = z.output<typeof NewProgramSchema>;

const later = alias(programs, 'later');
const newer = and(eq(later.controllerId, programs.controllerId), eq(later.slot, programs.slot), isNull(later.removedAt), gt(later.place, programs.place));

const read = (db: Database) =>
  db
    .select({ program: programs, pieceId: schedules.pieceId, pieceName: pieces.name, stepId: schedules.stepId })
    .from(programs)
    .leftJoin(schedules, eq(programs.scheduleId, schedules.id))
    .leftJoin(pieces, eq(schedules.pieceId, pieces.id));

const told = (
  { place: _place, removedAt: _removedAt, ...program }: typeof programs.$inferSelect,
  of: Pick<Program, 'pieceId' | 'pieceName' | 'stepId'>,
  keyedOverAt: number | null,
): Program => ({ ...program, ...of, keyedOverAt });

/** Those that stand, by controller and slot; of a schedule also those that were keyed over, the last of each slot. */
export function standingPrograms(db: Database, scheduleId = ''): Program[] {
  const { controllerId, slot } = programs;
  const newest = db
    .select({ controllerId, slot, top: max(programs.place).as('top') })
    .from(programs)
    .where(isNull(programs.removedAt))
    .groupBy(controllerId, slot)
    .as('newest');
  const standing = read(db)
    .innerJoin(newest, and(eq(controllerId, newest.controllerId), eq(slot, newest.slot), eq(programs.place, newest.top)))
    .where(isNull(programs.removedAt))
    .orderBy(asc(controllerId), asc(slot))
    .all()
    .map(({ program, ...of }) => told(program, of, null));
  if (scheduleId === '') return standing;
  const stood = read(db)
    .where(and(eq(programs.scheduleId, scheduleId), isNull(programs.removedAt)))
    .orderBy(asc(programs.place))
    .all();
  const last = new Map(stood.map((row) => [`${row.program.controllerId} ${row.program.slot}`, row]));
  const over = [...last.values()].flatMap(({ program, ...more }): Program[] => {
    const next = standing.find(({ controllerId, slot }) => controllerId === program.controllerId && slot === program.slot);
    if (!next || next.scheduleId === scheduleId) return [];
    return [told(program, more, keyedOver(db, program.id) ?? next.keyedAt)];
  });
  return [...standing, ...over];
}

/** When the next was keyed into the same program. */
const keyedOver = (db: Database, id: string): number | undefined =>
  db.select({ at: later.keyedAt }).from(programs).innerJoin(later, newer).where(eq(programs.id, id)).orderBy(asc(later.place)).limit(1).get()?.at;

function findProgram(db: Database, id: string): Program {
  const row = read(db).where(eq(programs.id, id)).get();
  if (!row) throw new NotFound('program', id);
  const { program, ...more } = row;
  return told(program, more, keyedOver(db, id) ?? null);
}

const impossible = (path: string, message: string): ProblemError => new ProblemError({ code: 'impossible', path, message });

/** Refused where the controller has no such program, where it came with it, and where it could not have been keyed in. */
export function keyProgram(db: Database, program: New, { now, ahead_s }: Clocks): Program {
  return writing(db, (tx) => {
    const { id, controllerId, slot, scheduleId, rows, keyedAt } = program;
    const known = tx.select().from(programs).where(eq(programs.id, id)).get();
    if (known && (known.controllerId !== controllerId || known.slot !== slot)) throw new Taken('program', id);
    if (known) return findProgram(tx, id);
    const controller = findRecord(tx, 'controllers', controllerId);
    const { programs: most, builtIn, mostSegments } = profileOf(controller);
    if (slot > most) throw impossible('slot', `'${controller.name}' has programs 1 to ${most}; there is no ${slot}.`);
    if (slot <= builtIn) throw impossible('slot', `Program ${slot} came with '${controller.name}' and cannot be written over.`);
    if (rows.length > mostSegments) throw impossible('rows', `'${controller.name}' holds ${mostSegments} segments; these are ${rows.length}.`);
    if (keyedAt - 1000 * Math.max(ahead_s, 0) > now + CLOCKS_APART_MS) throw impossible('keyedAt', 'It cannot have been keyed in time to come.');
    if (scheduleId !== null && !tx.select({ id: schedules.id }).from(schedules).where(eq(schedules.id, scheduleId)).get())
      throw new NotFound('schedule', scheduleId);
    tx.insert(programs)
      .values({ ...program, ahead_s, place: placeFor(tx, program, { now, ahead_s }) })
      .run();
    if (scheduleId !== null) tellProgram(tx, scheduleId);
    return findProgram(tx, id);
  });
}

/** Of loads with such a schedule that are not opened yet: the program in which one of theirs stands, that which came last. */
export function tellProgram(tx: Database, scheduleId: string): void {
  const open = tx
    .selectDistinct({ id: loads.id })
    .from(loads)
    .innerJoin(firings, eq(firings.loadId, loads.id))
    .where(and(eq(firings.scheduleId, scheduleId), isNull(firings.result), isNull(firings.deletedAt), isNull(loads.openedAt)))
    .all();
  for (const { id } of open) {
    const own = tx
      .select({ id: firings.scheduleId })
      .from(firings)
      .where(and(eq(firings.loadId, id), isNull(firings.deletedAt)));
    const stands = tx
      .select({ controllerId: programs.controllerId, slot: programs.slot })
      .from(programs)
      .where(and(inArray(programs.scheduleId, own), isNull(programs.removedAt)))
      .orderBy(desc(programs.place))
      .limit(1)
      .get();
    tx.update(loads)
      .set(stands ?? { controllerId: sql`null`, slot: sql`null` })
      .where(eq(loads.id, id))
      .run();
  }
}

/**
 * Over all that came before. One that came late, as from a phone that was out of reach, lies under what was keyed after it: by the clock of
 * the server at both, and never under what says that it was keyed in time to come, which a wrong clock has said.
 */
function placeFor(db: Database, { controllerId, slot, keyedAt }: New, { now, ahead_s }: Clocks): number {
  const stood = db
    .select({ place: programs.place, keyedAt: programs.keyedAt, ahead_s: programs.ahead_s })
    .from(programs)
    .where(and(eq(programs.controllerId, controllerId), eq(programs.slot, slot)))
    .orderBy(asc(programs.place))
    .all();
  const own = keyedAt - 1000 * ahead_s;
  const over = stood.findIndex((one) => {
    const theirs = one.keyedAt - 1000 * one.ahead_s;
    return theirs > own && theirs <= now + CLOCKS_APART_MS;
  });
  if (over < 0) return (stood.at(-1)?.place ?? 0) + 1;
  return (stood[over].place + (stood[over - 1]?.place ?? stood[over].place - 2)) / 2;
}

/** Takes a wrong entry out: what stood there before it stands again. Repeated, it does nothing. */
export function removeProgram(db: Database, id: string, now: number): { ok: true } {
  return writing(db, (tx) => {
    const { scheduleId } = findProgram(tx, id);
    tx.update(programs)
      .set({ removedAt: now })
      .where(and(eq(programs.id, id), isNull(programs.removedAt)))
      .run();
    if (scheduleId !== null) tellProgram(tx, scheduleId);
    return { ok: true };
  });
}

export function restoreProgram(db: Database, id: string): Program {
  return writing(db, (tx) => {
    tx.update(programs).set({ removedAt: null }).where(eq(programs.id, id)).run();
    const back = findProgram(tx, id);
    if (back.scheduleId !== null) tellProgram(tx, back.scheduleId);
    return back;
  });
}
