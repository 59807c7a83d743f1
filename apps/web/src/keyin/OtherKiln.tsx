/** The same schedule in another kiln, by another controller: what it is keyed as there, what it does there, and planning it there as it is. */
import { keyIn, profileWords } from '@torvin/core/controller';
import { brokenOf, brokenSentence, consequences } from '@torvin/core/schedule';
import type { Piece, Schedule, Shelves, Step } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { KeyedRows } from '@/panel/KeyedRows';
import { type Given, useGivenSchedule } from '@/planner/useGivenSchedule';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { OTHER_KILN } from './words';
import { WORDS } from '@/ui/said';

export interface OtherKilnProps {
  piece: Piece;
  step: Step;
  schedule: Schedule;
  shelves: Shelves;
}

export function OtherKiln({ piece, step, schedule, shelves }: OtherKilnProps) {
  const units = useUnits();
  const [kilnId, setKiln] = useState(step.kilnId);
  const [controllerId, setController] = useState(step.controllerId);
  const there: Step = { ...step, kilnId, controllerId };
  const given = useGivenSchedule(piece, there, shelves);
  const [judged, setJudged] = useState<(Given & { at: string }) | null>(null);
  const at = `${kilnId} ${controllerId}`;
  const shown = judged?.at === at ? judged : null;
  const offered = <T extends { id: string }>(records: readonly T[], own: string): T[] =>
    records.filter(({ id }) => id === own || !shelves.archived.includes(id));
  const controller = shelves.controllers.find(({ id }) => id === controllerId);
  if (!controller) return null;
  const { rows, remarks } = keyIn(schedule.segments, controller);
  const isSame = kilnId === step.kilnId && controllerId === step.controllerId;
  const broken = shown ? brokenOf(shown.evaluation.readings) : [];
  return (
    <>
      <Choice
        label={WORDS.kiln}
        value={kilnId}
        options={offered(shelves.kilns, step.kilnId).map(({ id, name }) => ({ value: id, title: name }))}
        onChange={setKiln}
        testID="other-kiln"
      />
      <Choice
        label={OTHER_KILN.controller}
        value={controllerId}
        options={offered(shelves.controllers, step.controllerId).map((one) => ({ value: one.id, title: one.name, note: profileWords(one) }))}
        onChange={setController}
        testID="other-controller"
      />
      {isSame ? (
        <Words tone="muted">{OTHER_KILN.oneSheet}</Words>
      ) : (
        <View style={{ gap: space.small }} testID="keyed-there">
          <KeyedRows rows={rows} controller={controller} units testID="rows-there" />
          {remarks.map(({ kind, message }) => (
            <Notice key={message} tone={kind === 'cannot' ? 'warn' : 'plain'}>
              {message}
            </Notice>
          ))}
          {shown === null ? (
            <Action
              kind="second"
              title={given.working ? WORDS.judging : OTHER_KILN.judgeItThere}
              disabled={given.working}
              testID="judge-there"
              onPress={() => void given.judge(() => schedule.segments).then((found) => found && setJudged({ ...found, at }))}
            />
          ) : (
            <>
              <Notice tone={broken.length > 0 ? 'warn' : 'plain'} testID="judged-there">
                {broken.length === 0
                  ? OTHER_KILN.keepsEveryLimit
                  : OTHER_KILN.thereItBreaks(broken.length, broken.map((reading) => brokenSentence(reading, units, shown.snapshot.firing.look)).join(' '))}
              </Notice>
              <SideBySide
                heads={[schedule.snapshot.kilnName, shown.snapshot.kilnName]}
                rows={consequences(
                  { firing: schedule.snapshot.firing, evaluation: schedule.result },
                  { firing: shown.snapshot.firing, evaluation: shown.evaluation },
                  units,
                )}
                testID="figures-there"
              />
              <Action title={OTHER_KILN.planItThere} disabled={given.working} testID="plan-there" onPress={() => void given.keep(shown)} />
            </>
          )}
          {given.problem && <Notice tone="warn">{given.problem.message}</Notice>}
        </View>
      )}
    </>
  );
}
