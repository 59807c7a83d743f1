/** How this device calls at look-in time: to be tried beforehand, to be allowed, and into a calendar. */
import { RECIPES } from '@torvin/core/look';
import { type Moments, momentsOf, openingTemperature } from '@torvin/core/schedule';
import { fileName, formatTemperature, text } from '@torvin/core/units';
import type { FiringDetail } from '@torvin/schema';
import { useState } from 'react';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { asRun } from '@/notebook/differences';
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

export function CallFold({ detail, now }: { detail: FiringDetail; now: number }) {
  const { firing } = detail;
  const { segments, evaluation } = asRun(detail);
  const moments = momentsOf(segments, evaluation.simulation);
  const [awake, setAwake] = useHere('awake');
  const seconds = (now - firing.firedAt) / 1000;
  useAwake(awake && seconds >= 0 && seconds < moments.look.to_s);
  return (
    <Fold title="Alerts" about="sound at check time, keep screen on, add to calendar" testID="call-fold">
      {() => (
        <View style={{ gap: space.small }}>
          <ByThisDevice when={seconds < moments.look.to_s ? `at ${clockAfter(new Date(firing.firedAt), moments.look.from_s)}` : 'at the next check'} />
          {canStayAwake() ? (
            <Tick on={awake} title="Keep this screen on until the check is over" onPress={() => setAwake(!awake)} testID="stay-awake" />
          ) : (
            <Words size="label" tone="muted">
              This browser cannot keep the screen on here, for which it wants https: set the device’s own time-out instead.
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
      <Tick on={calls} title={`Call on this device ${when}, from any page of Torvin that is open`} onPress={() => setCalls(!calls)} testID="calls-here" />
      <Words size="label" tone="muted">
        A sleeping phone or a closed page cannot call, and every browser has limits of its own: set a kitchen timer too where much hangs on it.
      </Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title="Hear the call" testID="hear-call" onPress={hear} />
        {permission === 'default' && (
          <Action
            kind="second"
            title="Allow a notification …"
            testID="allow-notification"
            onPress={() => void Notification.requestPermission().then(setPermission)}
          />
        )}
      </View>
      {tried !== null && (
        <Words size="label" tone="muted" aria-live="polite" testID="call-tried">
          {tried ? 'That was it. Nothing heard? Look at the device’s volume, and whether it is on silent.' : 'This browser does not let the page sound.'}
        </Words>
      )}
      {permission === 'denied' && (
        <Words size="label" tone="muted">
          Notifications of this page are turned off in the browser’s own settings.
        </Words>
      )}
    </>
  );
}

function IntoCalendar({ detail: { firing, schedule }, moments }: { detail: FiringDetail; moments: Moments }) {
  const { temperatureUnit } = useStudio();
  const what = `${firing.pieceName}, ${RECIPES[firing.look].name.toLowerCase()}`;
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
      <Action
        kind="second"
        title="Into a calendar"
        label="Add to calendar: check, end of the program and opening, as a file"
        testID="take-ics"
        onPress={() => void take()}
      />
    </View>
  );
}
