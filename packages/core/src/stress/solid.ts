/**
 * Stress in a long cylinder with free ends, or in a sphere, through a firing. Temperature and stress go by the radius alone. What
 * changes the form relaxes as in a plate, what changes the volume stays elastic (Timoshenko and Goodier, Theory of Elasticity,
 * §151 and §152, has the elastic forms). Tension positive, Pa.
 *
 * Displacements are linear between the nodes, strains are taken in the middle of each shell: exact for even strain, and a fluid
 * core, which hardly resists a change of form but all of a change of volume, does not lock it.
 *
 * What it cannot show: the ends of a cylinder, and sides that are warmed unequally.
 */
import type { GlassConstants } from '../glass/constants';
import { shearModulus } from '../glass/constants';
import { maxwellOf } from './maxwell';
import type { BodyStress, StressState } from './bodyStress';
import { structureOf } from './structure';

/** In the middle of a shell: radial, round about, and along a cylinder. A sphere has the second twice. */
const RADIAL = 0;
const ROUND = 1;
const ALONG = 2;
const TIMES = { cylinder: [1, 1, 1], sphere: [1, 2] } as const;

/**
 * radius_m: from 0 at the middle outwards. Stress is told along a cylinder and round about in a sphere: what pulls hardest in the
 * middle and presses hardest at the skin. temperature, °C at the nodes, is read after every step.
 */
export function solidStress(
  glass: GlassConstants,
  radius_m: Float64Array,
  temperature: Float64Array,
  shape: 'cylinder' | 'sphere',
  clock: { dt_s: number },
): BodyStress {
  const shells = radius_m.length - 1;
  const times = TIMES[shape];
  const isLong = shape === 'cylinder';
  const told = isLong ? ALONG : ROUND;
  const middle = Float64Array.from({ length: shells }, (_, e) => (radius_m[e] + radius_m[e + 1]) / 2);
  const height = Float64Array.from({ length: shells }, (_, e) => radius_m[e + 1] - radius_m[e]);
  /** Volume of each shell, as it is in its middle, but for a factor of all: so a body under even pressure is in balance at every node. */
  const volume = Float64Array.from(middle, (r, e) => (isLong ? r : r * r) * height[e]);
  const inShell = new Float64Array(shells);
  const structure = structureOf([glass], readTemperature(), clock);
  const { strain: own } = structure;
  const shear2_Pa = 2 * shearModulus(glass);
  const bulk_Pa = glass.youngs_Pa / (3 * (1 - 2 * glass.poisson));
  const stiff = new Float64Array(shells).fill(shear2_Pa);
  const form = times.map(() => maxwellOf(glass, structure, stiff));
  /** What changes the volume, all sides alike: stays. */
  const even = new Float64Array(shells);
  /** What the step moves: nodes outwards, and the length of a cylinder. */
  const moves = new Float64Array(shells + 1);
  const bow = { along: 0 };
  const strains = new Float64Array(3);
  const now = new Float64Array(shells);

  const diagonal = new Float64Array(shells + 1);
  const beside = new Float64Array(shells + 1);
  const right = new Float64Array(shells + 1);
  const border = new Float64Array(shells + 1);

  function readTemperature(): Float64Array {
    for (let e = 0; e < shells; e += 1) inShell[e] = (temperature[e] + temperature[e + 1]) / 2;
    return inShell;
  }

  /**
   * Finds how the nodes move so that every shell is in balance with its neighbours, the outside is free, and no force runs along a
   * cylinder. stiffness against a change of form, Pa; carry: what each component has of it; free: what each shell would strain by.
   */
  function balance(stiffness: Float64Array, carry: readonly Float64Array[], free: Float64Array): void {
    diagonal.fill(0);
    beside.fill(0);
    right.fill(0);
    border.fill(0);
    let longDiagonal = 0;
    let longRight = 0;
    for (let e = 0; e < shells; e += 1) {
      const s = stiffness[e];
      const lame = bulk_Pa - s / 3;
      const w = volume[e];
      const round = 1 / (2 * middle[e]);
      const across = 1 / height[e];
      const inner = times[ROUND] * round - across;
      const outer = times[ROUND] * round + across;
      const turned = s * times[ROUND] * round * round;
      diagonal[e] += w * (s * across * across + turned + lame * inner * inner);
      diagonal[e + 1] += w * (s * across * across + turned + lame * outer * outer);
      beside[e] += w * (turned - s * across * across + lame * inner * outer);
      const pulls = even[e] - 3 * bulk_Pa * free[e];
      const ofRadial = carry[RADIAL][e] + pulls;
      const ofRound = times[ROUND] * (carry[ROUND][e] + pulls);
      right[e] -= w * (ofRound * round - ofRadial * across);
      right[e + 1] -= w * (ofRound * round + ofRadial * across);
      if (isLong) {
        border[e] += w * lame * inner;
        border[e + 1] += w * lame * outer;
        longDiagonal += w * (s + lame);
        longRight -= w * (carry[ALONG][e] + pulls);
      }
    }
    // The middle stays where it is; the rest is eliminated from it outwards, with the cylinder's length as a second right side.
    for (let i = 2; i <= shells; i += 1) {
      const share = beside[i - 1] / diagonal[i - 1];
      diagonal[i] -= share * beside[i - 1];
      right[i] -= share * right[i - 1];
      border[i] -= share * border[i - 1];
    }
    bow.along = 0;
    if (isLong) {
      for (let i = 1; i <= shells; i += 1) {
        longDiagonal -= border[i] ** 2 / diagonal[i];
        longRight -= (border[i] * right[i]) / diagonal[i];
      }
      bow.along = longRight / longDiagonal;
    }
    moves[0] = 0;
    for (let i = shells; i >= 1; i -= 1) {
      const next = i < shells ? beside[i] * moves[i + 1] : 0;
      moves[i] = (right[i] - border[i] * bow.along - next) / diagonal[i];
    }
  }

  /** What a shell strains by, by component, without what changes its volume, which is handed back. */
  function strained(e: number): number {
    strains[RADIAL] = (moves[e + 1] - moves[e]) / height[e];
    strains[ROUND] = (moves[e + 1] + moves[e]) / (2 * middle[e]);
    strains[ALONG] = bow.along;
    let grows = 0;
    for (let c = 0; c < times.length; c += 1) grows += times[c] * strains[c];
    for (let c = 0; c < times.length; c += 1) strains[c] -= grows / 3;
    return grows;
  }

  /** From the middles of the shells to the nodes: between them on the mean, at either end straight on. */
  function atNodes(shell: Float64Array): Float64Array {
    const last = shells - 1;
    return Float64Array.from(radius_m, (_, i) => {
      if (i === 0) return shell[0] + (shell[0] - shell[Math.min(1, last)]) / 2;
      if (i > last) return shell[last] + (shell[last] - shell[Math.max(0, last - 1)]) / 2;
      return (shell[i - 1] + shell[i]) / 2;
    });
  }

  const self: BodyStress = {
    tension_Pa: 0,
    step() {
      readTemperature();
      structure.step();
      self.tension_Pa = 0;
      if (structure.allFluid) {
        form.forEach((one) => one.melt());
        even.fill(0);
        return;
      }
      form.forEach((one) => one.relax());
      const { stiffness } = form[0];
      balance(
        stiffness,
        form.map(({ carried }) => carried),
        own,
      );
      let greatest = 0;
      for (let e = 0; e < shells; e += 1) {
        even[e] += bulk_Pa * (strained(e) - 3 * own[e]);
        for (let c = 0; c < times.length; c += 1) {
          form[c].take(e, strains[c]);
          const pulls = form[c].stress[e] + even[e];
          if (pulls > greatest) greatest = pulls;
        }
      }
      self.tension_Pa = greatest;
    },
    residual(room_C) {
      const shrinks = Float64Array.from(inShell, (at_C) => glass.expansion_perK * (room_C - at_C));
      balance(
        stiff,
        form.map(({ stress }) => stress),
        shrinks,
      );
      for (let e = 0; e < shells; e += 1) {
        const grows = strained(e);
        now[e] = form[told].stress[e] + shear2_Pa * strains[told] + even[e] + bulk_Pa * (grows - 3 * shrinks[e]);
      }
      return { stress_Pa: atNodes(now), curvature_perM: 0 };
    },
    save: () => ({ structure: structure.save(), components: form.map((one) => one.save()).concat([[even.slice()]]), curvature_perM: 0 }),
    restore(state: StressState) {
      structure.restore(state.structure);
      form.forEach((one, c) => one.restore(state.components[c]));
      even.set(state.components[times.length][0]);
    },
  };
  return self;
}
