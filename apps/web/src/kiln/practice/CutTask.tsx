/** What a controller does when the power is back, and what becomes of the glass. */
import { STILL_WARM_K, keyIn, profileOf } from '@torvin/core/controller';
import { PRACTICE_FIRING, afterCutWords, powerCut } from '@torvin/core/practice';
import { type TemperatureUnit, formatDifference, formatDuration, formatTemperature, text } from '@torvin/core/units';
import { useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { RunOutcome } from '../RunOutcome';
import { type Practised, Verdict } from './shared';
import { CUT_TASK } from '../words';

type Says = 'goesOn' | 'stops';

export function CutTask({ segments, evaluation, turn, onDone }: Practised) {
  const units = useUnits();
  const [start] = useState(() => new Date());
  const [cut] = useState(() => powerCut(segments, turn));
  const [said, setSaid] = useState<Says | null>(null);
  const right = said !== null && (said === 'goesOn') === cut.goesOn;
  const { switchOff } = keyIn(segments, cut.controller);
  return (
    <View style={{ gap: space.medium }}>
      <Words>
        {CUT_TASK.soaksWayDown(cut.controller.name, text(formatTemperature(cut.run.cutFrom_C, units.temperature)), text(formatDuration(cut.cut_s)), WARM)}
      </Words>
      <Words tone="muted">{CUT_TASK.whatPapersSay(papersOf(units.temperature)[profileOf(cut.controller).afterCut])}</Words>
      {said === null ? (
        <View style={{ gap: space.small }}>
          {(['goesOn', 'stops'] as const).map((one) => (
            <Action
              key={one}
              kind="second"
              title={one === 'goesOn' ? CUT_TASK.goesSoak : CUT_TASK.stopsGlassCools}
              testID={`cut-${one}`}
              onPress={() => {
                setSaid(one);
                onDone((one === 'goesOn') === cut.goesOn);
              }}
            />
          ))}
        </View>
      ) : (
        <>
          <Verdict passed={right}>
            {CUT_TASK.kilnCameDown(text(formatTemperature(cut.run.past.at(-1)?.target_C ?? 0, units.temperature)), afterCutWords(cut.controller))}
          </Verdict>
          <RunOutcome run={cut.run} start={start} planned={{ firing: PRACTICE_FIRING, segments, switchOff, evaluation }} />
        </>
      )}
    </View>
  );
}

const WARM = CUT_TASK.nobodyOpensKiln;
const papersOf = (unit: TemperatureUnit) => ({
  goesOn: CUT_TASK.afterCutProgram,
  goesOnIfWarm: CUT_TASK.afterCutProgramTaken(text(formatDifference(STILL_WARM_K, unit))),
  stops: CUT_TASK.afterCutWaits,
});
