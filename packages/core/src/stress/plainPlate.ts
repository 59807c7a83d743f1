/** The plate of plate.ts by plain steps: of several glasses, and where nothing is compiled. */
import type { GlassConstants } from '../glass/constants';
import { type Support, balance, evenedOut, leversOf } from './balance';
import type { BodyStress, StressState } from './bodyStress';
import { maxwellOf } from './maxwell';
import { structureOf } from './structure';

/** One glass, or one for every node, as plateStress takes them. */
export function plainPlate(
  glass: GlassConstants | readonly GlassConstants[],
  height_m: Float64Array,
  temperature: Float64Array,
  support: Support,
  clock: { dt_s: number },
): BodyStress & { readonly stress_Pa: Float64Array } {
  const n = height_m.length;
  const glasses: readonly GlassConstants[] = 'length' in glass ? glass : [glass];
  const structure = structureOf(glasses, temperature, clock);
  const { strain: own, materials } = structure;
  const moduli = Float64Array.from(materials, ({ modulus }) => modulus);
  const biaxial = maxwellOf(glasses[0], structure, moduli);
  const { stress, stiffness, carried } = biaxial;
  const depth = leversOf(height_m);
  const { arm } = depth;
  /** What the step's balance gives, uniform and per height, and the curvature taken on so far. */
  const bow = { strain: 0, bend: 0, curvature: 0 };

  const self = {
    stress_Pa: stress,
    tension_Pa: 0,
    step() {
      structure.step();
      self.tension_Pa = 0;
      // A step that only heats the plate from fluid to fluid has nothing to balance.
      if (structure.allFluid) {
        biaxial.melt();
        return;
      }
      biaxial.relax();
      balance(depth, support, stiffness, carried, own, bow);
      bow.curvature += bow.bend;
      const { strain, bend } = bow;
      let greatest = 0;
      for (let i = 0; i < n; i += 1) {
        biaxial.take(i, strain + bend * arm[i] - own[i]);
        if (stress[i] > greatest) greatest = stress[i];
      }
      self.tension_Pa = greatest;
    },
    residual(room_C: number) {
      const shrinks = Float64Array.from(materials, ({ solid }, i) => solid * (room_C - temperature[i]));
      return evenedOut(depth, support, moduli, stress, shrinks, bow.curvature);
    },
    save: () => ({ structure: structure.save(), components: [biaxial.save()], curvature_perM: bow.curvature }),
    restore(state: StressState) {
      structure.restore(state.structure);
      biaxial.restore(state.components[0]);
      bow.curvature = state.curvature_perM;
    },
  };
  return self;
}
