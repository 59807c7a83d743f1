/**
 * How far air under a sheet has to go to its rim. What lies under a wide sheet keeps its air if the rim seals first; under a
 * small one, among grains and within a body that is one solid already, there is nothing to let out.
 */
import type { BodyInput } from './body';
import { footprintNarrow } from './footprint';
import type { Layer } from './layers';

/** Sheets narrower than this let their air out by themselves, m. */
export const LEAST_AIR_WAY_M = 0.06;

const coversLikeASheet = ({ form }: Layer): boolean => form === 'sheet' || form === 'cap';

/** Width, m, of the widest sheet or shard that air must leave from under; 0 where there is none. joined: it is one solid. */
export function airWay({ layers, parts = [], footprint, casting, joined }: BodyInput & { joined: boolean }): number {
  if (joined || casting) return 0;
  const under = layers.some(coversLikeASheet) ? footprintNarrow(footprint) : 0;
  return Math.max(under, ...parts.map(({ area_m2 }) => Math.sqrt(area_m2)));
}
