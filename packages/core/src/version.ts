/** Raised whenever the same input may give another answer. */
export const ENGINE_VERSION = '3';
