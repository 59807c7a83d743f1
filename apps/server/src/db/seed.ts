/**
 * The demo studio, Marram Row: glasses, kiln, controller, two pieces and one firing. Everything computed in it is
 * computed here by the engine. Fills an empty database only.
 */
import { TYPICAL_FAMILIES, compose, parseLength } from '@torvin/core';
import { type PieceDoc, type Step, snapshotOf } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { addSchedule } from '../store/schedules';
import { recordFiring } from '../store/firings';
import { createPiece } from '../store/pieces';
import { allShelves } from '../store/shelves';
import { saveStudio } from '../store/studio';
import type { Database } from './open';
import { controllers, families, glasses, kilns } from './tables';

const INVENTED = 'invented for the demo';
const SHEET_M = [0.002, 0.003, 0.004, 0.006];

const GLASSES: [id: string, familyId: string, name: string, colour: string][] = [
  ['clear-90', 'soft-90', 'Clear', '#CFE6DC'],
  ['harbour-90', 'soft-90', 'Harbour blue', '#8FB5CF'],
  ['straw-90', 'soft-90', 'Straw', '#E3C15C'],
  ['samphire-90', 'soft-90', 'Samphire', '#7FA66B'],
  ['rose-90', 'soft-90', 'Dune rose', '#C7657F'],
  ['slate-90', 'soft-90', 'Wet slate', '#5B6770'],
  ['clear-96', 'soft-96', 'Clear', '#D6EADF'],
  ['heron-96', 'soft-96', 'Heron grey', '#A9B4BC'],
  ['kelp-96', 'soft-96', 'Kelp', '#7C7A3A'],
  ['pane-float', 'float', 'Window pane', '#BFDCCB'],
  ['pane-boro', 'boro-33', 'Clear borosilicate', '#DCE9EC'],
];

export const DEMO_KILN_ID = 'low-kiln';
export const DEMO_CONTROLLER_ID = 'grey-box';

const HOUR_MS = 3600e3;
const perHour = (value: number): number => value / 3600;

export function seedDemo(db: Database, now: number): void {
  if (allShelves(db).families.length > 0) return;
  db.transaction((tx) => {
    tx.insert(families)
      .values([...TYPICAL_FAMILIES])
      .run();
    tx.insert(glasses)
      .values(GLASSES.map(([id, familyId, name, colour]) => ({ id, familyId, name, colour, thicknesses_m: SHEET_M, source: INVENTED })))
      .run();
    tx.insert(kilns)
      .values({
        id: DEMO_KILN_ID,
        name: 'Low kiln',
        source: INVENTED,
        top_C: 900,
        power_K_per_s: perHour(720),
        loss_per_s: perHour(0.18),
        radiantLoss_per_K3_s: perHour(2e-10),
        ambient_C: 20,
        acrossLag_s_per_300mm: 72,
      })
      .run();
    tx.insert(controllers).values({ id: DEMO_CONTROLLER_ID, name: 'Grey box', source: INVENTED, unit: 'C', fullSpeedCode: 1999, mostSegments: 8 }).run();
    saveStudio(tx, { temperatureUnit: 'C', theme: 'system' });

    demoPiece(tx, now - 30 * HOUR_MS, 'Bird-bath blank', { diameter: '380 mm' }, [
      ['slate-90', '3 mm'],
      ['samphire-90', '3 mm'],
    ]);
    const plaque = demoPiece(tx, now - 28 * HOUR_MS, 'Plaque no. 14, base', { width: '200 mm', length: '140 mm' }, [
      ['harbour-90', '3 mm'],
      ['clear-90', '3 mm'],
    ]);
    demoFiring(tx, plaque, now - 26 * HOUR_MS, 'Numerals to follow. Rim even all round, one seed near the left edge.');
  });
}

/** A piece with a full fuse on a bare shelf, its schedule composed. */
function demoPiece(db: Database, at: number, name: string, typed: Record<string, string>, sheets: [glassId: string, thickness: string][]) {
  const metres = (written: string): number => {
    const length = parseLength(written, 'mm');
    if (!length.ok) throw new Error(length.problem.message);
    return length.value;
  };
  const step: Step = {
    id: uuid(),
    look: 'fullFuse',
    setup: 'bareShelf',
    kilnId: DEMO_KILN_ID,
    controllerId: DEMO_CONTROLLER_ID,
    school: { soak: 'auto', heat: 'cooler' },
    scheduleId: null,
    computedId: null,
  };
  const doc: PieceDoc = {
    schemaVersion: 1,
    footprint:
      typed.diameter !== undefined
        ? { shape: 'disc', diameter_m: metres(typed.diameter) }
        : { shape: 'rectangle', width_m: metres(typed.width), length_m: metres(typed.length) },
    typed,
    layers: sheets.map(([glassId, thickness]) => ({ id: uuid(), glassId, thickness_m: metres(thickness) })),
    steps: [step],
  };
  const piece = createPiece(db, { id: uuid(), name, doc }, at);
  const snapshot = snapshotOf(doc, step, allShelves(db));
  if (!snapshot.ok) throw new Error(snapshot.problem.message);
  const composed = compose(snapshot.value.firing);
  if (!composed.ok) throw new Error(composed.problem.message);
  const { segments, evaluation } = composed.value;
  const wanted = { id: uuid(), stepId: step.id, pieceVersion: piece.version, parentId: null, origin: 'computed', segments } as const;
  return addSchedule(db, piece.id, { ...wanted, segments }, snapshot.value, evaluation, at);
}

function demoFiring(db: Database, { piece, schedule }: ReturnType<typeof demoPiece>, firedAt: number, note: string): void {
  recordFiring(db, { id: uuid(), pieceId: piece.id, scheduleId: schedule.id, firedAt, zone: 'UTC', result: 'right', note }, firedAt);
}
