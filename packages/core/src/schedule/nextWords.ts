/** Why the next firing is as it is, in sentences: what firings of its kind showed, and what comes off for the glass. */
import { type Units } from '../units/convert';
import { formatDifference, formatDuration, formatLength, formatTemperature, text } from '../units/format';
import type { Foreseen } from '../learn/corrections';
import { isBending, shapingDown } from '../look/shaping';
import type { FiringCase } from './firingCase';
import { type NextFiring, type SeenLike, endsOf, rightAmong } from './nextFiring';

const SHOWED = { short: 'fell short', right: 'was right', past: 'went too far' } as const;

/** seen: the last one first. */
export function nextWhy(
  { changes, next, reached }: Pick<NextFiring, 'changes' | 'next' | 'reached'>,
  seen: readonly SeenLike[],
  { temperature }: Units,
): string[] {
  const degrees = (celsius: number): string => text(formatTemperature(celsius, temperature));
  const { short, past } = endsOf(seen);
  const right = rightAmong(seen, { short, past }).at(0);
  const told = [short, right, past].flatMap((one) => (one ? [`${degrees(one.work_C)} ${SHOWED[one.outcome]}`] : []));
  const [hot, held] = [degrees(next.target_C), text(formatDuration(next.hold_s))];
  // What was right may have been held for longer or shorter: what is the same then is its heat work.
  const to = right
    ? `${hot} for ${held} does the heat work that was right`
    : changes === 'temperature'
      ? `${hot} for the same ${held}`
      : `${held} at the same ${hot}`;
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

/** The result that can be expected, between what it lies with 90 %: how far glass comes down, or its heat work. */
export function expectedWords({ ofLeast: [from, , to] }: Foreseen, { setup: { shaping } }: Pick<FiringCase, 'setup'>, { length }: Units): string {
  const whole_m = shapingDown(shaping);
  if (!isBending(shaping) || whole_m === null) return `Expected: ${from.toFixed(1)} to ${to.toFixed(1)} times the least heat work it needs (9 in 10).`;
  const down_m = shaping.down_m ?? 0;
  const reached = (share: number): string => formatLength(down_m + (whole_m - down_m) * Math.min(1, share), length).figure;
  const all = text(formatLength(whole_m, length));
  return from >= 1 ? `Expected: all ${all} of the way down (9 in 10).` : `Expected: ${reached(from)} to ${reached(to)} of ${all} down (9 in 10).`;
}
