import type { FiringDetail } from '@torvin/schema';
import { useLocalSearchParams } from 'expo-router';
import { useFiring } from '@/data/firings';
import { usePiece, useShelves } from '@/data/pieces';
import { NextScreen } from '@/notebook/NextScreen';
import { Waiting } from '@/ui/Loading';
import type { Back } from '@/ui/Screen';
import { WORDS } from '@/ui/said';
import { NEXT_PAGE } from './words';

export function NextPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const detail = useFiring(id);
  if (!detail.data) return <Waiting query={detail} title={NEXT_PAGE.title} back={{ title: WORDS.firing, href: `/notebook/${id}` }} />;
  return <NextOf detail={detail.data} />;
}

function NextOf({ detail }: { detail: FiringDetail }) {
  const piece = usePiece(detail.firing.pieceId);
  const shelves = useShelves();
  const back: Back = { title: detail.firing.pieceName, href: `/notebook/${detail.firing.id}` };
  if (!shelves.data) return <Waiting query={shelves} title={NEXT_PAGE.title} back={back} />;
  if (!piece.data && !piece.isError) return <Waiting query={piece} title={NEXT_PAGE.title} back={back} />;
  return <NextScreen detail={detail} piece={piece.data ?? null} shelves={shelves.data} />;
}
