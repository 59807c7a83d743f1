/** A patch of strewn grains from above, to scale, as it will look. */
import { type StrewnLook, lookWords, patchOf } from '@torvin/core/quantity';
import { type LengthUnit, formatLength, METRIC, text } from '@torvin/core/units';
import { useMemo } from 'react';
import Svg, { Circle, Line, Rect, Text as SvgText } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { barFor } from './hollowSection';
import { PATCH_DRAWING } from './words';

const HEIGHT = 120;
const BAR_HEIGHT = 24;
/** So many drops are drawn quickly, and look like what they are. */
const DROPS_AT_MOST = 900;
/** The side of a patch in drops, where they are coarse and few. */
const WIDEST_IN_DROPS = 40;

export function PatchDrawing({ look, colour, width, unit }: { look: StrewnLook; colour: string; width: number; unit: LengthUnit }) {
  const { colours } = useTheme();
  const { width_m, drops } = useMemo(() => {
    const ratio = HEIGHT / width;
    // As wide as that many drops on it allow.
    const byNumber = Math.sqrt((DROPS_AT_MOST * (Math.PI / 4) * look.drop_m ** 2) / (Math.max(look.lying, 1e-6) * ratio));
    const wide = Math.min(byNumber, WIDEST_IN_DROPS * look.drop_m);
    return { width_m: wide, drops: look.as === 'level' ? [] : patchOf(look, wide, wide * ratio) };
  }, [look, width]);
  const px = width / width_m;
  const bar = barFor(px, width, unit);
  return (
    <Svg width={width} height={HEIGHT + BAR_HEIGHT} role="img" aria-label={PATCH_DRAWING.patchAboveScale(lookWords(look, { ...METRIC, length: unit }))}>
      <Rect x={0} y={0} width={width} height={HEIGHT} fill={look.as === 'level' ? colour : colours.shelf} />
      {drops.map(({ x_m, y_m, across_m }, i) => (
        <Circle key={i} cx={x_m * px} cy={y_m * px} r={(across_m / 2) * px} fill={colour} />
      ))}
      <Rect x={0.5} y={0.5} width={width - 1} height={HEIGHT - 1} fill="none" stroke={colours.ink} />
      <Rect x={0} y={HEIGHT} width={width} height={BAR_HEIGHT} fill={colours.surface} />
      <Line x1={0} x2={bar.px} y1={HEIGHT + BAR_HEIGHT / 2} y2={HEIGHT + BAR_HEIGHT / 2} stroke={colours.ink} strokeWidth={2} />
      <SvgText x={bar.px + 8} y={HEIGHT + BAR_HEIGHT / 2 + 4} fontFamily={fonts.figures} fontSize={14} fill={colours.ink}>
        {text(formatLength(bar.metres, unit))}
      </SvgText>
    </Svg>
  );
}
