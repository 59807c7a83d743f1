import { setOutline } from '@torvin/core';
import type { Piece, Shelves } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { usePiece, useShelves } from '@/data/pieces';
import { useUnits } from '@/data/studio';
import { PieceForm } from '@/piece/PieceForm';
import { StaleChoice } from '@/piece/StaleChoice';
import { entryOf } from '@/piece/pieceEntry';
import { useLayup } from '@/piece/useLayup';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';

const TITLE = 'Outline and name';

export function EditPiecePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const shelves = useShelves();
  const piece = usePiece(id);
  const back = { title: piece.data?.name ?? 'Piece', href: `/pieces/${id}` };
  if (!piece.data || piece.isPlaceholderData) return <Waiting query={piece} title={TITLE} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={TITLE} back={back} />;
  return <EditPiece piece={piece.data} shelves={shelves.data} back={back} />;
}

function EditPiece({ piece, shelves, back }: { piece: Piece; shelves: Shelves; back: { title: string; href: string } }) {
  const router = useRouter();
  const layup = useLayup(piece);
  const units = useUnits();
  const leave = (): void => router.replace(`/pieces/${piece.id}`);
  return (
    <Screen title={TITLE} back={back}>
      {layup.elsewhere && (
        <StaleChoice
          current={layup.elsewhere}
          mine={layup.name}
          onTakeTheirs={() => {
            layup.takeTheirs();
            leave();
          }}
          onKeepMine={() => {
            layup.keepMine();
            leave();
          }}
        />
      )}
      <PieceForm
        shelves={shelves}
        entry={entryOf(piece, units.length)}
        asksGlass={false}
        problem={layup.problem}
        saving={layup.saving && !layup.problem && !layup.elsewhere}
        saveTitle="Save outline"
        onSave={({ name, footprint, typed, dammed }) => {
          layup.edit(setOutline(layup.doc, footprint, typed, dammed), 'outline', name);
          void layup.settled().then((saved) => saved && leave());
        }}
      />
    </Screen>
  );
}
