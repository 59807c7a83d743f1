/** A controller of no make, as one stands before it: what it asks, what stands there, and its keys. */
import { type Key, type Panel, pressed, shown } from '@torvin/core/controller';
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, scaled, space } from '@/theme/theme';
import { FigureText } from '@/ui/FigureText';
import { Words } from '@/ui/Words';
import { PANEL_VIEW } from './words';

export interface PanelViewProps {
  panel: Panel;
  onPressed(next: Panel, key: Key): void;
}

interface KeyOf {
  key: Key;
  title: string;
}

const DIGITS: readonly (readonly Key[])[] = [
  ['7', '8', '9'],
  ['4', '5', '6'],
  ['1', '2', '3'],
];

export function PanelView({ panel, onPressed }: PanelViewProps) {
  const { colours } = useTheme();
  const { asks, figure, isOld, segment } = shown(panel);
  const { profile } = panel;
  const press = (key: Key): void => onPressed(pressed(panel, key), key);
  const mark = profile.holdAs === 'colon' ? ':' : '.';
  const rows: KeyOf[][] = [
    [
      { key: 'program', title: PANEL_VIEW.program },
      { key: 'review', title: PANEL_VIEW.lookThrough },
    ],
    ...DIGITS.map((digits) => digits.map((key): KeyOf => ({ key, title: key }))),
    [
      { key: 'mark', title: mark },
      { key: '0', title: '0' },
      { key: 'clear', title: PANEL_VIEW.clear },
    ],
    [{ key: 'back', title: PANEL_VIEW.back }, ...(profile.ends === 'done' ? [{ key: 'done', title: 'End' } as const] : []), { key: 'enter', title: 'Enter' }],
  ];
  return (
    <View style={{ gap: space.small, maxWidth: 360 }} role="group" aria-label={PANEL_VIEW.controller} testID="panel">
      <View
        style={{
          minHeight: scaled(112),
          padding: space.medium,
          backgroundColor: colours.surface,
          borderWidth: 1,
          borderColor: colours.muted,
          justifyContent: 'space-between',
        }}
        aria-live="polite"
        testID="panel-display"
      >
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <Words bold testID="panel-asks">
            {asks}
          </Words>
          <Words tone="muted">{segment > 0 ? PANEL_VIEW.segment(segment) : ''}</Words>
        </View>
        <View testID="panel-figure">
          <FigureText value={{ figure: figure || '–', unit: '' }} size="large" tone={isOld ? 'muted' : 'ink'} />
        </View>
        <Words size="label" tone={panel.refused ? 'warn' : 'muted'} bold={panel.refused !== ''} testID="panel-says">
          {panel.refused || (isOld ? PANEL_VIEW.leftOlderProgram : ' ')}
        </Words>
      </View>
      {rows.map((keys, i) => (
        <View key={i} style={{ flexDirection: 'row', gap: space.small }}>
          {keys.map(({ key, title }) => (
            <Pressable
              key={key}
              role="button"
              aria-label={KEY_NAMES[key] ?? title}
              onPress={() => press(key)}
              testID={`key-${key}`}
              style={{
                ...{ flex: 1, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
                ...{ borderWidth: 1, borderColor: colours.touch, backgroundColor: key === 'enter' ? colours.touch : colours.ground },
              }}
            >
              <Words bold tone={key === 'enter' ? 'onTouch' : 'touch'}>
                {title}
              </Words>
            </Pressable>
          ))}
        </View>
      ))}
    </View>
  );
}

const KEY_NAMES: Partial<Record<Key, string>> = { mark: PANEL_VIEW.markBetweenHours, clear: PANEL_VIEW.clearWhatTyped };
