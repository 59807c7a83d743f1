/** 'Deleted. Bring it back': one line at the bottom after something was deleted, until it is brought back or put away. */
import { useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';

interface Offer {
  what: string;
  bringBack(): void;
}

let offer: Offer | null = null;
const listeners = new Set<() => void>();

export function offerBack(next: Offer | null): void {
  offer = next;
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export function TakeBackBar() {
  const { colours } = useTheme();
  const current = useSyncExternalStore(subscribe, () => offer);
  if (!current) return null;
  return (
    <View
      role={'status' as never}
      testID="take-back"
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
      <View style={{ flex: 1 }}>
        <Words>{current.what}</Words>
      </View>
      <Action
        kind="plain"
        title="Bring back"
        testID="bring-back"
        onPress={() => {
          current.bringBack();
          offerBack(null);
        }}
      />
      <Action kind="plain" title="×" label="Leave it deleted" onPress={() => offerBack(null)} />
    </View>
  );
}
