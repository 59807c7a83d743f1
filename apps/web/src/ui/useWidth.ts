/** Which of the layouts fits this window. */
import { useWindowDimensions } from 'react-native';
import { breakpoints } from '@/theme/theme';

export type Layout = 'phone' | 'column' | 'rail' | 'beside';

export function layoutFor(width: number): Layout {
  if (width >= breakpoints.beside) return 'beside';
  if (width >= breakpoints.rail) return 'rail';
  return width >= breakpoints.column ? 'column' : 'phone';
}

export const useLayout = (): Layout => layoutFor(useWindowDimensions().width);

export const isWide = (layout: Layout): boolean => layout === 'rail' || layout === 'beside';
