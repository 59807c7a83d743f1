/**
 * What firings of the same kind have shown bounds the next one: what fell short asks for more heat work than that firing had, what went
 * too far for less, and with both on record the next lies between them, in the logarithm. A result speaks of the body that was fired, in
 * its form and its kiln, from where it was then; of all others it is evidence for the corrections alone. Where a shape came out half-way
 * and was measured, what the firing really took for that way is what the rest of the way takes.
 *
 * All work here is by what the controller read, in the middle of the kiln: with no offset taken off.
 */
import { bodyFigures, mainGlass } from '../body/body';
import { sidesOf } from '../body/footprint';
import { efold, type WorkRange } from '../flow/heatWork';
import { type Vft, viscosityOf } from '../glass/viscosity';
import type { Look } from '../look/names';
import { type Shaping, isBending, shapingDown } from '../look/shaping';
import { neededWork } from '../look/work';
import { MOST_OVER_LEAST } from '../look/works';
import type { Body, FiringCase } from './firingCase';
import { FAR, type HowFar, type LookSeen } from '../learn/corrections';
import type { SeenWork, WorkDone } from './seenWork';

/** A firing that was opened and told of. */
export interface SeenFiring extends WorkDone {
  firingId?: string;
  kilnId: string;
  stepId: string;
  look: Look;
  formId: string | null;
  outcome: LookSeen['outcome'];
  by?: HowFar;
  body: SeenBody;
  shaping?: Shaping;
}

/** What of a body decides whether a result speaks of it. */
export interface SeenBody {
  annealing_C: number;
  softening_C: number;
  mean_m: number;
  max_m: number;
  narrow_m: number;
  far_m: number;
  joined: boolean;
  parts: number;
}

export function seenBody({ body }: Pick<FiringCase, 'body'>): SeenBody {
  const { mean_m, max_m } = bodyFigures(body).depth;
  const [narrow_m, far_m] = sidesOf(body.footprint);
  const { annealing_C, softening_C } = mainGlass(body);
  return { annealing_C, softening_C, mean_m, max_m, narrow_m, far_m, joined: body.joined, parts: body.parts?.length ?? 0 };
}

/** Measures nearer than this, as a share, are the same. */
const SAME = 0.05;
const near = (one: number, other: number): boolean => Math.abs(one - other) <= SAME * Math.max(Math.abs(one), Math.abs(other));

const isSameBody = (one: SeenBody, other: SeenBody): boolean =>
  one.joined === other.joined &&
  one.parts === other.parts &&
  one.annealing_C === other.annealing_C &&
  one.softening_C === other.softening_C &&
  (['mean_m', 'max_m', 'narrow_m', 'far_m'] as const).every((key) => near(one[key], other[key]));

/** Whether what shaped the one shapes the other alike, from as far down. */
function isSameShaping(one: Shaping | undefined, other: Shaping | undefined): boolean {
  if (!one || !other) return one === other;
  const [a, b] = [Object.entries(one), Object.entries(other)].map((entries) => new Map(entries.filter(([key]) => key !== 'down_m')));
  const wholes = [...new Set([...a.keys(), ...b.keys()])].every((key) => {
    const [x, y] = [a.get(key), b.get(key)];
    return typeof x === 'number' && typeof y === 'number' ? near(x, y) : x === y;
  });
  const down = (shaping: Shaping): number => ('down_m' in shaping ? (shaping.down_m ?? 0) : 0);
  return wholes && Math.abs(down(one) - down(other)) <= SAME * (shapingDown(one) ?? 1);
}

/** Where a firing to come stands. */
export interface Standing {
  formId: string | null;
  /** The step whose measured shape it starts from. */
  formedBy: string | null;
  /** The firings that the same glass went through just before, the last one first, nothing laid on since. */
  firedBy?: readonly string[];
}

/** Those of its kind: of the same body, in the same form. */
export function likeThis(firing: Pick<FiringCase, 'body' | 'look' | 'setup'>, formId: string | null, seen: readonly SeenFiring[]): SeenFiring[] {
  const body = seenBody(firing);
  return seen.filter(
    (one) => one.look === firing.look && one.formId === formId && isSameBody(one.body, body) && isSameShaping(one.shaping, firing.setup.shaping),
  );
}

/** How a firing that was opened bears on one to come. */
export function seenFor(
  firing: Pick<FiringCase, 'body' | 'look' | 'setup' | 'limits'>,
  { formId, formedBy, firedBy = [] }: Standing,
  seen: readonly SeenFiring[],
): SeenWork | undefined {
  if (firing.body.glasses.length === 0) return undefined;
  const own = likeThis(firing, formId, seen);
  const done = ({ work_perPa, work_C, by }: SeenFiring): WorkDone & { by?: HowFar } => ({ work_perPa, work_C, ...(by ? { by } : {}) });
  const short = own.filter(({ outcome }) => outcome === 'short').sort((a, b) => b.work_perPa - a.work_perPa)[0] as SeenFiring | undefined;
  const past = own.filter(({ outcome }) => outcome === 'past').sort((a, b) => a.work_perPa - b.work_perPa)[0] as SeenFiring | undefined;
  const before = formedBy === null ? undefined : seen.find(({ stepId, look }) => stepId === formedBy && look === firing.look);
  const soFar = before && reckonedSoFar(firing, before);
  const had = soFar ? undefined : hadBefore(firing, firedBy, seen);
  // Loose before and one now: what it lacked then it lacks by the same glass.
  const lacking = had && had.work_perPa > (short?.work_perPa ?? 0) ? had : short && done(short);
  const all = {
    ...(lacking ? { short: lacking } : {}),
    ...(past ? { past: done(past) } : {}),
    ...(soFar ? { soFar } : {}),
    ...(had ? { had: { work_perPa: had.work_perPa, work_C: had.work_C } } : {}),
  };
  return Object.keys(all).length > 0 ? all : undefined;
}

/** What the same glass has had of this kind of firing, one after the other and each of them short; a measured shape tells that by itself. */
function hadBefore({ look, setup: { shaping } }: Pick<FiringCase, 'look' | 'setup'>, firedBy: readonly string[], seen: readonly SeenFiring[]) {
  if (shaping && 'down_m' in shaping && shaping.down_m) return undefined;
  const turns: SeenFiring[] = [];
  for (const id of firedBy) {
    const turn = seen.find(({ stepId }) => stepId === id);
    if (turn?.look !== look || turn.outcome !== 'short') break;
    turns.push(turn);
  }
  if (turns.length === 0) return undefined;
  const [{ work_C, by }] = turns;
  return { work_perPa: turns.reduce((sum, { work_perPa }) => sum + work_perPa, 0), work_C, ...(by ? { by } : {}) };
}

/** What is reckoned for the way that was measured, beside what the firing did; nothing where it started on the way, or came all of it. */
function reckonedSoFar({ body, look, setup, limits }: Pick<FiringCase, 'body' | 'look' | 'setup' | 'limits'>, before: SeenFiring): SeenWork['soFar'] {
  const { shaping } = setup;
  if (before.outcome !== 'short' || !isBending(shaping) || !shaping.down_m) return undefined;
  if (before.shaping && 'down_m' in before.shaping && before.shaping.down_m) return undefined;
  const { down_m, ...whole } = shaping;
  const reached: Shaping = whole.kind === 'hollow' ? { ...whole, depth_m: down_m } : { ...whole, drop_m: down_m };
  const reckoned = neededWork(body, look, limits.works_perPa, reached);
  return reckoned.ok ? { work_perPa: before.work_perPa, work_C: before.work_C, reckoned_perPa: reckoned.value.least } : undefined;
}

/** A result is told by eye: the next stays away from it by so much, as a factor; from one that was far off by as much as far is. */
const CLEAR_OF = 1.2;
const clearOf = ({ by }: { by?: HowFar }): number => (by === 'far' ? Math.exp(FAR) : CLEAR_OF);
/** What one bound leaves of a range is at least so wide, as a factor. */
const ROOM = 2;
/** Between two bounds no more is left to either side of their middle. */
const MOST_ROOM = Math.sqrt(MOST_OVER_LEAST);
/** Where what went too far had less than what fell short, about their middle. */
const LEAST_ROOM = 1.1;
/** What a measured way took is believed within this factor of what was reckoned. */
const BELIEVED = 4;

/** What was seen, told for a place that is so much hotter than the middle, K: the same work by the controller does more there. */
export function seenAt(seen: readonly SeenFiring[], body: Body, hotter_K: number): readonly SeenFiring[] {
  if (hotter_K === 0 || body.glasses.length === 0) return seen;
  const vft = viscosityOf(mainGlass(body));
  return seen.map((one) => ({ ...one, work_perPa: one.work_perPa * Math.exp(-hotter_K / efold(vft, one.work_C)) }));
}

/** Work as the glass had it where the controller reads offset_K over it, 1/Pa. */
export const asGlass = (vft: Vft, { work_perPa, work_C }: WorkDone, offset_K: number): number => work_perPa * Math.exp(-offset_K / efold(vft, work_C));

/** What glass that had some of it is given at least, as a share of that. */
export const LEAST_MORE = 0.1;

/** The heat work that a firing needs and bears, held to what was seen, 1/Pa. Work adds up: what the same glass has had comes off. */
export function boundedBy(usual: WorkRange, { had, ...seen }: SeenWork, vft: Vft, offset_K: number): WorkRange {
  const whole = boundedWhole(usual, seen, vft, offset_K);
  if (!had) return whole;
  const done = asGlass(vft, had, offset_K);
  const middle = Math.max(Math.sqrt(whole.least * whole.most) - done, LEAST_MORE * done);
  // Its middle is what the middle lacks: stricter than taking it off the least.
  const most = Math.max(whole.most - done, middle);
  return { least: middle ** 2 / most, most };
}

function boundedWhole({ least, most }: WorkRange, { short, past, soFar }: SeenWork, vft: Vft, offset_K: number): WorkRange {
  if (soFar) {
    const took = Math.min(Math.max(asGlass(vft, soFar, offset_K) / soFar.reckoned_perPa, 1 / BELIEVED), BELIEVED);
    return boundedWhole({ least: least * took, most: most * took }, { ...(short ? { short } : {}), ...(past ? { past } : {}) }, vft, offset_K);
  }
  const [fell, went] = [short, past].map((one) => one && asGlass(vft, one, offset_K));
  if (fell !== undefined && went !== undefined) {
    const middle = Math.sqrt(fell * went);
    const room = Math.min(Math.max(Math.sqrt(went / fell), LEAST_ROOM), MOST_ROOM);
    return { least: middle / room, most: middle * room };
  }
  if (short && fell !== undefined) {
    const from = Math.max(least, fell * clearOf(short));
    return { least: from, most: Math.max(most, ROOM * from) };
  }
  if (past && went !== undefined) {
    const to = Math.min(most, went / clearOf(past));
    return { least: Math.min(least, to / ROOM), most: to };
  }
  return { least, most };
}
