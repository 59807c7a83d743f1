/** One way to fire this very body, composed for it, so that what it costs can be read off; it can be taken. */
import { hottestSegment } from '@torvin/core/heat';
import { type FiringCase, brokenOf, consequences } from '@torvin/core/schedule';
import { type TemperatureUnit, formatDuration, formatTemperature, text } from '@torvin/core/units';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useComputed } from '@/engine/useComputed';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { COMPOSED_ROW } from './words';
import { WORDS } from '@/ui/said';

export interface ComposedRowProps {
  name: string;
  /** What it costs, in words. */
  about: string;
  firing: FiringCase;
  taken: boolean;
  unit: TemperatureUnit;
  working: boolean;
  onTake(): void;
  /** Of the row, and after 'take-' of its button. */
  id: string;
  kind: 'school' | 'stands';
  /** Figures told, by their names in what changes; what a body has none of is left out. */
  tells: readonly { what: string; words(figure: string): string }[];
}

export function ComposedRow({ name, about, firing, taken, unit, working, onTake, id, kind, tells }: ComposedRowProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const { value, problem } = useComputed('compose', { ...firing, units });
  const figures = value ? consequences({ firing, evaluation: value }, { firing, evaluation: value }, units) : [];
  const told = tells.flatMap(({ what, words }) => {
    const found = figures.find((one) => one.what === what);
    return found ? [words(text(found.after))] : [];
  });
  const work = value?.segments[hottestSegment(value.segments)];
  const broken = value ? brokenOf(value.readings).length : 0;
  return (
    <View role="listitem" style={{ borderTopWidth: 1, borderColor: colours.line, paddingVertical: space.small }} testID={`${kind}-${id}`}>
      <View style={{ flexDirection: 'row', alignItems: 'center', gap: space.small }}>
        <View style={{ flex: 1 }}>
          <Words bold>{name}</Words>
          <Words size="label" tone="muted">
            {about}
          </Words>
        </View>
        {taken ? (
          <Words size="label">{COMPOSED_ROW.inUse}</Words>
        ) : (
          <Action
            kind="second"
            title={COMPOSED_ROW.takeIt}
            label={COMPOSED_ROW.takeIt2(name)}
            disabled={working || !value}
            testID={`take-${id}`}
            onPress={onTake}
          />
        )}
      </View>
      {problem && <Words tone="warn">{problem.message}</Words>}
      {value && work && (
        <>
          <Words>{`${[COMPOSED_ROW.for(text(formatTemperature(work.target_C, unit)), text(formatDuration(work.hold_s))), ...told].join('; ')}.`}</Words>
          {broken > 0 && (
            <Words tone="warn" bold>
              {COMPOSED_ROW.breaks(broken)}
            </Words>
          )}
          {value.remarks.map((remark) => (
            <Words key={remark} size="label">
              {remark}
            </Words>
          ))}
        </>
      )}
      {!value && !problem && <Words tone="muted">{WORDS.calculating}</Words>}
    </View>
  );
}
