/** The layers in words, top one first as they lie: a touch opens one, its grip is dragged or moved by arrow keys. */
import { type DrawnLayer, LAYER_KINDS, type LaidLayer } from '@torvin/core/piece';
import { formatLength, formatStock, type LengthUnit, text } from '@torvin/core/units';
import KitListItem from '@rneui/themed/dist/ListItem';
import { useMemo, useRef, useState } from 'react';
import { View, type ViewProps } from 'react-native';
import { Gesture, GestureDetector } from 'react-native-gesture-handler';
import Svg, { Circle } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, scaled } from '@/theme/theme';
import { Swatch } from '@/ui/Swatch';
import { Words } from '@/ui/Words';
import { sliderProps } from '@/ui/sliderProps';
import { LAYER_ROWS } from './words';

export interface LayerRowsProps {
  /** Those of the body, index 0 at the bottom, and which of them the step lays: only they can be changed. */
  laid: readonly LaidLayer[];
  own: { from: number; to: number };
  layers: readonly DrawnLayer[];
  names: readonly string[];
  selected: number | null;
  onSelect(index: number): void;
  /** to: an index among the step's own. */
  onMove(id: string, to: number): void;
}

const ROW_HEIGHT = scaled(60);

export function LayerRows({ laid, own, layers, names, selected, onSelect, onMove }: LayerRowsProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const [lifted, setLifted] = useState<{ index: number; by: number } | null>(null);
  return (
    <View role="list" aria-label={LAYER_ROWS.layersTopOne}>
      {laid
        .map((layer, index) => (
          <View
            key={layer.id}
            role="listitem"
            style={{
              flexDirection: 'row',
              alignItems: 'center',
              minHeight: ROW_HEIGHT,
              borderTopWidth: 1,
              borderColor: colours.line,
              backgroundColor: index === selected || lifted?.index === index ? colours.surface : 'transparent',
              transform: [{ translateY: lifted?.index === index ? lifted.by : 0 }],
              zIndex: lifted?.index === index ? 1 : 0,
            }}
          >
            <KitListItem
              role="button"
              disabled={index < own.from || index >= own.to}
              onPress={() => onSelect(index)}
              testID={`layer-row-${index}`}
              style={{ flex: 1 }}
              containerStyle={{ paddingVertical: 0 }}
            >
              <Swatch colour={layers[index].colour} />
              <KitListItem.Content>
                <Words bold>{names[index]}</Words>
                <Words size="label" tone="muted">
                  {[
                    layers[index].name,
                    ...(layer.form === 'sheet' ? [] : [LAYER_KINDS[layer.form].name.toLowerCase()]),
                    ...(layers[index].coated ? [LAYER_ROWS.coating(layers[index].coated)] : []),
                  ].join(' · ')}
                </Words>
              </KitListItem.Content>
              <Words bold>{figureOf(layers[index], layer, units.length)}</Words>
            </KitListItem>
            {index >= own.from && index < own.to && (
              <Grip
                name={names[index]}
                index={index - own.from}
                count={own.to - own.from}
                onLift={(by) => setLifted(by === null ? null : { index, by })}
                onMove={(to) => onMove(layer.id, to)}
              />
            )}
          </View>
        ))
        .reverse()}
    </View>
  );
}

/** A rod is known by its diameter, chunks by the size of one; how deep a row of them lies on the whole is the drawing's to say. */
function figureOf({ thickness_m, cover, count }: DrawnLayer, layer: LaidLayer, unit: LengthUnit): string {
  const parts = [
    count === undefined ? '' : `${count} ×`,
    layer.form === 'chunks'
      ? `${formatLength(layer.thick_m, unit).figure} × ${text(formatLength(layer.wide_m, unit))}`
      : text(formatStock('diameter_m' in layer ? layer.diameter_m : thickness_m, unit)),
    cover === undefined || cover === 1 ? '' : `${Math.round(cover * 100)} %`,
  ];
  return parts.filter(Boolean).join(' ');
}

interface GripProps {
  name: string;
  index: number;
  count: number;
  /** How far it has been dragged, px; null when it is let go. */
  onLift(by: number | null): void;
  onMove(to: number): void;
}

/** Rows stand upside down: up the screen is up the stack. */
const rowsMoved = (by: number): number => -Math.round(by / ROW_HEIGHT);

function Grip({ name, index, count, onLift, onMove }: GripProps) {
  const { colours } = useTheme();
  const now = useRef({ onLift, onMove, index });
  now.current = { onLift, onMove, index };
  const gesture = useMemo(
    () =>
      Gesture.Pan()
        .runOnJS(true)
        .onUpdate(({ translationY }) => now.current.onLift(translationY))
        .onFinalize(({ translationY }, success) => {
          now.current.onLift(null);
          const rows = rowsMoved(translationY);
          if (success && rows !== 0) now.current.onMove(now.current.index + rows);
        }),
    [],
  );
  const keys = {
    onKeyDown(event: { key: string; preventDefault(): void }) {
      const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
      if (by === undefined) return;
      onMove(index + by);
      event.preventDefault();
    },
  } as ViewProps;
  return (
    <GestureDetector gesture={gesture} touchAction="none" userSelect="none">
      <View
        {...keys}
        {...sliderProps({
          name: LAYER_ROWS.placeOf(name),
          value: index + 1,
          least: 1,
          most: count,
          spoken: LAYER_ROWS.ofFromThe(index + 1, count),
          along: 'up',
        })}
        testID={`layer-grip-${index}`}
        style={{ width: TARGET, height: TARGET, alignItems: 'center', justifyContent: 'center', cursor: 'grab' as never }}
      >
        <Svg width={16} height={22} aria-hidden>
          {[3, 11, 19].flatMap((y) => [4, 12].map((x) => <Circle key={`${x} ${y}`} cx={x} cy={y} r={2} fill={colours.touch} />))}
        </Svg>
      </View>
    </GestureDetector>
  );
}
