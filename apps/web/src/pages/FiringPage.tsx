import { useLocalSearchParams } from 'expo-router';
import { useFiring } from '@/data/firings';
import { FiringScreen } from '@/notebook/FiringScreen';
import { useNotebookHref } from '@/notebook/useNotebookQuery';
import { Waiting } from '@/ui/Loading';
import { WORDS } from '@/ui/said';

/** id: left out where the address names it. */
export function FiringPage({ id: named }: { id?: string }) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const firing = useFiring(named ?? id);
  const list = useNotebookHref();
  if (!firing.data) return <Waiting query={firing} title={WORDS.firing} back={{ title: WORDS.notebook, href: list }} />;
  return <FiringScreen detail={firing.data} />;
}
