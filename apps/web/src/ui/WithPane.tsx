/** A page with a list or another page standing beside it where the window is wide. The page keeps its place in the tree, so that a tablet that is turned loses nothing typed. */
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';

/** pane: null where there is no room for one. width in px. */
export function WithPane({ pane, width, children }: { pane: ReactNode; width: number; children: ReactNode }) {
  const { colours } = useTheme();
  return (
    <View style={{ flex: 1, flexDirection: 'row', minHeight: 0 }}>
      {pane !== null && <View style={{ width, borderRightWidth: 1, borderColor: colours.line }}>{pane}</View>}
      <View style={{ flex: 1, minWidth: 0 }}>{children}</View>
    </View>
  );
}
