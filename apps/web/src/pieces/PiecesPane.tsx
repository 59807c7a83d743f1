/** The list of pieces as a page of its own, or beside a piece: searched by name, a page read when it is wanted. */
import { footprintWords } from '@torvin/core/body';
import { LOOK_NAMES } from '@torvin/core/look';
import type { PieceRow, Shelves } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { memo, useCallback, useDeferredValue, useRef, useState } from 'react';
import { View } from 'react-native';
import { readOn, useReadTo } from '@/data/longList';
import { useShelves } from '@/data/pieces';
import { usePieceRows } from '@/data/pieceRows';
import { useUnits } from '@/data/FormUnits';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { piecesPaper } from './piecesPaper';
import { scaled, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Chips } from '@/ui/Chips';
import { ChooseRow } from '@/ui/ChooseRow';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { ListScreen } from '@/ui/ListScreen';
import { Search } from '@/ui/Search';
import { Words } from '@/ui/Words';
import { countWords } from '@/ui/countWords';
import { useChosen } from '@/ui/useChosen';
import { ChosenPieces } from './ChosenPieces';
import { filedWords, layersWords } from '@/layup/describe';
import { PieceFace } from './PieceFace';
import { ReadPieceFile } from './PieceFileActions';
import { asked, usePiecesQuery } from './usePiecesQuery';
import { PIECES_PANE } from './words';
import { CHOSEN, WORDS } from '@/ui/said';

/** Fewer are seen at a glance. */
const SEARCHED_FROM = 8;

export function PiecesPane({ currentId, beside = false }: { currentId?: string; beside?: boolean }) {
  const router = useRouter();
  const { query, change, passed, search } = usePiecesQuery();
  const pieces = usePieceRows(asked(useDeferredValue(query)));
  const { data: shelves } = useShelves();
  const units = useUnits();
  // Pages are read until the row is there that the address asks for.
  useReadTo(query.row, pieces.rows?.length ?? 0, pieces);
  const chosen = useChosen<PieceRow>('pieces');
  const [more, setMore] = useState(false);
  const now = useRef(chosen);
  now.current = chosen;
  const toggle = useCallback((piece: PieceRow) => now.current.toggle(piece), []);
  if (!pieces.rows) return <Waiting query={pieces} title={WORDS.pieces} />;
  const { rows, total } = pieces;
  const { tags = [] } = pieces;
  const narrowed = query.text.trim() !== '' || query.waits || query.show !== undefined || query.tag !== undefined;
  return (
    <ListScreen
      title={WORDS.pieces}
      plain={beside}
      items={rows}
      keyOf={({ id }) => id}
      renderItem={(piece) => (
        <PieceListRow
          piece={piece}
          shelves={shelves}
          current={piece.id === currentId}
          search={search}
          length={units.length}
          chosen={chosen.on ? chosen.has(piece.id) : null}
          onChoose={toggle}
        />
      )}
      footer={chosen.on && <ChosenPieces chosen={chosen} shown={rows} />}
      rowHeight={ROW_HEIGHT}
      place={{ row: query.row, onRow: passed }}
      onNearEnd={() => readOn(pieces)}
      before={
        <View aria-busy={pieces.isPlaceholderData} style={{ paddingHorizontal: space.large, opacity: pieces.isPlaceholderData ? 0.6 : 1 }}>
          <View style={{ flexDirection: 'row', gap: space.small }}>
            <View style={{ flex: 1 }}>
              <Action title={PIECES_PANE.newPiece} testID="new-piece" onPress={() => router.push('/pieces/new')} />
            </View>
            <Action kind="plain" title={PIECES_PANE.more} label={PIECES_PANE.moreToDo} testID="pieces-more" onPress={() => setMore(!more)} />
          </View>
          <ReadPieceFile
            shown={more}
            beside={rows.length > 1 && !chosen.on && <Action kind="plain" title={CHOSEN.several} testID="choose-several" onPress={chosen.begin} />}
          />
          {(narrowed || total >= SEARCHED_FROM || tags.length > 0) && (
            <>
              <View style={{ paddingTop: space.small }}>
                <Search
                  label={WORDS.search}
                  value={query.text}
                  onChange={(text) => change({ text, row: 0 })}
                  hint={PIECES_PANE.wordsName}
                  testID="pieces-search"
                />
              </View>
              <Chips
                label={PIECES_PANE.show}
                value={query.waits ? 'yes' : (query.show ?? null)}
                options={[
                  { value: 'yes' as const, title: PIECES_PANE.thoseThatWait },
                  { value: 'finished' as const, title: 'finished' },
                  { value: 'patterns' as const, title: 'patterns' },
                  { value: 'away' as const, title: 'archived' },
                ]}
                onChange={(shown) => change({ waits: shown === 'yes', show: shown === 'yes' || shown === null ? undefined : shown, row: 0 })}
                testID="filter-waits"
              />
              {tags.length > 0 && (
                <Chips
                  label={PIECES_PANE.tag}
                  value={query.tag ?? null}
                  options={tags.map((tag) => ({ value: tag, title: tag }))}
                  onChange={(tag) => change({ tag: tag ?? undefined, row: 0 })}
                  testID="filter-tag"
                />
              )}
              <Chips
                label={PIECES_PANE.inOrderOf}
                value={query.sort ?? null}
                options={[
                  { value: 'name' as const, title: PIECES_PANE.byName },
                  { value: 'made' as const, title: PIECES_PANE.byWhenMade },
                ]}
                onChange={(sort) => change({ sort: sort ?? undefined, row: 0 })}
                testID="sort"
              />
              <Words size="label" tone="muted" aria-live="polite" testID="pieces-count">
                {`${countWords(total, 'piece', 'pieces')}${narrowed && !pieces.isPlaceholderData ? PIECES_PANE.found : ''}`}
              </Words>
            </>
          )}
          <OnPaper isList pages={() => paperPages(piecesPaper(rows, total, units), WORDS.pieces)} />
          {rows.length === 0 && (
            <Notice tone="plain" testID="no-pieces">
              {narrowed ? PIECES_PANE.noPieceLike : PIECES_PANE.startNewPiece}
            </Notice>
          )}
        </View>
      }
    />
  );
}

const FACE = { width: 112, height: 64 };
/** Every row is as tall as this, so that a long list knows where its rows are. */
const ROW_HEIGHT = scaled(96);

interface RowProps {
  piece: PieceRow;
  shelves: Shelves | undefined;
  current: boolean;
  search: string;
  length: 'mm' | 'in';
  /** Null where rows lead to their pages. */
  chosen: boolean | null;
  /** Must keep its identity between renders. */
  onChoose(piece: PieceRow): void;
}

/** With its section as its face. */
const PieceListRow = memo(function PieceListRow({ piece, shelves, current, search, length, chosen, onChoose }: RowProps) {
  const { id, footprint, laid, looks } = piece;
  const face = (
    <PieceFace
      piece={piece}
      shelves={shelves}
      {...FACE}
      lines={[
        [footprintWords(footprint, length), layersWords(laid), ...filedWords(piece)].join(' · '),
        looks.length > 0 ? looks.map((look) => LOOK_NAMES[look]).join(', then ') : PIECES_PANE.noFiringPlanned,
      ]}
    />
  );
  return chosen === null ? (
    <LinkRow href={`/pieces/${id}${search}`} current={current} height={ROW_HEIGHT} listed={false} testID="piece-link">
      {face}
    </LinkRow>
  ) : (
    <ChooseRow on={chosen} name={piece.name} onPress={() => onChoose(piece)} height={ROW_HEIGHT} testID="choose-piece">
      {face}
    </ChooseRow>
  );
});
