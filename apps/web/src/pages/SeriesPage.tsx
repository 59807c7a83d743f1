import { useQueries } from '@tanstack/react-query';
import { useLocalSearchParams } from 'expo-router';
import { firingReading, useFiring } from '@/data/firings';
import { ComparePicker } from '@/notebook/ComparePicker';
import { TRIALS_AT_MOST } from '@torvin/schema';
import { SeriesScreen } from '@/notebook/SeriesScreen';
import { Waiting } from '@/ui/Loading';
import type { Back } from '@/ui/Screen';
import { WORDS } from '@/ui/said';
import { SERIES_PAGE } from './words';

export function SeriesPage() {
  const { id, with: named = '', more } = useLocalSearchParams<{ id: string; with?: string; more?: string }>();
  const chosen = [...new Set(named.split(','))].filter((other) => other !== '' && other !== id).slice(0, TRIALS_AT_MOST - 1);
  const one = useFiring(id);
  const others = useQueries({ queries: chosen.map((other) => firingReading(other)) });
  const back: Back = { title: WORDS.firing, href: `/notebook/${id}` };
  if (!one.data) return <Waiting query={one} title={SERIES_PAGE.title} back={back} />;
  if (chosen.length === 0 || more !== undefined) return <ComparePicker firing={one.data.firing} chosen={chosen} to="series" />;
  const missing = others.find(({ data }) => !data);
  if (missing) return <Waiting query={missing} title={SERIES_PAGE.title} back={back} />;
  return <SeriesScreen details={[one.data, ...others.flatMap(({ data }) => data ?? [])]} />;
}
