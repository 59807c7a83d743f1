import { formatDuration, text } from '../../units/format';
import type { HandStep } from '../handStep';
import { type BenchKind, HOUR_S } from './step';

/** What is cleaned off: dust and fingerprints, primer that has to soak, the scale of a steel ring. */
export const CLEANED_OFF = ['dust', 'primer', 'scale'] as const;
export type CleanedOff = (typeof CLEANED_OFF)[number];
export const CLEANED_NAMES: Record<CleanedOff, string> = { dust: 'Dust and fingerprints', primer: 'Primer, soaked off', scale: 'Scale of a steel ring' };

export type CleanStep = HandStep & { kind: 'clean'; off: CleanedOff; soak_s: number };

export const clean: BenchKind<CleanStep> = {
  name: 'Clean',
  usual: () => ({ off: 'primer', soak_s: HOUR_S }),
  fields: [
    {
      ...{ as: 'choice', key: 'off', label: 'What comes off', testID: 'clean' },
      options: CLEANED_OFF.map((value) => ({ value, title: CLEANED_NAMES[value] })),
      brings: ({ soak_s }, off) => ({ soak_s: off === 'primer' ? Math.max(soak_s, HOUR_S) : 0 }),
    },
    { as: 'time', key: 'soak_s', label: 'soaks', name: 'The soaking', testID: 'soak', asks: ({ off }) => off === 'primer' },
  ],
  words: ({ off, soak_s }) => `${CLEANED_NAMES[off].toLowerCase()}${soak_s > 0 ? `, ${text(formatDuration(soak_s))}` : ''}`,
  caution:
    'Soak, do not scrape dry: primer dust holds silica and clay. Scale of steel is sharp: gloves and eye protection. Acids by their makers’ sheets alone.',
};
