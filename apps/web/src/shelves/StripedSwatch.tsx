/** The colours of made glass in the order in which they lie in it. */
import type { Made, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { glassOf } from './everyGlass';

export function StripedSwatch({ shelves, made: { stripes, lie } }: { shelves: Shelves; made: Pick<Made, 'stripes' | 'lie'> }) {
  const { colours } = useTheme();
  return (
    <View
      style={{
        ...{ width: 26, height: 20, borderWidth: 1, borderColor: colours.ink, overflow: 'hidden' },
        flexDirection: lie === 'level' || lie === 'crosswise' ? 'column-reverse' : 'row',
      }}
    >
      {stripes.map(({ glassId, share }, i) => (
        <View key={i} style={{ flexGrow: share, flexBasis: 0, backgroundColor: glassOf(shelves, glassId)?.colour ?? colours.shelf }} />
      ))}
    </View>
  );
}
