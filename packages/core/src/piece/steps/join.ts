import { formatDuration, text } from '../../units/format';
import type { HandStep } from '../handStep';
import { isOnePiece } from '../bodyNow';
import { NOTHING_THERE, NOT_ONE, stepOutcome, unlike } from '../stepOutcome';
import { type BenchKind, HOUR_S } from './step';

export const JOINED_BY = ['glue', 'stem', 'hanger'] as const;
export type JoinedBy = (typeof JOINED_BY)[number];
export const JOINED_NAMES: Record<JoinedBy, string> = { glue: 'Glued', stem: 'On a stem', hanger: 'Hung' };

export type JoinStep = HandStep & { kind: 'join'; by: JoinedBy; cure_s: number };

export const join: BenchKind<JoinStep> = {
  name: 'Join cold',
  usual: () => ({ by: 'glue', cure_s: 24 * HOUR_S }),
  fields: [
    { as: 'choice', key: 'by', label: 'How', options: JOINED_BY.map((value) => ({ value, title: JOINED_NAMES[value] })), testID: 'join' },
    { as: 'time', key: 'cure_s', label: 'sets', name: 'The setting', testID: 'cure' },
  ],
  words: ({ by, cure_s }) => `${JOINED_NAMES[by].toLowerCase()}${cure_s > 0 ? `, ${text(formatDuration(cure_s))} to set` : ''}`,
  applies: (now) => (now.layers.length === 0 ? unlike(NOTHING_THERE) : isOnePiece(now) ? stepOutcome(now) : unlike(NOT_ONE)),
  caution:
    'Adhesives by their makers’ sheets: gloves, fresh air, no UV into the eyes. Anything that hangs over people needs a fixing approved by a licensed person.',
};
