/** Names the first broken limit wherever the page is scrolled to. */
import { type PurposefulSegment, ROLE_NAMES, type Reading, type Units, readingPhrase } from '@torvin/core';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { WarningSign } from '@/ui/Notice';
import { Words } from '@/ui/Words';

export interface BrokenBannerProps {
  segments: PurposefulSegment[];
  broken: Reading[];
  units: Units;
}

/** It lies over the rows, so that nothing jumps under a finger. */
export function BrokenBanner({ segments, broken, units }: BrokenBannerProps) {
  const { colours } = useTheme();
  const [first] = broken;
  if (!first) return null;
  return (
    <View
      testID="broken-limits"
      style={{
        position: 'absolute',
        top: '100%',
        left: 0,
        right: 0,
        flexDirection: 'row',
        alignItems: 'center',
        gap: space.small,
        paddingHorizontal: space.large,
        paddingVertical: space.hair,
        backgroundColor: colours.surface,
        borderBottomWidth: 2,
        borderColor: colours.warn,
        pointerEvents: 'none',
      }}
    >
      <WarningSign colour={colours.warn} />
      <View style={{ flex: 1 }}>
        <Words size="label" bold tone="warn" numberOfLines={1}>
          {`${ROLE_NAMES[segments[first.segment].role]}: ${readingPhrase(first, units)}${broken.length > 1 ? `, and ${broken.length - 1} more` : ''}`}
        </Words>
      </View>
    </View>
  );
}
