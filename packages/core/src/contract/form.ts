/** A mould, a former or a dam by its measures. */
import { z } from 'zod';
import { FORM_MATERIAL_NAMES } from '../form/materials';
import { BOTTOMS, FORM_USES, type FormShape, formProblem } from '../form/shape';
import { PLANS, type SectionPoint } from '../form/surface';
import { oneOf, quantity } from './quantity';
import { schemaFor } from './schemaFor';

const side = (name: string) => quantity(name, 'm', 0.005, 2);

/** As many as anybody takes along a profile gauge. */
export const POINTS_AT_MOST = 60;

const point = schemaFor<SectionPoint>()(z.strictObject({ out_m: quantity('Out from the middle', 'm', 0, 1), up_m: quantity('Up', 'm', -1, 1) }));

export const formFields = {
  use: oneOf('What it does', FORM_USES),
  plan: oneOf('Seen from above', PLANS),
  across_m: quantity('Across', 'm', 0.01, 2),
  along_m: quantity('The other way', 'm', 0.01, 2).optional(),
  floor_m: quantity('Floor or foot', 'm', 0, 2).optional(),
  floorAlong_m: quantity('Floor or foot, the other way', 'm', 0, 2).optional(),
  deep_m: quantity('Depth or height', 'm', 0, 0.5).default(0),
  wall_m: quantity('Along the wall', 'm', 0.001, 2).optional(),
  lean_deg: quantity('How far walls lean', '°', 0, 85).optional(),
  foot_m: quantity('Radius of the foot', 'm', 0, 0.3).optional(),
  points_m: z
    .array(point)
    .max(POINTS_AT_MOST, { error: `At most ${POINTS_AT_MOST} points.` })
    .readonly()
    .optional(),
  lobes: quantity('Lobes', '', 2, 12).int({ error: 'Lobes are counted whole, from 2 to 12.' }).optional(),
  bottom: oneOf('Its bottom', BOTTOMS).optional(),
  undercut: z.boolean().optional(),
  once: z.boolean().optional(),
  liner_m: quantity('Liner', 'm', 0, 0.03).optional(),
  thick_m: quantity('Wall or plate', 'm', 0.0003, 0.2),
  thickest_m: quantity('Thickest section', 'm', 0.002, 0.3).optional(),
  thinnest_m: quantity('Thinnest section', 'm', 0.001, 0.3).optional(),
  detail_m: quantity('Finest detail', 'm', 5e-5, 0.05).optional(),
  core_m: quantity('Core', 'm', 0.002, 0.2).optional(),
  water_kg: quantity('Water that fills it', 'kg', 0.0005, 500).optional(),
  holes: quantity('Holes', '', 1, 10000).int({ error: 'The number of holes must be whole.' }).optional(),
  hole_m: quantity('Width of a hole', 'm', 0.002, 0.2).optional(),
  left_m: side('To the left').optional(),
  right_m: side('To the right').optional(),
  door_m: side('To the door').optional(),
  back_m: side('To the back').optional(),
  material: oneOf('Material', FORM_MATERIAL_NAMES),
  expansion_perK: quantity('Expansion of the material', '1/K', -1e-6, 5e-5).optional(),
  conductivity_W_mK: quantity('Conductivity of the material', 'W/(m·K)', 0.01, 500).optional(),
  density_kg_m3: quantity('Density of the material', 'kg/m³', 20, 12000).optional(),
  heatCapacity_J_kgK: quantity('Heat capacity of the material', 'J/(kg·K)', 100, 5000).optional(),
  top_C: quantity('Hottest it can go', '°C', 100, 1800).optional(),
  pace_K_per_s: quantity('Pace of the form', 'K/s', 0.0005, 1).optional(),
  paceTo_C: quantity('Where that ends', '°C', 50, 1200).optional(),
};

/** Held to what there can be. */
export const aForm = <T extends FormShape>(schema: z.ZodType<T>) =>
  schema.superRefine((form, context) => {
    const problem = formProblem(form);
    if (problem) context.addIssue({ code: 'custom', path: [problem.path], message: problem.message });
  });

export const FormShapeSchema = schemaFor<FormShape>()(z.strictObject(formFields).meta({ id: 'FormShape' }));
