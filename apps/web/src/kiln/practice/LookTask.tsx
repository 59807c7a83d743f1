/** A kiln that does less than it says: looked into, and held for longer until the glass is as it should be. */
import { type Run, keyIn, ranSoFar, ranToChange, startRun } from '@torvin/core/controller';
import { hottestSegment } from '@torvin/core/heat';
import { RECIPES } from '@torvin/core/look';
import { PRACTICE_FIRING, READING_OFF, READS_OFF_K, seenAs } from '@torvin/core/practice';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { compute } from '@/engine/client';
import { useComputed } from '@/engine/useComputed';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { RunOutcome, partsOf } from '../RunOutcome';
import { RunView } from '../RunView';
import { type Practised, Verdict, able, insteadWords } from './shared';
import { LOOK_TASK } from '../words';

export function LookTask({ controller: asked, segments, evaluation, onDone }: Practised) {
  const controller = able(asked, ({ addTime_s }) => addTime_s !== undefined);
  const { rows, switchOff } = keyIn(segments, controller);
  const hottest = hottestSegment(segments);
  const [start] = useState(() => new Date());
  const [run, setRun] = useState<Run | null>(() => {
    let one = startRun({ rows, controller, kiln: PRACTICE_FIRING.kiln, offset_K: READS_OFF_K });
    while (one.index < hottest && one.state !== 'done') one = ranToChange(one);
    return one;
  });
  const [seen, setSeen] = useState<string | null>(null);
  const left = run !== null && run.index > hottest;
  const parts = run && partsOf(run, { segments, switchOff });
  const { value } = useComputed('evaluate', left && parts ? { firing: READING_OFF, segments: parts } : null);
  const result = left && value ? seenAs(READING_OFF, value) : null;
  useEffect(() => {
    if (result !== null) onDone(result === 'right');
    // Once for each run: its result does not change any more.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [result]);
  async function look(): Promise<void> {
    if (!run) return;
    const so = await compute('evaluate', { firing: READING_OFF, segments: ranSoFar(run) });
    setSeen(so.ok ? RECIPES.fullFuse.looksLike[seenAs(READING_OFF, so.value)] : so.problem.message);
  }
  if (!run) return null;
  return (
    <View style={{ gap: space.medium }}>
      <Words>{LOOK_TASK.kilnDoesLess(RECIPES.fullFuse.looksLike.right, insteadWords(asked, controller, LOOK_TASK.makesNoHoldLonger))}</Words>
      <RunView run={run} setRun={setRun} start={start} cuts={false} pace="minute" stands />
      {!left && <Action title={LOOK_TASK.check} testID="look-in" onPress={() => void look()} />}
      {seen !== null && !left && <Words testID="look-seen">{LOOK_TASK.youSee(seen)}</Words>}
      {result !== null && (
        <>
          <Verdict passed={result === 'right'}>
            {result === 'right'
              ? LOOK_TASK.cameOutShould
              : result === 'early'
                ? LOOK_TASK.fellShortNeeded(RECIPES.fullFuse.looksLike.early)
                : LOOK_TASK.wentTooFar(RECIPES.fullFuse.looksLike.late)}
          </Verdict>
          <RunOutcome run={run} start={start} planned={{ firing: READING_OFF, segments, switchOff, evaluation }} />
        </>
      )}
    </View>
  );
}
