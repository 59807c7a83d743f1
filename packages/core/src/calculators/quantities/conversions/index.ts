import { valueOf } from '../../../problem';
import { type SameWorkAsked, type SameWorkTold, sameWork } from '../../../quantity/sameWork';
import { type Reading, type WrittenAsked, readings } from '../../../quantity/written';
import { calculator } from '../../calculator';

type Asked = ({ kind: 'written' } & WrittenAsked) | ({ kind: 'sameWork' } & SameWorkAsked);
export type Converted = { kind: 'written'; readings: Reading[] } | ({ kind: 'sameWork' } & SameWorkTold);

/** What was written in other units; the same heat work elsewhere. */
export const conversions = calculator({
  compute: (asked: Asked): Converted =>
    asked.kind === 'written' ? { kind: asked.kind, readings: valueOf(readings(asked)) } : { kind: asked.kind, ...valueOf(sameWork(asked)) },
  contract: () => import('./contract'),
  light: true,
});
