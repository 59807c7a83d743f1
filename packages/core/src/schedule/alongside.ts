/** A plain piece that is fired alongside another and can be looked through where that one can not. */
import { mainGlass } from '../body/body';
import { evenSheets } from '../body/layers';
import type { FiringCase } from './firingCase';
import { BARE_SHELF } from './setups';

/** Small enough to be one with its middle in every way that counts. */
const SIDE_M = 0.05;

/** The same firing of an even piece of the main glass, so thick, on the shelf. */
export function plainBeside(firing: FiringCase, thickness_m: number): FiringCase {
  const { body, kiln, school, limits, corrections } = firing;
  return {
    body: {
      glasses: [mainGlass(body)],
      layers: evenSheets([{ thickness_m }]),
      footprint: { shape: 'rectangle', width_m: SIDE_M, length_m: SIDE_M },
      joined: true,
    },
    setup: BARE_SHELF,
    // Nothing shapes it; what it becomes is not asked.
    look: 'fullFuse',
    ...{ kiln, school, limits },
    ...(corrections ? { corrections } : {}),
  };
}
