/** Fields in two columns where there is room for two, in one where there is not; each in a place of its own. */
import { COLUMN_WIDTH, space } from '@/theme/theme';

export const COLUMNS = { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.wide, rowGap: space.medium, alignItems: 'flex-start' } as const;
export const CELL = { flexGrow: 1, flexBasis: '40%', minWidth: 280, maxWidth: COLUMN_WIDTH } as const;
/** For what wants all of a row. */
export const WHOLE_ROW = { width: '100%' } as const;
