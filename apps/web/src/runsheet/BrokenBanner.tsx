/** Names the first broken limit wherever the page is scrolled to. */
import type { PurposefulSegment } from '@torvin/core/kiln';
import { type Evaluation, ROLE_NAMES, type Reading, brokenOf, marginOf, readingPhrase } from '@torvin/core/schedule';
import { useSyncExternalStore } from 'react';
import { View } from 'react-native';
import { useUnits } from '@/data/FormUnits';
import { useTheme } from '@/theme/ThemeContext';
import { scaled, space } from '@/theme/theme';
import { WarningSign } from '@/ui/Notice';
import { Words } from '@/ui/Words';
import type { Live } from './live';
import { BROKEN_BANNER } from './words';

/** Broken limits, the worst first. */
export const worstFirst = ({ readings }: Evaluation): Reading[] => brokenOf(readings).sort((a, b) => marginOf(a) - marginOf(b));

export interface BrokenBannerProps {
  /** For their names, which no bead changes. */
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  live: Live;
  /** What stands there while no limit is broken. */
  calm: string;
  /** What was found before, and stands against the firing though it keeps its limits. */
  standing: readonly string[];
}

/**
 * A line that is always there, so that it covers nothing and nothing jumps under a finger when a limit breaks. While a bead moves it is
 * drawn anew only where its words change.
 */
export function BrokenBanner({ segments, evaluation, live, calm, standing }: BrokenBannerProps) {
  const { colours } = useTheme();
  const units = useUnits();
  const wordsOf = (of: Evaluation): string => {
    const [first, ...others] = worstFirst(of);
    return first
      ? `${ROLE_NAMES[segments[first.segment].role]}: ${readingPhrase(first, units)}${others.length > 0 ? BROKEN_BANNER.othersToo(others.length) : ''}`
      : '';
  };
  const broken = useSyncExternalStore(live.subscribe, () => wordsOf(live.now()?.evaluation ?? evaluation));
  const warned = standing.length > 0 ? `${standing[0]}${standing.length > 1 ? BROKEN_BANNER.andMoreSentence(standing.length - 1) : ''}` : '';
  const first = broken !== '' || warned !== '';
  return (
    <View
      testID={broken !== '' ? 'broken-limits' : first ? 'limits-kept-warned' : 'limits-kept'}
      style={{
        flexDirection: 'row',
        height: scaled(28),
        alignItems: 'center',
        gap: space.small,
        paddingHorizontal: space.large,
        backgroundColor: colours.surface,
        borderBottomWidth: 1,
        borderColor: first ? colours.warn : colours.line,
      }}
    >
      {first && <WarningSign colour={colours.warn} />}
      <View style={{ flex: 1 }}>
        <Words size="label" bold={first} tone={first ? 'warn' : 'muted'} numberOfLines={1}>
          {broken || warned || calm}
        </Words>
      </View>
    </View>
  );
}
