/**
 * Fills an empty database, with the demo studio or with what a studio of one's own starts from. Everything computed in it
 * is computed here by the engine; see demo.ts for what there is.
 */
import { keyIn } from '@torvin/core/controller';
import { TYPICAL_FAMILIES, viscosityOf } from '@torvin/core/glass';
import { hottestSegment } from '@torvin/core/heat';
import { type JourneyStep, type PieceDocument, snapshotOf, firingsOf } from '@torvin/core/piece';
import { mainGlass } from '@torvin/core/body';
import { climbLadder } from '@torvin/core/learn';
import { valueOf } from '@torvin/core/problem';
import { compose, evaluate, seriesOf } from '@torvin/core/schedule';
import { parseLength } from '@torvin/core/units';
import { type Glass, KIND_LIST, NOTHING_TOLD, type Schedule, type Step, TYPICAL_SOURCE } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { findFiring, listFirings, recordFiring } from '../store/firings';
import { createPiece } from '../store/pieces';
import { keyProgram } from '../store/programs';
import { addSchedule } from '../store/schedules';
import { addRecord } from '../store/records';
import { allShelves } from '../store/shelfRows';
import { saveStudio } from '../store/studio';
import {
  DEMO_CONTROLLERS,
  AS_BOUGHT,
  DEMO_GLASSES,
  DEMO_KILNS,
  DEMO_PIECES,
  demoRecords,
  type DemoFiring,
  type DemoHand,
  type DemoKeyed,
  type DemoStep,
  type DemoPiece,
} from './demo';
import { type Database, writing } from '../db/database';

const HOUR_MS = 3600e3;

const isEmpty = (db: Database): boolean => allShelves(db).families.length === 0;

/** A studio of one's own: typical shelves to write over, nothing made yet. */
export function seedOwn(db: Database): void {
  if (!isEmpty(db)) return;
  const typical = { source: TYPICAL_SOURCE, version: 1 };
  const at = Date.now();
  // How large it is inside is for the studio to say.
  const { insideWidth_m: _wide, insideLength_m: _long, insideHeight_m: _high, ...kiln } = DEMO_KILNS[0];
  // And so is what it buys and has lying there.
  const glass = Object.fromEntries(Object.entries(DEMO_GLASSES[0]).filter(([key]) => !(key in AS_BOUGHT))) as Glass;
  writing(db, (tx) => {
    for (const family of TYPICAL_FAMILIES) {
      addRecord(tx, 'families', { ...family, version: 1 }, at);
      addRecord(tx, 'glasses', { ...glass, ...typical, id: `clear-${family.id}`, familyId: family.id }, at);
    }
    addRecord(tx, 'kilns', { ...kiln, ...typical, id: 'my-kiln', name: 'My kiln' }, at);
    addRecord(tx, 'controllers', { ...typical, id: 'my-controller', name: 'My controller', unit: 'C', fullSpeedCode: 4000, mostSegments: 8 }, at);
  });
}

/** True where it was empty and is filled now. */
export function seedDemo(db: Database, now: number): boolean {
  if (!isEmpty(db)) return false;
  const demo = demoRecords(now);
  writing(db, (tx) => {
    for (const family of TYPICAL_FAMILIES) addRecord(tx, 'families', { ...family, version: 1 }, now);
    for (const kind of KIND_LIST) for (const record of demo[kind] ?? []) addRecord(tx, kind, record, now);
    const test = { glassA: 'clear-90', glassB: 'clear-96', result: 'strained', note: 'Strip of 200 mm bowed by a millimetre.' } as const;
    addRecord(tx, 'stripTests', { id: uuid(), version: 1, ...test, testedAt: now - 600 * HOUR_MS }, now);
    saveStudio(tx, { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'system', csv: 'comma' });
    DEMO_PIECES.forEach((piece, index) => addDemoPiece(tx, piece, now, now - (DEMO_PIECES.length - index) * HOUR_MS));
  });
  return true;
}

function metres(written: string): number {
  const length = parseLength(written, 'mm');
  if (!length.ok) throw new Error(length.problem.message);
  return length.value;
}

const demoFiring = (step: DemoStep): Step => ({
  ...{ kind: 'fire', ...step, id: uuid(), kilnId: DEMO_KILNS[0].id, controllerId: DEMO_CONTROLLERS[0].id },
  ...{ school: { soak: 'auto', heat: 'cooler' }, scheduleId: null, computedId: null },
});

function demoHand({ hand, layers = [], doneHoursAgo }: DemoHand, now: number): JourneyStep {
  const step = { ...hand, id: uuid(), ...(doneHoursAgo === undefined ? {} : { doneAt: now - doneHoursAgo * HOUR_MS }) } as JourneyStep;
  return step.kind === 'lay' ? { ...step, layers: layers.map((layer) => ({ ...layer, id: uuid() })) } : step;
}

/** A piece with its steps, the schedule of each composed and its firings recorded. */
function addDemoPiece(db: Database, { name, typed, layers, dammed = false, steps, finding }: DemoPiece, now: number, madeAt: number): void {
  const doc: PieceDocument = {
    schemaVersion: 3,
    dammed,
    footprint:
      'diameter' in typed
        ? { shape: 'disc', diameter_m: metres(typed.diameter) }
        : { shape: 'rectangle', width_m: metres(typed.width), length_m: metres(typed.length) },
    typed: { ...typed },
    journey: [
      { kind: 'lay', id: uuid(), side: 'above', layers: layers.map((layer) => ({ ...layer, id: uuid() })) },
      ...steps.map((one): JourneyStep => ('step' in one ? demoFiring(one.step) : demoHand(one, now))),
    ],
  };
  const piece = createPiece(db, { id: uuid(), name, doc }, madeAt);
  let version = piece.version;
  steps
    .filter((one) => 'step' in one)
    .forEach(({ firings, keyed }, index) => {
      const schedule = composed(db, piece.id, doc, firingsOf(doc)[index], version, madeAt);
      version += 1;
      if (keyed) addDemoProgram(db, schedule, keyed, now);
      for (const firing of firings) addDemoFiring(db, schedule, firing, now);
    });
  if (finding !== undefined) addDemoFinding(db, piece.id, finding, now);
}

/** What the firings of a piece found as a test series. */
function addDemoFinding(db: Database, pieceId: string, name: string, now: number): void {
  const details = listFirings(db, { piece: pieceId }).firings.map(({ id }) => findFiring(db, id));
  const [{ firing, schedule }] = details;
  const series = valueOf(
    seriesOf(
      details.flatMap(({ firing: { id, result, asFired }, schedule: { snapshot, segments } }) =>
        result === null ? [] : [{ id, outcome: result, firing: snapshot.firing, segments: asFired ?? segments }],
      ),
    ),
  );
  const { range } = valueOf(climbLadder(series, viscosityOf(mainGlass(schedule.snapshot.firing.body))));
  addRecord(
    db,
    'findings',
    {
      ...{ id: uuid(), version: 1, name, note: '', look: firing.look, factor: series.factor, trials: series.trials.map(({ id }) => id).sort() },
      ...{ from: Math.min(...range), to: Math.max(...range), shortBelow: series.from < series.to, foundAt: now - 400 * HOUR_MS },
    },
    now,
  );
}

function composed(db: Database, pieceId: string, doc: PieceDocument, step: Step, pieceVersion: number, at: number): Schedule {
  const snapshot = snapshotOf(doc, step, allShelves(db));
  if (!snapshot.ok) throw new Error(snapshot.problem.message);
  const made = compose(snapshot.value.firing);
  if (!made.ok) throw new Error(made.problem.message);
  const { segments, evaluation } = made.value;
  const wanted = { id: uuid(), stepId: step.id, pieceVersion, parentId: null, origin: 'computed', segments } as const;
  return addSchedule(db, pieceId, { ...wanted, segments }, snapshot.value, evaluation, at).schedule;
}

function addDemoProgram(
  db: Database,
  { id: scheduleId, segments, snapshot: { controller } }: Schedule,
  { slot, hoursAgo, readBack }: DemoKeyed,
  now: number,
): void {
  const keyedAt = now - hoursAgo * HOUR_MS;
  const rows = keyIn(segments, controller).rows.map(({ rate, target, hold_min }) => ({ rate, target, hold_min }));
  const read = readBack ? { readAt: keyedAt, slips: 0 } : { readAt: null, slips: null };
  keyProgram(db, { id: uuid(), controllerId: controller.id, slot, scheduleId, rows, keyedAt, ...read }, { now, ahead_s: 0 });
}

function addDemoFiring(db: Database, schedule: Schedule, { hoursAgo, ranBy, result, released, place, note, marks = [] }: DemoFiring, now: number): void {
  const { segments, snapshot, pieceId, id: scheduleId } = schedule;
  const hottest = hottestSegment(segments);
  const asFired = ranBy
    ? segments.map((segment, i) =>
        i === hottest ? { ...segment, target_C: segment.target_C + ranBy.degrees, hold_s: segment.hold_s + ranBy.minutes * 60 } : segment,
      )
    : null;
  const firedAt = now - hoursAgo * HOUR_MS;
  const told = {
    firedAt,
    zone: 'UTC',
    place,
    result,
    marks,
    seen: marks.map(({ flaw }) => flaw),
    released: released ?? null,
    lookReached: result === 'right' ? snapshot.firing.look : null,
    note,
    asFired,
    photos: [],
  };
  const ran = asFired && evaluate(snapshot.firing, asFired);
  const recordedAt = result === null ? firedAt : firedAt + (ran ?? schedule.result).simulation.total_s * 1000 + HOUR_MS;
  const firing = { ...NOTHING_TOLD, id: uuid(), pieceId, scheduleId, planned: false, asItIs: false, atOnce: false, ...told };
  recordFiring(db, firing, ran, { now: Math.round(Math.min(recordedAt, now)), ahead_s: 0 });
}
