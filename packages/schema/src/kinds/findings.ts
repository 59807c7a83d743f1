/** What test series found, kept under a name: plans of other pieces are held against it. */
import { LOOK_NAMES } from '@torvin/core/look';
import { FACTOR_NAMES, rangeWords } from '@torvin/core/schedule';
import { FindingChangeSchema, FindingSchema } from '../records';
import { NAME } from './fields';
import { kind } from './kind';
import { KIND_NAMES } from './names';

export const findings = kind({
  ...KIND_NAMES.findings,
  caution: 'A finding holds for the glass, the kiln and the lay-up of its trials. It warns; it is no limit.',
  schema: FindingSchema,
  change: FindingChangeSchema,
  from: 'series',
  fixed: ['look', 'factor', 'from', 'to', 'shortBelow', 'trials', 'foundAt'],
  fields: [NAME, { as: 'words', key: 'note', label: 'Note', testID: 'finding-note', optional: true, long: true }],
  begins: (_only, now) => ({
    ...{ look: 'fullFuse' as const, factor: 'thickness' as const, from: 0.005, to: 0.007, shortBelow: false, trials: ['first', 'second'] },
    ...{ note: '', foundAt: now },
  }),
  about: ({ look, factor, from, to, trials, foundAt }, { units, day }) =>
    `${LOOK_NAMES[look]}, ${FACTOR_NAMES[factor]} ${rangeWords(factor, from, to, units)} · ${trials.length} trials · ${day(foundAt)}`,
  columns: [
    { title: 'firing type', told: ({ look }) => LOOK_NAMES[look] },
    { title: 'differ in', told: ({ factor }) => FACTOR_NAMES[factor] },
    { title: 'changes at', told: ({ factor, from, to }, { units }) => rangeWords(factor, from, to, units) },
  ],
  searched: ({ note, look, factor }) => `${note} ${LOOK_NAMES[look]} ${FACTOR_NAMES[factor]}`,
  past: ({ foundAt }) => [{ at: foundAt, path: 'foundAt' }],
});
