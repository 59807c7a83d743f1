/**
 * One schedule for all that is in a kiln together. What each body would have by itself is merged by what its segments are for; then each is
 * simulated at its place under the merged one and corrects it, and the most careful word counts. So the body that needs it most sets
 * each segment, and none is judged by another's simulation.
 */
import { efold } from '../flow/heatWork';
import { fluidity } from '../glass/viscosity';
import { rememberingSimulator } from '../heat/joints';
import { exposedCoatings } from '../fit/coating';
import { carrying } from '../kiln/carrying';
import type { KilnConstants } from '../kiln/kiln';
import type { PurposefulSegment } from '../kiln/segment';
import { counted } from '../controller/counted';
import { type Outcome, found, valueOf } from '../problem';
import { LEAST_SQUEEZE_S, MOST_SQUEEZE_S, adjusted, workHold } from '../schedule/adjust';
import { evaluate } from '../schedule/check';
import { COOLS, type Uncounted, composeUncounted, keepsAll, settled } from '../schedule/compose';
import type { School } from '../schedule/firingCase';
import { SQUEEZE_BELOW_SEALING_K, keyedIn, targetsOf, usualSqueeze } from '../schedule/firstGuess';
import { openingTemperature } from '../schedule/opening';
import { impossibleFiring } from '../schedule/possible';
import { type Evaluation, brokenOf, marginOf } from '../schedule/reading';
import { resolved } from '../schedule/resolved';
import type { ResolvedFiring } from '../schedule/resolvedFiring';
import { niceHold, wholeDegrees } from '../schedule/rounding';
import { hottestBorne_C } from '../schedule/shelfPace';
import { shortened } from '../schedule/shorten';
import { stepped } from '../schedule/stepped';
import { METRIC, type Units } from '../units/convert';
import { type Split, splitOf, withoutEach_s } from './apart';
import { type Allowed, type LoadEntry, type Stores, atItsPlace, cannotShare, offsetOf, rangesOf } from './entry';
import { storedBy } from './stored';
import { SHARED_FROM, agreed, inOrder, merged, soakedApart } from './merge';
import { type SetBy, setBy } from './setBy';

export interface LoadComposed {
  segments: PurposefulSegment[];
  total_s: number;
  entries: LoadedEntry[];
  /** Of each segment, who sets its figures. */
  setBy: SetBy[];
  /** Two loads instead, where not all can be right in one, or where two are shorter; null where one is as good. */
  split: Split | null;
  /** False when a limit of any of them is still broken. */
  converged: boolean;
  /** Of each body at most; simulations of all together. */
  evaluations: number;
  remarks: string[];
  /** What all of it stores, furniture and all, J/K; 0 where it is not counted. */
  load_J_K: number;
}

export interface LoadedEntry {
  /** Of this body at its place, under the schedule of all. */
  evaluation: Evaluation;
  /** What it would have had by itself, in this place. */
  alone: { segments: PurposefulSegment[]; total_s: number };
  /** The range of heat work that is right for it, over what it gets. */
  window: WorkWindow;
  /** By how much hotter (or, negative, cooler) the working hold would have to be for it, K; 0 where it is right. */
  hotter_K: number;
  /** About how much sooner the rest could be opened without it, s. */
  without_s: number;
}

export interface WorkWindow {
  least: number;
  most: number;
}

/** A body with its simulator; like ones share theirs. */
interface Member {
  /** How many of them there are. */
  count: number;
  firing: ResolvedFiring;
  alone: Uncounted;
  simulate: Uncounted['simulate'];
}

type Judged = Evaluation[];

export interface ComposedIn extends Allowed {
  /** What the kiln and its furniture store; the load's mass is not counted where left out. */
  stores?: Stores;
}

export function composeLoad(entries: readonly LoadEntry[], units: Units = METRIC, given: ComposedIn = {}): Outcome<LoadComposed> {
  const problem = cannotShare(entries, units.temperature, given);
  if (problem) return { ok: false, problem };
  const first = composeAs(entries, units, null, given);
  if (!first.ok || entries.every(({ firing }) => firing.school.heat === 'hotter')) return first;
  const lingers = (load: LoadComposed): number =>
    load.entries.flatMap(({ evaluation }) => brokenOf(evaluation.readings)).filter(({ limit }) => limit === 'haze' || limit === 'coating').length;
  if (lingers(first.value) === 0) return first;
  const hotter = composeAs(entries, units, 'hotter', given);
  if (!hotter.ok || brokenIn(hotter.value) >= brokenIn(first.value)) return first;
  return found({
    ...hotter.value,
    remarks: ['Hotter and shorter than asked: cooler and longer it would devitrify, or a coating would lift.', ...hotter.value.remarks],
  });
}

const brokenIn = ({ entries }: LoadComposed): number => entries.reduce((sum, { evaluation }) => sum + brokenOf(evaluation.readings).length, 0);

function composeAs(entries: readonly LoadEntry[], units: Units, heat: School['heat'] | null, { stores }: ComposedIn): Outcome<LoadComposed> {
  const load_J_K = stores ? (stores.furniture_J_K ?? 0) + entries.reduce((sum, { firing }) => sum + storedBy(firing), 0) : 0;
  const members = membersOf(entries, units, heat, (kiln) => carrying(kiln, stores?.chamber_J_K ?? null, load_J_K));
  if (!members.ok) return members;
  const { each, of } = members.value;
  const judge = (segments: PurposefulSegment[]): Judged => each.map(({ firing, simulate }) => evaluate(firing, segments, false, simulate));
  const ranges = rangesOf(each.map(({ firing }) => firing));
  const rowsOfEach = each.map(({ alone }) => alone.segments);
  const guess = inOrder(openedCool(each, capSqueeze(each, soakedApart(merged(rowsOfEach), rowsOfEach, ranges))));
  const [{ alone }] = each;
  // Like ones have what each would have by itself.
  const composed =
    each.length === 1 && load_J_K === 0 && isSame(guess, alone.segments)
      ? { ...alone, evaluation: [alone.evaluation] }
      : settled(
          guess,
          {
            evaluate: judge,
            adjusted: (segments, judged) => correctedBy(each, segments, judged),
            keepsAll: (judged) => judged.every(keepsAll),
          },
          // It is made of schedules that were corrected in full.
          true,
        );
  const keyed = asKeyed(entries[0], each, composed, judge, units);
  const { segments, judged, remarks } = keyed;
  const windows = each.map((member, i) => windowOf(member.firing, judged[i]));
  const loaded = of.map((at): Omit<LoadedEntry, 'without_s'> => ({
    evaluation: judged[at],
    alone: { segments: each[at].alone.segments, total_s: each[at].alone.evaluation.simulation.total_s },
    window: windows[at],
    hotter_K: missing_K(each[at].firing, segments, windows[at]),
  }));
  const total_s = Math.max(...judged.map(({ simulation }) => simulation.total_s));
  const rows = of.map((at) => each[at].alone.segments);
  const { kiln } = each[0].firing;
  const without = withoutEach_s(kiln, rows, total_s);
  const converged = judged.every(keepsAll);
  const asked = loaded.map(({ window }, i) => ({ rows: rows[i], window, bears_C: hottestBorne_C(each[of[i]].firing.setup) }));
  return found({
    ...{ segments, total_s, converged, remarks, load_J_K, evaluations: keyed.evaluations },
    entries: loaded.map((one, i) => ({ ...one, without_s: without[i] })),
    setBy: setBy(
      segments,
      rows,
      // Who falls short in it did not set it.
      windows.length > 1 ? of.map((at) => (windows[at].least > 1 ? { least: 0 } : windows[at])) : [],
      of.map((at) => ranges[at]),
    ),
    split: entries.length > 1 ? splitOf(each[0].firing, asked, total_s, converged) : null,
  });
}

/** Like bodies in like places are composed and simulated once; of: which of them each entry is. */
function membersOf(
  entries: readonly LoadEntry[],
  units: Units,
  heat: School['heat'] | null,
  together: (kiln: KilnConstants) => KilnConstants,
): Outcome<{ each: Member[]; of: number[] }> {
  const each: Member[] = [];
  const of: number[] = [];
  const known = new Map<string, number>();
  for (const [i, entry] of entries.entries()) {
    const firing = atItsPlace(entry);
    const key = JSON.stringify(firing);
    if (!known.has(key)) {
      const impossible = impossibleFiring(firing, units.length);
      if (impossible) return { ok: false, problem: { ...impossible, path: `entries.${i}.firing.${impossible.path}` } };
      const asked = heat === null ? firing : { ...firing, school: { ...firing.school, heat } };
      const loaded = resolved({ ...asked, kiln: together(asked.kiln) });
      const alone = composeUncounted(together(asked.kiln) === asked.kiln ? loaded : resolved(asked), offsetOf(entry), units.temperature);
      if (!alone.ok) return { ok: false, problem: { ...alone.problem, path: `entries.${i}.firing.${alone.problem.path}` } };
      known.set(key, each.push({ count: 0, firing: loaded, alone: alone.value, simulate: rememberingSimulator() }) - 1);
    }
    const at = known.get(key)!;
    each[at].count += 1;
    of.push(at);
  }
  return found({ each, of });
}

/** The next schedule to try: every body's own correction of this one, agreed; null when nobody corrects anything. */
function correctedBy(each: readonly Member[], segments: PurposefulSegment[], judged: Judged): PurposefulSegment[] | null {
  const own = each.map(({ firing }, i) => adjusted(firing, segments, judged[i]) ?? segments);
  const next = agreed(own).map((row, at): PurposefulSegment => {
    if (row.role === 'work') return { ...row, ...workedTogether(each, segments[at], judged) };
    if (row.role === 'squeeze') return { ...row, ...squeezedTogether(each, segments[at], judged, at) };
    return row;
  });
  const ordered = inOrder(next);
  return isSame(ordered, segments) ? null : ordered;
}

const isSame = (some: readonly PurposefulSegment[], others: readonly PurposefulSegment[]): boolean =>
  some.every((row, i) => {
    const { rate_C_per_h, target_C, hold_s } = others[i];
    return row.rate_C_per_h === rate_C_per_h && row.target_C === target_C && row.hold_s === hold_s;
  });

/** The work that is right for a body, over what this schedule does to it. */
function windowOf(firing: ResolvedFiring, { work_perPa: work }: Evaluation): WorkWindow {
  const { least, most } = valueOf(firing.work_perPa);
  return { least: least / work.least, most: most / work.most };
}

/** What the most bodies can share: the range that lies in as many windows as any; of several the coolest, for what came out short can be fired again. */
function sharedWindow(windows: readonly (WorkWindow & { count: number })[]): WorkWindow {
  const at = windows
    .map(({ least }) => ({ least, inside: windows.filter((one) => one.least <= least && one.most >= SHARED_FROM * least) }))
    .map((one) => ({ ...one, count: one.inside.reduce((sum, { count }) => sum + count, 0) }))
    .reduce((best, one) => (one.count > best.count || (one.count === best.count && one.least < best.least) ? one : best));
  return { least: at.least, most: Math.min(...at.inside.map(({ most }) => most)) };
}

/** Hold and heat for the work that all of them, or else the most of them, are right with. */
function workedTogether(each: readonly Member[], segment: PurposefulSegment, judged: Judged): Pick<PurposefulSegment, 'target_C' | 'hold_s'> {
  const windows = each.map(({ firing, count }, i) => ({ ...windowOf(firing, judged[i]), count }));
  const shared = sharedWindow(windows);
  // Told in the work of the body that needs the most heat of those that share it.
  const at = windows.findIndex(({ least }) => least === shared.least);
  const { firing } = each[at];
  const did = judged[at].work_perPa.mean;
  const borne_C = Math.min(...each.map(({ firing: { setup } }) => hottestBorne_C(setup)));
  const asked: ResolvedFiring = {
    ...firing,
    setup: borne_C === Infinity ? firing.setup : { ...firing.setup, top_C: borne_C },
    work_perPa: found({ least: shared.least * did, most: shared.most * did }),
  };
  const { target_C, hold_s } = workHold(asked, segment, { work_perPa: { least: did, mean: did, most: did } });
  return { target_C, hold_s };
}

/** Hottest that a squeeze of all of them may be, °C: none of them has sealed there. */
const hottestSqueeze_C = (each: readonly Member[]): number =>
  Math.min(
    ...each
      .filter(({ firing }) => firing.squeeze_perPa > 0)
      .map(({ firing }) => targetsOf(firing).down(firing.regimes.squeezeTo_C - SQUEEZE_BELOW_SEALING_K + (firing.corrections?.offset_K ?? 0))),
  );

const capSqueeze = (each: readonly Member[], rows: PurposefulSegment[]): PurposefulSegment[] =>
  rows.map((row) => (row.role === 'squeeze' ? { ...row, target_C: Math.min(row.target_C, hottestSqueeze_C(each)) } : row));

/** It is opened when the hottest place is cool enough. */
function openedCool(each: readonly Member[], rows: PurposefulSegment[]): PurposefulSegment[] {
  const opens_C = Math.min(...each.map(({ firing }) => targetsOf(firing).down(openingTemperature(firing) + (firing.corrections?.offset_K ?? 0))));
  return rows.map((row) => (row.role === 'lastCool' ? { ...row, target_C: Math.min(row.target_C, opens_C) } : row));
}

/** As long as the one asks that needs it longest; hotter where that is longer than anybody waits, as far as none of them seals. */
function squeezedTogether(each: readonly Member[], segment: PurposefulSegment, judged: Judged, at: number): Pick<PurposefulSegment, 'target_C' | 'hold_s'> {
  const { target_C } = segment;
  const asking = each.flatMap(({ firing }, i) => {
    const reading = judged[i].readings.find(({ limit, segment: of }) => limit === 'squeeze' && of === at);
    if (!reading) return [];
    const isEnough = reading.value >= reading.allowed && marginOf(reading) < SQUEEZE_ROOM;
    const more_s = isEnough ? 0 : (reading.allowed - reading.value) / fluidity(firing.viscosity, target_C);
    const least_s = exposedCoatings(firing.body).length > 0 ? 0 : LEAST_SQUEEZE_S;
    return [{ firing, hold_s: isEnough ? segment.hold_s : niceHold(Math.max(least_s, segment.hold_s + more_s)) }];
  });
  if (asking.length === 0) return segment;
  const most = asking.reduce((one, other) => (other.hold_s > one.hold_s ? other : one));
  const hottest_C = hottestSqueeze_C(each);
  if (most.hold_s <= MOST_SQUEEZE_S || target_C >= hottest_C) return { target_C, hold_s: most.hold_s };
  const usual_s = usualSqueeze(most.firing);
  const hotter_C = target_C + efold(most.firing.viscosity, target_C) * Math.log(most.hold_s / usual_s);
  return { target_C: Math.min(targetsOf(most.firing).up(hotter_C), hottest_C), hold_s: usual_s };
}
const SQUEEZE_ROOM = 0.15;

/** By how much hotter the working hold would have to be, K; 0 where the work lies in its window. */
function missing_K({ viscosity }: ResolvedFiring, segments: readonly PurposefulSegment[], { least, most }: WorkWindow): number {
  const factor = least > 1 ? least : most < 1 ? most : 1;
  return efold(viscosity, Math.max(...segments.map(({ target_C }) => target_C))) * Math.log(factor);
}

interface Keyed {
  segments: PurposefulSegment[];
  judged: Judged;
  evaluations: number;
  remarks: string[];
}

/** As the controller counts it: its rates, steps for what is slower, no more segments than it holds, the offset that it reads. */
function asKeyed(
  entry: LoadEntry,
  each: readonly Member[],
  composed: { segments: PurposefulSegment[]; evaluation: Judged; evaluations: number },
  judge: (segments: PurposefulSegment[]) => Judged,
  units: Units,
): Keyed {
  const { controller } = entry.firing;
  const remarks: string[] = [];
  let { segments, evaluations } = composed;
  let judged = composed.evaluation;
  const isBroken = (all: Judged): number => all.reduce((sum, { readings }) => sum + brokenOf(readings).length, 0);
  if (controller) {
    const countable = counted(segments, controller);
    if (countable !== segments) {
      [segments, judged] = [countable, judge(countable)];
      evaluations += 1;
    }
    const steps = stepped(segments, controller, units.temperature);
    if (steps.segments !== segments) {
      const inSteps = judge(steps.segments);
      evaluations += 1;
      if (isBroken(inSteps) <= isBroken(judged)) {
        [segments, judged] = [steps.segments, inSteps];
        remarks.push(...steps.remarks);
      }
    }
    // What is given up for a shorter program is told of the body that takes longest by itself.
    const longest = each.reduce((most, { alone }, i) => (alone.evaluation.simulation.total_s > each[most].alone.evaluation.simulation.total_s ? i : most), 0);
    const ofAll = (all: Judged): Evaluation => ({
      ...all[longest],
      readings: [longest, ...each.keys()].flatMap((i, n) => (n > 0 && i === longest ? [] : all[i].readings)),
    });
    const seen = new Map<Evaluation, Judged>();
    const remembered = (all: Judged): Evaluation => {
      const one = ofAll(all);
      seen.set(one, all);
      return one;
    };
    const shorter = shortened(each[longest].firing, { segments, evaluation: remembered(judged) }, controller, (tried) => remembered(judge(tried)), units);
    remarks.push(...shorter.remarks);
    segments = shorter.segments;
    judged = seen.get(shorter.evaluation) ?? judged;
    evaluations += shorter.evaluations;
  }
  const offset_K = offsetOf(entry);
  if (offset_K === 0) return { segments, judged, evaluations, remarks };
  const keyed = segments.map((segment) => ({
    ...segment,
    target_C: wholeDegrees(segment.target_C + offset_K, keyedIn(entry.firing), COOLS[segment.role] ? 'colder' : 'nearest'),
  }));
  const read = each.map(({ firing, simulate }) => {
    const corrections = { ...firing.corrections!, offset_K: firing.corrections!.offset_K + offset_K };
    return evaluate({ ...firing, corrections }, keyed, false, simulate);
  });
  return { segments: keyed, judged: read, evaluations: evaluations + 1, remarks };
}
