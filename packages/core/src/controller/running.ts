/**
 * A controller of no make running a program in quick time on a kiln that is computed: it waits out a delay, goes and holds as it was
 * keyed, waits at each joint until the kiln is there, rings, is skipped on, given minutes and degrees, and does after a power cut what
 * such a controller does. Pure: each stretch of time and each press gives the next state. What ran is told as segments, so that the
 * glass is followed and judged by the same reckoning as any schedule.
 */
import { type KilnConstants, fullPowerHeating, naturalCooling, wallAfter } from '../kiln/kiln';
import type { Segment } from '../kiln/segment';
import { temperatureIn } from '../units/convert';
import { formatDuration, text } from '../units/format';
import { type PanelRow, segmentsOf } from './keyIn';
import { type Controller, type Profile, profileOf } from './profile';

/** waiting: for its delay; going: towards a target; cut: without power; done: nothing is left to do; stopped: by hand or after a cut. */
export type RunState = 'waiting' | 'going' | 'holding' | 'cut' | 'done' | 'stopped';

export interface RunEvent {
  /** Since it was started, its delay included, s. */
  at_s: number;
  kind: 'begins' | 'rings' | 'skip' | 'addTime' | 'addDegrees' | 'cut' | 'back' | 'done' | 'stopped';
  /** In words, temperatures left out. */
  said: string;
}

/** A part of the firing as it ran, and of which segment of the program. */
export interface RunPart extends Segment {
  index: number;
}

export interface Run {
  profile: Profile;
  kiln: KilnConstants;
  /** What the controller reads over what is really there, K. */
  offset_K: number;
  program: readonly Segment[];
  state: RunState;
  /** Since it was started, its delay included, and of that before the program began, s. */
  at_s: number;
  waits_s: number;
  /** As the controller reads it, and the wall in truth, °C. */
  kiln_C: number;
  wall_C: number;
  /** Which segment of the program, and that as it now stands: its target and hold with what was added. */
  index: number;
  now: Segment;
  held_s: number;
  /** Without power for so much longer, s; the heat it had when that began. */
  cutLeft_s: number;
  cutFrom_C: number;
  /** Parts that are over, as they ran. */
  past: readonly RunPart[];
  /** Segment whose hold it rings at; null where it does not. */
  ringsAt: number | null;
  ringing: boolean;
  events: readonly RunEvent[];
  refused: string;
}

export interface Started {
  rows: readonly PanelRow[];
  controller: Controller;
  kiln: KilnConstants;
  offset_K?: number;
  delay_s?: number;
  /** At its hottest hold, when it is to be looked into. */
  rings?: boolean;
}

const SIT: Segment = { rate_C_per_h: 0, target_C: 0, hold_s: 0 };

/** Refused, as a controller would, where the delay is longer than it takes or nothing stands in it. */
export function startRun({ rows, controller, kiln, offset_K = 0, delay_s = 0, rings = false }: Started): Run {
  const profile = profileOf(controller);
  const program = segmentsOf(rows, controller);
  const refused = whyNot(profile, program, delay_s, rings);
  const kiln_C = kiln.ambient_C + offset_K;
  const ringsAt = rings ? hottestOf(program) : null;
  const run: Run = {
    ...{ profile, kiln, offset_K, program, state: 'waiting', at_s: 0, waits_s: delay_s, kiln_C, wall_C: kiln.ambient_C },
    ...{ index: 0, now: program[0] ?? SIT, held_s: 0, cutLeft_s: 0, cutFrom_C: 0, past: [], ringsAt, ringing: false },
    ...{ events: [], refused },
  };
  if (refused !== '') return { ...run, state: 'stopped' };
  return delay_s > 0 ? run : begun(run);
}

function whyNot({ mostDelay_s, alarms }: Profile, program: readonly Segment[], delay_s: number, rings: boolean): string {
  if (program.length === 0) return 'That slot is empty.';
  if (delay_s > 0 && mostDelay_s === undefined) return 'It cannot delay a start.';
  if (mostDelay_s !== undefined && delay_s > mostDelay_s) return `It delays a start by ${text(formatDuration(mostDelay_s))} at most.`;
  return rings && !alarms ? 'It has no alarm.' : '';
}

const hottestOf = (program: readonly Segment[]): number => program.reduce((best, { target_C }, i) => (target_C > program[best].target_C ? i : best), 0);

const told = (run: Run, kind: RunEvent['kind'], said: string): Run => ({ ...run, events: [...run.events, { at_s: run.at_s, kind, said }], refused: '' });

const begun = (run: Run): Run => ({ ...told(run, 'begins', 'has begun'), state: 'going' });

/** Of a step, s and K: short enough that the kiln's own rate is straight over it. */
const STEP_S = 60;
const STEP_K = 5;
/** Below this it gets nowhere, K/s. */
const STALLED_K_PER_S = 0.01 / 3600;
/** A drop by more than this while the power was off is too much for a controller that only goes on where the kiln is still warm, K. */
export const STILL_WARM_K = 30;

/** K/s towards there, positive; full power or switched off where nothing else is asked. */
function rateTowards({ kiln, offset_K, wall_C }: Run, at_C: number, to_C: number, asked_C_per_h: number | null): number {
  const best = to_C > at_C ? fullPowerHeating(kiln, at_C - offset_K, wall_C) : naturalCooling(kiln, at_C - offset_K, wall_C);
  return Math.max(0, Math.min(asked_C_per_h === null ? Infinity : asked_C_per_h / 3600, best));
}

/** The kiln after at most so many seconds on the way to a temperature, and how many of them that took. */
function moved(run: Run, to_C: number, asked_C_per_h: number | null, most_s: number): { run: Run; took_s: number } {
  const direction = Math.sign(to_C - run.kiln_C);
  const left_K = Math.abs(to_C - run.kiln_C);
  const first = rateTowards(run, run.kiln_C, to_C, asked_C_per_h);
  const rate = rateTowards(run, run.kiln_C + (direction * Math.min(STEP_K, first * STEP_S, left_K)) / 2, to_C, asked_C_per_h);
  if (!(rate > STALLED_K_PER_S)) return { run, took_s: most_s };
  const took_s = Math.min(STEP_S, STEP_K / rate, left_K / rate, most_s);
  const kiln_C = took_s * rate >= left_K * (1 - 1e-9) ? to_C : run.kiln_C + direction * rate * took_s;
  return { run: { ...run, kiln_C, wall_C: wallAfter(run.kiln, run.wall_C, run.kiln_C - run.offset_K, kiln_C - run.offset_K, took_s) }, took_s };
}

/** So much time further on, s; it stops short where it rings and where it is done. */
export function ran(before: Run, seconds: number): Run {
  const until = before.at_s + seconds;
  let run: Run = before.refused === '' ? before : { ...before, refused: '' };
  while (run.at_s < until - 1e-6 && run.state !== 'done' && !run.ringing) run = stepped(run, until - run.at_s);
  return run;
}

const LONGEST_WAY_S = 10 * 24 * 3600;

/** On until it does something else: goes, holds, rings, is done, has power again. */
export function ranToChange(before: Run): Run {
  let run = ran(before, STEP_S);
  const changes = (one: Run): boolean => one.state !== before.state || one.index !== before.index || one.ringing;
  while (!changes(run) && run.state !== 'done' && run.at_s - before.at_s < LONGEST_WAY_S) run = ran(run, STEP_S);
  return run;
}

function stepped(run: Run, most_s: number): Run {
  const later = (one: Run, took_s: number): Run => ({ ...one, at_s: one.at_s + took_s });
  const room_C = run.kiln.ambient_C + run.offset_K;
  switch (run.state) {
    case 'waiting': {
      const took_s = Math.min(most_s, run.waits_s - run.at_s);
      const next = later(run, took_s);
      return next.at_s >= run.waits_s - 1e-6 ? begun(next) : next;
    }
    case 'going': {
      if (run.kiln_C === run.now.target_C) return arrived(run);
      const { run: next, took_s } = moved(run, run.now.target_C, run.now.rate_C_per_h, most_s);
      return later(next, took_s);
    }
    case 'holding': {
      const took_s = Math.min(most_s, STEP_S, run.now.hold_s - run.held_s);
      const wall_C = wallAfter(run.kiln, run.wall_C, run.kiln_C - run.offset_K, run.kiln_C - run.offset_K, took_s || STEP_S);
      const next = later({ ...run, held_s: run.held_s + took_s, wall_C: took_s > 0 ? wall_C : run.wall_C }, took_s);
      // To the second as it was keyed, whatever the steps add up to.
      return next.held_s >= run.now.hold_s - 1e-6 ? over({ ...next, held_s: run.now.hold_s }, run.now) : next;
    }
    case 'cut': {
      const { run: next, took_s } = moved(run, room_C, null, Math.min(most_s, run.cutLeft_s));
      const on = { ...later(next, took_s), cutLeft_s: run.cutLeft_s - took_s };
      return on.cutLeft_s > 1e-6 ? on : powerBack(on);
    }
    case 'stopped':
    case 'done': {
      const { run: next, took_s } = moved(run, room_C, null, most_s);
      return later(next, took_s);
    }
  }
}

function arrived(run: Run): Run {
  const holding: Run = { ...run, state: 'holding' };
  // Once: not again where it was made hotter, or the power was gone.
  const rings = run.ringsAt === run.index && !run.events.some(({ kind }) => kind === 'rings');
  return rings ? { ...told(holding, 'rings', 'rang'), ringing: true } : holding;
}

/** A part is over: as it ran it goes to what is past, and the next segment begins. */
function over(run: Run, part: Segment): Run {
  const past = [...run.past, { ...part, hold_s: run.held_s, index: run.index }];
  const index = run.index + 1;
  const next = run.program[index];
  if (next === undefined) return { ...told({ ...run, past, now: SIT, held_s: 0, index }, 'done', 'is done'), state: 'done' };
  return { ...run, past, index, now: next, held_s: 0, state: 'going' };
}

/** What is so far of the present part: as far as it got, as long as it held. */
function soFar({ state, now, held_s, kiln_C, index }: Run): RunPart[] {
  if (state === 'holding') return [{ ...now, hold_s: held_s, index }];
  return state === 'going' ? [{ ...now, target_C: kiln_C, hold_s: 0, index }] : [];
}

function powerBack(run: Run): Run {
  const back = told({ ...run, past: [...run.past, { rate_C_per_h: null, target_C: run.kiln_C, hold_s: 0, index: run.index }] }, 'back', 'has power again');
  const { afterCut } = run.profile;
  const goesOn = afterCut === 'goesOn' || (afterCut === 'goesOnIfWarm' && run.cutFrom_C - run.kiln_C <= STILL_WARM_K);
  if (!goesOn)
    return {
      ...told(back, 'stopped', afterCut === 'stops' ? 'has stopped: it does not go on by itself' : 'has stopped: the kiln had cooled too far'),
      state: 'stopped',
    };
  return { ...back, state: 'going', now: { ...run.now, hold_s: run.now.hold_s - run.held_s }, held_s: 0 };
}

/** The power goes off for so long, s; nothing happens to a program that is done. */
export function cutFor(run: Run, seconds: number): Run {
  if (run.state !== 'going' && run.state !== 'holding') return { ...run, refused: 'Nothing runs that a power cut could stop.' };
  const cut = told({ ...run, past: [...run.past, ...soFar(run)] }, 'cut', `is without power for ${text(formatDuration(seconds))}`);
  // A hold that was begun goes on where it was: what is held already is past.
  return { ...cut, state: 'cut', cutLeft_s: seconds, cutFrom_C: run.kiln_C, ringing: false };
}

export type RunKey = 'skip' | 'addDegrees' | 'quiet' | 'stop';

export function pressedInRun(run: Run, key: RunKey): Run {
  const { profile, state } = run;
  const refusing = (refused: string): Run => ({ ...run, refused });
  if (key === 'quiet') return { ...run, ringing: false, refused: '' };
  if (state !== 'going' && state !== 'holding' && !(key === 'stop' && (state === 'waiting' || state === 'cut'))) return refusing('Nothing runs.');
  switch (key) {
    case 'stop':
      return { ...told({ ...run, past: [...run.past, ...soFar(run)], ringing: false }, 'stopped', 'was stopped'), state: 'stopped' };
    case 'skip': {
      if (!profile.skips) return refusing('It cannot skip.');
      const [part] = soFar(run);
      return over(told({ ...run, held_s: part.hold_s, ringing: false }, 'skip', `was sent on from segment ${run.index + 1}`), part);
    }
    case 'addDegrees': {
      if (profile.addDegrees_K === undefined) return refusing('It cannot add degrees.');
      const target_C = run.now.target_C + profile.addDegrees_K;
      if (target_C > profile.top_C) return refusing('It takes no more than its top.');
      const hotter = told({ ...run, ringing: false }, 'addDegrees', 'goes hotter');
      if (state === 'going') return { ...hotter, now: { ...run.now, target_C } };
      // It holds: what was held stays, then on up, and the rest of the hold there.
      return { ...hotter, past: [...run.past, ...soFar(run)], now: { ...run.now, target_C, hold_s: run.now.hold_s - run.held_s }, held_s: 0, state: 'going' };
    }
  }
}

/**
 * Its hold made longer by so much, s: only while it holds, in whole steps of the controller, and no longer altogether than it takes.
 */
export function heldLonger(run: Run, by_s: number): Run {
  const { addTime_s: step_s, mostHold_s } = run.profile;
  const refusing = (refused: string): Run => ({ ...run, refused });
  if (step_s === undefined) return refusing('It cannot make a hold longer.');
  if (run.state !== 'holding') return refusing('It makes a hold longer, and does not hold now.');
  const steps = by_s / step_s;
  if (!(steps >= 1) || Math.abs(steps - Math.round(steps)) > 1e-6) return refusing(`It makes a hold longer in steps of ${text(formatDuration(step_s))}.`);
  const hold_s = run.now.hold_s + by_s;
  if (hold_s > mostHold_s) return refusing(`It holds for ${text(formatDuration(mostHold_s))} at most.`);
  return told({ ...run, now: { ...run.now, hold_s }, ringing: false }, 'addTime', `holds ${text(formatDuration(by_s))} longer`);
}

/** What ran until now, and nothing of what is to come. */
export const ranSoFar = (run: Run): RunPart[] => [...run.past, ...soFar(run)];

/**
 * The firing from its beginning as it ran so far and as it will if nobody does anything more. closing: the closed kiln, where the
 * schedule ends so. A program that was stopped, and one without power, cools by itself from where it is.
 */
export function asItRuns(run: Run, closing?: Segment): RunPart[] {
  const open_C = closing?.target_C ?? run.kiln.ambient_C + run.offset_K + OPENED_OVER_ROOM_K;
  const last = run.program.length;
  const closed = closing ? [{ ...closing, index: last }] : [];
  const off: RunPart = { rate_C_per_h: null, target_C: open_C, hold_s: 0, index: last };
  if (run.state === 'stopped' || run.state === 'cut') return run.past.length === 0 ? [] : [...run.past, off];
  const ahead = run.state === 'done' ? [] : [run.now, ...run.program.slice(run.index + 1)].map((part, i) => ({ ...part, index: run.index + i }));
  return [...run.past, ...ahead, ...closed];
}

/** A closed kiln that nobody has said when to open is followed to this far over the room, K. */
const OPENED_OVER_ROOM_K = 30;

export interface RunShown {
  says: string;
  /** What it reads, degrees of its unit. */
  reads: number;
  /** From 1; 0 where none runs. */
  segment: number;
  /** Until the delay or the hold is over, s; null where it does not count. */
  left_s: number | null;
}

/** What its display says. */
export function shownInRun(run: Run): RunShown {
  const { state, profile, now } = run;
  const unit = profile.unit;
  const reads = Math.round(temperatureIn(run.kiln_C, unit));
  const target = Math.round(temperatureIn(now.target_C, unit));
  const segment = state === 'going' || state === 'holding' ? run.index + 1 : 0;
  switch (state) {
    case 'waiting':
      return { says: 'Waits to begin', reads, segment, left_s: run.waits_s - run.at_s };
    case 'going':
      return { says: `On the way to ${target} °${unit}`, reads, segment, left_s: null };
    case 'holding':
      return { says: `Holds at ${target} °${unit}`, reads, segment, left_s: now.hold_s - run.held_s };
    case 'cut':
      return { says: '', reads, segment, left_s: null };
    case 'done':
      return { says: 'Done', reads, segment, left_s: null };
    case 'stopped':
      return { says: 'Stopped', reads, segment, left_s: null };
  }
}
