/** What is said of a load wherever it is shown. */

/** Of loads from before a kiln was kept to one schedule. */
export const UNLIKE = 'These were put in with unlike schedules: each is told by its own.';

export const outdatedLoadWords = (outdated: readonly string[]): string => `What lies there is not what its schedule was made for. ${outdated.join(' ')}`;
