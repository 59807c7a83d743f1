import { useLocalSearchParams, useRouter } from 'expo-router';
import { problemOfError } from '@/data/client';
import { usePiece, useShelves } from '@/data/pieces';
import { useSaveOrChoose } from '@/piece/useSaveOrChoose';
import { PieceForm } from '@/piece/PieceForm';
import { entryOf } from '@/piece/pieceEntry';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';
import type { Piece, Shelves } from '@torvin/schema';

export default function EditPiecePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const shelves = useShelves();
  const piece = usePiece(id);
  const back = { title: piece.data?.name ?? 'Piece', href: `/pieces/${id}` };
  if (!piece.data) return <Waiting query={piece} title="Change the lay-up" back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title="Change the lay-up" back={back} />;
  return <EditPiece piece={piece.data} shelves={shelves.data} back={back} />;
}

function EditPiece({ piece, shelves, back }: { piece: Piece; shelves: Shelves; back: { title: string; href: string } }) {
  const router = useRouter();
  const { save, saving, error, choice } = useSaveOrChoose(piece, () => router.replace(`/pieces/${piece.id}`));
  return (
    <Screen title="Change the lay-up" back={back}>
      {choice}
      <PieceForm
        shelves={shelves}
        entry={entryOf(piece, shelves)}
        problem={error ? problemOfError(error) : null}
        saving={saving}
        saveTitle="Save lay-up"
        onSave={(name, parts) => save({ name, doc: { ...piece.doc, ...parts } })}
      />
    </Screen>
  );
}
