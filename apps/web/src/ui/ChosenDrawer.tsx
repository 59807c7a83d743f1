/** What can be done with several that were chosen; it stays while rows are chosen, and is the way out. */
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Drawer } from './Drawer';
import { CHOSEN } from './said';

export interface ChosenDrawerProps {
  count: number;
  /** Of those that the list shows. */
  shown: number;
  onAll(): void;
  onEnd(): void;
  children: ReactNode;
}

export function ChosenDrawer({ count, shown, onAll, onEnd, children }: ChosenDrawerProps) {
  return (
    <Drawer title={count === 0 ? CHOSEN.none : CHOSEN.count(count)} label={CHOSEN.region} onClose={onEnd} closeLabel={CHOSEN.end} testID="chosen">
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small, paddingBottom: space.small }}>
        {count < shown && <Action kind="second" title={CHOSEN.all(shown)} testID="choose-all" onPress={onAll} />}
        {children}
      </View>
    </Drawer>
  );
}
