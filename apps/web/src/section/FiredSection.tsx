/** The glass of a firing as heat has made it so far, in or on what shapes it. */
import { footprintSpan } from '@torvin/core/body';
import type { DrawnLayer } from '@torvin/core/piece';
import type { FiringCase, GlassShape } from '@torvin/core/schedule';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { FiredShapes, ScaleNote, SectionTable, sectionWords } from './SectionDrawing';
import { type TimedBody, timedSection } from './inTime';

/** Only a form that glass sinks into, hangs over or fills shapes it; the rest it lies on or between. */
const SHAPES: readonly string[] = ['hollow', 'former', 'cavity'];

/** What of a firing is drawn; end: as it is when it is done, so that the scale stays. */
export function timedBody({ body, setup: { shaping, form } }: FiringCase, layers: readonly DrawnLayer[], end: GlassShape): TimedBody {
  const isSolid = (layer: number): boolean => body.joined === true || body.layers[layer]?.solid === true;
  return { span_m: footprintSpan(body.footprint), layers, shaping, ...(form && SHAPES.includes(form.use) ? { form } : {}), isSolid, end };
}

export interface FiredSectionProps {
  firing: FiringCase;
  layers: readonly DrawnLayer[];
  at: GlassShape;
  end: GlassShape;
  height: number;
  /** Read out behind what lies there. */
  words: string;
  testID?: string;
}

export function FiredSection({ firing, layers, at, end, height, words, testID }: FiredSectionProps) {
  const { colours } = useTheme();
  const { length } = useUnits();
  const body = timedBody(firing, layers, end);
  return (
    <View style={{ backgroundColor: colours.surface }} testID={testID}>
      <MeasuredWidth height={height}>
        {(width) => {
          const fired = timedSection(body, at, { width, height });
          return (
            <View>
              <ScaleNote exaggeration={fired.drawn.exaggeration} dashed={null} />
              <Svg width={width} height={height} role="img" aria-label={`${sectionWords(layers, length)}; ${words}`}>
                <FiredShapes fired={fired} width={width} />
              </Svg>
            </View>
          );
        }}
      </MeasuredWidth>
      <SectionTable layers={layers} unit={length} />
    </View>
  );
}
