/** What is said of a load wherever it is shown. */

/** Of loads from before a kiln was kept to one schedule. */
export const UNLIKE = 'These pieces have different schedules: times and results go by each one’s own.';

export const outdatedLoadWords = (outdated: readonly string[]): string => `Changed since it was planned. ${outdated.join(' ')}`;
