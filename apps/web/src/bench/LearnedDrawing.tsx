/**
 * What was believed before, what each firing says, and what is believed now, one under the other on one scale: wide pale bar, thin lines,
 * narrow strong bar with its middle. Beside words that say the same.
 */
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { type Row, SHOWN, heightOf, placed } from './learnedRows';

export function LearnedDrawing({ row, width }: { row: Row; width: number }) {
  const { colours } = useTheme();
  const height = heightOf(row);
  const x = (value: number): number => placed(value, row, width);
  const bar = ([from, to]: readonly [number, number]) => ({ x: x(from), width: Math.max(2, x(to) - x(from)) });
  return (
    <Svg width={width} height={height} aria-hidden>
      <Line x1={x(0)} x2={x(0)} y1={0} y2={height} stroke={colours.line} strokeWidth={1} />
      <Rect {...bar(row.before)} y={2} height={10} fill={colours.line} />
      {row.said.slice(0, SHOWN).map(({ from, to, leftOut }, i) => {
        const y = 19 + 7 * i;
        // What has no end goes on to the edge, with an arrow.
        const ends = [
          ...(from === null ? [`M5 ${y - 3} L1 ${y} L5 ${y + 3}`] : []),
          ...(to === null ? [`M${width - 5} ${y - 3} L${width - 1} ${y} L${width - 5} ${y + 3}`] : []),
        ];
        return (
          <Path
            key={i}
            d={[`M${from === null ? 1 : x(from)} ${y} H${to === null ? width - 1 : x(to)}`, ...ends].join(' ')}
            fill="none"
            stroke={leftOut ? colours.line : colours.muted}
            strokeWidth={2}
            strokeDasharray={leftOut ? '3 4' : undefined}
          />
        );
      })}
      <Rect {...bar(row.now)} y={height - 14} height={10} fill={colours.touch} />
      <Line x1={x(row.middle)} x2={x(row.middle)} y1={height - 17} y2={height - 1} stroke={colours.ink} strokeWidth={2} />
    </Svg>
  );
}
