import { firingsOf } from '@torvin/core/piece';
import { useLocalSearchParams } from 'expo-router';
import { usePiece, useShelves } from '@/data/pieces';
import { PlanFiringScreen } from '@/pieces/PlanFiringScreen';
import { Waiting } from '@/ui/Loading';
import type { Back } from '@/ui/Screen';
import { PLAN_FIRING_PAGE } from './words';
import { WORDS } from '@/ui/said';

/** With a step in the address it changes that firing; else it plans a new one, at a place in the journey or at its end. */
export function PlanFiringPage() {
  const { id, step: stepId, place } = useLocalSearchParams<{ id: string; step?: string; place?: string }>();
  const piece = usePiece(id);
  const shelves = useShelves();
  const back: Back = { title: piece.data?.name ?? WORDS.piece, href: `/pieces/${id}` };
  if (!piece.data || piece.isPlaceholderData) return <Waiting query={piece} title={PLAN_FIRING_PAGE.planAFiring} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={PLAN_FIRING_PAGE.planAFiring} back={back} />;
  const step = firingsOf(piece.data.doc).find((one) => one.id === stepId) ?? null;
  const at = Number(place ?? NaN);
  const isPlace = Number.isInteger(at) && at >= 0 && at <= piece.data.doc.journey.length;
  return (
    <PlanFiringScreen key={`${id} ${step?.id ?? 'new'}`} piece={piece.data} shelves={shelves.data} step={step} {...(isPlace && !step ? { place: at } : {})} />
  );
}
