/**
 * The next firing after one that fell short or went too far: one figure changes, the working temperature or its hold, and all else stays as
 * it ran. What it aims at is heat work: the middle, in the logarithm, between what fell short and what went too far, as in ./bounds. What
 * can be expected of it is told by the posterior of learn/corrections.
 */
import { valueOf } from '../problem';
import { efold } from '../flow/heatWork';
import { hottestSegment } from '../heat/regimes';
import { simulateFiring } from '../heat/simulate';
import type { SimulationInput, SimulationResult } from '../heat/simulation';
import type { PurposefulSegment } from '../kiln/segment';
import { type Foreseen, type LookSeen, NO_CORRECTIONS, foresee, workAsRead } from '../learn/corrections';
import { RECIPES } from '../look/recipes/all';
import { aimedWork, neededWork } from '../look/work';
import { LEAST_MORE, asGlass } from './bounds';
import { evaluate } from './check';
import { equalWork } from './equalWork';
import type { FiringCase } from './firingCase';
import { keyedIn } from './firstGuess';
import type { Evaluation } from './reading';
import { resolved } from './resolved';
import { wholeDegrees } from './rounding';
import type { WorkDone } from './seenWork';

export const CHANGES_FIRST = ['temperature', 'hold'] as const;
/** What changes, the other staying as it was. */
export type ChangesFirst = (typeof CHANGES_FIRST)[number];

/** How a firing of this kind, of the same body in the same kiln, came out; by what the controller read. */
export interface SeenLike extends WorkDone {
  outcome: LookSeen['outcome'];
  by?: LookSeen['by'];
}

export interface NextAsked {
  /** Of the firing to come: what it is held to by firings before is in its seen. */
  firing: FiringCase;
  /** What it starts from: what ran last, or what is composed for a body that has become another since. */
  segments: readonly PurposefulSegment[];
  /** The working temperature and hold that ran last. */
  was: Pick<PurposefulSegment, 'target_C' | 'hold_s'>;
  seen: readonly SeenLike[];
  changes: ChangesFirst;
}

export interface NextFiring {
  changes: ChangesFirst;
  segments: PurposefulSegment[];
  evaluation: Evaluation;
  was: Pick<PurposefulSegment, 'target_C' | 'hold_s'>;
  next: Pick<PurposefulSegment, 'target_C' | 'hold_s'>;
  /** Heat work that it aims at, as the glass has it, 1/Pa, and whether this one figure alone gets there. */
  aim_perPa: number;
  reached: boolean;
  foreseen: Foreseen;
}

/** Work within this share of its aim, or a whole degree or minute away from it, is there. */
const THERE = 0.15;
const ROUNDS = 6;
const MINUTE_S = 60;

/** The most that fell short, and the least that went too far. */
export function endsOf(seen: readonly SeenLike[]): { short?: SeenLike; past?: SeenLike } {
  const short = seen
    .filter(({ outcome }) => outcome === 'short')
    .sort((a, b) => b.work_perPa - a.work_perPa)
    .at(0);
  const past = seen
    .filter(({ outcome }) => outcome === 'past')
    .sort((a, b) => a.work_perPa - b.work_perPa)
    .at(0);
  return { ...(short ? { short } : {}), ...(past ? { past } : {}) };
}

/** Those that were right and lie between the two, the last one first. */
export const rightAmong = (seen: readonly SeenLike[], { short, past }: { short?: SeenLike; past?: SeenLike }): SeenLike[] =>
  seen.filter(({ outcome, work_perPa }) => outcome === 'right' && work_perPa > (short?.work_perPa ?? 0) && work_perPa < (past?.work_perPa ?? Infinity));

/** Where one of the like was right, that again; between two others their middle; where there is one alone, as its recipe aims. */
function aimAt(firing: ReturnType<typeof resolved>, seen: readonly SeenLike[]): number {
  const range = valueOf(firing.work_perPa);
  const offset_K = firing.corrections?.offset_K ?? 0;
  const right = rightAmong(seen, endsOf(seen)).at(0);
  if (right) {
    const [whole, had] = [right, firing.seen?.had].map((one) => (one ? asGlass(firing.viscosity, one, offset_K) : 0));
    return Math.max(whole - had, LEAST_MORE * had);
  }
  return firing.seen?.short && firing.seen.past ? Math.sqrt(range.least * range.most) : aimedWork(firing.look, range);
}

/** The hottest segment keyed so that it does the work in its hold. */
function hotter(firing: ReturnType<typeof resolved>, segments: PurposefulSegment[], aim_perPa: number, simulate: (input: SimulationInput) => SimulationResult) {
  const hottest = hottestSegment(segments);
  const unit = keyedIn(firing);
  // Below what comes before it, it is no working segment any more.
  const least_C = Math.max(...[firing.kiln.ambient_C, ...segments.slice(0, hottest).map(({ target_C }) => target_C)]);
  let target_C = segments[hottest].target_C;
  const moved = (): PurposefulSegment[] => segments.map((one, i) => (i === hottest ? { ...one, target_C } : one));
  for (let round = 0; round < ROUNDS; round += 1) {
    const { work_perPa } = evaluate(firing, moved(), false, simulate);
    const step = efold(firing.viscosity, target_C) * Math.log(aim_perPa / work_perPa.mean);
    target_C = Math.min(Math.max(target_C + step, least_C), firing.kiln.top_C);
    if (Math.abs(step) < 0.2) break;
  }
  target_C = wholeDegrees(target_C, unit);
  return moved();
}

/** The hottest segment held so that it does the work where it is; whole minutes. */
function longer(firing: ReturnType<typeof resolved>, segments: PurposefulSegment[], aim_perPa: number, simulate: (input: SimulationInput) => SimulationResult) {
  const hottest = hottestSegment(segments);
  const held = equalWork(firing, segments, segments[hottest].target_C, aim_perPa, simulate).segments;
  // Longer than its kind is ever held, or than it was, the temperature is what must change.
  const most_s = Math.max(RECIPES[firing.look].hold_s.most, segments[hottest].hold_s);
  return held.map((one, i) => (i === hottest ? { ...one, hold_s: Math.min(Math.round(one.hold_s / MINUTE_S) * MINUTE_S, most_s) } : one));
}

export function nextFiring(
  { firing: asked, segments, was, seen, changes }: NextAsked,
  simulate: (input: SimulationInput) => SimulationResult = simulateFiring,
): NextFiring {
  const firing = resolved(asked);
  const aim_perPa = aimAt(firing, seen);
  const hottest = hottestSegment(segments);
  const started = segments.map((one, i) => (i === hottest ? { ...one, ...was } : one));
  const next = (changes === 'temperature' ? hotter : longer)(firing, started, aim_perPa, simulate);
  const evaluation = evaluate(firing, next, false, simulate);
  const { target_C, hold_s } = next[hottest];
  const off = Math.abs(Math.log(evaluation.work_perPa.mean / aim_perPa));
  const aside = changes === 'temperature' ? 1 / efold(firing.viscosity, target_C) : MINUTE_S / Math.max(hold_s, MINUTE_S);
  return {
    changes,
    segments: next,
    evaluation,
    was,
    next: { target_C, hold_s },
    aim_perPa,
    reached: off <= Math.max(THERE, aside),
    foreseen: foreseen(asked, evaluation, target_C, seen),
  };
}

/** With all that the glass has had counted to it. */
function foreseen(firing: FiringCase, { work_perPa }: Evaluation, work_C: number, seen: readonly SeenLike[]): Foreseen {
  const { viscosity: vft, workFactor } = resolved(firing);
  const { corrections = NO_CORRECTIONS, body, look, limits, setup } = firing;
  const usual = valueOf(neededWork(body, look, limits.works_perPa, setup.shaping));
  const range = { least_perPa: usual.least * workFactor, most_perPa: usual.most * workFactor };
  // What was taken off already is not looked for once more.
  const asPlanned = (one: WorkDone): number => asGlass(vft, one, corrections.offset_K);
  const had = firing.seen?.had ? asPlanned(firing.seen.had) : 0;
  return foresee(
    vft,
    seen.map((one) => ({ ...one, ...range, work_perPa: asPlanned(one) })),
    { ...range, work_perPa: work_perPa.mean + had, work_C },
  );
}

/** What a firing did by the controller, for a list of what was seen. */
export function workSeen(firing: FiringCase, segments: readonly PurposefulSegment[], evaluation: Evaluation): WorkDone {
  const work_C = segments[hottestSegment(segments)].target_C;
  return { work_C, work_perPa: workAsRead(resolved(firing).viscosity, evaluation.work_perPa.mean, work_C, firing.corrections ?? {}) };
}
