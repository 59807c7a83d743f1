/** The list of pieces as a page of its own, or beside a piece. */
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { usePieces, useShelves } from '@/data/pieces';
import { space } from '@/theme/theme';
import { ReadPieceFile } from './PieceFileActions';
import { Action } from '@/ui/Action';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { PieceList } from './PieceList';

export function PiecesPane({ currentId, beside = false }: { currentId?: string; beside?: boolean }) {
  const router = useRouter();
  const pieces = usePieces();
  const { data: shelves } = useShelves();
  if (!pieces.data) return <Waiting query={pieces} title="Pieces" />;
  return (
    <Screen title="Pieces" plain={beside} padded={false}>
      <View style={{ paddingHorizontal: space.large, paddingBottom: space.large }}>
        <Action title="New piece" testID="new-piece" onPress={() => router.push('/pieces/new')} />
        <ReadPieceFile />
      </View>
      {pieces.data.length === 0 && (
        <Notice tone="plain" testID="no-pieces">
          Start with a new piece: its outline and its glass, from which its firing is computed.
        </Notice>
      )}
      <PieceList pieces={pieces.data} shelves={shelves} currentId={currentId} />
    </Screen>
  );
}
