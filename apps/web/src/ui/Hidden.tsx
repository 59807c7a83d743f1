/** There for a screen reader and nobody else. */
import type { ReactNode } from 'react';
import { View } from 'react-native';

export function Hidden({ children }: { children: ReactNode }) {
  return <View style={{ position: 'absolute', width: 1, height: 1, overflow: 'hidden', opacity: 0 }}>{children}</View>;
}
