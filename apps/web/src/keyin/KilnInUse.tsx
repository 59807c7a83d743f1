/** By what a kiln is in use and until when, and the ways on: join it, say that it was opened, start when it is free, another kiln. */
import type { LoadShown, Piece, Schedule, Shelves, Step } from '@torvin/schema';
import { format } from 'date-fns/format';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { useSave } from '@/outbox/useOutbox';
import { Action } from '@/ui/Action';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { DayTimeInput, FIELD_TIME, readFieldTime } from '@/ui/TimeInput';
import { dayAndClock } from '@/ui/clock';
import { useNow } from '@/ui/useNow';
import { useJoinLoad } from './useJoinLoad';
import { KILN_IN_USE } from './words';
import { WORDS } from '@/ui/said';

export interface KilnInUseProps {
  load: LoadShown;
  piece: Piece;
  step: Step;
  schedule: Schedule;
  shelves: Shelves;
  /** Starts when the kiln is free. */
  onPlan(load: LoadShown): void;
}

export function kilnWords({ entries, kilnName, at, until }: LoadShown, now: Date): string {
  const pieces = entries.map(({ pieceName }) => pieceName).join(', ');
  const be = entries.length === 1 ? 'is' : 'are';
  if (at > now.getTime()) return KILN_IN_USE.plannedKiln(pieces, be, kilnName, dayAndClock(at, now), dayAndClock(until, now));
  const since = KILN_IN_USE.kilnSince(pieces, be, kilnName, dayAndClock(at, now));
  return until > now.getTime() ? KILN_IN_USE.mayOpened(since, dayAndClock(until, now)) : KILN_IN_USE.coolEnough(since, dayAndClock(until, now));
}

export function KilnInUse({ load, piece, step, schedule, shelves, onPlan }: KilnInUseProps) {
  const router = useRouter();
  const open = useSave('openLoad');
  const join = useJoinLoad(piece, step, schedule, shelves);
  const [opening, setOpening] = useState(false);
  const [when, setWhen] = useState(() => format(Date.now(), FIELD_TIME));
  const now = new Date(useNow());
  const inIt = load.entries.some(({ pieceId }) => pieceId === piece.id);
  const openedAt = readFieldTime(when)?.getTime();
  const problem = open.refusal?.problem ?? join.problem;
  return (
    <View testID="kiln-in-use">
      <Notice
        tone="warn"
        actions={
          <>
            {!inIt && (
              <Action
                kind="second"
                title={join.working ? WORDS.judging : KILN_IN_USE.joinThisLoad}
                disabled={join.working}
                testID="join-load"
                onPress={() => void join.judge(load)}
              />
            )}
            <Action kind="second" title={KILN_IN_USE.beenOpened} testID="load-opened" onPress={() => setOpening(!opening)} />
            <Action kind="second" title={KILN_IN_USE.startWhenFree} testID="plan-when-free" onPress={() => onPlan(load)} />
            <Action kind="second" title={KILN_IN_USE.anotherKiln} testID="another-kiln" onPress={() => router.push(`/pieces/${piece.id}`)} />
          </>
        }
      >
        {[kilnWords(load, now), ...load.outdated, KILN_IN_USE.oneKilnOne].join(' ')}
      </Notice>
      {opening && (
        <View style={{ gap: 8 }}>
          <DayTimeInput label={KILN_IN_USE.opened} value={when} onChange={setWhen} testID="opened-at" />
          <Action
            title={KILN_IN_USE.freeTheKiln}
            disabled={open.saving || openedAt === undefined}
            testID="free-kiln"
            onPress={() => open.save({ id: load.id, openedAt: openedAt ?? null }, { on: load.version })}
          />
        </View>
      )}
      {problem && <Notice tone="warn">{problem.message}</Notice>}
      {(open.held || join.held) && <Held />}
      {join.judged && (
        <Notice
          tone={join.judged.broken.length + join.judged.standing.length > 0 ? 'warn' : 'plain'}
          testID="join-judged"
          actions={
            <Action title={KILN_IN_USE.putThem} disabled={join.working} testID="join-now" onPress={() => join.join(load, () => router.replace('/bench'))} />
          }
        >
          {[
            join.judged.broken.length > 0 ? KILN_IN_USE.theirSchedulePiece(join.judged.broken.length) : KILN_IN_USE.theirSchedulePieceKeeps,
            ...join.judged.broken,
            ...join.judged.standing,
          ].join(' ')}
        </Notice>
      )}
    </View>
  );
}
