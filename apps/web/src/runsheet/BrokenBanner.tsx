/** Names the first broken limit wherever the page is scrolled to. */
import { type PurposefulSegment, ROLE_NAMES, type Reading, type Units, readingPhrase } from '@torvin/core';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { scaled, space } from '@/theme/theme';
import { WarningSign } from '@/ui/Notice';
import { Words } from '@/ui/Words';

export interface BrokenBannerProps {
  segments: PurposefulSegment[];
  broken: Reading[];
  units: Units;
  /** What stands there while no limit is broken. */
  calm: string;
}

/** A line that is always there, so that it covers nothing and nothing jumps under a finger when a limit breaks. */
export function BrokenBanner({ segments, broken, units, calm }: BrokenBannerProps) {
  const { colours } = useTheme();
  const [first] = broken;
  return (
    <View
      testID={first ? 'broken-limits' : 'limits-kept'}
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
        <Words size="label" bold={first !== undefined} tone={first ? 'warn' : 'muted'} numberOfLines={1}>
          {first
            ? `${ROLE_NAMES[segments[first.segment].role]}: ${readingPhrase(first, units)}${broken.length > 1 ? `, and ${broken.length - 1} more` : ''}`
            : calm}
        </Words>
      </View>
    </View>
  );
}
