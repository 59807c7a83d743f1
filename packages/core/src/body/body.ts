/**
 * Depth and mass of a body of even sheets, and the depth at which hot glass comes to rest.
 *
 * Natural depth: a wide puddle on a shelf it does not wet stands 2·√(γ/ρg)·sin(θ/2) deep (de Gennes, Brochard-
 * Wyart and Quéré, Capillarity and Wetting Phenomena, 2004), θ the contact angle on primer. Thinner bodies draw
 * in at the rim, thicker ones run out, given enough heat. It says nothing of how long that takes.
 */
import type { GlassConstants } from '../glass/constants';
import { type Footprint, footprintArea } from './footprint';

export interface SheetLayer {
  /** m. */
  thickness_m: number;
}

export interface BodyInput {
  glass: GlassConstants;
  /** Index 0 at the bottom. */
  layers: SheetLayer[];
  footprint: Footprint;
}

export type AtRest = 'draws-in' | 'stays' | 'runs-out';

export interface BodyFigures {
  depth: { min_m: number; mean_m: number; max_m: number };
  area_m2: number;
  volume_m3: number;
  mass_kg: number;
  afterFiring: { naturalDepth_m: number; tendency: AtRest };
  /** Greatest depth over mean depth; 1 for even sheets. */
  unevenness: number;
}

export const STANDARD_GRAVITY_m_s2 = 9.80665;

/** Contact angle of melt on a primed shelf, degrees; chosen so that soda-lime rests at about 6.5 mm. */
const CONTACT_ANGLE_ON_PRIMER_DEG = 136;

/** Within this share of the natural depth the rim hardly moves. */
const AT_REST_BAND = 0.12;

export function naturalDepth(glass: GlassConstants): number {
  const capillaryLength = Math.sqrt(glass.surfaceTension_N_m / (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2));
  return 2 * capillaryLength * Math.sin((CONTACT_ANGLE_ON_PRIMER_DEG * Math.PI) / 360);
}

export function bodyFigures({ glass, layers, footprint }: BodyInput): BodyFigures {
  const depth = layers.reduce((sum, layer) => sum + layer.thickness_m, 0);
  const area = footprintArea(footprint);
  const volume = area * depth;
  const rest = naturalDepth(glass);
  const tendency: AtRest = depth < rest * (1 - AT_REST_BAND) ? 'draws-in' : depth > rest * (1 + AT_REST_BAND) ? 'runs-out' : 'stays';
  return {
    depth: { min_m: depth, mean_m: depth, max_m: depth },
    area_m2: area,
    volume_m3: volume,
    mass_kg: volume * glass.density_kg_m3,
    afterFiring: { naturalDepth_m: rest, tendency },
    unevenness: 1,
  };
}
