/** All that a schedule is computed from, apart from the segments themselves. */
import type { BodyInput } from '../body/body';
import { footprintSpan } from '../body/footprint';
import type { Face } from '../heat/exchange';
import type { SimulationInput } from '../heat/simulate';
import type { StackLayer } from '../heat/stack';
import { type KilnConstants, acrossLag } from '../kiln/kiln';
import type { Limits } from './limits';
import type { Segment } from './segment';

export interface SetUp {
  /** What lies under the glass; index 0 at the bottom. */
  below: Extract<StackLayer, { of: 'support' }>[];
  faces: { top: Face; bottom: Face };
}

/** Where practitioners differ. 'auto' takes the lower soak for thick bodies. */
export interface School {
  soak: 'auto' | 'annealing' | 'lower';
  heat: 'cooler' | 'hotter';
}

export interface Body extends BodyInput {
  /** Sheets fused before are one solid; fresh ones bear each its own difference. */
  joined: boolean;
}

export interface FiringCase {
  body: Body;
  setup: SetUp;
  kiln: KilnConstants;
  look: 'fullFuse';
  school: School;
  limits: Limits;
}

export const DEFAULT_SCHOOL: School = { soak: 'auto', heat: 'cooler' };

/**
 * A primed 16 mm cordierite shelf on low posts. Its underside sees a floor that lags behind the chamber, so it
 * exchanges less than half of what an open face does; a reading under the shelf replaces this.
 */
export const BARE_SHELF: SetUp = {
  below: [{ of: 'support', thickness_m: 0.016, conductivity_W_mK: 1.5, density_kg_m3: 2000, heatCapacity_J_kgK: 1050 }],
  faces: {
    top: { kind: 'open', emissivity: 0.9, convection_W_m2K: 5 },
    bottom: { kind: 'open', emissivity: 0.4, convection_W_m2K: 0 },
  },
};

export const bodyDepth = (body: BodyInput): number => body.layers.reduce((sum, layer) => sum + layer.thickness_m, 0);
export const thickestSheet = (body: BodyInput): number => Math.max(...body.layers.map((layer) => layer.thickness_m));

export function simulationOf(firing: FiringCase, segments: readonly Segment[], series = false): SimulationInput {
  const { body, setup, kiln, limits } = firing;
  return {
    glass: body.glass,
    stack: [...setup.below, ...body.layers.map(({ thickness_m }): StackLayer => ({ of: 'glass', thickness_m }))],
    faces: setup.faces,
    segments,
    kiln,
    acrossLag_s: acrossLag(kiln, footprintSpan(body.footprint)),
    looseSheets: !body.joined,
    evenWithin_K: limits.even_K,
    series,
  };
}
