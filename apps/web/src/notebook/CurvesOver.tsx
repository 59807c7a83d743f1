/** The curves of a few firings over one another, as their kilns ran by the calculation: each with its own line. */
import { type PurposefulSegment, cornersOf } from '@torvin/core/kiln';
import type { Evaluation } from '@torvin/core/schedule';
import { formatDuration, formatTemperature, text } from '@torvin/core/units';
import { View } from 'react-native';
import Svg, { Line, Path, Text } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, space } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Words } from '@/ui/Words';
import { tenth } from '@/ui/pixels';
import { COMPARE_SCREEN } from './words';

export interface DrawnCurve {
  head: string;
  segments: readonly PurposefulSegment[];
  evaluation: Evaluation;
  start_C: number;
}

const HEIGHT = 150;
const BELOW_PX = 18;
const FONT_PX = 12;
const DASHES = [undefined, '7 4', '2 4', '10 3 2 3'] as const;

export function CurvesOver({ curves }: { curves: readonly DrawnCurve[] }) {
  const { colours } = useTheme();
  const { temperature } = useUnits();
  const corners = curves.map(({ segments, evaluation, start_C }) =>
    cornersOf(
      segments,
      evaluation.simulation.segments.map(({ end_s }) => end_s),
      start_C,
    ),
  );
  const long_s = Math.max(...corners.flat().map(({ t_s }) => t_s));
  const top_C = Math.max(...corners.flat().map(({ at_C }) => at_C));
  return (
    <View style={{ gap: space.small }} testID="curves-over">
      <MeasuredWidth height={HEIGHT + BELOW_PX}>
        {(width) => (
          <Svg width={width} height={HEIGHT + BELOW_PX} role="img" aria-label={COMPARE_SCREEN.curvesOf(curves.map(({ head }) => head).join('; '))}>
            <Line x1={0} x2={width} y1={HEIGHT} y2={HEIGHT} stroke={colours.line} strokeWidth={1} />
            {corners.map((all, i) => (
              <Path
                key={i}
                d={`M${all.map(({ t_s, at_C }) => `${tenth((t_s / long_s) * width)} ${tenth(HEIGHT - (at_C / top_C) * (HEIGHT - FONT_PX))}`).join(' L')}`}
                stroke={i === 0 ? colours.ink : colours.touch}
                strokeWidth={2}
                strokeDasharray={DASHES[i]}
                fill="none"
              />
            ))}
            <Text x={0} y={FONT_PX} fontSize={FONT_PX} fontFamily={fonts.words} fill={colours.muted}>
              {text(formatTemperature(top_C, temperature))}
            </Text>
            <Text x={width} y={HEIGHT + FONT_PX + 2} textAnchor="end" fontSize={FONT_PX} fontFamily={fonts.words} fill={colours.muted}>
              {text(formatDuration(long_s))}
            </Text>
          </Svg>
        )}
      </MeasuredWidth>
      {curves.map(({ head }, i) => (
        <View key={head} style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
          <Svg width={36} height={8} aria-hidden>
            <Line x1={0} x2={36} y1={4} y2={4} stroke={i === 0 ? colours.ink : colours.touch} strokeWidth={2} strokeDasharray={DASHES[i]} />
          </Svg>
          <Words size="label">{head}</Words>
        </View>
      ))}
    </View>
  );
}
