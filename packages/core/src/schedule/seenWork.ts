/** What firings of the same kind have shown of the heat work that one needs. */
import type { HowFar } from '../learn/corrections';

/** Heat work that a firing did, 1/Pa, at its working temperature, °C. */
export interface WorkDone {
  work_perPa: number;
  work_C: number;
}

/** What bounds one firing's heat work; short: the most that fell short; past: the least that went too far. */
export interface SeenWork {
  short?: WorkDone & { by?: HowFar };
  past?: WorkDone & { by?: HowFar };
  /** What brought it as far down as it was measured to be, where it goes on from there: how much that was of what is reckoned for it. */
  soFar?: WorkDone & { reckoned_perPa: number };
  /** What this very glass has had of it, where it goes into the kiln again: it asks for the rest. */
  had?: WorkDone;
}
