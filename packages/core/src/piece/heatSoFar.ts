/** What its firings have done to the glass of a piece so far: haze, heat work, the stress that the last one left. */
import { mainGlass } from '../body/body';
import { logViscosity, temperatureAt, viscosityOf } from '../glass/viscosity';
import type { Evaluation } from '../schedule/reading';
import { formatDuration, formatStress, formatTemperature, text } from '../units/format';
import type { Units } from '../units/convert';
import type { Body } from '../schedule/firingCase';
import type { JourneyStep } from './document';
import type { Face } from './handStep';

/** One turn in the kiln, as it ran or is to run. */
export interface Turn {
  haze_s: number | null;
  /** What haze its glass bears, as time at its worst, s. */
  hazeBears_s: number | null;
  stress_Pa: number | null;
  work_perPa: number;
}

export function turnOf({ readings, work_perPa }: Pick<Evaluation, 'readings' | 'work_perPa'>): Turn {
  const haze = readings.find(({ limit }) => limit === 'haze');
  const stress = readings.findLast(({ limit }) => limit === 'residual');
  return { haze_s: haze?.value ?? null, hazeBears_s: haze?.allowed ?? null, stress_Pa: stress?.value ?? null, work_perPa: work_perPa.mean };
}

/** One that a piece on the journey has had. on: the faces, as they lie now, that still bear its haze; both where left out. */
export interface LaidTurn extends Turn {
  on?: readonly Face[];
}

const FACES: readonly Face[] = ['up', 'down'];

/** Which face a step takes off as a whole, crystals and all; null where it leaves part of it, or a rim. */
function takesOff(step: JourneyStep): Face | null {
  switch (step.kind) {
    case 'blast':
      return step.depth_m > 0 && step.cover > 1 - 1e-9 ? step.face : null;
    case 'grind':
    case 'polish':
      return step.at !== 'rim' && step.depth_m > 0 ? step.at : null;
    case 'cut':
      return step.cut.to === 'slice' && step.cut.depth_m + step.kerf_m > 0 ? step.cut.face : null;
    default:
      return null;
  }
}

/** On which faces, as they lie after these steps, the haze of each firing still is. */
export function facesHazed(steps: readonly JourneyStep[]): Map<string, readonly Face[]> {
  const on = new Map<string, readonly Face[]>();
  for (const step of steps) {
    const off = takesOff(step);
    if (step.kind === 'fire') on.set(step.id, FACES);
    if (off === null && step.kind !== 'turn') continue;
    for (const [id, faces] of on) {
      const left = faces.filter((face) => face !== off);
      on.set(id, step.kind === 'turn' ? FACES.filter((face) => faces.some((one) => one !== face)) : left);
    }
  }
  return on;
}

/** What haze a face has gathered, s; null where no firing told of any. */
function hazeOn(face: Face, turns: readonly LaidTurn[]): number | null {
  const told = turns.filter(({ haze_s }) => haze_s !== null);
  return told.length === 0 ? null : told.reduce((sum, { haze_s, on = FACES }) => sum + (on.includes(face) ? (haze_s ?? 0) : 0), 0);
}

/** Heat is told as time at the temperature at which a glass has this viscosity, log10 of Pa·s: there it levels in half an hour. */
const LEVELS_LOG_ETA = 4.5;
const ROUND_TO_C = 10;

/** What made glass had seen before it was laid here. */
export interface Brought {
  name: string;
  work_perPa: number;
  haze_s: number | null;
}

/** All that was done to it: what was laid here goes on from the most that any of it had seen before. */
function allTurns(laid: readonly LaidTurn[], brought: readonly Brought[]): readonly LaidTurn[] {
  const before = brought.map(({ work_perPa, haze_s }): Turn => ({ work_perPa, haze_s, hazeBears_s: null, stress_Pa: null }));
  const most = before.reduce<Turn | null>((one, other) => (one && one.work_perPa >= other.work_perPa ? one : other), null);
  return most ? [most, ...laid] : laid;
}

/** In figures, to be kept with what comes out of a piece; null where no firing has met it. */
export function heatOf(laid: readonly LaidTurn[], brought: readonly Brought[]): { work_perPa: number; haze_s: number | null } | null {
  const turns = allTurns(laid, brought);
  if (turns.length === 0) return null;
  const hazed = FACES.flatMap((face) => hazeOn(face, turns) ?? []);
  return { work_perPa: turns.reduce((sum, turn) => sum + turn.work_perPa, 0), haze_s: hazed.length > 0 ? Math.max(...hazed) : null };
}

/** In a sentence each; nothing of glass that no firing has met. */
export function heatWords(laid: readonly LaidTurn[], body: Body, units: Units, brought: readonly Brought[] = []): string[] {
  const turns = allTurns(laid, brought);
  if (turns.length === 0) return [];
  const [up, down] = FACES.map((face) => hazeOn(face, turns));
  const bears_s = Math.min(...turns.flatMap(({ hazeBears_s }) => hazeBears_s ?? []));
  const work_perPa = turns.reduce((sum, turn) => sum + turn.work_perPa, 0);
  const stress_Pa = turns[turns.length - 1].stress_Pa;
  const minutes = (time_s: number): number => Math.round(time_s / 60);
  const vft = viscosityOf(mainGlass(body));
  const at_C = ROUND_TO_C * Math.round(temperatureAt(vft, LEVELS_LOG_ETA) / ROUND_TO_C);
  return [
    ...(up === null || down === null
      ? []
      : [
          `Devit so far: ${minutes(up)} min${up === down ? '' : ` on the fire face, ${minutes(down)} min on the shelf face`}${Number.isFinite(bears_s) ? ` (limit ${minutes(bears_s)})` : ''}.`,
        ]),
    `Heat work so far: ${text(formatDuration(work_perPa * 10 ** logViscosity(vft, at_C)))} at ${text(formatTemperature(at_C, units.temperature))}.`,
    ...brought.map(({ name, haze_s }) =>
      haze_s === null ? `${name} brought the heat of its own firings.` : `${name} brought ${minutes(haze_s)} min of that, and the heat of its own firings.`,
    ),
    ...(stress_Pa === null ? [] : [`Stress left by its last firing: ${text(formatStress(stress_Pa, units.length))}.`]),
  ];
}
