/** One firing: how it came out, what was seen, how it ran beside what was planned, and the schedule as it was. */
import { flawWords, LOOK_NAMES } from '@torvin/core/look';
import { setupWords } from '@torvin/core/piece';
import { RELEASED_NAMES } from '@torvin/core/release';
import { consequences, emptyFiringOf, segmentDifferences } from '@torvin/core/schedule';
import { formatDuration, text } from '@torvin/core/units';
import { ENGINE_VERSION, earlierEngine, toldBy } from '@torvin/core/version';
import { FIRING_FIELDS, FIRING_WORDS, type FiringDetail } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { isCoolBy } from '@/data/isCoolBy';
import { useShelves } from '@/data/pieces';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { LiveFigures } from '@/runsheet/LiveFigures';
import { PolariserPanel } from '@/runsheet/PolariserPanel';
import { RunSheet } from '@/runsheet/RunSheet';
import { OnPaper } from '@/paper/OnPaper';
import { paperPages } from '@/paper/paperPages';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Fold } from '@/ui/Fold';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { SideBySide } from '@/ui/SideBySide';
import { Words } from '@/ui/Words';
import { aheadWords, clockAfter, inZone, zoneWords } from '@/ui/clock';
import { capital } from '@/ui/capital';
import { offerBack } from '@/ui/takeBack';
import { AsItLay } from './AsItLay';
import { AwakeForLookIn } from './AwakeForLookIn';
import { PhotoRow } from '@/photos/Photos';
import { FacedDrawing } from './Faced';
import { MarksDrawing } from './Marks';
import { measuredWords } from './measuredEntry';
import { recordPaper } from './recordPaper';
import { tensionRead } from './tensionRead';
import { LoadPanel, loadWords } from './LoadPanel';
import { asRun } from './asRun';
import { ResultSign, byWords, lessonSentence, resultWords } from '@/ui/results';
import { useSoon } from '@/ui/useSoon';
import { useNotebookHref } from './useNotebookQuery';
import { FIRING_SCREEN, MEASURED } from './words';
import { WORDS } from '@/ui/said';

export function FiringScreen({ detail }: { detail: FiringDetail }) {
  const units = useUnits();
  const unit = units.temperature;
  const list = useNotebookHref();
  const soon = useSoon();
  const { data: shelves } = useShelves();
  const { firing, schedule, together } = detail;
  const start = inZone(firing.firedAt, firing.zone);
  const { snapshot } = schedule;
  const ran = asRun(detail);
  const engines = earlierEngine(ran.evaluation, snapshot) ?? (firing.asFired ? earlierPlan(detail) : null);
  const read_Pa = tensionRead(detail);
  const isOver = ran.evaluation.readings.some(({ limit, ok, allowed }) => limit === 'residual' && (read_Pa === null ? !ok : read_Pa > allowed));
  const stressed = firing.result !== null && isOver;
  return (
    <Screen
      title={firing.pieceName}
      subtitle={FIRING_SCREEN.in(
        LOOK_NAMES[firing.look],
        snapshot.kilnName,
        format(start, 'd MMMM yyyy, HH:mm'),
        zoneWords(firing.firedAt, firing.zone),
        aheadWords(firing.load.ahead_s),
      )}
      back={{ title: WORDS.notebook, href: list }}
      padded={false}
    >
      <AwakeForLookIn detail={detail} />
      <OnPaper pages={() => paperPages(recordPaper(detail, units), firing.pieceName)} />
      <View style={{ paddingHorizontal: space.large, gap: space.small, paddingBottom: space.medium }} testID="firing-record">
        <ToldOfIt detail={detail} />
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <PhotoRow hashes={firing.photos} of={firing.pieceName} />
          {firing.marks.some(({ at }) => at !== null) && <MarksDrawing marks={firing.marks} footprint={snapshot.firing.body.footprint} />}
        </View>
        <Words size="label" tone="muted">
          {`${firing.asFired ? FIRING_SCREEN.ranOtherwiseThan : schedule.origin === 'computed' ? FIRING_SCREEN.firedAsCalculated : FIRING_SCREEN.firedChangedHand}; ${setupWords(snapshot.setup, snapshot.firing.setup.coat?.name)}${firing.place ? `, ${firing.place}` : ''}${emptyFiringOf(snapshot.firing) ? '' : `; ${snapshot.familyName}, ${snapshot.layers.map(({ name }) => name).join(' under ')}`}.`}
        </Words>
        {engines !== null && (
          <Words size="label" tone="muted" testID="earlier-engine">
            {engines}
          </Words>
        )}
        <FiringActions detail={detail} stressed={stressed} />
      </View>
      <AsItLay detail={detail} evaluation={ran.evaluation} />
      {firing.asFired && (
        <View style={{ padding: space.large, gap: space.small }} testID="as-fired">
          <Words bold>{FIRING_SCREEN.ranBesideWhat}</Words>
          {segmentDifferences(schedule.segments, ran.segments, unit).map((line) => (
            <Words key={line}>{line}</Words>
          ))}
          <SideBySide
            heads={['planned', FIRING_SCREEN.asItRan]}
            rows={consequences({ firing: snapshot.firing, evaluation: schedule.result }, { firing: snapshot.firing, evaluation: ran.evaluation }, units)}
            testID="as-fired-figures"
          />
        </View>
      )}
      <LiveFigures firing={snapshot.firing} evaluation={ran.evaluation} unit={unit} opensAt={(of) => clockAfter(start, of.simulation.total_s)} />
      {soon && <RunSheet segments={ran.segments} firing={snapshot.firing} evaluation={ran.evaluation} unit={unit} start={start} current />}
      <Fold title={FIRING_SCREEN.itsLoad} about={loadWords(firing.load, together, shelves)} testID="load">
        {() => <LoadPanel id={firing.load.id} firingId={firing.id} />}
      </Fold>
      {!emptyFiringOf(snapshot.firing) && (
        <Fold title={WORDS.betweenCrossedPolarisers} about={FIRING_SCREEN.whatShouldStayed} testID="polariser">
          {() => (
            <PolariserPanel firing={snapshot.firing} evaluation={ran.evaluation} photos={firing.photos} read={{ ...firing.measured, segments: ran.segments }} />
          )}
        </Fold>
      )}
      <View style={{ padding: space.large }}>
        <Words size="label" tone="muted">
          {FIRING_SCREEN.inAllRecorded(text(formatDuration(ran.evaluation.simulation.total_s)), format(firing.createdAt, 'd MMM yyyy'))}
        </Words>
      </View>
    </Screen>
  );
}

/** How it came out and what was said of it, and what stood against it when it was started. */
function ToldOfIt({ detail: { firing, schedule } }: { detail: FiringDetail }) {
  const units = useUnits();
  const { temperature: unit } = units;
  const { snapshot } = schedule;
  const measured = measuredWords(firing.measured, units);
  const lesson = lessonSentence(firing.lesson, unit);
  const reached = firing.lookReached && firing.lookReached !== firing.look ? FIRING_SCREEN.reachedA(LOOK_NAMES[firing.lookReached].toLowerCase()) : '';
  return (
    <>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <ResultSign result={firing.result} />
        <Words size="title" bold>
          {`${resultWords(firing.result)}${byWords(firing.lesson)}${reached}`}
        </Words>
      </View>
      {firing.seen.length > 0 && (
        <Words bold testID="firing-seen">{`${capital(flawWords(firing.seen))}${firing.seenWhere === '' ? '' : `: ${firing.seenWhere}`}.`}</Words>
      )}
      <FacedDrawing faced={firing.faced} footprint={snapshot.firing.body.footprint} />
      {FIRING_WORDS.map((name) => firing[name] !== '' && FIRING_FIELDS[name].tells && <Words key={name}>{FIRING_FIELDS[name].tells(firing[name])}</Words>)}
      {firing.released !== null && (
        <Words testID="firing-released">{`${RELEASED_NAMES[firing.released]}${snapshot.setup.form ? `, ${snapshot.setup.form.name}` : ''}.`}</Words>
      )}
      {lesson !== '' && <Words testID="firing-lesson">{lesson}</Words>}
      {measured !== '' && <Words testID="firing-measured">{MEASURED.said(measured)}</Words>}
      {firing.differences.length > 0 && (
        <Notice tone="warn" testID="fired-as-it-was">
          {FIRING_SCREEN.firedAlthoughSchedule(firing.differences.join(' '))}
        </Notice>
      )}
      {firing.accepted.length > 0 && (
        <Notice tone="warn" testID="accepted">
          {FIRING_SCREEN.stoodAgainstWhen(firing.accepted.join(' '))}
        </Notice>
      )}
    </>
  );
}

function FiringActions({ detail, stressed }: { detail: FiringDetail; stressed: boolean }) {
  const router = useRouter();
  const { firing } = detail;
  return (
    <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
      <Action
        // What is still hot can be recorded, as where one has looked in; it is not what comes next.
        kind={firing.result === null && isCoolBy(firing, Date.now()) ? 'main' : 'second'}
        title={firing.result === null ? WORDS.recordResult : FIRING_SCREEN.editResult}
        testID="tell"
        onPress={() => router.push(`/notebook/${firing.id}/tell`)}
      />
      {firing.result !== null && (firing.result !== 'right' || firing.seen.length > 0) && !emptyFiringOf(detail.schedule.snapshot.firing) && (
        <Action title={FIRING_SCREEN.nextTime} testID="next-time" onPress={() => router.push(`/notebook/${firing.id}/next`)} />
      )}
      {firing.released === 'stuck' && (
        <Action
          kind="second"
          title={FIRING_SCREEN.freeIt}
          label={FIRING_SCREEN.freeWhatLoosens}
          testID="free-it"
          onPress={() => router.push(`/pieces/${firing.pieceId}?at=${firing.stepId}&stuck=yes`)}
        />
      )}
      {stressed && (
        <Action
          kind="second"
          title={FIRING_SCREEN.annealItAgain}
          label={FIRING_SCREEN.annealAgainMore}
          testID="anneal-it-again"
          onPress={() => router.push(`/pieces/${firing.pieceId}?at=${firing.stepId}&anneal=yes`)}
        />
      )}
      <Action kind="second" title={FIRING_SCREEN.compare} testID="compare" onPress={() => router.push(`/notebook/${firing.id}/compare`)} />
      {firing.result === 'right' && (
        <Action
          kind="second"
          title={FIRING_SCREEN.runItAgain}
          label={FIRING_SCREEN.runAgainPiece}
          testID="run-again"
          onPress={() => router.push(`/notebook/${firing.id}/again`)}
        />
      )}
      <DeleteFiring detail={detail} />
    </View>
  );
}

/** A plan by an earlier engine beside what ran by this one: what differs between them may be the engine's own. */
function earlierPlan({ schedule: { result, snapshot } }: FiringDetail): string | null {
  const engine = toldBy(result, snapshot);
  return engine === ENGINE_VERSION ? null : FIRING_SCREEN.planCalculatedEarlier(engine, ENGINE_VERSION);
}

function DeleteFiring({ detail: { firing } }: { detail: FiringDetail }) {
  const router = useRouter();
  const outbox = useOutbox();
  const { id, version, pieceName } = firing;
  const remove = useSave('deleteFiring');
  const removeIt = (): void => {
    const gone = (): void => {
      router.replace('/notebook');
      offerBack({ what: FIRING_SCREEN.firingDeleted(pieceName), bringBack: () => outbox.put('restoreFiring', { id, pieceName }) });
    };
    remove.save({ id, pieceName }, { on: version, then: gone });
  };
  return (
    <>
      {remove.refusal && (
        <Notice tone="warn" testID="not-deleted">
          {remove.refusal.problem.message}
        </Notice>
      )}
      <Action kind="plain" title={WORDS.delete} label={FIRING_SCREEN.deleteThisFiring} disabled={remove.saving} testID="delete-firing" onPress={removeIt} />
    </>
  );
}
