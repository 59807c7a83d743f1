/** A test series of firings that are on record: where the result changes, and the trial that teaches most next. */
import type { LadderFactor } from '@torvin/core/learn';
import { mainGlass } from '@torvin/core/body';
import { FACTOR_NAMES, type Tried, factorFigure, seriesOf } from '@torvin/core/schedule';
import { type Figure, type Units, text } from '@torvin/core/units';
import { type FiringDetail, TRIALS_AT_MOST } from '@torvin/schema';
import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg, { Line, Path, Rect } from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FigureBlock } from '@/ui/FigureBlock';
import { LinkRow } from '@/ui/LinkRow';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { Notice } from '@/ui/Notice';
import { Screen } from '@/ui/Screen';
import { Words } from '@/ui/Words';
import { ResultSign, resultWords } from '@/ui/results';
import { WORDS } from '@/ui/said';
import { KeepFinding } from './KeepFinding';
import { PlanTrial } from './PlanTrial';
import { asRun } from './asRun';
import { SERIES } from './words';

export function SeriesScreen({ details }: { details: readonly FiringDetail[] }) {
  const units = useUnits();
  const router = useRouter();
  const [one] = details;
  const series = useMemo(() => {
    const tried = details.flatMap((detail): Tried[] => {
      const { id, result } = detail.firing;
      return result === null ? [] : [{ id, outcome: result, firing: detail.schedule.snapshot.firing, segments: asRun(detail).segments }];
    });
    return seriesOf(tried);
  }, [details]);
  const asking = useMemo(() => {
    if (!series.ok) return null;
    const { factor, from, to, trials } = series.value;
    return { glass: mainGlass(one.schedule.snapshot.firing.body), factor, from, to, trials: trials.map(({ id: _id, ...trial }) => trial) };
  }, [series, one]);
  const { value, problem } = useComputed('ladder', asking);
  const more = `/notebook/${one.firing.id}/series?with=${details
    .slice(1)
    .map(({ firing }) => firing.id)
    .join(',')}&more=yes` as const;
  const wrong = series.ok ? problem : series.problem;
  return (
    <Screen
      title={SERIES.title}
      subtitle={series.ok ? SERIES.differIn(FACTOR_NAMES[series.value.factor]) : SERIES.about}
      back={{ title: one.firing.pieceName, href: `/notebook/${one.firing.id}` }}
    >
      <View style={{ gap: space.medium }} testID="series">
        {wrong && <Notice tone="plain">{wrong.message}</Notice>}
        {series.ok && !wrong && !value && <Words tone="muted">{WORDS.calculating}</Words>}
        {series.ok && value && (
          <>
            <View style={{ flexDirection: 'row', gap: space.large }} testID="series-found">
              <FigureBlock
                label={value.next === null ? SERIES.found : SERIES.next}
                value={factorFigure(series.value.factor, value.next ?? value.at, units)}
                testID="series-next"
              />
              <FigureBlock label={SERIES.between} value={between(series.value.factor, value.range, units)} note={SERIES.nineInTen} wide testID="series-range" />
            </View>
            <MeasuredWidth height={SCALE_HEIGHT}>{(width) => <Scale {...series.value} range={value.range} next={value.next} width={width} />}</MeasuredWidth>
            {value.next === null ? <Words>{SERIES.enough}</Words> : <PlanTrial details={details} series={series.value} next={value.next} range={value.range} />}
            <KeepFinding details={details} series={series.value} range={value.range} />
          </>
        )}
        {series.ok && (
          <View role="list">
            {series.value.trials.map((trial) => {
              const detail = details.find(({ firing }) => firing.id === trial.id);
              return (
                <LinkRow key={trial.id} href={`/notebook/${trial.id}`} inset={0} testID="series-trial">
                  <ResultSign result={trial.outcome} />
                  <View style={{ flex: 1 }}>
                    <Words bold>{`${text(factorFigure(series.value.factor, trial.value, units))}: ${resultWords(trial.outcome)}`}</Words>
                    <Words size="label" tone="muted">
                      {[detail?.firing.pieceName ?? '', trial.refired ? SERIES.refired : '', trial.alsoChanged ? SERIES.alsoChanged : '']
                        .filter((words) => words !== '')
                        .join('; ')}
                    </Words>
                  </View>
                </LinkRow>
              );
            })}
          </View>
        )}
        {details.length < TRIALS_AT_MOST && (
          <View style={{ alignItems: 'flex-start' }}>
            <Action kind={series.ok ? 'second' : 'main'} title={SERIES.add} testID="series-more" onPress={() => router.push(more)} />
          </View>
        )}
      </View>
    </Screen>
  );
}

function between(factor: LadderFactor, [from, to]: readonly [number, number], units: Units): Figure {
  const [low, high] = [factorFigure(factor, from, units), factorFigure(factor, to, units)];
  return low.unit === high.unit
    ? { figure: SERIES.range(low.figure, high.figure), unit: high.unit }
    : { figure: SERIES.range(text(low), high.figure), unit: high.unit };
}

const SCALE_HEIGHT = 56;
const LINE_Y = 28;

interface ScaleProps {
  from: number;
  to: number;
  trials: readonly { value: number; outcome: 'short' | 'right' | 'past'; refired?: boolean; alsoChanged?: boolean }[];
  range: readonly [number, number];
  next: number | null;
  width: number;
}

/** Trials along what they differ in: under the line what fell short, on it what was right, over it what went too far. */
function Scale({ from, to, trials, range, next, width }: ScaleProps) {
  const { colours } = useTheme();
  const [low, high] = [Math.min(from, to, ...range), Math.max(from, to, ...range)];
  const x = (value: number): number => 8 + ((value - low) / (high - low)) * (width - 16);
  return (
    <Svg width={width} height={SCALE_HEIGHT} aria-hidden>
      <Rect x={x(range[0])} y={LINE_Y - 5} width={Math.max(x(range[1]) - x(range[0]), 2)} height={10} fill={colours.line} />
      <Line x1={0} x2={width} y1={LINE_Y} y2={LINE_Y} stroke={colours.muted} strokeWidth={1.5} />
      {trials.map(({ value, outcome, refired, alsoChanged }, i) => {
        const y = LINE_Y + { short: 14, right: 0, past: -14 }[outcome];
        const at = x(value);
        const isOut = refired ?? alsoChanged ?? false;
        return (
          <Path
            key={i}
            d={`M${at} ${y - 6} L${at + 6} ${y} L${at} ${y + 6} L${at - 6} ${y} Z`}
            fill={isOut ? colours.ground : colours.ink}
            stroke={colours.ink}
            strokeWidth={1.5}
          />
        );
      })}
      {next !== null && <Line x1={x(next)} x2={x(next)} y1={4} y2={SCALE_HEIGHT - 4} stroke={colours.touch} strokeWidth={2.5} />}
    </Svg>
  );
}
