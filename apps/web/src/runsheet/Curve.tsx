/** The picture of the run sheet: state columns, the kiln's curve coloured by temperature, skin and core of the glass. */
import type { Series } from '@torvin/core/heat';
import type { PurposefulSegment } from '@torvin/core/kiln';
import { memo, useRef } from 'react';
import { View } from 'react-native';
import Svg, { Defs, Line, LinearGradient, Path, Rect, Stop } from 'react-native-svg';
import { GLOW } from '@/theme/palette';
import { useTheme } from '@/theme/ThemeContext';
import type { ColumnBand } from './columns';
import { APART_MOVING_PX, curveRows, pathOf, programmedLine, timedLine } from './curveLines';
import { elementOf } from '@/ui/elementOf';
import { type Live, useWritten } from './live';
import type { TemperatureScale } from './scale';

export interface CurveProps {
  width: number;
  height: number;
  rowHeight: number;
  /** What the kiln has at the start. */
  ambient_C: number;
  segments: readonly PurposefulSegment[];
  bands: readonly ColumnBand[];
  scale: TemperatureScale;
  /** From the engine; while a bead moves it may be of the schedule a moment ago. */
  series: Series | undefined;
  /** Whether the series is of the very schedule shown. */
  current: boolean;
  live: Live;
}

const GLOW_ID = 'glow';
const GLOWING = `url(#${GLOW_ID})`;

export function Curve({ width, height, rowHeight, bands, scale, ...still }: CurveProps) {
  return (
    <>
      <Backdrop width={width} height={height} rowHeight={rowHeight} bands={bands} scale={scale} />
      <Lines width={width} height={height} rowHeight={rowHeight} scale={scale} {...still} />
    </>
  );
}

type LinesProps = Omit<CurveProps, 'bands'>;

/** What answers a bead that moves. */
function Lines({ width, height, rowHeight, scale, ambient_C, live, segments, series, current }: LinesProps) {
  const { colours } = useTheme();
  const drawn = linesOf(segments, series, current, { ambient_C, scale, rowHeight });
  const root = useRef<View>(null);
  useWritten(live, (moving) => {
    const shown = moving ?? { segments, evaluation: { simulation: { series } }, current };
    const apart_px = moving ? APART_MOVING_PX : undefined;
    const { kiln, glass, holds } = linesOf(shown.segments, shown.evaluation.simulation.series, shown.current, { ambient_C, scale, rowHeight, apart_px });
    // Skin and core are drawn when the engine has said where they are; until it has, they stay.
    const wanted = [kiln, ...(shown.current ? glass : [])];
    const element = elementOf(root);
    element?.querySelectorAll('path').forEach((path, i) => wanted[i] && path.setAttribute('d', wanted[i]));
    element?.querySelectorAll('rect').forEach((rect, i) => holds[i] && rect.setAttribute('x', String(holds[i][0].x - 4)));
  });
  return (
    <View ref={root} style={{ position: 'absolute', left: 0, top: 0 }}>
      <Svg width={width} height={height} aria-hidden>
        <Path d={drawn.kiln} stroke={GLOWING} strokeWidth={4} strokeLinecap="round" strokeLinejoin="round" fill="none" />
        {drawn.glass[0] && <Path d={drawn.glass[0]} stroke={colours.ink} strokeWidth={1} fill="none" />}
        {drawn.glass[1] && <Path d={drawn.glass[1]} stroke={colours.ink} strokeWidth={1.5} strokeDasharray="2 3" fill="none" />}
        {drawn.holds.map(([from, to], index) => (
          <Rect key={index} x={from.x - 4} y={from.y} width={8} height={to.y - from.y} fill={GLOWING} />
        ))}
      </Svg>
    </View>
  );
}

interface Axes {
  ambient_C: number;
  scale: TemperatureScale;
  rowHeight: number;
  apart_px?: number;
}

/** Paths of kiln, skin and core, and the holds; the kiln's as programmed where the series is of another schedule. */
function linesOf(segments: readonly PurposefulSegment[], series: Series | undefined, current: boolean, { ambient_C, scale, rowHeight, apart_px }: Axes) {
  const rows = curveRows(segments, ambient_C, scale, rowHeight);
  const line = (values: number[]): string => (series ? pathOf(timedLine(series, values, rows, scale, apart_px)) : '');
  return {
    kiln: series && current ? line(series.kiln_C) : pathOf(programmedLine(rows, scale)),
    glass: series ? [line(series.skin_C), line(series.core_C)] : [],
    holds: rows.flatMap(({ hold }) => (hold ? [hold] : [])),
  };
}

type BackdropProps = Pick<CurveProps, 'width' | 'height' | 'rowHeight' | 'bands' | 'scale'>;

/** What does not change while a bead moves: columns, row lines, and the colours of incandescence along the axis. */
const Backdrop = memo(function Backdrop({ width, height, rowHeight, bands, scale }: BackdropProps) {
  const { colours } = useTheme();
  const first = scale.x(GLOW[0][0]);
  const last = scale.x(GLOW[GLOW.length - 1][0]);
  return (
    <Svg width={width} height={height} style={{ position: 'absolute', left: 0, top: 0 }} aria-hidden>
      <Defs>
        <LinearGradient id={GLOW_ID} gradientUnits="userSpaceOnUse" x1={first} x2={last} y1={0} y2={0}>
          {GLOW.map(([celsius, colour]) => (
            <Stop key={celsius} offset={(scale.x(celsius) - first) / (last - first)} stopColor={colour} />
          ))}
        </LinearGradient>
      </Defs>
      {bands.map((band, index) => (
        <Rect key={band.name} x={band.x} y={0} width={band.width} height={height} fill={colours.columns[index] ?? 'transparent'} />
      ))}
      {Array.from({ length: Math.round(height / rowHeight) }, (_, index) => (
        <Line key={index} x1={0} x2={width} y1={(index + 1) * rowHeight} y2={(index + 1) * rowHeight} stroke={colours.line} strokeWidth={1} />
      ))}
    </Svg>
  );
});
