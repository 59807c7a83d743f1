/** The ground of figures that are older than what they were made from. */
import type { ViewStyle } from 'react-native';
import type { Colours } from '@/theme/theme';

export const hatched = (colours: Colours, older: boolean): ViewStyle =>
  (older ? { backgroundImage: `repeating-linear-gradient(135deg, transparent 0 9px, ${colours.line} 9px 11px)` } : {}) as ViewStyle;
