/**
 * What a step of a journey does to what the steps before it have made, with amounts: said where the step stands, forbidding nothing.
 * A bubble rises in melt by ρgr²W/3, W the heat work (Hadamard and Rybczynski, for a sphere of gas); all else by the engine's own laws.
 */
import { bodyFigures, mainGlass } from '../body/body';
import { footprintSpan } from '../body/footprint';
import { drapeAfter, sagAfter } from '../flow/sag';
import type { GlassConstants } from '../glass/constants';
import { ghostOf } from '../look/ghost';
import { RECIPES } from '../look/recipes/all';
import { openingUnder } from '../look/shaping';
import { aimedWork, neededWork } from '../look/work';
import { TYPICAL_WORKS } from '../look/works';
import type { Body } from '../schedule/firingCase';
import { STANDARD_GRAVITY_m_s2 } from '../units/physical';
import type { Units } from '../units/convert';
import { formatLength, text } from '../units/format';
import type { AfterStep } from './applySteps';
import { type BodyNow, type Formed, bodyOf, isSealed } from './bodyNow';
import type { PlannedStep } from './document';
import { shapingOf } from './inForm';
import type { NamedGlass } from './shelf';
import { stepName } from './stepWords';
import { HOLDS } from './undoes';

/** Heat work that a firing's schedule does, 1/Pa; null where it has none yet, and its kind's aim stands for it. */
export type WorkOf = (step: PlannedStep) => number | null;

interface Meeting {
  step: PlannedStep;
  before: BodyNow;
  body: Body;
  glass: GlassConstants;
  work_perPa: number;
  long(value_m: number): string;
}

const name = (step: PlannedStep): string => stepName(step).toLowerCase();
const article = (word: string): string => (/^[aeiou]/.test(word) ? `An ${word}` : `A ${word}`);
const percent = (share: number): string => `${share < 0.095 ? (100 * share).toFixed(1) : Math.round(100 * share)} %`;

/** How far what was shaped sinks under its own weight where nothing holds it, m. */
function sinks({ formed, body, glass, work_perPa }: Meeting & { formed: Formed }): number {
  const { mean_m } = bodyFigures(body).depth;
  const { shaping, down_m } = formed;
  if (shaping.kind === 'former') return Math.min(drapeAfter(glass, shaping.overhang_m, mean_m, work_perPa), down_m);
  return sagAfter(glass, openingUnder(body.footprint), mean_m, work_perPa, down_m);
}

function shapeLost(meeting: Meeting): string[] {
  const { step, before, long } = meeting;
  const { formed } = before;
  if (!formed || RECIPES[step.look].stays || HOLDS.includes(step.setup.kind)) return [];
  const by_m = sinks({ ...meeting, formed });
  return [
    `${article(name(step))} with nothing to hold it lets the ${long(formed.down_m)} that the ${name(formed.by)} gave it sink by ${by_m > 0.98 * formed.down_m ? 'all of that' : `about ${long(by_m)}`}. Shape it last, or fire it in its mould or over its former.`,
  ];
}

const SEED_RADIUS_M = 0.001;

function bubblesGrow({ step, before, glass, work_perPa, long }: Meeting): string[] {
  if (!isSealed(before) || !RECIPES[step.look].flows) return [];
  const rises_m = (glass.density_kg_m3 * STANDARD_GRAVITY_m_s2 * SEED_RADIUS_M ** 2 * work_perPa) / 3;
  return [
    `Sealed air swells and rises: a bubble of ${long(2 * SEED_RADIUS_M)} by about ${long(rises_m)} in this firing. Near a face it opens. Warm slowly; go no hotter than needed.`,
  ];
}

function fillStandsProud({ step, before, body, work_perPa }: Meeting): string[] {
  const isLoose = (index: number): boolean => index < before.solid.from || index >= before.solid.to;
  if (!before.layers.some(({ name: called, form }, i) => called === 'Fill' && form === 'frit' && isLoose(i))) return [];
  const runs = neededWork(body, 'contour', TYPICAL_WORKS);
  if (!runs.ok || work_perPa >= runs.value.least) return [];
  return [
    `The fill needs a contour fuse to run smooth. ${article(name(step))} gives ${percent(work_perPa / runs.value.least)} of that heat work, so the fill will show. Use powder, or fire hotter.`,
  ];
}

/** Less of the work that begins to polish is not seen on what is blasted. */
const HARDLY_SOFTENS = 0.1;

function textureSoftens({ step, before, body, work_perPa }: Meeting): string[] {
  if (RECIPES[step.look].group !== 'shaped' || RECIPES[step.look].stays) return [];
  const matt = (['up', 'down'] as const).filter((face) => before.faces[face].surface === 'blasted');
  const hasRelief = before.layers.at(-1)?.form === 'pieces';
  const polish = neededWork(body, 'firePolish', TYPICAL_WORKS);
  if ((matt.length === 0 && !hasRelief) || !polish.ok || work_perPa < HARDLY_SOFTENS * polish.value.least) return [];
  const what = matt.length > 0 ? 'what is blasted turns satin' : 'the edges of the relief soften';
  return [
    `${article(name(step))} does ${percent(work_perPa / polish.value.least)} of the heat work that begins to polish: ${what} where the glass is hottest. Blast deeper, or shape it slower and cooler.`,
  ];
}

function rimThickens({ step, body, work_perPa, long }: Meeting): string[] {
  const { flows, puddle, fills } = RECIPES[step.look];
  const { depth, afterFiring } = bodyFigures(body);
  if (!flows || puddle || fills || body.dammed || afterFiring.tendency !== 'draws-in') return [];
  const ghost = ghostOf(body, step.look, work_perPa, shapingOf(step, body.footprint));
  const drawn_m = (footprintSpan(body.footprint) - ghost.width_m) / 2;
  if (drawn_m < LEAST_DRAWN_M) return [];
  return [
    `Its rim draws in by about ${long(drawn_m)} and thickens towards ${long(afterFiring.naturalDepth_m)}. The middle stays near ${long(depth.mean_m)} or thins. From then on it warms and cools unevenly.`,
  ];
}

/** Less is not worth a word, m. */
const LEAST_DRAWN_M = 0.001;

const MEETINGS = [shapeLost, bubblesGrow, fillStandsProud, textureSoftens, rimThickens];
/** What undoes work that was done: it is asked about before such a firing starts. */
const UNDOING = [shapeLost];

function ofFiring(step: PlannedStep, before: BodyNow, glasses: readonly NamedGlass[], units: Units, workOf: WorkOf, meetings = MEETINGS): string[] {
  const made = bodyOf(before, glasses);
  if (!made.ok || made.value.body.glasses.length === 0 || RECIPES[step.look].empty) return [];
  const { body } = made.value;
  const needed = neededWork(body, step.look, TYPICAL_WORKS, shapingOf(step, body.footprint));
  const work_perPa = workOf(step) ?? (needed.ok ? aimedWork(step.look, needed.value) : null);
  if (work_perPa === null) return [];
  const long = (value_m: number): string => text(formatLength(value_m, units.length));
  const meeting: Meeting = { step, before, body, glass: mainGlass(body), work_perPa, long };
  return meetings.flatMap((look) => look(meeting));
}

/** What of it undoes what the steps before a firing have made; before: the body that it meets. */
export const undoingWarnings = (step: PlannedStep, before: BodyNow, glasses: readonly NamedGlass[], units: Units, work_perPa: number | null): string[] =>
  ofFiring(step, before, glasses, units, () => work_perPa, UNDOING);

/** For each step of a journey what has to be said of it; nothing for most. */
export function journeyWarnings(after: readonly AfterStep[], glasses: readonly NamedGlass[], units: Units, workOf: WorkOf = () => null): string[][] {
  return after.map(({ step }, i) => {
    const before = after[i - 1]?.body;
    if (!before) return [];
    if (step.kind === 'fire') return ofFiring(step, before, glasses, units, workOf);
    const isWheel = (step.kind === 'polish' || step.kind === 'grind') && step.at !== 'rim';
    if (isWheel && before.formed) {
      const down = text(formatLength(before.formed.down_m, units.length));
      return [
        `Its face is bent by ${down} since the ${name(before.formed.by)}: a flat wheel or plate takes only what stands out. Grind and polish a face before it is shaped.`,
      ];
    }
    return [];
  });
}
