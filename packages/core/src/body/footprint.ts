/** The outline of a piece as it lies on the shelf. Lengths in m. */
export type Footprint = { shape: 'rectangle'; width_m: number; length_m: number } | { shape: 'disc'; diameter_m: number };

/** Area, m². */
export const footprintArea = (footprint: Footprint): number =>
  footprint.shape === 'disc' ? (Math.PI * footprint.diameter_m ** 2) / 4 : footprint.width_m * footprint.length_m;

/** The greatest straight dimension that counts for unevenness across the kiln, m. */
export const footprintSpan = (footprint: Footprint): number =>
  footprint.shape === 'disc' ? footprint.diameter_m : Math.max(footprint.width_m, footprint.length_m);
