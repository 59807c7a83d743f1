import type { Back } from '@/ui/Screen';
import { useLocalSearchParams } from 'expo-router';
import { useFiring } from '@/data/firings';
import { ComparePicker } from '@/notebook/ComparePicker';
import { COMPARED_AT_MOST, CompareScreen } from '@/notebook/CompareScreen';
import { Waiting } from '@/ui/Loading';
import { COMPARE_PAGE } from './words';
import { WORDS } from '@/ui/said';

export function ComparePage() {
  const { id, with: named = '', more } = useLocalSearchParams<{ id: string; with?: string; more?: string }>();
  const chosen = [...new Set(named.split(','))].filter((other) => other !== '' && other !== id).slice(0, COMPARED_AT_MOST - 1);
  const one = useFiring(id);
  const others = [useFiring(chosen[0] ?? null), useFiring(chosen[1] ?? null), useFiring(chosen[2] ?? null)].slice(0, chosen.length);
  const back: Back = { title: WORDS.firing, href: `/notebook/${id}` };
  if (!one.data) return <Waiting query={one} title={COMPARE_PAGE.compare} back={back} />;
  if (chosen.length === 0 || more !== undefined) return <ComparePicker firing={one.data.firing} chosen={chosen} />;
  const missing = others.find(({ data }) => !data);
  if (missing) return <Waiting query={missing} title={COMPARE_PAGE.compare} back={back} />;
  return <CompareScreen one={one.data} others={others.flatMap(({ data }) => data ?? [])} />;
}
