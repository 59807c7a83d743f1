/** One record of any kind, edited in the form that its definition makes. A save names the version it was based on. */
import {
  type AnyRecord,
  type Entry,
  type FindingRecord,
  type FormRecord,
  type Kiln,
  type Made,
  type MakingRecord,
  type RecordOf,
  type Release,
  type ShelfKind,
  type Shelves,
  dayWritten,
  entryOfRecord,
  kindOf,
  readEntry,
  KINDS,
  titleOf,
  valueAt,
} from '@torvin/schema';
import { TYPICAL_CONTROLLERS, profileWords } from '@torvin/core/controller';
import { useNavigation, usePathname, useRouter } from 'expo-router';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { type FieldErrors, type Resolver, type UseFormSetValue, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import type { ShelfRecord } from '@/outside/records';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { recordOnto } from '@/outbox/kinds';
import { isSame } from '@/outbox/merge';
import { knownNames, withPhotos, withoutLocal } from '@/outbox/pictures';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { PanelTrial } from '@/panel/PanelTrial';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Fold } from '@/ui/Fold';
import { GoneChoice } from '@/ui/GoneChoice';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { isWide, useLayout } from '@/ui/useWidth';
import { capital } from '@/ui/capital';
import { showDrawnFault, showFault } from '@/ui/showFault';
import { DeleteRecord } from './DeleteRecord';
import { FormCoats } from './FormCoats';
import { FormStory } from './FormStory';
import { type KilnClock, KilnTimes } from './KilnTimes';
import { MadeStory } from './MadeStory';
import { MakingStory } from './MakingStory';
import { RecordFields } from './RecordFields';
import { FindingStory } from './FindingStory';
import { ReleaseStory } from './ReleaseStory';
import { aboutShelves, sourceOf, RECORD_SCREEN } from './words';
import { WORDS } from '@/ui/said';

export interface RecordScreenProps {
  kind: ShelfKind;
  /** version 0: a new one. */
  record: ShelfRecord;
  shelves: Shelves;
  /** A mould that is described to be made: its making comes after it. */
  toBeMade?: boolean;
}

/** What stands in the form of a kind that may have pictures. */
type Pictured = Entry & { photos?: string[] };

/** Whether somebody else has written something else into what I changed too. */
export const clashes = (base: AnyRecord, mine: AnyRecord, stands: AnyRecord): boolean =>
  // What was emptied is in none of its keys.
  [...new Set([base, mine, stands].flatMap((one) => Object.keys(one)))].some((key) => {
    const [value, was, is] = [mine, base, stands].map((one) => valueAt(one, key));
    return key !== 'version' && !isSame(value, was) && !isSame(is, was) && !isSame(value, is);
  });

/** at: what stands open beside the shelf. */
export const shelfHref = (kind: ShelfKind, at?: string) => `/shelves?shelf=${kind}${at === undefined ? '' : `&at=${at}`}` as const;

export const RecordScreen = inFormUnits(RecordForm);

function RecordForm({ kind, record, shelves, toBeMade = false }: RecordScreenProps) {
  'use no memo'; // The form library changes its errors in place.
  const router = useRouter();
  const units = useUnits();
  const wide = isWide(useLayout());
  const path = usePathname();
  const navigation = useNavigation();
  const { fields, one, caution, archives } = kindOf(kind);
  const called = (of: ShelfRecord): string => titleOf(kind, of, aboutShelves(shelves, units));
  const save = useSave('saveRecord', ({ kind: of, record: { id } }) => of === kind && id === record.id);
  const archive = useSave('archiveRecord');
  const [beganAs, setBeganAs] = useState<string | null>(null);
  /** As it stood when the form was filled: it may be changed elsewhere, and be read anew, while one types. */
  const [base, setBase] = useState<ShelfRecord>((save.left?.before as ShelfRecord | undefined) ?? record);
  const [clash, setClash] = useState<AnyRecord | null>(null);
  const [isFound, setFound] = useState(false);
  const withOwnFamily = useOwnFamily(shelves);
  const draft = useDraft<Entry>(`${kind} ${base.version === 0 ? 'new' : base.id}`, base);
  /** What was refused when the form was open before stands in it again. */
  const [began] = useState<Entry>(() => entryOfRecord(fields, (save.left?.record as ShelfRecord | undefined) ?? record, units));
  /** What it was filled with last, before anything was typed. */
  const beginsWith = useRef(began);
  const readNow = (entry: Entry) => readEntry(kindOf(kind), base, withPhotos(entry as Pictured, withoutLocal), units);
  const resolver: Resolver<Entry> = (entry) => {
    const read = readNow(entry);
    if (read.ok) return { values: entry, errors: {} };
    return {
      values: {},
      errors: Object.fromEntries(read.faults.map(({ path, message }) => [path || 'root', { type: 'value', message }])) as FieldErrors<Entry>,
    };
  };
  const { control, handleSubmit, reset, getValues, setValue, setError, formState } = useForm<Entry>({ defaultValues: began, resolver });
  const now = useWatch({ control }) as Entry;
  useEffect(() => draft.keep(now, began, save.saving), [draft, now, began, save.saving]);
  const problem = save.refusal?.problem ?? null;
  const stale = problem?.code === 'stale' ? (save.refusal?.current as ShelfRecord) : (clash as ShelfRecord | null);
  const gone = problem?.code === 'deleted';
  useEffect(() => {
    if (problem && problem.code !== 'stale' && problem.code !== 'deleted')
      setError(fields.some(({ key }) => key === problem.path) ? problem.path : 'root', { message: problem.message });
  }, [problem, setError, fields]);
  const isAsked = stale !== null || gone;
  // Before it is painted: nothing moves once it can be touched.
  useLayoutEffect(() => (isAsked ? showDrawnFault() : undefined), [isAsked]);
  const archived = shelves.archived.includes(record.id);
  /** What was typed of a clock and not worked out yet is, before it is kept. */
  const times = useRef<KilnClock>(null);
  /** One that waits to be saved has no version either. */
  const isNew = record.version === 0 && shelves[kind].every(({ id }) => id !== record.id);
  /** Where one was: the list that led here, or the shelf. */
  const leave = (): void => {
    // Beside its shelf it stays in sight, as it was kept; who came from elsewhere goes back there.
    const fromShelf = path === '/shelves' || (navigation.getState()?.routes.length ?? 0) > 1;
    if (wide && (fromShelf || !router.canGoBack())) router.replace(shelfHref(kind, record.id));
    else if (router.canGoBack()) router.back();
    else router.replace(shelfHref(kind));
  };

  const beginAs = (id: string): void => {
    const { name: _name, ...typical } = TYPICAL_CONTROLLERS.find((one) => one.id === id) ?? TYPICAL_CONTROLLERS[0];
    setBeganAs(id);
    const begins = entryOfRecord(fields, { ...record, ...typical, id: record.id }, units);
    // What was typed or chosen by hand stays.
    const own = Object.entries(getValues()).filter(([key, value]) => !isSame(value, beginsWith.current[key]));
    beginsWith.current = begins;
    reset({ ...begins, ...Object.fromEntries(own) });
  };
  const done = (): void => {
    draft.done();
    // A mould that was described to be made goes on with its making.
    if (toBeMade) router.replace(`/shelves/makings/new?on=${record.id}`);
    else leave();
  };
  const discard = (): void => {
    save.discard();
    draft.done();
    leave();
  };
  /** What was typed and what was refused are one and the same: it is not offered twice. */
  const isLeft = save.left !== null && draft.offered !== null && isSame(draft.offered.values, began);

  /** standing: what somebody else saved meanwhile, to put my changes onto. */
  const keep = (standing?: AnyRecord): void =>
    void handleSubmit((entry) => {
      const read = readNow(entry);
      if (!read.ok) return;
      // Those that have not gone yet are named by the server once they have.
      const { photos = [] } = entry as Pictured;
      const shown = photos.length > 0 ? { photos: knownNames(photos) } : {};
      const kept = isFound ? withOwnFamily(read.record as RecordOf<'glasses'>) : read.record;
      const mine = { kind, record: { ...kept, ...shown } as RecordOf<ShelfKind>, before: base };
      const stands = standing ?? (record.version === base.version ? undefined : record);
      if (!standing && stands && clashes(base, mine.record, stands)) setClash(stands);
      else if (stands) save.save(recordOnto(mine, stands).variables, { on: stands.version, then: done });
      else save.save(mine, { on: base.version, ...(isNew ? { id: record.id } : {}), then: done });
    }, showFault)();

  const twin = twinOf(kind, record, String(now.name ?? ''), shelves);
  const twinAbout = twin ? kindOf(kind).about(twin, aboutShelves(shelves, units)) : '';

  async function settleAndKeep(): Promise<void> {
    if (times.current && !(await times.current.settle())) return showFault();
    keep();
  }

  const controller = kind === 'controllers' ? readEntry(KINDS.controllers, base as RecordOf<'controllers'>, now, units) : null;
  const form = kind === 'forms' ? readEntry(KINDS.forms, base as FormRecord, { ...now, name: called(record) || 'new' }, units) : null;
  return (
    <Screen
      title={isNew ? RECORD_SCREEN.new(one) : called(record)}
      subtitle={isNew ? undefined : sourceOf(record)}
      back={{ title: WORDS.shelves, href: shelfHref(kind) }}
    >
      <View style={{ gap: space.medium }}>
        {stale && <StaleChoice stands={[called(stale), sourceOf(stale)].filter(Boolean).join(', ')} onKeep={() => keep(stale)} onLeave={discard} />}
        {gone && <GoneChoice what={one} onBringBack={() => save.bringBack(done)} onLeave={discard} />}
        {!isLeft && (
          <DraftOffer
            draft={draft}
            onTake={(values, from) => {
              reset(values);
              // A new one has its id from this page.
              const was = from as ShelfRecord | undefined;
              if (was && was.version > 0) setBase(was);
            }}
          />
        )}
        {form?.ok && <FormStory form={form.record} shelves={shelves} />}
        {!isNew && <Stories {...{ kind, record, shelves, setValue }} />}
        {kind === 'controllers' && isNew && <BeginAs value={beganAs} onBegin={beginAs} />}
        {kind === 'makings' && isNew && <NotOnShelf onPress={() => router.replace('/shelves/forms/new?then=making')} />}
        {kind === 'glasses' && isNew && <GlassIs isFound={isFound} onChange={setFound} />}
        <RecordFields
          fields={fields}
          entry={now}
          control={control}
          errors={formState.errors as Partial<Record<string, { message?: string }>>}
          shelves={shelves}
          between={kind === 'kilns' && <KilnTimes ref={times} record={record as Kiln} getValues={getValues} setValue={setValue} />}
        />
        {twin && (
          <Notice tone="warn" testID="same-name">
            {RECORD_SCREEN.nameTooAnother(capital(KINDS[kind].one), called(twin), twinAbout === '' ? '' : `, ${twinAbout},`)}
          </Notice>
        )}
        {controller?.ok && (
          <View style={{ marginHorizontal: -space.large }}>
            <Fold title={RECORD_SCREEN.tryIt} about={RECORD_SCREEN.keyedOneBeside} testID="try">
              {() => <PanelTrial key={JSON.stringify(controller.record)} controller={controller.record} />}
            </Fold>
          </View>
        )}
        {formState.errors.root?.message && <Notice tone="warn">{formState.errors.root.message}</Notice>}
        {caution && <Notice tone="care">{caution}</Notice>}
        {save.held && <Held />}
        <Action title={RECORD_SCREEN.save} disabled={save.saving} testID="save-record" onPress={() => void settleAndKeep()} />
        {!isNew && LABELLED.includes(kind) && (
          <Action kind="second" title={WORDS.label} testID="open-label" onPress={() => router.push(`/label/${kind}/${record.id}`)} />
        )}
        {!isNew && archives && (
          <Action
            kind="second"
            title={archived ? WORDS.restore : RECORD_SCREEN.archive}
            testID="put-away"
            onPress={() => archive.save({ kind, id: record.id, name: called(record), archived: !archived }, { then: leave })}
          />
        )}
        {!isNew && <DeleteRecord kind={kind} record={record} name={called(record)} onDeleted={leave} />}
      </View>
    </Screen>
  );
}

/** What stands about in a studio and has no writing on it. */
const LABELLED: readonly ShelfKind[] = ['glasses', 'made', 'forms', 'releases'];

/** Found glass is of a family of its own that is kept before it, with the figures of the one that was chosen. */
function useOwnFamily(shelves: Shelves): (glass: RecordOf<'glasses'>) => RecordOf<'glasses'> {
  const outbox = useOutbox();
  // Saved again after a refusal there is no other.
  const made = useRef<{ from: string; id: string }>(null);
  return (glass) => {
    const taken = shelves.families.find(({ id }) => id === glass.familyId);
    if (!taken) return glass;
    if (made.current?.from !== taken.id) {
      const family = { ...taken, id: uuid(), version: 0, name: glass.name, source: RECORD_SCREEN.takenAs(taken.name), provisional: true as const };
      outbox.put('saveRecord', { kind: 'families', record: family, before: null }, { on: 0 });
      made.current = { from: taken.id, id: family.id };
    }
    return { ...glass, familyId: made.current.id };
  };
}

/** Another of its kind that is called the same. */
function twinOf(kind: ShelfKind, record: ShelfRecord, name: string, shelves: Shelves): ShelfRecord | undefined {
  const plain = (words: string): string => words.trim().toLowerCase();
  const others: readonly ShelfRecord[] = shelves[kind];
  return plain(name) === ''
    ? undefined
    : others.find((one) => one.id !== record.id && !shelves.archived.includes(one.id) && 'name' in one && plain(one.name) === plain(name));
}

function StaleChoice({ stands, onKeep, onLeave }: { stands: string; onKeep(): void; onLeave(): void }) {
  const actions = (
    <>
      <Action title={WORDS.saveMineOver} testID="keep-mine" onPress={onKeep} />
      <Action kind="second" title={WORDS.letMineGo} testID="let-mine-go" onPress={onLeave} />
    </>
  );
  return (
    <Notice tone="warn" testID="stale-choice" actions={actions}>
      {RECORD_SCREEN.recordChangedElsewhere(stands)}
    </Notice>
  );
}

/** What became of it: its coats, its bottle, its making, what was taken of it. */
function Stories({ kind, record, shelves, setValue }: Pick<RecordScreenProps, 'kind' | 'record' | 'shelves'> & { setValue: UseFormSetValue<Entry> }) {
  switch (kind) {
    case 'forms':
      return <FormCoats form={record as FormRecord} shelves={shelves} />;
    case 'releases':
      return (
        <ReleaseStory
          release={record as Release}
          shelves={shelves}
          onEmpty={(coats) => {
            setValue('yields', String(coats));
            setValue('openedAt', dayWritten(Date.now()));
          }}
        />
      );
    case 'makings':
      return <MakingStory making={record as MakingRecord} shelves={shelves} />;
    case 'findings':
      return <FindingStory finding={record as FindingRecord} />;
    case 'made':
      return <MadeStory made={record as Made} shelves={shelves} />;
    default:
      return null;
  }
}

function BeginAs({ value, onBegin }: { value: string | null; onBegin(id: string): void }) {
  return (
    <Choice
      label={RECORD_SCREEN.beginAs}
      value={value}
      options={TYPICAL_CONTROLLERS.map(({ id, name, ...typical }) => ({ value: id, title: name, note: profileWords(typical) }))}
      onChange={onBegin}
      testID="begin-as"
    />
  );
}

function NotOnShelf({ onPress }: { onPress(): void }) {
  return (
    <View style={{ alignItems: 'flex-start' }}>
      <Action kind="plain" title={RECORD_SCREEN.notShelfYet} label={RECORD_SCREEN.notShelfYetDescribe} testID="making-new-form" onPress={onPress} />
    </View>
  );
}

function GlassIs({ isFound, onChange }: { isFound: boolean; onChange(isFound: boolean): void }) {
  return (
    <>
      <Choice
        label={RECORD_SCREEN.itIs}
        value={isFound ? 'found' : 'bought'}
        options={[
          { value: 'bought', title: RECORD_SCREEN.ofAFamily, note: RECORD_SCREEN.makerSells },
          { value: 'found', title: RECORD_SCREEN.foundMadeBefore, note: RECORD_SCREEN.tumblerPaneOld },
        ]}
        onChange={(is) => onChange(is === 'found')}
        testID="glass-is"
      />
      {isFound && (
        <Notice tone="warn" testID="found-glass">
          {RECORD_SCREEN.fuseNoOther}
        </Notice>
      )}
    </>
  );
}
