/** What the firings of a kiln have taught, what of it plans go by, and the touch that takes it over. */
import { SAME_AS_TAKEN, type TakenOver, correctionsOf, isTakenOver, takenOverOf } from '@torvin/core/learn';
import { type Look, LOOK_NAMES } from '@torvin/core/look';
import { type TemperatureUnit, differenceIn, formatDifference, text } from '@torvin/core/units';
import { type Kiln, toldIn } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns/format';
import { View } from 'react-native';
import { useLearned } from '@/data/bench';
import { firingReading } from '@/data/firings';
import { useStudio } from '@/data/studio';
import { byWords, resultWords } from '@/ui/results';
import { useSave } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Words } from '@/ui/Words';
import { LearnedDrawing } from './LearnedDrawing';
import { LINE_HEIGHT, OffsetLine } from './OffsetLine';
import { NINE_IN_TEN, type Row, type Taught, factorRow, lookRow, offsetRow } from './learnedRows';
import { LEARNED } from './words';

/** Those of single looks that are not as all looks are: 'a tack fuse 1.21, a slump 0.88'. */
function looksWords({ workFactor, lookFactors }: Required<TakenOver>): string {
  const apart = (Object.entries(lookFactors) as [Look, number][]).filter(([, factor]) => Math.abs(factor - workFactor) >= SAME_AS_TAKEN.workFactor);
  return apart.length === 0 ? '' : LEARNED.ofThem(apart.map(([look, factor]) => `a ${LOOK_NAMES[look].toLowerCase()} ${factor.toFixed(2)}`).join(', '));
}

function words(known: Required<TakenOver>, unit: TemperatureUnit): string {
  const { offset_K, workFactor } = known;
  const off = Math.round(Math.abs(differenceIn(offset_K, unit)));
  const reads = off === 0 ? LEARNED.controllerReadsTrue : LEARNED.controllerReadsGlass(text(formatDifference(Math.abs(offset_K), unit)), offset_K);
  return LEARNED.looksTakeTimes(workFactor.toFixed(2), looksWords(known), reads);
}

export function Learned({ learned, kilns }: { learned: Taught | null; kilns: readonly Kiln[] | undefined }) {
  if (!learned) return <Words tone="muted">{LEARNED.nothingYetRecord}</Words>;
  return <Told learned={learned} kiln={kilns?.find(({ id }) => id === learned.kilnId)} />;
}

function Told({ learned, kiln }: { learned: Taught; kiln: Kiln | undefined }) {
  const { temperatureUnit: unit } = useStudio();
  const save = useSave('saveRecord');
  const { firings, kilnName, familyName, separated, offset_sd_K, workFactor_sd_log } = learned;
  const found = takenOverOf(learned, unit);
  const taken = kiln && correctionsOf(kiln);
  const { offset_K = 0, workFactor = 1, lookFactors = {} } = kiln ?? {};
  const planned = { offset_K, workFactor, lookFactors };
  const same = isTakenOver(learned, planned);
  const put = (next: TakenOver): void => {
    if (!kiln) return;
    const { offset_K: _offset, workFactor: _factor, lookFactors: _looks, ...rest } = kiln;
    save.save({ kind: 'kilns', record: { ...rest, ...next }, before: kiln }, { on: kiln.version });
  };
  const spread = text(formatDifference(NINE_IN_TEN * offset_sd_K, unit));
  const factors = [-1, 1].map((side) => (learned.workFactor * Math.exp(side * NINE_IN_TEN * workFactor_sd_log)).toFixed(2));
  return (
    <View style={{ gap: space.small }}>
      <Words>{firings === 0 ? LEARNED.everyRecordedFiring(kilnName, familyName) : LEARNED.from(kilnName, familyName, firings, words(found, unit))}</Words>
      <Words size="label" tone="muted">
        {LEARNED.nineTenTimes(factors.join(' to '), spread, separated)}
      </Words>
      {learned.drift?.isSure && (
        <Notice tone="warn" testID="learned-drift">
          {LEARNED.drifted(text(formatDifference(Math.abs(learned.drift.hotter_K), unit)), learned.drift.hotter_K)}
        </Notice>
      )}
      {kiln && (
        <Words size="label" testID="learned-taken">
          {taken ? (same ? LEARNED.plansKilnGo : LEARNED.plansKilnGoEarlier(words(planned, unit))) : same ? LEARNED.goodUsualPlans : LEARNED.plansDoNot}
        </Words>
      )}
      <Fold title={LEARNED.whatLearnt} about={lessonsWords(learned)} testID="learnt">
        {() => <Lessons learned={learned} unit={unit} />}
      </Fold>
      {save.refusal && <Notice tone="warn">{save.refusal.problem.message}</Notice>}
      {kiln && (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          {!same && <Action kind="second" title={LEARNED.planByIt} testID="learned-take" disabled={save.saving} onPress={() => put(found)} />}
          {taken && <Action kind="second" title={LEARNED.planAsUsual} testID="learned-leave" disabled={save.saving} onPress={() => put({})} />}
        </View>
      )}
    </View>
  );
}

/** How many firings, and how many of them were left out. */
function lessonsWords({ lessons, firings }: Taught): string {
  const out = lessons.length - firings;
  return out === 0 ? LEARNED.whatBelievedBefore : LEARNED.firingsLeftOut(out, lessons.length);
}

function Lessons({ learned: known, unit }: { learned: Taught; unit: TemperatureUnit }) {
  const weighed = useLearned(known.kilnId, 'yes');
  // While another kiln's is read, the last one's is still there.
  const learned = weighed.data?.kilnId === known.kilnId ? weighed.data : known;
  const degrees = (kelvin: number): string => text(formatDifference(kelvin, unit));
  const [offset, factor] = [offsetRow(learned), factorRow(learned)];
  const times = ([from, to]: readonly [number, number]): string => LEARNED.toTimes(Math.exp(from).toFixed(2), Math.exp(to).toFixed(2));
  const kelvins = ([from, to]: readonly [number, number]): string => LEARNED.to(degrees(from), degrees(to));
  return (
    <View style={{ gap: space.medium }}>
      <Drawn title={LEARNED.heatWorkLooks} row={factor} words={times} />
      {learned.looks.map((one) => (
        <Drawn key={one.look} title={LEARNED.oneOfThem(LOOK_NAMES[one.look].toLowerCase())} row={lookRow(learned, one)} words={times} />
      ))}
      <Drawn title={LEARNED.controllerLessGlass} row={offset} words={kelvins} />
      <Words size="label" tone="muted">
        {LEARNED.paleBeforeAny}
      </Words>
      {learned.line.length > 1 && (
        <View style={{ gap: 4 }} testID="offset-line">
          <Words size="label">{LEARNED.line(degrees(learned.line[0].offset_K), degrees(learned.line[learned.line.length - 1].offset_K))}</Words>
          <MeasuredWidth height={LINE_HEIGHT}>{(width) => <OffsetLine line={learned.line} width={width} />}</MeasuredWidth>
        </View>
      )}
      <View role="list">
        {learned.lessons.map((one) => (
          <LessonRow key={one.firingId} lesson={one} all={learned} unit={unit} />
        ))}
      </View>
    </View>
  );
}

/** One firing, what it says and what it weighs; a touch leaves it out, or counts it again. */
function LessonRow({ lesson: one, all, unit }: { lesson: Taught['lessons'][number]; all: Taught; unit: TemperatureUnit }) {
  const client = useQueryClient();
  const save = useSave('saveFiring');
  const { firingId, pieceName, firedAt, look, result, lesson, ofLeast, cone_K, measured, without } = one;
  const degrees = (kelvin: number): string => text(formatDifference(kelvin, unit));
  const title = `${pieceName}, ${format(firedAt, 'd MMM yyyy')}`;
  const also = [lesson.witness ? LEARNED.readingGlass : '', cone_K === null ? '' : LEARNED.cone(degrees(cone_K)), measured ? LEARNED.measured : ''];
  async function toggle(): Promise<void> {
    const { firing } = await client.fetchQuery(firingReading(firingId));
    const before = { zone: firing.zone, firedAt: firing.firedAt, ...toldIn(firing) };
    save.save({ id: firingId, body: { ...before, lesson: { ...firing.lesson, leftOut: !firing.lesson.leftOut } }, before }, { on: firing.version });
  }
  return (
    <View role="listitem" style={{ flexDirection: 'row', alignItems: 'center' }}>
      <View style={{ flex: 1 }}>
        <LinkRow href={`/notebook/${firingId}`} inset={0} listed={false} testID={`lesson-${firingId}`}>
          <View style={{ flex: 1 }}>
            <Words bold>{title}</Words>
            <Words size="label" tone="muted">
              {LEARNED.leastNeeds(LOOK_NAMES[look], resultWords(result), byWords(lesson), Math.round(100 * ofLeast), also.join(''), lesson.leftOut)}
            </Words>
            {without && (
              <Words size="label" tone="muted" testID="lesson-without">
                {isTakenOver({ ...without, looks: [] }, all)
                  ? LEARNED.littleWithout
                  : LEARNED.without(degrees(without.offset_K), without.workFactor.toFixed(2))}
              </Words>
            )}
            {save.refusal && <Words tone="warn">{save.refusal.problem.message}</Words>}
          </View>
        </LinkRow>
      </View>
      <Action
        kind="plain"
        title={lesson.leftOut ? LEARNED.count : LEARNED.leaveOut}
        label={`${lesson.leftOut ? LEARNED.count : LEARNED.leaveOut}: ${title}`}
        disabled={save.saving}
        testID={`leave-out-${firingId}`}
        onPress={() => void toggle()}
      />
    </View>
  );
}

function Drawn({ title, row, words }: { title: string; row: Row; words(range: readonly [number, number]): string }) {
  return (
    <View style={{ gap: 4 }}>
      <Words size="label">{LEARNED.before(title, words(row.now), words(row.before))}</Words>
      <MeasuredWidth>{(width) => <LearnedDrawing row={row} width={width} />}</MeasuredWidth>
    </View>
  );
}
