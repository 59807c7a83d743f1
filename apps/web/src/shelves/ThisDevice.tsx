/** What Torvin can do on this device while its server does not answer, and what is kept here for that. */
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { canKeepShell, useInstallOffer, useShellKept } from '@/away/shell';
import { countKept, forgetReadings } from '@/outside/readingStore';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';

const COUNTED = ['kept here'];

export function ThisDevice() {
  const client = useQueryClient();
  const router = useRouter();
  const shellKept = useShellKept();
  const offer = useInstallOffer();
  const { data } = useQuery({ queryKey: COUNTED, queryFn: countKept, refetchInterval: 5000 });
  const forget = async (): Promise<void> => {
    await forgetReadings();
    await client.invalidateQueries({ queryKey: COUNTED });
  };
  return (
    <View style={{ paddingTop: space.wide, gap: space.small }} testID="this-device">
      <Words bold role="heading" aria-level={2}>
        Without the server, on this device
      </Words>
      {canKeepShell() ? (
        <Words testID="opens-without-server">
          {shellKept
            ? 'Torvin opens here without its server too, with what was read last. What you change then waits here and is sent when it answers.'
            : 'Once this page has been open for a moment, Torvin opens here without its server too.'}
        </Words>
      ) : (
        <>
          <Words testID="needs-https">
            This page came over plain http. While it stays open it goes on without the server, and what you change waits here. Closed, it cannot be opened again
            until the server answers; nor can it be installed, keep the screen on, or notify you.
          </Words>
          <Words size="label" tone="muted">
            For that, Torvin is to be started with a certificate that this device trusts: TORVIN_CERT and TORVIN_KEY, as its README says.
          </Words>
        </>
      )}
      {data && (
        <Words size="label" tone="muted" testID="kept-here">
          {`Kept here of the studio: ${count(data.readings, 'page', 'pages')} and ${count(data.pictures, 'picture', 'pictures')}. Whoever can unlock this device can read them.`}
        </Words>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {offer && <Action title="Put Torvin among the apps" testID="install" onPress={() => void offer.prompt()} />}
        {data !== undefined && data.readings + data.pictures > 0 && (
          <Action kind="second" title="Forget what is kept here" testID="forget-readings" onPress={() => void forget()} />
        )}
        <Action
          kind="plain"
          title="Fault report"
          label="What goes with a report of a fault"
          testID="open-diagnostics"
          onPress={() => router.push('/shelves/diagnostics')}
        />
      </View>
    </View>
  );
}

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
