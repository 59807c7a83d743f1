/**
 * Clear thick glass also conducts by radiation within itself. Two bands: beyond some 2.75 µm every glass is opaque, below it lets
 * through what it does not absorb. There, every wave length alike and by the P1 approximation, k = (16/3)·n²σT³·f(T)/(β + (4/3L)(1/ε₁ + 1/ε₂ − 1)):
 * Rosseland's diffusion where it is many absorption lengths deep, faces that see each other where it is thin (Modest, Radiative Heat
 * Transfer; Deissler 1964, J. Heat Transfer 86, 240). f: what share of 4σT³ falls into the band. Of a free face only what leaves within
 * the critical angle counts: (1 − ρ)/n². Off where a glass does not tell its absorption: the careful side.
 */
import type { GlassConstants } from '../glass/constants';
import { KELVIN_AT_0_C, STEFAN_BOLTZMANN_W_m2K4 } from '../units/physical';
import type { Conducting } from './solver';
import type { Mesh } from './stack';

const REFRACTION = 1.5;
/** From there on no glass lets anything through, m. */
const OPAQUE_FROM_M = 2.75e-6;
/** Second constant of radiation, m·K. */
const SECOND_CONSTANT_mK = 0.014387769;
/** Of a free face, seen from within: 1 − ρ of all that leaves, over n². That at a mould is higher, which is not counted. */
const INNER_EMISSIVITY = 0.4;
const FACES = 2 / INNER_EMISSIVITY - 1;
const SERIES_TERMS = 12;

/** What share of a small change of a black body's radiation falls below OPAQUE_FROM_M: Planck's series and its slope. */
export function transparentShare(kelvin: number): number {
  const x = SECOND_CONSTANT_mK / (OPAQUE_FROM_M * kelvin);
  let below = 0;
  for (let n = 1; n <= SERIES_TERMS; n += 1) below += (Math.exp(-n * x) / n) * (x ** 3 + (3 * x ** 2) / n + (6 * x) / n ** 2 + 6 / n ** 3);
  return (15 / Math.PI ** 4) * (below + x ** 4 / Math.expm1(x) / 4);
}

/** Hotter than this nothing is fired, K. */
const HOTTEST_K = 2000;
/** T³ times the share that is let through, for each kelvin; asked for in every step. */
let passes: Float64Array | null = null;

function passesAt(kelvin: number): number {
  passes ??= Float64Array.from({ length: HOTTEST_K + 1 }, (_, own) => (own === 0 ? 0 : own ** 3 * transparentShare(own)));
  const below = Math.min(Math.floor(kelvin), HOTTEST_K - 1);
  return passes[below] + (passes[below + 1] - passes[below]) * (kelvin - below);
}

/** What radiation adds to the conductivity of glass at a temperature and of a depth, W/(m·K). */
export function radiantConductivity({ absorption_perM }: Pick<GlassConstants, 'absorption_perM'>, at_C: number, depth_m: number): number {
  if (absorption_perM === undefined) return 0;
  const path = absorption_perM + (4 * FACES) / (3 * depth_m);
  return ((16 / 3) * REFRACTION ** 2 * STEFAN_BOLTZMANN_W_m2K4 * passesAt(at_C + KELVIN_AT_0_C)) / path;
}

/** Sets the conductances of the glass for the step that comes; nothing where its absorption is not told. deep_m: where it stands for a body of another depth. */
export function clearGlass(mesh: Mesh, glass: GlassConstants, { temperature, conductance }: Conducting, deep_m?: number): { prepare(): void } {
  const { sheets, height_m } = mesh;
  if (glass.absorption_perM === undefined) return { prepare: () => undefined };
  const cold = conductance.slice();
  return {
    prepare() {
      for (const [first, last] of sheets) {
        const depth_m = deep_m ?? height_m[last] - height_m[first];
        for (let i = first; i < last; i += 1) {
          const added = radiantConductivity(glass, (temperature[i] + temperature[i + 1]) / 2, depth_m);
          conductance[i] = cold[i] * (1 + added / glass.conductivity_W_mK);
        }
      }
    },
  };
}
