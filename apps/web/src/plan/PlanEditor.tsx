/** The plan, laid where it is drawn: what is chosen has a knob to turn it by, what is moved shows the line it is drawn to, and how far it is then. */
import type { Footprint } from '@torvin/core/body';
import type { Sketch } from '@torvin/core/piece';
import { type Guide, type Point, boxOf } from '@torvin/core/plan';
import { useMemo } from 'react';
import { View } from 'react-native';
import { GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, fonts, wordSize } from '@/theme/theme';
import { Hidden } from '@/ui/Hidden';
import { Words } from '@/ui/Words';
import { type DrawnPart, PlanMeasure, PlanShapes } from './PlanDrawing';
import { SketchUnder } from './SketchUnder';
import { type PlanGeometry, planGeometry } from './geometry';
import { BEAD_PX, gripOf, knobAt, turned } from './handles';
import type { OwnPart } from './ownPart';
import { type PlanActs, middleOf, usePlanHands } from './usePlanHands';
import { heldWords, PLAN_EDITOR } from './words';

export interface PlanEditorProps extends PlanActs {
  footprint: Footprint;
  ground: string | null;
  /** What lies there and cannot be changed here. */
  fixed: readonly DrawnPart[];
  own: readonly OwnPart[];
  selected: readonly string[];
  /** Parts with something to be seen about them. */
  marked: readonly string[];
  /** A picture that lies under it. */
  under: Sketch | null;
  grey: boolean;
  /** Places that were touched to be measured between. */
  places: readonly Point[];
  width: number;
  /** Height that there is, px. */
  most: number;
}

export function PlanEditor({ footprint, ground, fixed, own, selected, marked, under, grey, places, width, most, ...acts }: PlanEditorProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const drawn = useMemo(
    () =>
      planGeometry(
        footprint,
        own.flatMap(({ corners }) => corners),
        width,
        most,
      ),
    [footprint, own, width, most],
  );
  const chosen = useMemo(() => own.filter(({ id }) => selected.includes(id)), [own, selected]);
  const about = useMemo<Point>(
    () => (chosen.length === 1 ? chosen[0].middle : chosen.length > 1 ? middleOf(boxOf(chosen.flatMap(({ corners }) => corners))) : [0, 0]),
    [chosen],
  );

  const { held, gesture, moving, turning, knobFrom, gripAt, holder, keys } = usePlanHands({ drawn, own, chosen, about }, acts);

  const shown = useMemo(
    () =>
      held === null
        ? own
        : own.map((part) => {
            if (!selected.includes(part.id)) return part;
            const corners = part.corners.map((corner): Point => {
              const [x, y] = turned(corner, about, held.turn_deg);
              return [x + held.dx_m, y + held.dy_m];
            });
            return { ...part, corners };
          }),
    [own, held, selected, about],
  );
  const box = chosen.length > 0 ? boxOf(shown.filter(({ id }) => selected.includes(id)).flatMap(({ corners }) => corners)) : null;
  const middle: Point = held ? [about[0] + held.dx_m, about[1] + held.dy_m] : about;
  const knob = box && knobAt(drawn, box, middle, chosen.length === 1 ? chosen[0].turned_deg + (held?.turn_deg ?? 0) : (held?.turn_deg ?? 0));
  if (knob && !held) knobFrom.current = knob;
  const grip = box && gripOf(drawn, box);
  if (grip) gripAt.current = grip;

  return (
    <View ref={holder} style={{ backgroundColor: colours.surface }}>
      <GestureDetector gesture={gesture} touchAction="pan-y" userSelect="none">
        <View
          {...keys}
          tabIndex={0}
          role={'listbox' as never}
          aria-multiselectable
          aria-label={PLAN_EDITOR.planPageUp(own.length)}
          aria-activedescendant={chosen.length > 0 ? `part-option-${chosen[chosen.length - 1].id}` : undefined}
          testID="plan-editor"
        >
          <Svg width={width} height={drawn.height} aria-hidden>
            {under && <SketchUnder sketch={under} drawn={drawn} />}
            <PlanShapes
              drawn={drawn}
              footprint={footprint}
              ground={ground}
              open={under !== null}
              parts={[...fixed, ...shown]}
              selected={selected}
              grey={grey}
            />
            {held?.guides.map((one) => (
              <GuideLine key={`${one.along} ${one.at_m}`} guide={one} drawn={drawn} />
            ))}
            {shown
              .filter(({ id }) => marked.includes(id))
              .map(({ id, corners }) => {
                const [x, y] = middleOf(boxOf(corners));
                return <Mark key={id} x={drawn.x(x)} y={drawn.y(y)} />;
              })}
            {knob && box && (
              <G>
                <Line x1={drawn.x(middle[0])} y1={drawn.y(middle[1])} x2={knob[0]} y2={knob[1]} stroke={colours.touch} strokeWidth={2} />
                <Circle cx={knob[0]} cy={knob[1]} r={BEAD_PX / 2} fill={colours.surface} stroke={colours.touch} strokeWidth={3} />
              </G>
            )}
            {places.map(([x, y], i) => (
              <Cross key={i} x={drawn.x(x)} y={drawn.y(y)} />
            ))}
            <PlanMeasure drawn={drawn} unit={units.length} />
          </Svg>
          <Hidden>
            {own.map(({ id, name }) => (
              <View key={id} role={'option' as never} aria-selected={selected.includes(id)} nativeID={`part-option-${id}`} aria-label={name} />
            ))}
          </Hidden>
        </View>
      </GestureDetector>
      {grip && (
        <GestureDetector gesture={moving} touchAction="none" userSelect="none">
          <View style={{ position: 'absolute', ...grip, cursor: 'move' as never }} testID="plan-grip" aria-hidden />
        </GestureDetector>
      )}
      {knob && (
        <GestureDetector gesture={turning} touchAction="none" userSelect="none">
          <View
            style={{
              position: 'absolute',
              left: knobFrom.current[0] - TARGET / 2,
              top: knobFrom.current[1] - TARGET / 2,
              width: TARGET,
              height: TARGET,
              cursor: 'grab' as never,
            }}
            testID="plan-knob"
            aria-hidden
          />
        </GestureDetector>
      )}
      {held && chosen.length > 0 && box && (
        <View
          style={{
            position: 'absolute',
            pointerEvents: 'none',
            left: Math.min(Math.max(drawn.x((box.left + box.right) / 2) - 70, 4), Math.max(width - 170, 4)),
            top: Math.max(drawn.y(box.back) - 68, 2),
            backgroundColor: colours.touch,
            paddingHorizontal: 8,
            paddingVertical: 2,
          }}
        >
          <Words size="label" bold tone="onTouch">
            {heldWords(chosen, held, middle, drawn.within, units.length)}
          </Words>
        </View>
      )}
    </View>
  );
}

const GUIDE_WORDS: Record<Guide['why'], string> = { middle: 'middle', edge: 'edge', neighbour: PLAN_EDITOR.inLine, spacing: PLAN_EDITOR.asFar };

function GuideLine({ guide, drawn }: { guide: Guide; drawn: PlanGeometry }) {
  const { colours } = useTheme();
  const { left, right, front, back } = drawn.within;
  const [x1, x2, y1, y2] =
    guide.along === 'x'
      ? [drawn.x(guide.at_m), drawn.x(guide.at_m), drawn.y(back), drawn.y(front)]
      : [drawn.x(left), drawn.x(right), drawn.y(guide.at_m), drawn.y(guide.at_m)];
  return (
    <G>
      <Line x1={x1} x2={x2} y1={y1} y2={y2} stroke={colours.touch} strokeWidth={1.5} strokeDasharray="4 3" />
      <SvgText
        x={guide.along === 'x' ? x1 + 5 : x1 + 4}
        y={guide.along === 'x' ? y1 + 14 : y1 - 5}
        fontFamily={fonts.words}
        fontSize={wordSize.note}
        fill={colours.touch}
      >
        {GUIDE_WORDS[guide.why]}
      </SvgText>
    </G>
  );
}

const CROSS_PX = 9;

/** A place that was touched. */
function Cross({ x, y }: { x: number; y: number }) {
  const { colours } = useTheme();
  return <Path d={`M${x - CROSS_PX} ${y}H${x + CROSS_PX}M${x} ${y - CROSS_PX}V${y + CROSS_PX}`} stroke={colours.touch} strokeWidth={2} />;
}

const MARK_PX = 8;

/** The kite of a warning, on the part it speaks of. */
function Mark({ x, y }: { x: number; y: number }) {
  const { colours } = useTheme();
  const r = MARK_PX;
  return (
    <Path
      d={`M${x} ${y - r}L${x + r} ${y}L${x} ${y + r}L${x - r} ${y}ZM${x} ${y - 4}V${y + 1}M${x} ${y + 3}V${y + 4.5}`}
      fill={colours.surface}
      stroke={colours.warn}
      strokeWidth={2}
    />
  );
}
