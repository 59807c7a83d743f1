/** From where Reckon was opened: the piece that is open, and the step of it that is looked at. */
import { type LayStep, isLaying, laidLayers, layerName } from '@torvin/core/piece';
import type { Piece, PieceDoc } from '@torvin/schema';
import { skipToken, useQuery, useQueryClient } from '@tanstack/react-query';
import { useGlobalSearchParams, usePathname } from 'expo-router';
import { useMemo } from 'react';
import { pieceReading } from '@/data/pieces';
import { useLatestPiece } from '@/data/pieceRows';
import { pieceQueue } from '@/outbox/kinds';
import { doneUntil } from '@/journey/doneUntil';
import { shownPiece } from '@/outbox/shown';
import { useOutbox, useQueue } from '@/outbox/useOutbox';
import { isWide, useLayout } from '@/ui/useWidth';

export interface Where {
  piece: Piece;
  /** Where glass can be laid yet: a step that lays, or a place in the journey for one. */
  into: { stepId: string } | { place: number };
  /** Layers in that step, and what they are called, the lowest first. */
  laid: number;
  names: string[];
  /** Something of it was done already: its outline is what it is. */
  isBegun: boolean;
  /** From this step of the journey on nothing is done yet. */
  from: number;
}

const ID = /^\/pieces\/([0-9a-f]{8}-[0-9a-f-]{27})/;

/** As the piece calls the layers of a step. */
function namesIn(doc: PieceDoc, step: LayStep | undefined): string[] {
  const all = laidLayers(doc);
  return (step?.layers ?? []).map((layer) => layerName(all, all.indexOf(layer)));
}

/** looked: id of the step that is looked at. What has been fired or worked on stays as it is: glass goes into what comes after that. */
export function whereIn(piece: Piece, looked: string | undefined): Where {
  const { journey } = piece.doc;
  const from = doneUntil(journey, piece.fired);
  const toCome = journey.slice(from).filter(isLaying);
  const step = toCome.find(({ id }) => id === looked) ?? toCome.at(0);
  const firing = journey.findIndex(({ kind }, index) => index >= from && kind === 'fire');
  return {
    ...{ piece, laid: step?.layers.length ?? 0, names: namesIn(piece.doc, step), isBegun: from > 0, from },
    into: step ? { stepId: step.id } : { place: firing < 0 ? journey.length : firing },
  };
}

export function useWhere(): Where | null {
  const client = useQueryClient();
  const outbox = useOutbox();
  const path = usePathname();
  const { at, step } = useGlobalSearchParams<{ at?: string; step?: string }>();
  const wide = isWide(useLayout());
  const latest = useLatestPiece();
  const id = ID.exec(path)?.[1] ?? (wide && path === '/pieces' ? latest : null) ?? null;
  const waiting = useQueue(pieceQueue(id ?? ''));
  const reading = pieceReading(client, outbox, id ?? '');
  const { data } = useQuery({ ...reading, queryFn: id === null ? skipToken : reading.queryFn });
  return useMemo(() => (id === null || !data ? null : whereIn(shownPiece(data, waiting), at ?? step)), [id, data, waiting, at, step]);
}
