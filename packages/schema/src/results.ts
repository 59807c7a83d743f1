/** What the engine answers of a firing: figures, residual stress, readings. Kept with every schedule version. */
import { z } from 'zod';

const SegmentFiguresSchema = z.object({
  end_s: z.number(),
  deltaT_max: z.number().meta({ description: 'Core to skin, K' }),
  deltaT_end: z.number(),
  spread_end: z.number().meta({ description: 'Through plus across, K' }),
  tension_max_Pa: z.number().meta({ description: 'Elastic, free to bow, with the across difference restrained; while brittle' }),
  spread_climbing: z.number(),
  spread_setting: z.number(),
  heatWork: z.number().meta({ description: '1/Pa, at the mean temperature of the glass' }),
  heatWorkUnder: z.number(),
  heatWorkTop: z.number(),
  squeezeWork: z.number(),
  reliefLeft: z.number().nullable().meta({ description: 'Share of the relief left at the end; null where no parts are followed' }),
  haze_s: z.number().meta({ description: 'Seconds of haze at its worst' }),
  coating_s: z.number().meta({ description: 'Time in which a bare coating can lift' }),
  relaxations: z.number(),
  stress_max_Pa: z.number().nullable().meta({ description: 'Greatest tension by the full model; null where stress is not followed' }),
  stressKept_Pa: z.number().nullable().meta({ description: 'Tension that would stay after an even cool from here' }),
  stressGained_Pa: z.number().nullable().meta({ description: 'What this segment added to it' }),
  kilnBest_C_per_h: z.number().nullable(),
  glassEnd_C: z.number(),
  glassColdestEnd_C: z.number(),
});

const numbers = z.array(z.number());
const profile = z.array(z.object({ z_m: z.number(), stress_Pa: z.number() }));

export const SimulationResultSchema = z.object({
  segments: z.array(SegmentFiguresSchema),
  total_s: z.number(),
  steps: z.number().int(),
  stepError_K: z.number().meta({ description: 'Greatest error of a step by its own estimate; 0 with fixed steps' }),
  energy: z.object({ stored_J_m2: z.number(), crossed_J_m2: z.number() }),
  stalled: z.object({ segment: z.number().int(), at_C: z.number() }).nullable(),
  residual: profile.optional().meta({ description: 'Through the depth at room temperature, tension positive; asked for with stress' }),
  residualFlat: profile.optional().meta({ description: 'The same held flat: the upper bound' }),
  bow_perM: z.number().optional(),
  estimates: z
    .array(z.object({ formula: z.string(), stress_Pa: z.number() }))
    .optional()
    .meta({ description: 'Quick estimates, named by formula' }),
  series: z
    .object({
      t_s: numbers,
      kiln_C: numbers,
      skin_C: numbers,
      core_C: numbers,
      joints: z.array(z.object({ rampEnd: z.number().int(), holdEnd: z.number().int() })),
    })
    .optional(),
});

export const ReadingSchema = z.object({
  limit: z.enum([
    'kilnTop',
    'kilnPace',
    'pull',
    'climbing',
    'squeeze',
    'coating',
    'haze',
    'workLeast',
    'workMost',
    'even',
    'relaxed',
    'soakTime',
    'setting',
    'residual',
    'opening',
  ]),
  segment: z.number().int(),
  value: z.number(),
  allowed: z.number(),
  sense: z.enum(['atMost', 'atLeast']),
  unit: z.enum(['C', 'K', 'K/h', 'Pa', '1/Pa', 's', '1']),
  ok: z.boolean(),
  band: z.object({ shown: z.number(), least: z.number(), most: z.number() }).optional().meta({ description: 'Heat work as shares of what the look aims at' }),
});

export const EvaluationSchema = z.object({
  simulation: SimulationResultSchema,
  readings: z.array(ReadingSchema),
  work: z.object({ least: z.number(), mean: z.number(), most: z.number() }),
});
