import type { KilnConstants } from './kiln';

/**
 * A top-loader of middling size, where nothing else is known: it climbs by 500 °C/h at 600 °C and, switched off and closed, comes from
 * 515 to 90 °C in about eight hours. Typical; timings of one's own kiln stand above it.
 */
export const TYPICAL_KILN: KilnConstants = {
  top_C: 900,
  power_K_per_s: 0.206,
  loss_per_s: 6e-5,
  radiantLoss_per_K3_s: 5.6e-14,
  ambient_C: 20,
  acrossLag_s_per_300mm: 72,
};

/** Where a kiln's elements are. */
export const ELEMENT_PLACES = ['top', 'sides', 'both'] as const;
export type Elements = (typeof ELEMENT_PLACES)[number];

/** So much slower heat from the sides alone is taken to reach the middle of a plate, until a studio has timed it. */
const FROM_SIDES = 2;

/** The kiln as it is where heat comes from the sides alone: by its own lag where that is longer. */
export const heatedFromSides = <K extends Pick<KilnConstants, 'acrossLag_s_per_300mm'>>(kiln: K): K => ({
  ...kiln,
  acrossLag_s_per_300mm: Math.max(kiln.acrossLag_s_per_300mm, acrossLagFrom('sides')),
});

/** How long the middle of 300 mm lags its edge, s, by where the elements are: usual, and on the slow side. */
export const acrossLagFrom = (elements: Elements): number => TYPICAL_KILN.acrossLag_s_per_300mm * (elements === 'sides' ? FROM_SIDES : 1);
