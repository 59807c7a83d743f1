/** The pieces, each with its section as its face. */
import { drawnLayers, footprintWords } from '@torvin/core';
import type { Piece, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { SectionDrawing } from '@/section/SectionDrawing';
import { LinkRow } from '@/ui/LinkRow';
import { Words } from '@/ui/Words';
import { stepName } from './describe';
import { countWords } from '@/ui/countWords';

export interface PieceListProps {
  pieces: Piece[];
  shelves: Shelves | undefined;
  currentId?: string;
}

const FACE = { width: 112, height: 64 };

export function PieceList({ pieces, shelves, currentId }: PieceListProps) {
  const units = useUnits();
  return (
    <View role="list">
      {pieces.map((piece) => (
        <LinkRow key={piece.id} href={`/pieces/${piece.id}`} current={piece.id === currentId} testID="piece-link">
          <SectionDrawing footprint={piece.doc.footprint} layers={drawnLayers(piece.doc, shelves)} {...FACE} small />
          <View style={{ flex: 1 }}>
            <Words bold>{piece.name}</Words>
            <Words size="label" tone="muted">
              {footprintWords(piece.doc.footprint, units.length)} · {countWords(piece.doc.layers.length, 'layer', 'layers')}
            </Words>
            <Words size="label" tone="muted">
              {piece.doc.steps.length > 0 ? piece.doc.steps.map(stepName).join(', then ') : 'no firing planned yet'}
            </Words>
          </View>
        </LinkRow>
      ))}
    </View>
  );
}
