/** What the engine answers of a firing: figures, residual stress, readings. Kept with every schedule version. */
import { z } from 'zod';
import { count, figure } from './quantity';

const SegmentFiguresSchema = z.object({
  end_s: figure('s'),
  deltaT_max_K: figure('K', 'Core–surface difference'),
  deltaT_end_K: figure('K', 'Core–surface difference at its end'),
  spread_end_K: figure('K', 'Through plus across'),
  tension_max_Pa: figure(
    'Pa',
    'Elastic, free to bow. With a held share of the straight part, and the differences across and from thick to thin; while brittle',
  ),
  spread_climbing_K: figure('K', 'Greatest difference while it climbs'),
  spread_setting_K: figure('K', 'Greatest difference while it sets'),
  heatWork_perPa: figure('1/Pa', 'At the mean temperature of the glass'),
  heatWorkUnder_perPa: figure('1/Pa', 'At its underside'),
  heatWorkTop_perPa: figure('1/Pa', 'At its top'),
  squeezeWork_perPa: figure('1/Pa', 'Before the rim seals'),
  reliefLeft: figure('', 'Share of the relief left at the end; null where no parts are followed').nullable(),
  haze_s: figure('s', 'Haze, as time at its worst'),
  coating_s: figure('s', 'Time in which a bare coating can lift'),
  relaxations: figure('', 'Relaxation times passed'),
  stress_max_Pa: figure('Pa', 'Greatest tension by the full model; null where stress is not followed').nullable(),
  stressKept_Pa: figure('Pa', 'Tension that would stay after an even cool from here').nullable(),
  stressGained_Pa: figure('Pa', 'What this segment added to it').nullable(),
  kilnBest_C_per_h: figure('°C/h', 'What the kiln can do there').nullable(),
  glassEnd_C: figure('°C'),
  glassColdestEnd_C: figure('°C'),
});

const celsius = z.array(figure('°C'));
const profile = z.array(z.object({ z_m: figure('m', 'From the bottom up'), stress_Pa: figure('Pa', 'Tension positive') }));

export const SimulationResultSchema = z
  .object({
    segments: z.array(SegmentFiguresSchema),
    total_s: figure('s'),
    steps: count('Steps of time taken'),
    stepError_K: figure('K', 'Greatest error of a step by its own estimate; 0 with fixed steps'),
    energy: z.object({ stored_J_m2: figure('J/m²'), crossed_J_m2: figure('J/m²') }),
    stalled: z.object({ segment: count(), at_C: figure('°C') }).nullable(),
    residual: profile.optional().meta({ description: 'Through the depth at room temperature, tension positive; asked for with stress' }),
    residualFlat: profile.optional().meta({ description: 'The same held flat: the upper bound' }),
    bow_perM: figure('1/m').optional(),
    estimates: z
      .array(z.object({ formula: z.string(), stress_Pa: figure('Pa') }))
      .optional()
      .meta({ description: 'Quick estimates, named by formula' }),
    series: z
      .object({
        t_s: z.array(figure('s')),
        kiln_C: celsius,
        skin_C: celsius,
        core_C: celsius,
        joints: z.array(z.object({ rampEnd: count(), holdEnd: count() })),
      })
      .optional(),
  })
  .meta({ id: 'SimulationResult' });

/** Constants of a kiln that a fit tells. */
export const fittedKiln = {
  power_K_per_s: figure('K/s'),
  loss_per_s: figure('1/s'),
  radiantLoss_per_K3_s: figure('1/(K³·s)'),
  wallExchange_per_s: figure('1/s').optional(),
  wallOverChamber: figure('', "Heat capacity over the chamber's").optional(),
};

export const ReadingSchema = z
  .object({
    limit: z.enum([
      'kilnTop',
      'kilnPace',
      'shelfPace',
      'mouldPace',
      'shelfTop',
      'coatPace',
      'coatTop',
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
      'heldThrough',
      'coneLeast',
      'coneMost',
      'filled',
    ]),
    segment: count('Index of the segment judged'),
    value: z.number().meta({ 'x-unit': 'as unit says' }),
    allowed: z.number().meta({ 'x-unit': 'as unit says' }),
    sense: z.enum(['atMost', 'atLeast']),
    unit: z.enum(['C', 'K', 'K/h', 'Pa', '1/Pa', 's', '1']),
    ok: z.boolean(),
    note: z.literal(true).optional().meta({ description: 'Told beside another figure that decides: it breaks nothing' }),
    places: z.literal(true).optional().meta({ description: 'Of an uneven body that sets: between the hottest and the coldest of its places' }),
    band: z
      .object({ shown: figure(''), least: figure(''), most: figure('') })
      .optional()
      .meta({ description: 'Heat work as shares of what the look aims at' }),
  })
  .meta({ id: 'Reading' });

const UnevenFiguresSchema = z
  .object({
    spread_s: figure('s', 'Hottest less coldest while it sets, its rim left out, for 1 K/s'),
    bulge_s: figure('s', 'How far its inside stands above the plane that fits it'),
    dip_s: figure('s', 'How far the coldest of its rim lies under that in a cold kiln'),
    coldBulge_s: figure('s', 'How far its inside stands above that plane in a cold kiln'),
    plate_m: figure('m', 'The even plate that stands for it'),
  })
  .meta({ id: 'UnevenFigures' });

export const EvaluationSchema = z
  .object({
    simulation: SimulationResultSchema,
    readings: z.array(ReadingSchema),
    work_perPa: z.object({ least: figure('1/Pa'), mean: figure('1/Pa'), most: figure('1/Pa') }),
    uneven: UnevenFiguresSchema.optional().meta({ description: 'How it cools where it is no even plate' }),
    engine: z.string().optional().meta({ description: 'Version of the engine whose word this is' }),
  })
  .meta({ id: 'Evaluation' });
