import type { Back } from '@/ui/Screen';
import { useLocalSearchParams } from 'expo-router';
import { useFiring } from '@/data/firings';
import { ComparePicker } from '@/notebook/ComparePicker';
import { CompareScreen } from '@/notebook/CompareScreen';
import { Waiting } from '@/ui/Loading';
import { COMPARE_PAGE } from './words';
import { WORDS } from '@/ui/said';

export function ComparePage() {
  const { id, with: otherId } = useLocalSearchParams<{ id: string; with?: string }>();
  const one = useFiring(id);
  const other = useFiring(otherId ?? null);
  const back: Back = { title: WORDS.firing, href: `/notebook/${id}` };
  if (!one.data) return <Waiting query={one} title={COMPARE_PAGE.compare} back={back} />;
  if (otherId === undefined) return <ComparePicker firing={one.data.firing} />;
  return other.data ? <CompareScreen one={one.data} other={other.data} /> : <Waiting query={other} title={COMPARE_PAGE.compare} back={back} />;
}
