import type { FiringDetail } from '@torvin/schema';

/** The segments that ran and the engine's word on them. */
export const asRun = ({ firing, schedule, asFiredResult }: FiringDetail) =>
  firing.asFired && asFiredResult ? { segments: firing.asFired, evaluation: asFiredResult } : { segments: schedule.segments, evaluation: schedule.result };
