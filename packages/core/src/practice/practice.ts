/**
 * Five short tasks at a controller of no make, each judged by what it did to the glass: enter a program; find the slip in one; look in
 * and add minutes when they are wanted; shorten a schedule to what the controller holds; know what it does after a power cut.
 */
import { type PanelRow, keyIn, segmentsOf } from '../controller/keyIn';
import type { FigureKind } from '../controller/panel';
import { type Controller, profileOf } from '../controller/profile';
import { mightShow } from '../controller/readBack';
import { type Run, cutFor, ran, startRun } from '../controller/running';
import { TYPICAL_CONTROLLERS } from '../controller/typical';
import { TYPICAL_FAMILIES } from '../glass/families';
import type { PurposefulSegment, Segment } from '../kiln/segment';
import { TYPICAL_KILN } from '../kiln/typical';
import { type Evaluation, brokenOf, heatWorkBand } from '../schedule/reading';
import { splitSegment } from '../schedule/edit';
import { DEFAULT_SCHOOL, type FiringCase } from '../schedule/firingCase';
import { DEFAULT_LIMITS } from '../schedule/limits';
import { BARE_SHELF } from '../schedule/setups';
import { ROOM_C } from '../units/physical';

export const TASKS = ['enter', 'find', 'look', 'shorten', 'cut'] as const;
export type Task = (typeof TASKS)[number];

/** A round tile of two clear sheets on a bare shelf, to be fused flat in a typical kiln. */
export const PRACTICE_FIRING: FiringCase = {
  body: {
    glasses: [TYPICAL_FAMILIES[0]],
    layers: [
      { form: 'sheet', glass: 0, thickness_m: 0.003 },
      { form: 'sheet', glass: 0, thickness_m: 0.003 },
    ],
    joined: false,
    footprint: { shape: 'disc', diameter_m: 0.2 },
  },
  setup: BARE_SHELF,
  kiln: TYPICAL_KILN,
  look: 'fullFuse',
  school: DEFAULT_SCHOOL,
  limits: DEFAULT_LIMITS,
};

/** Segments that are keyed where a whole program would take too long to practise. */
const ENTERED = 3;

/** What is to be keyed in the first task. */
export const toEnter = (rows: readonly PanelRow[]): PanelRow[] => rows.slice(0, ENTERED).map(({ rate, target, hold_min }) => ({ rate, target, hold_min }));

export interface Hidden {
  program: PanelRow[];
  /** Where the slip is. */
  row: number;
  figure: FigureKind;
}

/** A program with one slip in it, another for each turn. */
export function hideSlip(rows: readonly PanelRow[], turn: number): Hidden {
  const plain = rows.map(({ rate, target, hold_min }) => ({ rate, target, hold_min }));
  // Through the rows and not one after the other.
  const row = (11 * turn + 1) % plain.length;
  const [right, ...slips] = mightShow(plain, row);
  const slip = slips[Math.floor(turn / plain.length) % slips.length];
  const figure: FigureKind = slip.rate !== right.rate ? 'rate' : slip.target !== right.target ? 'target' : 'hold';
  return { program: plain.with(row, slip), row, figure };
}

/** In the third task the kiln reads off by so much, which nobody was told, K: what is planned falls short. */
export const READS_OFF_K = 20;

/** The same firing in that kiln. */
export const READING_OFF: FiringCase = { ...PRACTICE_FIRING, corrections: { offset_K: READS_OFF_K, workFactor: 1 } };

export type Seen = 'early' | 'right' | 'late';

/** What the glass looks like by the heat work that it has had. */
export function seenAs(firing: FiringCase, { work_perPa }: Pick<Evaluation, 'work_perPa'>): Seen {
  const { shown, least, most } = heatWorkBand(firing, work_perPa);
  return shown < least ? 'early' : shown > most ? 'late' : 'right';
}

/** Segments to key in the fourth task, and to how many. */
export const SHORTEN = { from: 8, to: 6 } as const;

/** A schedule with more segments than it needs: ways cut in two, the longest first. */
export function lengthened(segments: readonly PurposefulSegment[], controller: Controller): PurposefulSegment[] {
  let now = [...segments];
  while (keyIn(now, controller).rows.length < SHORTEN.from) {
    const ways = now.slice(0, -1).map(({ target_C, rate_C_per_h }, i) => (rate_C_per_h === null ? 0 : Math.abs(target_C - (now[i - 1]?.target_C ?? ROOM_C))));
    const at = ways.indexOf(Math.max(...ways));
    const split = splitSegment(now, at, ROOM_C);
    if (!split.ok) break;
    now = split.value;
  }
  return now;
}

/** Passed where it is short enough and breaks nothing. */
export const isShortened = (segments: readonly Segment[], controller: Controller, { readings }: Pick<Evaluation, 'readings'>): boolean =>
  keyIn(segments, controller).rows.length <= SHORTEN.to && brokenOf(readings).length === 0;

const CUTS_S = [300, 5400] as const;

export interface Cut {
  controller: Controller & { name: string };
  /** How long the power is gone, s. */
  cut_s: number;
  /** When it has just come back. */
  run: Run;
  goesOn: boolean;
}

/** The power goes a third into the longest hold on the way down; another controller and another time for each turn. */
export function powerCut(segments: readonly PurposefulSegment[], turn: number): Cut {
  const { id: _id, ...controller } = TYPICAL_CONTROLLERS[turn % TYPICAL_CONTROLLERS.length];
  const cut_s = CUTS_S[Math.floor(turn / TYPICAL_CONTROLLERS.length + turn) % CUTS_S.length];
  const { rows } = keyIn(segments, controller);
  const program = segmentsOf(rows, controller);
  const hottest = program.reduce((best, { target_C }, i) => (target_C > program[best].target_C ? i : best), 0);
  const soak = program.reduce((best, { hold_s }, i) => (i > hottest && (best <= hottest || hold_s > program[best].hold_s) ? i : best), hottest);
  let run = startRun({ rows, controller, kiln: PRACTICE_FIRING.kiln });
  while (run.state !== 'done' && !(run.index === soak && run.state === 'holding' && run.held_s >= program[soak].hold_s / 3)) run = ran(run, 60);
  const back = ran(cutFor(run, cut_s), cut_s);
  return { controller, cut_s, run: back, goesOn: back.state !== 'stopped' };
}

/** What it does when the power is back, by its profile alone: what the task asks, told beside what it did. */
export const afterCutWords = (controller: Controller): string =>
  ({
    goesOn: 'It goes on where it was, whatever the kiln has lost meanwhile.',
    goesOnIfWarm: 'It goes on where the kiln has lost little, and stops where it has lost more.',
    stops: 'It stops, however short the cut was; somebody has to start it again.',
  })[profileOf(controller).afterCut];
