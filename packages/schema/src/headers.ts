/** What pages and the server tell each other beside what is asked. */

/** The header in which a page says which it is, so that it need not read again what it has just saved. */
export const PAGE_HEADER = 'Torvin-Page';

/** The header in which each answer says so where the disk of the studio is full: what is sent is not saved until there is room. */
export const DISK_HEADER = 'Torvin-Disk';

/** The header in which a page says what time it is where it is, ms since 1970: a server without a clock of its own may be behind. */
export const CLOCK_HEADER = 'Torvin-Clock';

/** The header in which each answer says which event it knows of as the last. */
export const EVENT_HEADER = 'Torvin-Event';

/** The header in which each answer says of which database it is, by a mark that is another one where another has taken its place. */
export const STUDIO_HEADER = 'Torvin-Studio';

/** The header in which a page and each answer say which requests and answers they know, by a digest of them. */
export const API_HEADER = 'Torvin-Api';
