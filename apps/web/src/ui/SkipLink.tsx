/** The first thing that a keyboard meets: past the places, to what this page is about. Seen only while it has the focus. */
import { createElement, useState } from 'react';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, fonts, space, wordSize } from '@/theme/theme';
import { WORDS } from './said';

export const MAIN_ID = 'main';

export function SkipLink() {
  const { colours } = useTheme();
  const [focused, setFocused] = useState(false);
  const shown = { left: space.small, top: space.small, padding: `0 ${space.large}px`, lineHeight: `${TARGET}px` };
  const hidden = { left: 0, top: 0, width: 1, height: 1, overflow: 'hidden', opacity: 0 };
  return createElement(
    'a',
    {
      href: `#${MAIN_ID}`,
      'data-testid': 'skip-link',
      onFocus: () => setFocused(true),
      onBlur: () => setFocused(false),
      onClick(event: { preventDefault(): void }) {
        event.preventDefault();
        document.getElementById(MAIN_ID)?.focus();
      },
      style: {
        position: 'absolute',
        zIndex: 10,
        background: colours.touch,
        color: colours.onTouch,
        fontFamily: fonts.wordsBold,
        fontSize: wordSize.text,
        textDecoration: 'none',
        whiteSpace: 'nowrap',
        ...(focused ? shown : hidden),
      },
    },
    WORDS.toThePage,
  );
}
