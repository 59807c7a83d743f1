import { useLocalSearchParams } from 'expo-router';
import { PiecePane } from '@/piece/PiecePane';

export function PiecePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <PiecePane key={id} id={id} />;
}
