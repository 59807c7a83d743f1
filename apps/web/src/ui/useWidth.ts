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

/** Lower than this, as a phone on its side is, a drawer under the page would leave no room for what it changes. */
const LOW_PX = 520;
const DRAWER_AT_MOST_PX = 420;
/** The drawing that it changes stays in sight over it, also where the page is enlarged. */
const DRAWER_SHARE = 0.5;

/** Too low for anything that stays at the bottom while the page scrolls. */
export const useIsLow = (): boolean => useWindowDimensions().height < LOW_PX;

/** Where a drawer opens: under the page, so high at most, or beside it. */
export function useDrawerPlace(): { beside: boolean; height: number } {
  const { width, height } = useWindowDimensions();
  return { beside: height < LOW_PX && width > height, height: Math.min(DRAWER_AT_MOST_PX, DRAWER_SHARE * height) };
}
