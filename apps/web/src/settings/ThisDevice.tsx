/** What Torvin can do on this device while its server does not answer, and what is kept here for that. */
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { View } from 'react-native';
import { canKeepShell, useInstallOffer, useShellKept } from '@/away/shell';
import { countKept, forgetReadings } from '@/outside/readingStore';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { THIS_DEVICE } from './words';

const COUNTED = ['keptHere'];

export function ThisDevice() {
  const client = useQueryClient();
  const shellKept = useShellKept();
  const offer = useInstallOffer();
  const { data } = useQuery({ queryKey: COUNTED, queryFn: countKept, refetchInterval: 5000 });
  const forget = async (): Promise<void> => {
    await forgetReadings();
    await client.invalidateQueries({ queryKey: COUNTED });
  };
  return (
    <View style={{ gap: space.small }} testID="this-device">
      {canKeepShell() ? (
        <Words testID="opens-without-server">{shellKept ? THIS_DEVICE.torvinOpensWithout : THIS_DEVICE.oncePageBeen}</Words>
      ) : (
        <>
          <Words testID="needs-https">{THIS_DEVICE.pageCameOver}</Words>
          <Words size="label" tone="muted">
            {THIS_DEVICE.torvinStartedCertificate}
          </Words>
        </>
      )}
      {data && (
        <Words size="label" tone="muted" testID="kept-here">
          {THIS_DEVICE.keptStudioWhoever(count(data.readings, 'page', 'pages'), count(data.pictures, 'picture', 'pictures'))}
        </Words>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {offer && <Action title={THIS_DEVICE.putTorvinAmong} testID="install" onPress={() => void offer.prompt()} />}
        {data !== undefined && data.readings + data.pictures > 0 && (
          <Action kind="second" title={THIS_DEVICE.forgetWhatKept} testID="forget-readings" onPress={() => void forget()} />
        )}
      </View>
    </View>
  );
}

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`;
