/**
 * What hands and keys do to the parts of a plan: a tap chooses, a finger on the chosen ones moves them, the knob turns them. What is
 * moved is drawn to the middle, to edges, to its neighbours and their spacing.
 */
import { type Box, type Guide, type Point, boxOf, gapBetween, isWithin, snapped, snappedTurn, wholeTurn } from '@torvin/core/plan';
import type { LengthUnit } from '@torvin/core/units';
import { type RefObject, useMemo, useRef, useState } from 'react';
import type { View, ViewProps } from 'react-native';
import { type ComposedGesture, Gesture, type GestureType } from 'react-native-gesture-handler';
import { useUnits } from '@/data/FormUnits';
import { takingPan, useHoldsPage } from '@/ui/taking';
import type { PlanGeometry } from './geometry';
import type { OwnPart } from './ownPart';

const SNAP_PX = 7;
const SNAP_DEG = 4;
/** A part that is thinner than a finger is taken from this far. */
const REACH_PX = 14;

/** What a hand is doing to the chosen parts, before it lets go. */
export interface Held {
  dx_m: number;
  dy_m: number;
  turn_deg: number;
  guides: Guide[];
}
const STILL: Held = { dx_m: 0, dy_m: 0, turn_deg: 0, guides: [] };

export interface PlanActs {
  /** A touch tells a place instead of choosing a part. */
  onPlace: ((place: Point) => void) | null;
  /** add: to those that are chosen. */
  onSelect(id: string | null, add: boolean): void;
  onSelectAll(): void;
  onMove(dx_m: number, dy_m: number): void;
  onTurn(degrees: number): void;
  onRemove(): void;
}

export interface PlanHands {
  held: Held | null;
  /** Over the whole plan; on the chosen parts; on the knob. */
  gesture: ComposedGesture;
  moving: ComposedGesture;
  turning: GestureType;
  /** To be told where the knob stands, and where what takes a finger on the chosen parts begins, px. */
  knobFrom: RefObject<Point>;
  gripAt: RefObject<{ left: number; top: number }>;
  /** To be put round it all. */
  holder: RefObject<View | null>;
  keys: ViewProps;
}

export const middleOf = ({ left, right, front, back }: Box): Point => [(left + right) / 2, (front + back) / 2];

interface Parts {
  drawn: PlanGeometry;
  own: readonly OwnPart[];
  chosen: readonly OwnPart[];
  /** What is turned about. */
  about: Point;
}

/** What is shown and done now: gestures are made once and reach it through this. */
type Now = RefObject<Parts & Pick<PlanActs, 'onSelect' | 'onMove' | 'onTurn' | 'onPlace'> & { held: Held | null }>;

/** The part under a finger, or the nearest within its reach. */
function partAt({ drawn, own }: Parts, x: number, y: number): string | null {
  const place = drawn.place(x, y);
  const on = own.findLast(({ corners }) => isWithin(place, [corners]));
  if (on) return on.id;
  const near = own.map(({ id, corners }) => ({ id, away: gapBetween([place], corners) * drawn.scale })).filter(({ away }) => away <= REACH_PX);
  return near.reduce<(typeof near)[number] | null>((best, one) => (best && best.away <= one.away ? best : one), null)?.id ?? null;
}

/** Where the chosen parts come to by so many px, drawn to what they would line up with. */
function carried({ drawn, own, chosen }: Parts, dx_px: number, dy_px: number): Held {
  const [dx, dy] = [dx_px / drawn.scale, -dy_px / drawn.scale];
  const box = boxOf(chosen.flatMap(({ corners }) => corners));
  const there = { left: box.left + dx, right: box.right + dx, front: box.front + dy, back: box.back + dy };
  const others = own.filter(({ id }) => !chosen.some((one) => one.id === id)).map(({ corners }) => boxOf(corners));
  const { dx_m, dy_m, guides } = snapped(there, others, drawn.within, SNAP_PX / drawn.scale);
  return { dx_m: dx + dx_m, dy_m: dy + dy_m, turn_deg: 0, guides };
}

/** How far they are turned by a knob that began at a place and was drawn by so many px. */
function turned({ about: [x, y], chosen, own, drawn }: Parts, [kx, ky]: Point, dx_px: number, dy_px: number): Held {
  const [dx, dy] = [kx + dx_px - drawn.x(x), ky + dy_px - drawn.y(y)];
  const [fx, fy] = [kx - drawn.x(x), ky - drawn.y(y)];
  const by = ((Math.atan2(-dy, dx) - Math.atan2(-fy, fx)) * 180) / Math.PI;
  const first = chosen.length === 1 ? chosen[0].turned_deg : 0;
  const others = chosen.length === 1 ? own.filter(({ id }) => id !== chosen[0].id).map(({ turned_deg }) => turned_deg) : [];
  return { ...STILL, turn_deg: wholeTurn(snappedTurn(first + by, others, SNAP_DEG) - first) };
}

/** A touch tells a place, or chooses the part there. */
const touching = (now: Now, from: () => { left: number; top: number }) =>
  Gesture.Tap()
    .runOnJS(true)
    .onEnd(({ x, y }) => {
      const [px, py] = [x + from().left, y + from().top];
      if (now.current.onPlace) now.current.onPlace(now.current.drawn.place(px, py));
      else now.current.onSelect(partAt(now.current, px, py), false);
    });

const AT_ONCE = { left: 0, top: 0 };

interface Taking {
  taken: RefObject<boolean>;
  setHeld(held: Held | null): void;
  endDrag(success: boolean): void;
}

const overPlan = (now: Now, { taken, setHeld, endDrag }: Taking): ComposedGesture =>
  Gesture.Race(
    takingPan((mouse) => mouse.minDistance(3))
      .onStart(({ x, y, translationX, translationY }) => {
        const id = partAt(now.current, x - translationX, y - translationY);
        if (id === null) return;
        if (!now.current.chosen.some((part) => part.id === id)) now.current.onSelect(id, false);
        taken.current = true;
      })
      .onUpdate(({ translationX, translationY }) => {
        if (taken.current) setHeld(carried(now.current, translationX, translationY));
      })
      .onFinalize((_event, success) => endDrag(success)),
    touching(now, () => AT_ONCE),
  );

/** Of what has been chosen: it is taken at once. */
const taking = (least_px: number, { taken, endDrag }: Taking, onUpdate: (dx_px: number, dy_px: number) => void) =>
  Gesture.Pan()
    .runOnJS(true)
    .minDistance(least_px)
    .onStart(() => {
      taken.current = true;
    })
    .onUpdate(({ translationX, translationY }) => onUpdate(translationX, translationY))
    .onFinalize((_event, success) => endDrag(success));

export function usePlanHands(parts: Parts, acts: PlanActs): PlanHands {
  const { onPlace, onSelect, onMove, onTurn } = acts;
  const units = useUnits();
  const [held, setHeld] = useState<Held | null>(null);
  const now: Now = useRef({ ...parts, held, onSelect, onMove, onTurn, onPlace });
  now.current = { ...parts, held, onSelect, onMove, onTurn, onPlace };
  const taken = useRef(false);
  const gripAt = useRef({ left: 0, top: 0 });
  const knobFrom = useRef<Point>([0, 0]);
  const { gesture, moving, turning } = useMemo(() => {
    const endDrag = (success: boolean): void => {
      const last = now.current.held;
      taken.current = false;
      setHeld(null);
      if (!success || !last) return;
      if (last.turn_deg !== 0) now.current.onTurn(last.turn_deg);
      else if (last.dx_m !== 0 || last.dy_m !== 0) now.current.onMove(last.dx_m, last.dy_m);
    };
    const how: Taking = { taken, setHeld, endDrag };
    return {
      gesture: overPlan(now, how),
      moving: Gesture.Race(
        taking(3, how, (dx, dy) => setHeld(carried(now.current, dx, dy))),
        touching(now, () => gripAt.current),
      ),
      turning: taking(2, how, (dx, dy) => setHeld(turned(now.current, knobFrom.current, dx, dy))),
    };
  }, []);
  const holder = useHoldsPage(() => taken.current);
  return { held, gesture, moving, turning, knobFrom, gripAt, holder, keys: planKeys(parts, acts, units.length) };
}

/** Arrows move, brackets turn, page keys choose, Delete takes away. */
function planKeys({ own, chosen }: Parts, { onSelect, onSelectAll, onMove, onTurn, onRemove }: PlanActs, unit: LengthUnit): ViewProps {
  const steps = unit === 'in' ? { fine: 0.0254 / 32, coarse: 0.0254 / 4 } : { fine: 0.001, coarse: 0.01 };
  return {
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
}
