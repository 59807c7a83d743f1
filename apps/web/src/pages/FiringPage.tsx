import { useLocalSearchParams } from 'expo-router';
import { useFiring } from '@/data/firings';
import { FiringScreen } from '@/notebook/FiringScreen';
import { Waiting } from '@/ui/Loading';

export function FiringPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const firing = useFiring(id);
  if (!firing.data) return <Waiting query={firing} title="Firing" back={{ title: 'Notebook', href: '/notebook' }} />;
  return <FiringScreen detail={firing.data} />;
}
