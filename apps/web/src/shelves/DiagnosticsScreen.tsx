/** What goes with a report of a fault, to be looked through before it is handed on. */
import { api } from '@torvin/schema';
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

export function DiagnosticsScreen() {
  const { data, error } = useQuery({ queryKey: ['diagnostics'], queryFn: ({ signal }) => call(api.diagnostics, { signal }), staleTime: 0 });
  const entries = useEntries();
  const outbox = useOutbox();
  const here = {
    browser: navigator.userAgent,
    window: `${window.innerWidth} x ${window.innerHeight}, ${window.devicePixelRatio} to a point`,
    secure: window.isSecureContext,
    waiting: entries.filter(({ refused }) => !refused).length,
    notSaved: entries.flatMap(({ name, refused }) => (refused ? [`${name}: ${refused.problem.code}`] : [])),
    kept: outbox.kept(),
  };
  const text = JSON.stringify({ server: data ?? null, page: here }, null, 2);
  return (
    <Screen title="For a fault report" back={{ title: 'Shelves', href: '/shelves' }}>
      <View style={{ gap: space.medium }}>
        <Words>
          Versions, settings, how many there are of what, and what the server logged last. No names, notes, pictures or passcodes are in it; look it through
          before you hand it on.
        </Words>
        {error && <Notice tone="warn">{problemOfError(error).message}</Notice>}
        <Action
          title="Download"
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
