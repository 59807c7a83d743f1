/** Stands where a page could not be drawn: what is known of it, and the way on. Nothing that was saved hangs on it. */
import type { ErrorBoundaryProps } from 'expo-router';
import { View, useColorScheme } from 'react-native';
import { Themed, useTheme } from '@/theme/ThemeContext';
import { COLUMN_WIDTH, space } from '@/theme/theme';
import { Action } from './Action';
import { Words } from './Words';
import { BROKEN } from './said';

export function Broken(props: ErrorBoundaryProps) {
  return (
    <Themed name={useColorScheme() === 'dark' ? 'dark' : 'light'}>
      <Said {...props} />
    </Themed>
  );
}

function Said({ error, retry }: ErrorBoundaryProps) {
  const { colours } = useTheme();
  return (
    <View role="main" style={{ flex: 1, gap: space.large, padding: space.large, maxWidth: COLUMN_WIDTH, backgroundColor: colours.ground }} testID="broken">
      <Words size="heading" bold role="heading" aria-level={1}>
        {BROKEN.pageCouldNot}
      </Words>
      <Words>{BROKEN.faultTorvinNot}</Words>
      <Words size="label" tone="muted">
        {error.message}
      </Words>
      <Action title={BROKEN.drawItAgain} testID="draw-again" onPress={() => void retry()} />
      <Action kind="second" title={BROKEN.goBench} testID="leave-broken" onPress={() => window.location.assign('/bench')} />
    </View>
  );
}
