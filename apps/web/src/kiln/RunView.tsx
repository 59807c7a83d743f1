/** A controller of no make while it runs: what it says and reads, its keys, and what happens to it from outside. */
import { type Run, type RunKey, cutFor, pressedInRun, ranToChange, shownInRun } from '@torvin/core/controller';
import { formatDifference, formatDuration, text } from '@torvin/core/units';
import { type Dispatch, type SetStateAction, useState } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { scaled, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FigureText } from '@/ui/FigureText';
import { Words } from '@/ui/Words';
import { clockAfter } from '@/ui/clock';
import { HoldLonger } from './HoldLonger';
import { type Pace, isOver, useQuickTime } from './useQuickTime';
import { RUN_VIEW } from './words';

export interface RunViewProps {
  run: Run;
  setRun: Dispatch<SetStateAction<Run | null>>;
  /** When it was started. */
  start: Date;
  /** The power may go: not where something else is practised. */
  cuts?: boolean;
  /** How fast time goes at first, and whether it does. */
  pace?: Pace;
  stands?: boolean;
}

const CUTS_S = [300, 2400, 4 * 3600] as const;

export function RunView({ run, setRun, start, cuts = true, pace: first = 'tenMinutes', stands = false }: RunViewProps) {
  const { colours } = useTheme();
  const [pace, setPace] = useState<Pace>(first);
  const [playing, setPlaying] = useState(!stands);
  const [longer, setLonger] = useState(false);
  useQuickTime(run, setRun, pace, playing);
  const { profile, state } = run;
  const { says, reads, segment, left_s } = shownInRun(run);
  const press = (key: RunKey): void => setRun((one) => one && pressedInRun(one, key));
  const over = isOver(run);
  const off = state === 'cut';
  const addsDegrees = profile.addDegrees_K === undefined ? null : text(formatDifference(profile.addDegrees_K, profile.unit));
  const last = run.events.at(-1);
  return (
    <View style={{ gap: space.small }} testID="run-view">
      <View
        role="group"
        aria-label={RUN_VIEW.whatControllerShows}
        style={{
          ...{ minHeight: scaled(112), padding: space.medium, justifyContent: 'space-between' },
          ...{ backgroundColor: colours.surface, borderWidth: 1, borderColor: run.ringing ? colours.warn : colours.muted },
        }}
        testID="run-display"
      >
        <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
          <Words bold testID="run-says">
            {off ? RUN_VIEW.withoutPower : run.ringing ? RUN_VIEW.itRings : says}
          </Words>
          <Words tone="muted" testID="run-segment">
            {segment > 0 ? RUN_VIEW.segment(segment) : ''}
          </Words>
        </View>
        <View testID="run-reads">
          <FigureText value={{ figure: off ? '–' : String(reads), unit: off ? '' : `°${profile.unit}` }} size="large" />
        </View>
        <Words size="label" tone={run.refused ? 'warn' : 'muted'} bold={run.refused !== ''} testID="run-left">
          {run.refused || (left_s === null ? ' ' : RUN_VIEW.left(text(formatDuration(60 * Math.ceil(left_s / 60)))))}
        </Words>
      </View>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {run.ringing && <Action title={RUN_VIEW.quiet} testID="run-quiet" onPress={() => press('quiet')} />}
        {profile.skips && <Action kind="second" title={RUN_VIEW.sendOn} label={RUN_VIEW.sendNextSegment} testID="run-skip" onPress={() => press('skip')} />}
        {profile.addTime_s !== undefined && !over && !longer && (
          <Action kind="second" title={RUN_VIEW.longerHold} testID="run-add-time" onPress={() => setLonger(true)} />
        )}
        {addsDegrees && (
          <Action
            kind="second"
            title={`+ ${addsDegrees}`}
            label={RUN_VIEW.goHotter(addsDegrees)}
            testID="run-add-degrees"
            onPress={() => press('addDegrees')}
          />
        )}
        {!over && <Action kind="second" title={RUN_VIEW.stopIt} testID="run-stop" onPress={() => press('stop')} />}
      </View>
      {longer && profile.addTime_s !== undefined && !over && (
        <HoldLonger step_s={profile.addTime_s} onLonger={(change) => setRun((one) => one && change(one))} />
      )}
      <Words testID="run-clock">
        {RUN_VIEW.sinceStarted(clockAfter(start, run.at_s), text(formatDuration(60 * Math.floor(run.at_s / 60))), last ? RUN_VIEW.lastIt(last.said) : '')}
      </Words>
      {!over && (
        <>
          <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
            <Action kind="second" title={playing ? RUN_VIEW.letTimeStand : RUN_VIEW.letTimeGo} testID="run-pause" onPress={() => setPlaying(!playing)} />
            <Action
              kind="second"
              title={RUN_VIEW.nextChange}
              disabled={run.ringing}
              testID="run-next"
              onPress={() => {
                setPlaying(false);
                setRun((one) => one && ranToChange(one));
              }}
            />
          </View>
          <Choice<Pace>
            label={RUN_VIEW.aSecondIs}
            value={pace}
            options={[
              { value: 'minute', title: RUN_VIEW.aMinute },
              { value: 'tenMinutes', title: '10 minutes' },
              { value: 'hour', title: RUN_VIEW.anHour },
            ]}
            onChange={setPace}
            testID="run-pace"
          />
          {cuts && !off && (
            <View role="group" aria-label={RUN_VIEW.powerGoes} style={{ gap: space.hair }}>
              <Words size="label" tone="muted">
                {RUN_VIEW.powerGoes}
              </Words>
              <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
                {CUTS_S.map((seconds) => (
                  <Action
                    key={seconds}
                    kind="second"
                    title={text(formatDuration(seconds))}
                    testID={`run-cut-${seconds}`}
                    onPress={() => setRun((one) => one && cutFor(one, seconds))}
                  />
                ))}
              </View>
            </View>
          )}
        </>
      )}
    </View>
  );
}
