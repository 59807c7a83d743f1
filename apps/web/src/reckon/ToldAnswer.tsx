/** What comes out: the answer large and in both units, the sum in figures, what follows from it in words. */
import type { ToldQuantity, TwoUnits } from '@torvin/core/quantity';
import { text } from '@torvin/core/units';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { FigureText } from '@/ui/FigureText';
import { Notice } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import { TOLD_ANSWER } from './words';

/** Two sizes stand in one line. */
const [NARROW, WIDE] = [120, 220];

function Large({ label, value, other }: TwoUnits) {
  return (
    <View style={{ flex: 1, minWidth: value.figure.includes('×') ? WIDE : NARROW }}>
      <Words size="label" tone="muted">
        {label}
      </Words>
      <FigureText value={value} size="large" />
      <Words size="note" tone="muted">
        {text(other)}
      </Words>
    </View>
  );
}

/** stale: it is of what was typed before. children: its drawing. */
export function ToldAnswer({ told, stale, children }: { told: ToldQuantity; stale: boolean; children?: ReactNode }) {
  const { colours } = useTheme();
  return (
    <View style={{ gap: space.small, opacity: stale ? 0.5 : 1 }} testID="reckon-answer" aria-busy={stale}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: space.large }}>
        {told.figures.map((figure) => (
          <Large key={figure.label} {...figure} />
        ))}
      </View>
      {told.rows && (
        <View role="table" aria-label={TOLD_ANSWER.whatToTake} testID="reckon-rows">
          {told.rows.map(({ name, value, note }, i) => (
            <View
              key={i}
              role={'row' as never}
              style={{
                flexDirection: 'row',
                alignItems: 'baseline',
                gap: space.small,
                paddingVertical: space.hair,
                borderBottomWidth: 1,
                borderColor: colours.line,
              }}
            >
              <View role={'cell' as never} style={{ flex: 1 }}>
                <Words>{name}</Words>
              </View>
              <View role={'cell' as never}>
                <Words size="note" tone="muted">
                  {note}
                </Words>
              </View>
              <View role={'cell' as never} style={{ minWidth: 84, alignItems: 'flex-end' }}>
                <FigureText value={value} />
              </View>
            </View>
          ))}
        </View>
      )}
      <View testID="reckon-sum">
        {/* Two lines may read alike, as the two sides of a square panel do. */}
        {told.sum.map((line, i) => (
          <Words key={i} size="label" tone="muted">
            {line}
          </Words>
        ))}
      </View>
      {children}
      {told.cautions.map((words, i) => (
        <Notice key={i} tone="care">
          {words}
        </Notice>
      ))}
      <View style={{ gap: space.hair }} testID="reckon-words">
        {told.words.map((words, i) => (
          <Words key={i}>{words}</Words>
        ))}
      </View>
    </View>
  );
}

/** Nothing yet: what is to be told. */
export function StillMissing({ missing }: { missing: readonly string[] }) {
  if (missing.length === 0) return null;
  const names = missing.length === 1 ? missing[0] : TOLD_ANSWER.and(missing.slice(0, -1).join(', '), missing[missing.length - 1]);
  return (
    <Words tone="muted" testID="reckon-missing">
      {TOLD_ANSWER.stillToTell(names)}
    </Words>
  );
}
