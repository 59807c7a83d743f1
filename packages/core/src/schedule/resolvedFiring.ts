/** A firing with what follows from it before any segment is known: resolved once and handed on. */
import type { WorkRange } from '../flow/heatWork';
import type { GlassConstants } from '../glass/constants';
import type { Vft } from '../glass/viscosity';
import type { OpenFaces } from '../heat/quasiSteady';
import type { Regimes } from '../heat/regimes';
import type { Shape } from '../heat/stack';
import type { Outcome } from '../problem';
import type { FiringCase } from './firingCase';
import type { Stand } from './setups';
import type { Uneven } from './uneven';

export interface ResolvedFiring extends FiringCase {
  glass: GlassConstants;
  viscosity: Vft;
  regimes: Regimes;
  shape: Shape;
  /** What it is cooled as: a casting may end slender. */
  firedShape: Shape;
  /** Faces by which it is known to cool. */
  openFaces: OpenFaces;
  /** The heat work that it needs and bears, 1/Pa; refused where no heat work gives the look. */
  work_perPa: Outcome<WorkRange>;
  /** What of that is a factor that firings have taught. */
  workFactor: number;
  /** Tension that warming may make in it, Pa: less where stress is in it already, which the hold then relaxes. */
  warmPull_Pa: number;
  /** Work, 1/Pa, that the squeeze must do before the rim seals; 0 where nothing has to lie down. */
  squeeze_perPa: number;
  /** Depths of the layers that heat flows through while the body is as it was laid, index 0 at the bottom, stretched to the design depth, m. */
  layers_m: number[];
  /** laid: as it was put together, where it is deepest; heated: what bears its own difference while it is heated; fired: what is cooled. */
  depth_m: Depths;
  /** Core-to-skin lag of each depth, s. */
  lag_s: Depths;
  /** Top to underside of a slender casting that lies on its side, per K/s, s: it takes its heat from above; 0 for all else. */
  sidesLag_s: number;
  /** Difference across per K/s of the glass's rate, s: of the narrow side, from whose edges its middle is warmed and cooled. */
  acrossLag_s: number;
  /** What it lies on: a shelf that is told, else one no larger than the glass is before or after. */
  stand: Stand;
  /** Whether it may differ through itself as it likes once it is past brittle: loose grains and lumps until they run together, and small work whose bare coating must not linger. */
  mayDiffer: boolean;
  /** Whether it cools as another body than it was heated as: having run level, or by its field. */
  changes: boolean;
  /** How it cools where it is no even plate; null where it is, or is a cylinder or a sphere. */
  uneven: Uneven | null;
}

interface Depths {
  laid: number;
  heated: number;
  fired: number;
}
