/**
 * A firing rehearsed: its schedule is keyed into a controller of no make that counts and refuses as the studio's own does, what stands
 * in it is held against the plan, and it is run in quick time with kiln and glass computed. Nothing here starts a kiln.
 */
import { type Panel, type Run, keyIn, keysFor, newPanel, pressed, profileOf, startRun } from '@torvin/core/controller';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useComputed } from '@/engine/useComputed';
import { Slips } from '@/keyin/Slips';
import { controllerNow } from '@/keyin/controllerNow';
import { slotsOf } from '@/keyin/slots';
import { KeyedRows } from '@/panel/KeyedRows';
import { PanelView } from '@/panel/PanelView';
import { firingName } from '@/layup/describe';
import { keyInHref } from '@/ui/hrefs';
import type { StepPageParts } from '@/planner/useStepPage';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { isWide, useLayout } from '@/ui/useWidth';
import { RunOutcome } from './RunOutcome';
import { RunView } from './RunView';
import { REHEARSAL_SCREEN } from './words';

const DELAYS_H = ['0', '6', '12', '30'] as const;
type Delay = (typeof DELAYS_H)[number];

export function RehearsalScreen({ piece, step, schedule, shelves, outdated }: StepPageParts) {
  // The others of its load are still to be started with it.
  const { together } = useLocalSearchParams<{ together?: string }>();
  const wide = isWide(useLayout());
  const { firing } = schedule.snapshot;
  const controller = controllerNow(schedule, shelves);
  const profile = profileOf(controller);
  const { rows, switchOff } = keyIn(schedule.segments, controller);
  const [panel, setPanel] = useState<Panel>(() => newPanel(controller));
  const [run, setRun] = useState<Run | null>(null);
  const [start, setStart] = useState(() => new Date());
  const [delay, setDelay] = useState<Delay>('0');
  const [rings, setRings] = useState(false);
  const stored = Object.entries(panel.programs).filter(([, kept]) => kept.length > 0);
  const kept = stored.at(-1);
  const shown = kept ? [...kept[1]] : null;
  const { value: told } = useComputed('readBack', shown && { firing, segments: schedule.segments, controller, shown, older: [] });
  const { first } = slotsOf(controller);

  function begin(): void {
    if (!shown) return;
    setStart(new Date());
    setRun(
      startRun({
        rows: shown,
        controller,
        kiln: firing.kiln,
        offset_K: (firing.corrections?.offset_K ?? 0) + (firing.place_K ?? 0),
        delay_s: 3600 * Number(delay),
        rings,
      }),
    );
  }

  const keying = (
    <View style={{ gap: space.small, flex: wide ? 1 : undefined }}>
      <Heading>{REHEARSAL_SCREEN.toKey}</Heading>
      <KeyedRows rows={rows} controller={controller} testID="to-key" />
      <PanelView panel={panel} onPressed={setPanel} />
      <View style={{ alignItems: 'flex-start' }}>
        <Action
          kind="plain"
          title={REHEARSAL_SCREEN.keyMe}
          testID="key-for-me"
          onPress={() => setPanel(keysFor(rows, first, controller).reduce((one, key) => pressed(one, key), newPanel(controller)))}
        />
      </View>
      {kept && told && (
        <View testID="rehearsal-holds">
          <Notice tone={told.slips.length > 0 ? 'warn' : 'plain'}>
            {told.slips.length === 0 ? REHEARSAL_SCREEN.programHoldsAll(kept[0], rows.length) : REHEARSAL_SCREEN.programHoldsMend(kept[0], told.slips.length)}
          </Notice>
          {told.slips.length > 0 && <Slips slips={told.slips} wanted={rows} shown={shown ?? []} controller={controller} look={firing.look} />}
        </View>
      )}
    </View>
  );

  const running = (
    <View style={{ gap: space.small, flex: wide ? 1 : undefined }}>
      <Heading>{REHEARSAL_SCREEN.toRun}</Heading>
      {run === null || notTaken(run) ? (
        <>
          {profile.mostDelay_s !== undefined && (
            <Choice<Delay>
              label={REHEARSAL_SCREEN.delayHours}
              value={delay}
              options={DELAYS_H.map((hours) => ({ value: hours, title: hours === '0' ? 'none' : hours }))}
              onChange={setDelay}
              testID="rehearsal-delay"
            />
          )}
          {profile.alarms && <Tick on={rings} title={REHEARSAL_SCREEN.ringWhenTime} onPress={() => setRings(!rings)} testID="rehearsal-rings" />}
          {run?.refused && (
            <Notice tone="warn" testID="rehearsal-refused">
              {run.refused}
            </Notice>
          )}
          <Action title={REHEARSAL_SCREEN.runQuickTime} disabled={shown === null} testID="rehearsal-start" onPress={begin} />
          {shown === null && <Words tone="muted">{REHEARSAL_SCREEN.keyProgramFirst}</Words>}
        </>
      ) : (
        <>
          <RunView run={run} setRun={setRun} start={start} />
          {told && <RunOutcome run={run} start={start} planned={{ firing, segments: schedule.segments, switchOff, evaluation: told.asPlanned }} />}
          <Action kind="second" title={REHEARSAL_SCREEN.runItAgain} testID="rehearsal-again" onPress={() => setRun(null)} />
        </>
      )}
    </View>
  );

  return (
    <Screen
      title={REHEARSAL_SCREEN.rehearsal}
      subtitle={REHEARSAL_SCREEN.asCounts(piece.name, controller.name)}
      back={{ title: firingName(step), href: keyInHref(piece.id, step.id, together) }}
    >
      <View style={{ gap: space.large }}>
        <Words>{REHEARSAL_SCREEN.controllerNoMake(controller.name)}</Words>
        {outdated.length > 0 && (
          <Notice tone="warn" testID="rehearsal-outdated">
            {REHEARSAL_SCREEN.scheduleOutDate(outdated.join(' '))}
          </Notice>
        )}
        <View style={{ flexDirection: wide ? 'row' : 'column', gap: space.wide }}>
          {keying}
          {running}
        </View>
      </View>
    </Screen>
  );
}

/** Refused before anything ran. */
const notTaken = ({ state, at_s, events }: Run): boolean => state === 'stopped' && at_s === 0 && events.length === 0;

function Heading({ children }: { children: string }) {
  return (
    <Words size="title" bold role="heading" aria-level={2}>
      {children}
    </Words>
  );
}
