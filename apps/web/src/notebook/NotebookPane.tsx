/** Past firings, newest first: searched by words, narrowed by result and look, a page read when it is wanted. */
import { LOOK_NAMES } from '@torvin/core/look';
import { formatDuration, formatTemperature, text } from '@torvin/core/units';
import type { FiringPage, FiringRow as Row } from '@torvin/schema';
import { memo, useDeferredValue } from 'react';
import { View } from 'react-native';
import { useFirings } from '@/data/firings';
import { readOn, useReadTo } from '@/data/longList';
import { useShelves } from '@/data/pieces';
import { useStudio } from '@/data/studio';
import { scaled, space } from '@/theme/theme';
import { Chips } from '@/ui/Chips';
import { Fold } from '@/ui/Fold';
import { Search } from '@/ui/Search';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { ListScreen } from '@/ui/ListScreen';
import { ToPieces } from '@/ui/ToPieces';
import { Words } from '@/ui/Words';
import { firedWords } from '@/ui/clock';
import { useUnits } from '@/data/FormUnits';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { Thumbnail } from '@/photos/Thumbnail';
import { RESULT_WORDS, ResultSign, resultWords, seenWords } from '@/ui/results';
import { notebookPaper } from './notebookPaper';
import { type NotebookQuery, useNotebookQuery } from './useNotebookQuery';
import { NOTEBOOK_PANE } from './words';
import { WORDS } from '@/ui/said';

/** The firings that are asked for, a moment after a finger has typed. */
export function useSearched({ text: typed, look, result, form }: Pick<NotebookQuery, 'text' | 'look' | 'result' | 'form'>) {
  const words = useDeferredValue(typed.trim());
  return useFirings({ ...(look ? { look } : {}), ...(result ? { result } : {}), ...(form ? { form } : {}), ...(words === '' ? {} : { text: words }) });
}

export function NotebookPane({ currentId, beside = false }: { currentId?: string; beside?: boolean }) {
  const { query, change: setQuery, passed, search } = useNotebookQuery();
  const firings = useSearched(query);
  const { temperatureUnit } = useStudio();
  const units = useUnits();
  const { data: shelves } = useShelves();
  const rows = firings.data?.pages.flatMap((page) => page.firings) ?? [];
  // Pages are read until the row is there that the address asks for.
  useReadTo(query.row, rows.length, firings);
  if (!firings.data) return <Waiting query={firings} title={WORDS.notebook} />;
  const [{ total }] = firings.data.pages;
  const searching = query.text.trim() !== '' || query.look !== undefined || query.result !== undefined || query.form !== undefined;
  return (
    <ListScreen
      title={WORDS.notebook}
      plain={beside}
      items={rows}
      keyOf={({ id }) => id}
      renderItem={(firing) => (
        <FiringRow firing={firing} search={search} current={firing.id === (currentId ?? (beside ? rows[0].id : undefined))} unit={temperatureUnit} />
      )}
      rowHeight={FIRING_ROW_HEIGHT}
      place={{ row: query.row, onRow: passed }}
      onNearEnd={() => readOn(firings)}
      before={
        <View aria-busy={firings.isPlaceholderData} style={{ paddingHorizontal: space.large, opacity: firings.isPlaceholderData ? 0.6 : 1 }}>
          <OnPaper isList pages={() => paperPages(notebookPaper(rows, total, units), WORDS.notebook)} />
          <Search
            label={WORDS.search}
            value={query.text}
            onChange={(text) => setQuery({ text, row: 0 })}
            hint={NOTEBOOK_PANE.pieceNotePlace}
            testID="notebook-search"
          />
          {query.form !== undefined && (
            <Chips
              label={NOTEBOOK_PANE.mouldOrFormer}
              value={query.form}
              options={[{ value: query.form, title: NOTEBOOK_PANE.in(shelves?.forms.find(({ id }) => id === query.form)?.name ?? NOTEBOOK_PANE.mouldGone) }]}
              onChange={() => setQuery({ form: undefined, row: 0 })}
              testID="filter-form"
            />
          )}
          <View style={{ marginHorizontal: -space.large }}>
            <Fold title={NOTEBOOK_PANE.filter} about={filterWords(query)} testID="filters">
              {() => <Filters query={query} page={firings.data.pages[0]} onChange={(part) => setQuery({ ...part, row: 0 })} />}
            </Fold>
          </View>
          <Words size="label" tone="muted" aria-live="polite" testID="notebook-count">
            {`${total} ${total === 1 ? 'firing' : 'firings'}${searching ? NOTEBOOK_PANE.found : ''}`}
          </Words>
          {total === 0 && (
            <Notice tone="plain" actions={searching ? undefined : <ToPieces />}>
              {searching ? NOTEBOOK_PANE.noFiringMatches : NOTEBOOK_PANE.firedPiecesAppear}
            </Notice>
          )}
        </View>
      }
    />
  );
}

/** What is chosen, closed. */
const filterWords = ({ result, look }: NotebookQuery): string =>
  [...(result ? [OUTCOME_WORDS[result]] : []), ...(look ? [LOOK_NAMES[look].toLowerCase()] : [])].join(', ') || NOTEBOOK_PANE.resultFiringType;

const OUTCOME_WORDS = { ...RESULT_WORDS, open: WORDS.inTheKiln } as const;

interface FiltersProps {
  query: NotebookQuery;
  page: FiringPage;
  onChange(part: Pick<NotebookQuery, 'result' | 'look'>): void;
}

/** What occurs, with how many; what is chosen stays though none is left. */
function Filters({ query, page, onChange }: FiltersProps) {
  const results = [
    ...page.results,
    ...(query.result && !page.results.some(({ result }) => result === query.result) ? [{ result: query.result, count: 0 }] : []),
  ];
  const looks = [...page.looks, ...(query.look && !page.looks.some(({ look }) => look === query.look) ? [{ look: query.look, count: 0 }] : [])];
  return (
    <>
      <Chips
        label={WORDS.result}
        wraps
        value={query.result ?? null}
        options={results.map(({ result, count }) => ({ value: result, title: `${OUTCOME_WORDS[result]} ${count}` }))}
        onChange={(result) => onChange({ result: result ?? undefined })}
        testID="filter-result"
      />
      <Chips
        label={NOTEBOOK_PANE.firingType}
        wraps
        value={query.look ?? null}
        options={looks.map(({ look, count }) => ({ value: look, title: `${LOOK_NAMES[look]} ${count}` }))}
        onChange={(look) => onChange({ look: look ?? undefined })}
        testID="filter-look"
      />
    </>
  );
}

/** Every row is as tall as this, so that a long list knows where its rows are. */
const FIRING_ROW_HEIGHT = scaled(104);

interface FiringRowProps {
  firing: Row;
  /** What is searched stays in the address of the firing, for the way back. */
  search: string;
  current: boolean;
  unit: 'C' | 'F';
}

const FiringRow = memo(function FiringRow({ firing, search, current, unit }: FiringRowProps) {
  return (
    <LinkRow href={`/notebook/${firing.id}${search}`} current={current} height={FIRING_ROW_HEIGHT} listed={false} testID="firing-link">
      <ResultSign result={firing.result} />
      <View style={{ flex: 1 }}>
        <Words bold numberOfLines={1}>
          {firing.pieceName}
        </Words>
        <Words size="label" tone="muted" numberOfLines={1}>
          {`${firedWords(firing)} · ${firing.kilnName}${firing.place ? `, ${firing.place}` : ''}`}
        </Words>
        <Words size="label" tone="muted" numberOfLines={1}>
          {NOTEBOOK_PANE.for(LOOK_NAMES[firing.look], text(formatTemperature(firing.ran_C, unit)), text(formatDuration(firing.ran_s)))}
        </Words>
        <Words size="label" numberOfLines={1}>
          {[seenWords(firing), firing.note].filter((words) => words !== '').join(' · ')}
        </Words>
      </View>
      <Words bold>{resultWords(firing.result)}</Words>
      {firing.photos.length > 0 && <Thumbnail hash={firing.photos[0]} px={64} alt={NOTEBOOK_PANE.pictureOf(firing.pieceName)} />}
    </LinkRow>
  );
});
