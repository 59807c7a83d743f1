/** What recurs in the small drawings of kinds of firing. */
export const SLAB = 'M4 36 V29 H68 V36 Z';
export const STEAM = 'M24 24 Q20 20 24 16 Q28 12 24 8 M36 24 Q32 20 36 16 Q40 12 36 8 M48 24 Q44 20 48 16 Q52 12 48 8';
