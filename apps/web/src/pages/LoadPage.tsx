import { useLocalSearchParams } from 'expo-router';
import { useForKiln, useSuggestedLoads } from '@/data/loads';
import { useShelves } from '@/data/pieces';
import { LoadScreen } from '@/load/LoadScreen';
import { LOAD } from '@/load/words';
import { Waiting } from '@/ui/Loading';
import type { Back } from '@/ui/Screen';

export function LoadPage() {
  const { with: named = '' } = useLocalSearchParams<{ with?: string }>();
  const waiting = useForKiln();
  const suggested = useSuggestedLoads();
  const shelves = useShelves();
  const back: Back = { title: LOAD.bench, href: '/bench' };
  if (!waiting.data) return <Waiting query={waiting} title={LOAD.title} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={LOAD.title} back={back} />;
  return (
    <LoadScreen
      key={named}
      waiting={waiting.data}
      suggested={suggested.data ?? []}
      shelves={shelves.data}
      withPieces={named.split(',').filter((id) => id !== '')}
    />
  );
}
