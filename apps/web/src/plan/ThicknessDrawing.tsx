/** How thick a body is, from above: one hue, the deeper the stronger, with the figures of its deepest and its thinnest place and of any that is touched. */
import type { Footprint } from '@torvin/core/body';
import { type Point, footprintRings, type ToldMap } from '@torvin/core/plan';
import { formatLength, type LengthUnit, text } from '@torvin/core/units';
import { useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Path, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, scaled, wordSize } from '@/theme/theme';
import { HiddenTable } from '@/ui/HiddenTable';
import { type DrawnPart, PlanMeasure } from './PlanDrawing';
import { TINTS, depthAt, planGeometry, ringsPath, tintOf, tintPaths } from './geometry';
import { mapWords, THICKNESS_DRAWING } from './words';
import { WORDS } from '@/ui/said';

export interface ThicknessDrawingProps {
  footprint: Footprint;
  told: ToldMap;
  /** Drawn over it as lines, so that one knows where one is. */
  parts: readonly DrawnPart[];
  width: number;
  most: number;
  /** It is of an earlier lay-up. */
  stale: boolean;
}

const LEGEND_PX = 44;

export function ThicknessDrawing({ footprint, told, parts, width, most, stale }: ThicknessDrawingProps) {
  const { colours } = useTheme();
  const { length: unit } = useUnits();
  const [touched, setTouched] = useState<Point | null>(null);
  const drawn = useMemo(
    () =>
      planGeometry(
        footprint,
        parts.flatMap(({ corners }) => corners),
        width,
        most - LEGEND_PX,
      ),
    [footprint, parts, width, most],
  );
  const { deepest, thinnest } = told;
  const paths = useMemo(() => tintPaths(told, thinnest.depth_m, deepest.depth_m, drawn), [told, thinnest, deepest, drawn]);
  const now = useRef(drawn);
  now.current = drawn;
  const gesture = useMemo(() => {
    const look = ({ x, y }: { x: number; y: number }): void => setTouched(now.current.place(x, y));
    const hover = Gesture.Hover().runOnJS(true).onUpdate(look);
    return Gesture.Race(Gesture.Tap().runOnJS(true).onEnd(look), hover);
  }, []);
  const here = touched && depthAt(told, touched);
  const isEven = deepest.depth_m - thinnest.depth_m < 1e-5;
  return (
    <View style={{ backgroundColor: colours.surface, opacity: stale ? 0.6 : 1 }}>
      <GestureDetector gesture={gesture} touchAction="pan-y" userSelect="none">
        <View testID="thickness-map">
          <Svg width={width} height={drawn.height} role="img" aria-label={mapWords(told, drawn.within, unit)}>
            {paths.map((d, tint) => d !== '' && <Path key={tint} d={d} fill={colours.depths[tint]} />)}
            <Path d={ringsPath(footprintRings(footprint), drawn)} fill="none" stroke={colours.ink} strokeWidth={1} />
            {parts.map(({ id, corners }) => (
              <Path key={id} d={ringsPath([corners], drawn)} fill="none" stroke={colours.ink} strokeOpacity={0.55} strokeWidth={0.7} />
            ))}
            {!isEven && <Told at={deepest} words={THICKNESS_DRAWING.deepest} drawn={drawn} unit={unit} />}
            <Told at={thinnest} words={isEven ? THICKNESS_DRAWING.allOfIt : 'thinnest'} drawn={drawn} unit={unit} />
            {touched && here !== null && (
              <Told at={{ depth_m: here, x_m: touched[0], y_m: touched[1] }} words={THICKNESS_DRAWING.here} drawn={drawn} unit={unit} />
            )}
            <PlanMeasure drawn={drawn} unit={unit} />
          </Svg>
        </View>
      </GestureDetector>
      <Legend thin_m={thinnest.depth_m} deep_m={deepest.depth_m} width={width} unit={unit} />
      <HiddenTable
        caption={THICKNESS_DRAWING.howThickPlace}
        heads={['place', 'depth', WORDS.fromLeft, WORDS.fromFront]}
        rows={(
          [
            ['deepest', deepest],
            ['thinnest', thinnest],
            [THICKNESS_DRAWING.steepestChange, told.steepest],
          ] as const
        ).map(([name, { depth_m, x_m, y_m }]) => [
          name,
          text(formatLength(depth_m, unit)),
          text(formatLength(x_m - drawn.within.left, unit)),
          text(formatLength(y_m - drawn.within.front, unit)),
        ])}
        testID="thickness-table"
      />
    </View>
  );
}

interface ToldProps {
  at: { depth_m: number; x_m: number; y_m: number };
  words: string;
  drawn: ReturnType<typeof planGeometry>;
  unit: LengthUnit;
}

const LABEL_PX = { width: scaled(104), height: scaled(22) } as const;

/** A dot at its place, and the figure beside it, within the drawing. */
function Told({ at, words, drawn, unit }: ToldProps) {
  const { colours } = useTheme();
  const [x, y] = [drawn.x(at.x_m), drawn.y(at.y_m)];
  const left = x + 8 + LABEL_PX.width > drawn.width ? x - 8 - LABEL_PX.width : x + 8;
  const top = Math.min(Math.max(y - LABEL_PX.height / 2, 2), drawn.height - LABEL_PX.height - 2);
  return (
    <G>
      <Circle cx={x} cy={y} r={4} fill={colours.surface} stroke={colours.ink} strokeWidth={2} />
      <Rect x={left} y={top} width={LABEL_PX.width} height={LABEL_PX.height} fill={colours.surface} fillOpacity={0.88} />
      <SvgText x={left + 5} y={top + LABEL_PX.height * 0.72} fontFamily={fonts.figuresBold} fontSize={wordSize.label} fill={colours.ink}>
        {`${text(formatLength(at.depth_m, unit))} ${words}`}
      </SvgText>
    </G>
  );
}

/** Which lightness is which depth. */
function Legend({ thin_m, deep_m, width, unit }: { thin_m: number; deep_m: number; width: number; unit: LengthUnit }) {
  const { colours } = useTheme();
  const isEven = deep_m - thin_m < 1e-5;
  const each = (width - 32) / TINTS;
  const label = { fontFamily: fonts.figures, fontSize: wordSize.note, fill: colours.ink, y: 34 } as const;
  return (
    <Svg width={width} height={LEGEND_PX} aria-hidden>
      {Array.from({ length: TINTS }, (_, tint) => (
        <Rect
          key={tint}
          x={16 + tint * each}
          y={6}
          width={each + 0.5}
          height={12}
          fill={colours.depths[tint]}
          opacity={isEven && tint !== tintOf(thin_m, thin_m, deep_m) ? 0.25 : 1}
        />
      ))}
      {isEven ? (
        <SvgText x={width / 2} textAnchor="middle" {...label}>
          {text(formatLength(thin_m, unit))}
        </SvgText>
      ) : (
        <>
          <SvgText x={16} {...label}>
            {text(formatLength(thin_m, unit))}
          </SvgText>
          <SvgText x={width / 2} textAnchor="middle" {...label}>
            {text(formatLength((thin_m + deep_m) / 2, unit))}
          </SvgText>
          <SvgText x={width - 16} textAnchor="end" {...label}>
            {text(formatLength(deep_m, unit))}
          </SvgText>
        </>
      )}
    </Svg>
  );
}
