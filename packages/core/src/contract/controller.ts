/** A controller: how it is keyed, counts and behaves. Three figures make one; all else is as usual where it is left out. */
import { AFTER_CUTS, type Controller, HOLD_KINDS, KEY_ORDERS, PROGRAM_ENDS, RATE_KINDS, impossibleController } from '../controller/profile';
import { z } from 'zod';
import { oneOf, quantity, words } from './quantity';
import { schemaFor } from './schemaFor';

const whole = (title: string, least: number, most: number) => quantity(title, '', least, most).int({ error: `${title} must be a whole number.` });
const asked = (title: string) => words(title, 24, 1);

export const controllerFields = {
  unit: oneOf('Unit', ['C', 'F']),
  fullSpeedCode: whole('Full-speed code', 0, 99999),
  mostSegments: whole('Segments held', 1, 99),
  fullSpeedDownCode: whole('Full-speed code on the way down', 0, 99999).optional(),
  rateAs: oneOf('Rates are keyed as', RATE_KINDS).optional(),
  leastRate: quantity('Least rate', '', 0.1, 9999).optional(),
  mostRate: quantity('Most rate', '', 0.1, 9999).optional(),
  rateStep: quantity('Step of a rate', '', 0.1, 100).optional(),
  rates: z
    .array(quantity('A rate that it offers', '', 0.1, 9999))
    .min(1, { error: 'Name at least one rate, or leave it out.' })
    .max(20, { error: 'At most 20 rates.' })
    .readonly()
    .optional(),
  holdAs: oneOf('Holds are keyed as', HOLD_KINDS).optional(),
  mostHold_s: quantity('Longest hold', 's', 0, 9999 * 60).optional(),
  targetStep: whole('Step of a target', 1, 50).optional(),
  top_C: quantity('Hottest it takes', '°C', 100, 1700).optional(),
  order: oneOf('Order of the figures', KEY_ORDERS).optional(),
  ends: oneOf('End of a program', PROGRAM_ENDS).optional(),
  keepsOld: z.boolean().optional(),
  programs: whole('Programs', 1, 99).optional(),
  builtIn: whole('Programs that came with it', 0, 98).optional(),
  preset_K_per_s: quantity('Rate of its one-segment program', 'K/s', 0.0003, 0.6).optional(),
  mostDelay_s: quantity('Longest delay', 's', 60, 7 * 24 * 3600).optional(),
  alarms: z.boolean().optional(),
  skips: z.boolean().optional(),
  addTime_s: quantity('Step in which a hold is lengthened', 's', 60, 3600).optional(),
  addDegrees_K: quantity('Degrees that a press adds', 'K', 0.5, 50).optional(),
  reviews: z.boolean().optional(),
  afterCut: oneOf('After a power cut', AFTER_CUTS).optional(),
  rateWords: asked('What it asks for a rate').optional(),
  targetWords: asked('What it asks for a target').optional(),
  holdWords: asked('What it asks for a hold').optional(),
};

/** Refuses what no controller is, at its field. */
export const aController = <T extends z.ZodType<Controller>>(schema: T): T =>
  schema.superRefine((controller, context) => {
    const problem = impossibleController(controller);
    if (problem) context.addIssue({ code: 'custom', path: problem.path.split('.'), message: problem.message });
  });

/** As it is kept, and as a firing is computed with; what may be keyed is refused by aController. */
export const ControllerInputSchema = schemaFor<Controller>()(z.strictObject(controllerFields).meta({ id: 'ControllerInput' }));

/** A segment as it stands in a controller, in its own figures. */
export const PanelRowSchema = z.strictObject({
  rate: quantity('Rate as it is shown', '', 0, 99999),
  target: quantity('Target as it is shown', '', 0, 99999),
  hold_min: quantity('Hold', 'min', 0, 99999),
});
export const ProgramRowsSchema = z.array(PanelRowSchema).max(99, { error: 'At most 99 segments.' });
