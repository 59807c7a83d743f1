/** A mould in the making: its steps with when each was told, the one that is next with what it takes, and what it waits for. */
import type { Look } from '@torvin/core/look';
import { type StageName, dryingWords, makingProblem, stageCaution, stageDoes, stageTitle, stagesOf, standsIn, waxLeftWords } from '@torvin/core/making';
import type { Wet } from '@torvin/core/schedule';
import { formatMass, text } from '@torvin/core/units';
import type { EmptyItemKind } from '@torvin/core/emptyFiring';
import { type MakingRecord, type Shelves, StageToldSchema, mass, figureOfRecord } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useRouter } from 'expo-router';
import { useEffect, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { useTheme } from '@/theme/ThemeContext';
import { planHref, recoatHref } from '@/ui/hrefs';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { DayTimeInput, FIELD_TIME, readFieldTime } from '@/ui/TimeInput';
import { Words } from '@/ui/Words';
import { useNow } from '@/ui/useNow';
import { emptyFiring } from './emptyFiring';
import { type MakingNow, useStanding } from './useStanding';
import { MAKING_STORY } from './words';
import { fromWhen } from '@/ui/clock';
import { WORDS } from '@/ui/said';

const DAY_MS = 24 * 3600e3;
/** Steps that take something out of a bag. */
const FROM_A_BAG: readonly StageName[] = ['alginate', 'rubber', 'shell', 'invest', 'press', 'pour'];
/** Steps that are a firing with no glass: how it is fired, and as what where not by its material. */
const FIRED: Partial<Record<StageName, { look: Look; of?: EmptyItemKind; wet?: Wet }>> = {
  burnOut: { look: 'burnOut', of: 'plaster', wet: 'damp' },
  bisque: { look: 'bisque', of: 'clay' },
  bake: { look: 'dryMould', of: 'castable', wet: 'damp' },
};

export function MakingStory({ making, shelves }: { making: MakingRecord; shelves: Shelves }) {
  const told = useStanding(making, shelves);
  const units = useUnits();
  const [ahead, setAhead] = useState<StageName | null>(null);
  const order = stagesOf(making);
  const next = told?.standing.next ?? null;
  const later = next === null ? [] : order.slice(order.indexOf(next) + 1);
  const isAhead = ahead !== null && later.includes(ahead);
  // What was told meanwhile is ahead no more, and is not again when it is taken back.
  useEffect(() => {
    if (!isAhead) setAhead(null);
  }, [isAhead]);
  if (!told) return null;
  const { form, standing, amounts } = told;
  const problem = makingProblem(making, form);
  const stage = isAhead ? ahead : standing.next;
  const left = waxLeftWords(making, amounts, units);
  return (
    <View style={{ gap: space.small }} testID="making-story">
      {problem && <Notice tone="warn">{problem}</Notice>}
      <Steps making={making} told={told} />
      {left && <Words testID="wax-left">{left}</Words>}
      {stage === null ? (
        <Words bold testID="making-done">
          {MAKING_STORY.allDone}
        </Words>
      ) : (
        <Next key={`${stage} ${making.told.length}`} stage={stage} making={making} shelves={shelves} told={told} onTold={() => setAhead(null)} />
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap' }}>
        {!isAhead && later.length > 0 && (
          <Action
            kind="plain"
            title={MAKING_STORY.goOnTo(stageTitle(later[0], making).toLowerCase())}
            testID="making-ahead"
            onPress={() => setAhead(later[0])}
          />
        )}
        {isAhead && <Action kind="plain" title={WORDS.notYet} testID="making-not-yet" onPress={() => setAhead(null)} />}
        <TakeBack making={making} />
      </View>
    </View>
  );
}

function Steps({ making, told: { standing } }: { making: MakingRecord; told: MakingNow }) {
  const { colours } = useTheme();
  const units = useUnits();
  return (
    <View role="list" testID="making-steps">
      {standing.stages.map(({ stage, at }) => {
        const weighed = making.told.findLast((one) => one.stage === stage)?.mass_kg;
        const isNext = stage === standing.next;
        const count = stage === 'rubber' && standing.coatsOn > 0 ? MAKING_STORY.coatsOf(standing.coatsOn, making.rubberCoats) : '';
        return (
          <View
            key={stage}
            role="listitem"
            style={{
              flexDirection: 'row',
              gap: space.small,
              paddingVertical: space.hair,
              borderLeftWidth: 4,
              paddingLeft: space.small,
              borderColor: isNext ? colours.touch : at === null ? colours.line : colours.ink,
            }}
          >
            <Words bold={isNext} tone={at === null && !isNext ? 'muted' : 'ink'} style={{ flex: 1 }}>
              {`${stageTitle(stage, making)}${count}`}
            </Words>
            <Words size="label" tone="muted">
              {[weighed === undefined ? '' : text(formatMass(weighed, units.mass)), at === null ? (isNext ? 'next' : '') : format(at, 'd MMM, HH:mm')]
                .filter(Boolean)
                .join(' · ')}
            </Words>
          </View>
        );
      })}
    </View>
  );
}

interface NextProps {
  stage: StageName;
  making: MakingRecord;
  shelves: Shelves;
  told: MakingNow;
  onTold(): void;
}

/** What is weighed at a step, where something is. */
function weighs(stage: StageName, making: MakingRecord): string | null {
  const isWax = standsIn(making) === 'wax';
  if (stage === 'dry') return MAKING_STORY.itWeighs;
  if (stage === 'wax' || (stage === 'model' && isWax && making.flexible === 'none' && making.way === 'investment')) return MAKING_STORY.theWaxWeighs;
  return stage === 'clear' && isWax ? MAKING_STORY.waxCameOut : null;
}

function Next({ stage, making, shelves, told: { form, standing, amounts }, onTold }: NextProps) {
  const router = useRouter();
  const units = useUnits();
  const outbox = useOutbox();
  const { save, saving, held, refusal } = useSave('saveRecord');
  const [when, setWhen] = useState(() => format(Date.now(), FIELD_TIME));
  const [typed, setTyped] = useState('');
  const [errors, setErrors] = useState<{ when?: string; mass?: string }>({});
  const now = useNow();
  const label = weighs(stage, making);
  const caution = stageCaution(stage, making);
  const isNext = stage === standing.next;
  const waits = isNext ? fromWhen(standing.from, now) : '';
  const isOld = making.bagUntil !== undefined && FROM_A_BAG.includes(stage) && now > making.bagUntil + DAY_MS;
  const fired = FIRED[stage];
  const firing = fired && emptyFiring(form, shelves, stage === 'burnOut' && standsIn(making) === 'firm' ? 'dryMould' : fired.look, fired.wet, fired.of);
  const tell = (): void => {
    const at = readFieldTime(when)?.getTime();
    const weighed = label === null || (typed.trim() === '' && stage !== 'dry') ? null : figureOfRecord(StageToldSchema, mass('mass_kg', label), typed, units);
    const late = at === undefined ? MAKING_STORY.sayWhenDay : at > Date.now() ? MAKING_STORY.stillComeTell : undefined;
    setErrors({ when: late, mass: weighed && !weighed.ok ? weighed.problem.message : undefined });
    if (late || at === undefined || (weighed && !weighed.ok)) return;
    const record = { ...making, told: [...making.told, { stage, at, ...(weighed ? { mass_kg: weighed.value } : {}) }] };
    save({ kind: 'makings', record, before: making }, { on: making.version, then: onTold });
  };
  const plan = (): void => {
    if (!firing) return;
    const id = uuid();
    outbox.put('createPiece', { id, name: `${stageTitle(stage, making)}, ${form.name}`.slice(0, 80), doc: firing.doc });
    router.navigate(planHref(id, { step: firing.firing }));
  };
  const title =
    stage === 'dry'
      ? MAKING_STORY.keepTheWeighing
      : stage === 'rubber'
        ? MAKING_STORY.coatIsOn(standing.coatsOn + 1)
        : MAKING_STORY.done(stageTitle(stage, making).toLowerCase());
  return (
    <View style={{ gap: space.small, paddingTop: space.small }} testID="making-next">
      <Words bold size="heading">
        {stageTitle(stage, making)}
      </Words>
      {waits !== '' && <Words bold testID="making-waits">{`${stage === 'dry' ? MAKING_STORY.weighItAgain : MAKING_STORY.leftAloneGo} ${waits}.`}</Words>}
      {standing.drying && stage === 'dry' && dryingWords(standing.drying, units) !== '' && (
        <Words testID="making-drying">{dryingWords(standing.drying, units)}</Words>
      )}
      {standing.drying?.dryAt != null && stage === 'dry' && (
        <Words testID="making-dry-at">{MAKING_STORY.paceDryAbout(format(standing.drying.dryAt, 'EEE d MMM'))}</Words>
      )}
      <Words testID="making-does">{stageDoes(stage, making, form, amounts, units)}</Words>
      {isOld && making.bagUntil !== undefined && (
        <Notice tone="warn" testID="making-old">
          {MAKING_STORY.bagGoodUntil(format(making.bagUntil, 'd MMM yyyy'))}
        </Notice>
      )}
      {caution && <Notice tone="care">{caution}</Notice>}
      {firing && (
        <View style={{ alignItems: 'flex-start' }}>
          <Action kind="second" title={MAKING_STORY.planThatFiring} label={MAKING_STORY.planFiringNo} testID="making-fire" onPress={plan} />
        </View>
      )}
      {stage === 'firstCoat' && (
        <View style={{ alignItems: 'flex-start' }}>
          <Action kind="second" title={MAKING_STORY.tellItsCoat} testID="making-coat" onPress={() => router.push(recoatHref(form.id))} />
        </View>
      )}
      {label !== null && <Field label={label} value={typed} onChange={setTyped} error={errors.mass} testID="making-mass" />}
      <DayTimeInput label={MAKING_STORY.when} value={when} onChange={setWhen} error={errors.when} testID="making-when" />
      {refusal && <Notice tone="warn">{refusal.problem.message}</Notice>}
      {held && <Held />}
      <Action title={title} disabled={saving} testID="making-tell" onPress={tell} />
    </View>
  );
}

/** The last step that was told, told by mistake. */
function TakeBack({ making }: { making: MakingRecord }) {
  const outbox = useOutbox();
  const last = making.told.at(-1);
  if (!last) return null;
  return (
    <Action
      kind="plain"
      title={MAKING_STORY.takeLastBack}
      label={MAKING_STORY.takeThe(stageTitle(last.stage, making).toLowerCase())}
      testID="making-back"
      onPress={() =>
        void outbox.put('saveRecord', { kind: 'makings', record: { ...making, told: making.told.slice(0, -1) }, before: making }, { on: making.version })
      }
    />
  );
}
