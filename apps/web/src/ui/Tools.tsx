/** To find anything, and the help of the page that is open: at hand on every page. */
import { Pressable, View } from 'react-native';
import Svg, { Circle, Path } from 'react-native-svg';
import { useTheme } from '@/theme/ThemeContext';
import { TARGET } from '@/theme/theme';
import { Words } from './Words';
import { TOOLS } from './said';
import { FIND, HELP, closeShared, openShared, useShared } from './shared';

const GLASS_PX = 22;

export function Tools() {
  const { colours } = useTheme();
  const open = useShared();
  const tool = (name: typeof FIND | typeof HELP) => ({
    role: 'button' as const,
    'aria-label': TOOLS[name],
    'aria-expanded': open === name,
    testID: `open-${name}`,
    onPress: () => (open === name ? closeShared() : openShared(name)),
    style: { width: TARGET, height: TARGET, alignItems: 'center' as const, justifyContent: 'center' as const },
  });
  return (
    <View style={{ flexDirection: 'row' }}>
      <Pressable {...tool(FIND)}>
        <Svg width={GLASS_PX} height={GLASS_PX} viewBox="0 0 20 20" aria-hidden>
          <Circle cx={8} cy={8} r={6} fill="none" stroke={colours.touch} strokeWidth={2.2} />
          <Path d="M12.5 12.5 L18 18" stroke={colours.touch} strokeWidth={2.2} />
        </Svg>
      </Pressable>
      <Pressable {...tool(HELP)}>
        <Words size="heading" bold tone="touch" aria-hidden>
          ?
        </Words>
      </Pressable>
    </View>
  );
}
