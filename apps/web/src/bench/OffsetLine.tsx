/** How far a controller read over the glass, ten firings at a time, the oldest on the left: a line in the band that holds it nine times in ten. */
import Svg, { Line, Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { tenth } from '@/ui/pixels';
import { NINE_IN_TEN, type Taught } from './learnedRows';

export const LINE_HEIGHT = 72;
/** No smaller than this from end to end, K: a straight line looks straight. */
const LEAST_SPAN_K = 30;

export function OffsetLine({ line, width }: { line: Taught['line']; width: number }) {
  const { colours } = useTheme();
  const ends = line.flatMap(({ offset_K, sd_K }) => [offset_K - NINE_IN_TEN * sd_K, offset_K + NINE_IN_TEN * sd_K]);
  const span = Math.max(LEAST_SPAN_K / 2, ...ends.map(Math.abs));
  const x = (i: number): number => 4 + (i / Math.max(line.length - 1, 1)) * (width - 8);
  const y = (kelvin: number): number => LINE_HEIGHT / 2 - (kelvin / span) * (LINE_HEIGHT / 2 - 4);
  const along = (at: (one: Taught['line'][number]) => number): string[] => line.map((one, i) => `${tenth(x(i))} ${tenth(y(at(one)))}`);
  const upper = along(({ offset_K, sd_K }) => offset_K + NINE_IN_TEN * sd_K);
  const lower = along(({ offset_K, sd_K }) => offset_K - NINE_IN_TEN * sd_K).reverse();
  return (
    <Svg width={width} height={LINE_HEIGHT} aria-hidden>
      <Path d={`M${[...upper, ...lower].join(' L')} Z`} fill={colours.line} />
      <Line x1={0} x2={width} y1={y(0)} y2={y(0)} stroke={colours.muted} strokeWidth={1} strokeDasharray="2 4" />
      <Path d={`M${along(({ offset_K }) => offset_K).join(' L')}`} fill="none" stroke={colours.touch} strokeWidth={2.5} />
    </Svg>
  );
}
