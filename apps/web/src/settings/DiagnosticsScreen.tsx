/** What goes with a report of a fault, to be looked through before it is handed on. */
import { asks } from '@torvin/schema';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns/format';
import { View } from 'react-native';
import { call, problemOfError } from '@/outside/client';
import { useEntries, useOutbox } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { download } from '@/ui/download';
import { DIAGNOSTICS_SCREEN, SETTINGS } from './words';

export function DiagnosticsScreen() {
  const { data, error } = useQuery({ queryKey: ['diagnostics'], queryFn: ({ signal }) => call(asks.diagnostics, { signal }), staleTime: 0 });
  const entries = useEntries();
  const outbox = useOutbox();
  const here = {
    browser: navigator.userAgent,
    window: DIAGNOSTICS_SCREEN.xPoint(window.innerWidth, window.innerHeight, window.devicePixelRatio),
    secure: window.isSecureContext,
    waiting: entries.filter(({ refused }) => !refused).length,
    notSaved: entries.flatMap(({ name, refused }) => (refused ? [`${name}: ${refused.problem.code}`] : [])),
    kept: outbox.kept(),
  };
  const text = JSON.stringify({ server: data ?? null, page: here }, null, 2);
  return (
    <Screen title={DIAGNOSTICS_SCREEN.faultReport} back={{ title: SETTINGS.title, href: '/settings' }}>
      <View style={{ gap: space.medium }}>
        <Words>{DIAGNOSTICS_SCREEN.versionsSettingsHow}</Words>
        {error && <Notice tone="warn">{problemOfError(error).message}</Notice>}
        <Action
          title={DIAGNOSTICS_SCREEN.download}
          testID="download-diagnostics"
          onPress={() => download(`torvin-diagnostics-${format(Date.now(), 'yyyy-MM-dd')}.json`, new Blob([text], { type: 'application/json' }))}
        />
        <Words size="note" testID="diagnostics">
          {text}
        </Words>
      </View>
    </Screen>
  );
}
