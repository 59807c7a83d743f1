/** What stands against firing a piece now, whatever rows are fired: glasses that do not fit, and hands' work not told as done. */
import { fitBefore, fitWarnings, untoldBefore, untoldWords } from '@torvin/core/piece';
import type { Units } from '@torvin/core/units';
import type { Piece, Shelves, Step } from '@torvin/schema';
import { compute } from '@/engine/client';
import { engineQuestion } from './useStepPage';

export async function standingOfPiece(piece: Piece, step: Step, shelves: Shelves, units: Units): Promise<string[]> {
  const asked = fitBefore(piece.doc, step, shelves);
  const fit = asked && (await compute('fit', engineQuestion(asked)));
  const { journey } = piece.doc;
  const untold = untoldWords(
    journey,
    untoldBefore(journey, step.id, (one) => piece.fired[one] !== undefined),
  );
  return [...(asked && fit?.ok ? fitWarnings(asked, fit.value, shelves, units) : []), ...(untold === '' ? [] : [untold])];
}
