import type { Filing } from './pieces';

/** Neither tagged nor told of as finished, put away or a pattern. */
export const NOT_FILED: Filing = { tags: [], finishedAt: null, awayAt: null, patternAt: null, dueOn: null };
