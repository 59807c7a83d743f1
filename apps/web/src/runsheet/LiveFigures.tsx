/** The figures that answer while a bead moves: difference, heat work, tension, length. */
import {
  type Evaluation,
  type FiringCase,
  TERMS,
  differenceName,
  heatWorkBand,
  heatWorkFigures,
  marginOf,
  ownFigures,
  paceOfEmpty,
  emptyFiringOf,
} from '@torvin/core/schedule';
import {
  type Figure,
  type TemperatureUnit,
  type Units,
  differenceIn,
  formatDifference,
  formatDuration,
  formatRate,
  formatStress,
  otherTemperature,
  otherUnits,
  text,
} from '@torvin/core/units';
import { memo, useRef, useState } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { FigureBlock, shareWidth } from '@/ui/FigureBlock';
import { capital } from '@/ui/capital';
import { Spoken } from '@/ui/Spoken';
import { Words } from '@/ui/Words';
import { hatched } from '@/ui/hatched';
import { elementOf } from '@/ui/elementOf';
import { type Live, STILL, useWritten, writeWords } from './live';
import { LIVE_FIGURES } from './words';
import { WORDS } from '@/ui/said';

export interface LiveFiguresProps {
  firing: FiringCase;
  evaluation: Evaluation;
  unit: TemperatureUnit;
  /** Clock time at which it may be opened. */
  opensAt(evaluation: Evaluation): string;
  live?: Live;
  /** They are of another lay-up, kiln or set-up than the piece has now. */
  older?: boolean;
}

interface LiveFigure {
  testID: string;
  label: string;
  value: Figure;
  other?: Figure;
  share?: number;
  broken?: boolean;
  note: string;
  otherNote?: string;
  /** What it means, where that is no term that all firings share. */
  means?: string;
}

function figuresOf(firing: FiringCase, { readings, work_perPa, simulation }: Evaluation, units: Units, opens: string): LiveFigure[] {
  const bare = emptyFiringOf(firing);
  if (bare) return figuresOfEmpty(firing, { readings, work_perPa, simulation }, units, opens);
  const { temperature: unit, length } = units;
  const otherLength = otherUnits(units).length;
  const { limits } = firing;
  const sets = readings.filter(({ limit }) => limit === 'setting');
  const setting = Math.max(0, ...sets.map(({ value }) => value));
  // The one nearest to its limit: what is warmed with stress in it bears less on the way up than on the way down.
  const [pull = { value: 0, allowed: limits.pull_Pa, ok: true }] = readings
    .filter(({ limit }) => limit === 'pull')
    .sort((one, other) => marginOf(one) - marginOf(other));
  const heat = heatWorkFigures(heatWorkBand(firing, work_perPa));
  // What this kind of firing does, in its own words, stands in the place of its heat work.
  const own = ownFigures(firing, { readings, work_perPa }, units)[0];
  const allowedIn = (one: TemperatureUnit): string => LIVE_FIGURES.of(Number(differenceIn(limits.setting_K, one).toFixed(1)), one);
  return [
    {
      testID: 'live-core-skin',
      label: differenceName(sets.find(({ places }) => places)),
      value: formatDifference(setting, unit),
      other: formatDifference(setting, otherTemperature(unit)),
      share: setting / limits.setting_K,
      broken: setting > limits.setting_K * 1.001,
      note: allowedIn(unit),
      otherNote: allowedIn(otherTemperature(unit)),
    },
    {
      testID: 'live-work',
      label: own?.label ?? LIVE_FIGURES.heatWork,
      value: own ?? { figure: heat.figure, unit: '%' },
      share: heat.bandShare,
      broken: !heat.ok,
      note: own ? LIVE_FIGURES.work(heat.figure) : heat.band,
      ...(own ? { means: LIVE_FIGURES.heatWorkOf(own.sentence, heat.figure, heat.band) } : {}),
    },
    {
      testID: 'live-tension',
      label: 'tension',
      value: formatStress(pull.value, length),
      other: formatStress(pull.value, otherLength),
      share: pull.value / pull.allowed,
      broken: !pull.ok,
      note: LIVE_FIGURES.ofAllowed(text(formatStress(pull.allowed, length))),
      otherNote: LIVE_FIGURES.ofAllowed(text(formatStress(pull.allowed, otherLength))),
    },
    { testID: 'live-length', label: WORDS.inAll, value: spanned(simulation.total_s), note: LIVE_FIGURES.to(opens) },
  ];
}

/** Of what has no glass in it: how unlike it is through, what it is fired for, its tightest pace. */
function figuresOfEmpty(firing: FiringCase, { readings, work_perPa, simulation }: Evaluation, units: Units, opens: string): LiveFigure[] {
  const { temperature: unit } = units;
  const apart = Math.max(0, ...simulation.segments.map(({ deltaT_max_K }) => deltaT_max_K));
  const own = ownFigures(firing, { readings, work_perPa }, units)[0];
  const needs = readings.filter(({ limit }) => limit === 'heldThrough' || limit === 'coneLeast' || limit === 'coneMost');
  const pace = paceOfEmpty(readings);
  const perHour = (one: TemperatureUnit, value: number): Figure => formatRate(value, one);
  return [
    {
      ...{
        testID: 'live-core-skin',
        label: LIVE_FIGURES.throughIt,
        value: formatDifference(apart, unit),
        other: formatDifference(apart, otherTemperature(unit)),
      },
      ...{ note: LIVE_FIGURES.atMost, means: LIVE_FIGURES.howMuchWarmer },
    },
    {
      ...{ testID: 'live-work', label: own?.label ?? 'done', value: own ?? { figure: '–', unit: '' }, broken: needs.some(({ ok }) => !ok) },
      ...{ note: needs.every(({ ok }) => ok) ? LIVE_FIGURES.asAsked : LIVE_FIGURES.notAsAsked, means: own?.sentence ?? '' },
    },
    {
      ...{ testID: 'live-tension', label: 'pace', value: perHour(unit, pace?.value ?? 0), other: perHour(otherTemperature(unit), pace?.value ?? 0) },
      ...(pace ? { share: pace.value / pace.allowed, broken: !pace.ok } : {}),
      note: pace ? LIVE_FIGURES.ofAllowed(text(perHour(unit, pace.allowed))) : LIVE_FIGURES.noLimitNear,
      ...(pace ? { otherNote: LIVE_FIGURES.ofAllowed(text(perHour(otherTemperature(unit), pace.allowed))) } : {}),
      means: LIVE_FIGURES.fastestWallShelf,
    },
    { testID: 'live-length', label: WORDS.inAll, value: spanned(simulation.total_s), note: LIVE_FIGURES.to(opens) },
  ];
}

/** Days and hours, as they are written from two days on, do not stand beside three other figures. */
const LONG_S = 48 * 3600;
const spanned = (seconds: number): Figure => (seconds < LONG_S ? formatDuration(seconds) : { figure: (seconds / 86400).toFixed(1), unit: 'd' });

/** A block's figure, bar and colours, as React draws them. */
function writeFigure(block: Element, { value, other, share, broken = false, note, testID }: LiveFigure, colours: ReturnType<typeof useTheme>['colours']): void {
  const shown = other && (block as HTMLElement).dataset.turned === 'true' ? other : value;
  const figure = block.querySelector<HTMLElement>('[data-figure]');
  writeWords(figure, shown.figure);
  const colour = broken ? colours.warn : colours.ink;
  for (const node of figure ? [figure, ...figure.querySelectorAll<HTMLElement>('*')] : []) node.style.color = colour;
  const bar = block.querySelector<HTMLElement>('[data-share]');
  if (bar && share !== undefined) Object.assign(bar.style, { width: shareWidth(share), borderColor: colour });
  if (testID === 'live-length' || testID === 'live-work') writeWords(block.lastElementChild, note);
}

export const LiveFigures = memo(function LiveFigures({ firing, evaluation, unit, opensAt, live = STILL, older = false }: LiveFiguresProps) {
  const { colours } = useTheme();
  const units = { ...useUnits(), temperature: unit };
  const figures = figuresOf(firing, evaluation, units, opensAt(evaluation));
  const root = useRef<View>(null);
  useWritten(live, (moving) => {
    const shown = moving?.evaluation ?? evaluation;
    for (const one of figuresOf(firing, shown, units, opensAt(shown))) {
      const block = elementOf(root)?.querySelector(`[data-testid="${one.testID}"]`);
      if (block) writeFigure(block, one, colours);
    }
  });
  const [term, setTerm] = useState<string | null>(null);
  const touch = (name: string) => () => setTerm((now) => (now === name ? null : name));
  const [coreToSkin, heat, tension, inAll] = figures.map(({ value }) => value);
  return (
    <View
      ref={root}
      style={{
        gap: space.hair,
        paddingHorizontal: space.large,
        paddingVertical: space.small,
        backgroundColor: colours.surface,
        borderTopWidth: 1,
        borderBottomWidth: 1,
        borderColor: colours.line,
        ...hatched(colours, older),
      }}
      testID="live-figures"
    >
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.small }}>
        {figures.map((figure) => (
          <FigureBlock key={figure.testID} {...figure} onTouch={figure.testID === 'live-length' ? undefined : touch(figure.label)} />
        ))}
      </View>
      {term !== null && (
        <Words size="label" testID="term">
          {figures.find(({ label }) => label === term)?.means ?? TERMS[term]}
        </Words>
      )}
      <Spoken
        text={LIVE_FIGURES.inAllOpens(
          capital(figures[0].label),
          text(coreToSkin),
          figures[1].label,
          text(heat),
          figures[2].label,
          text(tension),
          text(inAll),
          opensAt(evaluation),
        )}
      />
    </View>
  );
});
