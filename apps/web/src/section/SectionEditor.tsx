/**
 * The lay-up, edited where it is drawn: a tap takes a layer, a drag up or down moves it, keys do both; the chosen one has
 * beads for its depth and cover. One list to a
 * screen reader; the drawing's own figures are spoken with each layer.
 */
import { type Footprint, footprintHole, footprintSpan } from '@torvin/core/body';
import type { Ghost } from '@torvin/core/look';
import type { DrawnLayer } from '@torvin/core/piece';
import { useMemo, useRef, useState } from 'react';
import { View, type ViewProps } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Line, Path } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { Action } from '@/ui/Action';
import { Hidden } from '@/ui/Hidden';
import { takingPan, useHoldsPage } from '@/ui/taking';
import { ScaleNote, SectionShapes, SectionTable, sectionWords } from './SectionDrawing';
import { LayerHandles } from './LayerHandles';
import { landingAt, layerAt, sectionGeometry } from './geometry';
import type { Trim, Trims } from './trim';
import { SECTION_EDITOR } from './words';

/** What stands at the contact of two layers, to be seen there. */
export interface ContactMark {
  lower: number;
  upper: number;
  tone: 'warn' | 'know';
}

export interface SectionEditorProps {
  footprint: Footprint;
  /** Index 0 at the bottom. */
  layers: readonly DrawnLayer[];
  /** Those that can be taken and changed; the others are in the body already. */
  own: { from: number; to: number };
  /** What each layer is called, for speech. */
  names: readonly string[];
  ghost: Ghost | null;
  marks: readonly ContactMark[];
  selected: number | null;
  /** What can be trimmed of the selected layer. */
  trims: Trims | null;
  width: number;
  height: number;
  onTrim(trim: Trim, value: number, what: 'depth' | 'cover'): void;
  onAdd(): void;
  onSelect(index: number | null): void;
  onMove(from: number, to: number): void;
  onRemove(index: number): void;
  /** Turns a coated sheet over; refused in words where there is nothing to turn. */
  onTurn(index: number): void;
}

const DRAG_FROM_PX = 8;
const SIDEWAYS_PX = 14;
const MARK_PX = 9;

interface Lifted {
  layer: number;
  by: number;
  to: number;
}

interface Shown extends Pick<SectionEditorProps, 'own' | 'onSelect' | 'onMove'> {
  drawn: ReturnType<typeof sectionGeometry>;
  lifted: Lifted | null;
}

/** A layer is chosen by a touch, and taken up and laid elsewhere by a drag. */
function useTaking(shown: Shown, setLifted: (lifted: Lifted | null) => void) {
  // Gestures are made once; they reach what is shown now through this.
  const now = useRef(shown);
  now.current = shown;

  const taken = useRef<{ layer: number; y: number } | null>(null);
  const gesture = useMemo(() => {
    const tap = Gesture.Tap()
      .runOnJS(true)
      .onEnd(({ x, y }) => {
        const layer = layerAt(now.current.drawn, x, y);
        now.current.onSelect(layer >= now.current.own.from && layer < now.current.own.to ? layer : null);
      });
    const pan = takingPan((mouse) => mouse.activeOffsetY([-DRAG_FROM_PX, DRAG_FROM_PX]).failOffsetX([-SIDEWAYS_PX, SIDEWAYS_PX]));
    pan
      .onStart(({ x, y, translationY }) => {
        const layer = layerAt(now.current.drawn, x, y - translationY);
        if (layer < now.current.own.from || layer >= now.current.own.to) return;
        taken.current = { layer, y: y - translationY };
        setLifted({ layer, by: 0, to: layer });
      })
      .onUpdate(({ y }) => {
        if (!taken.current) return;
        const { layer, y: from } = taken.current;
        setLifted({ layer, by: y - from, to: landingAt(now.current.drawn.bands, layer, y) });
      })
      .onFinalize((_event, success) => {
        const last = now.current.lifted;
        taken.current = null;
        setLifted(null);
        if (success && last && last.to !== last.layer) now.current.onMove(last.layer, last.to);
      });
    return Gesture.Race(pan, tap);
  }, [setLifted]);
  return { gesture, isTaken: () => taken.current !== null };
}

export function SectionEditor({
  footprint,
  layers,
  own,
  names,
  ghost,
  marks,
  selected,
  trims,
  width,
  height,
  onTrim,
  onAdd,
  onSelect,
  onMove,
  onRemove,
  onTurn,
}: SectionEditorProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const [lifted, setLifted] = useState<Lifted | null>(null);
  const drawn = useMemo(() => {
    const room = ghost ? { depth_m: ghost.depth_m + ghost.relief_m + Math.abs(ghost.crown_m), width_m: ghost.width_m } : undefined;
    return sectionGeometry(footprintSpan(footprint), layers, { width, height }, room, footprintHole(footprint));
  }, [footprint, layers, width, height, ghost]);
  const { gesture, isTaken } = useTaking({ drawn, onSelect, onMove, lifted, own }, setLifted);
  const holder = useHoldsPage(isTaken);

  const keys = {
    onKeyDown(event: { key: string; altKey: boolean; shiftKey: boolean; preventDefault(): void }) {
      const at = selected ?? own.from;
      const up = { ArrowUp: 1, ArrowDown: -1 }[event.key];
      if (up !== undefined && (event.altKey || event.shiftKey)) onMove(at, at + up);
      else if (up !== undefined) onSelect(selected === null ? own.from : Math.min(Math.max(at + up, own.from), own.to - 1));
      else if (event.key === 'Delete' && selected !== null) onRemove(selected);
      else if (event.key === 't' && selected !== null) onTurn(selected);
      else if (event.key === 'Escape') onSelect(null);
      else return;
      event.preventDefault();
    },
  } as ViewProps;

  return (
    <View ref={holder} style={{ backgroundColor: colours.surface }}>
      <ScaleNote exaggeration={drawn.exaggeration} dashed={ghost ? SECTION_EDITOR.afterFiring : null} />
      <View style={{ position: 'absolute', left: 0, top: 0, zIndex: 2 }}>
        <Action kind="plain" title="+ Layer" label={SECTION_EDITOR.layerOnTop} testID="add-layer" onPress={onAdd} />
      </View>
      <GestureDetector gesture={gesture} touchAction="pan-y" userSelect="none">
        <View
          {...keys}
          tabIndex={0}
          role={'listbox' as never}
          aria-label={SECTION_EDITOR.arrowsChooseLayer(sectionWords(layers, units.length))}
          aria-activedescendant={selected === null ? undefined : `layer-option-${selected}`}
          testID="section-editor"
        >
          <Svg width={width} height={height} aria-hidden>
            <SectionShapes drawn={drawn} layers={layers} width={width} selected={selected} lifted={lifted} ghost={lifted ? null : ghost} />
            {marks.map(({ lower, upper, tone }) => (
              <Mark
                key={`${lower}-${upper}`}
                x={drawn.x(footprintSpan(footprint) / 2) + 2}
                y={drawn.bands[upper].y + drawn.bands[upper].height}
                colour={tone === 'warn' ? colours.warn : colours.ink}
                ground={colours.surface}
              />
            ))}
            {lifted && <LandingLine drawn={drawn} layer={lifted.layer} to={lifted.to} width={width} colour={colours.touch} />}
          </Svg>
          <Hidden>
            {names.map((name, index) => (
              <View key={index} role={'option' as never} aria-selected={index === selected} nativeID={`layer-option-${index}`} aria-label={name} />
            ))}
          </Hidden>
        </View>
      </GestureDetector>
      {selected !== null && trims && !lifted && <LayerHandles drawn={drawn} layer={selected} trims={trims} width={width} onTrim={onTrim} />}
      <SectionTable layers={layers} unit={units.length} />
    </View>
  );
}

/** The kite of a warning, at the edge of the contact it speaks of. */
function Mark({ x, y, colour, ground }: { x: number; y: number; colour: string; ground: string }) {
  const r = MARK_PX;
  return (
    <Path
      d={`M${x + r} ${y - r}L${x + 2 * r} ${y}L${x + r} ${y + r}L${x} ${y}ZM${x + r} ${y - 4}V${y + 1}M${x + r} ${y + 3}V${y + 4.5}`}
      fill={ground}
      stroke={colour}
      strokeWidth={2}
    />
  );
}

interface LandingProps {
  drawn: ReturnType<typeof sectionGeometry>;
  layer: number;
  to: number;
  width: number;
  colour: string;
}

function LandingLine({ drawn: { bands, shelfY }, layer, to, width, colour }: LandingProps) {
  const others = bands.filter((_, i) => i !== layer);
  const y = to === 0 ? shelfY : others[to - 1].y;
  return <Line x1={8} x2={width - 8} y1={y} y2={y} stroke={colour} strokeWidth={3} />;
}
