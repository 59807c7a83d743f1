/** A glass as the engine takes it, with its legal ranges. */
import { differenceBothWays } from '../units/format';
import type { GlassConstants, RelaxationConstants } from '../glass/constants';
import { thresholdsOf } from '../glass/states';
import { A_RANGE, FLUID_POINT_LOG_ETA_AT_MOST, isPlausible, slopeOf, viscosityOf } from '../glass/viscosity';
import { glassySlope } from '../stress/relaxation';
import { z } from 'zod';
import { quantity } from './quantity';
import { schemaFor } from './schemaFor';

const spectrum = z
  .array(z.strictObject({ weight: quantity('Weight', '', 0, 1), ratio: quantity('Ratio', '', 1e-8, 1e4) }))
  .min(1)
  .max(12)
  .refine((terms) => Math.abs(terms.reduce((sum, { weight }) => sum + weight, 0) - 1) < 1e-3, { error: 'The weights of a spectrum must sum to 1.' })
  .readonly();

export const RelaxationSchema = schemaFor<RelaxationConstants>()(
  z
    .strictObject({
      stress: spectrum,
      structure: spectrum,
      structureOverStress: quantity('Structure over stress', '', 0.1, 100),
      nonLinearity: quantity('Non-linearity', '', 0.1, 1),
      activation_K: quantity('Activation', 'K', 1e4, 3e5).optional(),
    })
    .meta({ id: 'Relaxation' }),
);

const threshold = (state: string) => quantity(`log10 of the viscosity at which it ${state}`, 'Pa·s', 2, 16);

export const GlassConstantsSchema = schemaFor<GlassConstants>()(
  z
    .strictObject({
      expansion_perK: quantity('Expansion', '1/K', 1e-7, 3e-5),
      annealing_C: quantity('Annealing point', '°C', 200, 1200),
      softening_C: quantity('Softening point', '°C', 250, 1800),
      density_kg_m3: quantity('Density', 'kg/m³', 1500, 8000),
      youngs_Pa: quantity("Young's modulus", 'Pa', 1e9, 2e11),
      poisson: quantity("Poisson's ratio", '', 0, 0.45),
      conductivity_W_mK: quantity('Conductivity', 'W/(m·K)', 0.05, 50),
      heatCapacity_J_kgK: quantity('Heat capacity', 'J/(kg·K)', 200, 3000),
      surfaceTension_N_m: quantity('Surface tension', 'N/m', 0.05, 1),
      strain_C: quantity('Strain point', '°C', 150, 1150).optional(),
      fluidPoint: z
        .strictObject({
          temperature_C: quantity('Temperature of the fluid point', '°C', 500, 2000),
          logEta: quantity('log10 of its viscosity', 'Pa·s', 0.5, FLUID_POINT_LOG_ETA_AT_MOST),
        })
        .optional(),
      meltExpansion_perK: quantity('Expansion of the melt', '1/K', 1e-7, 2e-4).optional(),
      stressOptical_perPa: quantity('Stress-optical constant', '1/Pa', -1e-11, 1e-11).optional(),
      absorption_perM: quantity('Absorption of heat radiation', '1/m', 5, 1e5).optional(),
      haze: z
        .strictObject({
          middle_C: quantity('Middle of the hazing range', '°C', 300, 1500),
          halfWidth_K: quantity('Half width of the hazing range', 'K', 5, 200),
        })
        .optional(),
      hazeBears_s: quantity('Devitrification limit', 's', 60, 90 * 24 * 3600).optional(),
      thresholds: z
        .strictObject({
          anneals: threshold('anneals'),
          softens: threshold('softens'),
          bends: threshold('bends'),
          sticks: threshold('sticks'),
          levels: threshold('levels'),
          runs: threshold('runs'),
        })
        .partial()
        .optional(),
      relaxation: RelaxationSchema.optional(),
    })
    .meta({ id: 'GlassConstants' }),
);

/** The two viscosity points must be far enough apart to carry a curve. */
export const LEAST_SOFTENING_ABOVE_ANNEALING_K = 40;
/** The strain point lies this far under the annealing point at least, and at most. */
const STRAIN_BELOW_ANNEALING_K = { least: 5, most: 120 };

const falling = (list: number[]): boolean => list.every((value, i) => i === 0 || value < list[i - 1]);

/** Makes a schema of glasses refuse points that no viscosity curve passes through. */
export const onACurve = <T extends z.ZodType<GlassConstants>>(schema: T) =>
  schema
    .refine((glass) => glass.softening_C - glass.annealing_C >= LEAST_SOFTENING_ABOVE_ANNEALING_K, {
      path: ['softening_C'],
      error: `The softening point must lie at least ${differenceBothWays(LEAST_SOFTENING_ABOVE_ANNEALING_K)} above the annealing point.`,
    })
    .refine(
      ({ strain_C, annealing_C }) =>
        strain_C === undefined || (annealing_C - strain_C >= STRAIN_BELOW_ANNEALING_K.least && annealing_C - strain_C <= STRAIN_BELOW_ANNEALING_K.most),
      {
        path: ['strain_C'],
        error: `The strain point must lie ${differenceBothWays(STRAIN_BELOW_ANNEALING_K.least)} to ${differenceBothWays(STRAIN_BELOW_ANNEALING_K.most)} below the annealing point.`,
      },
    )
    .refine((glass) => falling(Object.values(thresholdsOf(glass))), {
      path: ['thresholds'],
      error: 'Each state must begin at a lower viscosity than the one before it: anneals, softens, bends, sticks, levels, runs.',
    })
    .refine((glass) => glass.relaxation === undefined || glassySlope(glass) <= slopeOf(viscosityOf(glass), glass.annealing_C) * (1 + 1e-9), {
      path: ['relaxation', 'activation_K'],
      error:
        "Non-linearity times activation must not exceed the viscosity curve's own slope at the annealing point: glass that froze hotter would be the stiffer one.",
    })
    .refine((glass) => glass.fluidPoint === undefined || isPlausible(viscosityOf(glass)), {
      path: ['fluidPoint'],
      error: `No viscosity curve with A from ${A_RANGE.least} to ${A_RANGE.most} passes through these three points; check the fluid point.`,
    });

export const GlassInputSchema = onACurve(GlassConstantsSchema).meta({ id: 'GlassInput' });
