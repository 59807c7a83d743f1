/** What pages and their service worker call by the same names. */

/** The page says it to a worker that waits: the person wants the newer Torvin now. */
export const TAKE_OVER = 'take over';

export const PICTURES_CACHE = 'torvin-pictures';
