import { useRouter } from 'expo-router';
import { useState } from 'react';
import { v7 as uuid } from 'uuid';
import { problemOfError } from '@/data/client';
import { useCreatePiece, useShelves } from '@/data/pieces';
import { PieceForm } from '@/piece/PieceForm';
import { newEntry } from '@/piece/pieceEntry';
import { Waiting } from '@/ui/Loading';
import { Screen } from '@/ui/Screen';

const BACK = { title: 'Pieces', href: '/pieces' };

export default function NewPiecePage() {
  const router = useRouter();
  const shelves = useShelves();
  const create = useCreatePiece();
  // The same id for every try, so that a repeated save makes one piece.
  const [id] = useState(() => uuid());
  if (!shelves.data) return <Waiting query={shelves} title="New piece" back={BACK} />;
  return (
    <Screen title="New piece" back={BACK}>
      <PieceForm
        shelves={shelves.data}
        entry={newEntry(shelves.data)}
        problem={create.error ? problemOfError(create.error) : null}
        saving={create.isPending}
        saveTitle="Save piece"
        onSave={(name, parts) =>
          create.mutate({ id, name, doc: { schemaVersion: 1, ...parts, steps: [] } }, { onSuccess: () => router.replace(`/pieces/${id}`) })
        }
      />
    </Screen>
  );
}
