/** Saves a piece; when the save turns out to be based on an older state, offers both to choose from. */
import type { Piece, PieceDoc } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { type ReactNode, useState } from 'react';
import { ApiProblem } from '@/data/client';
import { adoptPiece, useSavePiece } from '@/data/pieces';
import { footprintWords } from './describe';
import { StaleChoice } from './StaleChoice';

interface Change {
  name: string;
  doc: PieceDoc;
}

export const staleCurrent = (error: unknown): Piece | null =>
  error instanceof ApiProblem && error.problem.code === 'stale' && error.current ? (error.current as Piece) : null;

export function useSaveOrChoose(piece: Piece, onDone: () => void): { save(change: Change): void; saving: boolean; error: unknown; choice: ReactNode } {
  const client = useQueryClient();
  // The version on which this form was opened; later ones that arrive in the background are not what was seen.
  const [opened] = useState(piece.version);
  const { mutate, isPending, error, variables, reset } = useSavePiece(piece.id);
  const current = staleCurrent(error);
  const save = (change: Change, version = opened): void => mutate({ ...change, version }, { onSuccess: onDone });
  const choice = current && variables && (
    <StaleChoice
      current={current}
      mine={`${variables.name}, ${footprintWords(variables.doc.footprint)}, ${variables.doc.layers.length} sheets`}
      onTakeTheirs={() => {
        adoptPiece(client, current);
        reset();
        onDone();
      }}
      onKeepMine={() => {
        // The steps as they stand now: this save is about the lay-up alone.
        save({ name: variables.name, doc: { ...variables.doc, steps: current.doc.steps } }, current.version);
      }}
    />
  );
  return { save, saving: isPending, error: current ? null : error, choice };
}
