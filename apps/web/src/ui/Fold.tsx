/**
 * A part of a page that is opened when it is wanted; what is in it exists only while it is open. The kit's row, not its
 * Accordion, which leaves what it opens transparent where motion is turned off and warns of a missing driver where it is on.
 */
import KitListItem from '@rneui/themed/dist/ListItem';
import { type ReactNode, memo, useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';
import Svg, { Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { WarningSign } from './Notice';
import { Words } from './Words';

export interface FoldProps {
  title: string;
  /** What it holds, or its verdict, in a few words. */
  about: string;
  testID: string;
  /** Opens by itself when this comes or changes: something in it must be seen. It can be closed again. */
  opened?: boolean | number;
  /** Told when it opens or closes. Must keep its identity between renders. */
  onOpen?(open: boolean): void;
  /** Has a problem: the row shows its sign, open or closed. */
  warns?: boolean;
  children: () => ReactNode;
}

export function Fold({ title, about, testID, opened = false, onOpen, warns = false, children }: FoldProps) {
  const { colours } = useTheme();
  const [open, setOpen] = useState(Boolean(opened));
  useEffect(() => {
    if (opened) setOpen(true);
  }, [opened]);
  useEffect(() => onOpen?.(open), [open, onOpen]);
  const toggle = useCallback(() => setOpen((now) => !now), []);
  return (
    <View style={{ borderTopWidth: 1, borderColor: colours.line }}>
      <FoldHead title={title} about={about} testID={testID} open={open} warns={warns} onToggle={toggle} />
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
  warns,
  onToggle,
}: Omit<FoldProps, 'children' | 'opened' | 'onOpen'> & { open: boolean; onToggle(): void }) {
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
        <Words size="label" tone={warns ? 'warn' : 'muted'} role={warns ? 'alert' : undefined} testID={`about-${testID}`}>
          {about}
        </Words>
      </KitListItem.Content>
      {warns && <WarningSign colour={colours.warn} />}
    </KitListItem>
  );
});
