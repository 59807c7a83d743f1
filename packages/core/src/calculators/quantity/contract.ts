import { z } from 'zod';
import { UnitsSchema, oneOf, words } from '../../contract/quantity';
import { QUANTITY_KINDS } from '../../units/read';
import type { Decimal } from '../../units/parse';

/** What a comma means to people of a locale. */
function decimalOf(locale: string): Decimal {
  const sign = new Intl.NumberFormat(locale).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value;
  return sign === ',' ? 'comma' : 'point';
}

const locale = words('Locale', 35, 2).refine(
  (name) => {
    try {
      return Intl.getCanonicalLocales(name).length === 1;
    } catch {
      return false;
    }
  },
  { error: ({ input }) => `'${String(input)}' is not a locale; write for example en or pt-PT.` },
);

export const summary = 'Reads a quantity as people type it';

export const request = z
  .strictObject({
    text: words('Text', 200),
    kind: oneOf('Kind', QUANTITY_KINDS),
    locale: locale.optional().meta({ description: "Settles whether '1,200' is a thousand; without it such a number is refused" }),
    bare: UnitsSchema.prefault({}).meta({ description: 'What a number without a unit is in' }),
  })
  .transform(({ locale: spoken, ...asked }) => ({ ...asked, decimal: spoken === undefined ? ('auto' as const) : decimalOf(spoken) }));

export const answer = z.object({
  value: z.number().nullable().meta({ description: 'Null for a rate at full speed', 'x-unit': 'as unit says' }),
  unit: z.string(),
});

export const cases = {
  'Twelve inches': { text: '12 in', kind: 'length', locale: 'en', bare: { length: 'mm' } },
  'A rate at full speed': { text: 'full', kind: 'rate' },
} satisfies Record<string, z.input<typeof request>>;
