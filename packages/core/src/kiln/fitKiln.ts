/**
 * A kiln's constants from a test: temperatures while it climbs at full power and cools with the power off. Fitted is
 * C·dT/dt = P·u − U(T − Ta) − S(T⁴ − Ta⁴) in its integral form, so that noise is not differentiated. Only P/C, U/C and S/C
 * can be told from temperatures. One node cannot fit both a climb and a long tail: the misfit says so.
 */
import { KELVIN_AT_0_C } from '../units/physical';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Outcome, found, refused } from '../problem';
import type { KilnConstants } from './kiln';

export interface KilnReading {
  t_s: number;
  kiln_C: number;
  /** Share of full power from this reading to the next, 0 to 1. */
  power: number;
}

export interface KilnFit {
  constants: Pick<KilnConstants, 'power_K_per_s' | 'loss_per_s' | 'radiantLoss_per_K3_s'>;
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
const SCALE = { power: 0.2, loss: 5e-5, radiant: 5e-14 };

export function fitKiln(readings: readonly KilnReading[], ambient_C: number): Outcome<KilnFit> {
  if (readings.length < LEAST_READINGS) return refused('too-few', 'readings', `At least ${LEAST_READINGS} readings are needed; got ${readings.length}.`);
  const range = Math.max(...readings.map(({ kiln_C }) => kiln_C)) - Math.min(...readings.map(({ kiln_C }) => kiln_C));
  if (range < LEAST_RANGE_K) return refused('too-narrow', 'readings', `The readings span ${range.toFixed(0)} °C; a fit needs ${LEAST_RANGE_K}.`);
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
  const { parameterValues, parameterError } = levenbergMarquardt(
    { x: steps.map((_, i) => i), y: steps.map(({ rise }) => rise) },
    ([p, u, s]) =>
      (i) =>
        p * steps[i].power - u * steps[i].linear - s * steps[i].radiant,
    {
      initialValues: [1, 1, 1],
      minValues: [1e-3, 0, 0],
      maxValues: [50, 200, 200],
      maxIterations: 200,
      jacobianFunction: () => (i) => [steps[i].power, -steps[i].linear, -steps[i].radiant],
    },
  );
  const [p, u, s] = parameterValues;
  const misfit_K = Math.sqrt(steps.reduce((sum, one) => sum + (p * one.power - u * one.linear - s * one.radiant - one.rise) ** 2, 0) / steps.length);
  if (!Number.isFinite(parameterError)) return refused('no-fit', 'readings', 'No kiln fits these readings; check their times and powers.');
  return found({
    constants: { power_K_per_s: p * SCALE.power, loss_per_s: u * SCALE.loss, radiantLoss_per_K3_s: s * SCALE.radiant },
    misfit_K,
    remark:
      misfit_K > POOR_MISFIT_K
        ? `The fit misses by ${misfit_K.toFixed(0)} °C from reading to reading: thick walls that store heat need a second node, which this has not.`
        : null,
  });
}
