/** rows: those that have been read; total: all that were found. */
export const ofAll = (rows: number, total: number, what: string): string => (rows < total ? `the first ${rows} of ${total} ${what}` : `${total} ${what}`);
