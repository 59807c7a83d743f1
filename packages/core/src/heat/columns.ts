/**
 * A joined body that is thick in one place and thin in another: its columns warm and cool at paces of their own, and what the one
 * runs ahead of the other pulls. Both are followed in the same kiln on the same support. Through the support and through the thin
 * glass heat goes from one to the other: taken in evenly by the one and given off by the other, w from middle to middle, it leaves their
 * means w²/(12κ) times its rate apart. On the careful side: a computation in depth and width finds up to 15 % and a kelvin less.
 */
import type { GlassConstants } from '../glass/constants';
import type { Drive } from './drive';
import { heatSolver } from './heatSolver';
import type { Faces, HeatSolverState } from './solver';
import { type StackLayer, meshOf } from './stack';

export interface UnlikeColumns {
  /** Depths of glass, m. */
  thick_m: number;
  thin_m: number;
  /** From the middle of the one to the middle of the other, m. */
  apart_m: number;
}

/** Only means are wanted, which a coarse mesh tells to a hundredth of the difference. */
const COLUMN_INTERVALS = 10;

/** w²/κ over what a steady exchange leaves between two means. */
const MEANS_APART = 12;

export interface Columns {
  /** By what the means of the columns lie apart, K, positive. */
  apart_K: number;
  /** Takes a step that the whole body has taken. */
  step(): void;
  save(): HeatSolverState[];
  restore(state: readonly HeatSolverState[]): void;
  /** Not to be used from here on. */
  release(): void;
}

/** stack: of the body; its layers of glass are replaced by one of each depth. What lies over it across open air is left to the faces. */
export function columnsOf(
  { thick_m, thin_m, apart_m }: UnlikeColumns,
  stack: readonly StackLayer[],
  glass: GlassConstants,
  faces: Faces,
  start_C: number,
  drive: Drive,
): Columns {
  const openFrom = stack.findIndex(({ of }) => of === 'air');
  const under = (openFrom < 0 ? stack : stack.slice(0, openFrom)).filter(({ of }) => of === 'support');
  const meshes = [thick_m, thin_m].map((thickness_m) => meshOf([...under, { of: 'glass', thickness_m }], glass, { glassIntervals: COLUMN_INTERVALS }));
  const [thick, thin] = meshes.map((mesh) => heatSolver(mesh, faces, start_C, drive));
  const [ofThick, ofThin] = meshes.map(({ capacity }) => capacity);
  const { glassFrom, glassTo, glassShare, conductance, height_m } = meshes[1];

  /** Share of its way to the neighbour's temperature that each node of the thick column would go in a second if it went on alike, and of the thin one. */
  const toThin_Hz = new Float64Array(ofThin.length);
  const toThick_Hz = new Float64Array(ofThin.length);
  for (let i = 0; i < ofThin.length; i += 1) {
    // Half of each interval beside the node, which conducts k times its height.
    let across = 0;
    for (const at of [i - 1, i]) if (at >= 0 && at < conductance.length) across += (conductance[at] * (height_m[at + 1] - height_m[at]) ** 2) / 2;
    const passes = (MEANS_APART * across) / (2 * apart_m ** 2);
    toThin_Hz[i] = passes / ofThick[i];
    toThick_Hz[i] = passes / ofThin[i];
  }

  /** Heat goes across for half of the step: once before each column takes it and once after, which keeps the whole of second order. */
  function exchangeHalf(): void {
    for (let i = 0; i < ofThin.length; i += 1) {
      const pace = toThin_Hz[i] + toThick_Hz[i];
      const evened = ((thick.temperature[i] - thin.temperature[i]) * (1 - Math.exp((-pace * drive.dt_s) / 2))) / pace;
      thick.temperature[i] -= evened * toThin_Hz[i];
      thin.temperature[i] += evened * toThick_Hz[i];
    }
  }

  const self: Columns = {
    apart_K: 0,
    step() {
      exchangeHalf();
      thick.step();
      thin.step();
      exchangeHalf();
      let apart = 0;
      for (let i = glassFrom; i <= glassTo; i += 1) apart += glassShare[i - glassFrom] * (thick.temperature[i] - thin.temperature[i]);
      self.apart_K = Math.abs(apart);
    },
    save: () => [thick.save(), thin.save()],
    restore: ([ofThickState, ofThinState]) => {
      thick.restore(ofThickState);
      thin.restore(ofThinState);
    },
    release() {
      thick.release();
      thin.release();
    },
  };
  return self;
}
