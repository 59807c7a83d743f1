/** A hollow cut through, to scale, with what stands in it. */
import { type LengthUnit, formatLength, text } from '@torvin/core/units';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { type Filled, hollowSection } from './hollowSection';
import { HOLLOW_DRAWING } from './words';

const HEIGHT = 126;
const BAR_HEIGHT = 24;

export function HollowDrawing({ filled, colour, unit }: { filled: Filled; colour: string; unit: LengthUnit }) {
  const { colours } = useTheme();
  return (
    <View testID="reckon-drawing">
      <MeasuredWidth height={HEIGHT + BAR_HEIGHT}>
        {(width) => {
          const drawn = hollowSection(filled, { width, height: HEIGHT }, unit);
          const words = [
            HOLLOW_DRAWING.hollowCutThrough,
            ...(filled.level_m === null ? [] : [HOLLOW_DRAWING.filledDeep(text(formatLength(filled.level_m, unit)))]),
            ...(drawn.bricks.length > 0 ? [HOLLOW_DRAWING.billetsTheyLie] : []),
          ].join(', ');
          return (
            <Svg width={width} height={HEIGHT + BAR_HEIGHT} role="img" aria-label={words}>
              {drawn.walls.map((path) => (
                <Path key={path} d={path} fill={colours.shelf} fillRule="evenodd" />
              ))}
              {drawn.liners.map((path) => (
                <Path key={path} d={path} fill={colours.line} fillRule="evenodd" stroke={colours.muted} strokeWidth={0.5} />
              ))}
              {drawn.glass.map((path) => (
                <Path key={path} d={path} fill={colour} stroke={colours.ink} strokeWidth={1} />
              ))}
              {drawn.bricks.map((box, i) => (
                <Rect key={i} {...box} fill="none" stroke={colours.ink} strokeWidth={1} strokeDasharray="4 3" />
              ))}
              <Line x1={0} x2={width} y1={drawn.rimY} y2={drawn.rimY} stroke={colours.muted} strokeWidth={0.5} strokeDasharray="2 4" />
              <Line x1={0} x2={drawn.bar.px} y1={HEIGHT + BAR_HEIGHT / 2} y2={HEIGHT + BAR_HEIGHT / 2} stroke={colours.ink} strokeWidth={2} />
              <SvgText x={drawn.bar.px + 8} y={HEIGHT + BAR_HEIGHT / 2 + 4} fontFamily={fonts.figures} fontSize={14} fill={colours.ink}>
                {text(formatLength(drawn.bar.metres, unit))}
              </SvgText>
            </Svg>
          );
        }}
      </MeasuredWidth>
    </View>
  );
}
