/** The pieces, each with its section as its face. */
import { type Piece, type Shelves, drawnLayers } from '@torvin/schema';
import { Link } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '@/data/studio';
import { SectionDrawing } from '@/section/SectionDrawing';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { countWords, footprintWords, stepName } from './describe';

export interface PieceListProps {
  pieces: Piece[];
  shelves: Shelves | undefined;
  currentId?: string;
}

const FACE = { width: 112, height: 64 };

export function PieceList({ pieces, shelves, currentId }: PieceListProps) {
  const { colours } = useTheme();
  const units = useUnits();
  return (
    <View role="list">
      {pieces.map((piece) => {
        const current = piece.id === currentId;
        return (
          <View key={piece.id} role="listitem" style={{ borderTopWidth: 1, borderColor: colours.line }}>
            <Link
              href={`/pieces/${piece.id}`}
              aria-current={current ? 'page' : undefined}
              style={{ display: 'flex', textDecorationLine: 'none' }}
              testID="piece-link"
            >
              <View
                style={{
                  flex: 1,
                  flexDirection: 'row',
                  alignItems: 'center',
                  gap: space.medium,
                  paddingVertical: space.small,
                  paddingHorizontal: space.large,
                  backgroundColor: current ? colours.surface : 'transparent',
                }}
              >
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
              </View>
            </Link>
          </View>
        );
      })}
    </View>
  );
}
