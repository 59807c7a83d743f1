/** A piece at the head of a row: its section; where that tells nothing, as of even sheets, its newest picture, else the piece from above. */
import { type DrawnBody, drawnBody } from '@torvin/core/piece';
import { boxOf, footprintRings } from '@torvin/core/plan';
import type { PieceRow, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { Thumbnail } from '@/photos/Thumbnail';
import { ringsPath } from '@/plan/geometry';
import { Picture, SectionPicture } from '@/section/SectionDrawing';
import type { Mark } from '@/section/marks';
import { useTheme } from '@/theme/ThemeContext';
import { tellsNothing } from './tellsNothing';
import { PIECE_MARK } from '@/photos/words';

export interface PieceMarkProps {
  piece: Pick<PieceRow, 'name' | 'profile' | 'photo'>;
  shelves: Shelves | undefined;
  width: number;
  height: number;
}

export function PieceMark({ piece: { name, profile, photo }, shelves, width, height }: PieceMarkProps) {
  const drawn = drawnBody(profile, shelves);
  if (!tellsNothing(drawn)) return <SectionPicture {...drawn} width={width} height={height} />;
  return (
    <View style={{ width, height, alignItems: 'center' }} testID="piece-mark">
      {photo !== null ? (
        <Thumbnail hash={photo} px={height} alt={PIECE_MARK.pictureOf(name)} />
      ) : (
        <FromAbove drawn={drawn} words={PIECE_MARK.fromAbove(name)} width={width} height={height} />
      )}
    </View>
  );
}

const MARGIN_PX = 4;

/** Its outline in the colour of what lies on top. */
function FromAbove({ drawn: { footprint, layers }, words, width, height }: { drawn: DrawnBody; words: string; width: number; height: number }) {
  const { colours } = useTheme();
  const rings = footprintRings(footprint);
  const { left, right, front, back } = boxOf(rings.flat());
  const scale = Math.min((width - 2 * MARGIN_PX) / (right - left), (height - 2 * MARGIN_PX) / (back - front));
  const x = (x_m: number): number => width / 2 + (x_m - (left + right) / 2) * scale;
  const y = (y_m: number): number => height / 2 - (y_m - (front + back) / 2) * scale;
  const fill = layers.at(-1)?.colour ?? 'none';
  const outline: Mark = { of: 'path', d: ringsPath(rings, { x, y }), fill, fillRule: 'evenodd', stroke: colours.ink, strokeWidth: 1 };
  return <Picture marks={[outline]} width={width} height={height} words={words} />;
}
