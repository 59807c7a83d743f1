/** Stress in a body through a firing, step by step, whichever body that is. Tension positive, Pa. */
import type { Residual } from './balance';

/** All that a body under stress remembers between two steps. */
export interface StressState {
  structure: Float64Array[];
  /** Of each component of stress. */
  components: Float64Array[][];
  curvature_perM: number;
}

export interface BodyStress {
  /** Takes the temperatures after a step of the clock's length; nodes as given. */
  step(): void;
  /** Stress at each node once all of it is at room_C, Pa; the body itself goes on as it was. */
  residual(room_C: number): Residual;
  /** Greatest tension now, Pa. */
  tension_Pa: number;
  save(): StressState;
  restore(state: StressState): void;
  /** It is not asked any more: what it took may serve the next one. */
  release?(): void;
}
