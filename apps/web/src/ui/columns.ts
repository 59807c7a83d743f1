/** Fields in two columns where there is room for two, in one where there is not. */
import { COLUMN_WIDTH, space } from '@/theme/theme';

const LEAST_PX = 280;
export const COLUMNS = {
  ...{ display: 'grid' as never, gridTemplateColumns: `repeat(auto-fill, minmax(max(min(100%, ${LEAST_PX}px), 40%), 1fr))`, alignItems: 'start' as never },
  ...{ columnGap: space.wide, rowGap: space.medium, maxWidth: 2 * COLUMN_WIDTH + space.wide },
} as const;
/** For what wants all of a row. */
export const WHOLE_ROW = { gridColumn: '1 / -1' } as object;
