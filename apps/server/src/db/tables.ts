/** The database's tables. Row types are inferred from here; documents are JSON validated by @torvin/schema. */
import type { PanelRow } from '@torvin/core/controller';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Flaw, LOOKS } from '@torvin/core/look';
import { QUANTITY_NAMES } from '@torvin/core/quantity';
import { RELEASED } from '@torvin/core/release';
import { CHANGES_FIRST, type Evaluation, type StudioLimits } from '@torvin/core/schedule';
import type { Operation } from 'fast-json-patch';
import {
  CSV_STYLES,
  type Faced,
  type FirstDay,
  LEARNINGS,
  type Lesson,
  type Mark,
  type Measured,
  NO_LESSON,
  NOT_FACED,
  NOT_MEASURED,
  type PieceDoc,
  type Snapshot,
  WAITS,
} from '@torvin/schema';
import { sql } from 'drizzle-orm';
import { check, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** One row: the studio's settings. */
export const studio = sqliteTable(
  'studio',
  {
    id: integer('id').primaryKey(),
    temperatureUnit: text('temperature_unit', { enum: ['C', 'F'] }).notNull(),
    lengthUnit: text('length_unit', { enum: ['mm', 'in'] })
      .notNull()
      .default('mm'),
    massUnit: text('mass_unit', { enum: ['g', 'oz'] })
      .notNull()
      .default('g'),
    theme: text('theme', { enum: ['light', 'dark', 'system'] }).notNull(),
    csv: text('csv', { enum: CSV_STYLES }).notNull().default('comma'),
    /** Null where nobody has begun to answer. */
    firstDay: text('first_day', { mode: 'json' }).$type<FirstDay>(),
    /** Null where none was ever set. */
    limits: text('limits', { mode: 'json' }).$type<StudioLimits>(),
    changesFirst: text('changes_first', { enum: CHANGES_FIRST }).notNull().default('temperature'),
    learning: text('learning', { enum: LEARNINGS }).notNull().default('asks'),
    mixedLoads: integer('mixed_loads', { mode: 'boolean' }).notNull().default(false),
  },
  (table) => [check('studio_is_one_row', sql`${table.id} = 1`)],
);

/** Records of every kind: what one holds is for its definition to say. Ids are unique among all of them. */
export const records = sqliteTable(
  'records',
  {
    id: text('id').primaryKey(),
    kind: text('kind').notNull(),
    /** Counts saves; a save must name the version it was based on. */
    version: integer('version').notNull().default(1),
    /** Put away: kept for what was made with it, not offered any more. */
    archived: integer('archived', { mode: 'boolean' }).notNull().default(false),
    /** All but id and version. */
    doc: text('doc', { mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    createdAt: integer('created_at').notNull(),
    updatedAt: integer('updated_at').notNull(),
    deletedAt: integer('deleted_at'),
  },
  (table) => [index('records_by_kind').on(table.kind)],
);

export const pieces = sqliteTable(
  'pieces',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    /** Counts saves; a save must name the version it was based on. */
    version: integer('version').notNull(),
    doc: text('doc', { mode: 'json' }).$type<PieceDoc>().notNull(),
    /** Which of its kept states it is in. */
    position: integer('position').notNull().default(0),
    /** What it waits for, and for which of its firings: kept by store/waiting.ts. */
    waits: text('waits', { enum: WAITS }),
    waitsStepId: text('waits_step_id'),
    /** The studio's own words to find it by. */
    tags: text('tags', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** When it was told finished; when it was put away, out of the lists; since when others are started from it. */
    finishedAt: integer('finished_at'),
    awayAt: integer('away_at'),
    patternAt: integer('pattern_at'),
    /** A day: '2026-12-24'. */
    dueOn: text('due_on'),
    createdAt: integer('created_at').notNull(),
    updatedAt: integer('updated_at').notNull(),
    deletedAt: integer('deleted_at'),
  },
  (table) => [
    index('pieces_by_change').on(table.updatedAt, table.id),
    // What lists are ordered and counted by, so that they open no documents.
    index('pieces_by_made').on(table.createdAt, table.id),
    index('pieces_by_name').on(sql`${table.name} collate nocase`, table.id),
    index('pieces_by_filing').on(table.deletedAt, table.awayAt, table.patternAt, table.finishedAt),
    index('pieces_tagged')
      .on(table.tags, table.deletedAt, table.awayAt, table.patternAt)
      .where(sql`${table.tags} <> '[]'`),
    index('pieces_waiting')
      .on(table.updatedAt)
      .where(sql`${table.waits} is not null`),
  ],
);

/** The last states of each piece, so that undo outlives the page, each by how it differs from the one before; what: the change that led to it. */
export const pieceStates = sqliteTable(
  'piece_states',
  {
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id, { onDelete: 'cascade' }),
    position: integer('position').notNull(),
    name: text('name').notNull(),
    /** From its document to that of the state before, and from that to its own (RFC 6902); null where none was before. */
    back: text('back', { mode: 'json' }).$type<Operation[]>(),
    forth: text('forth', { mode: 'json' }).$type<Operation[]>(),
    what: text('what').notNull(),
  },
  (table) => [primaryKey({ columns: [table.pieceId, table.position] })],
);

/** What takes how much of which glass: kept by store/uses.ts, so that nobody opens documents to ask. */
export const uses = sqliteTable(
  'uses',
  {
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id, { onDelete: 'cascade' }),
    glassId: text('glass_id').notNull(),
    /** As it is laid; null where the figures of a glass of the piece have been changed since it was told. */
    mass_kg: real('mass_kg'),
  },
  (table) => [
    primaryKey({ columns: [table.pieceId, table.glassId] }),
    index('uses_by_glass').on(table.glassId),
    index('uses_untold')
      .on(table.pieceId)
      .where(sql`${table.mass_kg} is null`),
  ],
);

/** What schedules were made from, once for all versions that were made from the same. */
export const snapshots = sqliteTable('snapshots', {
  id: integer('id').primaryKey(),
  doc: text('doc', { mode: 'json' }).$type<Snapshot>().notNull(),
});

/** Immutable: an edit adds a row that names its parent. */
export const schedules = sqliteTable(
  'schedules',
  {
    id: text('id').primaryKey(),
    /** The studio's own name for this version. */
    name: text('name').notNull().default(''),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id),
    stepId: text('step_id').notNull(),
    parentId: text('parent_id'),
    origin: text('origin', { enum: ['computed', 'edited'] }).notNull(),
    segments: text('segments', { mode: 'json' }).$type<PurposefulSegment[]>().notNull(),
    snapshotId: integer('snapshot_id')
      .notNull()
      .references(() => snapshots.id),
    result: text('result', { mode: 'json' }).$type<Evaluation>().notNull(),
    /** What lists show of it, so that they need not open the documents: hottest target, its hold, the whole length. */
    work_C: real('work_c').notNull(),
    work_s: real('work_s').notNull(),
    total_s: real('total_s').notNull(),
    kilnName: text('kiln_name').notNull(),
    /** What a firing of it teaches of; null where an old one does not tell which record it was. */
    kilnId: text('kiln_id'),
    familyId: text('family_id'),
    familyName: text('family_name').notNull().default(''),
    look: text('look', { enum: LOOKS }).notNull().default('fullFuse'),
    /** The studio's own form that it stands in or on; null where a shelf or typed measures are all it takes. */
    formId: text('form_id'),
    /** The studio's own kiln shelf under that, where glass came to lie on it. */
    shelfId: text('shelf_id'),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [
    index('schedules_by_piece').on(table.pieceId, table.createdAt),
    index('schedules_by_step').on(table.stepId),
    index('schedules_by_snapshot').on(table.snapshotId),
    index('schedules_by_kiln').on(table.kilnId, table.familyId),
    index('schedules_by_look').on(table.look, table.kilnId),
    // So that thousands are counted without one of their rows being opened.
    index('schedules_look').on(table.id, table.look),
    index('schedules_by_form')
      .on(table.formId)
      .where(sql`${table.formId} is not null`),
    index('schedules_by_shelf')
      .on(table.shelfId)
      .where(sql`${table.shelfId} is not null`),
  ],
);

/** What is in a kiln together, from one start to one opening. */
export const loads = sqliteTable(
  'loads',
  {
    id: text('id').primaryKey(),
    /** Null where an old record names a kiln that is on no shelf. */
    kilnId: text('kiln_id'),
    kilnName: text('kiln_name').notNull(),
    plannedAt: integer('planned_at'),
    startedAt: integer('started_at'),
    openedAt: integer('opened_at'),
    /** When it was started, or is to start: what everything is counted from. */
    at: integer('at').notNull(),
    zone: text('zone').notNull(),
    /** By how much the clock of the device that told its start was before the server's, s. */
    ahead_s: real('ahead_s').notNull().default(0),
    /** Which of its schedules it runs; null where old records put unlike ones into one load. */
    scheduleNumber: integer('schedule_number'),
    /** The program that its schedule was keyed into, where that is known. */
    controllerId: text('controller_id'),
    slot: integer('slot'),
    note: text('note').notNull().default(''),
    version: integer('version').notNull().default(1),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [
    index('loads_by_time').on(table.at),
    index('loads_by_kiln').on(table.kilnId, table.at),
    check('load_has_a_start', sql`${table.at} = coalesce(${table.startedAt}, ${table.plannedAt})`),
  ],
);

/** One piece, or one mould that is fired empty, in a load: the version by which it was judged. */
export interface LoadEntry {
  pieceId: string;
  stepId: string;
  scheduleId: string;
}

/** What a load is keyed with, made for all that is in it. Immutable: what comes to it or leaves it makes another. */
export const loadSchedules = sqliteTable(
  'load_schedules',
  {
    loadId: text('load_id')
      .notNull()
      .references(() => loads.id, { onDelete: 'cascade' }),
    /** From 1. */
    number: integer('number').notNull(),
    segments: text('segments', { mode: 'json' }).$type<PurposefulSegment[]>().notNull(),
    entries: text('entries', { mode: 'json' }).$type<LoadEntry[]>().notNull(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [primaryKey({ columns: [table.loadId, table.number] })],
);

/** What was read in the kiln while a load was in it. */
export const readings = sqliteTable(
  'readings',
  {
    loadId: text('load_id')
      .notNull()
      .references(() => loads.id, { onDelete: 'cascade' }),
    /** Which thermocouple; '' for that of the controller. */
    channel: text('channel').notNull(),
    at: integer('at').notNull(),
    reading_C: real('reading_c').notNull(),
  },
  (table) => [primaryKey({ columns: [table.loadId, table.channel, table.at] })],
);

/** An entry of a load: one piece's firing, with its own result. */
export const firings = sqliteTable(
  'firings',
  {
    id: text('id').primaryKey(),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id),
    scheduleId: text('schedule_id')
      .notNull()
      .references(() => schedules.id),
    loadId: text('load_id')
      .notNull()
      .references(() => loads.id),
    place: text('place').notNull().default(''),
    /** Null while it runs or stands unopened. */
    result: text('result', { enum: ['short', 'right', 'past'] }),
    seen: text('seen', { mode: 'json' }).$type<Flaw[]>().notNull().default([]),
    seenWhere: text('seen_where').notNull().default(''),
    marks: text('marks', { mode: 'json' }).$type<Mark[]>().notNull().default([]),
    faced: text('faced', { mode: 'json' }).$type<Faced>().notNull().default(NOT_FACED),
    measured: text('measured', { mode: 'json' }).$type<Measured>().notNull().default(NOT_MEASURED),
    lookReached: text('look_reached', { enum: LOOKS }),
    released: text('released', { enum: RELEASED }),
    note: text('note').notNull(),
    asFired: text('as_fired', { mode: 'json' }).$type<PurposefulSegment[]>(),
    asFiredResult: text('as_fired_result', { mode: 'json' }).$type<Evaluation>(),
    /** Hashes of its photos, the first one its face. */
    photos: text('photos', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** How what lay there differed from what its schedule was made from, where it was fired all the same. */
    differences: text('differences', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** What stood against it when it was started. */
    accepted: text('accepted', { mode: 'json' }).$type<string[]>().notNull().default([]),
    /** How a result was known before the glass could be cold; '' where it was told in time. */
    knownBy: text('known_by').notNull().default(''),
    lesson: text('lesson', { mode: 'json' }).$type<Lesson>().notNull().default(NO_LESSON),
    version: integer('version').notNull().default(1),
    createdAt: integer('created_at').notNull(),
    deletedAt: integer('deleted_at'),
  },
  (table) => [
    index('firings_by_load').on(table.loadId),
    index('firings_by_schedule').on(table.scheduleId),
    index('firings_by_piece').on(table.pieceId),
    index('firings_counted').on(table.deletedAt, table.result, table.scheduleId),
    index('firings_open')
      .on(table.createdAt)
      .where(sql`${table.result} is null and ${table.deletedAt} is null`),
    index('firings_deleted')
      .on(table.deletedAt)
      .where(sql`${table.deletedAt} is not null`),
  ],
);

/** What was keyed into a program of a controller; the newest of each stands. */
export const programs = sqliteTable(
  'programs',
  {
    id: text('id').primaryKey(),
    controllerId: text('controller_id').notNull(),
    slot: integer('slot').notNull(),
    /** Null where nobody knows what stands there, and where its schedule was erased. */
    scheduleId: text('schedule_id').references(() => schedules.id, { onDelete: 'set null' }),
    rows: text('rows', { mode: 'json' }).$type<PanelRow[]>().notNull(),
    keyedAt: integer('keyed_at').notNull(),
    readAt: integer('read_at'),
    slips: integer('slips'),
    /** What came later stands over what came before; between two where it was keyed between them and came late. */
    place: real('place').notNull().default(0),
    /** By how much the clock of its device was before the server's, s. */
    ahead_s: real('ahead_s').notNull().default(0),
    /** A wrong entry that was taken out. */
    removedAt: integer('removed_at'),
  },
  (table) => [index('programs_by_slot').on(table.controllerId, table.slot, table.place), index('programs_by_schedule').on(table.scheduleId)],
);

/** What was reckoned at the bench and kept; all but the newest go. */
export const reckonings = sqliteTable(
  'reckonings',
  {
    id: text('id').primaryKey(),
    kind: text('kind', { enum: QUANTITY_NAMES }).notNull(),
    /** As it was typed, by field. */
    typed: text('typed', { mode: 'json' }).$type<Record<string, string>>().notNull(),
    told: text('told').notNull(),
    pieceId: text('piece_id').references(() => pieces.id, { onDelete: 'set null' }),
    keptAt: integer('kept_at').notNull(),
  },
  (table) => [index('reckonings_by_time').on(table.keptAt, table.id)],
);

/** Which Torvin opened the database last; one row. */
export const program = sqliteTable('program', { id: integer('id').primaryKey(), version: text('version').notNull() });

/** Saves that were taken, by the key they came under, so that one that comes again is known. */
export const receipts = sqliteTable(
  'receipts',
  {
    key: text('key').primaryKey(),
    /** What was saved. */
    subject: text('subject').notNull(),
    takenAt: integer('taken_at').notNull(),
  },
  (table) => [index('receipts_by_time').on(table.takenAt)],
);

/** Files named by their content lie beside the database. */
export const photos = sqliteTable('photos', {
  hash: text('hash').primaryKey(),
  width: integer('width').notNull(),
  height: integer('height').notNull(),
  createdAt: integer('created_at').notNull(),
});
