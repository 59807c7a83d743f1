/** What stands in the programs of the controllers. Rows are only added: what was keyed last into a program stands, the rest was keyed over. */
import { ProblemError, profileOf } from '@torvin/core';
import type { NewProgramSchema, Program } from '@torvin/schema';
import { and, asc, eq, gt, gte, max, or } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import type { z } from 'zod';
import { type Database, writing } from '../db/database';
import { pieces, programs, schedules } from '../db/tables';
import { NotFound, Taken } from './failures';
import { CLOCKS_APART_MS } from './times';
import { findRecord } from './records';

type New = z.output<typeof NewProgramSchema>;

const later = alias(programs, 'later');
const newer = and(
  eq(later.controllerId, programs.controllerId),
  eq(later.slot, programs.slot),
  gte(later.keyedAt, programs.keyedAt),
  // Ids rise with time: of two of one moment the greater is the newer.
  or(gt(later.keyedAt, programs.keyedAt), gt(later.id, programs.id)),
);

const read = (db: Database) =>
  db
    .select({ program: programs, pieceId: schedules.pieceId, pieceName: pieces.name, stepId: schedules.stepId })
    .from(programs)
    .leftJoin(schedules, eq(programs.scheduleId, schedules.id))
    .leftJoin(pieces, eq(schedules.pieceId, pieces.id));

/** Those that stand, by controller and slot; of a schedule also those that were keyed over, the last of each slot. */
export function standingPrograms(db: Database, scheduleId = ''): Program[] {
  const { controllerId, slot } = programs;
  const newest = db
    .select({ controllerId, slot, at: max(programs.keyedAt).as('at') })
    .from(programs)
    .groupBy(controllerId, slot)
    .as('newest');
  const rows = read(db)
    .innerJoin(newest, and(eq(controllerId, newest.controllerId), eq(slot, newest.slot), eq(programs.keyedAt, newest.at)))
    .orderBy(asc(controllerId), asc(slot), asc(programs.id))
    .all();
  const standing = rows
    .filter(({ program }, i) => rows[i + 1]?.program.slot !== program.slot || rows[i + 1].program.controllerId !== program.controllerId)
    .map(({ program, pieceId, pieceName, stepId }): Program => ({ ...program, pieceId, pieceName, stepId, keyedOverAt: null }));
  if (scheduleId === '') return standing;
  const stood = read(db).where(eq(programs.scheduleId, scheduleId)).orderBy(asc(programs.keyedAt), asc(programs.id)).all();
  const last = new Map(stood.map((row) => [`${row.program.controllerId} ${row.program.slot}`, row]));
  const over = [...last.values()].flatMap(({ program, ...more }): Program[] => {
    const next = standing.find(({ controllerId, slot }) => controllerId === program.controllerId && slot === program.slot);
    if (!next || next.scheduleId === scheduleId) return [];
    return [{ ...program, ...more, keyedOverAt: keyedOver(db, program.id) ?? next.keyedAt }];
  });
  return [...standing, ...over];
}

/** When the next was keyed into the same program. */
const keyedOver = (db: Database, id: string): number | undefined =>
  db.select({ at: later.keyedAt }).from(programs).innerJoin(later, newer).where(eq(programs.id, id)).orderBy(asc(later.keyedAt)).limit(1).get()?.at;

function findProgram(db: Database, id: string): Program {
  const row = read(db).where(eq(programs.id, id)).get();
  if (!row) throw new NotFound('program', id);
  const { program, ...more } = row;
  return { ...program, ...more, keyedOverAt: keyedOver(db, id) ?? null };
}

const impossible = (path: string, message: string): ProblemError => new ProblemError({ code: 'impossible', path, message });

/** Refused where the controller has no such program, where it came with it, and where it could not have been keyed in. */
export function keyProgram(db: Database, program: New, now: number): Program {
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
    if (keyedAt > now + CLOCKS_APART_MS) throw impossible('keyedAt', 'It cannot have been keyed in time to come.');
    if (scheduleId !== null && !tx.select({ id: schedules.id }).from(schedules).where(eq(schedules.id, scheduleId)).get())
      throw new NotFound('schedule', scheduleId);
    tx.insert(programs).values(program).run();
    return findProgram(tx, id);
  });
}
