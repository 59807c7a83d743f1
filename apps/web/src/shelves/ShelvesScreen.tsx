/** What the studio has, a shelf for each kind; searched by words, what is archived apart. */
import { type About, KINDS, SHELF_KINDS, type ShelfKind, type Shelves, TYPICAL_SOURCE, kindOf, titleOf, photosOf } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { memo, useDeferredValue, useMemo, useState } from 'react';
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
import { LinkRow } from '@/ui/LinkRow';
import { Waiting } from '@/ui/Loading';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Swatch } from '@/ui/Swatch';
import { ToPieces } from '@/ui/ToPieces';
import { Words } from '@/ui/Words';
import { capital } from '@/ui/capital';
import { aboutShelves, sourceOf, SHELVES_SCREEN } from './words';
import { StripedSwatch } from './StripedSwatch';
import { leftWords } from './leftWords';
import { WORDS } from '@/ui/said';

/** Fewer are seen at a glance. */
const SEARCHED_FROM = 8;
export function ShelvesScreen() {
  const router = useRouter();
  const { shelf } = useLocalSearchParams<{ shelf?: string }>();
  const kind = SHELF_KINDS.find((one) => one === shelf) ?? SHELF_KINDS[0];
  const shelves = useShelves();
  const [wanted, setWanted] = useState('');
  // The field follows the fingers; what is found comes as soon as it can.
  const sought = useDeferredValue(wanted);
  if (!shelves.data) return <Waiting query={shelves} title={WORDS.shelves} />;
  const { data } = shelves;
  const all: readonly ShelfRecord[] = data[kind];
  return (
    <Screen title={WORDS.shelves} subtitle={SHELVES_SCREEN.everythingCalculatedThese}>
      <Choice<ShelfKind>
        label={SHELVES_SCREEN.shelf}
        value={kind}
        options={SHELF_KINDS.map((value) => ({ value, title: kindOf(value).short ?? capital(KINDS[value].many) }))}
        onChange={(value) => {
          setWanted('');
          router.setParams({ shelf: value });
        }}
        testID="shelf"
      />
      {all.some((record) => sourceOf(record) === TYPICAL_SOURCE && !data.archived.includes(record.id)) && (
        <Notice tone="plain" testID="typical-shelf">
          {SHELVES_SCREEN.typicalFiguresBegin}
        </Notice>
      )}
      {kindOf(kind).fromPieces ? (
        <>
          <Words size="label" tone="muted" testID="from-pieces">
            {SHELVES_SCREEN.whatComesOut}
          </Words>
          {all.length === 0 && <ToPieces />}
        </>
      ) : (
        <Action title={SHELVES_SCREEN.new(KINDS[kind].one)} testID="new-record" onPress={() => router.push(`/shelves/${kind}/new`)} />
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
      <Found kind={kind} shelves={data} wanted={sought} />
      <View style={{ paddingTop: space.wide }} role="list">
        <LinkRow href="/settings" inset={0} testID="open-settings">
          <Words bold tone="touch">
            {SHELVES_SCREEN.settings}
          </Words>
        </LinkRow>
      </View>
    </Screen>
  );
}

interface FoundProps {
  kind: ShelfKind;
  shelves: Shelves;
  wanted: string;
}

const Found = memo(function Found({ kind, shelves, wanted }: FoundProps) {
  const units = useUnits();
  const about = useMemo(() => aboutShelves(shelves, units), [shelves, units]);
  const all: readonly ShelfRecord[] = shelves[kind];
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const found = all.filter((record) => {
    const text = textOf(kind, record, about).toLowerCase();
    return words.every((word) => text.includes(word));
  });
  const archived = found.filter(({ id }) => shelves.archived.includes(id));
  const present = found.filter((record) => !archived.includes(record));
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
      <RecordList kind={kind} records={present} about={about} shelves={shelves} />
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
          <RecordList kind={kind} records={archived} about={about} shelves={shelves} />
        </View>
      )}
    </>
  );
});

const rowOf = (kind: ShelfKind, record: ShelfRecord, about: About): string => [kindOf(kind).about(record, about), sourceOf(record)].filter(Boolean).join(' · ');

const textOf = (kind: ShelfKind, record: ShelfRecord, about: About): string =>
  `${titleOf(kind, record, about)} ${rowOf(kind, record, about)} ${kindOf(kind).searched?.(record) ?? ''}`;

/** So many rows are drawn at once; the rest of a long shelf comes without holding up a finger. */
const AT_ONCE = 24;

function RecordList({ kind, records: all, about, shelves }: { kind: ShelfKind; records: readonly ShelfRecord[]; about: About; shelves: Shelves }) {
  const [first, rest] = [all.slice(0, AT_ONCE), all.slice(AT_ONCE)];
  return (
    <View role="list">
      <Rows kind={kind} records={first} about={about} shelves={shelves} />
      {rest.length > 0 && <LaterRows key={kind} kind={kind} records={rest} about={about} shelves={shelves} />}
    </View>
  );
}

const ROW_PX = 48;
const NONE: readonly ShelfRecord[] = [];

function LaterRows(props: RowsProps) {
  return <Rows {...props} records={useDeferredValue(props.records, NONE)} />;
}

interface RowsProps {
  kind: ShelfKind;
  records: readonly ShelfRecord[];
  about: About;
  shelves: Shelves;
}

const Rows = memo(function Rows({ kind, records, about, shelves }: RowsProps) {
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
          left={'stripes' in record && stock ? leftWords(stock(record).left_kg, record, about.units) : null}
        />
      ))}
    </>
  );
});

interface RowProps extends Omit<RowsProps, 'records'> {
  record: ShelfRecord;
  /** Of made glass: how much of it is left, where that is known. */
  left: string | null;
}

/** One that stays found is not drawn anew. */
const Row = memo(function Row({ kind, record, about, shelves, left }: RowProps) {
  return (
    <LinkRow href={`/shelves/${kind}/${record.id}`} inset={0} testID={`record-${record.id}`}>
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
    </LinkRow>
  );
});
