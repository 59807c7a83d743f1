/** A form with the piece that is stuck in or on it, turned over on posts with room to drop below: cut through, to scale. */
import { type FormShape, formSection } from '@torvin/core/form';
import { formatLength, text } from '@torvin/core/units';
import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { type BlankOn, drawnForm } from './formGeometry';

export interface TurnedFormProps {
  form: FormShape;
  glass: BlankOn;
  /** Under it, m. */
  room_m: number;
  words: string;
}

const HEIGHT = 180;
const SIDE = 64;
const UNDER = 12;
const OVER = 8;
const POST = 10;
const TICK = 5;
/** Clear of the skirt that hangs over a former, px. */
const BESIDE = 12;
const BAR = 4;

export function TurnedForm({ form, glass, room_m, words }: TurnedFormProps) {
  const { colours } = useTheme();
  const { length } = useUnits();
  const { height_m } = formSection(form);
  return (
    <View style={{ backgroundColor: colours.surface }} testID="turned-form">
      <MeasuredWidth height={HEIGHT}>
        {(width) => {
          const box = { width: width - 2 * SIDE, height: HEIGHT - UNDER - OVER };
          const of = drawnForm(form, { ...box, height: (box.height * height_m) / (height_m + room_m) }, glass);
          const room = room_m * of.pxPerMetre;
          const floor = box.height;
          const rim = floor - room;
          const top = rim - height_m * of.pxPerMetre;
          // A hollow stands with its rim on the posts, a former with its foot, or with bars through it.
          const isOver = form.use === 'former';
          const out = half(form) * of.pxPerMetre + BESIDE;
          const [from, to] = isOver ? [of.x(0) - out, of.x(0) + out] : [of.wide.from, of.wide.to];
          const post = { y: isOver ? top : rim, height: isOver ? floor - top : room, width: POST };
          const right = box.width + 14;
          return (
            <Svg width={width} height={HEIGHT} viewBox={`${-SIDE} ${-OVER} ${width} ${HEIGHT}`} role="img" aria-label={words}>
              <Rect {...post} x={from - POST} fill={colours.line} stroke={colours.ink} strokeWidth={1} />
              <Rect {...post} x={to} fill={colours.line} stroke={colours.ink} strokeWidth={1} />
              <G transform={`matrix(1 0 0 -1 0 ${top + of.shelfY})`}>
                {of.solids.map((path, i) => (
                  <Path key={i} d={path} fill={colours.shelf} stroke={colours.ink} strokeWidth={1} strokeLinejoin="round" />
                ))}
                {of.lying.map(({ path, colour }, i) => (
                  <Path key={i} d={path} fill={colour} stroke={colours.ink} strokeWidth={1} strokeLinejoin="round" />
                ))}
              </G>
              {isOver && <Rect x={from - POST} width={to - from + 2 * POST} y={top} height={BAR} fill={colours.ink} />}
              <Line x1={-SIDE} x2={width} y1={floor} y2={floor} stroke={colours.ink} strokeWidth={1} />
              <Line x1={right} x2={right} y1={rim} y2={floor} stroke={colours.muted} strokeWidth={1} />
              {[rim, floor].map((y) => (
                <Line key={y} x1={right - TICK} x2={right + TICK} y1={y} y2={y} stroke={colours.muted} strokeWidth={1} />
              ))}
              <SvgText x={right + 4} y={(rim + floor) / 2 + 5} fontFamily={fonts.figuresBold} fontSize={15} fill={colours.ink}>
                {text(formatLength(room_m, length))}
              </SvgText>
            </Svg>
          );
        }}
      </MeasuredWidth>
    </View>
  );
}

const half = ({ across_m, floor_m = across_m }: FormShape): number => Math.max(across_m, floor_m) / 2;
