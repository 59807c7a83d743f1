/** What was read between crossed polarisers, as stress. */
import { type GlassConstants, stressOptical } from '../glass/constants';
import { NM_PER_M } from './polariser';

/** One whole fringe of white light, nm: from one tint plate's colour to the next. */
export { TINT_PLATE_NM as FRINGE_NM } from './interference';

/** Of light that went along a plate's edge: greatest delay, nm, and the path through the glass, m. */
export interface StressRead {
  retardation_nm: number;
  path_m: number;
}

/** The stress that delays light so much along its path, Pa. */
export const stressRead = (glass: GlassConstants, { retardation_nm, path_m }: StressRead): number =>
  retardation_nm / (stressOptical(glass) * path_m * NM_PER_M);

/** Greatest tension of a profile, Pa; 0 where there is none. */
export const greatestTension = (residual: readonly { stress_Pa: number }[]): number => residual.reduce((most, { stress_Pa }) => Math.max(most, stress_Pa), 0);
