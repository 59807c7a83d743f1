/** What stands on the shelves: families, glasses, kilns and controllers, with their source. */
import type { Controller } from '@torvin/core';
import { z } from 'zod';
import { GlassConstantsSchema } from './glassInput';
import { KilnConstantsSchema, controllerFields } from './heatInput';
import { quantity, words } from './quantity';

const recordId = words('Record id', 60, 1);
const named = { id: recordId, name: words('Name', 80, 1), source: words('Source', 200) };

export const FamilySchema = GlassConstantsSchema.extend(named);
export type Family = z.infer<typeof FamilySchema>;

export const GlassSchema = z.strictObject({
  ...named,
  familyId: recordId,
  colour: z.string().regex(/^#[0-9a-f]{6}$/i),
  /** Sheet thicknesses it comes in, m. */
  thicknesses_m: z.array(quantity('Thickness', 'm', 0.0005, 0.05)).min(1),
});
export type Glass = z.infer<typeof GlassSchema>;

export const KilnSchema = KilnConstantsSchema.extend(named);
export type Kiln = z.infer<typeof KilnSchema>;

export const ControllerSchema = z.strictObject({
  ...named,
  ...controllerFields,
}) satisfies z.ZodType<Controller>;

export const ShelvesSchema = z.object({
  families: z.array(FamilySchema),
  glasses: z.array(GlassSchema),
  kilns: z.array(KilnSchema),
  controllers: z.array(ControllerSchema),
});
export type Shelves = z.infer<typeof ShelvesSchema>;
