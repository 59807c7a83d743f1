/** Which of a segment's readings its row shows. */
import { type Reading, marginOf, tightest } from '@torvin/core/schedule';

/** The reading to show: the worst of the broken ones, else the tightest. */
export function readingFor(readings: readonly Reading[], index: number): Reading | null {
  const broken = readings.filter((reading) => reading.segment === index && !reading.ok);
  if (broken.length > 0) return broken.reduce((worst, reading) => (marginOf(reading) < marginOf(worst) ? reading : worst));
  return tightest(readings, index);
}
