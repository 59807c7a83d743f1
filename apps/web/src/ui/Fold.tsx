/**
 * A part of a page that is opened when it is wanted; what is in it exists only while it is open. The kit's row, not its
 * Accordion, which leaves what it opens transparent where motion is turned off and warns of a missing driver where it is on.
 */
import KitListItem from '@rneui/themed/dist/ListItem';
import { type ReactNode, memo, useCallback, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Words } from './Words';

export interface FoldProps {
  title: string;
  /** What it holds, in a few words. */
  about: string;
  testID: string;
  /** Open whatever was chosen: something in it wants to be seen. */
  opened?: boolean;
  children: () => ReactNode;
}

export function Fold({ title, about, testID, opened = false, children }: FoldProps) {
  const { colours } = useTheme();
  const [chosen, setOpen] = useState(false);
  const open = chosen || opened;
  const toggle = useCallback(() => setOpen((now) => !now), []);
  return (
    <View style={{ borderTopWidth: 1, borderColor: colours.line }}>
      <FoldHead title={title} about={about} testID={testID} open={open} onToggle={toggle} />
      {open && (
        <View style={{ paddingHorizontal: space.large, paddingBottom: space.large, gap: space.small }} testID={testID}>
          {children()}
        </View>
      )}
    </View>
  );
}

/** Rests while what is on the page above it changes. */
const FoldHead = memo(function FoldHead({
  title,
  about,
  testID,
  open,
  onToggle,
}: Omit<FoldProps, 'children' | 'opened'> & { open: boolean; onToggle(): void }) {
  const { colours } = useTheme();
  return (
    <KitListItem role="button" aria-expanded={open} onPress={onToggle} testID={`fold-${testID}`} containerStyle={{ paddingHorizontal: space.large }}>
      <Svg width={14} height={14} viewBox="0 0 14 14" aria-hidden>
        <Path d={open ? 'M1 4 L7 10 L13 4' : 'M4 1 L10 7 L4 13'} fill="none" stroke={colours.touch} strokeWidth={2.5} />
      </Svg>
      <KitListItem.Content>
        <Words bold tone="touch">
          {title}
        </Words>
        <Words size="label" tone="muted">
          {about}
        </Words>
      </KitListItem.Content>
    </KitListItem>
  );
});
