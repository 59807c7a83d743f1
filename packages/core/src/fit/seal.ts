/**
 * Two glasses fused to one another: what they pull at each other once cold. By the full model, cooled evenly so that no
 * temperature difference adds to it; both the expansion and the temperature at which each sets count there. Beside it the
 * quick estimates: EΔα(T − 20)/(1−ν) shared by thickness, T the lower setting point at 10^13 Pa·s, and Timoshenko's bow
 * (1925, J. Opt. Soc. Am. 11, 233).
 */
import { ROOM_C } from '../units/physical';
import type { GlassConstants } from '../glass/constants';
import { temperatureAt, viscosityOf } from '../glass/viscosity';
import { plainPlate } from '../stress/plainPlate';

/** log10 η at which a glass holds its length against another. */
const SETTING_LOG_ETA = 13;
const NODES_PER_GLASS = 9;
/** Cooling of the seal, K/s: a usual first cool. The result hardly depends on it. */
const SEAL_RATE_K_PER_S = 50 / 3600;
const STEP_K = 2;
const START_ABOVE_ANNEALING_K = 60;
/** Nothing relaxes any more this far below the lower annealing point. */
const FROZEN_BELOW_ANNEALING_K = 200;

export interface Seal {
  lower: GlassConstants;
  upper: GlassConstants;
  lower_m: number;
  upper_m: number;
}

export interface SealStress {
  /** Greatest tension in either glass, free to bow, Pa. */
  tension_Pa: number;
  /** The same held flat. */
  flat_Pa: number;
  /** Bow, 1/m; positive where the top has grown longer than the underside. */
  bow_perM: number;
}

export const settingPoint = (glass: GlassConstants): number => temperatureAt(viscosityOf(glass), SETTING_LOG_ETA);

/** Upper glass's setting point less the lower one's, K. */
export const settingGap = ({ lower, upper }: Pick<Seal, 'lower' | 'upper'>): number => settingPoint(upper) - settingPoint(lower);

const biaxial = (glass: GlassConstants): number => glass.youngs_Pa / (1 - glass.poisson);

/** How much more the upper glass contracts than the lower one from where both are set. */
function mismatch({ lower, upper }: Seal): number {
  return (upper.expansion_perK - lower.expansion_perK) * (Math.min(settingPoint(lower), settingPoint(upper)) - ROOM_C);
}

/** Tension of the glass that is pulled, held flat: the difference shared by stiffness and thickness, Pa. */
export function sharedStress(seal: Seal): number {
  const below = biaxial(seal.lower) * seal.lower_m;
  const above = biaxial(seal.upper) * seal.upper_m;
  const force = (Math.abs(mismatch(seal)) * below * above) / (below + above);
  return force / (mismatch(seal) > 0 ? seal.upper_m : seal.lower_m);
}

/** Timoshenko's curvature of a free strip of two layers, 1/m; the sign of SealStress. */
export function timoshenkoBow(seal: Seal): number {
  const m = seal.lower_m / seal.upper_m;
  const n = biaxial(seal.lower) / biaxial(seal.upper);
  const h = seal.lower_m + seal.upper_m;
  return (-6 * mismatch(seal) * (1 + m) ** 2) / (h * (3 * (1 + m) ** 2 + (1 + m * n) * (m * m + 1 / (m * n))));
}

/** The full model's answer. */
export function sealStress({ lower, upper, lower_m, upper_m }: Seal): SealStress {
  const height_m = new Float64Array(2 * NODES_PER_GLASS);
  const glasses: GlassConstants[] = [];
  for (let i = 0; i < NODES_PER_GLASS; i += 1) {
    const share = i / (NODES_PER_GLASS - 1);
    height_m[i] = lower_m * share;
    height_m[NODES_PER_GLASS + i] = lower_m + upper_m * share;
  }
  for (let i = 0; i < 2 * NODES_PER_GLASS; i += 1) glasses.push(i < NODES_PER_GLASS ? lower : upper);
  const from_C = Math.max(lower.annealing_C, upper.annealing_C) + START_ABOVE_ANNEALING_K;
  const to_C = Math.max(ROOM_C, Math.min(lower.annealing_C, upper.annealing_C) - FROZEN_BELOW_ANNEALING_K);
  const temperature = new Float64Array(height_m.length).fill(from_C);
  const clock = { dt_s: STEP_K / SEAL_RATE_K_PER_S };
  const plates = (['free', 'flat'] as const).map((support) => plainPlate(glasses, height_m, temperature, support, clock));
  for (let T = from_C - STEP_K; T > to_C; T -= STEP_K) {
    temperature.fill(T);
    for (const plate of plates) plate.step();
  }
  const [free, flat] = plates.map((plate) => plate.residual(ROOM_C));
  return { tension_Pa: Math.max(0, ...free.stress_Pa), flat_Pa: Math.max(0, ...flat.stress_Pa), bow_perM: free.curvature_perM };
}
