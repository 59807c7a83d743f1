/** One firing by the clock: the segment it is in, what glass and kiln have by the model, when to look, when to open. */
import { PURPOSES, ROLE_NAMES, formatTemperature, openingTemperature, text } from '@torvin/core';
import type { FiringDetail } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { useStudio } from '@/data/studio';
import { useComputed } from '@/engine/useComputed';
import { asRun } from '@/notebook/differences';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { clockAfter } from '@/ui/clock';
import { WORK_CAUTIONS } from '@/piece/cautions';
import { lookIn, standingAt } from './byClock';
import { useNow } from './useNow';

export function InKiln({ detail }: { detail: FiringDetail }) {
  const { colours } = useTheme();
  const { temperatureUnit: unit } = useStudio();
  const router = useRouter();
  const now = useNow();
  const { firing, schedule } = detail;
  const { segments, evaluation } = asRun(detail);
  const { value } = useComputed('evaluate', { firing: schedule.snapshot.firing, segments, series: true });
  const series = value?.simulation.series;
  const start = new Date(firing.firedAt);
  const seconds = (now - firing.firedAt) / 1000;
  const standing = series ? standingAt(series, seconds) : null;
  const look = series ? lookIn(series, segments) : null;
  const opens_C = openingTemperature(schedule.snapshot.firing);
  const clock = (at_s: number): string => clockAfter(start, at_s);
  const segment = standing?.segment;
  return (
    <View style={{ backgroundColor: colours.surface, borderTopWidth: 4, borderColor: colours.touch, padding: space.medium, gap: space.hair }} testID="in-kiln">
      <Words bold>{`${firing.pieceName}: ${PURPOSES[firing.look].name.toLowerCase()} in the ${firing.kilnName}`}</Words>
      {standing && segment != null && (
        <>
          <Words>
            {`${segment + 1} of ${segments.length}, ${ROLE_NAMES[segments[segment].role].toLowerCase()}: ${standing.holding ? 'holding at' : 'on its way to'} ${text(formatTemperature(segments[segment].target_C, unit))} until ${clock(standing.ends_s)}.`}
          </Words>
          <Words size="label" tone="muted">
            {`By the model the kiln has ${text(formatTemperature(standing.kiln_C, unit))} and the core of the glass ${text(formatTemperature(standing.core_C, unit))}.`}
          </Words>
          {look && seconds < look.to_s && <Words>{`Look in from ${clock(look.from_s)} to ${clock(look.to_s)}.`}</Words>}
          <Words
            bold
            testID="opens"
          >{`May be opened at ${clock(evaluation.simulation.total_s)}, once the kiln reads ${text(formatTemperature(opens_C, unit))}.`}</Words>
        </>
      )}
      {standing?.over && (
        <Words
          bold
          testID="opens"
        >{`Cool enough since ${clock(evaluation.simulation.total_s)} by the model, if the kiln reads ${text(formatTemperature(opens_C, unit))} or less.`}</Words>
      )}
      {!standing && <Words tone="muted">Computing where it stands …</Words>}
      <Notice tone="care">{standing?.over ? WORK_CAUTIONS.open : WORK_CAUTIONS.kiln}</Notice>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        <Action kind="second" title="Its record" testID="open-firing" onPress={() => router.push(`/notebook/${firing.id}`)} />
        <Action title="Tell how it came out" testID="bench-tell" onPress={() => router.push(`/notebook/${firing.id}/tell` as never)} />
      </View>
    </View>
  );
}
