/** A piece in a row of a list: its section or its picture as its face, its name, and a line or two of what it is. */
import type { PieceRow, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { PieceMark } from './PieceMark';

export interface PieceFaceProps {
  piece: Pick<PieceRow, 'name' | 'profile' | 'photo'>;
  shelves: Shelves | undefined;
  width: number;
  height: number;
  lines: readonly string[];
}

export const PieceFace = ({ piece, shelves, width, height, lines }: PieceFaceProps) => (
  <View style={{ flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.large }}>
    <PieceMark piece={piece} shelves={shelves} width={width} height={height} />
    <View style={{ flex: 1 }}>
      <Words bold numberOfLines={1}>
        {piece.name}
      </Words>
      {lines.map((line) => (
        <Words key={line} size="label" tone="muted" numberOfLines={1}>
          {line}
        </Words>
      ))}
    </View>
  </View>
);
