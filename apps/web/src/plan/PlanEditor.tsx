/**
 * The plan, laid where it is drawn: a tap chooses a part, a finger on the chosen one moves it, the knob beside it turns it; keys do
 * both. What is moved is drawn to the middle, to edges, to its neighbours and their spacing, and shows the line it is drawn to.
 */
import {
  type Box,
  type Footprint,
  type Guide,
  type Point,
  type Sketch,
  boxOf,
  formatLength,
  gapBetween,
  isWithin,
  snapped,
  snappedTurn,
  text,
  wholeTurn,
} from '@torvin/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { View, type ViewProps } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, G, Line, Path, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/studio';
import { ofFingers } from '@/section/SectionEditor';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, fonts, wordSize } from '@/theme/theme';
import { Hidden } from '@/ui/Hidden';
import { Words } from '@/ui/Words';
import { type DrawnPart, PlanMeasure, PlanShapes } from './PlanDrawing';
import { SketchUnder } from './SketchUnder';
import { planGeometry } from './geometry';

/** A part that can be chosen: as it is drawn, turned and called. */
export interface OwnPart extends DrawnPart {
  /** In a few words, and as it is read out with where it lies. */
  called: string;
  name: string;
  middle: Point;
  turned_deg: number;
  /** As it is said over it while it is moved. */
  size: string;
}

export interface PlanEditorProps {
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
  /** A touch tells a place instead of choosing a part. */
  onPlace: ((place: Point) => void) | null;
  width: number;
  /** Height that there is, px. */
  most: number;
  /** add: to those that are chosen. */
  onSelect(id: string | null, add: boolean): void;
  onSelectAll(): void;
  onMove(dx_m: number, dy_m: number): void;
  onTurn(degrees: number): void;
  onRemove(): void;
}

const HOLD_MS = 220;
const SNAP_PX = 7;
const SNAP_DEG = 4;
/** A part that is thinner than a finger is taken from this far. */
const REACH_PX = 14;
const KNOB_PX = 30;
const BEAD_PX = 20;

/** What a hand is doing to the chosen parts, before it lets go. */
interface Held {
  dx_m: number;
  dy_m: number;
  turn_deg: number;
  guides: Guide[];
}
const STILL: Held = { dx_m: 0, dy_m: 0, turn_deg: 0, guides: [] };

const middleOf = ({ left, right, front, back }: Box): Point => [(left + right) / 2, (front + back) / 2];

function turned([x, y]: Point, [cx, cy]: Point, degrees: number): Point {
  const angle = (degrees * Math.PI) / 180;
  const [dx, dy] = [x - cx, y - cy];
  return [cx + dx * Math.cos(angle) - dy * Math.sin(angle), cy + dx * Math.sin(angle) + dy * Math.cos(angle)];
}

export function PlanEditor({
  footprint,
  ground,
  fixed,
  own,
  selected,
  marked,
  under,
  grey,
  places,
  onPlace,
  width,
  most,
  onSelect,
  onSelectAll,
  onMove,
  onTurn,
  onRemove,
}: PlanEditorProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const [held, setHeld] = useState<Held | null>(null);
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

  // Gestures are made once; they reach what is shown now through this.
  const now = useRef({ drawn, own, chosen, about, held, onSelect, onMove, onTurn, onPlace });
  now.current = { drawn, own, chosen, about, held, onSelect, onMove, onTurn, onPlace };

  const partAt = (x: number, y: number): string | null => {
    const { drawn: at, own: parts } = now.current;
    const place = at.place(x, y);
    const on = parts.findLast(({ corners }) => isWithin(place, [corners]));
    if (on) return on.id;
    const near = parts.map(({ id, corners }) => ({ id, away: gapBetween([place], corners) * at.scale })).filter(({ away }) => away <= REACH_PX);
    return near.reduce<(typeof near)[number] | null>((best, one) => (best && best.away <= one.away ? best : one), null)?.id ?? null;
  };

  const carried = (dx_px: number, dy_px: number): Held => {
    const { drawn: at, own: parts, chosen: moving } = now.current;
    const [dx, dy] = [dx_px / at.scale, -dy_px / at.scale];
    const box = boxOf(moving.flatMap(({ corners }) => corners));
    const there = { left: box.left + dx, right: box.right + dx, front: box.front + dy, back: box.back + dy };
    const others = parts.filter(({ id }) => !moving.some((one) => one.id === id)).map(({ corners }) => boxOf(corners));
    const { dx_m, dy_m, guides } = snapped(there, others, at.within, SNAP_PX / at.scale);
    return { dx_m: dx + dx_m, dy_m: dy + dy_m, turn_deg: 0, guides };
  };

  const letGo = (success: boolean): void => {
    const last = now.current.held;
    taken.current = false;
    setHeld(null);
    if (!success || !last) return;
    if (last.turn_deg !== 0) now.current.onTurn(last.turn_deg);
    else if (last.dx_m !== 0 || last.dy_m !== 0) now.current.onMove(last.dx_m, last.dy_m);
  };

  const taken = useRef(false);
  /** Where what takes a finger on the chosen parts begins. */
  const gripAt = useRef({ left: 0, top: 0 });
  const gesture = useMemo(() => {
    const tap = Gesture.Tap()
      .runOnJS(true)
      .onEnd(({ x, y }) => {
        if (now.current.onPlace) now.current.onPlace(now.current.drawn.place(x, y));
        else now.current.onSelect(partAt(x, y), false);
      });
    const pan = Gesture.Pan().runOnJS(true);
    // A finger that moves at once scrolls the page; one that rests first takes the part. A mouse takes it at once.
    if (ofFingers()) pan.activateAfterLongPress(HOLD_MS);
    else pan.minDistance(3);
    pan
      .onStart(({ x, y, translationX, translationY }) => {
        const id = partAt(x - translationX, y - translationY);
        if (id === null) return;
        if (!now.current.chosen.some((part) => part.id === id)) now.current.onSelect(id, false);
        taken.current = true;
      })
      .onUpdate(({ translationX, translationY }) => {
        if (taken.current) setHeld(carried(translationX, translationY));
      })
      .onFinalize((_event, success) => letGo(success));
    return Gesture.Race(pan, tap);
  }, []);

  const moving = useMemo(() => {
    const tap = Gesture.Tap()
      .runOnJS(true)
      .onEnd(({ x, y }) => {
        const [px, py] = [x + gripAt.current.left, y + gripAt.current.top];
        if (now.current.onPlace) now.current.onPlace(now.current.drawn.place(px, py));
        else now.current.onSelect(partAt(px, py), false);
      });
    const pan = Gesture.Pan()
      .runOnJS(true)
      .minDistance(3)
      .onStart(() => {
        taken.current = true;
      })
      .onUpdate(({ translationX, translationY }) => setHeld(carried(translationX, translationY)))
      .onFinalize((_event, success) => letGo(success));
    return Gesture.Race(pan, tap);
  }, []);

  const knobFrom = useRef<Point>([0, 0]);
  const turning = useMemo(
    () =>
      Gesture.Pan()
        .runOnJS(true)
        .minDistance(2)
        .onStart(() => {
          taken.current = true;
        })
        .onUpdate(({ translationX, translationY }) => {
          const {
            about: [x, y],
            chosen: parts,
            own: all,
            drawn: at,
          } = now.current;
          const [kx, ky] = knobFrom.current;
          const [dx, dy] = [kx + translationX - at.x(x), ky + translationY - at.y(y)];
          const [fx, fy] = [kx - at.x(x), ky - at.y(y)];
          const by = ((Math.atan2(-dy, dx) - Math.atan2(-fy, fx)) * 180) / Math.PI;
          const first = parts.length === 1 ? parts[0].turned_deg : 0;
          const others = parts.length === 1 ? all.filter(({ id }) => id !== parts[0].id).map(({ turned_deg }) => turned_deg) : [];
          setHeld({ ...STILL, turn_deg: wholeTurn(snappedTurn(first + by, others, SNAP_DEG) - first) });
        })
        .onFinalize((_event, success) => letGo(success)),
    [],
  );

  // Once a part is taken, the finger's way is the part's and not the page's.
  const holder = useRef<View>(null);
  useEffect(() => {
    const node = holder.current as unknown as HTMLElement | null;
    const stay = (event: TouchEvent): void => {
      if (taken.current) event.preventDefault();
    };
    node?.addEventListener('touchmove', stay, { passive: false });
    return () => node?.removeEventListener('touchmove', stay);
  }, []);

  const steps = units.length === 'in' ? { fine: 0.0254 / 32, coarse: 0.0254 / 4 } : { fine: 0.001, coarse: 0.01 };
  const keys = {
    onKeyDown(event: { key: string; shiftKey: boolean; ctrlKey: boolean; metaKey: boolean; preventDefault(): void; stopPropagation(): void }) {
      const way = ({ ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as const)[event.key as 'ArrowUp'];
      const turn = ({ '[': 1, ']': -1, '{': 15, '}': -15 } as const)[event.key as '['];
      const at = own.findIndex(({ id }) => id === chosen.at(-1)?.id);
      const choose = ({ PageDown: at + 1, PageUp: at < 0 ? own.length - 1 : at - 1, Home: 0, End: own.length - 1 } as const)[event.key as 'Home'];
      if (way && chosen.length > 0) {
        const by = event.shiftKey ? steps.coarse : steps.fine;
        onMove(way[0] * by, way[1] * by);
      } else if (way) onSelect(own[0]?.id ?? null, false);
      else if (turn !== undefined && chosen.length > 0) onTurn(turn);
      else if (choose !== undefined && own.length > 0) onSelect(own[(choose + own.length) % own.length].id, event.shiftKey);
      else if (event.key === 'a' && (event.ctrlKey || event.metaKey)) onSelectAll();
      else if ((event.key === 'Delete' || event.key === 'Backspace') && chosen.length > 0) onRemove();
      else if (event.key === 'Escape') onSelect(null, false);
      else return;
      event.preventDefault();
      event.stopPropagation();
    },
  } as ViewProps;

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
          aria-label={`Plan, ${own.length === 1 ? 'one part' : `${own.length} parts`}. Page up and down choose a part, arrows move it, with shift farther, square brackets turn it, with shift farther, Delete takes it away.`}
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

function heldWords(chosen: readonly OwnPart[], held: Held, middle: Point, within: Box, unit: 'mm' | 'in'): string {
  if (held.turn_deg !== 0)
    return chosen.length === 1 ? `${chosen[0].size} · ${angle(wholeTurn(chosen[0].turned_deg + held.turn_deg))}` : `turned ${angle(held.turn_deg)}`;
  return `${text(formatLength(middle[0] - within.left, unit))} · ${text(formatLength(middle[1] - within.front, unit))}`;
}

/** With a true minus. */
export const angle = (degrees: number): string => `${degrees < 0 ? '−' : ''}${Math.round(Math.abs(degrees))}°`;

/** Beside what is chosen, in its own direction, on the drawing. */
function knobAt(drawn: ReturnType<typeof planGeometry>, box: Box, [x, y]: Point, degrees: number): Point {
  const radians = ((degrees + 90) * Math.PI) / 180;
  const reach = (Math.hypot(box.right - box.left, box.back - box.front) / 2) * drawn.scale + KNOB_PX;
  const at: Point = [drawn.x(x) + reach * Math.cos(radians), drawn.y(y) - reach * Math.sin(radians)];
  // Where that is off the drawing, on the other side of it.
  const isOut = at[0] < BEAD_PX || at[0] > drawn.width - BEAD_PX || at[1] < BEAD_PX || at[1] > drawn.height - BEAD_PX;
  const other: Point = [2 * drawn.x(x) - at[0], 2 * drawn.y(y) - at[1]];
  const chosen = isOut ? other : at;
  return [Math.min(Math.max(chosen[0], BEAD_PX), drawn.width - BEAD_PX), Math.min(Math.max(chosen[1], BEAD_PX), drawn.height - BEAD_PX)];
}

/** Large enough for a finger. */
function gripOf(drawn: ReturnType<typeof planGeometry>, { left, right, front, back }: Box): { left: number; top: number; width: number; height: number } {
  const [wide, high] = [Math.max((right - left) * drawn.scale, TARGET), Math.max((back - front) * drawn.scale, TARGET)];
  return { left: drawn.x((left + right) / 2) - wide / 2, top: drawn.y((front + back) / 2) - high / 2, width: wide, height: high };
}

const GUIDE_WORDS: Record<Guide['why'], string> = { middle: 'middle', edge: 'edge', neighbour: 'in line', spacing: 'as far' };

function GuideLine({ guide, drawn }: { guide: Guide; drawn: ReturnType<typeof planGeometry> }) {
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
