/** A joint of the schedule, to be dragged sideways, stepped by keys, or tapped. A slider to a screen reader. */
import { type TemperatureUnit, celsiusFrom, formatTemperature, temperatureIn, text } from '@torvin/core/units';
import { memo, type Ref, useCallback, useEffect, useRef, useState } from 'react';
import { View, type ViewProps } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { RADIUS, TARGET } from '@/theme/theme';
import { Dragged, type DraggedProps } from '@/ui/Dragged';
import { Words } from '@/ui/Words';
import { sliderProps } from '@/ui/sliderProps';
import { type Drag, dragFrom, dragTo } from './drag';
import { elementOf } from '@/ui/elementOf';
import { type Live, useWritten, writeWords } from './live';
import type { TemperatureScale } from './scale';

/** What a run sheet does with its beads. */
export interface BeadHandlers {
  /** While a bead moves. */
  onMove(index: number, value_C: number): void;
  onRelease(index: number, value_C: number): void;
  onCancel(): void;
  onSelect(index: number): void;
}

export interface BeadProps {
  index: number;
  y: number;
  live: Live;
  /** The held value's label stays left of this, px. */
  right: number;
  value_C: number;
  least_C: number;
  most_C: number;
  scale: TemperatureScale;
  unit: TemperatureUnit;
  /** What a screen reader says besides the temperature. */
  name: string;
  detail: string;
  selected: boolean;
  /** Must keep its identity between renders. */
  handlers: BeadHandlers;
}

const SIDEWAYS_PX = 8;
const DOWN_PX = 12;
const BEAD_PX = 20;
const LABEL_PX = 92;

/** Drags it along its scale. While it is held, Escape or a second finger puts it back. */
function useBeadDrag(index: number, reach: Pick<BeadProps, 'value_C' | 'least_C' | 'most_C' | 'scale'>, handlers: BeadHandlers) {
  const drag = useRef<Drag | null>(null);
  const [held, setHeld] = useState(false);
  // Gestures are made once; they reach the newest props through this.
  const now = useRef(reach);
  now.current = reach;

  const endDrag = useRef((keep: boolean) => {
    const last = drag.current;
    drag.current = null;
    setHeld(false);
    if (!last) return;
    if (keep) handlers.onRelease(index, last.value_C);
    else handlers.onCancel();
  });

  const make = useCallback<DraggedProps['make']>(
    (Gesture) => {
      const pan = Gesture.Pan()
        .activeOffsetX([-SIDEWAYS_PX, SIDEWAYS_PX])
        .failOffsetY([-DOWN_PX, DOWN_PX])
        .runOnJS(true)
        .onStart(({ absoluteX }) => {
          drag.current = dragFrom(now.current.value_C, absoluteX, performance.now());
          setHeld(true);
        })
        .onUpdate(({ absoluteX }) => {
          if (!drag.current) return;
          const { least_C: least, most_C: most, scale: axis } = now.current;
          const before = drag.current.value_C;
          drag.current = dragTo(drag.current, absoluteX, performance.now(), axis.perPixel, least, most);
          if (drag.current.value_C !== before) handlers.onMove(index, drag.current.value_C);
        })
        .onFinalize((_event, success) => endDrag.current(success));
      const tap = Gesture.Tap()
        .runOnJS(true)
        .onEnd(() => handlers.onSelect(index));
      return Gesture.Race(pan, tap);
    },
    [handlers, index],
  );

  useEffect(() => {
    if (!held) return undefined;
    const cancel = (): void => endDrag.current(false);
    const escape = (event: KeyboardEvent): void => {
      if (event.key !== 'Escape') return;
      // The bead alone goes back; what else is open stays.
      event.preventDefault();
      cancel();
    };
    window.addEventListener('keydown', escape, true);
    // A second finger anywhere; the first one's own press is long past.
    window.addEventListener('pointerdown', cancel, true);
    return () => {
      window.removeEventListener('keydown', escape, true);
      window.removeEventListener('pointerdown', cancel, true);
    };
  }, [held]);
  return { make, held };
}

/** Its temperature over the finger; past_px: how far it would stand out at the right. */
function BeadLabel({ ref, shown, past_px }: { ref: Ref<View>; shown: string; past_px: number }) {
  const { colours } = useTheme();
  return (
    <View
      ref={ref}
      style={{
        ...{ position: 'absolute', bottom: TARGET + 4, left: (TARGET - LABEL_PX) / 2 - Math.max(0, past_px), width: LABEL_PX },
        ...{ alignItems: 'center', backgroundColor: colours.ink, borderRadius: RADIUS, paddingHorizontal: 8 },
      }}
      aria-hidden
    >
      <Words size="title" bold style={{ color: colours.surface, whiteSpace: 'nowrap' } as never}>
        {shown}
      </Words>
    </View>
  );
}

/** Renders only when something of its own changes: while one bead moves, the others rest. */
export const Bead = memo(function Bead({ index, y, live, right, value_C, least_C, most_C, scale, unit, name, detail, selected, handlers }: BeadProps) {
  const { colours } = useTheme();
  const x = scale.x(value_C);
  const root = useRef<View>(null);
  const label = useRef<View>(null);
  useWritten(live, (moving) => {
    const target_C = moving?.segments[index].target_C ?? value_C;
    const element = elementOf(root);
    element?.setAttribute('aria-valuenow', String(Math.round(temperatureIn(target_C, unit))));
    if (element) element.style.left = `${scale.x(target_C) - TARGET / 2}px`;
    writeWords(elementOf(label)?.firstElementChild, text(formatTemperature(target_C, unit)));
  });
  const { make, held } = useBeadDrag(index, { value_C, least_C, most_C, scale }, handlers);
  const stepBy = (degrees: number): void => {
    const target = celsiusFrom(Math.round(temperatureIn(value_C, unit)) + degrees, unit);
    handlers.onRelease(index, Math.min(Math.max(target, least_C), most_C));
  };
  const keys = {
    onKeyDown(event: { key: string; shiftKey: boolean; preventDefault(): void }) {
      const size = event.shiftKey ? 10 : 1;
      const direction = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
      if (direction !== undefined) stepBy(direction * size);
      else if (event.key === 'Enter' || event.key === ' ') handlers.onSelect(index);
      else return;
      event.preventDefault();
    },
  } as ViewProps;

  const size = held || selected ? BEAD_PX + 6 : BEAD_PX;
  const shown = text(formatTemperature(value_C, unit));
  return (
    <Dragged make={make} onTap={() => handlers.onSelect(index)} touchAction="pan-y" userSelect="none">
      <View
        ref={root}
        {...keys}
        {...sliderProps({
          name,
          value: Math.round(temperatureIn(value_C, unit)),
          least: Math.round(temperatureIn(least_C, unit)),
          most: Math.round(temperatureIn(most_C, unit)),
          spoken: `${shown}, ${detail}`,
        })}
        testID={`bead-${index}`}
        style={{
          position: 'absolute',
          left: x - TARGET / 2,
          top: y - TARGET / 2,
          width: TARGET,
          height: TARGET,
          alignItems: 'center',
          justifyContent: 'center',
          borderRadius: TARGET / 2,
          zIndex: held ? 2 : 1,
        }}
      >
        <View
          style={{
            width: size,
            height: size,
            borderRadius: size / 2,
            borderWidth: selected || held ? 5 : 3,
            borderColor: colours.touch,
            backgroundColor: colours.surface,
          }}
        />
        {held && <BeadLabel ref={label} shown={shown} past_px={x + LABEL_PX / 2 - right} />}
      </View>
    </Dragged>
  );
});
