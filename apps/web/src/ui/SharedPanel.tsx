/** A panel that belongs to no page and lies over whichever is open: at the right of a wide screen, over most of a phone's. */
import { type ReactNode, useEffect, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { useTheme } from '@/theme/ThemeContext';
import { space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { WORDS } from './said';
import { closeShared } from './shared';
import { isTyping } from './shortcuts';
import { useWayOut } from './useWayOut';
import { isWide, useLayout } from './useWidth';

const WIDE_PX = 440;
/** So much of the page stays in sight above it. */
const ABOVE_PX = 72;

export interface SharedPanelProps {
  title: string;
  closeLabel: string;
  testID: string;
  /** A key pressed anywhere in it, before a field takes it for text; true where that is done with. Must keep its identity between renders. */
  onKey?(key: string): boolean;
  children: ReactNode;
}

/** It is there while it is open. */
export function SharedPanel({ title, closeLabel, testID, onKey, children }: SharedPanelProps) {
  const { colours } = useTheme();
  const wide = isWide(useLayout());
  const inside = useRef<View & HTMLElement>(null);
  useWayOut(inside, closeShared);
  useEffect(() => {
    const panel = inside.current;
    // A text field lets no key out of it.
    const onKeyDown = (event: KeyboardEvent): void => {
      const isOut = event.key === 'Escape' && isTyping(event.target);
      if (isOut) closeShared();
      if (isOut || onKey?.(event.key)) event.preventDefault();
    };
    panel?.addEventListener('keydown', onKeyDown, true);
    return () => panel?.removeEventListener('keydown', onKeyDown, true);
  }, [onKey]);
  const place = wide
    ? ({ top: 0, width: WIDE_PX, borderLeftWidth: 1 } as const)
    : ({ top: ABOVE_PX, left: 0, boxShadow: '0 -6px 24px rgba(16, 32, 28, 0.18)' } as const);
  return (
    <>
      {!wide && (
        <Pressable
          onPress={closeShared}
          aria-hidden
          tabIndex={-1}
          style={{ position: 'absolute', top: 0, left: 0, right: 0, bottom: 0, backgroundColor: colours.ground, opacity: 0.6, zIndex: 5 }}
        />
      )}
      <View
        ref={inside}
        tabIndex={-1}
        role={'dialog' as never}
        aria-label={title}
        testID={testID}
        style={[
          { position: 'absolute', right: 0, bottom: 0, backgroundColor: colours.surface, borderColor: colours.line, zIndex: 6, outlineStyle: 'none' as never },
          place,
        ]}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', justifyContent: 'space-between', paddingHorizontal: space.large, paddingTop: space.small }}>
          <Words size="heading" bold role="heading" aria-level={2}>
            {title}
          </Words>
          <Action kind="plain" title={WORDS.close} label={closeLabel} testID={`close-${testID}`} onPress={closeShared} />
        </View>
        {children}
      </View>
    </>
  );
}
