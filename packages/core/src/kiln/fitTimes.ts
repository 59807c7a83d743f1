/**
 * A kiln's constants from what a clock on the wall tells: how long it climbs at full power from the room to one temperature and
 * another, how long it falls closed and switched off. Between two temperatures a one-node kiln needs t = ∫ dT / (dT/dt), so the
 * constants are those whose integrals take the times that were told. Two times leave one of the losses to what is usual. Where no
 * such kiln takes them and the tail of its cooling was told, a wall that stores heat is fitted too, leaning on what is usual where
 * the times leave it open.
 */
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Outcome, found, refused } from '../problem';
import type { TemperatureUnit } from '../units/convert';
import { formatTemperature, text } from '../units/format';
import type { KilnConstants } from './kiln';
import { wallFitting } from './fitWall';
import { type KilnTimes, climbingPast, timesOf } from './times';

export interface KilnFromTimes {
  constants: Pick<KilnConstants, 'power_K_per_s' | 'loss_per_s' | 'radiantLoss_per_K3_s'> &
    Partial<Pick<KilnConstants, 'acrossLag_s_per_300mm' | 'wallExchange_per_s' | 'wallOverChamber'>>;
  /** The greatest share by which a told time is missed. */
  misfit: number;
  /** Why the figures should not be trusted further than they go. */
  remark: string | null;
}

/** What is usual, and parameters are counted in. */
const SCALE = { power: 0.2, loss: 5e-5, radiant: 5e-14, exchange: 1e-4, wall: 2 };
const POOR_MISFIT = 0.1;
/** A wall is looked for where a kiln without one misses a time by more than a clock does. */
const WALL_FROM_MISFIT = 0.05;

const asKiln = ([power, loss, radiant, exchange, wall]: readonly number[], ambient_C: number): KilnConstants => ({
  ...{ top_C: 0, acrossLag_s_per_300mm: 0, ambient_C },
  ...{ power_K_per_s: power * SCALE.power, loss_per_s: loss * SCALE.loss, radiantLoss_per_K3_s: radiant * SCALE.radiant },
  ...(exchange === undefined ? {} : { wallExchange_per_s: exchange * SCALE.exchange, wallOverChamber: wall * SCALE.wall }),
});

/** unit: what is refused and remarked is said in. */
export function fitKilnTimes(told: KilnTimes, unit: TemperatureUnit = 'C'): Outcome<KilnFromTimes> {
  const degrees = (celsius: number): string => text(formatTemperature(celsius, unit));
  const { ambient_C, climbs, fall, tail, apart } = told;
  if (climbs.length === 0) return refused('too-few', 'climbs', 'Say how long it climbs from cold to one temperature at least.');
  const sorted = [...climbs].sort((a, b) => a.to_C - b.to_C);
  for (const [i, { to_C, seconds }] of sorted.entries()) {
    if (!(seconds > 0) || to_C <= ambient_C)
      return refused('impossible', 'climbs', `A climb to ${degrees(to_C)} takes some time from a room of ${degrees(ambient_C)}.`);
    if (i > 0 && seconds <= sorted[i - 1].seconds) {
      return refused('impossible', 'climbs', `It cannot be at ${degrees(to_C)} sooner than at ${degrees(sorted[i - 1].to_C)}: both are counted from cold.`);
    }
  }
  if (!(fall.seconds > 0) || fall.to_C >= fall.from_C || fall.to_C <= ambient_C)
    return refused('impossible', 'fall', 'Enter a start above the end, both above room temperature, and a time.');
  if (tail && (!(tail.seconds > 0) || tail.to_C >= tail.from_C || tail.to_C <= ambient_C || tail.from_C > fall.to_C))
    return refused('impossible', 'tail', 'The second fall starts where the first ended or below, ends above room temperature, and takes some time.');
  const seconds = [...sorted.map((climb) => climb.seconds), fall.seconds, ...(tail ? [tail.seconds] : [])];
  // With two times there is a power and one loss to be told: radiation is held at what is usual beside the other.
  const free = seconds.length > 2;
  const whole = (values: readonly number[]): number[] => (free ? [...values] : [values[0], values[1], values[1]]);
  const sharesOf = (kiln: KilnConstants): number[] => timesOf(kiln, { ambient_C, climbs: sorted, fall, tail }).map((time, i) => Math.log(time / seconds[i]));
  const shares = (values: readonly number[]): number[] => sharesOf(asKiln(whole(values), ambient_C));
  const misfitOf = (missed: readonly number[]): number => Math.max(...missed.map((share) => Math.abs(Math.expm1(share))));
  const started = Math.max(1e-2, ((sorted[0].to_C - ambient_C) / sorted[0].seconds / SCALE.power) * 1.3);
  const { parameterValues } = levenbergMarquardt({ x: seconds.map((_, i) => i), y: seconds.map(() => 0) }, (values) => (i) => shares(values)[i], {
    initialValues: free ? [started, 1, 1] : [started, 1],
    minValues: free ? [1e-3, 0, 0] : [1e-3, 1e-3],
    maxValues: free ? [50, 200, 200] : [50, 200],
    maxIterations: 400,
    gradientDifference: 1e-4,
    centralDifference: true,
  });
  let kiln = asKiln(whole(parameterValues), ambient_C);
  let misfit = misfitOf(shares(parameterValues));
  if (tail && misfit > WALL_FROM_MISFIT) {
    const walled = asKiln(
      wallFitting(started, (factors) => sharesOf(asKiln(factors, ambient_C))),
      ambient_C,
    );
    const better = misfitOf(sharesOf(walled));
    if (better < misfit / 2) [kiln, misfit] = [walled, better];
  }
  if (!Number.isFinite(misfit)) return refused('no-fit', 'climbs', 'No kiln takes these times; check them.');
  const passing = apart === undefined ? 0 : climbingPast(kiln, apart.at_C);
  const { top_C: _top, acrossLag_s_per_300mm: _across, ambient_C: _room, ...constants } = kiln;
  return found({
    constants: {
      ...constants,
      ...(apart !== undefined && passing > 0 ? { acrossLag_s_per_300mm: apart.difference_K / passing } : {}),
    },
    misfit,
    remark:
      misfit > POOR_MISFIT
        ? `No kiln ${kiln.wallOverChamber === undefined ? 'of one heat store' : 'with a wall that stores heat'} takes all of these times: the nearest misses one by ${(misfit * 100).toFixed(0)} %. Check them${tail ? '' : '. Thick walls that store heat do this too: time how long it falls further down'}.`
        : free
          ? null
          : `From two times alone how it loses heat at the top is a guess; one more climb, to ${degrees(800)}, tells it.`,
  });
}
