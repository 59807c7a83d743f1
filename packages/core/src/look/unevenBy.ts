/** Relief of a third of the depth, such as one layer of parts on two sheets, counts in full. */
const FULL_RELIEF = 1 / 3;

/** How many times as deep as its thickest place a body is computed, by how much thinner its thinnest is; most: for full relief. */
export const unevenBy = (most: number, thick_m: number, thin_m: number): number => 1 + (most - 1) * Math.min(1, (thick_m - thin_m) / thick_m / FULL_RELIEF);
