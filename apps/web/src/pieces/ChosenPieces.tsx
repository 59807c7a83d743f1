/** Several pieces at once: archived or restored, tagged, written into one file. */
import { fileName } from '@torvin/core/units';
import { type Filing, PIECES_FILE_FORMAT, type PieceRow, asks } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError, takeFile } from '@/outside/client';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { ChosenDrawer } from '@/ui/ChosenDrawer';
import { Field } from '@/ui/Field';
import { Notice } from '@/ui/Notice';
import { countWords } from '@/ui/countWords';
import { download } from '@/ui/download';
import { loadHref } from '@/ui/hrefs';
import { offerBack } from '@/ui/takeBack';
import type { Chosen } from '@/ui/useChosen';
import { faultOf, tagsOf } from './FilePiece';
import { CHOSEN_PIECES } from './words';
import { WORDS } from '@/ui/said';

export interface ChosenPiecesProps {
  chosen: Chosen<PieceRow>;
  shown: readonly PieceRow[];
}

export function ChosenPieces({ chosen, shown }: ChosenPiecesProps) {
  const outbox = useOutbox();
  const router = useRouter();
  const [tag, setTag] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  // As they stand by now: somebody may have filed one since it was chosen.
  const items = chosen.items.map((row) => shown.find(({ id }) => id === row.id) ?? row);
  const none = items.length === 0;
  const areAway = !none && items.every(({ awayAt }) => awayAt !== null);

  /** What they were filed as before can be had back. */
  const file = (what: string, change: (row: PieceRow) => Partial<Filing>): void => {
    const filingOf = ({ tags, finishedAt, awayAt, patternAt, dueOn }: PieceRow): Filing => ({ tags, finishedAt, awayAt, patternAt, dueOn });
    const put = (row: PieceRow, filing: Filing): void => void outbox.put('filePiece', { id: row.id, name: row.name, filing });
    for (const row of items) put(row, { ...filingOf(row), ...change(row) });
    offerBack({ what, undoes: true, bringBack: () => items.forEach((row) => put(row, filingOf(row))) });
    chosen.end();
  };

  const many = countWords(items.length, 'piece', 'pieces');
  const archive = (): void => {
    const awayAt = areAway ? null : Date.now();
    file(areAway ? CHOSEN_PIECES.restored(many) : CHOSEN_PIECES.archived(many), () => ({ awayAt }));
  };
  const addTags = (): void => {
    const added = tagsOf(tag ?? '');
    const tagged = (row: PieceRow): string[] => [...new Set([...row.tags, ...added])];
    const wrong = items
      .map(tagged)
      .map(faultOf)
      .find((one) => one !== undefined);
    if (wrong !== undefined) return setFault(wrong);
    if (added.length > 0) file(CHOSEN_PIECES.tagged(many, added.join(', ')), (row) => ({ tags: tagged(row) }));
  };
  const write = async (): Promise<void> => {
    try {
      const pieces: unknown[] = [];
      for (const { id } of items) pieces.push(JSON.parse(await (await takeFile(asks.pieceFile, id)).text()));
      download(fileName(many, 'json'), new Blob([JSON.stringify({ format: PIECES_FILE_FORMAT, formatVersion: 1, pieces })], { type: 'application/json' }));
      chosen.end();
    } catch (error) {
      setFault(problemOfError(error).message);
    }
  };

  return (
    <ChosenDrawer count={items.length} shown={shown.length} onAll={() => chosen.add(shown)} onEnd={chosen.end}>
      <Action kind="second" title={areAway ? WORDS.restore : CHOSEN_PIECES.archive} disabled={none} testID="chosen-archive" onPress={archive} />
      <Action kind="second" title={CHOSEN_PIECES.tag} disabled={none} testID="chosen-tag" onPress={() => setTag(tag === null ? '' : null)} />
      <Action kind="second" title={CHOSEN_PIECES.export} disabled={none} testID="chosen-export" onPress={() => void write()} />
      <Action kind="second" title={CHOSEN_PIECES.fire} disabled={none} testID="chosen-fire" onPress={() => router.push(loadHref(items.map(({ id }) => id)))} />
      {tag !== null && (
        <View style={{ width: '100%', gap: space.small, alignItems: 'flex-start' }}>
          <View style={{ width: '100%' }}>
            <Field
              label={CHOSEN_PIECES.tagsAdded}
              value={tag}
              onChange={(typed) => {
                setFault(null);
                setTag(typed);
              }}
              onSubmit={addTags}
              testID="chosen-tags"
            />
          </View>
          <Action title={CHOSEN_PIECES.addThem} disabled={tagsOf(tag).length === 0 || none} testID="chosen-tags-add" onPress={addTags} />
        </View>
      )}
      {fault && <Notice tone="warn">{fault}</Notice>}
    </ChosenDrawer>
  );
}
