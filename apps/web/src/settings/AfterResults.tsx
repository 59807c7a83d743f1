/** What plans make of results: at once or when asked, and what changes first. */
import { CHANGES_FIRST, type ChangesFirst } from '@torvin/core/schedule';
import { LEARNINGS, type Learning } from '@torvin/schema';
import { View } from 'react-native';
import { useSaveStudio, useStudio } from '@/data/studio';
import { Choice } from '@/ui/Choice';
import { Words } from '@/ui/Words';
import { AFTER_RESULTS } from './words';

export function AfterResults() {
  const { learning = 'asks', changesFirst = 'temperature' } = useStudio();
  const save = useSaveStudio();
  return (
    <View>
      <Choice<Learning>
        label={AFTER_RESULTS.learning}
        value={learning}
        options={LEARNINGS.map((one) => ({ value: one, ...AFTER_RESULTS.learnings[one] }))}
        onChange={(next) => save({ learning: next })}
        testID="learning"
      />
      <Words size="label" tone="muted">
        {AFTER_RESULTS.learningAbout}
      </Words>
      <Choice<ChangesFirst>
        label={AFTER_RESULTS.changes}
        value={changesFirst}
        options={CHANGES_FIRST.map((one) => ({ value: one, title: AFTER_RESULTS.changed[one] }))}
        onChange={(next) => save({ changesFirst: next })}
        testID="changes-first"
      />
    </View>
  );
}
