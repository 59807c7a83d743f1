/** On which piece a firing is run again. */
import { drawnBody } from '@torvin/core/piece';
import { useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useState } from 'react';
import { View } from 'react-native';
import { useFiring } from '@/data/firings';
import { useShelves } from '@/data/pieces';
import { usePieceRows } from '@/data/pieceRows';
import { SectionPicture } from '@/section/SectionDrawing';
import { Field } from '@/ui/Field';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { type Back, Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { AGAIN_PAGE } from './words';
import { WORDS } from '@/ui/said';

const FACE = { width: 84, height: 48 };
const SHOWN_AT_MOST = 20;

export function AgainPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const firing = useFiring(id);
  const shelves = useShelves();
  const [typed, setTyped] = useState('');
  const text = useDeferredValue(typed.trim());
  const { rows } = usePieceRows(text === '' ? {} : { text });
  const back: Back = { title: firing.data?.firing.pieceName ?? WORDS.firing, href: `/notebook/${id}` };
  if (!firing.data) return <Waiting query={firing} title={AGAIN_PAGE.runAgain} back={back} />;
  return (
    <Screen title={AGAIN_PAGE.runAgain} subtitle={AGAIN_PAGE.firedWhichPiece(firing.data.firing.pieceName)} back={back}>
      <Field label={WORDS.piece} value={typed} onChange={setTyped} testID="again-search" />
      {rows?.length === 0 && <Words tone="muted">{AGAIN_PAGE.noPieceName}</Words>}
      <View role="list">
        {rows?.slice(0, SHOWN_AT_MOST).map((row) => (
          <LinkRow key={row.id} href={`/pieces/${row.id}/given?from=${id}`} inset={0} testID="again-piece">
            <SectionPicture {...drawnBody(row.profile, shelves.data)} {...FACE} />
            <View style={{ flex: 1 }}>
              <Words bold>{row.name}</Words>
            </View>
          </LinkRow>
        ))}
      </View>
    </Screen>
  );
}
