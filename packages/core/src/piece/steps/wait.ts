import { formatDuration, text } from '../../units/format';
import type { HandStep } from '../handStep';
import { type BenchKind, HOUR_S } from './step';

export type WaitStep = HandStep & { kind: 'wait'; for_s: number; why?: string };

export const wait: BenchKind<WaitStep> = {
  name: 'Wait',
  usual: () => ({ for_s: 12 * HOUR_S }),
  fields: [{ as: 'time', key: 'for_s', label: 'waits', name: 'The wait', testID: 'wait' }],
  words: ({ for_s, why }) => `${text(formatDuration(for_s))}${why ? `, ${why}` : ''}`,
};
