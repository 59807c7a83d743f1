/**
 * What was found while a piece was laid up and put into its form, and stands against its firing until it is mended or accepted: one list
 * for the piece, the run sheet, the key-in sheet, the start and the record. Limits that the schedule breaks are its readings' own.
 */
import type { Units } from '../units/convert';
import { bodiesAfter } from './bodiesAfter';
import type { PieceDocument, PlannedStep } from './document';
import { betweenThem, formNotes, overShelf } from './formNotes';
import { placeOf } from './journey';
import { undoingWarnings } from './journeyWarnings';
import { type Shelf, namedGlasses } from './shelf';
import { snapshotOf } from './snapshot';

/** Of the form that a firing stands in: blank, grip, heat, shelf. hottest_C: of its schedule, where it has one. */
function ofForm(doc: PieceDocument, step: PlannedStep, shelf: Shelf, units: Units, hottest_C: number | null): string[] {
  if (!step.setup.form) return [];
  const snapshot = snapshotOf(doc, step, shelf);
  if (!snapshot.ok) return [];
  const { firing, setup } = snapshot.value;
  if (!setup.form) return [];
  const { letsGo, warns } = formNotes(setup.form, firing, betweenThem(step, shelf), units, hottest_C);
  const out = setup.shelf ? overShelf(setup.form, setup.shelf, units) : null;
  return [...warns, ...(letsGo && !letsGo.isSound ? [letsGo.verdict] : []), ...(out ? [out] : [])];
}

/** work_perPa: what the firing's schedule does, where it has one. */
export function standingWarnings(
  doc: PieceDocument,
  step: PlannedStep,
  shelf: Shelf,
  units: Units,
  { hottest_C = null, work_perPa = null }: { hottest_C?: number | null; work_perPa?: number | null } = {},
): string[] {
  const glasses = namedGlasses(shelf);
  const place = placeOf(doc, step.id);
  const before = bodiesAfter({ ...doc, journey: doc.journey.slice(0, place) }, glasses).at(-1);
  return [...ofForm(doc, step, shelf, units, hottest_C), ...(before ? undoingWarnings(step, before.body, glasses, units, work_perPa) : [])];
}
