/** How a touch target that can be chosen looks: one frame for choices, chips and toggles. */
import type { ViewStyle } from 'react-native';
import { type Colours, RADIUS, TARGET, space } from '@/theme/theme';

/** filled: the chosen one stands out as a whole; else by its border alone, where several may be chosen. */
export const optionFrame = (colours: Colours, chosen: boolean, filled: boolean): ViewStyle => ({
  minHeight: TARGET,
  justifyContent: 'center',
  paddingHorizontal: space.medium,
  paddingVertical: space.hair,
  borderRadius: RADIUS,
  borderWidth: chosen && !filled ? 2 : 1,
  borderColor: chosen ? colours.touch : colours.muted,
  backgroundColor: chosen && filled ? colours.touch : colours.surface,
});
