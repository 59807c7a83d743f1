/** The theme in use: the studio's choice, or the system's where it has made none. Also dresses the component kit. */
import { ThemeProvider as KitThemeProvider, createTheme } from '@rneui/themed/dist/config';
import { type ReactNode, createContext, useContext, useEffect, useMemo } from 'react';
import { useColorScheme } from 'react-native';
import { useStudio } from '@/data/studio';
import { type Colours, RADIUS, TARGET, dark, fonts, light, space, wordSize } from './theme';

interface ThemeValue {
  colours: Colours;
  name: 'light' | 'dark';
}

const Context = createContext<ThemeValue>({ colours: light, name: 'light' });

export const useTheme = (): ThemeValue => useContext(Context);

export function ThemeProvider({ children }: { children: ReactNode }) {
  const system = useColorScheme();
  const { theme } = useStudio();
  return <Themed name={theme === 'system' ? (system === 'dark' ? 'dark' : 'light') : theme}>{children}</Themed>;
}

/** In a theme that is known, where no studio can be asked. */
export function Themed({ name, children }: { name: 'light' | 'dark'; children: ReactNode }) {
  const { ground } = name === 'dark' ? dark : light;
  useEffect(() => {
    document.documentElement.style.colorScheme = name;
    document.body.style.background = ground;
    // What a phone paints round the page.
    document.querySelector('meta[name="theme-color"]')?.setAttribute('content', ground);
  }, [name, ground]);
  return <Dressed name={name}>{children}</Dressed>;
}

/** What stands in a theme of its own, whatever the page has. */
export function Dressed({ name, children }: { name: 'light' | 'dark'; children: ReactNode }) {
  const value = useMemo(() => ({ name, colours: name === 'dark' ? dark : light }) as const, [name]);
  const kit = useMemo(() => kitTheme(value.colours, name), [value, name]);
  return (
    <Context.Provider value={value}>
      <KitThemeProvider theme={kit}>{children}</KitThemeProvider>
    </Context.Provider>
  );
}

const kitTheme = (colours: Colours, mode: 'light' | 'dark') => {
  const kitColours = {
    primary: colours.touch,
    background: colours.ground,
    white: colours.surface,
    black: colours.ink,
    error: colours.warn,
    divider: colours.line,
    disabled: colours.muted,
    grey4: colours.line,
  };
  return createTheme({
    mode,
    lightColors: kitColours,
    darkColors: kitColours,
    components: {
      Button: {
        titleStyle: { fontFamily: fonts.wordsBold, fontSize: wordSize.text },
        buttonStyle: { minHeight: TARGET, borderRadius: RADIUS, paddingHorizontal: 16 },
      },
      Input: {
        inputStyle: { fontFamily: fonts.words, fontSize: wordSize.title, color: colours.ink, minHeight: TARGET, minWidth: 0 },
        labelStyle: { fontFamily: fonts.words, fontSize: wordSize.label, color: colours.muted, fontWeight: '400' },
        errorStyle: { fontFamily: fonts.wordsBold, fontSize: wordSize.label, color: colours.warn, margin: 0 },
        inputContainerStyle: { borderBottomColor: colours.muted, borderBottomWidth: 1 },
        containerStyle: { paddingHorizontal: 0 },
      },
      Chip: {
        radius: RADIUS,
        buttonStyle: {
          flexGrow: 1,
          minHeight: TARGET,
          justifyContent: 'flex-start',
          columnGap: space.small,
          paddingHorizontal: space.medium,
          paddingVertical: space.hair,
        },
      },
      CheckBox: {
        textStyle: { fontFamily: fonts.words, fontSize: wordSize.text, fontWeight: '400', color: colours.ink, marginRight: 0 },
        containerStyle: { minHeight: TARGET, justifyContent: 'center', margin: 0, marginLeft: 0, marginRight: 0, padding: 0, backgroundColor: 'transparent' },
      },
      ListItem: {
        pad: space.medium,
        containerStyle: { minHeight: TARGET, padding: 0, paddingVertical: space.small, backgroundColor: 'transparent' },
      },
      Dialog: {
        overlayStyle: { width: 'auto', gap: space.small, backgroundColor: colours.surface, borderWidth: 2, borderColor: colours.touch, borderRadius: RADIUS },
      },
      ListItemContent: { style: { alignItems: 'stretch' } },
      SearchBar: {
        placeholderTextColor: colours.muted,
        containerStyle: { backgroundColor: 'transparent', borderTopWidth: 0, borderBottomWidth: 0, padding: 0 },
        inputContainerStyle: {
          backgroundColor: colours.surface,
          overflow: 'visible',
          borderWidth: 1,
          borderBottomWidth: 1,
          borderColor: colours.muted,
          borderRadius: RADIUS,
        },
        inputStyle: { color: colours.ink, fontFamily: fonts.words, fontSize: wordSize.text, minHeight: TARGET, minWidth: 0 },
      },
      Skeleton: { animation: 'none', height: wordSize.text },
    },
  });
};
