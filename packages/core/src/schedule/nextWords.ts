/** Why the next firing is as it is, in sentences: what firings of its kind showed, and what comes off for the glass. */
import { type Units } from '../units/convert';
import { formatDifference, formatDuration, formatTemperature, text } from '../units/format';
import type { NextFiring, SeenLike } from './nextFiring';

const SHOWED = { short: 'fell short', past: 'went too far' } as const;

/** seen: the last one first. */
export function nextWhy(
  { changes, was, next, reached }: Pick<NextFiring, 'changes' | 'was' | 'next' | 'reached'>,
  seen: readonly SeenLike[],
  { temperature }: Units,
): string[] {
  const degrees = (celsius: number): string => text(formatTemperature(celsius, temperature));
  const short = seen
    .filter(({ outcome }) => outcome === 'short')
    .sort((a, b) => b.work_perPa - a.work_perPa)
    .at(0);
  const past = seen
    .filter(({ outcome }) => outcome === 'past')
    .sort((a, b) => a.work_perPa - b.work_perPa)
    .at(0);
  const told = [short, past].flatMap((one) => (one && one.outcome !== 'right' ? [`${degrees(one.work_C)} ${SHOWED[one.outcome]}`] : []));
  const to =
    changes === 'temperature'
      ? `${degrees(next.target_C)} for the same ${text(formatDuration(was.hold_s))}`
      : `${text(formatDuration(next.hold_s))} at the same ${degrees(was.target_C)}`;
  return [
    ...(told.length > 0 ? [`${told.join(', ')}: ${to}.`] : []),
    ...(short && past && short.work_perPa >= past.work_perPa
      ? ['What fell short had more heat work than what went too far. One of the two may have been something else: look at both.']
      : []),
    ...(reached
      ? []
      : [
          changes === 'temperature'
            ? 'The temperature alone does not get there: change the hold.'
            : 'The hold alone does not get there: change the temperature.',
        ]),
  ];
}

/** What changes: '12 °C hotter', '5 min shorter'; '' where nothing does. */
export function changeWords({ changes, was, next }: Pick<NextFiring, 'changes' | 'was' | 'next'>, { temperature }: Units): string {
  const by = changes === 'temperature' ? next.target_C - was.target_C : next.hold_s - was.hold_s;
  if (Math.abs(by) < 1e-6) return '';
  if (changes === 'temperature') return `${text(formatDifference(Math.abs(by), temperature))} ${by > 0 ? 'hotter' : 'cooler'}`;
  return `${text(formatDuration(Math.abs(by)))} ${by > 0 ? 'longer' : 'shorter'}`;
}
