/** Slides up from the bottom for one thing that is open: its name, what can be changed of it, and the way out. */
import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';

export interface DrawerProps {
  title: string;
  subtitle?: string;
  /** What a screen reader calls the region. */
  label: string;
  onClose(): void;
  closeLabel: string;
  children: ReactNode;
  testID: string;
}

export function Drawer({ title, subtitle, label, onClose, closeLabel, children, testID }: DrawerProps) {
  const { colours } = useTheme();
  return (
    <View
      style={{ backgroundColor: colours.surface, borderTopWidth: 2, borderColor: colours.touch, maxHeight: 420 }}
      testID={testID}
      role="region"
      aria-label={label}
    >
      <ScrollView contentContainerStyle={{ paddingHorizontal: space.large, paddingBottom: space.small, maxWidth: COLUMN_WIDTH }}>
        <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>
            <Words bold>{title}</Words>
            {subtitle !== undefined && (
              <Words size="note" tone="muted" numberOfLines={1}>
                {subtitle}
              </Words>
            )}
          </View>
          <Action kind="plain" title="Done" label={closeLabel} testID={`close-${testID}`} onPress={onClose} />
        </View>
        {children}
      </ScrollView>
    </View>
  );
}
