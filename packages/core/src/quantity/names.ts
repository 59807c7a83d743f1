/** What is reckoned at the bench, each by its name. */
export const QUANTITY_NAMES = ['howMuch', 'fill', 'grains', 'mixes', 'cutting', 'blank', 'conversions'] as const;
export type QuantityName = (typeof QUANTITY_NAMES)[number];
