import { useLocalSearchParams } from 'expo-router';
import { PiecePane } from '@/pieces/PiecePane';

/** id: left out where the address names it. */
export function PiecePage({ id: named }: { id?: string }) {
  const { id } = useLocalSearchParams<{ id: string }>();
  const wanted = named ?? id;
  return <PiecePane key={wanted} id={wanted} />;
}
