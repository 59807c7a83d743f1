/**
 * Up to schema 7 each kind had a table of its own. Their rows become records here and not in SQL: SQLite writes fifteen digits of
 * a number into JSON, and a kiln that has changed in the sixteenth makes every schedule of it outdated.
 */
import { asJourney, firingsOf } from '@torvin/core/piece';
import { type KindName, type PieceDoc, type Renames, type Snapshot, freeId, renameInDoc, renameInSnapshot } from '@torvin/schema';
import { eq, isNull, sql } from 'drizzle-orm';
import { between } from '../store/pieces';
import { allShelves } from '../store/shelfRows';
import { columnsOf } from '../store/schedules';
import { tellWaiting } from '../store/waiting';
import { tellAllLoadSchedules } from '../store/loadSchedules';
import { nameUses } from '../store/uses';
import { loads, pieceStates, pieces, records, schedules, snapshots } from '../db/tables';
import type { Database } from '../db/database';

/** Columns whose field is called otherwise; after them those that hold JSON. */
export const FIELDS: Record<string, string> = {
  ...{ expansion_per_k: 'expansion_perK', annealing_c: 'annealing_C', softening_c: 'softening_C', youngs_pa: 'youngs_Pa', strain_c: 'strain_C' },
  ...{ conductivity_w_mk: 'conductivity_W_mK', heat_capacity_j_kgk: 'heatCapacity_J_kgK', surface_tension_n_m: 'surfaceTension_N_m' },
  ...{ fluid_point: 'fluidPoint', melt_expansion_per_k: 'meltExpansion_perK', stress_optical_per_pa: 'stressOptical_perPa' },
  ...{ family_id: 'familyId', glass_a: 'glassA', glass_b: 'glassB', tested_at: 'testedAt' },
  ...{ top_c: 'top_C', power_k_per_s: 'power_K_per_s', radiant_loss_per_k3_s: 'radiantLoss_per_K3_s', ambient_c: 'ambient_C' },
  ...{ across_lag_s_per_300mm: 'acrossLag_s_per_300mm', inside_width_m: 'insideWidth_m', inside_length_m: 'insideLength_m' },
  ...{ inside_diameter_m: 'insideDiameter_m', inside_height_m: 'insideHeight_m', full_speed_code: 'fullSpeedCode', most_segments: 'mostSegments' },
};
const JSON_COLUMNS = ['fluid_point', 'haze', 'thresholds', 'relaxation', 'thicknesses_m', 'forms', 'contents'];
/** The kinds that had tables of their own, in the order in which they name one another. */
const TABLES = [
  ['families', 'families'],
  ['glasses', 'glasses'],
  ['kilns', 'kilns'],
  ['controllers', 'controllers'],
  ['stripTests', 'strip_tests'],
] as const satisfies readonly (readonly [KindName, string])[];

type OldRow = Record<string, string | number | null>;

function documentOf(row: OldRow): Record<string, unknown> {
  const { id: _id, version: _version, away: _away, coated, ...columns } = row;
  const known = Object.entries(columns).filter(([, value]) => value !== null);
  const fields = known.map(([column, value]) => [FIELDS[column] ?? column, JSON_COLUMNS.includes(column) ? JSON.parse(String(value)) : value] as const);
  return { ...Object.fromEntries(fields), ...(coated === undefined ? {} : { coated: coated === 1 }) };
}

/** Counts the steps below that a database has been through; migrations that SQL can make are counted elsewhere. */
const STEPS = 5;

/** What a database needs beside its migrations, once; a server that is killed in between does it at its next start. */
export function afterMigrations(db: Database, at: number): void {
  const has = (table: string): boolean => db.all(sql`select 1 from sqlite_master where type = 'table' and name = ${table}`).length > 0;
  const [{ user_version: done }] = db.all<{ user_version: number }>(sql`pragma user_version`);
  // A database that is only brought as far as an older program went has no place for what it would know now.
  const steps = has('load_schedules') ? STEPS : db.all(sql`select 1 from pragma_table_info('piece_states') where name = 'back'`).length > 0 ? 4 : 3;
  if (done >= steps || !has('records')) return;
  db.transaction((tx) => {
    if (done < 4 && steps >= 4) tellJourneys(tx);
    if (has('families')) moveRecords(tx, at);
    if (done < 2) tellLearning(tx);
    if (done < 4) for (const { id } of tx.select({ id: pieces.id }).from(pieces).all()) tellWaiting(tx, id);
    if (steps >= 5) for (const { id, doc } of tx.select({ id: pieces.id, doc: pieces.doc }).from(pieces).all()) nameUses(tx, id, doc);
    if (steps >= 5) tellAllLoadSchedules(tx);
    tx.run(sql.raw(`pragma user_version = ${steps}`));
  });
}

/** Documents become journeys, and of each kept state only how it differs from the one before stays. */
function tellJourneys(tx: Database): void {
  const asDoc = (doc: unknown): PieceDoc => asJourney(typeof doc === 'string' ? JSON.parse(doc) : doc) as PieceDoc;
  for (const { id, doc } of tx.select({ id: pieces.id, doc: pieces.doc }).from(pieces).all()) {
    tx.update(pieces)
      .set({ doc: asDoc(doc) })
      .where(eq(pieces.id, id))
      .run();
    const states = tx.all<{ position: number; doc: string }>(sql`select position, doc from piece_states where piece_id = ${id} order by position`);
    const docs = states.map(({ doc: state }) => asDoc(state));
    for (const [i, { position }] of states.entries()) {
      if (i === 0) continue;
      tx.update(pieceStates)
        .set(between(docs[i - 1], docs[i]))
        .where(sql`${pieceStates.pieceId} = ${id} and ${pieceStates.position} = ${position}`)
        .run();
    }
  }
  tx.run(sql`alter table piece_states drop column doc`);
}

function moveRecords(tx: Database, at: number): void {
  const taken = new Set<string>();
  const renames: Renames = {};
  for (const [kind, table] of TABLES) {
    for (const row of tx.all<OldRow>(sql.raw(`select * from ${table}`))) {
      const old = String(row.id);
      const id = taken.has(old) ? freeId(old, kind, (one) => taken.has(one)) : old;
      if (id !== old) renames[kind] = { ...renames[kind], [old]: id };
      taken.add(id);
      const doc = documentOf(row);
      tx.insert(records)
        .values({ kind, id, version: Number(row.version ?? 1), archived: row.away === 1, doc: named(doc, renames), createdAt: at, updatedAt: at })
        .run();
    }
  }
  if (Object.keys(renames).length > 0) renameEverywhere(tx, renames);
  for (const table of ['strip_tests', 'glasses', 'families', 'kilns', 'controllers']) tx.run(sql.raw(`drop table ${table}`));
}

/** Learning goes by ids: those that a schedule was made from, else that of the only record of its name, else none. */
function tellLearning(tx: Database): void {
  const shelves = allShelves(tx);
  const steps = new Map(
    tx
      .select({ doc: pieces.doc })
      .from(pieces)
      .all()
      .flatMap(({ doc }) => firingsOf(doc))
      .map((step) => [step.id, step.kilnId]),
  );
  const { id: scheduleId, stepId, kilnName, segments, result } = schedules;
  // Columns by name: a database that is only brought as far as an older program went lacks those that came later.
  const told = tx
    .select({ id: scheduleId, stepId, kilnName, segments, result, snapshot: snapshots.doc })
    .from(schedules)
    .innerJoin(snapshots, eq(schedules.snapshotId, snapshots.id))
    .where(isNull(schedules.kilnId))
    .all();
  for (const row of told) {
    const { kilnId, familyId } = columnsOf(row, shelves);
    // Where the firing is planned for a kiln of that name still, it is that one.
    const planned = shelves.kilns.find(({ id, name }) => id === steps.get(row.stepId) && name === row.kilnName);
    tx.update(schedules)
      .set({ kilnId: row.snapshot.madeFrom?.kiln.id ?? planned?.id ?? kilnId, familyId })
      .where(eq(schedules.id, row.id))
      .run();
  }
}

/** Kinds come in the order in which they name one another, so what a record names has its new id already. */
function named(doc: Record<string, unknown>, renames: Renames): Record<string, unknown> {
  const glass = (key: string): object => (typeof doc[key] === 'string' ? { [key]: renames.glasses?.[doc[key]] ?? doc[key] } : {});
  return { ...doc, ...glass('glassA'), ...glass('glassB') };
}

function renameEverywhere(db: Database, renames: Renames): void {
  for (const { id, doc } of db.select({ id: pieces.id, doc: pieces.doc }).from(pieces).all()) {
    const next: PieceDoc = renameInDoc(doc, renames);
    db.update(pieces).set({ doc: next }).where(eq(pieces.id, id)).run();
  }
  for (const { id, doc } of db.select().from(snapshots).all()) {
    const next: Snapshot = renameInSnapshot(doc, renames);
    if (next !== doc) db.update(snapshots).set({ doc: next }).where(eq(snapshots.id, id)).run();
  }
  for (const [old, id] of Object.entries(renames.kilns ?? {})) db.update(loads).set({ kilnId: id }).where(eq(loads.kilnId, old)).run();
}
