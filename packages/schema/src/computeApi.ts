/** The stateless compute API: an endpoint for every calculator, made of its contract. For servers alone; a web app has the engine itself. */
import { RECIPE_GROUPS } from '@torvin/core/look';
import { CALCULATORS, CALLS, type EngineCall, QUANTITIES } from '@torvin/core/engine';
import { ControllerInputSchema, GlassInputSchema, KilnConstantsSchema, LimitsSchema, SchoolSchema, SetUpSchema, figure } from '@torvin/core/contract';
import { z } from 'zod';
import { type Endpoint, get } from './api';

/** name: for people; the part itself goes into a request as it is. */
const part = <S extends z.ZodType>(key: string, schema: S) =>
  z.record(z.string(), z.object({ name: z.string(), source: z.string().optional(), [key]: schema }));

const TypicalSchema = z.object({
  glasses: part('glass', GlassInputSchema),
  kilns: part('kiln', KilnConstantsSchema),
  controllers: part('controller', ControllerInputSchema),
  setups: z.record(z.string(), z.object({ name: z.string(), setup: SetUpSchema, onPaper: SetUpSchema })),
  moulds: z.record(z.string(), z.object({ name: z.string(), expansion_perK: figure('1/K'), note: z.string().optional() })),
  looks: z.record(
    z.string(),
    z.object({
      ...{ name: z.string(), group: z.enum(Object.keys(RECIPE_GROUPS)), reaches: z.string(), spares: z.string(), care: z.string() },
      looksLike: z.object({ early: z.string(), right: z.string(), late: z.string() }).meta({ description: 'What the eye sees when the kiln is looked into' }),
      /** Kind of the set-up's shaping without which it cannot be. */
      asks: z.string().optional(),
    }),
  ),
  school: SchoolSchema,
  limits: LimitsSchema,
});

export const typicalEndpoint = get(
  { method: 'get', path: '/api/compute/typical' },
  'What ships as typical, each part ready to be sent: glasses, kilns, controllers, set-ups, limits and schools',
  TypicalSchema,
);

export interface CalculatorEndpoint extends Endpoint<z.ZodType> {
  call: EngineCall;
  /** Whole requests, each under what it is a case of. */
  cases: Readonly<Record<string, object>>;
}

const pathOf = (call: EngineCall): string =>
  `/api/compute/${call in QUANTITIES ? 'quantities/' : ''}${call.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`;

/** In the order of the table of calculators. */
export const computeEndpoints = (): Promise<CalculatorEndpoint[]> =>
  Promise.all(
    CALLS.map(async (call): Promise<CalculatorEndpoint> => {
      const { summary, request, answer, cases } = await CALCULATORS[call].contract();
      return { method: 'post', path: pathOf(call), call, summary, request, answer, cases, ...(CALCULATORS[call].light ? {} : { computes: true }) };
    }),
  );
