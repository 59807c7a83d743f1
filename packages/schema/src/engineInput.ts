/** Everything the engine takes, with its legal ranges. Each schema is checked against the core's own type. */
import type {
  BodyInput,
  Face,
  FiringCase,
  Footprint,
  GlassConstants,
  KilnConstants,
  Limits,
  PurposefulSegment,
  RelaxationConstants,
  School,
  Segment,
  SetUp,
  Shape,
  SimulationInput,
  StackLayer,
} from '@torvin/core';
import { z } from 'zod';
import { oneOf, quantity } from './quantity';

export const GlassConstantsSchema = z.strictObject({
  expansion_perK: quantity('Expansion', '1/K', 1e-7, 3e-5),
  annealing_C: quantity('Annealing point', '°C', 200, 1200),
  softening_C: quantity('Softening point', '°C', 250, 1800),
  density_kg_m3: quantity('Density', 'kg/m³', 1500, 8000),
  youngs_Pa: quantity("Young's modulus", 'Pa', 1e9, 2e11),
  poisson: quantity("Poisson's ratio", '', 0, 0.45),
  conductivity_W_mK: quantity('Conductivity', 'W/(m·K)', 0.05, 50),
  heatCapacity_J_kgK: quantity('Heat capacity', 'J/(kg·K)', 200, 3000),
  surfaceTension_N_m: quantity('Surface tension', 'N/m', 0.05, 1),
}) satisfies z.ZodType<GlassConstants>;

/** The two viscosity points must be far enough apart to carry a curve. */
export const LEAST_SOFTENING_ABOVE_ANNEALING_K = 40;
const Glass = GlassConstantsSchema.refine((glass) => glass.softening_C - glass.annealing_C >= LEAST_SOFTENING_ABOVE_ANNEALING_K, {
  path: ['softening_C'],
  error: `The softening point must lie at least ${LEAST_SOFTENING_ABOVE_ANNEALING_K} °C above the annealing point.`,
});

const thickness = quantity('Thickness', 'm', 0.0005, 0.1);

export const FootprintSchema = z.discriminatedUnion('shape', [
  z.strictObject({ shape: z.literal('rectangle'), width_m: quantity('Width', 'm', 0.01, 2), length_m: quantity('Length', 'm', 0.01, 2) }),
  z.strictObject({ shape: z.literal('disc'), diameter_m: quantity('Diameter', 'm', 0.01, 2) }),
]) satisfies z.ZodType<Footprint>;

export const DEEPEST_BODY_M = 0.1;
const layers = z
  .array(z.strictObject({ thickness_m: thickness }))
  .min(1, { error: 'A body needs at least one layer.' })
  .max(12, { error: 'At most 12 layers.' });
const notTooDeep = (list: { thickness_m: number }[]): boolean => list.reduce((sum, layer) => sum + layer.thickness_m, 0) <= DEEPEST_BODY_M + 1e-9;
const depthError = { error: `The layers together may be at most ${DEEPEST_BODY_M} m deep.` };

export const BodyInputSchema = z.strictObject({
  glass: Glass,
  layers: layers.refine(notTooDeep, depthError),
  footprint: FootprintSchema,
}) satisfies z.ZodType<BodyInput>;

export const FaceSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('insulated') }),
  z.strictObject({
    kind: z.literal('open'),
    emissivity: quantity('Emissivity', '', 0, 1),
    convection_W_m2K: quantity('Convection', 'W/(m²·K)', 0, 1e7),
  }),
]) satisfies z.ZodType<Face>;

const support = z.strictObject({
  of: z.literal('support'),
  thickness_m: thickness,
  conductivity_W_mK: quantity('Conductivity', 'W/(m·K)', 0.01, 500),
  density_kg_m3: quantity('Density', 'kg/m³', 20, 12000),
  heatCapacity_J_kgK: quantity('Heat capacity', 'J/(kg·K)', 100, 5000),
});

export const StackLayerSchema = z.discriminatedUnion('of', [
  z.strictObject({ of: z.literal('glass'), thickness_m: thickness }),
  support,
]) satisfies z.ZodType<StackLayer>;

const faces = z.strictObject({ top: FaceSchema, bottom: FaceSchema });

export const SetUpSchema = z.strictObject({ below: z.array(support).max(6), faces }) satisfies z.ZodType<SetUp>;

export const KilnConstantsSchema = z.strictObject({
  top_C: quantity("Kiln's top", '°C', 100, 1700),
  power_K_per_s: quantity('Power over heat capacity', 'K/s', 1e-3, 10),
  loss_per_s: quantity('Linear loss over heat capacity', '1/s', 0, 1e-2),
  radiantLoss_per_K3_s: quantity('Radiant loss over heat capacity', '1/(K³·s)', 0, 1e-11),
  ambient_C: quantity('Room temperature', '°C', -20, 50),
  acrossLag_s_per_300mm: quantity('Across-lag on 300 mm', 's', 0, 3600),
}) satisfies z.ZodType<KilnConstants>;

export const SegmentSchema = z.strictObject({
  rate_C_per_h: quantity('Rate', '°C/h', 0.1, 1e7).nullable(),
  target_C: quantity('Target', '°C', 0, 1700),
  hold_s: quantity('Hold', 's', 0, 14 * 24 * 3600),
}) satisfies z.ZodType<Segment>;

export const RoleSchema = oneOf('Role', ['warmUp', 'squeeze', 'work', 'drop', 'firstCool', 'secondCool', 'lastCool']);

export const PurposefulSegmentSchema = SegmentSchema.extend({ role: RoleSchema }) satisfies z.ZodType<PurposefulSegment>;

export const SchoolSchema = z.strictObject({
  soak: oneOf('Soak', ['auto', 'annealing', 'lower']),
  heat: oneOf('Heat', ['cooler', 'hotter']),
}) satisfies z.ZodType<School>;

export const LimitsSchema = z.strictObject({
  pull_Pa: quantity('Pull limit', 'Pa', 1e5, 5e7),
  pullReserve: quantity('Reserve on the pull', '', 1, 5),
  setting_K: quantity('Difference while setting', 'K', 0.1, 50),
  settingReserve: quantity('Reserve while setting', '', 1, 5),
  climbing_K: quantity('Difference while climbing', 'K', 1, 200),
  even_K: quantity('Even within', 'K', 0.1, 10),
  relaxations: quantity('Relaxation times', '', 0, 100),
  leastSoak_s: quantity('Least soak', 's', 0, 7 * 24 * 3600),
  fullFuse: z.strictObject({ least: quantity('Least work', '1/Pa', 1e-6, 10), most: quantity('Most work', '1/Pa', 1e-6, 10) }),
  pocket: z.strictObject({ radius_m: quantity('Pocket radius', 'm', 0.001, 0.5), gap_m: quantity('Gap', 'm', 1e-5, 0.02) }),
  open_C: quantity('Opening ceiling', '°C', 25, 200),
  openThick_C: quantity('Opening ceiling, thick', '°C', 25, 200),
  thick_m: quantity('Thick from', 'm', 0.001, 0.2),
}) satisfies z.ZodType<Limits>;

export const FiringCaseSchema = z.strictObject({
  body: BodyInputSchema.extend({ joined: z.boolean() }),
  setup: SetUpSchema,
  kiln: KilnConstantsSchema,
  look: oneOf('Look', ['fullFuse']),
  school: SchoolSchema,
  limits: LimitsSchema,
}) satisfies z.ZodType<FiringCase>;

const glassTogether = (stack: StackLayer[]): boolean => {
  const kinds = stack.map((layer) => layer.of).join(' ');
  return /glass/.test(kinds) && !/glass support.* glass/.test(kinds);
};

const isPlate = (shape: Shape | undefined): boolean => shape === undefined || shape === 'plate';

const descends = (rates: { rate_C_per_h: number | null }[], hasKiln: boolean): boolean => hasKiln || rates.every((one) => one.rate_C_per_h !== null);

export const SEGMENTS_AT_MOST = 24;
const segments = z
  .array(SegmentSchema)
  .min(1, { error: 'A schedule needs at least one segment.' })
  .max(SEGMENTS_AT_MOST, { error: `At most ${SEGMENTS_AT_MOST} segments.` });

const spectrum = z
  .array(z.strictObject({ weight: quantity('Weight', '', 0, 1), ratio: quantity('Ratio', '', 1e-8, 1e4) }))
  .min(1)
  .max(12)
  .refine((terms) => Math.abs(terms.reduce((sum, { weight }) => sum + weight, 0) - 1) < 1e-3, { error: 'The weights of a spectrum must sum to 1.' });

export const RelaxationSchema = z.strictObject({
  meltExpansion_perK: quantity('Expansion of the melt', '1/K', 1e-7, 2e-4),
  stress: spectrum,
  structure: spectrum,
  structureOverStress: quantity('Structure over stress', '', 0.1, 100),
  nonLinearity: quantity('Non-linearity', '', 0.1, 1),
  activation_K: quantity('Activation', 'K', 1e4, 3e5),
}) satisfies z.ZodType<RelaxationConstants>;

export const SimulationInputSchema = z
  .strictObject({
    glass: Glass,
    stack: z.array(StackLayerSchema).min(1).max(16).refine(glassTogether, { error: 'The stack needs glass, with all its glass layers next to each other.' }),
    faces,
    shape: oneOf('Shape', ['plate', 'cylinder', 'sphere']).optional(),
    segments,
    start_C: quantity('Start', '°C', -20, 1700).optional(),
    kiln: KilnConstantsSchema.optional(),
    acrossLag_s: quantity('Across-lag', 's', 0, 36000).optional(),
    looseSheets: z.boolean().optional(),
    evenWithin_K: quantity('Even within', 'K', 0.1, 10).optional(),
    stress: z.strictObject({ support: oneOf('Support', ['free', 'flat']), relaxation: RelaxationSchema.optional() }).optional(),
    series: z.boolean().optional(),
  })
  .refine((input) => descends(input.segments, input.kiln !== undefined), {
    path: ['kiln'],
    error: 'A segment at full speed (rate null) needs the kiln, which says how fast that is.',
  })
  .refine((input) => isPlate(input.shape) || input.faces.bottom.kind === 'insulated', {
    path: ['faces', 'bottom'],
    error: 'The bottom face of a cylinder or a sphere is its middle and must be insulated.',
  })
  .refine((input) => isPlate(input.shape) || input.stress === undefined, {
    path: ['stress'],
    error: 'Residual stress is computed for plates; leave it out for a cylinder or a sphere.',
  }) satisfies z.ZodType<SimulationInput>;
