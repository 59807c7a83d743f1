/** A form cut through with its blank, to scale; beside it a lobed blank from above. */
import type { BlankAsked, BlankTold } from '@torvin/core/quantity';
import { type LengthUnit, formatLength, text } from '@torvin/core/units';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { LYING_PX, blankSection, lobedPlan } from './blankSection';
import { BLANK_DRAWING } from './words';

const HEIGHT = 126;
const BAR_HEIGHT = 24;
const BESIDE_PX = 4;

export function BlankDrawing({ asked, told, colour, unit }: { asked: BlankAsked; told: BlankTold; colour: string; unit: LengthUnit }) {
  const { colours } = useTheme();
  const plan = lobedPlan(asked, told, HEIGHT);
  return (
    <View testID="reckon-drawing">
      <MeasuredWidth height={HEIGHT + BAR_HEIGHT}>
        {(whole) => {
          const width = plan ? whole - HEIGHT - BESIDE_PX : whole;
          const { form, flat, lying, shelfY, bar } = blankSection(asked, told, { width, height: HEIGHT }, unit);
          const words = BLANK_DRAWING.cutThroughScale(asked.way === 'into', plan ? BLANK_DRAWING.besideBlankAbove : '');
          return (
            <Svg width={whole} height={HEIGHT + BAR_HEIGHT} role="img" aria-label={words}>
              <Path d={form} fill={colours.shelf} />
              {shelfY !== null && <Line x1={0} x2={width} y1={shelfY} y2={shelfY} stroke={colours.muted} strokeWidth={1} />}
              <Rect {...flat} fill="none" stroke={colours.ink} strokeWidth={1} strokeDasharray="4 3" />
              <Path d={lying} fill="none" stroke={colours.ink} strokeWidth={LYING_PX} strokeLinejoin="round" />
              <Path d={lying} fill="none" stroke={colour} strokeWidth={LYING_PX - 2} strokeLinejoin="round" />
              {plan && (
                <>
                  <Path d={plan.blank} translateX={width + BESIDE_PX} fill={colour} stroke={colours.ink} strokeWidth={1} />
                  <Path d={plan.on} translateX={width + BESIDE_PX} fill="none" stroke={colours.ink} strokeWidth={1} strokeDasharray="4 3" />
                </>
              )}
              <Line x1={0} x2={bar.px} y1={HEIGHT + BAR_HEIGHT / 2} y2={HEIGHT + BAR_HEIGHT / 2} stroke={colours.ink} strokeWidth={2} />
              <SvgText x={bar.px + 8} y={HEIGHT + BAR_HEIGHT / 2 + 4} fontFamily={fonts.figures} fontSize={14} fill={colours.ink}>
                {text(formatLength(bar.metres, unit))}
              </SvgText>
            </Svg>
          );
        }}
      </MeasuredWidth>
    </View>
  );
}
