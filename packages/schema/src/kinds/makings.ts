/** Moulds in the making: what each is made of and by, and its steps as they were told. */
import { FLEXIBLES, FLEXIBLE_NAMES, MAKING_NAMES, MAKING_WAYS, MODELS, MODEL_NAMES, stageTitle, standing } from '@torvin/core/making';
import { MakingChangeSchema, MakingSchema } from '../records';
import { type Entry, asOptions, length, plain } from './fields';
import { kind } from './kind';
import { KIND_NAMES } from './names';

const invests = ({ way }: Entry): boolean => way === 'investment';
const SHARE = { folded: 'mix', when: invests } as const;
const hasWax = (entry: Entry): boolean => invests(entry) && (entry.model === 'wax' || entry.flexible !== 'none');
/** What comes out of a bag. */
const mixes = ({ way }: Entry): boolean => way !== 'metal';

export const makings = kind({
  ...KIND_NAMES.makings,
  caution:
    'Dust of plaster, silica and clay harms the lungs for good: respirator, powder into water, wipe wet. Setting plaster burns skin; steam and molten wax scald. The makers’ sheets stand above all that is typical here.',
  schema: MakingSchema,
  change: MakingChangeSchema,
  fields: [
    { as: 'record', key: 'formId', label: 'Which mould', of: 'forms', testID: 'making-form' },
    { as: 'choice', key: 'way', label: 'How it is made', options: asOptions(MAKING_WAYS, (one) => MAKING_NAMES[one]), testID: 'making-way' },
    {
      ...{ as: 'choice', key: 'model', label: 'Its model is', options: asOptions(MODELS, (one) => MODEL_NAMES[one]), testID: 'making-model' },
      ...{ usual: 'wax', when: invests },
    },
    {
      ...{ as: 'choice', key: 'flexible', label: 'Flexible mould of the model first, to cast wax in', testID: 'making-flexible' },
      ...{ options: asOptions(FLEXIBLES, (one) => FLEXIBLE_NAMES[one]), usual: 'none', when: invests },
    },
    plain('rubberCoats', 'Coats of rubber', '', 1, { when: (entry) => invests(entry) && entry.flexible === 'rubber' }),
    length('waxWall_m', 'Wax, thick', { optional: true, hint: 'of a shell; left empty, it is solid', when: hasWax }),
    {
      ...{ as: 'day', key: 'bagUntil', label: 'Its powder or paste is good until', testID: 'making-bag', optional: true },
      ...{ hint: 'as the bag says; old plaster sets late or not at all', when: mixes },
    },
    { as: 'words', key: 'note', label: 'Note', testID: 'making-note', optional: true, long: true },
    plain('plasterShare', 'Plaster, parts by mass', '', 1, SHARE),
    plain('silicaShare', 'Silica, parts', '', 1, SHARE),
    plain('waterShare', 'Water, parts', '', 1, SHARE),
  ],
  begins: (only, now) => ({
    ...{ formId: only('forms'), way: 'investment' as const, model: 'wax' as const, flexible: 'none' as const, rubberCoats: 4 },
    ...{ plasterShare: 1, silicaShare: 1, waterShare: 1, note: '', begunAt: now, told: [] },
  }),
  title: ({ formId }, { nameOf }) => nameOf('forms', formId),
  about(making, { day }) {
    const { next } = standing(making, null, null);
    const last = making.told.at(-1);
    return [
      MAKING_NAMES[making.way],
      ...(last ? [`${stageTitle(last.stage, making).toLowerCase()} ${day(last.at)}`] : [`begun ${day(making.begunAt)}`]),
      next === null ? 'done' : `next: ${stageTitle(next, making).toLowerCase()}`,
    ].join(' · ');
  },
  columns: [
    {
      title: 'steps told',
      told: (making) =>
        making.told
          .map(({ stage, at, mass_kg }) => `${stageTitle(stage, making)} ${new Date(at).toISOString()}${mass_kg === undefined ? '' : ` ${mass_kg} kg`}`)
          .join('; '),
    },
  ],
  searched: ({ note }) => note,
  names: ({ formId }) => [{ kind: 'forms', id: formId, path: 'formId' }],
  past: ({ told }) => told.map(({ at }, i) => ({ at, path: `told.${i}.at` })),
  archives: false,
});
