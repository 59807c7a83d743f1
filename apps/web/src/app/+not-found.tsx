import { useRouter } from 'expo-router';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { ADDRESSES } from '@/pages/words';
import { WORDS } from '@/ui/said';

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen title={ADDRESSES.nothingHere}>
      <Notice tone="plain" actions={<Action title={WORDS.toPieces} onPress={() => router.replace('/pieces')} />}>
        {ADDRESSES.leadsNowhere}
      </Notice>
    </Screen>
  );
}
