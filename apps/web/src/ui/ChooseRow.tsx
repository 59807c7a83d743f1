/** A row of a list while several are chosen: a touch takes it, another lets it go. */
import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, space } from '@/theme/theme';
import { TickMark } from './Tick';
import { spaceChooses } from './spaceChooses';

export interface ChooseRowProps {
  on: boolean;
  name: string;
  onPress(): void;
  height?: number;
  inset?: number;
  testID: string;
  children: ReactNode;
}

export function ChooseRow({ on, name, onPress, height, inset = space.large, testID, children }: ChooseRowProps) {
  const { colours } = useTheme();
  return (
    <Pressable
      role="checkbox"
      aria-checked={on}
      aria-label={name}
      {...spaceChooses(onPress)}
      onPress={onPress}
      testID={testID}
      style={{
        ...{ flexDirection: 'row', alignItems: 'center', gap: space.medium, borderTopWidth: 1, borderColor: colours.line },
        ...{ paddingHorizontal: inset, paddingVertical: height === undefined ? space.small : 0, minHeight: TARGET, height },
        backgroundColor: on ? colours.surface : 'transparent',
      }}
    >
      <TickMark on={on} />
      <View style={{ flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.medium }}>{children}</View>
    </Pressable>
  );
}
