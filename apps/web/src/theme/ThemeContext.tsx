/** The theme in use: the studio's choice, or the system's where it has made none. Also dresses the component kit. */
import { ThemeProvider as KitThemeProvider, createTheme } from '@rneui/themed/dist/config';
import { type ReactNode, createContext, useContext, useEffect, useMemo } from 'react';
import { useColorScheme } from 'react-native';
import { useStudio } from '@/data/studio';
import { type Colours, RADIUS, TARGET, dark, fonts, light, wordSize } from './theme';

interface ThemeValue {
  colours: Colours;
  name: 'light' | 'dark';
}

const Context = createContext<ThemeValue>({ colours: light, name: 'light' });

export const useTheme = (): ThemeValue => useContext(Context);

export function ThemeProvider({ children }: { children: ReactNode }) {
  const system = useColorScheme();
  const { theme } = useStudio();
  const name = theme === 'system' ? (system === 'dark' ? 'dark' : 'light') : theme;
  const value = useMemo(() => ({ name, colours: name === 'dark' ? dark : light }) as const, [name]);
  useEffect(() => {
    document.documentElement.style.colorScheme = name;
    document.body.style.background = value.colours.ground;
  }, [name, value]);
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
    },
  });
};
