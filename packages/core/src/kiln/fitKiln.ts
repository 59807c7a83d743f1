/**
 * A kiln's constants from a test: temperatures while it climbs at full power and cools with the power off. Fitted is
 * C·dT/dt = P·u − U(T − Ta) − S(T⁴ − Ta⁴) in its integral form, so that noise is not differentiated. Only P/C, U/C and S/C
 * can be told from temperatures. One node cannot fit both a climb and a long tail: where a wall that stores heat, −G(T − Tw) with
 * Cw·dTw/dt = G(T − Tw), fits clearly better, it is told too. It is taken to be as warm as the kiln at the first reading.
 */
import { differenceBothWays } from '../units/format';
import { KELVIN_AT_0_C } from '../units/physical';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Outcome, found, refused } from '../problem';
import { type KilnConstants, wallAfter } from './kiln';

export interface KilnReading {
  t_s: number;
  kiln_C: number;
  /** Share of full power from this reading to the next, 0 to 1. */
  power: number;
}

export interface KilnFit {
  constants: Pick<KilnConstants, 'power_K_per_s' | 'loss_per_s' | 'radiantLoss_per_K3_s' | 'wallExchange_per_s' | 'wallOverChamber'>;
  /** Root mean square of the temperature that the fit misses from reading to reading, K. */
  misfit_K: number;
  /** The fit is no better than it should be trusted: what to measure besides. */
  remark: string | null;
}

const LEAST_READINGS = 8;
/** Loss can be told from a range this wide, K. */
const LEAST_RANGE_K = 200;
const POOR_MISFIT_K = 8;
/** What parameters are counted in, so that they are near one: K/s, 1/s, 1/(K³·s). */
const SCALE = { power: 0.2, loss: 5e-5, radiant: 5e-14, exchange: 1e-4 };
/** What readings are good to at best, K. */
const READ_TO_K = 0.02;
/** A wall is told only where it makes the misfit so many times smaller: two constants more fit anything a little better. */
const WALL_BETTER = 1.5;
/** How fast walls follow, 1/s, from two days to ten minutes; by what factor those that are tried are apart, and to what one is sought. */
const PACES_APART = 2;
const PACE_TO = 1.002;
const WALL_PACES_HZ = Array.from({ length: 9 }, (_, i) => 6e-6 * PACES_APART ** i);

export function fitKiln(readings: readonly KilnReading[], ambient_C: number): Outcome<KilnFit> {
  if (readings.length < LEAST_READINGS) return refused('too-few', 'readings', `At least ${LEAST_READINGS} readings are needed; got ${readings.length}.`);
  const range = Math.max(...readings.map(({ kiln_C }) => kiln_C)) - Math.min(...readings.map(({ kiln_C }) => kiln_C));
  if (range < LEAST_RANGE_K)
    return refused('too-narrow', 'readings', `The readings span ${differenceBothWays(range)}; a fit needs ${differenceBothWays(LEAST_RANGE_K)}.`);
  const powers = new Set(readings.slice(0, -1).map(({ power }) => power > 0));
  if (powers.size < 2) return refused('one-sided', 'readings', 'The readings need both a climb with power and a cooling without it.');

  const room = ambient_C + KELVIN_AT_0_C;
  const steps = readings.slice(1).map((next, i) => {
    const here = readings[i];
    const dt = next.t_s - here.t_s;
    const over = (a: KilnReading): [linear: number, radiant: number] => {
      const T = a.kiln_C + KELVIN_AT_0_C;
      return [T - room, T ** 4 - room ** 4];
    };
    const [linear0, radiant0] = over(here);
    const [linear1, radiant1] = over(next);
    return {
      power: here.power * dt * SCALE.power,
      linear: ((linear0 + linear1) / 2) * dt * SCALE.loss,
      radiant: ((radiant0 + radiant1) / 2) * dt * SCALE.radiant,
      rise: next.kiln_C - here.kiln_C,
    };
  });
  /** Constants in the scale that fit best, all positive, with what each step gave to a wall or without one, and what they miss, K. */
  const fitted = (toWall: readonly number[] | null): { values: readonly number[]; misfit_K: number } => {
    const slopes = steps.map((one, i) => [one.power, -one.linear, -one.radiant, ...(toWall ? [-toWall[i]] : [])]);
    const model = (values: readonly number[], i: number): number => slopes[i].reduce((sum, slope, k) => sum + slope * values[k], 0);
    const { parameterValues: values } = levenbergMarquardt({ x: steps.map((_, i) => i), y: steps.map(({ rise }) => rise) }, (now) => (i) => model(now, i), {
      initialValues: slopes[0].map(() => 1),
      minValues: slopes[0].map((_, k) => (k === 0 ? 1e-3 : 0)),
      maxValues: slopes[0].map((_, k) => (k === 0 ? 50 : 200)),
      maxIterations: 25,
      jacobianFunction: () => (i) => slopes[i],
    });
    return { values, misfit_K: Math.sqrt(steps.reduce((sum, { rise }, i) => sum + (model(values, i) - rise) ** 2, 0) / steps.length) };
  };
  /** With a wall that follows the temperatures that were read at a pace, 1/s. */
  const walledAt = (pace_Hz: number): ReturnType<typeof fitted> & { pace_Hz: number } => {
    const wall = { wallExchange_per_s: SCALE.exchange, wallOverChamber: SCALE.exchange / pace_Hz };
    let wall_C = readings[0].kiln_C;
    const toWall = readings.slice(1).map((next, i) => {
      const before_C = wall_C;
      wall_C = wallAfter(wall, wall_C, readings[i].kiln_C, next.kiln_C, next.t_s - readings[i].t_s);
      return wall.wallOverChamber * (wall_C - before_C);
    });
    return { pace_Hz, ...fitted(toWall) };
  };
  const bestOf = (paces: readonly number[]) => paces.map(walledAt).reduce((best, one) => (one.misfit_K < best.misfit_K ? one : best));

  const plain = fitted(null);
  if (!Number.isFinite(plain.misfit_K)) return refused('no-fit', 'readings', 'No kiln fits these readings; check their times and powers.');
  let walled = bestOf(WALL_PACES_HZ);
  for (let apart = Math.sqrt(PACES_APART); apart > PACE_TO; apart = Math.sqrt(apart)) {
    walled = bestOf([walled.pace_Hz / apart, walled.pace_Hz, walled.pace_Hz * apart]);
  }
  const stores = walled.misfit_K * WALL_BETTER < plain.misfit_K && walled.misfit_K < plain.misfit_K - READ_TO_K;
  const { misfit_K, values } = stores ? walled : plain;
  const wallExchange_per_s = values[3] * SCALE.exchange;
  return found({
    constants: {
      ...{ power_K_per_s: values[0] * SCALE.power, loss_per_s: values[1] * SCALE.loss, radiantLoss_per_K3_s: values[2] * SCALE.radiant },
      ...(stores ? { wallExchange_per_s, wallOverChamber: wallExchange_per_s / walled.pace_Hz } : {}),
    },
    misfit_K,
    remark:
      misfit_K > POOR_MISFIT_K
        ? `The fit misses by ${differenceBothWays(misfit_K)} from reading to reading: no kiln with one wall that stores heat does this.`
        : null,
  });
}
