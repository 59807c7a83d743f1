/** A line of words at the bottom of whatever page is open, with what can be done about it. */
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from './Words';

export function BottomLine({ children, actions, testID }: { children: string; actions: ReactNode; testID: string }) {
  const { colours } = useTheme();
  return (
    <View
      role={'status' as never}
      testID={testID}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.small,
        paddingHorizontal: space.large,
        backgroundColor: colours.surface,
        borderTopWidth: 1,
        borderColor: colours.line,
      }}
    >
      <View style={{ flex: 1, paddingVertical: space.small }}>
        <Words>{children}</Words>
      </View>
      {actions}
    </View>
  );
}
