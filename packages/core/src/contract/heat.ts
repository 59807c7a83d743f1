/** What the simulation takes: stack, faces, kiln, segments or a measured curve. */
import type { UnlikeColumns } from '../heat/columns';
import type { Face } from '../heat/exchange';
import type { MeasuredCurve, SimulationInput } from '../heat/simulation';
import type { Shape, StackLayer } from '../heat/stack';
import type { KilnConstants } from '../kiln/kiln';
import { ROLES, type PurposefulSegment, type Segment } from '../kiln/segment';
import { z } from 'zod';
import { thickness } from './body';
import { GlassInputSchema } from './glass';
import { oneOf, quantity } from './quantity';
import { schemaFor } from './schemaFor';

export const FaceSchema = schemaFor<Face>()(
  z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('insulated') }),
      z.strictObject({
        kind: z.literal('open'),
        emissivity: quantity('Emissivity', '', 0, 1),
        convection_W_m2K: quantity('Convection', 'W/(m²·K)', 0, 1e7),
      }),
    ])
    .meta({ id: 'Face' }),
);

export const faces = z.strictObject({ top: FaceSchema, bottom: FaceSchema });

export const support = z.strictObject({
  of: z.literal('support'),
  thickness_m: thickness,
  conductivity_W_mK: quantity('Conductivity', 'W/(m·K)', 0.01, 500),
  density_kg_m3: quantity('Density', 'kg/m³', 20, 12000),
  heatCapacity_J_kgK: quantity('Heat capacity', 'J/(kg·K)', 100, 5000),
});

const air = z
  .strictObject({ of: z.literal('air'), thickness_m: quantity('Open air', 'm', 0.005, 1) })
  .meta({ description: 'Open, up to a shelf over the glass' });

export const StackLayerSchema = schemaFor<StackLayer>()(
  z.discriminatedUnion('of', [z.strictObject({ of: z.literal('glass'), thickness_m: thickness }), support, air]).meta({ id: 'StackLayer' }),
);

const inside = (title: string) => quantity(title, 'm', 0.05, 5).optional();

export const KilnConstantsSchema = schemaFor<KilnConstants>()(
  z
    .strictObject({
      top_C: quantity("Kiln's top", '°C', 100, 1700),
      power_K_per_s: quantity('Power over heat capacity', 'K/s', 1e-3, 10),
      loss_per_s: quantity('Linear loss over heat capacity', '1/s', 0, 1e-2),
      radiantLoss_per_K3_s: quantity('Radiant loss over heat capacity', '1/(K³·s)', 0, 1e-11),
      ambient_C: quantity('Room temperature', '°C', -20, 50),
      acrossLag_s_per_300mm: quantity('Across-lag on 300 mm', 's', 0, 3600),
      wallExchange_per_s: quantity('Exchange with a wall that stores heat', '1/s', 1e-6, 1e-2).optional(),
      wallOverChamber: quantity("Heat capacity of the wall over the chamber's", '', 0.05, 50).optional(),
      insideWidth_m: inside('Width inside'),
      insideLength_m: inside('Length inside'),
      insideDiameter_m: inside('Diameter inside'),
      insideHeight_m: inside('Height inside'),
    })
    .meta({ id: 'KilnConstants' }),
);

/** Makes a schema of kilns refuse half a wall. */
export const aKiln = <T extends z.ZodType<KilnConstants>>(schema: T) =>
  schema.refine(({ wallExchange_per_s, wallOverChamber }) => (wallExchange_per_s === undefined) === (wallOverChamber === undefined), {
    path: ['wallOverChamber'],
    error: 'A wall that stores heat needs its exchange and its heat capacity, both or neither.',
  });

export const KilnInputSchema = aKiln(KilnConstantsSchema).meta({ id: 'KilnInput' });

export const SegmentSchema = schemaFor<Segment>()(
  z
    .strictObject({
      rate_C_per_h: quantity('Rate', '°C/h', 0.02, 1e7).nullable(),
      target_C: quantity('Target', '°C', 0, 1700),
      hold_s: quantity('Hold', 's', 0, 30 * 24 * 3600),
    })
    .meta({ id: 'Segment' }),
);

export const RoleSchema = oneOf('Role', ROLES);

export const PurposefulSegmentSchema = schemaFor<PurposefulSegment>()(SegmentSchema.extend({ role: RoleSchema }).meta({ id: 'PurposefulSegment' }));

export const SEGMENTS_AT_MOST = 24;
const segments = z.array(SegmentSchema).max(SEGMENTS_AT_MOST, { error: `At most ${SEGMENTS_AT_MOST} segments.` });

const READINGS_AT_MOST = 6000;
const rising = (times: readonly number[]): boolean => times.every((time, i) => i === 0 || time > times[i - 1]);
const readings = (title: string, unit: string, least: number, most: number) =>
  z
    .array(quantity(title, unit, least, most))
    .min(2, { error: 'A curve needs at least two readings.' })
    .max(READINGS_AT_MOST, { error: `At most ${READINGS_AT_MOST} readings.` });
const LONGEST_S = 60 * 24 * 3600;

const CurveSchema = z
  .strictObject({
    t_s: readings('Time', 's', 0, LONGEST_S).refine(rising, { error: 'The times of a curve must be in order.' }),
    kiln_C: readings('Kiln temperature', '°C', -20, 1700),
    joints_s: z
      .array(quantity('Joint', 's', 0, LONGEST_S))
      .max(SEGMENTS_AT_MOST)
      .refine(rising, { error: 'The joints of a curve must be in time order.' })
      .optional(),
  })
  .refine(({ t_s, kiln_C }) => t_s.length === kiln_C.length, { path: ['kiln_C'], error: 'A curve needs one temperature for every time.' })
  .refine(({ t_s, joints_s = [] }) => joints_s.every((joint) => joint > t_s[0] && joint < t_s[t_s.length - 1]), {
    path: ['joints_s'],
    error: 'Every joint must lie between the first and the last reading.',
  })
  .transform((curve): MeasuredCurve => {
    // Times are counted from the first reading.
    const start = curve.t_s[0];
    return { ...curve, t_s: curve.t_s.map((t) => t - start), ...(curve.joints_s ? { joints_s: curve.joints_s.map((t) => t - start) } : {}) };
  });

const glassTogether = (stack: StackLayer[]): boolean => {
  const kinds = stack.map((layer) => layer.of).join(' ');
  return /glass/.test(kinds) && !/glass (support|air).* glass/.test(kinds);
};
const isPlate = (shape: Shape | undefined): boolean => shape === undefined || shape === 'plate';
const descends = (rates: { rate_C_per_h: number | null }[], hasKiln: boolean): boolean => hasKiln || rates.every((one) => one.rate_C_per_h !== null);

const ColumnsSchema = schemaFor<UnlikeColumns>()(
  z
    .strictObject({ thick_m: thickness, thin_m: thickness, apart_m: quantity('From thick to thin', 'm', 0.001, 2) })
    .refine(({ thick_m, thin_m }) => thin_m <= thick_m, { path: ['thin_m'], error: 'The thin column must not be thicker than the thick one.' })
    .meta({ id: 'UnlikeColumns' }),
);

/** Without the resolution, which is a matter of the core's own checks of convergence. */
export const SimulationInputSchema = schemaFor<SimulationInput, 'resolution'>()(
  z
    .strictObject({
      glass: GlassInputSchema,
      stack: z
        .array(StackLayerSchema)
        .min(1, { error: 'A stack needs at least one layer, from the bottom up.' })
        .max(16, { error: 'At most 16 layers in a stack.' })
        .refine(glassTogether, { error: 'The stack needs glass, with all its glass layers next to each other.' }),
      faces,
      shape: oneOf('Shape', ['plate', 'cylinder', 'sphere']).optional(),
      segments: segments.default([]),
      curve: CurveSchema.optional(),
      start_C: quantity('Start', '°C', -20, 1700).optional(),
      kiln: KilnInputSchema.optional(),
      clearDepth_m: thickness.optional(),
      spreadShare: quantity('Difference of the body over that of the plate', '', 0, 1000).optional(),
      rim: z
        .strictObject({ setShare: quantity('Pull on the rim as it sets', '', 0, 1000), coldShare: quantity('Pull on the rim once cold', '', 0, 1000) })
        .optional(),
      placeLag_s: quantity('How far its place runs behind', 's', 0, 7200).optional(),
      sidesLag_s: quantity('Lag between top and underside', 's', 0, 36000).optional(),
      acrossLag_s: quantity('Across-lag', 's', 0, 36000).optional(),
      heldShare: quantity('Share held of the straight part', '', 0, 1).optional(),
      looseSheets: z.boolean().optional(),
      gap_m: quantity('Air between loose sheets', 'm', 0, 0.002).optional(),
      columns: ColumnsSchema.optional(),
      evenWithin_K: quantity('Even within', 'K', 0.1, 10).optional(),
      relief: z
        .strictObject({ width_m: quantity('Width of the parts', 'm', 0.0005, 1), depth_m: quantity('Depth with them on it', 'm', 0.0005, 0.5).optional() })
        .optional(),
      stress: z.strictObject({ support: oneOf('Support', ['free', 'flat', 'both']), from: oneOf('Stress from', ['start', 'hottest']).optional() }).optional(),
      series: z.boolean().optional(),
      steps: oneOf('Steps', ['controlled', 'fixed']).optional(),
    })
    .refine((input) => input.segments.length > 0 !== (input.curve !== undefined), {
      path: ['segments'],
      error: 'Give either segments, at least one, or a measured curve.',
    })
    .refine((input) => descends(input.segments, input.kiln !== undefined), {
      path: ['kiln'],
      error: 'A segment at full speed (rate null) needs the kiln, which says how fast that is.',
    })
    .refine((input) => isPlate(input.shape) || input.faces.bottom.kind === 'insulated', {
      path: ['faces', 'bottom'],
      error: 'The bottom face of a cylinder or a sphere is its middle and must be insulated.',
    })
    .refine((input) => isPlate(input.shape) || (input.stress?.support ?? 'free') === 'free', {
      path: ['stress', 'support'],
      error: "A cylinder or a sphere cannot be held flat: ask for its stress with support 'free'.",
    })
    .refine((input) => isPlate(input.shape) || input.columns === undefined, {
      path: ['columns'],
      error: 'Thick and thin columns are those of a plate.',
    })
    .refine((input) => !isPlate(input.shape) || input.sidesLag_s === undefined, {
      path: ['sidesLag_s'],
      error: 'The two faces of a plate are calculated; enter a lag between them for a cylinder or a sphere alone.',
    }),
);

export const SegmentsSchema = z
  .array(SegmentSchema.extend({ role: RoleSchema.optional() }))
  .min(1, { error: 'A schedule needs at least one segment.' })
  .max(SEGMENTS_AT_MOST, { error: `At most ${SEGMENTS_AT_MOST} segments.` });
