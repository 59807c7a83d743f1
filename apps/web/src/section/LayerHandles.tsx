/** Two beads on the chosen layer: at its top edge for its depth, at its right end for how much it covers. Sliders to keys. */
import { formatLength, text } from '@torvin/core/units';
import { useMemo, useRef } from 'react';
import { View, type ViewProps } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET } from '@/theme/theme';
import { sliderProps } from '@/ui/sliderProps';
import type { SectionGeometry } from './geometry';
import type { Trim, Trims } from './trim';
import { LAYER_HANDLES } from './words';

export interface LayerHandlesProps {
  drawn: SectionGeometry;
  layer: number;
  trims: Trims;
  /** Width of the drawing, px. */
  width: number;
  onTrim(trim: Trim, value: number, what: 'depth' | 'cover'): void;
}

const BEAD_PX = 18;
/** The bead for the cover stands beside what it covers, clear of the one above. */
const BESIDE_PX = 12;

export function LayerHandles({ drawn, layer, trims, width, onTrim }: LayerHandlesProps) {
  const units = useUnits();
  const band = drawn.bands[layer];
  const own = drawn.shapes.filter((shape) => shape.layer === layer);
  const [first, last] = [own[0], own[own.length - 1]];
  if (!band || !first) return null;
  const pxPerMetre = drawn.y(0) - drawn.y(1);
  const span = last.x + last.width - first.x;
  // Over one of its shapes where there are several, so that it does not float over a gap.
  const middle = own[Math.floor(own.length / 2)];
  const { depth, cover } = trims;
  return (
    <>
      <Handle
        x={own.length === 1 ? first.x + first.width * 0.4 : middle.x + middle.width / 2}
        y={band.y}
        trim={depth}
        along="up"
        perPixel={1 / pxPerMetre}
        name={LAYER_HANDLES.depth}
        spoken={text(formatLength(depth.value, units.length))}
        onValue={(value) => onTrim(depth, value, 'depth')}
        testID="handle-depth"
      />
      {cover && (
        <Handle
          x={Math.min(last.x + last.width + BESIDE_PX, width - TARGET / 2)}
          y={band.y + band.height / 2}
          trim={cover}
          along="right"
          perPixel={1 / Math.max(span, 1)}
          name={LAYER_HANDLES.covers}
          spoken={LAYER_HANDLES.percent(Math.round(cover.value * 100))}
          onValue={(value) => onTrim(cover, value, 'cover')}
          testID="handle-cover"
        />
      )}
    </>
  );
}

interface HandleProps {
  x: number;
  y: number;
  trim: Trim;
  along: 'up' | 'right';
  /** Of the value, when it is taken. */
  perPixel: number;
  name: string;
  spoken: string;
  onValue(value: number): void;
  testID: string;
}

function Handle({ x, y, trim, along, perPixel, name, spoken, onValue, testID }: HandleProps) {
  const { colours } = useTheme();
  // Gestures are made once; they reach the newest props through this.
  const now = useRef({ trim, perPixel, onValue });
  now.current = { trim, perPixel, onValue };
  const gesture = useMemo(() => {
    let taken = { value: 0, perPixel: 0 };
    return Gesture.Pan()
      .minDistance(2)
      .runOnJS(true)
      .onBegin(() => {
        taken = { value: now.current.trim.value, perPixel: now.current.perPixel };
      })
      .onUpdate(({ translationX, translationY }) => {
        const value = now.current.trim.near(taken.value + (along === 'up' ? -translationY : translationX) * taken.perPixel);
        if (Math.abs(value - now.current.trim.value) > 1e-9) now.current.onValue(value);
      });
  }, [along]);
  const keys = {
    onKeyDown(event: { key: string; preventDefault(): void; stopPropagation(): void }) {
      const direction = ({ ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 } as const)[event.key as 'ArrowUp'];
      if (direction === undefined) return;
      onValue(trim.next(direction));
      event.preventDefault();
      event.stopPropagation();
    },
  } as ViewProps;
  return (
    <GestureDetector gesture={gesture} touchAction="none" userSelect="none">
      <View
        {...keys}
        {...sliderProps({ name, value: trim.value, least: trim.least, most: trim.most, spoken, along })}
        testID={testID}
        style={{
          position: 'absolute',
          left: x - TARGET / 2,
          top: y - TARGET / 2,
          width: TARGET,
          height: TARGET,
          alignItems: 'center',
          justifyContent: 'center',
          cursor: (along === 'up' ? 'ns-resize' : 'ew-resize') as never,
        }}
      >
        <View
          style={{
            width: BEAD_PX,
            height: BEAD_PX,
            borderRadius: BEAD_PX / 2,
            borderWidth: 4,
            borderColor: colours.touch,
            backgroundColor: colours.surface,
          }}
        />
      </View>
    </GestureDetector>
  );
}
