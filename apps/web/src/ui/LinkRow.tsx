/** A row of a list that leads somewhere: one touch as wide as the page, the open one standing out. */
import KitListItem from '@rneui/themed/dist/ListItem';
import { type Href, Link } from 'expo-router';
import type { ReactNode } from 'react';
import { View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';

export interface LinkRowProps {
  href: Href;
  /** The row whose page is open beside the list. */
  current?: boolean;
  /** Where every row must be as tall as the others; else as tall as what is in it. */
  height?: number;
  /** Room at both ends, px; nothing where the page has it already. */
  inset?: number;
  /** Going there replaces this page in the history. */
  replace?: boolean;
  /** Not where only the rows in sight exist, which are no list to a screen reader. */
  listed?: boolean;
  testID: string;
  children: ReactNode;
}

export function LinkRow({ href, current = false, height, inset = space.large, replace = false, listed = true, testID, children }: LinkRowProps) {
  const { colours } = useTheme();
  return (
    <View role={listed ? 'listitem' : undefined} style={{ borderTopWidth: 1, borderColor: colours.line, height, overflow: 'hidden' }}>
      <Link href={href} replace={replace} asChild>
        <KitListItem
          aria-current={current ? 'page' : undefined}
          testID={testID}
          style={height === undefined ? undefined : { height: '100%' }}
          containerStyle={{
            flexGrow: 1,
            paddingVertical: height === undefined ? space.small : 0,
            paddingHorizontal: inset,
            backgroundColor: current ? colours.surface : 'transparent',
          }}
        >
          {children}
        </KitListItem>
      </Link>
    </View>
  );
}
