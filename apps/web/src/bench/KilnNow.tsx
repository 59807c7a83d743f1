/** A kiln in short: what is in it, three figures, what comes next in it, and the one thing to do. The firing in full is on Kiln. */
import { LOOK_NAMES, emptyItemOf } from '@torvin/core/look';
import { ROLE_NAMES } from '@torvin/core/schedule';
import { formatTemperature, otherTemperature, text } from '@torvin/core/units';
import type { Firing, FiringDetail } from '@torvin/schema';
import { useRouter } from 'expo-router';
import type { ComponentType, ReactNode } from 'react';
import { View } from 'react-native';
import { useFiring } from '@/data/firings';
import { isCoolBy } from '@/data/isCoolBy';
import { useLoads } from '@/data/loads';
import { useStudio } from '@/data/studio';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FigureBlock } from '@/ui/FigureBlock';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { dayAndClock } from '@/ui/clock';
import { outdatedLoadWords } from '@/ui/loadWords';
import { useAwake } from '@/ui/useAwake';
import { useHere } from '@/ui/useCallsHere';
import { useNow } from '@/ui/useNow';
import type { RunningSectionProps } from './RunningDrawing';
import type { Standing as StandingNow } from './byClock';
import { SECTION_HEIGHT } from './sizes';
import { useStanding } from './useStanding';
import { FIRING } from './words';

export interface KilnNowProps {
  firing: Firing;
  /** The rest of its load. */
  others: readonly Firing[];
  RunningSection: ComponentType<RunningSectionProps>;
}

/** More names than these are a count. */
const NAMED_AT_MOST = 4;

/** 'Tray, slump; Bowl, slump; and 8 more'. */
export function loadNames(pieces: readonly Pick<Firing, 'pieceName' | 'look'>[]): string {
  const shown = pieces.length > NAMED_AT_MOST ? pieces.slice(0, NAMED_AT_MOST - 1) : pieces;
  const named = shown.map((one) => `${one.pieceName}, ${LOOK_NAMES[one.look].toLowerCase()}`);
  return [...named, ...(shown.length < pieces.length ? [FIRING.more(pieces.length - shown.length)] : [])].join('; ');
}

export function KilnNow({ firing, others, RunningSection }: KilnNowProps) {
  const { colours } = useTheme();
  const router = useRouter();
  const now = useNow();
  const detail = useFiring(firing.id).data;
  const { load } = firing;
  const ahead = useLoads().data?.find(({ id }) => id === load.id);
  const pieces = [firing, ...others];
  const isCool = isCoolBy(firing, now);
  return (
    <View style={{ backgroundColor: colours.surface, borderTopWidth: 4, borderColor: colours.touch, padding: space.medium, gap: space.small }} testID="in-kiln">
      <View>
        <Words size="label" tone="muted">
          {firing.kilnName}
        </Words>
        <Words bold testID="kiln-load">
          {loadNames(pieces)}
        </Words>
      </View>
      {load.openedAt !== null ? (
        <Words testID="has-been-opened">{FIRING.opened(dayAndClock(load.openedAt, new Date(now)))}</Words>
      ) : load.at > now ? (
        <Words testID="planned">{FIRING.starts(dayAndClock(load.at, new Date(now)))}</Words>
      ) : detail ? (
        <Standing detail={detail} now={now} RunningSection={RunningSection} />
      ) : (
        <Figures opensAt="–" />
      )}
      {firing.differences.length > 0 && <Notice tone="warn">{FIRING.differs(firing.differences.join(' '))}</Notice>}
      {ahead && ahead.outdated.length > 0 && (
        <Notice tone="warn" testID="load-outdated">
          {outdatedLoadWords(ahead.outdated)}
        </Notice>
      )}
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {isCool ? (
          <Action
            title={others.length > 0 ? FIRING.recordAll(pieces.length) : FIRING.record}
            testID="bench-tell"
            onPress={() => router.push(others.length > 0 ? `/kiln/opening?load=${load.id}` : `/notebook/${firing.id}/tell`)}
          />
        ) : (
          <Action title={FIRING.see} label={FIRING.seeIn(firing.kilnName)} testID="see-kiln" onPress={() => router.push('/kiln')} />
        )}
      </View>
    </View>
  );
}

/** Its section with the heat so far, when it opens, what kiln and glass have now, and its next moment: all of it has its room before it is calculated. */
function Standing({ detail, now, RunningSection }: { detail: FiringDetail; now: number } & Pick<KilnNowProps, 'RunningSection'>) {
  const { schedule } = detail;
  const { segments, evaluation, value, seconds, standing, look, clock } = useStanding(detail, now);
  const [awake] = useHere('awake');
  useAwake(awake && seconds < look.to_s);
  const { total_s, segments: figures } = evaluation.simulation;
  const segment = figures.findIndex(({ end_s }) => end_s > seconds);
  const next =
    seconds < look.to_s
      ? FIRING.check(clock(look.from_s), clock(look.to_s))
      : segment >= 0 && segment < segments.length - 1
        ? FIRING.segmentUntil(ROLE_NAMES[segments[segment].role], clock(figures[segment].end_s))
        : '';
  return (
    <>
      <Figures detail={detail} standing={standing} opensAt={clock(total_s)}>
        {value && standing && <RunningSection {...{ schedule, standing }} evaluation={value} />}
      </Figures>
      {next !== '' && <Words testID="kiln-next">{next}</Words>}
    </>
  );
}

interface FiguresProps {
  /** Missing until it is read, and until the engine has answered. */
  detail?: FiringDetail;
  standing?: StandingNow | null;
  opensAt: string;
  /** Its section, once it is there. */
  children?: ReactNode;
}

function Figures({ detail, standing, opensAt, children }: FiguresProps) {
  const { temperatureUnit: unit } = useStudio();
  const degrees = (at_C: number | undefined) =>
    at_C === undefined
      ? { value: { figure: '–', unit: '' } }
      : { value: formatTemperature(at_C, unit), other: formatTemperature(at_C, otherTemperature(unit)) };
  const isEmpty = detail !== undefined && emptyItemOf(detail.schedule.snapshot.firing.setup.shaping) !== null;
  return (
    <>
      {children || <View style={{ height: SECTION_HEIGHT }} />}
      <View style={{ flexDirection: 'row', gap: space.medium }} testID="opens">
        <FigureBlock
          label={standing?.over ? FIRING.coolSince : FIRING.openAfter}
          value={{ figure: opensAt, unit: '' }}
          note={detail ? FIRING.opensBelow(text(formatTemperature(detail.opens_C, unit))) : ' '}
          // A weekday stands before the time.
          wide
          testID="opens-at"
        />
        <FigureBlock label={FIRING.kiln} {...degrees(standing?.kiln_C)} testID="kiln-now" />
        <FigureBlock label={isEmpty ? FIRING.inside : FIRING.core} {...degrees(standing?.core_C)} testID="core-now" />
      </View>
    </>
  );
}
