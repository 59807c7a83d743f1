/**
 * Stands at the bottom for one thing that is open: its name, what can be changed of it, and the way out. The kit's BottomSheet
 * and Dialog are modal: they would cover the drawing that is worked on while this is open, and take its keys.
 */
import { type ReactNode, useRef } from 'react';
import { ScrollView, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { useWayOut } from './useWayOut';
import { useDrawerPlace } from './useWidth';
import { DRAWER } from './said';

export interface DrawerProps {
  title: string;
  subtitle?: string;
  /** What a screen reader calls the region. */
  label: string;
  onClose(): void;
  closeLabel: string;
  children: ReactNode;
  testID: string;
  /** Belongs to no page: it stays under whichever is open, also where a page's own drawer stands beside it. */
  ofFrame?: boolean;
  /** Has figures that stand in two columns where there is room. */
  roomy?: boolean;
}

export function Drawer({ title, subtitle, label, onClose, closeLabel, children, testID, ofFrame = false, roomy = false }: DrawerProps) {
  const { colours } = useTheme();
  const place = useDrawerPlace();
  const inside = useRef<View & HTMLElement>(null);
  useWayOut(inside, onClose);
  const edge = place.beside && !ofFrame ? { borderLeftWidth: 2, width: '50%' as const } : { borderTopWidth: 2, maxHeight: place.height };
  return (
    <View
      ref={inside}
      tabIndex={-1}
      style={{ backgroundColor: colours.surface, borderColor: colours.touch, outlineStyle: 'none' as never, ...edge }}
      testID={testID}
      role="region"
      aria-label={label}
    >
      <ScrollView contentContainerStyle={{ paddingHorizontal: space.large, paddingBottom: space.small, maxWidth: roomy ? 2 * COLUMN_WIDTH : COLUMN_WIDTH }}>
        <View style={{ flexDirection: 'row', justifyContent: 'space-between', alignItems: 'center' }}>
          <View style={{ flex: 1 }}>
            <Words bold>{title}</Words>
            {subtitle !== undefined && (
              <Words size="note" tone="muted" numberOfLines={1}>
                {subtitle}
              </Words>
            )}
          </View>
          <Action kind="plain" title={DRAWER.done} label={closeLabel} testID={`close-${testID}`} onPress={onClose} />
        </View>
        {children}
      </ScrollView>
    </View>
  );
}
