import { useLocalSearchParams } from 'expo-router';
import { usePiece, useShelves } from '@/data/pieces';
import { PlanPrintScreen } from '@/files/PlanPrintScreen';
import { Waiting } from '@/ui/Loading';

export function PlanPrintPage() {
  const { id, at } = useLocalSearchParams<{ id: string; at?: string }>();
  const piece = usePiece(id);
  const shelves = useShelves();
  const back = { title: piece.data?.name ?? 'Piece', href: `/pieces/${id}` } as const;
  if (!piece.data) return <Waiting query={piece} title="Print the plan" back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title="Print the plan" back={back} />;
  return <PlanPrintScreen piece={piece.data} shelves={shelves.data} at={at ?? null} />;
}
