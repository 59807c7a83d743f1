/** Where an uneven body is hottest and coldest while it sets: its section, the hotter the stronger, with the lead over the kiln at both. */
import type { Spot, UnevenBody } from '@torvin/core/field';
import { formatDifference, formatLength, text } from '@torvin/core/units';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { HiddenTable } from '@/ui/HiddenTable';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Words } from '@/ui/Words';
import { drawnHeat } from './heatTints';
import { HEAT_DRAWING } from './words';

export interface HeatDrawingProps {
  body: UnevenBody;
  /** Of the segment in which it sets. */
  rate_C_per_h: number;
}

const ROOM_PX = 120;
const MARK_PX = 7;

export function HeatDrawing({ body, rate_C_per_h }: HeatDrawingProps) {
  const { value } = useComputed('field', body);
  const { temperature } = useUnits();
  if (!value) return <View style={{ height: ROOM_PX }} />;
  const lead = (lead_s: number): string => text(formatDifference((lead_s * rate_C_per_h) / 3600, temperature));
  const [hot, cold] = [HEAT_DRAWING.hottest(lead(value.lead_s)), HEAT_DRAWING.coldest(lead(value.lead_s - value.spread_s))];
  return (
    <View style={{ marginVertical: space.small, gap: space.hair }} testID="heat-drawing">
      <MeasuredWidth>{(width) => <Section body={body} value={value} words={[hot, cold]} width={width} />}</MeasuredWidth>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', columnGap: space.large }}>
        <Named up words={hot} />
        <Named words={cold} />
      </View>
      <Words size="label" tone="muted">
        {HEAT_DRAWING.overKiln}
      </Words>
    </View>
  );
}

interface SectionProps {
  body: UnevenBody;
  value: NonNullable<ReturnType<typeof useComputed<'field'>>['value']>;
  words: readonly [hot: string, cold: string];
  width: number;
}

function Section({ body, value: { map, hottest, coldest }, words: [hot, cold], width }: SectionProps) {
  const { colours } = useTheme();
  const { length } = useUnits();
  const placeOf = ({ x_m, z_m }: Spot): string[] => [x_m, z_m].map((metres) => text(formatLength(metres, length)));
  const drawn = useMemo(() => drawnHeat(map, body, { width, height: ROOM_PX }, colours.depths.length), [map, body, width, colours]);
  return (
    <>
      <Svg width={drawn.width} height={drawn.height + 2 * MARK_PX} role="img" aria-label={`${HEAT_DRAWING.section} ${hot}, ${cold}`}>
        {drawn.paths.map((d, tint) => d !== '' && <Path key={tint} d={d} fill={colours.depths[tint]} />)}
        <Mark {...drawn.place(hottest)} up />
        <Mark {...drawn.place(coldest)} />
      </Svg>
      <HiddenTable
        caption={HEAT_DRAWING.section}
        heads={HEAT_DRAWING.heads}
        rows={[hot, cold].map((words, i) => [words, ...placeOf([hottest, coldest][i])])}
        testID="heat-table"
      />
    </>
  );
}

interface MarkProps {
  x: number;
  y: number;
  up?: boolean;
}

/** Up for the hottest, down for the coldest: told apart on any tint. */
function Mark({ x, y, up }: MarkProps) {
  const { colours } = useTheme();
  const middle = Math.max(y, MARK_PX);
  const [tip, foot] = up ? [middle - MARK_PX + 1, middle + MARK_PX - 2] : [middle + MARK_PX - 1, middle - MARK_PX + 2];
  return (
    <Path
      d={`M${x} ${tip} L${x + MARK_PX} ${foot} L${x - MARK_PX} ${foot} Z`}
      fill={colours.ink}
      stroke={colours.surface}
      strokeWidth={2}
      strokeLinejoin="round"
    />
  );
}

/** What a mark stands for. */
function Named({ up, words }: { up?: boolean; words: string }) {
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.hair }}>
      <Svg width={2 * MARK_PX + 2} height={2 * MARK_PX} aria-hidden>
        <Mark x={MARK_PX + 1} y={MARK_PX} up={up} />
      </Svg>
      <Words size="label" bold>
        {words}
      </Words>
    </View>
  );
}
