// A module is set up when something of it is first used; this one listens before the router does.
import '@/ui/useWayOut';
import AtkinsonHyperlegibleNext_400Regular from '@/theme/fonts/AtkinsonHyperlegibleNext_400Regular.woff2';
import AtkinsonHyperlegibleNext_700Bold from '@/theme/fonts/AtkinsonHyperlegibleNext_700Bold.woff2';
import BarlowSemiCondensed_400Regular from '@/theme/fonts/BarlowSemiCondensed_400Regular.woff2';
import BarlowSemiCondensed_700Bold from '@/theme/fonts/BarlowSemiCondensed_700Bold.woff2';
import { QueryClientProvider } from '@tanstack/react-query';
import { useFonts } from 'expo-font';
import { Slot } from 'expo-router';
import { useEffect } from 'react';
import { View } from 'react-native';
import { SafeAreaProvider } from 'react-native-safe-area-context';
import { hearInstallOffer, keepShell } from '@/away/shell';
import { Calls } from '@/bench/Calls';
import { begin, useBegun } from '@/data/begin';
import { makeQueryClient } from '@/data/queries';
import { useChanges } from '@/data/useChanges';
import { warmUpSoon } from '@/engine/client';
import { ThemeProvider } from '@/theme/ThemeContext';
import { Frame } from '@/ui/Frame';
import { FIND, HELP, RECKON, useShared } from '@/ui/shared';
import { BroughtHere, FindPanel, HelpPanel, ReckonPanel, readWorkbench } from '@/workbench';

export { Broken as ErrorBoundary } from '@/ui/Broken';

/** The first view is drawn and read by then; a page that is wanted sooner is read at once. */
const WORKBENCH_AFTER_MS = 1500;

const queries = makeQueryClient();
begin(queries);
hearInstallOffer();

export default function RootLayout() {
  useFonts({ AtkinsonHyperlegibleNext_400Regular, AtkinsonHyperlegibleNext_700Bold, BarlowSemiCondensed_400Regular, BarlowSemiCondensed_700Bold });
  useEffect(() => {
    warmUpSoon();
    const rest = setTimeout(() => void readWorkbench().then(keepShell, () => undefined), WORKBENCH_AFTER_MS);
    return () => clearTimeout(rest);
  }, []);
  if (!useBegun()) return null;
  return (
    <View style={{ flex: 1 }}>
      <SafeAreaProvider>
        <QueryClientProvider client={queries}>
          <Changes />
          <ThemeProvider>
            <Frame>
              <Calls />
              <Slot />
              <SharedPanels />
              <BroughtHere />
            </Frame>
          </ThemeProvider>
        </QueryClientProvider>
      </SafeAreaProvider>
    </View>
  );
}

/** They are read when one is first wanted, or with the pages. */
function SharedPanels() {
  switch (useShared()) {
    case RECKON:
      return <ReckonPanel />;
    case FIND:
      return <FindPanel />;
    case HELP:
      return <HelpPanel />;
    default:
      return null;
  }
}

function Changes() {
  useChanges();
  return null;
}
