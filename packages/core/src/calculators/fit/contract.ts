import { z } from 'zod';
import { GlassConstantsSchema, onACurve } from '../../contract/glass';
import { count, figure, oneOf, quantity } from '../../contract/quantity';
import type { Evidence } from '../../fit/fit';
import { CONTENTS } from '../../fit/reactions';
import { GLASS } from '../samples';
import { schemaFor } from '../../contract/schemaFor';

export const summary = 'Whether glasses that touch fit, by the strongest evidence';

const index = (title: string) => quantity(title, '', 0, 31).int({ error: `${title} must be a whole number: a place in the list of glasses.` });
const FitGlass = onACurve(
  GlassConstantsSchema.extend({ contents: z.array(oneOf('Content', CONTENTS)).max(4).optional(), unknown: z.literal(true).optional() }),
);
const depth = quantity('Depth', 'm', 1e-6, 0.1);

const EvidenceSchema = schemaFor<Evidence>()(
  z.strictObject({
    a: index('Glass a'),
    b: index('Glass b'),
    kind: oneOf('Kind of evidence', ['proven', 'ownTest']),
    result: oneOf('Result', ['holds', 'strained', 'cracked']),
  }),
);

export const request = z
  .strictObject({
    glasses: z.array(FitGlass).min(1, { error: 'At least one glass.' }).max(32, { error: 'At most 32 glasses.' }),
    contacts: z
      .array(z.strictObject({ lower: index('Lower glass'), upper: index('Upper glass'), lower_m: depth.optional(), upper_m: depth.optional() }))
      .min(1, { error: 'At least one contact.' })
      .max(60, { error: 'At most 60 contacts.' }),
    evidence: z.array(EvidenceSchema).max(500).default([]),
  })
  .refine(({ glasses, contacts }) => contacts.every(({ lower, upper }) => Math.max(lower, upper) < glasses.length), {
    path: ['contacts'],
    error: 'A contact names a glass that is not in the list of glasses.',
  });

const verdict = z.enum(['fits', 'likely', 'doubtful', 'fails']);
const basis = z.enum(['sameGlass', 'proven', 'ownTest', 'estimate', 'untested']);
const estimates = z.array(z.object({ formula: z.string(), stress_Pa: figure('Pa') }));

export const answer = z.object({
  verdict,
  basis,
  stress_Pa: figure('Pa'),
  settingGap_K: figure('K', 'Between the temperatures at which the two set'),
  pairs: z.array(
    z.object({
      lower: count(),
      upper: count(),
      verdict,
      basis,
      stress_Pa: figure('Pa', 'Greatest tension by the full model, free to bow'),
      estimates,
      settingGap_K: figure('K', 'Between the temperatures at which the two set'),
      bow_perM: figure('1/m'),
      timoshenko_perM: figure('1/m', 'By the closed form'),
      contradicted: z.boolean(),
      reactions: z.array(z.string()),
    }),
  ),
});

export const cases = {
  'Two glasses that strain': {
    glasses: [
      { ...GLASS, contents: ['copper'] },
      { ...GLASS, expansion_perK: 9.3e-6, contents: ['sulphur'] },
    ],
    contacts: [{ lower: 0, upper: 1, lower_m: 0.003, upper_m: 0.004 }],
    evidence: [{ a: 0, b: 1, kind: 'ownTest', result: 'strained' }],
  },
} satisfies Record<string, z.input<typeof request>>;
