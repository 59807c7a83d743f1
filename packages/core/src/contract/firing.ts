/** A firing case: body, set-up, kiln, look, school, limits, and what has been learnt. */
import { PLANS } from '../form/surface';
import { LOOKS } from '../look/names';
import type { Shaping } from '../look/shaping';
import { SHAPINGS } from '../look/shapings/all';
import { DEFAULT_SCHOOL, type FiringCase, type School } from '../schedule/firingCase';
import type { SeenWork } from '../schedule/seenWork';
import { type Corrections, HOW_FAR } from '../learn/corrections';
import { DEFAULT_LIMITS, type Limits } from '../schedule/limits';
import { STUDIO_LIMITS, type StudioLimit, type StudioLimits } from '../schedule/studioLimits';
import { DIFFERENCE, TEMPERATURE } from '../units/measure';
import { type SetUp, WETS } from '../schedule/setups';
import { CONES } from '../emptyFiring/cones';
import { EMPTY_ITEM_KINDS } from '../emptyFiring/emptyItems';
import { z } from 'zod';
import { aBody, bodyFields, noneOrMore } from './body';
import { FormShapeSchema } from './form';
import { ControllerInputSchema } from './controller';
import { KilnInputSchema, faces, support } from './heat';
import { figures, oneOf, quantity, words } from './quantity';
import { schemaFor } from './schemaFor';

const slender = oneOf('Form of the thickest section', ['cylinder', 'sphere']).optional();
const down = quantity('How far it is down already', 'm', 0, 1).optional();

export const ShapingSchema = schemaFor<Shaping>()(
  z
    .discriminatedUnion('kind', [
      // Outlines were not told of what was made first: round.
      z.strictObject({ kind: z.literal('hollow'), ...figures(SHAPINGS.hollow), plan: oneOf('Outline of the mould', PLANS).optional(), down_m: down }),
      z.strictObject({ kind: z.literal('former'), ...figures(SHAPINGS.former), down_m: down }),
      z.strictObject({ kind: z.literal('strips'), ...figures(SHAPINGS.strips) }),
      z.strictObject({ kind: z.literal('ring'), ...figures(SHAPINGS.ring) }),
      z.strictObject({ kind: z.literal('press'), ...figures(SHAPINGS.press) }),
      z.strictObject({ kind: z.literal('cavity'), ...figures(SHAPINGS.cavity), slender }),
      z.strictObject({ kind: z.literal('core'), ...figures(SHAPINGS.core), slender }),
      z.strictObject({ kind: z.literal('reservoir'), ...figures(SHAPINGS.reservoir), slender }),
      z.strictObject({ kind: z.literal('drain'), ...figures(SHAPINGS.drain) }),
      z.strictObject({
        kind: z.literal('ware'),
        of: oneOf('What is fired', EMPTY_ITEM_KINDS),
        ...figures(SHAPINGS.ware),
        cone: oneOf('Cone', CONES).optional(),
      }),
    ])
    .meta({ id: 'Shaping' }),
);

const pace = (of: string) => z.strictObject({ C_per_h: quantity(`Pace of the ${of}`, '°C/h', 0.5, 2000), past_C: quantity('Where that ends', '°C', 20, 1200) });

export const SetUpSchema = schemaFor<SetUp>()(
  z
    .strictObject({
      below: z.array(support).max(6, { error: 'At most 6 layers under the glass.' }).readonly(),
      above: z.array(support).max(6, { error: 'At most 6 layers on the glass.' }).readonly().optional(),
      faces,
      roof: z
        .strictObject({ shelf: support, free_m: quantity('Free under the next shelf', 'm', 0.005, 1) })
        .optional()
        .meta({ description: 'Another shelf over it, which the glass sees instead of the kiln' }),
      around: z.array(support).max(6, { error: 'At most 6 layers round the glass.' }).readonly().optional(),
      top_C: quantity('Top temperature of what the glass lies on', '°C', 200, 1800).optional(),
      stand: z
        .strictObject({
          ...{ long_m: quantity('Longer side of the shelf', 'm', 0.02, 5), thick_m: quantity('Thickness of the shelf', 'm', 0.0005, 0.2) },
          bears: quantity('How well it stands uneven heat, against cordierite', '', 0.01, 100).optional(),
        })
        .optional(),
      pace: pace('mould').optional(),
      coat: z
        .strictObject({ name: words('What is under the glass', 80), top_C: quantity('Hottest it can go', '°C', 100, 1700), pace: pace('coat').optional() })
        .optional(),
      twoFaceProof: oneOf('Proof of two faces', ['readings', 'kilnTest']).optional(),
      wet: oneOf('What is wet', WETS).optional(),
      shaping: ShapingSchema.optional(),
      form: FormShapeSchema.optional(),
    })
    .meta({ id: 'SetUp' }),
);

export const SchoolSchema = schemaFor<School>()(
  z
    .strictObject({
      soak: oneOf('Soak', ['auto', 'annealing', 'lower']),
      heat: oneOf('Heat', ['cooler', 'hotter']),
      grains: oneOf('Grains', ['straight', 'held']).optional(),
    })
    .meta({ id: 'School' }),
);

const work = z
  .strictObject({ least: quantity('Least work', '1/Pa', 1e-6, 10), most: quantity('Most work', '1/Pa', 1e-6, 10) })
  .refine(({ least, most }) => least <= most, { path: ['most'], error: 'The most work must not be less than the least.' });

export const LimitsSchema = schemaFor<Limits>()(
  z
    .strictObject({
      pull_Pa: quantity('Pull limit', 'Pa', 1e5, 5e7),
      pullReserve: quantity('Reserve on the pull', '', 1, 5),
      coolPullReserve: quantity('Reserve on the pull on the way down', '', 1, 5).optional(),
      heldShare: quantity('Share held of the straight part', '', 0, 1).optional(),
      setting_K: quantity('Difference while setting', 'K', 0.1, 50),
      settingReserve: quantity('Reserve while setting', '', 1, 5),
      bulgeReserve: quantity('Reserve on the bulge of an uneven body', '', 1, 5).optional(),
      climbing_K: quantity('Difference while climbing', 'K', 1, 200),
      shelf_C_per_h: quantity('Pace of a shelf of 300 mm', '°C/h', 10, 2000).optional(),
      even_K: quantity('Even within', 'K', 0.1, 10),
      relaxations: quantity('Relaxation times', '', 0, 100),
      leastSoak_s: quantity('Least soak', 's', 0, 7 * 24 * 3600),
      soakOf12mm_s: quantity('Soak of a body of 12 mm', 's', 0, 7 * 24 * 3600).optional(),
      residual_Pa: quantity('Residual tension', 'Pa', 1e4, 5e7),
      works_perPa: z.strictObject({
        ...{ firePolish: work, tack: work, contour: work, fullFuse: work, slabFlow: work },
        // Left out by what was made before there were such firings.
        ...{ stick: work.optional(), lace: work.optional(), wafer: work.optional(), cast: work.optional() },
      }),
      haze_s: quantity('Haze exposure', 's', 0, 30 * 24 * 3600),
      coating_s: quantity('Coating exposure', 's', 0, 30 * 24 * 3600),
      pocket: z.strictObject({ radius_m: quantity('Pocket radius', 'm', 0.001, 0.5), gap_m: quantity('Gap', 'm', 1e-5, 0.02) }),
      gap_m: quantity('Air between loose sheets', 'm', 0, 0.002).optional(),
      open_C: quantity('Opening ceiling', '°C', 25, 200),
      openThick_C: quantity('Opening ceiling, thick', '°C', 25, 200),
      thick_m: quantity('Thick from', 'm', 0.001, 0.2),
    })
    .meta({ id: 'Limits' }),
);

const ownLimit = (name: StudioLimit) => {
  const { of, name: called, least, most } = STUDIO_LIMITS[name];
  return quantity(called, of === TEMPERATURE ? '°C' : of === DIFFERENCE ? 'K' : 'Pa', least, most).optional();
};

/** What a studio has set for itself. */
export const StudioLimitsSchema = schemaFor<StudioLimits>()(
  z
    .strictObject({
      ...{ residual_Pa: ownLimit('residual_Pa'), setting_K: ownLimit('setting_K'), even_K: ownLimit('even_K') },
      ...{ pull_Pa: ownLimit('pull_Pa'), open_C: ownLimit('open_C'), openThick_C: ownLimit('openThick_C') },
    })
    .meta({ id: 'StudioLimits' }),
);

export const CorrectionsSchema = schemaFor<Corrections>()(
  z
    .strictObject({
      offset_K: quantity('Offset of the controller', 'K', -150, 150),
      workFactor: quantity('Factor of work', '', 0.2, 5),
      lookFactors: z.partialRecord(z.enum(LOOKS), quantity('Factor of work of a look', '', 0.2, 5)).optional(),
    })
    .meta({ id: 'Corrections' }),
);

const workDone = { work_perPa: quantity('Heat work as read', '1/Pa', 1e-12, 100), work_C: quantity('Working temperature', '°C', 20, 1800) };
const bound = z.strictObject({ ...workDone, by: oneOf('By how much', HOW_FAR).optional() }).optional();

export const SeenWorkSchema = schemaFor<SeenWork>()(
  z
    .strictObject({
      ...{ short: bound, past: bound },
      soFar: z.strictObject({ ...workDone, reckoned_perPa: quantity('Heat work expected for it', '1/Pa', 1e-12, 100) }).optional(),
      had: z.strictObject(workDone).optional(),
    })
    .meta({ id: 'SeenWork' }),
);

export const FiringCaseSchema = schemaFor<FiringCase>()(
  z
    .strictObject({
      body: aBody(z.strictObject({ ...bodyFields, ...noneOrMore, joined: z.boolean().default(false) })),
      setup: SetUpSchema,
      kiln: KilnInputSchema,
      look: oneOf('Look', LOOKS),
      school: SchoolSchema,
      limits: LimitsSchema,
      controller: ControllerInputSchema.optional(),
      corrections: CorrectionsSchema.optional(),
      place_K: quantity('Hotter than the middle', 'K', -90, 90)
        .optional()
        .meta({ description: 'Its place; the offset in corrections is less by that already' }),
      placeLag_s: quantity('How far its place runs behind the middle', 's', 0, 7200).optional(),
      seen: SeenWorkSchema.optional(),
    })
    .meta({ id: 'FiringCase' }),
);

const filled =
  <T extends object>(defaults: T) =>
  (given: Partial<T> | undefined): T => ({ ...defaults, ...given });

/** A firing case as a stranger asks: school and limits in whole, in part, or as they ship. */
export const AskedFiringSchema = FiringCaseSchema.extend({
  school: SchoolSchema.partial().optional().transform(filled(DEFAULT_SCHOOL)),
  limits: LimitsSchema.partial().optional().transform(filled(DEFAULT_LIMITS)),
}).meta({ id: 'AskedFiring' });
