/**
 * Search for the five constants of a kiln whose wall stores heat, as factors of what is usual. They are sought on logarithms, so that
 * all stay positive, and lean a little on what is usual where what was told leaves them open.
 */
import { levenbergMarquardt } from 'ml-levenberg-marquardt';

/** What a factor of e from what is usual counts beside what is missed. */
const LEANING = 0.03;
const FURTHEST = 5;

type Missed = (factors: readonly number[]) => number[];

/** Power, linear and radiant loss, exchange with the wall, the wall's heat capacity: kilns of all kinds to begin from. */
const STARTS = [1, 1.5, 2, 3, 4].flatMap((power) =>
  [0.2, 1].flatMap((loss) => [0.3, 1, 3].flatMap((exchange) => [0.5, 2].map((wall) => [power, loss, loss, exchange, wall]))),
);

function search(from: readonly number[], power: number, missed: Missed): number[] {
  const usual = [power, 1, 1, 1, 1].map(Math.log);
  const all = (logs: readonly number[]): number[] => [...missed(logs.map(Math.exp)), ...logs.slice(1).map((log, i) => LEANING * (log - usual[i + 1]))];
  const met = all(usual).map(() => 0);
  const { parameterValues } = levenbergMarquardt(
    { x: met.map((_, i) => i), y: met },
    (logs) => {
      const here = all(logs);
      return (i) => here[i];
    },
    {
      initialValues: from.map(Math.log),
      minValues: usual.map((one) => one - FURTHEST),
      maxValues: usual.map((one) => one + FURTHEST),
      maxIterations: 30,
      gradientDifference: 1e-3,
      centralDifference: true,
    },
  );
  return parameterValues.map(Math.exp);
}

/** power: the factor that a climb speaks for; missed: by the logarithm of its share, one for each time. */
export function wallFitting(power: number, missed: Missed): number[] {
  // A kiln that does not get there does not tell which way is nearer: it begins at the best of many kilns.
  const starts = STARTS.map(([more, ...rest]) => [more * power, ...rest]);
  const sums = starts.map((factors) => missed(factors).reduce((sum, one) => sum + one ** 2, 0));
  return search(starts[sums.indexOf(Math.min(...sums))], power, missed);
}
