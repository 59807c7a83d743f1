/** The glass at one time of its firing: its section as it is then, and what clock, kiln and glass say. */
import { type Evaluation, type FiringCase, type GlassAt, glassInTime } from '@torvin/core/schedule';
import { type Figure, type TemperatureUnit, formatLength, formatTemperature } from '@torvin/core/units';
import type { DrawnLayer } from '@torvin/schema';
import { useMemo } from 'react';
import { View } from 'react-native';
import Svg from 'react-native-svg';
import { useUnits } from '@/data/FormUnits';
import { useTold } from '@/outside/told';
import { FiredShapes, ScaleNote, sectionWords } from '@/section/SectionDrawing';
import { timedBody } from '@/section/FiredSection';
import { timedSection } from '@/section/inTime';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { FigureBlock } from '@/ui/FigureBlock';
import { MeasuredWidth } from '@/ui/MeasuredWidth';
import { clockShort } from '@/ui/clock';
import type { Timeline } from './timeline';
import { GLASS_IN_TIME } from './words';
import { WORDS } from '@/ui/said';

export interface GlassInTimeProps {
  firing: FiringCase;
  layers: readonly DrawnLayer[];
  evaluation: Evaluation;
  unit: TemperatureUnit;
  start: Date;
  timeline: Timeline;
}

const HEIGHT = 150;

export function GlassInTime({ firing, layers, evaluation, unit, start, timeline }: GlassInTimeProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const at_s = useTold(timeline) ?? 0;
  const inTime = useMemo(() => glassInTime(firing, evaluation), [firing, evaluation]);
  const end = useMemo(() => inTime?.(evaluation.simulation.total_s), [inTime, evaluation]);
  if (!inTime || !end) return null;
  const at = inTime(at_s);
  const body = timedBody(firing, layers, end);
  const far = howFar(at, units.length);
  return (
    <View style={{ backgroundColor: colours.surface, borderBottomWidth: 1, borderColor: colours.line }} testID="glass-in-time">
      <View style={{ position: 'absolute', left: 0, top: 0, zIndex: 2 }}>
        <Action kind="plain" title={WORDS.close} label={GLASS_IN_TIME.closeGlassTime} testID="close-in-time" onPress={() => timeline.set(null)} />
      </View>
      <MeasuredWidth height={HEIGHT}>
        {(width) => {
          const fired = timedSection(body, at, { width, height: HEIGHT });
          return (
            <View>
              <ScaleNote exaggeration={fired.drawn.exaggeration} dashed={null} />
              <Svg
                width={width}
                height={HEIGHT}
                role="img"
                aria-label={GLASS_IN_TIME.at(
                  sectionWords(layers, units.length),
                  clockShort(start, at_s),
                  far.map(({ label, value, note }) => [label, value.figure, value.unit, note].filter(Boolean).join(' ')).join(', '),
                )}
              >
                <FiredShapes fired={fired} width={width} />
              </Svg>
            </View>
          );
        }}
      </MeasuredWidth>
      <View style={{ flexDirection: 'row', paddingHorizontal: space.large, paddingVertical: space.hair, gap: space.medium }}>
        <FigureBlock label={GLASS_IN_TIME.atTime} value={{ figure: clockShort(start, at_s), unit: '' }} testID="time-at" />
        <FigureBlock label={GLASS_IN_TIME.kiln} value={formatTemperature(at.kiln_C, unit)} testID="time-kiln" />
        <FigureBlock label={GLASS_IN_TIME.glass} value={formatTemperature(at.glass_C, unit)} testID="time-glass" />
        {far.slice(0, 1).map(({ label, value, note }) => (
          <FigureBlock key={label} label={label} value={value} note={note} testID="time-far" />
        ))}
      </View>
    </View>
  );
}

interface HowFar {
  label: string;
  value: Figure;
  note?: string;
}

const percent = (share: number): Figure => ({ figure: String(Math.round(100 * share)), unit: '%' });

/** How far it has come, what matters most for such a firing first. */
function howFar({ down, relief, film, lain, edges }: GlassAt, length: Parameters<typeof formatLength>[1]): HowFar[] {
  const all: (HowFar | null)[] = [
    down && { label: 'down', value: formatLength(down.by_m, length), note: GLASS_IN_TIME.of(formatLength(down.of_m, length).figure) },
    relief === null ? null : { label: GLASS_IN_TIME.reliefStanding, value: percent(relief) },
    film === null ? null : { label: GLASS_IN_TIME.grainsRunTogether, value: percent(film) },
    lain === null ? null : { label: GLASS_IN_TIME.sheetsLainDown, value: percent(lain) },
    { label: GLASS_IN_TIME.edgesRounded, value: percent(edges) },
  ];
  return all.filter((one) => one !== null);
}
