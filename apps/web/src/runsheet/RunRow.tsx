/** One segment in figures: target, rate, hold, why, and what limits it. Renders only when one of its words changes. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { ROLE_NAMES } from '@torvin/core/schedule';
import { type TemperatureUnit, formatDuration, formatRate, formatTemperature, otherTemperature, text } from '@torvin/core/units';
import { memo, useRef, useState } from 'react';
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { FigureText } from '@/ui/FigureText';
import { WarningSign } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { elementOf } from '@/ui/elementOf';
import { type Live, useWritten, writeWords } from './live';
import { RUN_ROW } from './words';

export interface RunRowProps {
  index: number;
  segment: PurposefulSegment;
  live: Live;
  unit: TemperatureUnit;
  /** What the glass does at the target, and what the segment is for: said where the row cannot be opened. */
  why: string;
  /** What limits it, and whether that holds. */
  limit: string | null;
  ok: boolean;
  /** Clock time at which the segment starts. */
  clock: string;
  width: number;
  height: number;
  selected: boolean;
  /** Left out where the rows are only shown: a tap then shows the figures in the other unit. Must keep its identity between renders. */
  onSelect?(index: number): void;
}

export const RunRow = memo(function RunRow({ index, segment, live, unit, why, limit, ok, clock, width, height, selected, onSelect }: RunRowProps) {
  const { colours } = useTheme();
  const [turned, setTurned] = useState(false);
  return (
    <Pressable
      onPress={() => (onSelect ? onSelect(index) : setTurned(!turned))}
      role="button"
      testID={`run-row-${index}`}
      style={{
        width,
        height,
        paddingHorizontal: space.large,
        paddingVertical: space.small,
        overflow: 'hidden',
        backgroundColor: selected ? colours.surface : 'transparent',
        borderBottomWidth: 1,
        borderColor: colours.line,
      }}
    >
      <RowHead name={ROLE_NAMES[segment.role]} clock={clock} />
      <RowFigures index={index} segment={segment} live={live} unit={turned ? otherTemperature(unit) : unit} />
      {!onSelect && (
        <Words size="note" tone="muted" numberOfLines={2}>
          {why}
        </Words>
      )}
      {limit !== null && <RowLimit index={index} limit={limit} ok={ok} />}
    </Pressable>
  );
});

// The parts of a row rest by themselves: when an earlier bead moves, only this row's clock changes.

const RowHead = memo(function RowHead({ name, clock }: { name: string; clock: string }) {
  return (
    <View style={{ flexDirection: 'row', justifyContent: 'space-between' }}>
      <Words size="label" tone="muted">
        {name}
      </Words>
      <Words size="label" tone="muted">
        {clock}
      </Words>
    </View>
  );
});

const RowFigures = memo(function RowFigures({ index, segment, live, unit }: Pick<RunRowProps, 'index' | 'segment' | 'live' | 'unit'>) {
  const root = useRef<View>(null);
  useWritten(live, (moving) => {
    const { target_C } = moving?.segments[index] ?? segment;
    writeWords(elementOf(root)?.querySelector('[data-figure]'), formatTemperature(target_C, unit).figure);
  });
  const off = segment.role === 'lastCool' && segment.rate_C_per_h === null;
  return (
    <View ref={root} style={{ flexDirection: 'row', alignItems: 'center', gap: space.medium }}>
      <FigureText value={formatTemperature(segment.target_C, unit)} size="large" />
      <View>
        <FigureText value={off ? { figure: RUN_ROW.switchOff, unit: '' } : formatRate(segment.rate_C_per_h, unit)} />
        {segment.hold_s > 0 && <Words size="label">{RUN_ROW.hold(text(formatDuration(segment.hold_s)))}</Words>}
      </View>
    </View>
  );
});

const RowLimit = memo(function RowLimit({ index, limit, ok }: { index: number; limit: string; ok: boolean }) {
  const { colours } = useTheme();
  return (
    <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.hair }} testID={ok ? undefined : `broken-${index}`}>
      {!ok && <WarningSign colour={colours.warn} size={14} />}
      <Words size="note" bold tone={ok ? 'ink' : 'warn'} numberOfLines={1}>
        {limit}
      </Words>
    </View>
  );
});
