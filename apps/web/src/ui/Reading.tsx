/** Stands where something is being read: said, and as bars where its lines will be. */
import KitSkeleton from '@rneui/themed/dist/Skeleton';
import { View } from 'react-native';
import { space } from '@/theme/theme';
import { Hidden } from './Hidden';
import { Words } from './Words';
import { READING } from './said';

const LINES = ['92%', '76%', '84%'] as const;

export const Reading = () => (
  <View aria-busy style={{ gap: space.medium, paddingVertical: space.small }}>
    <Hidden>
      <Words>{READING.reading}</Words>
    </Hidden>
    <View aria-hidden style={{ gap: space.medium }}>
      {LINES.map((width) => (
        <KitSkeleton key={width} style={{ width }} />
      ))}
    </View>
  </View>
);
