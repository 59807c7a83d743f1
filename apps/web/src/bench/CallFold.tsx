/** How this device calls at look-in time: to be tried beforehand, to be allowed, and into a calendar. */
import { LOOK_NAMES } from '@torvin/core/look';
import { type Moments, momentsOf, openingTemperature } from '@torvin/core/schedule';
import { fileName, formatTemperature, text } from '@torvin/core/units';
import type { FiringDetail } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { asRun } from '@/notebook/asRun';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Fold } from '@/ui/Fold';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { chime, readyToSound, shake } from '@/ui/chime';
import { clockAfter } from '@/ui/clock';
import { download } from '@/ui/download';
import { canStayAwake, useAwake } from '@/ui/useAwake';
import { useHere } from '@/ui/useCallsHere';
import { CALL_FOLD } from './words';

export function CallFold({ detail, now }: { detail: FiringDetail; now: number }) {
  const { firing } = detail;
  const { segments, evaluation } = asRun(detail);
  const moments = momentsOf(segments, evaluation.simulation);
  const [awake, setAwake] = useHere('awake');
  const seconds = (now - firing.firedAt) / 1000;
  useAwake(awake && seconds >= 0 && seconds < moments.look.to_s);
  return (
    <Fold title={CALL_FOLD.alerts} about={CALL_FOLD.soundCheckTime} testID="call-fold">
      {() => (
        <View style={{ gap: space.small }}>
          <ByThisDevice when={seconds < moments.look.to_s ? CALL_FOLD.at(clockAfter(new Date(firing.firedAt), moments.look.from_s)) : CALL_FOLD.nextCheck} />
          {canStayAwake() ? (
            <Tick on={awake} title={CALL_FOLD.keepScreenUntil} onPress={() => setAwake(!awake)} testID="stay-awake" />
          ) : (
            <Words size="label" tone="muted">
              {CALL_FOLD.browserCannotKeep}
            </Words>
          )}
          <IntoCalendar detail={detail} moments={moments} />
        </View>
      )}
    </Fold>
  );
}

type Permission = NotificationPermission | 'none';
const permissionNow = (): Permission => ('Notification' in window && window.isSecureContext ? Notification.permission : 'none');

function ByThisDevice({ when }: { when: string }) {
  const [calls, setCalls] = useHere('calls');
  const [tried, setTried] = useState<boolean | null>(null);
  const [permission, setPermission] = useState(permissionNow);
  const hear = (): void => {
    readyToSound();
    shake();
    // The browser takes a moment to let it.
    setTimeout(() => setTried(chime()), 100);
  };
  return (
    <>
      <Tick on={calls} title={CALL_FOLD.callDeviceAny(when)} onPress={() => setCalls(!calls)} testID="calls-here" />
      <Words size="label" tone="muted">
        {CALL_FOLD.sleepingPhoneClosed}
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title={CALL_FOLD.hearTheCall} testID="hear-call" onPress={hear} />
        {permission === 'default' && (
          <Action
            kind="second"
            title={CALL_FOLD.allowANotification}
            testID="allow-notification"
            onPress={() => void Notification.requestPermission().then(setPermission)}
          />
        )}
      </View>
      {tried !== null && (
        <Words size="label" tone="muted" aria-live="polite" testID="call-tried">
          {tried ? CALL_FOLD.nothingHeardLook : CALL_FOLD.browserDoesNot}
        </Words>
      )}
      {permission === 'denied' && (
        <Words size="label" tone="muted">
          {CALL_FOLD.notificationsPageTurned}
        </Words>
      )}
    </>
  );
}

function IntoCalendar({ detail: { firing, schedule }, moments }: { detail: FiringDetail; moments: Moments }) {
  const { temperatureUnit } = useStudio();
  const what = `${firing.pieceName}, ${LOOK_NAMES[firing.look].toLowerCase()}`;
  const take = async (): Promise<void> => {
    // Read when it is wanted: few ever do.
    const { calendarOf } = await import('@/files/calendar');
    const calendar = calendarOf({
      ...{ id: firing.stepId, what, kilnName: firing.kilnName, startsAt: firing.firedAt, moments, caution: WORK_CAUTIONS.kiln },
      opensBelow: text(formatTemperature(openingTemperature(schedule.snapshot.firing), temperatureUnit)),
    });
    download(fileName(what, 'ics'), new Blob([calendar], { type: 'text/calendar' }));
  };
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <Action kind="second" title={CALL_FOLD.intoACalendar} label={CALL_FOLD.addCalendarCheck} testID="take-ics" onPress={() => void take()} />
    </View>
  );
}
