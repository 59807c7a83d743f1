/** A given schedule as it does here: what it keeps and breaks, and beside what it did where it came out right. */
import { brokenOf, brokenSentence, consequences, openingTemperature, verdictOf } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import type { FiringDetail } from '@torvin/schema';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { asRun } from '@/notebook/asRun';
import type { Given } from '@/planner/useGivenSchedule';
import { space } from '@/theme/theme';
import { Notice } from '@/ui/Notice';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { JUDGED_HERE } from './words';

export interface GivenHere extends Given {
  /** The closed kiln was put at its end. */
  closes: boolean;
}

/** What the verdict says in short stands above it in full. */
const IN_FULL = /^(Keeps every limit|Breaks \d+ limit|The kiln gets no further)/;

export function JudgedHere({ judged: { snapshot, segments, evaluation, closes }, proven }: { judged: GivenHere; proven: FiringDetail | null }) {
  const units = useUnits();
  const { firing } = snapshot;
  const broken = brokenOf(evaluation.readings);
  const said = broken.map((reading) => brokenSentence(reading, units, firing.look));
  const { stalled } = evaluation.simulation;
  const then = proven && { firing: proven.schedule.snapshot.firing, evaluation: asRun(proven).evaluation };
  return (
    <View style={{ gap: space.small }} testID="paper-judged">
      {closes && <Words testID="paper-closes">{JUDGED_HERE.afterLastRow(text(formatTemperature(openingTemperature(firing), units.temperature)))}</Words>}
      <Notice tone={broken.length > 0 || stalled ? 'warn' : 'plain'} testID={broken.length > 0 || stalled ? 'paper-breaks' : 'paper-keeps'}>
        {stalled
          ? JUDGED_HERE.kilnWouldGet(text(formatTemperature(stalled.at_C, units.temperature)))
          : broken.length === 0
            ? JUDGED_HERE.pieceKeepsEvery
            : JUDGED_HERE.pieceBreaks(broken.length, said.join(' '))}
      </Notice>
      {then ? (
        <SideBySide heads={[JUDGED_HERE.asItWas, 'here']} rows={consequences(then, { firing, evaluation }, units)} testID="proven-figures" />
      ) : (
        verdictOf(firing, evaluation, units, segments)
          .filter((sentence) => !IN_FULL.test(sentence))
          .map((sentence) => <Words key={sentence}>{sentence}</Words>)
      )}
    </View>
  );
}
