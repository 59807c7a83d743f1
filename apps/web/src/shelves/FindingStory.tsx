/** The trials that a finding came from: back to their series. */
import type { FindingRecord } from '@torvin/schema';
import { View } from 'react-native';
import { LinkRow } from '@/ui/LinkRow';
import { Words } from '@/ui/Words';
import { FINDING_STORY } from './words';

export function FindingStory({ finding: { trials } }: { finding: FindingRecord }) {
  const [first, ...rest] = trials;
  return (
    <View role="list">
      <LinkRow href={`/notebook/${first}/series?with=${rest.join(',')}`} inset={0} testID="finding-trials">
        <Words bold tone="touch">
          {FINDING_STORY.trials(trials.length)}
        </Words>
      </LinkRow>
    </View>
  );
}
