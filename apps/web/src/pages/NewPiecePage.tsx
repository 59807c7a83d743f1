import { FIRST_LAID_ID } from '@torvin/core/piece';
import { glassOf } from '@/shelves/everyGlass';
import { useRouter } from 'expo-router';
import { useEffect, useRef, useState } from 'react';
import { v7 as uuid } from 'uuid';
import { useShelves } from '@/data/pieces';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { useStudio } from '@/data/studio';
import { useDraft } from '@/data/useDraft';
import { useSave } from '@/outbox/useOutbox';
import { PatternRows } from '@/pieces/PatternRows';
import { PieceForm } from '@/pieces/PieceForm';
import { type PieceEntry, firstLayer, newEntry } from '@/layup/pieceEntry';
import { Waiting } from '@/ui/Loading';
import { type Back, Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { NEW_PIECE_PAGE } from './words';
import { WORDS } from '@/ui/said';

const BACK: Back = { title: WORDS.pieces, href: '/pieces' };

export const NewPiecePage = inFormUnits(NewPiece);

function NewPiece() {
  const router = useRouter();
  const { length } = useUnits();
  const { firstDay } = useStudio();
  const shelves = useShelves();
  const create = useSave('createPiece');
  const draft = useDraft<PieceEntry>('new piece');
  // The same ids for every try, so that a repeated save makes one piece.
  const [[id, layerId]] = useState(() => [uuid(), uuid()]);
  const leave = (): void => {
    draft.done();
    router.replace(`/pieces/${id}`);
  };
  const gone = useRef(leave);
  gone.current = leave;
  // It is made here already, and goes when the server answers: work on it goes on.
  useEffect(() => {
    if (create.held) gone.current();
  }, [create.held]);
  const { data } = shelves;
  if (!data) return <Waiting query={shelves} title={NEW_PIECE_PAGE.newPiece} back={BACK} />;
  return (
    <Screen title={NEW_PIECE_PAGE.newPiece} back={BACK}>
      <Words tone="muted">{NEW_PIECE_PAGE.sayHowBig}</Words>
      <PatternRows shelves={data} />
      <PieceForm
        shelves={data}
        entry={newEntry(data, firstDay?.familyId)}
        asksGlass
        problem={create.refusal?.problem ?? null}
        saving={create.saving}
        draft={draft}
        saveTitle={NEW_PIECE_PAGE.savePiece}
        onSave={({ name, form, glassId, ...outline }) =>
          create.save(
            {
              id,
              name,
              doc: {
                schemaVersion: 3,
                ...outline,
                journey:
                  form === 'nothing'
                    ? []
                    : [
                        {
                          kind: 'lay',
                          id: FIRST_LAID_ID,
                          side: 'above',
                          layers: [firstLayer(layerId, form, glassOf(data, glassId), glassId, length)],
                        },
                      ],
              },
            },
            { then: leave },
          )
        }
      />
    </Screen>
  );
}
