/** All that is done with a piece as a whole: renamed, filed, duplicated, exported, labelled, deleted. */
import type { Piece } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { View } from 'react-native';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { keys } from '@/outside/keys';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Drawer } from '@/ui/Drawer';
import { offerBack } from '@/ui/takeBack';
import { AnotherLike } from './AnotherLike';
import { FilePiece } from './FilePiece';
import { SavePieceFile } from './PieceFileActions';
import { PIECE_MENU } from './words';
import { WORDS } from '@/ui/said';

export interface PieceMenuProps {
  /** Under its name as it is shown. */
  piece: Piece;
  onClose(): void;
}

export function PieceMenu({ piece, onClose }: PieceMenuProps) {
  const router = useRouter();
  return (
    <Drawer title={piece.name} label={PIECE_MENU.piece(piece.name)} onClose={onClose} closeLabel={PIECE_MENU.closeTheMenu} testID="menu">
      <View style={{ gap: space.small, paddingBottom: space.small }}>
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <Action kind="second" title={PIECE_MENU.renameOutline} testID="edit-piece" onPress={() => router.push(`/pieces/${piece.id}/edit`)} />
          <AnotherLike piece={piece} />
          <SavePieceFile pieceId={piece.id} name={piece.name} />
          <Action kind="second" title={WORDS.label} testID="open-label" onPress={() => router.push(`/label/pieces/${piece.id}`)} />
          <DeletePiece piece={piece} />
        </View>
        <FilePiece piece={piece} />
      </View>
    </Drawer>
  );
}

function DeletePiece({ piece }: { piece: Piece }) {
  const router = useRouter();
  const client = useQueryClient();
  const outbox = useOutbox();
  const { id, name, version } = piece;
  const remove = useSave('deletePiece');
  // Forgotten when its page has gone; while that is open it would be read again.
  const deleted = useRef(false);
  useEffect(() => () => void (deleted.current && client.removeQueries({ queryKey: keys.piece(id) })), [client, id]);
  return (
    <Action
      kind="plain"
      title={WORDS.delete}
      label={PIECE_MENU.delete(name)}
      disabled={remove.saving}
      testID="delete-piece"
      onPress={() => {
        const gone = (): void => {
          deleted.current = true;
          router.replace('/pieces');
          offerBack({
            what: PIECE_MENU.deletedWhatFired(name),
            bringBack: () => outbox.put('restorePiece', { id, name }),
          });
        };
        remove.save({ id, name }, { on: version, then: gone });
      }}
    />
  );
}
