/** The sheets of a lay-up, top one first as they lie: glass, thickness, order, take away, add. */
import type { Glass } from '@torvin/schema';
import { useState } from 'react';
import { Pressable, View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Words } from '@/ui/Words';
import type { LayerEntry } from './pieceEntry';

export interface LayerRowsProps {
  /** Index 0 at the bottom. */
  layers: LayerEntry[];
  /** Those of the chosen family. */
  glasses: Glass[];
  atMost: number;
  errorOf(index: number): string | undefined;
  onChange(layers: LayerEntry[]): void;
}

const placeName = (index: number, count: number): string => (count === 1 ? 'Sheet' : index === 0 ? 'Base' : index === count - 1 ? 'Top' : `Sheet ${index + 1}`);

export function LayerRows({ layers, glasses, atMost, errorOf, onChange }: LayerRowsProps) {
  const { colours } = useTheme();
  const [choosing, setChoosing] = useState<string | null>(null);
  const change = (index: number, part: Partial<LayerEntry>): void => onChange(layers.map((layer, i) => (i === index ? { ...layer, ...part } : layer)));
  const rows = layers.map((layer, index) => {
    const glass = glasses.find(({ id }) => id === layer.glassId);
    const place = placeName(index, layers.length);
    return (
      <View key={layer.id} style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }}>
        <View style={{ flexDirection: 'row', alignItems: 'flex-start', gap: space.medium }}>
          <Pressable
            role="button"
            aria-expanded={choosing === layer.id}
            testID={`layer-${index}-glass`}
            onPress={() => setChoosing(choosing === layer.id ? null : layer.id)}
            style={{ flexDirection: 'row', alignItems: 'center', gap: space.medium, minHeight: TARGET, flex: 1 }}
          >
            <Swatch colour={glass?.colour} />
            <View style={{ flexShrink: 1 }}>
              <Words size="label" tone="muted">
                {place}
              </Words>
              <Words tone="touch">{glass?.name ?? 'choose a glass'}</Words>
            </View>
          </Pressable>
          <View style={{ width: 104 }}>
            <Field
              label="Thickness"
              value={layer.thickness}
              onChange={(thickness) => change(index, { thickness })}
              error={errorOf(index)}
              testID={`layer-${index}-thickness`}
            />
          </View>
          {layers.length > 1 && (
            <Action
              kind="plain"
              title="×"
              label={`Take away ${place}`}
              testID={`layer-${index}-remove`}
              onPress={() => onChange(layers.filter((_, i) => i !== index))}
            />
          )}
        </View>
        {choosing === layer.id && (
          <View
            role="radiogroup"
            aria-label={`Glass of ${place}`}
            style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, paddingTop: space.small }}
          >
            {glasses.map((option) => (
              <Pressable
                key={option.id}
                role="radio"
                aria-checked={option.id === layer.glassId}
                testID={`layer-${index}-glass-${option.id}`}
                onPress={() => {
                  change(index, { glassId: option.id });
                  setChoosing(null);
                }}
                style={{
                  flexDirection: 'row',
                  alignItems: 'center',
                  gap: space.small,
                  minHeight: TARGET,
                  paddingHorizontal: space.small,
                  borderWidth: 1,
                  borderColor: option.id === layer.glassId ? colours.touch : colours.line,
                }}
              >
                <Swatch colour={option.colour} />
                <Words>{option.name}</Words>
              </Pressable>
            ))}
          </View>
        )}
      </View>
    );
  });
  const copy = layers.at(-1);
  return (
    <View>
      <Words size="label" tone="muted">
        Sheets, top one first
      </Words>
      {rows.reverse()}
      <View style={{ borderTopWidth: 1, borderColor: colours.line, alignItems: 'flex-start' }}>
        {layers.length < atMost && copy ? (
          <Action kind="plain" title="+ Sheet on top" testID="add-layer" onPress={() => onChange([...layers, { ...copy, id: uuid() }])} />
        ) : (
          <Words size="label" tone="muted">
            {`${atMost} sheets at most`}
          </Words>
        )}
      </View>
    </View>
  );
}

/** A glass's colour, outlined so that pale glass stays visible. */
export function Swatch({ colour }: { colour?: string }) {
  const { colours } = useTheme();
  return <View style={{ width: 26, height: 16, backgroundColor: colour ?? 'transparent', borderWidth: 1, borderColor: colours.ink }} />;
}
