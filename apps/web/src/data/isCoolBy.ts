import type { Firing } from '@torvin/schema';

/** Whether a load has been opened, or is cool enough by its schedule: only then is there a result to record. */
export const isCoolBy = ({ load, total_s }: Pick<Firing, 'total_s'> & { load: Pick<Firing['load'], 'at' | 'openedAt'> }, now: number): boolean =>
  load.openedAt !== null || now >= load.at + total_s * 1000;
