import { firingsOf } from '@torvin/core/piece';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useFiring } from '@/data/firings';
import { usePiece, useShelves } from '@/data/pieces';
import { GivenScreen } from '@/given/GivenScreen';
import { firingToJudge } from '@/given/written';
import { Action } from '@/ui/Action';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { type Back, Screen } from '@/ui/Screen';
import { GIVEN_PAGE } from './words';
import { WORDS } from '@/ui/said';

const TITLE = GIVEN_PAGE.fromPaper;

/** For a firing that is planned, whether it has a schedule yet or not; without one in the address it is the first. */
export function GivenPage() {
  const { id, step: stepId, from } = useLocalSearchParams<{ id: string; step?: string; from?: string }>();
  const router = useRouter();
  const piece = usePiece(id);
  const shelves = useShelves();
  const proven = useFiring(from ?? null);
  const back: Back = { title: piece.data?.name ?? WORDS.piece, href: `/pieces/${id}` };
  if (!piece.data || piece.isPlaceholderData) return <Waiting query={piece} title={TITLE} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={TITLE} back={back} />;
  if (from !== undefined && !proven.data) return <Waiting query={proven} title={TITLE} back={back} />;
  const step = firingToJudge(firingsOf(piece.data.doc), stepId, proven.data?.firing.look);
  if (!step) {
    return (
      <Screen title={TITLE} of={piece.data.name} subtitle={piece.data.name} back={back}>
        <Notice tone="plain" actions={<Action title={GIVEN_PAGE.toThePiece} testID="plan-first" onPress={() => router.replace(`/pieces/${id}`)} />}>
          {GIVEN_PAGE.planFiringPiece}
        </Notice>
      </Screen>
    );
  }
  return <GivenScreen key={`${step.id} ${from ?? ''}`} piece={piece.data} step={step} shelves={shelves.data} proven={proven.data ?? null} />;
}
