/** One shelf from above, to scale, the front below: what lies on it is dragged, stepped by keys, and turned; what stands in the way is drawn. */
import { type Lying, type Room, type Stands, standingOn, type Clearances } from '@torvin/core/kiln';
import { type Outline, type Placed, lyingOf } from '@torvin/core/load';
import { useMemo, useRef, useState } from 'react';
import { View, type ViewProps } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle, Ellipse, Line, Rect, Text as SvgText } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { fonts, wordSize } from '@/theme/theme';
import { takingPan, useHoldsPage } from '@/ui/taking';
import { LOAD } from './words';

export interface ShelfDrawingProps {
  room: Room;
  clear: Clearances;
  /** Posts stand on it for the next one. */
  bears: boolean;
  placed: readonly Placed[];
  items: readonly Outline[];
  names: readonly string[];
  /** Items that are too near to something. */
  tooNear: ReadonlySet<number>;
  chosen: number | null;
  width: number;
  onChoose(item: number): void;
  onMove(to: Placed): void;
}

/** Steps of a key, m: fine, and with Shift. */
const STEPS_M = { mm: { fine: 0.001, coarse: 0.01 }, in: { fine: 0.0254 / 16, coarse: 0.0254 / 2 } } as const;
/** A mouse that moved less has not dragged, px. */
const STILL_PX = 4;

export function ShelfDrawing({ room, clear, bears, placed, items, names, tooNear, chosen, width, onChoose, onMove }: ShelfDrawingProps) {
  const { colours } = useTheme();
  const scale = (width - 2) / room.wide_m;
  const height = room.long_m * scale + 2;
  const [held, setHeld] = useState<Placed | null>(null);
  const heldNow = useRef<Placed | null>(null);
  const holder = useHoldsPage(() => heldNow.current !== null);
  const hold = (to: Placed | null): void => {
    heldNow.current = to;
    setHeld(to);
  };
  const shown = placed.map((one) => (held?.item === one.item ? held : one));
  const drawn: Drawn = { scale, height };
  return (
    <View ref={holder} style={{ width, height }}>
      <Svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden>
        <Walls room={room} width={width} height={height} />
        {standingOn(room, clear, bears).map((one, i) => (
          <Standing key={i} stands={one} drawn={drawn} />
        ))}
        {shown.map((one) => (
          <Shape
            key={one.item}
            lies={lyingOf(one, items[one.item])}
            drawn={drawn}
            fill={chosen === one.item ? colours.surface : colours.ground}
            stroke={tooNear.has(one.item) ? colours.warn : chosen === one.item ? colours.touch : colours.ink}
            strokeWidth={chosen === one.item ? 3 : 1.5}
          />
        ))}
        {shown.map(({ item, x_m, y_m }) => (
          <SvgText
            key={item}
            x={1 + x_m * scale}
            y={height - 1 - y_m * scale + 5}
            fontSize={wordSize.text}
            fontFamily={fonts.words}
            fill={colours.ink}
            textAnchor="middle"
          >
            {item + 1}
          </SvgText>
        ))}
      </Svg>
      {shown.map((one) => (
        <Grip
          key={one.item}
          one={one}
          lies={lyingOf(one, items[one.item])}
          drawn={drawn}
          name={LOAD.numbered(one.item + 1, names[one.item])}
          isChosen={chosen === one.item}
          onChoose={() => onChoose(one.item)}
          onHold={hold}
          onMove={onMove}
        />
      ))}
    </View>
  );
}

interface Drawn {
  scale: number;
  height: number;
}

const boxOf = ({ x_m, y_m, wide_m, long_m }: Lying, { scale, height }: Drawn) => ({
  left: 1 + (x_m - wide_m / 2) * scale,
  top: height - 1 - (y_m + long_m / 2) * scale,
  width: wide_m * scale,
  height: long_m * scale,
});

function Shape({ lies, drawn, ...painted }: { lies: Lying; drawn: Drawn; fill: string; stroke: string; strokeWidth: number }) {
  const { left, top, width, height } = boxOf(lies, drawn);
  return lies.isRound ? (
    <Ellipse cx={left + width / 2} cy={top + height / 2} rx={width / 2} ry={height / 2} {...painted} />
  ) : (
    <Rect x={left} y={top} width={width} height={height} {...painted} />
  );
}

/** Dashed where elements are in them. */
function Walls({ room: { isRound, elements }, width, height }: { room: Room; width: number; height: number }) {
  const { colours } = useTheme();
  const line = { fill: colours.surface, stroke: colours.muted, strokeWidth: 1.5 };
  const inWalls = elements === 'sides' || elements === 'both';
  const dashed = { fill: 'none', stroke: colours.warn, strokeWidth: 2, strokeDasharray: '6 5' };
  return (
    <>
      {isRound ? <Circle cx={width / 2} cy={height / 2} r={width / 2 - 1} {...line} /> : <Rect x={1} y={1} width={width - 2} height={height - 2} {...line} />}
      {inWalls &&
        (isRound ? (
          <Circle cx={width / 2} cy={height / 2} r={width / 2 - 5} {...dashed} />
        ) : (
          <Rect x={5} y={5} width={width - 10} height={height - 10} {...dashed} />
        ))}
    </>
  );
}

function Standing({ stands, drawn }: { stands: Stands; drawn: Drawn }) {
  const { colours } = useTheme();
  const { left, top, width, height } = boxOf(stands, drawn);
  if (stands.what === 'post') return <Rect x={left} y={top} width={width} height={height} fill={colours.muted} />;
  const [x, y] = [left + width / 2, top + height / 2];
  return width > height ? (
    <Line x1={left} x2={left + width} y1={y} y2={y} stroke={colours.ink} strokeWidth={3} />
  ) : (
    <Line x1={x} x2={x} y1={top} y2={top + height} stroke={colours.ink} strokeWidth={3} />
  );
}

interface GripProps {
  one: Placed;
  lies: Lying;
  drawn: Drawn;
  name: string;
  isChosen: boolean;
  onChoose(): void;
  onHold(to: Placed | null): void;
  onMove(to: Placed): void;
}

/** What a finger, a mouse and keys take a piece by. */
function Grip({ one, lies, drawn, name, isChosen, onChoose, onHold, onMove }: GripProps) {
  const units = useUnits();
  const now = useRef({ one, scale: drawn.scale, onChoose, onHold, onMove });
  const from = useRef(one);
  now.current = { one, scale: drawn.scale, onChoose, onHold, onMove };
  const gesture = useMemo(() => {
    const at = ({ translationX, translationY }: { translationX: number; translationY: number }): Placed => {
      const { scale } = now.current;
      return { ...from.current, x_m: from.current.x_m + translationX / scale, y_m: from.current.y_m - translationY / scale };
    };
    const drag = takingPan((pan) => pan.minDistance(STILL_PX))
      .onStart(() => {
        from.current = now.current.one;
        now.current.onChoose();
        now.current.onHold(from.current);
      })
      .onUpdate((event) => now.current.onHold(at(event)))
      .onEnd((event, wasTaken) => wasTaken && now.current.onMove(at(event)))
      .onFinalize(() => now.current.onHold(null));
    const tap = Gesture.Tap()
      .runOnJS(true)
      .onEnd((_event, wasTapped) => wasTapped && now.current.onChoose());
    return Gesture.Exclusive(drag, tap);
  }, []);

  const keys = {
    onKeyDown(event: { key: string; shiftKey: boolean; preventDefault(): void; stopPropagation(): void }) {
      const way = ({ ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowUp: [0, 1], ArrowDown: [0, -1] } as const)[event.key as 'ArrowUp'];
      const by = STEPS_M[units.length][event.shiftKey ? 'coarse' : 'fine'];
      if (way) onMove({ ...one, x_m: one.x_m + way[0] * by, y_m: one.y_m + way[1] * by });
      else if (event.key === '[' || event.key === ']') onMove({ ...one, turned: !one.turned });
      else if (event.key === 'Enter' || event.key === ' ') onChoose();
      else return;
      event.preventDefault();
      event.stopPropagation();
    },
    onFocus: onChoose,
  } as ViewProps;
  return (
    <GestureDetector gesture={gesture} touchAction="pan-y" userSelect="none">
      <View
        {...keys}
        tabIndex={0}
        role="button"
        aria-pressed={isChosen}
        aria-label={LOAD.grip(name)}
        testID={`load-grip-${one.item}`}
        style={{ position: 'absolute', ...boxOf(lies, drawn), cursor: 'move' as never }}
      />
    </GestureDetector>
  );
}
