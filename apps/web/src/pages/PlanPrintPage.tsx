import { useLocalSearchParams } from 'expo-router';
import { usePiece, useShelves } from '@/data/pieces';
import { PlanPrintScreen } from '@/files/PlanPrintScreen';
import { Waiting } from '@/ui/Loading';
import { PLAN_PRINT_PAGE } from './words';
import { WORDS } from '@/ui/said';

export function PlanPrintPage() {
  const { id, at } = useLocalSearchParams<{ id: string; at?: string }>();
  const piece = usePiece(id);
  const shelves = useShelves();
  const back = { title: piece.data?.name ?? WORDS.piece, href: `/pieces/${id}` } as const;
  if (!piece.data) return <Waiting query={piece} title={PLAN_PRINT_PAGE.printThePlan} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={PLAN_PRINT_PAGE.printThePlan} back={back} />;
  return <PlanPrintScreen piece={piece.data} shelves={shelves.data} at={at ?? null} />;
}
