/** Opening a kiln: one screen for each piece of its load, one after the other, each recorded in half a minute. Works without a server. */
import { HOW_FAR, type HowFar } from '@torvin/core/learn';
import { FLAWS, type Flaw, LOOK_NAMES, RECIPES, flawWords, shapingDown } from '@torvin/core/look';
import { stuckOn } from '@torvin/core/piece';
import { RELEASED, RELEASED_NAMES, type Released } from '@torvin/core/release';
import { formatLength, text } from '@torvin/core/units';
import { type FiringDetail, type FiringResult, type Mark, toldIn } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { inFormUnits, useUnits } from '@/data/FormUnits';
import { useDraft } from '@/data/useDraft';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { MarksFields } from '@/notebook/Marks';
import { MeasuredFields, NO_BEND, NO_GLASS } from '@/notebook/MeasuredFields';
import { BY_FORM, HOW_OFF } from '@/notebook/RecordForm';
import { type MeasuredEntry, entryOfMeasured, measuredOf, measuredWords } from '@/notebook/measuredEntry';
import { usePutMeasured } from '@/notebook/putMeasured';
import { MEASURED } from '@/notebook/words';
import { isSame } from '@/outbox/merge';
import { knownNames } from '@/outbox/pictures';
import { useOutbox } from '@/outbox/useOutbox';
import { PhotoPicker } from '@/photos/Photos';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Caution } from '@/ui/Caution';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Toggles } from '@/ui/Toggles';
import { Words } from '@/ui/Words';
import { RESULT_WORDS, ResultSign } from '@/ui/results';
import { showFault } from '@/ui/showFault';
import { WORDS } from '@/ui/said';
import { OPENING } from './words';

interface Entry {
  result: FiringResult | 'unsaid';
  by: HowFar | 'unsaid';
  seen: Flaw[];
  marks: Mark[];
  photos: string[];
  measured: MeasuredEntry;
  released: Released | 'unsaid';
  note: string;
}

export interface OpeningScreenProps {
  detail: FiringDetail;
  /** Which of how many, from 1. */
  nth: number;
  of: number;
  /** Goes on; result: as it was recorded, null where it was left out. */
  onNext(result: FiringResult | null): void;
}

export const OpeningScreen = inFormUnits(Opening);

function Opening({ detail, nth, of, onNext }: OpeningScreenProps) {
  const { firing, schedule } = detail;
  const { colours } = useTheme();
  const units = useUnits();
  const outbox = useOutbox();
  const putMeasured = usePutMeasured(firing);
  const { snapshot } = schedule;
  const recipe = RECIPES[firing.look];
  const deep_m = shapingDown(snapshot.firing.setup.shaping);
  /** What the glass came off. */
  const on = recipe.empty || recipe.frees ? null : stuckOn(snapshot.setup, snapshot.firing);
  const [began] = useState<Entry>(() => ({
    result: 'unsaid',
    by: 'unsaid',
    seen: firing.seen,
    marks: firing.marks,
    photos: firing.photos,
    measured: entryOfMeasured(firing.measured, units),
    released: firing.released ?? 'unsaid',
    note: firing.note,
  }));
  const [now, setNow] = useState(began);
  const [wrong, setWrong] = useState<{ result?: string; figure?: { field: string; message: string } }>({});
  const draft = useDraft<Entry>(OPENING.draft(firing.id));
  useEffect(() => draft.keep(now, began), [draft, now, began]);
  const set = (part: Partial<Entry>): void => setNow({ ...now, ...part });
  const figures = measuredOf(now.measured, firing.measured, units);
  const measuredNow = ('measured' in figures && measuredWords(figures.measured, units)) || MEASURED.none;

  function save(): void {
    const { result, by, measured: typed, released, ...rest } = now;
    if (result === 'unsaid') {
      setWrong({ result: OPENING.sayHow });
      return showFault();
    }
    const read = measuredOf(typed, firing.measured, units);
    if ('fault' in read) {
      setWrong({ figure: read.fault });
      return showFault();
    }
    const { measured } = read;
    const before = { zone: firing.zone, firedAt: firing.firedAt, ...toldIn(firing) };
    const lesson = { ...firing.lesson, by: by === 'unsaid' || result === 'right' ? null : by };
    const marks = rest.marks.filter(({ flaw }) => rest.seen.includes(flaw));
    outbox.put(
      'saveFiring',
      { id: firing.id, body: { ...before, ...rest, marks, result, lesson, measured, released: released === 'unsaid' ? null : released }, before },
      { on: firing.version },
    );
    if (measured.down_m !== firing.measured.down_m) putMeasured(measured.down_m);
    draft.done();
    onNext(result);
  }

  return (
    <Screen
      title={firing.pieceName}
      subtitle={OPENING.nth(nth, of, LOOK_NAMES[firing.look])}
      back={{ title: WORDS.kiln, href: '/kiln' }}
      footer={
        <View
          style={{
            ...{ flexDirection: 'row', justifyContent: 'flex-end', gap: space.small, paddingHorizontal: space.large, paddingVertical: space.small },
            ...{ backgroundColor: colours.surface, borderTopWidth: 1, borderColor: colours.line },
          }}
        >
          <Action kind="plain" title={OPENING.skip} testID="opening-skip" onPress={() => onNext(null)} />
          <Action title={nth < of ? OPENING.saveNext : OPENING.save} testID="opening-save" onPress={save} />
        </View>
      }
    >
      <View style={{ gap: space.medium }}>
        {!isSame(draft.offered?.values, began) && (
          <DraftOffer draft={draft} onTake={(entry) => setNow({ ...began, ...entry, photos: knownNames(entry.photos) })} />
        )}
        <Choice<FiringResult | 'unsaid'>
          label={OPENING.how}
          value={now.result}
          options={(['short', 'right', 'past'] as const).map((result) => ({
            value: result,
            title: RESULT_WORDS[result],
            mark: <ResultSign result={result} />,
          }))}
          onChange={(result) => set({ result })}
          testID="opened"
        />
        {wrong.result !== undefined && now.result === 'unsaid' && (
          <Words bold tone="warn" role="alert">
            {wrong.result}
          </Words>
        )}
        {now.result !== 'unsaid' && (
          <Words size="label" tone="muted" testID="opened-like">
            {recipe.looksLike[now.result === 'short' ? 'early' : now.result === 'past' ? 'late' : 'right']}
          </Words>
        )}
        {(now.result === 'short' || now.result === 'past') && (
          <Choice<HowFar | 'unsaid'>
            label={OPENING.by}
            value={now.by}
            options={HOW_FAR.map((by) => ({ value: by, title: OPENING.howFar[by] }))}
            onChange={(by) => set({ by })}
            testID="opened-by"
          />
        )}
        <PhotoPicker hashes={now.photos} of={firing.pieceName} onChange={(photos) => set({ photos })} />
        {deep_m !== null && (
          <Field
            label={MEASURED.downIt}
            hint={OPENING.planned(text(formatLength(deep_m, units.length)))}
            value={now.measured.down}
            onChange={(down) => set({ measured: { ...now.measured, down } })}
            error={wrong.figure?.field === 'down' ? wrong.figure.message : undefined}
            testID="opened-down"
          />
        )}
        <Fold title={OPENING.seen} about={flawWords(now.seen) || OPENING.seenAbout} testID="opened-seen">
          {() => (
            <>
              <Toggles<Flaw>
                label={OPENING.each}
                values={now.seen}
                options={recipe.flaws.filter((one) => !on || !BY_FORM.includes(one)).map((value) => ({ value, title: FLAWS[value] }))}
                onChange={(seen) => set({ seen })}
                testID="opened-flaw"
              />
              {on && (
                <Choice<Released | 'unsaid'>
                  label={HOW_OFF[on.use]}
                  value={now.released}
                  options={RELEASED.map((how) => ({ value: how, title: RELEASED_NAMES[how] }))}
                  onChange={(released) => set({ released })}
                  testID="opened-released"
                />
              )}
              <MarksFields seen={now.seen} marks={now.marks} footprint={snapshot.firing.body.footprint} onChange={(marks) => set({ marks })} />
            </>
          )}
        </Fold>
        <Fold title={MEASURED.title} about={measuredNow} testID="opened-measured" opened={wrong.figure !== undefined && wrong.figure.field !== 'down'}>
          {() => (
            <MeasuredFields
              value={now.measured}
              fault={wrong.figure ?? null}
              without={recipe.empty ? NO_GLASS : NO_BEND}
              onChange={(measured) => set({ measured })}
            />
          )}
        </Fold>
        <Field label={OPENING.note} value={now.note} onChange={(note) => set({ note })} multiline testID="opened-note" />
        <Caution about={OPENING.care(firing.look)}>{recipe.empty ? recipe.care : WORK_CAUTIONS.open}</Caution>
      </View>
    </Screen>
  );
}

export interface Opened {
  id: string;
  pieceName: string;
  result: FiringResult | null;
}

/** What was recorded of the load, and what to do next with each that was not right. */
export function OpenedScreen({ opened }: { opened: readonly Opened[] }) {
  const router = useRouter();
  const told = opened.filter(({ result }) => result !== null);
  return (
    <Screen title={OPENING.done} subtitle={OPENING.recorded(told.length, opened.length)} back={{ title: WORDS.kiln, href: '/kiln' }}>
      {opened.length === 0 && <Notice tone="plain">{OPENING.nothing}</Notice>}
      <View role="list" testID="opened-list">
        {opened.map(({ id, pieceName, result }) => {
          const isOff = result === 'short' || result === 'past';
          return (
            <LinkRow
              key={id}
              href={isOff ? `/notebook/${id}/next` : result === null ? `/notebook/${id}/tell` : `/notebook/${id}`}
              inset={0}
              testID="opened-row"
            >
              <ResultSign result={result} />
              <View style={{ flex: 1 }}>
                <Words bold>{pieceName}</Words>
              </View>
              <Words bold tone="touch">
                {isOff ? OPENING.next : result === null ? WORDS.recordResult : OPENING.see}
              </Words>
            </LinkRow>
          );
        })}
      </View>
      <View style={{ alignItems: 'flex-start', marginTop: space.medium }}>
        <Action title={OPENING.toBench} testID="opening-done" onPress={() => router.replace('/bench')} />
      </View>
    </Screen>
  );
}
