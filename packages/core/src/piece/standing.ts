/**
 * What was found while a piece was laid up and put into its form, and stands against its firing until it is mended or accepted: one list
 * for the piece, the run sheet, the key-in sheet, the start and the record. Limits that the schedule breaks are its readings' own.
 */
import type { Units } from '../units/convert';
import { applySteps } from './applySteps';
import type { LaidLayer, PieceDocument, PlannedStep } from './document';
import { betweenThem, formNotes, overShelf } from './formNotes';
import { placeOf } from './journey';
import { undoingWarnings } from './journeyWarnings';
import { type FitVerdict } from '../fit/fit';
import { fitSentence } from '../fit/words';
import { RECIPES } from '../look/recipes/all';
import { type FitOfLayers, fitQuestion } from './fitQuestion';
import { sideBySide } from './touching';
import { type Shelf, glassName, namedGlasses } from './shelf';
import { snapshotOf } from './snapshot';
import { findingSentences } from '../schedule/findings';

/** What speaks against the form of a firing: blank, grip, heat, shelf. hottest_C: of its schedule, where it has one. */
export function formWarnings(doc: PieceDocument, step: PlannedStep, shelf: Shelf, units: Units, hottest_C: number | null): string[] {
  if (!step.setup.form) return [];
  const snapshot = snapshotOf(doc, step, shelf);
  if (!snapshot.ok) return [];
  const { firing, setup } = snapshot.value;
  if (!setup.form) return [];
  const { letsGo, warns } = formNotes(setup.form, firing, betweenThem(step, shelf), units, hottest_C);
  const out = setup.shelf ? overShelf(setup.form, setup.shelf, units) : null;
  return [...warns, ...(letsGo && !letsGo.isSound ? [letsGo.verdict] : []), ...(out ? [out] : [])];
}

/** What test series found of its kind, where it lies outside of that; nothing of those that are put away. */
export function findingWarnings(doc: PieceDocument, step: PlannedStep, shelf: Shelf, units: Units): string[] {
  const findings = (shelf.findings ?? []).filter(({ id, look }) => look === step.look && !shelf.archived?.includes(id));
  const snapshot = findings.length > 0 ? snapshotOf(doc, step, shelf) : null;
  return snapshot?.ok ? findingSentences(snapshot.value.firing, findings, units) : [];
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
  const before = applySteps({ ...doc, journey: doc.journey.slice(0, place) }, glasses).at(-1);
  return [
    ...formWarnings(doc, step, shelf, units, hottest_C),
    ...(before ? undoingWarnings(step, before.body, glasses, units, work_perPa) : []),
    ...findingWarnings(doc, step, shelf, units),
  ];
}

/** The fit of what lies there before a firing. */
export interface FitAsked {
  question: FitOfLayers;
  layers: readonly LaidLayer[];
}

/** What the fit before a firing is judged from: of glasses that touch, but for what was joined before it; null where nothing is asked. */
export function fitBefore(doc: PieceDocument, step: PlannedStep, shelf: Shelf): FitAsked | null {
  if (RECIPES[step.look].empty) return null;
  const before = applySteps({ ...doc, journey: doc.journey.slice(0, placeOf(doc, step.id)) }, namedGlasses(shelf)).at(-1)?.body;
  if (!before) return null;
  const { layers, solid } = before;
  const { contacts, between, ...rest } = fitQuestion(layers, shelf);
  const isJoined = (one: number): boolean => one >= solid.from && one < solid.to;
  const open = between.map((pairs) => pairs.some(([lower, upper]) => !isJoined(lower) || !isJoined(upper)));
  const question = { ...rest, contacts: contacts.filter((_, i) => open[i]), between: between.filter((_, i) => open[i]) };
  return question.contacts.length === 0 ? null : { question, layers };
}

/** Of each pair that does not fit, or may not, a sentence. */
export function fitWarnings({ question: { ids, between }, layers }: FitAsked, { pairs }: Pick<FitVerdict, 'pairs'>, shelf: Shelf, { length }: Units): string[] {
  return pairs.flatMap((pair, i) => {
    if (pair.verdict !== 'fails' && pair.verdict !== 'doubtful') return [];
    const [[lower, upper]] = between[i];
    const name = (glass: number): string => glassName(shelf, ids[glass]);
    return [fitSentence(pair, { lower: name(pair.lower), upper: name(pair.upper), beside: sideBySide(layers, lower, upper) }, length)];
  });
}
