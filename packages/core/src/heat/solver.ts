/** What a solver of transient conduction through a stack offers, whichever way it computes. */
import type { Face } from './exchange';

export interface Faces {
  top: Face;
  bottom: Face;
}

export interface HeatSolver {
  /** Temperatures of the nodes, °C; changed in place by step. */
  readonly temperature: Float64Array;
  /** Between node i and i+1, W/(m²K), at first the mesh's own; may be changed between two steps. */
  readonly conductance: Float64Array;
  /** Heat that has crossed both faces inwards so far, J/m². */
  readonly crossed_J_m2: number;
  /** Advances by the drive's step while the kiln goes linearly from one of its temperatures to the other. */
  step(): void;
  /** Estimate of the last step's own error, K. */
  readonly error_K: number;
  /** Takes the last step back; once. */
  undo(): void;
  save(): HeatSolverState;
  restore(state: HeatSolverState): void;
  /** Follows some of the nodes; one to a solver. */
  gauge(weights: GaugeWeights): Gauge;
  /** Its memory may serve another: it is not to be used from here on. */
  release(): void;
}

/** What sets conductances by temperatures needs of a solver. */
export type Conducting = Pick<HeatSolver, 'temperature' | 'conductance'>;

export interface GaugeWeights {
  /** The first node it follows. */
  from: number;
  /** Of each node: its share of the mean, its height over the middle, m, and what its temperature adds to the slope, 1/m. */
  share: Float64Array;
  arm: Float64Array;
  armShare: Float64Array;
}

/** Where a gauge tells what: coldest, hottest and mean, °C, the slope of the straight part, K/m, and what findPull found, K. */
export const TOLD = { low: 0, high: 1, mean: 2, slope: 3, pull: 4 } as const;

export interface Gauge {
  /** As TOLD says, after every step. */
  readonly told: Float64Array;
  /** Finds by how much a node lies under the straight line of mean and slope, at most. */
  findPull(): void;
}

/** All that a solver remembers between two steps. */
export interface HeatSolverState {
  temperature: Float64Array;
  memory: Float64Array;
  crossed_J_m2: number;
}
