/** So many saved calculations; what is older is let go. */
export const RECKONINGS_KEPT = 20;
