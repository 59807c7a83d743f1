/** The database's tables. Row types are inferred from here; documents are JSON validated by @torvin/schema. */
import type { Evaluation, GlassConstants, PurposefulSegment } from '@torvin/core';
import type { PieceDoc, Snapshot } from '@torvin/schema';
import { sql } from 'drizzle-orm';
import { check, index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** One row: the studio's settings. */
export const studio = sqliteTable(
  'studio',
  {
    id: integer('id').primaryKey(),
    temperatureUnit: text('temperature_unit', { enum: ['C', 'F'] }).notNull(),
    theme: text('theme', { enum: ['light', 'dark', 'system'] }).notNull(),
  },
  (table) => [check('studio_is_one_row', sql`${table.id} = 1`)],
);

const named = { id: text('id').primaryKey(), name: text('name').notNull(), source: text('source').notNull() };

export const families = sqliteTable('families', {
  ...named,
  expansion_perK: real('expansion_per_k').notNull(),
  annealing_C: real('annealing_c').notNull(),
  softening_C: real('softening_c').notNull(),
  density_kg_m3: real('density_kg_m3').notNull(),
  youngs_Pa: real('youngs_pa').notNull(),
  poisson: real('poisson').notNull(),
  conductivity_W_mK: real('conductivity_w_mk').notNull(),
  heatCapacity_J_kgK: real('heat_capacity_j_kgk').notNull(),
  surfaceTension_N_m: real('surface_tension_n_m').notNull(),
  // What is not known of a family is null; the engine then takes what is usual.
  strain_C: real('strain_c'),
  fluidPoint: text('fluid_point', { mode: 'json' }).$type<NonNullable<GlassConstants['fluidPoint']>>(),
  meltExpansion_perK: real('melt_expansion_per_k'),
  stressOptical_perPa: real('stress_optical_per_pa'),
  haze: text('haze', { mode: 'json' }).$type<NonNullable<GlassConstants['haze']>>(),
  thresholds: text('thresholds', { mode: 'json' }).$type<NonNullable<GlassConstants['thresholds']>>(),
  relaxation: text('relaxation', { mode: 'json' }).$type<NonNullable<GlassConstants['relaxation']>>(),
});

export const glasses = sqliteTable(
  'glasses',
  {
    ...named,
    familyId: text('family_id')
      .notNull()
      .references(() => families.id),
    colour: text('colour').notNull(),
    thicknesses_m: text('thicknesses_m', { mode: 'json' }).$type<number[]>().notNull(),
  },
  (table) => [index('glasses_by_family').on(table.familyId)],
);

export const kilns = sqliteTable('kilns', {
  ...named,
  top_C: real('top_c').notNull(),
  power_K_per_s: real('power_k_per_s').notNull(),
  loss_per_s: real('loss_per_s').notNull(),
  radiantLoss_per_K3_s: real('radiant_loss_per_k3_s').notNull(),
  ambient_C: real('ambient_c').notNull(),
  acrossLag_s_per_300mm: real('across_lag_s_per_300mm').notNull(),
});

export const controllers = sqliteTable('controllers', {
  ...named,
  unit: text('unit', { enum: ['C', 'F'] }).notNull(),
  fullSpeedCode: integer('full_speed_code').notNull(),
  mostSegments: integer('most_segments').notNull(),
});

export const pieces = sqliteTable(
  'pieces',
  {
    id: text('id').primaryKey(),
    name: text('name').notNull(),
    /** Counts saves; a save must name the version it was based on. */
    version: integer('version').notNull(),
    doc: text('doc', { mode: 'json' }).$type<PieceDoc>().notNull(),
    createdAt: integer('created_at').notNull(),
    updatedAt: integer('updated_at').notNull(),
  },
  (table) => [index('pieces_by_change').on(table.updatedAt)],
);

/** Immutable: an edit adds a row that names its parent. */
export const schedules = sqliteTable(
  'schedules',
  {
    id: text('id').primaryKey(),
    pieceId: text('piece_id')
      .notNull()
      .references(() => pieces.id),
    stepId: text('step_id').notNull(),
    parentId: text('parent_id'),
    origin: text('origin', { enum: ['computed', 'edited'] }).notNull(),
    segments: text('segments', { mode: 'json' }).$type<PurposefulSegment[]>().notNull(),
    snapshot: text('snapshot', { mode: 'json' }).$type<Snapshot>().notNull(),
    result: text('result', { mode: 'json' }).$type<Evaluation>().notNull(),
    /** What lists show of it, so that they need not open the documents: hottest target, its hold, the whole length. */
    work_C: real('work_c').notNull(),
    work_s: real('work_s').notNull(),
    total_s: real('total_s').notNull(),
    kilnName: text('kiln_name').notNull(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [index('schedules_by_piece').on(table.pieceId, table.createdAt)],
);

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
    firedAt: integer('fired_at').notNull(),
    zone: text('zone').notNull(),
    result: text('result', { enum: ['short', 'right', 'past'] }).notNull(),
    note: text('note').notNull(),
    createdAt: integer('created_at').notNull(),
  },
  (table) => [index('firings_by_time').on(table.firedAt), index('firings_by_schedule').on(table.scheduleId)],
);
