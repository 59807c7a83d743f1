/**
 * Puts the firing in the kiln: now, or at the time that the controller is set to. What speaks against it is said once and
 * asked: rows not ticked, a limit broken, a kiln in use. From then on it stands on the Bench until it is told how it came out.
 */
import { untoldBefore, untoldWords } from '@torvin/core/piece';
import { momentsOf } from '@torvin/core/schedule';
import { type Alike, type NewFiring, type Piece, type Schedule, type Shelves, type Step, inTheWay } from '@torvin/schema';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { v7 as uuid } from 'uuid';
import { useLoads } from '@/data/loads';
import { useAlike } from '@/data/pieces';
import { useOutbox, useSave } from '@/outbox/useOutbox';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { Tick } from '@/ui/Tick';
import { Words } from '@/ui/Words';
import { DayTimeInput, FIELD_TIME, readFieldTime } from '@/ui/TimeInput';
import { soon } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import { format } from 'date-fns/format';
import { KilnInUse } from './KilnInUse';
import { type Delay, type Wish, comesAt, delayOf, startFor } from './delay';
import { START_FIRING } from './words';
import { WORDS } from '@/ui/said';

export interface StartFiringProps {
  piece: Piece;
  step: Step;
  schedule: Schedule;
  shelves: Shelves;
  /** Rows of the sheet that are not ticked. */
  unticked: number;
  /** Slips found on reading back; null where it was not read back. */
  slips: number | null;
  /** Longest delay that the controller can be set to, where that is known. */
  mostDelay_s?: number;
  /** Limits that the schedule breaks. */
  broken: number;
  /** What was found at the piece and in its form; started all the same it is accepted, and stays on the record. */
  standing: readonly string[];
  /** It is outdated and the person has said to fire it all the same. */
  asItIs: boolean;
  onStarted(): void;
}

type When = 'now' | 'later';
const WISHED: Record<Wish, string> = { start: START_FIRING.startsByItself, look: START_FIRING.lookedInto, open: START_FIRING.toBeOpened };

export function StartFiring({ piece, step, schedule, shelves, unticked, slips, mostDelay_s, broken, standing, asItIs, onStarted }: StartFiringProps) {
  const router = useRouter();
  const record = useSave('recordFiring');
  const loads = useLoads();
  const outbox = useOutbox();
  const [[id, loadId]] = useState(() => [uuid(), uuid()]);
  const time = useStartTime(schedule, mostDelay_s);
  const { planned, at } = time;
  const alike = useAlike(schedule.id).data ?? [];
  // Chosen on the page of the load; what is no longer alike is not taken along.
  const { together: named = '' } = useLocalSearchParams<{ together?: string }>();
  const [chosen, setTogether] = useState<readonly string[]>(() => named.split(','));
  const together = alike.filter(({ pieceId }) => chosen.includes(pieceId));
  const [asking, setAsking] = useState(false);
  const now = useNow();
  const length_ms = schedule.result.simulation.total_s * 1000;
  const other = at === undefined ? null : inTheWay(loads.data ?? [], { kilnId: step.kilnId, from: at, to: at + length_ms }, now);
  const untold = untoldWords(
    piece.doc.journey,
    untoldBefore(piece.doc.journey, step.id, (one) => piece.fired[one] !== undefined),
  );
  const doubts = [
    ...(unticked > 0 ? [START_FIRING.rowsNotTicked(unticked)] : []),
    ...(slips ? [START_FIRING.controllerShowsMend(slips)] : []),
    ...(broken > 0 ? [START_FIRING.theScheduleBreaks(broken)] : []),
    ...together.flatMap(({ pieceName, broken: ofIt }) => (ofIt > 0 ? [START_FIRING.itBreaksFor(pieceName, ofIt)] : [])),
    ...standing,
    ...(untold === '' ? [] : [untold]),
  ];

  function start(): void {
    // Of the moment of the touch: the page may have lain open since it was last drawn.
    const pressedAt = Date.now();
    const firedAt = time.pressed(pressedAt);
    if (firedAt === undefined) return;
    const load = { firedAt, planned, zone: Intl.DateTimeFormat().resolvedOptions().timeZone, loadId };
    const firing: NewFiring = { id, pieceId: piece.id, scheduleId: schedule.id, asItIs, ...load };
    record.save(firing, {
      then() {
        // The others go into the load that is there by then.
        for (const { pieceId, scheduleId } of together) outbox.put('recordFiring', { id: uuid(), pieceId, scheduleId, asItIs: false, ...load });
        onStarted();
        router.replace('/bench');
      },
      otherwise: () => void loads.refetch(),
    });
  }

  return (
    <View style={{ gap: space.small }}>
      <StartTime time={time} />
      {other && <KilnInUse load={other} piece={piece} step={step} schedule={schedule} shelves={shelves} onPlan={(free) => time.planAt(free.until)} />}
      {alike.length > 0 && <Together alike={alike} chosen={together.map(({ pieceId }) => pieceId)} onChange={setTogether} />}
      {record.refusal && (
        <Notice tone="warn" testID="start-refused">
          {record.refusal.problem.message}
        </Notice>
      )}
      {record.held && <Held />}
      {asking ? (
        <Notice
          tone="warn"
          testID="start-doubts"
          actions={
            <>
              <Action kind="second" title={WORDS.notYet} testID="start-not-yet" onPress={() => setAsking(false)} />
              <Action
                title={START_FIRING.startAllSame}
                disabled={record.saving || other !== null}
                testID="start-all-the-same"
                onPress={() => {
                  setAsking(false);
                  start();
                }}
              />
            </>
          }
        >
          {doubts.join(' ')}
        </Notice>
      ) : (
        <Action
          title={planned ? START_FIRING.setPutBench : START_FIRING.runningPutBench}
          disabled={record.saving || other !== null}
          testID="start-firing"
          onPress={() => (doubts.length > 0 ? setAsking(true) : start())}
        />
      )}
    </View>
  );
}

/** When it starts: now, or at a time that is told as the start, the look-in or the opening. */
function useStartTime(schedule: Schedule, mostDelay_s: number | undefined) {
  const [when, setWhen] = useState<When>('now');
  const [wish, setWish] = useState<Wish>('start');
  const [later, setLater] = useState(() => format(soon(new Date()), FIELD_TIME));
  const [wrong, setWrong] = useState<string>();
  const planned = when === 'later';
  const moments = momentsOf(schedule.segments, schedule.result.simulation);
  const wished = planned ? readFieldTime(later)?.getTime() : undefined;
  const startsAt = (now: number): number | undefined => (!planned ? now : wished === undefined ? undefined : startFor(wish, wished, moments));
  const delayFrom = (at: number | undefined, now: number): Delay | null => (planned && at !== undefined ? delayOf(at, now, moments, mostDelay_s) : null);
  const now = useNow();
  const at = startsAt(now);
  return {
    ...{ when, setWhen, wish, later, setLater, wrong, planned, at },
    delay: delayFrom(at, now),
    chooseWish(next: Wish): void {
      // The start stays: what is shown is when that comes of it.
      if (at !== undefined) setLater(format(comesAt(next, at, moments), FIELD_TIME));
      setWish(next);
    },
    planAt(start: number): void {
      setWhen('later');
      setWish('start');
      setLater(format(soon(new Date(start)), FIELD_TIME));
    },
    /** The start as it is at the moment of the touch; nothing where it cannot be, which is then said. */
    pressed(pressedAt: number): number | undefined {
      const firedAt = startsAt(pressedAt);
      const isTooLate = delayFrom(firedAt, pressedAt)?.tooLate === true;
      setWrong(firedAt === undefined ? START_FIRING.sayWhenDay : isTooLate ? START_FIRING.tooLateChoose : undefined);
      return isTooLate ? undefined : firedAt;
    },
  };
}

function StartTime({ time: { when, setWhen, wish, chooseWish, later, setLater, wrong, planned, delay } }: { time: ReturnType<typeof useStartTime> }) {
  return (
    <>
      <Choice<When>
        label={START_FIRING.itStarts}
        value={when}
        options={[
          { value: 'now', title: START_FIRING.now },
          { value: 'later', title: START_FIRING.later, note: START_FIRING.delayController },
        ]}
        onChange={setWhen}
        testID="start-when"
      />
      {planned && (
        <Choice<Wish>
          label={START_FIRING.theTimeIs}
          value={wish}
          options={[
            { value: 'start', title: START_FIRING.theStart },
            { value: 'look', title: START_FIRING.theCheck },
            { value: 'open', title: START_FIRING.theOpening },
          ]}
          onChange={chooseWish}
          testID="delay-by"
        />
      )}
      {planned && <DayTimeInput label={WISHED[wish]} value={later} onChange={setLater} error={wrong} testID="planned-start" />}
      {delay && delay.plan !== '' && <Words testID="delay-plan">{delay.plan}</Words>}
      {delay && delay.doubts.length > 0 && (
        <Notice tone={delay.tooLate ? 'warn' : 'care'} testID="delay-doubts">
          {delay.doubts.join(' ')}
        </Notice>
      )}
    </>
  );
}

/** Others of the same that stand beside it in the kiln: each is told by itself when it is opened. */
function Together({ alike, chosen, onChange }: { alike: readonly Alike[]; chosen: readonly string[]; onChange(chosen: readonly string[]): void }) {
  const isAll = chosen.length === alike.length;
  return (
    <View testID="together">
      <Words bold>{START_FIRING.inTheKiln}</Words>
      <Words size="label" tone="muted">
        {START_FIRING.theseWaitKiln}
      </Words>
      {alike.length > 1 && (
        <Tick
          on={isAll}
          title={START_FIRING.allOfThem(alike.length)}
          testID="together-all"
          onPress={() => onChange(isAll ? [] : alike.map(({ pieceId }) => pieceId))}
        />
      )}
      {alike.map(({ pieceId, pieceName }, index) => {
        const on = chosen.includes(pieceId);
        return (
          <Tick
            key={pieceId}
            on={on}
            title={pieceName}
            testID={`together-${index}`}
            onPress={() => onChange(on ? chosen.filter((one) => one !== pieceId) : [...chosen, pieceId])}
          />
        );
      })}
    </View>
  );
}
