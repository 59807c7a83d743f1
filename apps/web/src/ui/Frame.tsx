/** The places: a bottom bar under the thumb on a phone, a rail at the left when wide. Only places with content appear. */
import { Link, usePathname } from 'expo-router';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View, useWindowDimensions } from 'react-native';
import { useAskedForPasscode } from '@/outside/door';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET, scaled, space, wordSize } from '@/theme/theme';
import { WaitingDrawer } from './Connection';
import { EnterPasscode } from './EnterPasscode';
import { KeyShortcuts } from './KeyShortcuts';
import { NewerTorvin } from './NewerTorvin';
import { OverHttp } from './OverHttp';
import { SkipLink } from './SkipLink';
import { Words } from './Words';
import { PageAnnouncer } from './announce';
import { PLACES } from './places';
import { FIND, HELP, RECKON, closeShared, openShared, useShared } from './shared';
import { TakeBackBar } from './takeBack';
import { isWide, useLayout } from './useWidth';
import { FRAME, TOOLS } from './said';

const RAIL_WIDTH = scaled(112);
const BAR_HEIGHT = scaled(60);

/** Of all names in the bar, what they and the room between them take, in widths of a letter and px. */
const LETTERS_IN_BAR = 20.5;
const BETWEEN_PX = 60;

/** On a narrow bar, and where letters are large, the names are set so that none touches the next. */
function useLetters(wide: boolean): { fontSize: number } | undefined {
  const { width } = useWindowDimensions();
  const most = (width - BETWEEN_PX) / LETTERS_IN_BAR;
  return wide || most >= wordSize.label ? undefined : { fontSize: Math.floor(most * 2) / 2 };
}

/** Under Reckon in the rail: what is at hand in the header of a phone's page, and Settings. */
function RailTools() {
  const open = useShared();
  const here = usePathname();
  const line = { minHeight: TARGET, justifyContent: 'center', paddingHorizontal: space.large } as const;
  return (
    <View>
      {([FIND, HELP] as const).map((name) => (
        <Pressable
          key={name}
          role="button"
          aria-expanded={open === name}
          aria-label={TOOLS[name]}
          testID={`open-${name}`}
          onPress={() => (open === name ? closeShared() : openShared(name))}
          style={line}
        >
          <Words bold={open === name} tone="touch">
            {FRAME[name]}
          </Words>
        </Pressable>
      ))}
      <Link href="/settings" aria-current={here.startsWith('/settings') ? 'page' : undefined} style={{ display: 'flex', textDecorationLine: 'none' }}>
        <View style={line}>
          <Words bold={here.startsWith('/settings')} tone="touch">
            {FRAME.settings}
          </Words>
        </View>
      </Link>
    </View>
  );
}

/** Brings Reckon up over the page, and puts it away. */
function ReckonKey({ wide }: { wide: boolean }) {
  const { colours } = useTheme();
  const open = useShared() === RECKON;
  return (
    <Pressable
      role="button"
      aria-expanded={open}
      aria-label={FRAME.reckon}
      testID="open-reckon"
      onPress={() => (open ? closeShared() : openShared(RECKON))}
      style={{
        ...{ minHeight: wide ? 56 : BAR_HEIGHT, minWidth: TARGET, justifyContent: 'center', paddingHorizontal: wide ? space.large : space.small },
        ...(wide
          ? { borderTopWidth: 1, marginTop: space.wide }
          : { borderLeftWidth: 1, alignItems: 'center' as const, borderTopWidth: open ? 4 : 0, paddingTop: open ? 0 : 4, borderTopColor: colours.touch }),
        ...{ borderColor: colours.line, backgroundColor: open ? colours.touch : 'transparent' },
      }}
    >
      <Words size={wide ? 'text' : 'label'} bold tone={open ? 'onTouch' : 'touch'} style={useLetters(wide)}>
        {FRAME.reckon}
      </Words>
    </Pressable>
  );
}

export function Frame({ children }: { children: ReactNode }) {
  const { colours } = useTheme();
  const wide = isWide(useLayout());
  const here = usePathname();
  const asked = useAskedForPasscode();
  const letters = useLetters(wide);
  const places = PLACES.map(({ name, href }) => {
    const current = here.startsWith(href);
    // No border but of the place that is open: where a browser has its own colours, it draws what is transparent too.
    const edge = current ? 4 : 0;
    const mark = wide
      ? { borderLeftWidth: edge, paddingLeft: space.medium + 4 - edge }
      : { borderTopWidth: edge, paddingTop: 4 - edge, alignItems: 'center' as const, flex: 1 };
    return (
      <Link
        key={href}
        href={href}
        aria-current={current ? 'page' : undefined}
        style={{ flexGrow: wide ? undefined : 1, flexShrink: 1, minWidth: TARGET, display: 'flex', textDecorationLine: 'none' }}
      >
        <View style={[{ minHeight: wide ? 56 : BAR_HEIGHT, justifyContent: 'center', flex: 1, borderColor: colours.touch }, mark]}>
          <Words size={wide ? 'text' : 'label'} bold={current} tone={current ? 'touch' : 'muted'} style={letters}>
            {name}
          </Words>
        </View>
      </Link>
    );
  });
  const bar = (
    <View
      style={
        wide
          ? {
              width: RAIL_WIDTH,
              backgroundColor: colours.surface,
              borderRightWidth: StyleSheet.hairlineWidth,
              borderColor: colours.line,
              paddingTop: space.wide,
            }
          : { flexDirection: 'row', backgroundColor: colours.surface, borderTopWidth: StyleSheet.hairlineWidth, borderColor: colours.line }
      }
    >
      <View role="navigation" aria-label={FRAME.places} style={wide ? undefined : { flexDirection: 'row', flexGrow: 1, flexShrink: 1 }}>
        {places}
      </View>
      <View role="region" aria-label={FRAME.tools}>
        <ReckonKey wide={wide} />
        {wide && <RailTools />}
      </View>
    </View>
  );
  return (
    <View style={{ flex: 1, flexDirection: wide ? 'row' : 'column', backgroundColor: colours.ground }}>
      {!asked && <SkipLink />}
      {wide && !asked && bar}
      <View style={{ flex: 1, minHeight: 0 }}>
        {asked && <EnterPasscode />}
        {/* What is open stays as it is while the passcode is asked for. */}
        <View style={asked ? { display: 'none' } : { flex: 1, minHeight: 0 }}>
          <View style={{ flex: 1, minHeight: 0 }}>{children}</View>
          <TakeBackBar />
          <OverHttp />
          <WaitingDrawer />
        </View>
        <NewerTorvin />
      </View>
      {!wide && !asked && bar}
      {!asked && <KeyShortcuts />}
      <PageAnnouncer />
    </View>
  );
}
