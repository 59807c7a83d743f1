/** What the studio has, a shelf for each kind; searched by words, what is archived apart. */
import { type About, KINDS, SHELF_KINDS, type ShelfKind, type Shelves, TYPICAL_SOURCE, kindOf, titleOf, photosOf } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { memo, useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useMadeStock } from '@/data/made';
import { useShelves } from '@/data/pieces';
import type { ShelfRecord } from '@/outside/records';
import { useUnits } from '@/data/FormUnits';
import { Thumbnail } from '@/photos/Thumbnail';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { shelfPaper } from './shelfPaper';
import { FormMark } from '@/section/FormDrawing';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Search } from '@/ui/Search';
import { ChooseRow } from '@/ui/ChooseRow';
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Swatch } from '@/ui/Swatch';
import { ToNotebook, ToPieces } from '@/ui/ToPieces';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { aboutShelves, sourceOf, SHELVES_SCREEN } from './words';
import { useChosen } from '@/ui/useChosen';
import { ChosenRecords } from './ChosenRecords';
import { StripedSwatch } from './StripedSwatch';
import { leftWords } from './leftWords';
import { CHOSEN, WORDS } from '@/ui/said';

/** Fewer are seen at a glance. */
const SEARCHED_FROM = 8;

export interface ShelvesScreenProps {
  kind: ShelfKind;
  /** What is open beside it. */
  currentId?: string;
  beside?: boolean;
}

export function ShelvesScreen({ kind, currentId, beside = false }: ShelvesScreenProps) {
  const router = useRouter();
  const units = useUnits();
  const shelves = useShelves();
  const [wanted, setWanted] = useState('');
  const chosen = useChosen<ShelfRecord>(kind);
  const now = useRef(chosen);
  now.current = chosen;
  const toggle = useCallback((record: ShelfRecord) => now.current.toggle(record), []);
  // The field follows the fingers; what is found comes as soon as it can.
  const sought = useDeferredValue(wanted);
  if (!shelves.data) return <Waiting query={shelves} title={WORDS.shelves} />;
  const { data } = shelves;
  const all: readonly ShelfRecord[] = data[kind];
  const { from } = kindOf(kind);
  return (
    <Screen
      title={WORDS.shelves}
      subtitle={SHELVES_SCREEN.everythingCalculatedThese}
      plain={beside}
      footer={chosen.on && <ChosenRecords kind={kind} shelves={data} chosen={chosen} shown={foundOn(kind, data, aboutShelves(data, units), sought)} />}
    >
      <Choice<ShelfKind>
        label={SHELVES_SCREEN.shelf}
        value={kind}
        options={SHELF_KINDS.map((value) => ({ value, title: kindOf(value).short ?? capital(KINDS[value].many) }))}
        onChange={(value) => {
          setWanted('');
          // From the page of a record, too.
          if (beside) router.push(`/shelves?shelf=${value}`);
          else router.setParams({ shelf: value });
        }}
        testID="shelf"
      />
      {all.some((record) => sourceOf(record) === TYPICAL_SOURCE && !data.archived.includes(record.id)) && (
        <Notice tone="plain" testID="typical-shelf">
          {SHELVES_SCREEN.typicalFiguresBegin}
        </Notice>
      )}
      {from !== undefined ? (
        <>
          <Words size="label" tone="muted" testID="from-pieces">
            {from === 'pieces' ? SHELVES_SCREEN.whatComesOut : SHELVES_SCREEN.whatSeriesFound}
          </Words>
          {all.length === 0 && (from === 'pieces' ? <ToPieces /> : <ToNotebook />)}
        </>
      ) : (
        <View style={{ flexDirection: 'row', gap: space.small }}>
          <View style={{ flex: 1 }}>
            <Action title={SHELVES_SCREEN.new(KINDS[kind].one)} testID="new-record" onPress={() => router.push(`/shelves/${kind}/new`)} />
          </View>
          {all.length > 1 && !chosen.on && <Action kind="plain" title={CHOSEN.several} testID="choose-several" onPress={chosen.begin} />}
        </View>
      )}
      {all.length >= SEARCHED_FROM && (
        <View style={{ paddingTop: space.large }}>
          <Search
            label={SHELVES_SCREEN.findAmong(all.length, KINDS[kind].many)}
            value={wanted}
            onChange={setWanted}
            hint={SHELVES_SCREEN.wordsNameSource}
            testID="find-record"
          />
        </View>
      )}
      <Found
        kind={kind}
        shelves={data}
        wanted={sought}
        currentId={currentId}
        chosen={chosen.on ? chosen.items.map(({ id }) => id).join(' ') : null}
        onChoose={toggle}
      />
      {!beside && (
        <View style={{ paddingTop: space.wide }} role="list">
          <LinkRow href="/settings" inset={0} testID="open-settings">
            <Words bold tone="touch">
              {SHELVES_SCREEN.settings}
            </Words>
          </LinkRow>
        </View>
      )}
    </Screen>
  );
}

interface FoundProps {
  kind: ShelfKind;
  shelves: Shelves;
  wanted: string;
  currentId: string | undefined;
  /** Ids with a blank between them while several are chosen; null where rows lead to their pages. */
  chosen: string | null;
  /** Must keep its identity between renders. */
  onChoose(record: ShelfRecord): void;
}

const Found = memo(function Found({ kind, shelves, wanted, currentId, chosen, onChoose }: FoundProps) {
  const units = useUnits();
  const about = useMemo(() => aboutShelves(shelves, units), [shelves, units]);
  const all: readonly ShelfRecord[] = shelves[kind];
  const found = foundOn(kind, shelves, about, wanted);
  const archived = found.filter(({ id }) => shelves.archived.includes(id));
  const present = found.filter((record) => !archived.includes(record));
  const rows = { kind, about, shelves, currentId, chosen, onChoose };
  const onPaper = (): string[] =>
    paperPages(
      shelfPaper(
        capital(KINDS[kind].many),
        present.map((record) => ({ name: titleOf(kind, record, about), about: rowOf(kind, record, about) })),
      ),
      WORDS.shelves,
    );
  return (
    <>
      <OnPaper pages={onPaper} />
      <RecordList {...rows} records={present} />
      {found.length === 0 && (
        <Words tone="muted" testID="no-record">
          {all.length === 0 ? SHELVES_SCREEN.noYet(KINDS[kind].one) : SHELVES_SCREEN.noneThemThese}
        </Words>
      )}
      {archived.length > 0 && (
        <View style={{ paddingTop: space.large }}>
          <Words bold role="heading" aria-level={2}>
            {SHELVES_SCREEN.archived}
          </Words>
          <RecordList {...rows} records={archived} />
        </View>
      )}
    </>
  );
});

const rowOf = (kind: ShelfKind, record: ShelfRecord, about: About): string => [kindOf(kind).about(record, about), sourceOf(record)].filter(Boolean).join(' · ');

const textOf = (kind: ShelfKind, record: ShelfRecord, about: About): string =>
  `${titleOf(kind, record, about)} ${rowOf(kind, record, about)} ${kindOf(kind).searched?.(record) ?? ''}`;

/** Those that have all words that are wanted. */
function foundOn(kind: ShelfKind, shelves: Shelves, about: About, wanted: string): ShelfRecord[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  return (shelves[kind] as readonly ShelfRecord[]).filter((record) => {
    const text = textOf(kind, record, about).toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** So many rows are drawn at once; the rest of a long shelf comes without holding up a finger. */
const AT_ONCE = 24;

function RecordList({ records: all, ...rest }: RowsProps) {
  const [first, later] = [all.slice(0, AT_ONCE), all.slice(AT_ONCE)];
  return (
    <View role="list" style={{ marginHorizontal: -INSET }}>
      <Rows {...rest} records={first} />
      {later.length > 0 && <LaterRows key={rest.kind} {...rest} records={later} />}
    </View>
  );
}

const ROW_PX = 48;
/** Beside the words of a row, so that the open one stands out round them. */
const INSET = space.small;
const NONE: readonly ShelfRecord[] = [];

function LaterRows(props: RowsProps) {
  return <Rows {...props} records={useDeferredValue(props.records, NONE)} />;
}

interface RowsProps extends Omit<FoundProps, 'wanted'> {
  records: readonly ShelfRecord[];
  about: About;
}

const Rows = memo(function Rows({ kind, records, about, shelves, currentId, chosen, onChoose }: RowsProps) {
  const stock = useMadeStock(kind === 'made' && records.length > 0);
  return (
    <>
      {records.map((record) => (
        <Row
          key={record.id}
          kind={kind}
          record={record}
          about={about}
          shelves={shelves}
          current={record.id === currentId}
          chosen={chosen === null ? null : chosen.split(' ').includes(record.id)}
          onChoose={onChoose}
          left={'stripes' in record && stock ? leftWords(stock(record).left_kg, record, about.units) : null}
        />
      ))}
    </>
  );
});

interface RowProps extends Omit<RowsProps, 'records' | 'currentId' | 'chosen'> {
  record: ShelfRecord;
  current: boolean;
  chosen: boolean | null;
  /** Of made glass: how much of it is left, where that is known. */
  left: string | null;
}

/** One that stays found is not drawn anew. */
const Row = memo(function Row({ kind, record, about, shelves, current, chosen, onChoose, left }: RowProps) {
  const shown = (
    <View style={{ flex: 1, flexDirection: 'row', alignItems: 'center', gap: space.medium }}>
      {'colour' in record && <Swatch colour={record.colour} />}
      {'use' in record && <FormMark form={record} />}
      {'stripes' in record && <StripedSwatch shelves={shelves} made={record} />}
      <View style={{ flex: 1 }}>
        <Words bold tone="touch">
          {titleOf(kind, record, about)}
        </Words>
        <Words size="label" tone="muted">
          {rowOf(kind, record, about)}
        </Words>
        {left !== null && (
          <Words size="label" bold testID={`left-${record.id}`}>
            {left}
          </Words>
        )}
      </View>
      {photosOf(record)
        .slice(0, 1)
        .map((hash) => (
          <Thumbnail key={hash} hash={hash} px={ROW_PX} alt={SHELVES_SCREEN.pictureOf(titleOf(kind, record, about))} />
        ))}
    </View>
  );
  return chosen === null ? (
    <LinkRow href={`/shelves/${kind}/${record.id}`} inset={INSET} current={current} testID={`record-${record.id}`}>
      {shown}
    </LinkRow>
  ) : (
    <ChooseRow on={chosen} name={titleOf(kind, record, about)} onPress={() => onChoose(record)} inset={INSET} testID={`choose-${record.id}`}>
      {shown}
    </ChooseRow>
  );
});
