/** One firing in full by the clock: the segment it is in, what glass and kiln have by the model, when to look, when to open. */
import { keyIn } from '@torvin/core/controller';
import { ROLE_NAMES, openingTemperature, emptyFiringOf } from '@torvin/core/schedule';
import { formatTemperature, text } from '@torvin/core/units';
import type { Firing, FiringDetail } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { format } from 'date-fns/format';
import { useFiring } from '@/data/firings';
import { isCoolBy } from '@/data/isCoolBy';
import { useLoads } from '@/data/loads';
import { useStudio } from '@/data/studio';
import { useSave } from '@/outbox/useOutbox';
import { useTheme } from '@/theme/ThemeContext';
import { scaled, space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Caution } from '@/ui/Caution';
import { Held } from '@/ui/Held';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { DayTimeInput, FIELD_TIME, readFieldTime } from '@/ui/TimeInput';
import { dayAndClock, inZone } from '@/ui/clock';
import { UNLIKE, outdatedLoadWords } from '@/ui/loadWords';
import { LookInSigns } from '@/planner/LookInSigns';
import { WORK_CAUTIONS } from '@/layup/cautions';
import { isWide, useLayout } from '@/ui/useWidth';
import { CallFold } from './CallFold';
import { loadNames } from './KilnNow';
import { RunningDrawing } from './RunningDrawing';
import { useStanding } from './useStanding';
import { FIRING, IN_KILN } from './words';
import { useNow } from '@/ui/useNow';
import { WORDS } from '@/ui/said';

/** others: the rest of its load. */
export function InKiln({ firing, others }: { firing: Firing; others: readonly Firing[] }) {
  const { colours } = useTheme();
  const router = useRouter();
  const open = useSave('openLoad');
  const now = useNow();
  const detail = useFiring(firing.id).data;
  const { load } = firing;
  const ahead = useLoads().data?.find(({ id }) => id === load.id);
  const say = (openedAt: number | null): void => open.save({ id: load.id, openedAt }, { on: load.version });
  const pieces = [firing, ...others];
  const isCool = isCoolBy(firing, now);
  const state = load.openedAt !== null ? 'opened' : load.at > now ? 'planned' : 'running';
  return (
    <View style={{ backgroundColor: colours.surface, borderTopWidth: 4, borderColor: colours.touch, padding: space.medium, gap: space.hair }} testID="in-kiln">
      <Words bold>{`${firing.kilnName}: ${loadNames(pieces)}`}</Words>
      {state === 'opened' && <Words testID="has-been-opened">{FIRING.openedUntold(dayAndClock(load.openedAt ?? now, new Date(now)))}</Words>}
      {state === 'planned' && (
        <Words bold testID="planned">
          {FIRING.starts(dayAndClock(load.at, new Date(now)))}
        </Words>
      )}
      {ahead && ahead.outdated.length > 0 && (
        <Notice tone="warn" testID="load-outdated">
          {outdatedLoadWords(ahead.outdated)}
        </Notice>
      )}
      {others.length > 0 && load.scheduleNumber === null && <Words testID="load-unlike">{UNLIKE}</Words>}
      {state !== 'opened' && (detail ? <ByTheClock detail={detail} now={now} /> : <Room with={CALL_FOLD} />)}
      {state !== 'opened' && detail && <CallFold detail={detail} now={now} />}
      {firing.differences.length > 0 && <Notice tone="warn">{FIRING.differs(firing.differences.join(' '))}</Notice>}
      {open.refusal && <Notice tone="warn">{open.refusal.problem.message}</Notice>}
      {open.held && <Held />}
      <Caution about={`${firing.look} ${state}`}>{state === 'running' ? WORK_CAUTIONS.kiln : WORK_CAUTIONS.open}</Caution>
      {isCool && others.length > 0 && (
        <Action title={FIRING.recordAll(pieces.length)} testID="record-all" onPress={() => router.push(`/kiln/opening?load=${load.id}`)} />
      )}
      {pieces.map((one) => (
        <View key={one.id} style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
          <Action
            kind="second"
            title={FIRING.openRecord}
            label={FIRING.openRecordOf(one.pieceName)}
            testID="open-firing"
            onPress={() => router.push(`/notebook/${one.id}`)}
          />
          {isCool && (
            <Action
              kind={others.length > 0 ? 'second' : 'main'}
              title={others.length > 0 ? FIRING.recordOf(one.pieceName) : FIRING.record}
              testID="bench-tell"
              onPress={() => router.push(`/notebook/${one.id}/tell`)}
            />
          )}
        </View>
      ))}
      {state === 'running' && <SayOpened busy={open.saving} since={load.at} onOpened={say} />}
      {state === 'opened' && <Action kind="plain" title={IN_KILN.stillClosed} disabled={open.saving} testID="still-closed" onPress={() => say(null)} />}
    </View>
  );
}

const MINUTE_MS = 60_000;

/** Opening frees the kiln, so it is asked when that was. */
function SayOpened({ busy, since, onOpened }: { busy: boolean; since: number; onOpened(at: number): void }) {
  const [when, setWhen] = useState<string | null>(null);
  const said = when === null ? undefined : readFieldTime(when)?.getTime();
  // The field counts in minutes: in the minute of the start it means after it.
  const at = said !== undefined && said < since && said + MINUTE_MS > since ? since : said;
  const wrong = when !== null && (at === undefined || at < since || at > Date.now() + MINUTE_MS);
  if (when === null)
    return (
      <View style={{ alignItems: 'flex-start', marginLeft: -space.small }}>
        <Action kind="plain" title={IN_KILN.kilnBeenOpened} testID="opened" onPress={() => setWhen(format(new Date(), FIELD_TIME))} />
      </View>
    );
  return (
    <View style={{ gap: space.small }}>
      <DayTimeInput label={IN_KILN.openedAt} value={when} onChange={setWhen} error={wrong ? IN_KILN.sayDayTime : undefined} testID="opened-at" />
      <View style={{ flexDirection: 'row', gap: space.small }}>
        <Action title={IN_KILN.openedThen} disabled={busy || wrong} testID="opened-then" onPress={() => at !== undefined && onOpened(at)} />
        <Action kind="second" title={WORDS.notYet} testID="not-opened" onPress={() => setWhen(null)} />
      </View>
    </View>
  );
}

/** About as much as what comes takes, so that nothing below it moves under a finger. */
const COMES = { phone: 464, wide: 320 };
const CALL_FOLD = 80;

function Room({ with: more = 0 }: { with?: number }) {
  const wide = isWide(useLayout());
  return (
    <View style={{ minHeight: scaled((wide ? COMES.wide : COMES.phone) + more) }}>
      <Words tone="muted">{IN_KILN.calculatingWhereStands}</Words>
    </View>
  );
}

/** Which segment it is in, what glass and kiln have by the model, when to look in, when to open; and all of it drawn. */
function ByTheClock({ detail, now }: { detail: FiringDetail; now: number }) {
  const { temperatureUnit: unit } = useStudio();
  const wide = isWide(useLayout());
  const { firing, schedule } = detail;
  const { segments, evaluation, value, seconds, standing, look, clock } = useStanding(detail, now);
  const opens_C = openingTemperature(schedule.snapshot.firing);
  const segment = seconds < 0 ? null : standing?.segment;
  // Counted as they were keyed in: switching off at the end is none of them.
  const keyed = segments.length - Number(keyIn(segments, schedule.snapshot.controller).switchOff);
  if (!standing) return <Room />;
  const words = (
    <View style={{ gap: space.hair }}>
      {segment != null && (
        <>
          <Words>
            {segment < keyed
              ? IN_KILN.segmentOfUntil(
                  segment + 1,
                  keyed,
                  ROLE_NAMES[segments[segment].role].toLowerCase(),
                  standing.holding,
                  text(formatTemperature(segments[segment].target_C, unit)),
                  clock(standing.ends_s),
                )
              : IN_KILN.programFinishedKiln(text(formatTemperature(segments[segment].target_C, unit)), clock(standing.ends_s))}
          </Words>
          <Words size="label" tone="muted">
            {IN_KILN.estimateKiln(
              text(formatTemperature(standing.kiln_C, unit)),
              emptyFiringOf(schedule.snapshot.firing) ? IN_KILN.insideLoad : IN_KILN.glassCore,
              text(formatTemperature(standing.core_C, unit)),
            )}
          </Words>
        </>
      )}
      {seconds < look.to_s && (
        <>
          <Words>{FIRING.check(clock(look.from_s), clock(look.to_s))}</Words>
          <LookInSigns look={firing.look} />
        </>
      )}
      <Words bold testID="opens">
        {standing.over
          ? IN_KILN.estimateCoolEnough(clock(evaluation.simulation.total_s), text(formatTemperature(opens_C, unit)))
          : IN_KILN.openWhenKiln(text(formatTemperature(opens_C, unit)), clock(evaluation.simulation.total_s))}
      </Words>
    </View>
  );
  return (
    <View style={wide ? { flexDirection: 'row', gap: space.wide } : { gap: space.small }}>
      <View style={wide ? { flex: 2 } : undefined}>{words}</View>
      {value && (
        <View style={wide ? { flex: 3 } : undefined}>
          <RunningDrawing
            schedule={schedule}
            segments={segments}
            evaluation={value}
            standing={standing}
            look={look}
            start={inZone(firing.firedAt, firing.zone)}
            now_s={seconds}
          />
        </View>
      )}
    </View>
  );
}
