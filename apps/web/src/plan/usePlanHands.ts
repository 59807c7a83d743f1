/**
 * What hands and keys do to the parts of a plan: a tap chooses, a finger on the chosen ones moves them, the knob turns them. What is
 * moved is drawn to the middle, to edges, to its neighbours and their spacing.
 */
import { type Box, type Guide, type Point, boxOf, gapBetween, isWithin, snapped, snappedTurn, wholeTurn } from '@torvin/core/plan';
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

/** about: what is turned about. */
export function usePlanHands(
  { drawn, own, chosen, about }: { drawn: PlanGeometry; own: readonly OwnPart[]; chosen: readonly OwnPart[]; about: Point },
  { onPlace, onSelect, onSelectAll, onMove, onTurn, onRemove }: PlanActs,
): PlanHands {
  const units = useUnits();
  const [held, setHeld] = useState<Held | null>(null);
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

  const endDrag = (success: boolean): void => {
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
    const pan = takingPan((mouse) => mouse.minDistance(3));
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
      .onFinalize((_event, success) => endDrag(success));
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
      .onFinalize((_event, success) => endDrag(success));
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
        .onFinalize((_event, success) => endDrag(success)),
    [],
  );

  const holder = useHoldsPage(() => taken.current);

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

  return { held, gesture, moving, turning, knobFrom, gripAt, holder, keys };
}
