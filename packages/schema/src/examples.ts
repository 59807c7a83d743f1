/** A whole request of every endpoint that takes one, for those who read the OpenAPI document. */
import type { z } from 'zod';
import type { api } from './api';
import { PIECE_FILE_VERSION } from './pieceFile';
import { KINDS, beginRecord } from './kinds/all';
import { KIND_LIST, type KindName } from './kinds/names';

type Takes = { [K in keyof typeof api as (typeof api)[K]['request'] extends z.ZodType ? K : never]: z.input<NonNullable<(typeof api)[K]['request']>> };

const idOf = (n: number): string => `0198c5a2-0000-7000-8000-${String(n).padStart(12, '0')}`;
const [pieceId, layerId, stepId, scheduleId, firingId, programId, laidId, reckoningId] = [1, 2, 3, 4, 5, 6, 7, 8].map(idOf);
/** Records have theirs from here on. */
const FIRST_RECORD = 100;
const AT = Date.UTC(2026, 0, 10, 18, 30);

const doc = {
  schemaVersion: 3 as const,
  footprint: { shape: 'disc' as const, diameter_m: 0.25 },
  dammed: false,
  typed: { diameter: '25 cm' },
  journey: [
    { kind: 'lay' as const, id: laidId, side: 'above' as const, layers: [{ form: 'sheet' as const, id: layerId, glassId: 'clear-90', thickness_m: 0.003 }] },
  ],
};
const step = {
  kind: 'fire' as const,
  id: stepId,
  look: 'fullFuse' as const,
  setup: { kind: 'bareShelf' as const, paper: true },
  kilnId: 'low-kiln',
  controllerId: 'grey-box',
  school: { soak: 'auto' as const, heat: 'cooler' as const },
  scheduleId: null,
  computedId: null,
};
const segments = [
  { role: 'work' as const, rate_C_per_h: 200, target_C: 790, hold_s: 900 },
  { role: 'drop' as const, rate_C_per_h: null, target_C: 515, hold_s: 3600 },
  { role: 'lastCool' as const, rate_C_per_h: 80, target_C: 60, hold_s: 0 },
];
const told = { firedAt: AT, zone: 'Europe/Lisbon', result: 'right' as const, note: 'Edges round, no bubbles.' };
const based = { version: 3 };

export const EXAMPLES: Takes = {
  saveStudio: { temperatureUnit: 'C', lengthUnit: 'mm', massUnit: 'g', theme: 'system', csv: 'comma' },
  enter: { passcode: 'kmt4q-9hxew', device: 'Phone at the bench' },
  changePasscode: { passcode: 'kmt4q-9hxew', old: 'w2ndp-7rtyu' },
  endDevice: {},
  createPiece: { id: pieceId, name: 'Harbour bowl', doc },
  savePiece: { ...based, name: 'Harbour bowl', doc: { ...doc, journey: [...doc.journey, step] }, what: 'a firing planned' },
  undoPiece: based,
  redoPiece: based,
  deletePiece: based,
  restorePiece: {},
  filePiece: { tags: ['commission'], finishedAt: AT, awayAt: null, patternAt: null, dueOn: '2026-12-24' },
  importPiece: {
    format: 'torvin-piece',
    formatVersion: PIECE_FILE_VERSION,
    piece: { id: pieceId, name: 'Harbour bowl', doc, createdAt: AT },
    schedules: [],
    firings: [],
    shelves: {},
  },
  saveSchedule: { id: scheduleId, stepId, pieceVersion: 3, parentId: null, origin: 'computed', segments },
  nameSchedule: { name: 'the one that worked' },
  keyProgram: {
    ...{ id: programId, controllerId: 'grey-box', slot: 3, scheduleId: null, keyedAt: AT },
    rows: [{ rate: 200, target: 790, hold_min: 15 }],
  },
  keepReckoning: {
    ...{ id: reckoningId, kind: 'howMuch', typed: { shape: 'box', width: '80 mm', length: '250 mm', depth: '20 mm' } },
    ...{ told: '1.00 kg fill the box', pieceId: null, keptAt: AT },
  },
  eraseAside: {},
  makeBackup: {},
  deleteBackup: {},
  restoreBackup: {},
  addReadings: { readings: [{ channel: '', at: AT + 2 * 3_600_000, reading_C: 512 }] },
  saveLoad: { ...based, openedAt: AT + 20 * 3_600_000 },
  recordFiring: { id: firingId, pieceId, scheduleId, ...told },
  saveFiring: { ...based, ...told },
  deleteFiring: based,
  restoreFiring: {},
  removeProgram: {},
  restoreProgram: {},
};

/** Records that the demo has. */
const SHIPPED: Partial<Record<string, readonly string[]>> = {
  ...{ families: ['soft-90'], glasses: ['clear-90', 'rose-90'], kilns: ['low-kiln'], controllers: ['grey-box'] },
  ...{ forms: ['basin-mould'], releases: ['mould-primer'], materials: ['crank-clay'] },
};

/** Of what records of a kind can be asked. */
export function exampleOfRecord(kind: KindName, what: string): object | undefined {
  const named = new Map<string, number>();
  // Another one each time it is asked for.
  const shipped = (of: string): string => {
    const nth = named.get(of) ?? 0;
    named.set(of, nth + 1);
    return SHIPPED[of]?.[nth] ?? `one of the ${KINDS[of as KindName].many}`;
  };
  const begun = beginRecord(kind, idOf(FIRST_RECORD + KIND_LIST.indexOf(kind)), shipped, AT);
  const bodies: Record<string, object> = {
    save: 'name' in begun ? { ...begun, name: `A new ${KINDS[kind].one}` } : begun,
    archive: { archived: true },
    remove: based,
    restore: {},
  };
  return bodies[what];
}
