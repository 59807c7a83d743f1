/** Of a release: how far its bottle or roll has gone, by the coats that were told; and what one gave, once it is empty. */
import { usedOf, usedWords } from '@torvin/core/release';
import type { Release, Shelves } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { RELEASE_STORY } from './words';

export interface ReleaseStoryProps {
  release: Release;
  shelves: Shelves;
  /** It is empty, and gave so many: the next one is opened today. */
  onEmpty(coats: number): void;
}

export function ReleaseStory({ release, shelves, onEmpty }: ReleaseStoryProps) {
  const units = useUnits();
  const laid = shelves.coated.flatMap(({ releaseId, formId, coats, coatedAt, by }) => {
    const on = shelves.forms.find(({ id }) => id === formId);
    return releaseId === release.id && on ? [{ coats, at: coatedAt, on, onId: formId, ...(by ? { by } : {}) }] : [];
  });
  const used = usedOf(laid, release.openedAt);
  return (
    <View style={{ gap: space.small }}>
      <Words testID="release-used">{usedWords(used, release.yields, units)}</Words>
      {used.coats > 0 && (
        <View style={{ alignItems: 'flex-start' }}>
          <Action
            kind="plain"
            title={RELEASE_STORY.emptyGave(used.coats)}
            label={RELEASE_STORY.emptyGaveCount(used.coats)}
            testID="release-empty"
            onPress={() => onEmpty(used.coats)}
          />
        </View>
      )}
    </View>
  );
}
