/**
 * Clear thick glass also conducts by radiation within itself: by Rosseland's diffusion 16n²σT³/(3β) where it is many absorption
 * lengths deep, and less where its faces are near (Deissler 1964, J. Heat Transfer 86, 240, as one sum of both resistances). Under
 * 500 °C what passes lies within the conductivity that is measured. Off where a glass does not tell its absorption: the careful side.
 */
import type { GlassConstants } from '../glass/constants';
import { KELVIN_AT_0_C, STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';
import type { Conducting } from './solver';
import type { Mesh } from './stack';

const FROM_K = 500 + KELVIN_AT_0_C;
const REFRACTION = 1.5;
/** Two faces of emissivity 0.9. */
const FACES = 2 / 0.9 - 1;

/** What radiation adds to the conductivity of glass at a temperature and of a depth, W/(m·K). */
export function radiantConductivity({ absorption_perM }: GlassConstants, at_C: number, depth_m: number): number {
  if (absorption_perM === undefined) return 0;
  const kelvin = at_C + KELVIN_AT_0_C;
  if (kelvin <= FROM_K) return 0;
  const path = absorption_perM + (4 * FACES) / (3 * depth_m);
  return ((16 / 3) * REFRACTION ** 2 * STEFAN_BOLTZMANN_W_m2K4 * (kelvin ** 3 - FROM_K ** 3)) / path;
}

/** Sets the conductances of the glass for the step that comes; nothing where its absorption is not told. */
export function clearGlass(mesh: Mesh, glass: GlassConstants, { temperature, conductance }: Conducting): { prepare(): void } {
  const { sheets, height_m } = mesh;
  if (glass.absorption_perM === undefined) return { prepare: () => undefined };
  const cold = conductance.slice();
  return {
    prepare() {
      for (const [first, last] of sheets) {
        const depth_m = height_m[last] - height_m[first];
        for (let i = first; i < last; i += 1) {
          const added = radiantConductivity(glass, (temperature[i] + temperature[i + 1]) / 2, depth_m);
          conductance[i] = cold[i] * (1 + added / glass.conductivity_W_mK);
        }
      }
    },
  };
}
