import { useRouter } from 'expo-router';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';

export default function NotFound() {
  const router = useRouter();
  return (
    <Screen title="Nothing here">
      <Notice tone="plain" actions={<Action title="Go to Pieces" onPress={() => router.replace('/pieces')} />}>
        This address leads nowhere in Torvin.
      </Notice>
    </Screen>
  );
}
