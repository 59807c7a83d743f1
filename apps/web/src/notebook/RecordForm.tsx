/** What is told of a firing: when, where it stood, how it came out, what was seen, and how it ran where not as planned. */
import { zodResolver } from '@hookform/resolvers/zod';
import type { FormUse } from '@torvin/core/form';
import { HOW_FAR } from '@torvin/core/learn';
import { FLAWS, type Flaw, LOOKS, type Look, RECIPES, flawWords, LOOK_NAMES, shapingDown } from '@torvin/core/look';
import { rescueIn, stuckOn } from '@torvin/core/piece';
import type { Problem } from '@torvin/core/problem';
import { RELEASED, RELEASED_NAMES } from '@torvin/core/release';
import {
  type Faced,
  FIRING_FIELDS,
  FIRING_WORDS,
  type Firing,
  type Mark,
  NOT_FACED,
  ResultSchema,
  type Schedule,
  type ToldOfFiring,
  type WordsName,
  facedWords,
  toldIn,
} from '@torvin/schema';
import { format } from 'date-fns/format';
import { useEffect, useState } from 'react';
import { type Control, Controller, useForm, useWatch } from 'react-hook-form';
import { View } from 'react-native';
import { z } from 'zod';
import { useUnits } from '@/data/FormUnits';
import type { Drafting } from '@/data/useDraft';
import { isSame } from '@/outbox/merge';
import { knownNames } from '@/outbox/pictures';
import { RescueCard } from '@/planner/RescueCard';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { DraftOffer } from '@/ui/DraftOffer';
import { Field } from '@/ui/Field';
import { Fold } from '@/ui/Fold';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { DayTimeInput, FIELD_TIME, readFieldTime } from '@/ui/TimeInput';
import { AsFiredRows } from './AsFiredRows';
import { FacedFields } from './Faced';
import { type LessonEntry, LessonFields, entryOfLesson, lessonOf } from './LessonFields';
import { MarksFields } from './Marks';
import { MeasuredFields, NO_BEND, NO_GLASS } from './MeasuredFields';
import { type MeasuredEntry, entryOfMeasured, measuredOf, measuredWords } from './measuredEntry';
import { PhotoPicker } from '@/photos/Photos';
import { Toggles } from '@/ui/Toggles';
import { RESULT_WORDS } from '@/ui/results';
import { Words } from '@/ui/Words';
import { useLayout } from '@/ui/useWidth';
import { showFault } from '@/ui/showFault';
import { MEASURED, RECORD_FORM } from './words';
import { WORDS } from '@/ui/said';

export type Told = Pick<Firing, 'firedAt'> & ToldOfFiring;

export interface RecordFormProps {
  told: Told;
  /** The schedule that it was to run. */
  schedule: Schedule;
  problem: Problem | null;
  saving: boolean;
  /** It waits for a server that does not answer. */
  held: boolean;
  draft: Drafting<RecordEntry>;
  /** What was begun before is gone on with; base: as it was put beside it, see useDraft. */
  onDraftTaken?(base: unknown): void;
  /** Steps of the hands before it that were not told, in words; nothing where there are none. */
  untold?: string;
  /** atOnce: its time is that of another, which was said and asked. hands: what became of the steps that were not told. */
  onSave(told: Told, how: { atOnce: boolean; hands: Hands | null }): void;
}

export type Hands = 'done' | 'leftOut';

const WORDS_ASKED = Object.fromEntries(FIRING_WORDS.map((name) => [name, FIRING_FIELDS[name].schema.unwrap()])) as { [K in WordsName]: z.ZodString };

const recordSchema = z.object({
  when: z.string().transform((written, context) => {
    const time = readFieldTime(written);
    if (time) return time.getTime();
    context.addIssue({ code: 'custom', message: RECORD_FORM.sayWhenStarted });
    return z.NEVER;
  }),
  ...WORDS_ASKED,
  result: z.enum([...ResultSchema.options, 'open']),
  seen: FIRING_FIELDS.seen.schema.unwrap(),
  marks: FIRING_FIELDS.marks.schema.unwrap(),
  faced: z.custom<Faced>(),
  lookReached: z.enum([...LOOKS, 'unsaid']),
  released: z.enum([...RELEASED, 'unsaid']),
  asFired: z.custom<Told['asFired']>(),
  photos: z.array(z.string()),
  by: z.enum([...HOW_FAR, 'unsaid']),
  lesson: z.custom<LessonEntry>(),
  measured: z.custom<MeasuredEntry>(),
});

export type RecordEntry = z.input<typeof recordSchema>;

/** Where a problem of the server's stands; at the end of the form where it is of none of these. */
const fieldAt = (path: string): 'when' | WordsName | 'root' => (path === 'firedAt' ? 'when' : (FIRING_WORDS.find((name) => name === path) ?? 'root'));

export function RecordForm({ told, schedule, problem, saving, held, draft, onDraftTaken, untold = '', onSave }: RecordFormProps) {
  'use no memo'; // The form library changes its errors in place.
  const units = useUnits();
  const unit = units.temperature;
  const [hands, setHands] = useState<Hands | null>(null);
  const [handsMissing, setHandsMissing] = useState(false);
  const [fault, setFault] = useState<{ field: string; message: string } | null>(null);
  const [wrong, setWrong] = useState<{ field: string; message: string } | null>(null);
  const [began] = useState<RecordEntry>(() => ({
    when: format(told.firedAt, FIELD_TIME),
    ...toldIn(told),
    result: told.result ?? 'open',
    lookReached: told.lookReached ?? 'unsaid',
    released: told.released ?? 'unsaid',
    by: told.lesson.by ?? 'unsaid',
    lesson: entryOfLesson(told.lesson, unit),
    measured: entryOfMeasured(told.measured, units),
  }));
  const { control, handleSubmit, setError, setValue, reset, formState } = useForm({ resolver: zodResolver(recordSchema), defaultValues: began });
  const { errors } = formState;
  const recipe = RECIPES[schedule.snapshot.firing.look];
  /** Nothing of glass was fired. */
  const item = recipe.empty ? recipe : null;
  const { firing, setup } = schedule.snapshot;
  /** What the glass came off, or was stuck on. */
  const on = item || recipe.frees ? null : stuckOn(setup, firing);
  const now = useWatch({ control });
  useEffect(() => draft.keep(now as RecordEntry, began, saving), [draft, now, began, saving]);
  useEffect(() => {
    if (!problem) return;
    setError(fieldAt(problem.path), { message: problem.message });
    showFault();
  }, [problem, setError]);
  const submit = (atOnce: boolean): void => {
    if (untold !== '' && hands === null) {
      setHandsMissing(true);
      return showFault();
    }
    void handleSubmit(({ when, result, seen, seenWhere, marks, lookReached, released, by, lesson: typed, measured: figures, ...rest }) => {
      const farOff = by === 'unsaid' || result === 'right' || result === 'open' ? null : by;
      const read = lessonOf(typed, farOff, unit, told.lesson);
      setFault('fault' in read ? read.fault : null);
      const measured = measuredOf(figures, told.measured, units);
      setWrong('fault' in measured ? measured.fault : null);
      if ('fault' in read || 'fault' in measured) return showFault();
      onSave(
        {
          ...rest,
          ...read,
          ...measured,
          // A field counts in minutes, and one night an hour comes twice: what nobody touched stays to the moment.
          firedAt: now.when === began.when ? told.firedAt : (readFieldTime(now.when ?? '', told.firedAt)?.getTime() ?? when),
          result: result === 'open' ? null : result,
          lookReached: lookReached === 'unsaid' || result === 'open' ? null : lookReached,
          seen: result === 'open' ? [] : seen,
          seenWhere: result === 'open' || seen.length === 0 ? '' : seenWhere,
          marks: result === 'open' ? [] : marks.filter(({ flaw }) => seen.includes(flaw)),
          released: released === 'unsaid' || result === 'open' || !on ? null : released,
        },
        { atOnce, hands },
      );
    }, showFault)();
  };
  const figures = measuredOf(now.measured as MeasuredEntry, told.measured, units);
  const measuredNow = ('measured' in figures && measuredWords(figures.measured, units)) || MEASURED.none;
  const beside = useLayout() === 'beside';
  const column = { gap: space.large, ...(beside ? { flex: 1, minWidth: 0 } : {}) };
  return (
    <View style={{ gap: space.large }}>
      {!isSame(draft.offered?.values, began) && (
        <DraftOffer
          draft={draft}
          onTake={(entry, base) => {
            reset({ ...began, ...entry, photos: knownNames(entry.photos) });
            onDraftTaken?.(base);
          }}
        />
      )}
      <View style={beside ? { flexDirection: 'row', gap: space.wide, alignItems: 'flex-start' } : { gap: space.large }}>
        <View style={column}>
          <Controller
            control={control}
            name="when"
            render={({ field: { value, onChange } }) => (
              <DayTimeInput label={RECORD_FORM.started} value={value} onChange={onChange} error={errors.when?.message} testID="record-when" />
            )}
          />
          {problem?.code === 'overlaps' && (
            <View style={{ alignItems: 'flex-start' }}>
              <Action kind="second" title={RECORD_FORM.saveAllSame} testID="save-at-once" disabled={saving} onPress={() => submit(true)} />
            </View>
          )}
          {untold !== '' && (
            <View>
              <Choice<Hands>
                label={RECORD_FORM.beforeThisFiring(untold)}
                value={hands}
                options={[
                  { value: 'done', title: RECORD_FORM.theyWereDone },
                  { value: 'leftOut', title: RECORD_FORM.theyWereLeft, note: RECORD_FORM.takenJourney },
                ]}
                onChange={(next) => {
                  setHands(next);
                  setHandsMissing(false);
                }}
                testID="hands"
              />
              {handsMissing && (
                <Words bold tone="warn" role="alert" testID="hands-error">
                  {RECORD_FORM.sayWhetherThey}
                </Words>
              )}
            </View>
          )}
          <Choice
            label={RECORD_FORM.howDidCome}
            value={now.result ?? 'open'}
            options={[
              { value: 'open', title: RECORD_FORM.notOpenedYet, note: WORDS.inTheKiln },
              { value: 'short', title: RESULT_WORDS.short, note: recipe.looksLike.early },
              { value: 'right', title: RESULT_WORDS.right, note: recipe.looksLike.right },
              { value: 'past', title: RESULT_WORDS.past, note: recipe.looksLike.late },
            ]}
            onChange={(result) => setValue('result', result)}
            testID="result"
          />
          {(now.result === 'short' || now.result === 'past') && (
            <Choice
              label={RECORD_FORM.byHowMuch}
              value={now.by ?? 'unsaid'}
              options={[
                { value: 'unsaid' as const, title: RECORD_FORM.notSaid },
                { value: 'little' as const, title: RECORD_FORM.aLittle, note: RECORD_FORM.someMinutes },
                { value: 'far' as const, title: RECORD_FORM.byFar, note: RECORD_FORM.anotherFiring },
              ]}
              onChange={(by) => setValue('by', by)}
              testID="by"
            />
          )}
          {now.result !== 'open' && (
            <Fold title={RECORD_FORM.whatElseCan} about={flawWords((now.seen as Flaw[] | undefined) ?? []) || RECORD_FORM.bubblesCracksRim} testID="seen">
              {() => (
                <>
                  <Toggles<Flaw>
                    label={RECORD_FORM.eachTrue}
                    values={now.seen ?? []}
                    options={offeredFlaws(recipe.flaws, on !== null, now.seen ?? []).map((value) => ({ value, title: FLAWS[value] }))}
                    onChange={(seen) => setValue('seen', seen)}
                    testID="seen"
                  />
                  <MarksFields
                    seen={now.seen ?? []}
                    marks={(now.marks as Mark[] | undefined) ?? []}
                    footprint={firing.body.footprint}
                    onChange={(marks) => setValue('marks', marks)}
                  />
                </>
              )}
            </Fold>
          )}
          {now.result !== 'open' && !item && (
            <Choice
              label={RECORD_FORM.lookItReached}
              value={now.lookReached ?? 'unsaid'}
              options={[
                { value: 'unsaid' as const, title: RECORD_FORM.notSaid },
                ...reachable(schedule.snapshot.firing.look, now.lookReached).map((look) => ({ value: look, title: LOOK_NAMES[look] })),
              ]}
              onChange={(look) => setValue('lookReached', look)}
              testID="reached"
            />
          )}
          {now.result !== 'open' && on && (
            <Choice
              label={HOW_OFF[on.use]}
              value={now.released ?? 'unsaid'}
              options={[{ value: 'unsaid' as const, title: RECORD_FORM.notSaid }, ...RELEASED.map((how) => ({ value: how, title: RELEASED_NAMES[how] }))]}
              onChange={(released) => setValue('released', released)}
              testID="released"
            />
          )}
          {now.result !== 'open' && on && now.released === 'stuck' && <RescueCard rescue={rescueIn(on, firing, units)} asTyped={!setup.form} />}
          {FIRING_WORDS.filter((name) => isAsked(name, now, errors[name] !== undefined)).map((name) => (
            <WordsField key={name} {...{ control, name }} error={errors[name]?.message} />
          ))}
        </View>
        <View style={column}>
          <Fold title={RECORD_FORM.whichWayLay} about={facedWords(readFaced(now.faced)) || RECORD_FORM.edgesTowardsDoor} testID="faced">
            {() => <FacedFields value={readFaced(now.faced)} onChange={(faced) => setValue('faced', faced)} />}
          </Fold>
          <PhotoPicker hashes={now.photos ?? []} of={RECORD_FORM.thisFiring} onChange={(photos) => setValue('photos', photos)} />
          <AsFiredRows
            planned={schedule.segments}
            start_C={schedule.snapshot.firing.kiln.ambient_C}
            fullSpeedCode={schedule.snapshot.controller.fullSpeedCode}
            ran={(now.asFired as Told['asFired'] | undefined) ?? null}
            onChange={(asFired) => setValue('asFired', asFired)}
          />
          {now.result !== 'open' && (
            <Fold title={MEASURED.title} about={measuredNow} testID="measured" opened={wrong !== null}>
              {() => (
                <MeasuredFields
                  value={now.measured as MeasuredEntry}
                  fault={wrong}
                  without={item ? NO_GLASS : shapingDown(firing.setup.shaping) === null ? NO_BEND : []}
                  onChange={(measured) => setValue('measured', measured)}
                />
              )}
            </Fold>
          )}
          {now.result !== 'open' && !item && (
            <Fold title={RECORD_FORM.whatItTeaches} about={lessonWords(now.lesson as LessonEntry)} testID="teaches" opened={fault !== null}>
              {() => <LessonFields value={now.lesson as LessonEntry} fault={fault} onChange={(lesson) => setValue('lesson', lesson)} />}
            </Fold>
          )}
          {errors.root?.message && <Notice tone="warn">{errors.root.message}</Notice>}
          <Notice tone="care">{item ? item.care : WORK_CAUTIONS.open}</Notice>
          {held && <Held />}
          <Action title={RECORD_FORM.saveNotebook} disabled={saving} testID="save-firing" onPress={() => submit(false)} />
        </View>
      </View>
    </View>
  );
}

function WordsField({ control, name, error }: { control: Control<RecordEntry, unknown, z.output<typeof recordSchema>>; name: WordsName; error?: string }) {
  const { label = '', hint, isLong } = FIRING_FIELDS[name].asked ?? {};
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, onBlur } }) => (
        <Field {...{ label, value, onChange, onBlur, error, hint }} multiline={isLong === true} testID={`record-${name}`} />
      )}
    />
  );
}

/** How it came off its form is asked by itself; what was told before stays to be taken back. */
export const BY_FORM: readonly Flaw[] = ['stuck', 'gripped'];
const offeredFlaws = (of: readonly Flaw[], isAskedByItself: boolean, told: readonly Flaw[]): Flaw[] =>
  [...new Set([...of, ...told])].filter((one) => told.includes(one) || !isAskedByItself || !BY_FORM.includes(one));

const readFaced = (faced: unknown): Faced => ({ ...NOT_FACED, ...(faced as Faced | undefined) });

function isAsked(name: WordsName, now: Partial<{ [K in keyof RecordEntry]: unknown }>, isWrong: boolean): boolean {
  const { once, withFlaws } = FIRING_FIELDS[name].asked ?? {};
  const isTold = now[name] !== undefined && now[name] !== '';
  if (once) return now.result !== 'open' && (isWrong || isTold);
  return !withFlaws || (now.result !== 'open' && Array.isArray(now.seen) && now.seen.length > 0);
}

export const HOW_OFF: Record<FormUse, string> = {
  ...{ hollow: RECORD_FORM.howDidComeOut, cavity: RECORD_FORM.howDidComeOut, dam: RECORD_FORM.howDidComeOutDam },
  ...{ former: RECORD_FORM.howDidComeOff, texture: RECORD_FORM.howDidComeOffPlate, shelf: RECORD_FORM.howDidComeOffShelf },
  grid: RECORD_FORM.howDidComeOffBelow,
};

/** What the fold holds, in a few words. */
const lessonWords = ({ leftOut, controller }: LessonEntry): string =>
  leftOut ? RECORD_FORM.leftOut : controller.trim() === '' ? RECORD_FORM.readingGlassLeave : RECORD_FORM.readingGlass;

/** What it can have become: what it was to be, what was said before, or one of the looks that heat gives to any glass. */
const reachable = (planned: Look, said: string | undefined): Look[] =>
  LOOKS.filter((look) => look === planned || look === said || RECIPES[look].group === 'flat');
