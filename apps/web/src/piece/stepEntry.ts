/** A firing as it is chosen and typed, turned into a step of the piece when it holds. */
import {
  DEFAULT_SCHOOL,
  footprintSpan,
  formatLength,
  impossibleFiring,
  type LengthUnit,
  type Look,
  type SetUpKind,
  type Shaping,
  snapshotOf,
  text,
} from '@torvin/core';
import type { PieceDoc, Shelves, Step } from '@torvin/schema';
import { v7 as uuid } from 'uuid';
import { lengthWithin } from './typed';

export interface StepEntry {
  look: Look;
  setup: SetUpKind;
  paper: boolean;
  kilnId: string;
  controllerId: string;
  /** Of the mould or former, as typed. */
  span: string;
  depth: string;
  overhang: string;
  drop: string;
  former: string;
}

export type StepField = 'span' | 'depth' | 'overhang' | 'drop' | 'former';

export const SHAPING_FIELDS: Record<'slump' | 'drape', readonly { field: StepField; label: string; hint?: string }[]> = {
  slump: [
    { field: 'span', label: 'Mould, inside across', hint: 'rim to rim' },
    { field: 'depth', label: 'Mould, deep' },
  ],
  drape: [
    { field: 'overhang', label: 'Stands out over the former', hint: 'each side' },
    { field: 'drop', label: 'Edge is to come down' },
    { field: 'former', label: 'Former, across', hint: 'for a disc; may be left out' },
  ],
};

export const shapingOf = (look: Look): 'slump' | 'drape' | null => (look === 'slump' || look === 'drape' ? look : null);

const SETUP_OF: Partial<Record<Look, SetUpKind>> = { slump: 'inMould', drape: 'overFormer' };

/** The set-up that a look is usually fired on. */
export const usualSetUp = (look: Look): SetUpKind => SETUP_OF[look] ?? 'bareShelf';

/** What a piece's next firing most likely is: parts that stand are tacked, loose sheets fused, what is one body slumped. */
function likelyLook({ layers, steps }: PieceDoc): Look {
  if (steps.length > 0) return 'slump';
  return layers.at(-1)?.form === 'pieces' ? 'tack' : layers.length > 1 ? 'fullFuse' : 'firePolish';
}

const present = <T extends { id: string }>(records: readonly T[], archived: readonly string[]): T[] => records.filter(({ id }) => !archived.includes(id));

/** touched: what has been chosen or typed already. */
export function entryOfStep(
  doc: PieceDoc,
  step: Step | null,
  { kilns, controllers, archived }: Shelves,
  unit: LengthUnit,
  touched: Partial<StepEntry> = {},
): StepEntry {
  const written = (metres: number | undefined): string => (metres === undefined ? '' : text(formatLength(metres, unit)));
  const look = step?.look ?? likelyLook(doc);
  const shaping = step?.setup.shaping;
  const span_m = footprintSpan(doc.footprint);
  const last = doc.steps.at(-1);
  return {
    look,
    setup: step?.setup.kind ?? usualSetUp(look),
    paper: step?.setup.paper ?? false,
    kilnId: step?.kilnId ?? last?.kilnId ?? present(kilns, archived)[0]?.id ?? '',
    controllerId: step?.controllerId ?? last?.controllerId ?? present(controllers, archived)[0]?.id ?? '',
    span: shaping?.kind === 'hollow' ? written(shaping.span_m) : written(0.95 * span_m),
    depth: shaping?.kind === 'hollow' ? written(shaping.depth_m) : '',
    overhang: shaping?.kind === 'former' ? written(shaping.overhang_m) : '',
    drop: shaping?.kind === 'former' ? written(shaping.drop_m) : '',
    former: shaping?.kind === 'former' ? written(shaping.former_m) : '',
    ...touched,
  };
}

export interface Fault {
  field: StepField | 'kiln' | 'setup';
  message: string;
}

const FIELD_AT: Record<string, Fault['field']> = {
  'setup.shaping.span_m': 'span',
  'setup.shaping.depth_m': 'depth',
  'setup.shaping.overhang_m': 'overhang',
  'setup.shaping.drop_m': 'drop',
  'setup.shaping.former_m': 'former',
  kilnId: 'kiln',
};

/** Why such a firing cannot be, at the field to change; null where it can. */
export function whyImpossible(doc: PieceDoc, step: Step, shelves: Shelves, unit: LengthUnit): Fault | null {
  const steps = doc.steps.some(({ id }) => id === step.id) ? doc.steps.map((one) => (one.id === step.id ? step : one)) : [...doc.steps, step];
  const snapshot = snapshotOf({ ...doc, steps }, step, shelves);
  const problem = snapshot.ok ? impossibleFiring(snapshot.value.firing, unit) : null;
  return problem && { field: FIELD_AT[problem.path] ?? 'setup', message: problem.message };
}

function shaped(entry: StepEntry, unit: LengthUnit): { shaping: Shaping | undefined; faults: Fault[] } {
  const faults: Fault[] = [];
  const read = (field: StepField, name: string, least_m: number, most_m: number): number => {
    const length = lengthWithin(entry[field], name, least_m, most_m, unit);
    if (!length.ok) faults.push({ field, message: length.problem.message });
    return length.ok ? length.value : 0;
  };
  if (entry.look === 'slump') {
    const span_m = read('span', 'The mould', 0.01, 2);
    return { shaping: { kind: 'hollow', span_m, depth_m: read('depth', 'Its depth', 0.001, 0.5) }, faults };
  }
  if (entry.look === 'drape') {
    const overhang_m = read('overhang', 'The overhang', 0.005, 1);
    const drop_m = read('drop', 'The drop', 0.001, 1);
    const former = entry.former.trim() === '' ? {} : { former_m: read('former', 'The former', 0.01, 2) };
    return { shaping: { kind: 'former', overhang_m, drop_m, ...former }, faults };
  }
  return { shaping: undefined, faults };
}

/** The step that an entry means, keeping the id and schedules of the one it changes; else what is wrong, at its field. */
export function stepOf(entry: StepEntry, before: Step | null, unit: LengthUnit): { step: Step; faults: [] } | { step: null; faults: Fault[] } {
  const { shaping, faults } = shaped(entry, unit);
  if (faults.length > 0) return { step: null, faults };
  const step: Step = {
    id: before?.id ?? uuid(),
    look: entry.look,
    setup: { kind: entry.setup, paper: entry.paper, ...(shaping ? { shaping } : {}) },
    kilnId: entry.kilnId,
    controllerId: entry.controllerId,
    school: before?.school ?? DEFAULT_SCHOOL,
    scheduleId: before?.scheduleId ?? null,
    computedId: before?.computedId ?? null,
  };
  return { step, faults: [] };
}
