/** A form from the side, cut through, to scale: with its measures, with the blank on it and the glass as it ends up. */
import { type FormShape, type FormView, alongOf, depthOf } from '@torvin/core/form';
import { formatLength, text } from '@torvin/core/units';
import { View } from 'react-native';
import Svg, { Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { fonts } from '@/theme/theme';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { type BlankOn, drawnForm } from './formGeometry';

export interface FormDrawingProps {
  form: FormShape;
  /** What it is, for those who do not see it. */
  words: string;
  blank?: BlankOn | null;
  view?: FormView;
  height?: number;
  testID?: string;
}

const HEIGHT = 150;
/** For the measures: beside it and under it, px. */
const MARGIN = { side: 64, under: 30, over: 8 } as const;
const TICK = 5;

export function FormDrawing({ form, words, blank = null, view = 'across', height = HEIGHT, testID }: FormDrawingProps) {
  const { colours } = useTheme();
  const { length } = useUnits();
  const long = (metres: number): string => text(formatLength(metres, length));
  return (
    <View style={{ backgroundColor: colours.surface }} testID={testID}>
      <MeasuredWidth height={height}>
        {(width) => {
          const box = { width: width - 2 * MARGIN.side, height: height - MARGIN.under - MARGIN.over };
          const drawn = drawnForm(form, box, blank, view);
          const { wide, deep, shelfY } = drawn;
          const right = box.width + 14;
          return (
            <Svg width={width} height={height} viewBox={`${-MARGIN.side} ${-MARGIN.over} ${width} ${height}`} role="img" aria-label={words}>
              {drawn.solids.map((path, i) => (
                <Path key={i} d={path} fill={colours.shelf} stroke={colours.ink} strokeWidth={1} strokeLinejoin="round" />
              ))}
              {drawn.flat && <Rect {...drawn.flat} fill="none" stroke={colours.touch} strokeWidth={1.5} strokeDasharray="5 4" />}
              {drawn.lying.map(({ path, colour }, i) => (
                <Path key={i} d={path} fill={colour} stroke={colours.ink} strokeWidth={1} strokeLinejoin="round" />
              ))}
              <Line x1={-MARGIN.side} x2={width} y1={shelfY} y2={shelfY} stroke={colours.ink} strokeWidth={1} />
              <Line x1={wide.from} x2={wide.to} y1={shelfY + 10} y2={shelfY + 10} stroke={colours.muted} strokeWidth={1} />
              {[wide.from, wide.to].map((x) => (
                <Line key={x} x1={x} x2={x} y1={shelfY + 10 - TICK} y2={shelfY + 10 + TICK} stroke={colours.muted} strokeWidth={1} />
              ))}
              <SvgText x={(wide.from + wide.to) / 2} y={shelfY + 26} textAnchor="middle" fontFamily={fonts.figuresBold} fontSize={15} fill={colours.ink}>
                {long(view === 'across' ? form.across_m : alongOf(form))}
              </SvgText>
              <Line x1={right} x2={right} y1={deep.from} y2={deep.to} stroke={colours.muted} strokeWidth={1} />
              {[deep.from, deep.to].map((y, i) => (
                <Line key={i} x1={right - TICK} x2={right + TICK} y1={y} y2={y} stroke={colours.muted} strokeWidth={1} />
              ))}
              <SvgText x={right + 4} y={(deep.from + deep.to) / 2 + 5} fontFamily={fonts.figuresBold} fontSize={15} fill={colours.ink}>
                {long(form.use === 'shelf' ? form.thick_m : depthOf(form))}
              </SvgText>
            </Svg>
          );
        }}
      </MeasuredWidth>
    </View>
  );
}

const SMALL = { width: 64, height: 34 } as const;

/** On a row of a list. */
export function FormMark({ form }: { form: FormShape }) {
  const { colours } = useTheme();
  const { solids, shelfY } = drawnForm(form, { width: SMALL.width, height: SMALL.height - 2 });
  return (
    <Svg width={SMALL.width} height={SMALL.height} aria-hidden>
      {solids.map((path, i) => (
        <Path key={i} d={path} fill={colours.shelf} stroke={colours.ink} strokeWidth={1} strokeLinejoin="round" />
      ))}
      <Line x1={0} x2={SMALL.width} y1={shelfY} y2={shelfY} stroke={colours.line} strokeWidth={1} />
    </Svg>
  );
}
