/** Controllers: three figures make one; how it is keyed and what it does while it runs stand folded beneath. */
import { AFTER_CUTS, HOLD_KINDS, KEY_ORDERS, PROGRAM_ENDS, RATE_KINDS, profileOf, profileWords } from '@torvin/core/controller';
import { ControllerChangeSchema, ControllerSchema } from '../records';
import { type Field, NAME, SOURCE, asOptions, difference, plain, rate, temperature } from './fields';
import { kind } from './kind';
import { KIND_NAMES } from './names';

export const WIRING = 'A kiln’s wiring, earthing, clearances and ventilation are for licensed people under local codes; nothing here replaces them.';

const COUNTS_IN: Field = {
  as: 'choice',
  key: 'unit',
  label: 'It counts in',
  options: [
    { value: 'C', title: '°C' },
    { value: 'F', title: '°F' },
  ],
  testID: 'controller-unit',
};

const KEYED = { optional: true, folded: 'keyed' } as const;
const RUNS = { optional: true, folded: 'runs' } as const;
const NOT_THERE = { ...RUNS, hint: 'left empty, it has none' } as const;
const usualFor = (key: 'leastRate' | 'rateStep' | 'targetStep' | 'programs' | 'builtIn'): string =>
  `left empty, ${profileOf({ unit: 'C', fullSpeedCode: 0, mostSegments: 8 })[key]}`;
const inWordsOf = (key: string, label: string, usual: string): Field => ({
  as: 'words',
  key,
  label,
  testID: `controller-${key}`,
  ...KEYED,
  hint: `left empty, '${usual}'`,
});

export const controllers = kind({
  ...KIND_NAMES.controllers,
  caution: WIRING,
  schema: ControllerSchema,
  change: ControllerChangeSchema,
  fields: [
    NAME,
    SOURCE,
    plain('fullSpeedCode', 'Figure for as fast as it can'),
    plain('mostSegments', 'Segments it holds'),
    COUNTS_IN,
    {
      ...{ as: 'choice', key: 'order', label: 'Of a segment it asks first', testID: 'controller-order', usual: 'rateFirst' },
      options: asOptions(KEY_ORDERS, (order) => ({ rateFirst: 'how fast', targetFirst: 'how hot' })[order]),
      ...KEYED,
    },
    {
      ...{ as: 'choice', key: 'rateAs', label: 'A rate is keyed in', testID: 'controller-rateAs', usual: 'perHour' },
      options: asOptions(RATE_KINDS, (one) => ({ perHour: 'degrees an hour', perMinute: 'degrees a minute', minutes: 'minutes to the target' })[one]),
      ...KEYED,
    },
    plain('leastRate', 'Least that it takes there', '', 1, { ...KEYED, hint: usualFor('leastRate') }),
    plain('mostRate', 'Most that it takes there', '', 1, { ...KEYED, hint: 'left empty, up to the figure for as fast as it can' }),
    plain('rateStep', 'In steps of', '', 1, { ...KEYED, hint: usualFor('rateStep') }),
    {
      as: 'numbers',
      key: 'rates',
      label: 'Where it offers a few rates only',
      testID: 'figure-rates',
      ...KEYED,
      hint: '50; 150; 300; left empty, any within those',
    },
    plain('fullSpeedDownCode', 'Figure for as fast as it can, on the way down', '', 1, { ...KEYED, hint: 'left empty, as on the way up' }),
    {
      ...{ as: 'choice', key: 'holdAs', label: 'A hold is keyed in', testID: 'controller-holdAs', usual: 'minutes' },
      options: asOptions(HOLD_KINDS, (one) => ({ minutes: 'minutes: 150', point: 'hours and minutes: 2.30', colon: 'hours and minutes: 2:30' })[one]),
      ...KEYED,
    },
    plain('mostHold_s', 'Longest hold', 'min', 1 / 60, { ...KEYED, hint: 'left empty, as long as its digits can say' }),
    plain('targetStep', 'Targets in steps of', '', 1, { ...KEYED, hint: usualFor('targetStep') }),
    temperature('top_C', 'Hottest target it takes', { ...KEYED, hint: 'left empty, it takes any' }),
    {
      ...{ as: 'choice', key: 'ends', label: 'A program ends', testID: 'controller-ends', usual: 'done' },
      options: asOptions(
        PROGRAM_ENDS,
        (one) => ({ done: 'at a key', zero: 'at a segment of zero', count: 'after as many as were said first', hold: 'at a last hold of its longest' })[one],
      ),
      ...KEYED,
    },
    {
      as: 'yes',
      key: 'keepsOld',
      label: 'Over an older program',
      title: 'it shows and keeps what is there',
      testID: 'controller-keepsOld',
      usual: true,
      ...KEYED,
    },
    { as: 'yes', key: 'reviews', label: 'Afterwards', title: 'a program can be looked through', testID: 'controller-reviews', usual: true, ...KEYED },
    plain('programs', 'Programs it keeps', '', 1, { ...KEYED, hint: usualFor('programs') }),
    plain('builtIn', 'Of these, the first so many came with it', '', 1, { ...KEYED, hint: usualFor('builtIn') }),
    inWordsOf('rateWords', 'It asks for a rate', 'How fast'),
    inWordsOf('targetWords', 'It asks for a target', 'How hot'),
    inWordsOf('holdWords', 'It asks for a hold', 'How long'),
    plain('mostDelay_s', 'Longest delay of a start', 'h', 1 / 3600, NOT_THERE),
    { as: 'yes', key: 'alarms', label: 'At a time or a heat', title: 'it can sound an alarm', testID: 'controller-alarms', ...RUNS },
    { as: 'yes', key: 'skips', label: 'A segment', title: 'can be skipped while it runs', testID: 'controller-skips', ...RUNS },
    plain('addTime_s', 'Lengthens a hold in steps of', 'min', 1 / 60, NOT_THERE),
    difference('addDegrees_K', 'A press adds to the target', NOT_THERE),
    rate('preset_K_per_s', 'Rate of a program of one segment that it has besides', NOT_THERE),
    {
      ...{ as: 'choice', key: 'afterCut', label: 'After a power cut', testID: 'controller-afterCut', usual: 'stops' },
      options: asOptions(AFTER_CUTS, (one) => ({ goesOn: 'it goes on', goesOnIfWarm: 'it goes on while still hot', stops: 'it stops' })[one]),
      ...RUNS,
    },
  ],
  begins: () => ({ unit: 'C' as const, fullSpeedCode: 4000, mostSegments: 8 }),
  about: (controller) => profileWords(controller),
});
