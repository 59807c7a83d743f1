/** Number fields that say in one sentence what came and what would be right. */
import { z } from 'zod';
import type { Units } from '../units/convert';
import { LENGTH, MASS, type Measure, type Range, STOCK, STREWN, WATER } from '../units/measure';
import { shown } from './quiet';
import { schemaFor } from './schemaFor';

/** A finite number within a range; unit is part of the sentence and of the OpenAPI document. */
export function quantity(title: string, unit: string, least: number, most: number) {
  const error = ({ input }: { input?: unknown }): string => `${title} must be a number from ${least} to ${most}${unit ? ` ${unit}` : ''}; got ${shown(input)}.`;
  return z
    .number({ error })
    .min(least, { error })
    .max(most, { error })
    .meta({ title, 'x-unit': unit || '1' });
}

const SI_UNITS = new Map<Measure, string>([
  [LENGTH, 'm'],
  [STOCK, 'm'],
  [WATER, 'kg'],
  [MASS, 'kg'],
  [STREWN, 'kg/m²'],
]);

/** What is declared of a figure, as far as a schema needs it. */
interface DeclaredFigure {
  title: string;
  of: Measure;
  range: Range;
  /** Where more may be kept than is typed. */
  kept?: Range;
  optional?: true;
}
type FigureSchemas<F> = { [K in keyof F]: F[K] extends { optional: true } ? z.ZodOptional<z.ZodNumber> : z.ZodNumber };

/** The schema of each figure that a form declares. */
export function figures<const F extends Record<string, DeclaredFigure>>(declared: F): FigureSchemas<F> {
  const schemas = Object.entries(declared).map(([key, { title, of, range, kept = range, optional }]) => {
    const plain = quantity(title, SI_UNITS.get(of) ?? '', kept.least, kept.most);
    const whole = of.whole ? plain.int({ error: `The ${title.charAt(0).toLowerCase()}${title.slice(1)} must be whole.` }) : plain;
    return [key, optional ? whole.optional() : whole];
  });
  return Object.fromEntries(schemas) as FigureSchemas<F>;
}

/** A number of an answer; unit '' is a plain number. */
export const figure = (unit: string, description?: string) => z.number().meta({ 'x-unit': unit || '1', ...(description ? { description } : {}) });

/** A whole number of an answer: how many, or which. */
export const count = (description?: string) =>
  z
    .number()
    .int()
    .meta({ 'x-unit': '1', ...(description ? { description } : {}) });

/** What the answer's sentences are written in. */
export const UnitsSchema = schemaFor<Units>()(
  z.strictObject({
    temperature: oneOf('Temperature unit', ['C', 'F']).default('C'),
    length: oneOf('Length unit', ['mm', 'in']).default('mm'),
    mass: oneOf('Mass unit', ['g', 'oz']).default('g'),
  }),
);

/** Text of a person's own, trimmed, with a sensible end. */
export function words(title: string, most: number, least = 0) {
  const error = ({ input }: { input?: unknown }): string =>
    typeof input === 'string' && input.trim() === '' && least > 0
      ? `${title} is empty: write it, in at most ${most} characters.`
      : typeof input === 'string'
        ? `${title} must be ${least > 0 ? `${least} to ${most}` : `at most ${most}`} characters; got ${input.trim().length}.`
        : `${title} must be text; got ${shown(input)}.`;
  return z.string({ error }).trim().min(least, { error }).max(most, { error }).meta({ title });
}

/** A uuid made by whoever creates the thing. */
export const id = z.uuid({ error: ({ input }) => `An id must be a uuid; got ${shown(input)}.` });

/** One of a few words. */
export function oneOf<const T extends readonly [string, ...string[]]>(title: string, choices: T) {
  return z.enum(choices, { error: ({ input }) => `${title} must be one of ${choices.join(', ')}; got ${shown(input)}.` }).meta({ title });
}

export const instant = quantity('A time', 'ms since 1970, UTC', 0, 8.64e15).int();
