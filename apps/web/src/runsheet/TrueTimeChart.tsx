/** The schedule laid on its side with time to scale: kiln, skin and core over the clock, states as bands. */
import { glassStates } from '@torvin/core/glass';
import type { Series } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type FiringCase, glassOf, emptyFiringOf } from '@torvin/core/schedule';
import { type TemperatureUnit, formatDuration, formatTemperature, text } from '@torvin/core/units';
import { memo, useMemo } from 'react';
import Svg, { Defs, G, Line, LinearGradient, Path, Rect, Stop, Text as SvgText } from 'react-native-svg';
import { View } from 'react-native';
import { GLOW } from '@/theme/palette';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, wordSize } from '@/theme/theme';
import { HiddenTable } from '@/ui/HiddenTable';
import { clockAfter, clockShort } from '@/ui/clock';
import { CURVE_HEADS, clockRows } from './jointTable';
import { pathOf } from './curveLines';
import { type TimeAxis, levelMarks, timeTicks, trueTimeAxes } from './trueTime';
import { TRUE_TIME_CHART } from './words';

export interface TrueTimeChartProps {
  firing: FiringCase;
  segments: PurposefulSegment[];
  /** Null until the engine has answered. */
  series: Series | undefined;
  total_s: number;
  unit: TemperatureUnit;
  start: Date;
  width: number;
  height?: number;
  /** Of a firing that runs. */
  marks?: RunningMarks;
}

/** Seconds after the start. */
export interface RunningMarks {
  /** Left out before it starts and after it is over. */
  now_s?: number;
  look?: { from_s: number; to_s: number };
  open_s: number;
}

const HEIGHT = 230;
const GLOW_ID = 'glow-upright';
/** A band must be as tall as its name. */
const LEAST_BAND_PX = 14;
/** At the right the bands have their names; no line crosses them. */
const NAMES_PX = 56;

export const TrueTimeChart = memo(function TrueTimeChart({
  firing,
  segments,
  series,
  total_s,
  unit,
  start,
  width,
  height = HEIGHT,
  marks,
}: TrueTimeChartProps) {
  const { colours } = useTheme();
  const axes = useMemo(() => trueTimeAxes(width, height, total_s, firing.kiln.top_C), [width, height, total_s, firing.kiln.top_C]);
  const states = useMemo(() => (emptyFiringOf(firing) ? [] : glassStates(glassOf(firing)).filter(({ from_C }) => from_C < firing.kiln.top_C)), [firing]);
  const line = (values: readonly number[]): string => pathOf(values.map((value, i) => ({ x: axes.x(series?.t_s[i] ?? 0), y: axes.y(value) })));
  return (
    <View testID="true-time">
      <Svg
        width={width}
        height={height}
        role="img"
        aria-label={TRUE_TIME_CHART.temperaturesOverTime(segments.length, text(formatDuration(total_s)), marksWords(marks, start))}
      >
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
        {marks?.look && (
          <Rect
            x={axes.x(marks.look.from_s)}
            y={TOP_PX}
            width={Math.max(axes.x(marks.look.to_s) - axes.x(marks.look.from_s), 3)}
            height={axes.bottom - TOP_PX}
            fill={colours.touch}
            fillOpacity={0.25}
          />
        )}
        <Grid axes={axes} unit={unit} start={start} />
        {series && <Path d={line(series.kiln_C)} stroke={`url(#${GLOW_ID})`} strokeWidth={4} strokeLinejoin="round" fill="none" />}
        {series && <Path d={line(series.skin_C)} stroke={colours.ink} strokeWidth={1} fill="none" />}
        {series && <Path d={line(series.core_C)} stroke={colours.ink} strokeWidth={1.5} strokeDasharray="2 3" fill="none" />}
        {marks && <Marks axes={axes} marks={marks} />}
      </Svg>
      {series && (
        <HiddenTable
          caption={TRUE_TIME_CHART.temperaturesClock}
          heads={CURVE_HEADS}
          rows={clockRows(series, timeTicks(axes, start), start, unit)}
          testID="clock-table"
        />
      )}
    </View>
  );
});

/** Where a mark's line begins. */
const TOP_PX = 10;

const marksWords = (marks: RunningMarks | undefined, start: Date): string => {
  if (!marks) return '';
  const { now_s, look, open_s } = marks;
  return [
    ...(now_s === undefined ? [] : [TRUE_TIME_CHART.nowAt(clockAfter(start, now_s))]),
    ...(look ? [TRUE_TIME_CHART.checkFrom(clockAfter(start, look.from_s))] : []),
    TRUE_TIME_CHART.mayOpened(clockAfter(start, open_s)),
  ].reduce((said, one) => `${said}; ${one}`, '');
};

/** Upright lines with their names at the foot of the axis, the name turned inwards where the axis ends. */
function Marks({ axes, marks: { now_s, look, open_s } }: { axes: TimeAxis; marks: RunningMarks }) {
  const { colours } = useTheme();
  const lines = [
    ...(look ? [{ name: 'check', at: look.from_s, strong: false }] : []),
    { name: 'open', at: open_s, strong: false },
    ...(now_s === undefined ? [] : [{ name: 'now', at: now_s, strong: true }]),
  ];
  return (
    <>
      {lines.map(({ name, at, strong }, i) => {
        const x = axes.x(at);
        const inwards = x > axes.right - NAMES_PX;
        const crowded = lines.slice(0, i).some((one) => Math.abs(axes.x(one.at) - x) < NAMES_PX);
        return (
          <G key={name}>
            <Line x1={x} x2={x} y1={TOP_PX} y2={axes.bottom} stroke={colours.touch} strokeWidth={strong ? 2 : 1} strokeDasharray={strong ? undefined : '4 3'} />
            <SvgText
              x={inwards ? x - 4 : x + 4}
              y={axes.bottom - 6 - (crowded ? 14 : 0)}
              textAnchor={inwards ? 'end' : 'start'}
              fill={colours.touch}
              fontFamily={strong ? fonts.wordsBold : fonts.words}
              fontSize={wordSize.note}
            >
              {name}
            </SvgText>
          </G>
        );
      })}
    </>
  );
}

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
