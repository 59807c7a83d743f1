/** The body from the side, in true order: its face wherever it appears. */
import { type Footprint, footprintSpan, formatLength, text } from '@torvin/core';
import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import { Words } from '@/ui/Words';
import { useTheme } from '@/theme/ThemeContext';
import { sectionGeometry } from './geometry';

export interface DrawnLayer {
  name: string;
  colour: string;
  thickness_m: number;
}

export interface SectionDrawingProps {
  footprint: Footprint;
  /** Index 0 at the bottom. */
  layers: readonly DrawnLayer[];
  width: number;
  height: number;
  /** Leaves out the words around the drawing, for lists. */
  small?: boolean;
}

export function SectionDrawing({ footprint, layers, width, height, small = false }: SectionDrawingProps) {
  const { colours } = useTheme();
  const span_m = footprintSpan(footprint);
  const drawn = sectionGeometry(
    span_m,
    layers.map((layer) => layer.thickness_m),
    { width, height },
  );
  const spoken = `Section, bottom to top: ${layers.map((layer) => `${layer.name}, ${text(formatLength(layer.thickness_m, 'mm'))}`).join('; ')}; on a shelf`;
  return (
    <View style={{ backgroundColor: colours.surface }}>
      {!small && layers.length > 0 && (
        <View style={{ position: 'absolute', top: 4, right: 12, zIndex: 1 }}>
          <Words size="note" tone="muted">
            {drawn.exaggeration === 1 ? 'drawn to scale' : `depth drawn ${drawn.exaggeration}×`}
          </Words>
        </View>
      )}
      <Svg width={width} height={height} role="img" aria-label={spoken}>
        <Rect x={0} y={drawn.shelfY} width={width} height={small ? 4 : 14} fill={colours.shelf} />
        {drawn.layers.map((layer, index) => (
          <Rect key={index} {...layer} fill={layers[index].colour} stroke={colours.ink} strokeWidth={small ? 0.75 : 1} />
        ))}
        <Line x1={0} x2={width} y1={drawn.shelfY} y2={drawn.shelfY} stroke={colours.ink} strokeWidth={small ? 0.5 : 1} />
      </Svg>
    </View>
  );
}
