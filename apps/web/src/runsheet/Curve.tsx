/** The picture of the run sheet: state columns, the kiln's curve coloured by temperature, skin and core of the glass. */
import type { Series } from '@torvin/core';
import { memo } from 'react';
import Svg, { Defs, Line, LinearGradient, Path, Rect, Stop } from 'react-native-svg';
import { GLOW } from '@/theme/palette';
import { useTheme } from '@/theme/ThemeContext';
import type { ColumnBand } from './columns';
import { type CurveRow, pathOf, programmedLine, timedLine } from './curve';
import type { TemperatureScale } from './scale';

export interface CurveProps {
  width: number;
  height: number;
  rowHeight: number;
  rows: readonly CurveRow[];
  bands: readonly ColumnBand[];
  scale: TemperatureScale;
  /** From the engine; while a bead moves it may be of the schedule a moment ago. */
  series: Series | undefined;
  /** Whether the series is of the very schedule shown. */
  current: boolean;
}

const GLOW_ID = 'glow';
const GLOWING = `url(#${GLOW_ID})`;

export function Curve({ width, height, rowHeight, rows, bands, scale, series, current }: CurveProps) {
  const { colours } = useTheme();
  const line = (values: number[] | undefined) => (series && values ? pathOf(timedLine(series, values, rows, scale)) : null);
  const kiln = (current ? line(series?.kiln_C) : null) ?? pathOf(programmedLine(rows, scale));
  const skin = line(series?.skin_C);
  const core = line(series?.core_C);
  return (
    <>
      <Backdrop width={width} height={height} rowHeight={rowHeight} bands={bands} scale={scale} />
      <Svg width={width} height={height} style={{ position: 'absolute', left: 0, top: 0 }} aria-hidden>
        <Path d={kiln} stroke={GLOWING} strokeWidth={4} strokeLinecap="round" strokeLinejoin="round" fill="none" />
        {rows.map(({ hold }, index) => hold && <Rect key={index} x={hold[0].x - 4} y={hold[0].y} width={8} height={hold[1].y - hold[0].y} fill={GLOWING} />)}
        {skin && <Path d={skin} stroke={colours.ink} strokeWidth={1} fill="none" />}
        {core && <Path d={core} stroke={colours.ink} strokeWidth={1.5} strokeDasharray="2 3" fill="none" />}
      </Svg>
    </>
  );
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
