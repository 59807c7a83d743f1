/** What to do next after a firing was opened: the next schedule where it was not right, and what may have caused what was seen on it. */
import { LOOK_NAMES, RECIPES } from '@torvin/core/look';
import type { Answered } from '@torvin/core/engine';
import { CHANGES_FIRST, type ChangesFirst, brokenOf, brokenSentence, changeWords } from '@torvin/core/schedule';
import { formatDuration, formatTemperature, text } from '@torvin/core/units';
import type { FiringDetail, Piece, Shelves } from '@torvin/schema';
import { useQueryClient } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useUnits } from '@/data/FormUnits';
import { useSeen } from '@/data/bench';
import { useNearest } from '@/data/firings';
import { useSaveStudio, useStudio } from '@/data/studio';
import { useComputed } from '@/engine/useComputed';
import { pieceQueue } from '@/outbox/kinds';
import { useOutbox } from '@/outbox/useOutbox';
import { problemOfError } from '@/outside/client';
import { putSchedule } from '@/planner/putSchedule';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FigureBlock } from '@/ui/FigureBlock';
import { Fold } from '@/ui/Fold';
import { LinkRow } from '@/ui/LinkRow';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { runHref } from '@/ui/hrefs';
import { ResultSign, byWords, resultWords, seenWords } from '@/ui/results';
import { WORDS } from '@/ui/said';
import { FaultCauses } from './FaultCauses';
import { type Goes, type NextPlan, clearTrial, nextPlan } from './nextPlan';
import { NEXT } from './words';

export interface NextScreenProps {
  detail: FiringDetail;
  /** Null where it is gone. */
  piece: Piece | null;
  shelves: Shelves;
}

export function NextScreen({ detail, piece, shelves }: NextScreenProps) {
  const { firing } = detail;
  const flaws = firing.seen;
  const isOff = firing.result === 'short' || firing.result === 'past';
  return (
    <Screen
      title={NEXT.title}
      of={firing.pieceName}
      subtitle={`${LOOK_NAMES[firing.look]}: ${[`${resultWords(firing.result)}${byWords(firing.lesson)}`, seenWords(firing)].filter((one) => one !== '').join(', ')}`}
      back={{ title: firing.pieceName, href: `/notebook/${firing.id}` }}
    >
      {isOff && RECIPES[firing.look].empty && <Words tone="muted">{NEXT.noGlass}</Words>}
      {isOff && !RECIPES[firing.look].empty && (piece ? <NextFiring {...{ detail, piece, shelves }} /> : <Notice tone="plain">{NEXT.stepGone}</Notice>)}
      {flaws.length > 0 && <FaultCauses detail={detail} piece={piece} shelves={shelves} />}
      {!isOff && flaws.length === 0 && <Words tone="muted">{firing.result === null ? NEXT.notOpened : NEXT.nothing}</Words>}
    </Screen>
  );
}

function NextFiring({ detail, piece, shelves }: NextScreenProps & { piece: Piece }) {
  const units = useUnits();
  const studio = useStudio();
  const saveStudio = useSaveStudio();
  const isShort = detail.firing.result === 'short';
  const [goes, setGoes] = useState<Goes>(isShort ? 'same' : 'another');
  const [newId] = useState(() => uuid());
  const changes = studio.changesFirst ?? 'temperature';
  const step = piece.doc.journey.find(({ id }) => id === detail.firing.stepId);
  const seen = useSeen(step?.kind === 'fire' ? step : null);
  const near = useNearest(detail.firing.id) ?? [];
  const plan = useMemo(
    () => nextPlan({ detail, piece, shelves, seen: seen ?? [], goes, changes, newId, units }),
    [detail, piece, shelves, seen, goes, changes, newId, units],
  );
  const { value, stale, problem } = useComputed('nextFiring', plan.ok ? plan.value.asked : null);
  const wrong = plan.ok ? problem : plan.problem;
  return (
    <View style={{ gap: space.medium }} testID="next-firing">
      {isShort && (
        <Choice<Goes>
          label={NEXT.whatGoes}
          value={goes}
          options={[
            { value: 'same', title: NEXT.thisPiece, note: NEXT.whatItHad },
            { value: 'another', title: NEXT.another },
          ]}
          onChange={setGoes}
          testID="goes"
        />
      )}
      {wrong && <Notice tone="warn">{wrong.message}</Notice>}
      {!wrong && !value && <Words tone="muted">{WORDS.calculating}</Words>}
      {plan.ok && value && !wrong && <NextCard next={value} plan={plan.value} stale={stale} {...{ detail, piece, shelves }} />}
      {plan.ok && plan.value.like.length > 0 && (
        <Fold title={NEXT.like} about={NEXT.likeAbout(plan.value.like.length)} testID="like-this">
          {() =>
            plan.value.like.map((one, i) => (
              <LinkRow key={one.firingId ?? i} href={`/notebook/${one.firingId}/compare?with=${detail.firing.id}`} inset={0} listed={false} testID="like-row">
                <ResultSign result={one.outcome} />
                <Words>{NEXT.likeRow(text(formatTemperature(one.work_C, units.temperature)), resultWords(one.outcome))}</Words>
              </LinkRow>
            ))
          }
        </Fold>
      )}
      {plan.ok && plan.value.like.length === 0 && near.length > 0 && (
        <Fold title={NEXT.near} about={NEXT.nearAbout} testID="near-this">
          {() =>
            near.map((one) => (
              <LinkRow key={one.id} href={`/notebook/${one.id}/compare?with=${detail.firing.id}`} inset={0} listed={false} testID="near-row">
                <ResultSign result={one.result} />
                <Words>{`${one.pieceName}, ${NEXT.likeRow(text(formatTemperature(one.ran_C, units.temperature)), resultWords(one.result))}`}</Words>
              </LinkRow>
            ))
          }
        </Fold>
      )}
      <Choice<ChangesFirst>
        label={NEXT.changes}
        value={changes}
        options={CHANGES_FIRST.map((one) => ({ value: one, title: NEXT.changed[one] }))}
        onChange={(changesFirst) => saveStudio({ changesFirst })}
        testID="changes"
      />
    </View>
  );
}

interface NextCardProps {
  next: Answered<'nextFiring'>;
  plan: NextPlan;
  stale: boolean;
  detail: FiringDetail;
  piece: Piece;
  shelves: Shelves;
}

function NextCard({ next, plan, stale, detail: { firing, schedule }, piece, shelves }: NextCardProps) {
  const units = useUnits();
  const router = useRouter();
  const client = useQueryClient();
  const outbox = useOutbox();
  const [working, setWorking] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const { chances } = next.foreseen;
  const change = changeWords(next, units);
  const broken = brokenOf(next.evaluation.readings).filter(({ limit }) => limit !== 'workLeast' && limit !== 'workMost');
  // On the first of its kind alone: later ones are known.
  const trial = useMemo(() => (plan.goes === 'another' && plan.like.length === 0 ? clearTrial(plan, shelves, uuid) : null), [plan, shelves]);
  function tryIt(): void {
    if (!trial) return;
    const [id, name] = [uuid(), NEXT.trialOf(piece.name)];
    outbox.put('createPiece', { id, name, doc: trial.doc });
    const { doc, step, snapshot } = trial;
    putSchedule(client, outbox, {
      ...{ on: { id, name, doc, version: 0 }, doc, what: '', step, parentId: null, origin: 'computed', segments: next.segments, snapshot },
      result: next.evaluation,
    });
    router.push(runHref(id, step.id));
  }
  async function planIt(): Promise<void> {
    if (outbox.isHeldBack(pieceQueue(piece.id))) return setFault(NEXT.heldBack);
    setWorking(true);
    try {
      const { id, name, doc: before, version } = piece;
      const { step, doc, what, snapshot } = plan;
      const parentId = schedule.pieceId === piece.id ? schedule.id : null;
      putSchedule(client, outbox, {
        on: { id, name, doc: before, version },
        ...{ doc, what, step, parentId, origin: 'computed', segments: next.segments, snapshot, result: next.evaluation },
      });
      if (await outbox.settled(pieceQueue(id), { orSilent: true })) router.replace(runHref(id, step.id));
      else setFault(NEXT.heldBack);
    } catch (error) {
      setFault(problemOfError(error).message);
    } finally {
      setWorking(false);
    }
  }
  return (
    <View style={{ gap: space.small }} testID="next-card" {...({ dataSet: { stale: String(stale) } } as object)}>
      <View style={{ flexDirection: 'row', gap: space.large }}>
        <FigureBlock
          label={NEXT.temperature}
          value={formatTemperature(next.next.target_C, units.temperature)}
          note={next.changes === 'temperature' ? change : NEXT.same}
          testID="next-temperature"
        />
        <FigureBlock label={NEXT.hold} value={formatDuration(next.next.hold_s)} note={next.changes === 'hold' ? change : NEXT.same} testID="next-hold" />
        <FigureBlock
          label={NEXT.right}
          value={{ figure: NEXT.inTen(chances.right), unit: '' }}
          note={NEXT.else(NEXT.inTen(chances.short), NEXT.inTen(chances.past))}
          testID="next-right"
        />
      </View>
      {next.why.map((line) => (
        <Words key={line}>{line}</Words>
      ))}
      <Words size="label" tone="muted" testID="next-expected">
        {next.expected}
      </Words>
      {broken.map((reading) => (
        <Notice key={`${reading.limit} ${reading.segment}`} tone="warn">
          {brokenSentence(reading, units, firing.look)}
        </Notice>
      ))}
      {fault !== null && <Notice tone="warn">{fault}</Notice>}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action title={NEXT.plan} testID="plan-next" disabled={working || stale} onPress={() => void planIt()} />
        {trial && <Action kind="second" title={NEXT.trial} label={NEXT.trialWhole} testID="trial-in-clear" disabled={working || stale} onPress={tryIt} />}
      </View>
    </View>
  );
}
