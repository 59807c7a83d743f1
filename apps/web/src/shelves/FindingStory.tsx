/** What a finding says, and the trials that it came from: back to their series. */
import { LOOK_NAMES } from '@torvin/core/look';
import { FACTOR_NAMES, rangeWords } from '@torvin/core/schedule';
import type { FindingRecord } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { LinkRow } from '@/ui/LinkRow';
import { Words } from '@/ui/Words';
import { FINDING_STORY } from './words';

export function FindingStory({ finding: { look, factor, from, to, trials } }: { finding: FindingRecord }) {
  const units = useUnits();
  const [first, ...rest] = trials;
  return (
    <>
      <Words testID="finding-said">{FINDING_STORY.said(LOOK_NAMES[look], FACTOR_NAMES[factor], rangeWords(factor, from, to, units))}</Words>
      <View role="list">
        <LinkRow href={`/notebook/${first}/series?with=${rest.join(',')}`} inset={0} testID="finding-trials">
          <Words bold tone="touch">
            {FINDING_STORY.trials(trials.length)}
          </Words>
        </LinkRow>
      </View>
    </>
  );
}
