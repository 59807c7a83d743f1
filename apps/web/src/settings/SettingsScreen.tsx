/** What holds for the whole studio, or for this device: a row for each, which opens where it stands. */
import { asks } from '@torvin/schema';
import { useQuery } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { call } from '@/outside/client';
import { keys } from '@/outside/keys';
import { space } from '@/theme/theme';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Screen } from '@/ui/Screen';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { dayAndClock } from '@/ui/clock';
import { setLetters, useLetters } from '@/ui/shortcuts';
import { useHere } from '@/ui/useCallsHere';
import { useNow } from '@/ui/useNow';
import { isWide, useLayout } from '@/ui/useWidth';
import { AfterResults } from './AfterResults';
import { Backups } from './Backups';
import { OtherDevices } from './OtherDevices';
import { SetAside } from './SetAside';
import { StudioLimits } from './StudioLimits';
import { ScreenLook, StudioUnits } from './StudioUnits';
import { ThisDevice } from './ThisDevice';
import { SETTINGS } from './words';

/** Parts that an address opens: /settings?open=backup. */
export const SETTINGS_PARTS = ['units', 'limits', 'results', 'screen', 'alerts', 'devices', 'device', 'backup'] as const;
export type SettingsPart = (typeof SETTINGS_PARTS)[number];

export function SettingsScreen() {
  const { open } = useLocalSearchParams<{ open?: string }>();
  const { temperatureUnit, lengthUnit, massUnit, theme, limits = {}, learning = 'asks' } = useStudio();
  const own = Object.keys(limits).length;
  const [calls, setCalls] = useHere('calls');
  const [awake, setAwake] = useHere('awake');
  const letters = useLetters();
  const wide = isWide(useLayout());
  const column = wide ? { flex: 1, minWidth: 0 } : undefined;
  const part = (name: SettingsPart) => ({ testID: `settings-${name}`, opened: open === name });
  return (
    <Screen title={SETTINGS.title} subtitle={SETTINGS.about} padded={false}>
      <View style={wide ? { flexDirection: 'row', alignItems: 'flex-start' } : undefined}>
        <View style={column}>
          <Fold {...part('units')} title={SETTINGS.units} about={SETTINGS.unitsNow(temperatureUnit, lengthUnit, massUnit)}>
            {() => <StudioUnits />}
          </Fold>
          <Fold {...part('limits')} title={SETTINGS.limits} about={own === 0 ? SETTINGS.limitsUsual : SETTINGS.limitsOwn(own)}>
            {() => <StudioLimits />}
          </Fold>
          <Fold {...part('results')} title={SETTINGS.results} about={SETTINGS.resultsNow[learning]}>
            {() => <AfterResults />}
          </Fold>
          <Fold {...part('screen')} title={SETTINGS.screen} about={SETTINGS.screens[theme]}>
            {() => <ScreenLook />}
          </Fold>
          <Fold {...part('alerts')} title={SETTINGS.alerts} about={calls ? SETTINGS.alertsOn : SETTINGS.alertsOff}>
            {() => (
              <>
                <Tick on={calls} title={SETTINGS.callHere} onPress={() => setCalls(!calls)} testID="settings-calls" />
                <Tick on={awake} title={SETTINGS.stayAwake} onPress={() => setAwake(!awake)} testID="settings-awake" />
                <Tick on={letters} title={SETTINGS.letters} onPress={() => setLetters(!letters)} testID="settings-letters" />
              </>
            )}
          </Fold>
        </View>
        <View style={column}>
          <Fold {...part('devices')} title={SETTINGS.devices} about={SETTINGS.devicesAbout}>
            {() => <OtherDevices />}
          </Fold>
          <Fold {...part('device')} title={SETTINGS.device} about={SETTINGS.deviceAbout}>
            {() => <ThisDevice />}
          </Fold>
          <BackupRow opened={open === 'backup'} />
          <View role="list">
            <LinkRow href="/settings/diagnostics" testID="open-diagnostics">
              <View>
                <Words bold tone="touch">
                  {SETTINGS.report}
                </Words>
                <Words size="label" tone="muted">
                  {SETTINGS.reportAbout}
                </Words>
              </View>
            </LinkRow>
          </View>
          <View style={{ paddingHorizontal: space.large }}>
            <SetAside />
          </View>
        </View>
      </View>
    </Screen>
  );
}

function BackupRow({ opened }: { opened: boolean }) {
  const now = new Date(useNow());
  const { data } = useQuery({ queryKey: keys.backups, queryFn: ({ signal }) => call(asks.backups, { signal }) });
  const last = data?.kept[0];
  return (
    <Fold
      testID="settings-backup"
      opened={opened}
      title={SETTINGS.backup}
      about={data?.fault ? data.fault.message : last ? SETTINGS.backupLast(dayAndClock(last.madeAt, now)) : SETTINGS.backupNone}
      warns={data?.fault != null}
    >
      {() => <Backups />}
    </Fold>
  );
}
