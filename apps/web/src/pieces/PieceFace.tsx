/** A piece in a row of a list: its section as its face, its name, and a line or two of what it is. */
import { drawnBody } from '@torvin/core/piece';
import type { PieceRow, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { SectionDrawing } from '@/section/SectionDrawing';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';

export interface PieceFaceProps {
  piece: Pick<PieceRow, 'name' | 'profile'>;
  shelves: Shelves | undefined;
  width: number;
  height: number;
  lines: readonly string[];
}

export const PieceFace = ({ piece: { name, profile }, shelves, width, height, lines }: PieceFaceProps) => (
  <View style={{ flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.large }}>
    <SectionDrawing {...drawnBody(profile, shelves)} width={width} height={height} small />
    <View style={{ flex: 1 }}>
      <Words bold numberOfLines={1}>
        {name}
      </Words>
      {lines.map((line) => (
        <Words key={line} size="label" tone="muted" numberOfLines={1}>
          {line}
        </Words>
      ))}
    </View>
  </View>
);
