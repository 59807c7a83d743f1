/** Eight segments joined to six, judged by what that does to the glass. */
import { keyIn, rowWords } from '@torvin/core/controller';
import { PRACTICE_FIRING, SHORTEN, isShortened, lengthened } from '@torvin/core/practice';
import { type Evaluation, ROLE_NAMES, brokenOf, brokenSentence, consequences, joinSegments, removeSegment } from '@torvin/core/schedule';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { compute } from '@/engine/client';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { type Practised, Verdict } from './shared';
import { SHORTEN_TASK } from '../words';
import { WORDS } from '@/ui/said';

export function ShortenTask({ controller, segments: planned, evaluation, onDone }: Practised) {
  const units = useUnits();
  const [segments, setSegments] = useState(() => lengthened(planned, controller));
  const [judged, setJudged] = useState<Evaluation | null>(null);
  const { rows } = keyIn(segments, controller);
  const short = rows.length <= SHORTEN.to;
  const take = (outcome: ReturnType<typeof joinSegments>): void => {
    if (outcome.ok) setSegments(outcome.value);
  };
  async function judge(): Promise<void> {
    const outcome = await compute('evaluate', { firing: PRACTICE_FIRING, segments });
    if (!outcome.ok) return;
    setJudged(outcome.value);
    onDone(isShortened(segments, controller, outcome.value));
  }
  const passed = judged !== null && isShortened(segments, controller, judged);
  return (
    <View style={{ gap: space.medium }}>
      <Words>{SHORTEN_TASK.controllerHoldsRun(SHORTEN.to, SHORTEN.from)}</Words>
      <Words bold testID="shorten-count">
        {SHORTEN_TASK.segments(rows.length)}
      </Words>
      <View role="list" style={{ gap: space.hair }}>
        {rows.map((row, i) => (
          <View key={i} role="listitem" style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
            <View style={{ flex: 1 }}>
              <Words>{`${i + 1}. ${rowWords(row, controller)}`}</Words>
              <Words size="note" tone="muted">
                {ROLE_NAMES[segments[row.segment].role]}
              </Words>
            </View>
            {judged === null &&
              (i < rows.length - 1 ? (
                <Action
                  kind="plain"
                  title={SHORTEN_TASK.joinToNext}
                  label={SHORTEN_TASK.joinNextSegment(i + 1)}
                  testID={`join-${i}`}
                  onPress={() => take(joinSegments(segments, row.segment))}
                />
              ) : (
                <Action
                  kind="plain"
                  title={SHORTEN_TASK.leaveOut}
                  label={SHORTEN_TASK.leaveOutSegment(i + 1)}
                  testID={`leave-out-${i}`}
                  onPress={() => take(removeSegment(segments, row.segment))}
                />
              ))}
          </View>
        ))}
      </View>
      {judged === null ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <Action title={SHORTEN_TASK.judgeIt} disabled={!short} testID="judge-short" onPress={() => void judge()} />
          <Action kind="second" title={SHORTEN_TASK.fromTheBeginning} testID="shorten-anew" onPress={() => setSegments(lengthened(planned, controller))} />
        </View>
      ) : (
        <>
          <Verdict passed={passed}>
            {passed
              ? SHORTEN_TASK.keepsEveryLimit
              : brokenOf(judged.readings)
                  .map((reading) => brokenSentence(reading, units, PRACTICE_FIRING.look))
                  .join(' ')}
          </Verdict>
          <SideBySide
            heads={[WORDS.asPlanned, SHORTEN_TASK.withSix]}
            rows={consequences({ firing: PRACTICE_FIRING, evaluation }, { firing: PRACTICE_FIRING, evaluation: judged }, units)}
            testID="shorten-changes"
          />
        </>
      )}
    </View>
  );
}
