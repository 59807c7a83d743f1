/** What was reckoned and kept, newest first: a touch types it again. */
import type { Reckoning } from '@torvin/schema';
import KitListItem from '@rneui/themed/dist/ListItem';
import { View } from 'react-native';
import { useReckonings } from '@/data/reckonings';
import { space } from '@/theme/theme';
import { Words } from '@/ui/Words';
import { dayAndClock } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import { SHEETS } from './sheets';
import { KEPT_RECKONINGS } from './words';

export function KeptReckonings({ onTake }: { onTake(reckoning: Reckoning): void }) {
  // A newer version may have kept some of a sheet that this one does not have.
  const kept = useReckonings().filter(({ kind }) => kind in SHEETS);
  const now = new Date(useNow());
  if (kept.length === 0) return null;
  return (
    <View style={{ paddingTop: space.large }} testID="reckon-kept">
      <Words bold role="heading" aria-level={3}>
        {KEPT_RECKONINGS.kept}
      </Words>
      {kept.map((one) => (
        <KitListItem
          key={one.id}
          role="button"
          onPress={() => onTake(one)}
          testID="reckon-kept-row"
          containerStyle={{ paddingHorizontal: 0, backgroundColor: 'transparent' }}
        >
          <KitListItem.Content>
            <Words tone="touch">{one.told}</Words>
            <Words size="note" tone="muted">
              {[SHEETS[one.kind].title, one.pieceName, dayAndClock(one.keptAt, now)].filter(Boolean).join(' · ')}
            </Words>
          </KitListItem.Content>
        </KitListItem>
      ))}
    </View>
  );
}
