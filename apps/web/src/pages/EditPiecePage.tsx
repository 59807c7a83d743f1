import { setOutline } from '@torvin/core/piece';
import type { Piece, Shelves } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { usePiece, useShelves } from '@/data/pieces';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { PieceForm } from '@/pieces/PieceForm';
import { StaleChoice } from '@/pieces/StaleChoice';
import { useDraft } from '@/data/useDraft';
import { pieceQueue } from '@/outbox/kinds';
import { useOutbox } from '@/outbox/useOutbox';
import { type PieceEntry, entryOf, isOutlineUntouched } from '@/layup/pieceEntry';
import { useLayup } from '@/layup/useLayup';
import { Waiting } from '@/ui/Loading';
import { GoneChoice } from '@/ui/GoneChoice';
import { type Back, Screen } from '@/ui/Screen';
import { EDIT_PIECE_PAGE } from './words';
import { WORDS } from '@/ui/said';

const TITLE = EDIT_PIECE_PAGE.outlineAndName;

export function EditPiecePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const shelves = useShelves();
  const piece = usePiece(id);
  const back: Back = { title: piece.data?.name ?? WORDS.piece, href: `/pieces/${id}` };
  // What the list says of it may be older than the piece; of one that waits to be made nothing else is known.
  if (!piece.data || (piece.isPlaceholderData && piece.data.version > 0)) return <Waiting query={piece} title={TITLE} back={back} />;
  if (!shelves.data) return <Waiting query={shelves} title={TITLE} back={back} />;
  return <EditForm piece={piece.data} shelves={shelves.data} back={back} />;
}

const EditForm = inFormUnits(EditPiece);

function EditPiece({ piece, shelves, back }: { piece: Piece; shelves: Shelves; back: Back }) {
  const router = useRouter();
  const outbox = useOutbox();
  const layup = useLayup(piece);
  const { queue } = layup;
  const units = useUnits();
  const draft = useDraft<PieceEntry>(`outline ${piece.id}`);
  const [opened] = useState(() => ({ entry: entryOf(piece, units.length), footprint: piece.doc.footprint }));
  const leave = (): void => {
    draft.done();
    router.replace(`/pieces/${piece.id}`);
  };
  const andLeave = (decide: () => void) => (): void => {
    decide();
    leave();
  };
  return (
    <Screen title={TITLE} of={layup.name} back={back}>
      {queue.elsewhere && (
        <StaleChoice current={queue.elsewhere} mine={layup.name} onTakeTheirs={andLeave(queue.takeTheirs)} onKeepMine={andLeave(queue.keepMine)} />
      )}
      {queue.gone && <GoneChoice what={EDIT_PIECE_PAGE.piece} onBringBack={andLeave(queue.keepMine)} onLeave={andLeave(queue.takeTheirs)} />}
      <PieceForm
        shelves={shelves}
        entry={opened.entry}
        asksGlass={false}
        problem={layup.problem ?? queue.problem}
        saving={queue.saving && !queue.problem && !queue.elsewhere && !queue.gone}
        draft={draft}
        saveTitle={EDIT_PIECE_PAGE.saveOutline}
        onSave={({ name, footprint, typed, dammed }) => {
          // An outline that nobody touched stays as it is, with the digits that are not written.
          const kept = isOutlineUntouched(opened.entry, footprint, typed, units.length);
          layup.edit(setOutline(layup.doc, kept ? opened.footprint : footprint, typed, dammed), 'outline', name);
          void outbox.settled(pieceQueue(piece.id), { orSilent: true }).then((saved) => saved && leave());
        }}
      />
    </Screen>
  );
}
