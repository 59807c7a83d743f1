/** A piece as lists show it. */
import { type BodyNow, type NamedGlass, applySteps, bodyProfile, firingsOf, laidLayers, leanLayer, nothingYet } from '@torvin/core/piece';
import type { Piece, PieceDoc, PieceRow } from './pieces';
import type { FiringResult } from './result';
import { nextStep } from './waits';

/** A list draws no more of them. */
export const ROW_LAYERS_AT_MOST = 12;

/** glasses: those of the shelf. photo: the newest of its firings. */
export function rowOfPiece(piece: Omit<Piece, 'undo' | 'redo' | 'turns'>, glasses: readonly NamedGlass[], photo: string | null = null): PieceRow {
  const { doc, fired, id, name, version, createdAt, updatedAt, tags, finishedAt, awayAt, patternAt, dueOn } = piece;
  const profile = bodyProfile(bodyByNow(doc, (stepId) => fired[stepId], glasses));
  return {
    ...{ id, name, version, createdAt, updatedAt, tags, finishedAt, awayAt, patternAt, dueOn },
    footprint: doc.footprint,
    laid: laidLayers(doc).length,
    profile: { ...profile, layers: profile.layers.slice(0, ROW_LAYERS_AT_MOST).map((layer) => leanLayer(layer, profile.footprint)) },
    looks: firingsOf(doc).map(({ look }) => look),
    photo,
  };
}

/** What is in hand: with what is laid on or worked next, before the firing that is next. */
function bodyByNow(doc: PieceDoc, lastOf: (stepId: string) => FiringResult | null | undefined, glasses: readonly NamedGlass[]): BodyNow {
  const { journey } = doc;
  const next = nextStep(journey, lastOf);
  const made = next === null ? journey.length : journey.indexOf(next) + (next.kind === 'fire' ? 0 : 1);
  return applySteps({ ...doc, journey: journey.slice(0, made) }, glasses).at(-1)?.body ?? nothingYet(doc);
}
