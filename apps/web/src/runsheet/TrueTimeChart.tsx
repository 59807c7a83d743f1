/** The schedule laid on its side with time to scale: kiln, skin and core over the clock, states as bands. */
import {
  type FiringCase,
  type PurposefulSegment,
  type Series,
  type TemperatureUnit,
  formatDuration,
  formatTemperature,
  glassOf,
  glassStates,
  text,
} from '@torvin/core';
import { memo, useMemo } from 'react';
import Svg, { Defs, Line, LinearGradient, Path, Rect, Stop, Text as SvgText } from 'react-native-svg';
import { View } from 'react-native';
import { GLOW } from '@/theme/palette';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { HiddenTable } from '@/ui/HiddenTable';
import { clockShort } from '@/ui/clock';
import { CURVE_HEADS, clockRows } from './jointTable';
import { pathOf } from './curve';
import { type TimeAxis, levelMarks, timeTicks, trueTimeAxes } from './trueTime';

export interface TrueTimeChartProps {
  firing: FiringCase;
  segments: PurposefulSegment[];
  /** Null until the engine has answered. */
  series: Series | undefined;
  total_s: number;
  unit: TemperatureUnit;
  start: Date;
  width: number;
}

const HEIGHT = 230;
const GLOW_ID = 'glow-upright';
/** A band must be as tall as its name. */
const LEAST_BAND_PX = 14;
/** At the right the bands have their names; no line crosses them. */
const NAMES_PX = 56;

export const TrueTimeChart = memo(function TrueTimeChart({ firing, segments, series, total_s, unit, start, width }: TrueTimeChartProps) {
  const { colours } = useTheme();
  const axes = useMemo(() => trueTimeAxes(width, HEIGHT, total_s, firing.kiln.top_C), [width, total_s, firing.kiln.top_C]);
  const states = useMemo(() => glassStates(glassOf(firing)).filter(({ from_C }) => from_C < firing.kiln.top_C), [firing]);
  const line = (values: readonly number[]): string => pathOf(values.map((value, i) => ({ x: axes.x(series?.t_s[i] ?? 0), y: axes.y(value) })));
  return (
    <View testID="true-time">
      <Svg width={width} height={HEIGHT} role="img" aria-label={`Temperatures over time: ${segments.length} segments, ${text(formatDuration(total_s))} in all`}>
        <Defs>
          <LinearGradient id={GLOW_ID} gradientUnits="userSpaceOnUse" x1={0} x2={0} y1={axes.y(GLOW[0][0])} y2={axes.y(GLOW[GLOW.length - 1][0])}>
            {GLOW.map(([celsius, colour]) => (
              <Stop key={celsius} offset={(celsius - GLOW[0][0]) / (GLOW[GLOW.length - 1][0] - GLOW[0][0])} stopColor={colour} />
            ))}
          </LinearGradient>
        </Defs>
        {states.map(({ name, from_C, to_C }, index) => {
          const [bottom, top] = [axes.y(Math.max(from_C, 0)), axes.y(Math.min(to_C, firing.kiln.top_C))];
          return (
            <Rect
              key={name}
              x={axes.left}
              y={top}
              width={axes.right - axes.left}
              height={Math.max(bottom - top, 0)}
              fill={colours.columns[index] ?? 'transparent'}
            />
          );
        })}
        {states.map(({ name, from_C, to_C }) => {
          const [bottom, top] = [axes.y(Math.max(from_C, 0)), axes.y(Math.min(to_C, firing.kiln.top_C))];
          if (bottom - top < LEAST_BAND_PX) return null;
          return (
            <SvgText key={name} x={axes.right - 6} y={(bottom + top) / 2 + 4} textAnchor="end" fill={colours.muted} fontFamily={fonts.words} fontSize={12}>
              {name}
            </SvgText>
          );
        })}
        <Grid axes={axes} unit={unit} start={start} />
        {series && <Path d={line(series.kiln_C)} stroke={`url(#${GLOW_ID})`} strokeWidth={4} strokeLinejoin="round" fill="none" />}
        {series && <Path d={line(series.skin_C)} stroke={colours.ink} strokeWidth={1} fill="none" />}
        {series && <Path d={line(series.core_C)} stroke={colours.ink} strokeWidth={1.5} strokeDasharray="2 3" fill="none" />}
      </Svg>
      {series && (
        <HiddenTable
          caption="Temperatures by the clock"
          heads={CURVE_HEADS}
          rows={clockRows(series, timeTicks(axes, start), start, unit)}
          testID="clock-table"
        />
      )}
    </View>
  );
});

function Grid({ axes, unit, start }: { axes: TimeAxis; unit: TemperatureUnit; start: Date }) {
  const { colours } = useTheme();
  const words = { fill: colours.muted, fontFamily: fonts.words, fontSize: 12 } as const;
  return (
    <>
      {levelMarks(axes, unit).map((level) => (
        <Line key={level} x1={axes.left} x2={axes.right - NAMES_PX} y1={axes.y(level)} y2={axes.y(level)} stroke={colours.line} />
      ))}
      {levelMarks(axes, unit).map((level) => (
        <SvgText key={level} x={axes.left - 6} y={axes.y(level) + 4} textAnchor="end" {...words}>
          {text(formatTemperature(level, unit)).replace(' ', '')}
        </SvgText>
      ))}
      {timeTicks(axes, start).map((seconds) => (
        <SvgText key={seconds} x={axes.x(seconds)} y={axes.bottom + 18} textAnchor="middle" {...words}>
          {clockShort(start, seconds).slice(-5)}
        </SvgText>
      ))}
    </>
  );
}
