/** The body as it is after each step of its journey: a pure fold, never stored. */
import { type Casting, bodyFigures, mainGlass } from '../body/body';
import { footprintArea } from '../body/footprint';
import { heightLeft } from '../flow/relief';
import { RECIPES } from '../look/recipes/all';
import { cavityOf, shapingDown } from '../look/shaping';
import { aimedWork, neededWork } from '../look/work';
import { TYPICAL_WORKS } from '../look/works';
import type { Problem } from '../problem';
import { AS_MADE, type BodyNow, type Formed, NO_HOLES, type RanAs, asSlab, bodyOf, hasSolid, massNow, nothingYet } from './bodyNow';
import { bodyOfLayers, levelled, runOut, sunken } from './bodyOf';
import type { JourneyStep, LaidLayer, LayStep, PieceDocument, PlannedStep } from './document';
import { type Change, type StepOutcome, type Taken, stepOutcome } from './stepOutcome';
import { shapingOf } from './inForm';
import { settled } from './placed';
import type { NamedGlass } from './shelf';
import { benchKind } from './steps/all';
import { HOLDS } from './undoes';

export interface AfterStep {
  step: JourneyStep;
  body: BodyNow;
  /** What lies in the body after it, kg. */
  mass_kg: number;
  /** What it put on, kg. */
  laid_kg: number;
  taken: Taken[];
  /** Why it cannot be done so; the body is then as it was before. */
  problem: Problem | null;
}

function lay(before: BodyNow, { side, layers: laid }: LayStep, glasses: readonly NamedGlass[]): StepOutcome {
  if (laid.length === 0) return stepOutcome(before);
  const now = { ...asSlab(before, glasses), ran: null };
  const layers = laid.map((layer) => settled(layer, now.footprint));
  if (side === 'above') return stepOutcome({ ...now, layers: [...now.layers, ...layers] });
  const over = ({ from, to }: BodyNow['solid']): BodyNow['solid'] => (to > from ? { from: from + layers.length, to: to + layers.length } : { from, to });
  return stepOutcome({ ...now, layers: [...layers, ...now.layers], solid: over(now.solid), heated: over(now.heated) });
}

function formedBy(now: BodyNow, step: PlannedStep): Formed | null {
  const { setup, look, measured } = step;
  const shaping = shapingOf(step, now.footprint);
  const planned = shapingDown(shaping);
  if (shaping && planned !== null && RECIPES[look].asks?.kind === shaping.kind)
    return { by: step, shaping, down_m: measured?.down_m ?? planned, isMeasured: measured !== undefined };
  return RECIPES[look].stays || HOLDS.includes(setup.kind) ? now.formed : null;
}

/** How it shows from the side after a firing; as before where it was too cool for its glass to run. */
function ranAs(now: BodyNow, step: PlannedStep, glasses: readonly NamedGlass[]): RanAs | null {
  const recipe = RECIPES[step.look];
  const shaping = shapingOf(step, now.footprint);
  const cavity = cavityOf(shaping);
  if (recipe.fills && cavity) return { as: 'cast', thin_m: cavity.thin_m, wall_m: cavity.wall_m };
  if (recipe.puddle) return { as: 'puddle' };
  if (recipe.opens) {
    const made = bodyOf(now, glasses);
    const needed = made.ok ? neededWork(made.value.body, step.look, TYPICAL_WORKS, shaping) : made;
    const open = made.ok && needed.ok ? recipe.opens({ body: made.value.body, works: TYPICAL_WORKS }, aimedWork(step.look, needed.value)) : null;
    return open === null ? null : { as: 'lace', open };
  }
  return recipe.flows || recipe.levels ? null : now.ran;
}

/** Glass that flows closes its holes: as much of it as there is, over all of the outline. */
function closed(now: BodyNow, glasses: readonly NamedGlass[]): BodyNow {
  if (now.holes.mass_kg === 0) return now;
  const left = 1 - now.holes.mass_kg / (massNow(now, glasses) + now.holes.mass_kg);
  const layers = now.layers.map((layer): LaidLayer => {
    if ('thickness_m' in layer) return { ...layer, thickness_m: layer.thickness_m * left };
    return 'diameter_m' in layer ? { ...layer, diameter_m: layer.diameter_m * left } : { ...layer, perArea_kg_m2: layer.perArea_kg_m2 * left };
  });
  return { ...now, layers, casting: now.casting && { ...now.casting, volume_m3: now.casting.volume_m3 * left }, holes: NO_HOLES };
}

/** Its relief as far down as such a firing is to bring it. */
function lowered(now: BodyNow, step: PlannedStep, glasses: readonly NamedGlass[]): LaidLayer[] {
  if (!now.layers.some(({ form }) => form === 'pieces')) return now.layers;
  const made = bodyOf(now, glasses);
  const { look } = step;
  const needed = made.ok ? neededWork(made.value.body, look, TYPICAL_WORKS, shapingOf(step, now.footprint)) : made;
  if (!made.ok || !needed.ok) return now.layers;
  const { body } = made.value;
  const { max_m } = bodyFigures(body).depth;
  return sunken(now.layers, footprintArea(now.footprint), (width_m) => heightLeft(mainGlass(body), width_m, max_m, aimedWork(look, needed.value)));
}

function fire(before: BodyNow, step: PlannedStep, glasses: readonly NamedGlass[]): StepOutcome {
  const recipe = RECIPES[step.look];
  if (recipe.empty || before.layers.length === 0) return stepOutcome(before);
  const now = recipe.flows ? closed(before, glasses) : before;
  const mass_kg = massNow(now, glasses);
  const formed = formedBy(now, step);
  const flowing = recipe.puddle ?? recipe.fills;
  // What is strewn on a solid sticks to it by a polish already.
  const sticks = recipe.joins || (hasSolid(now) && recipe.holdsGrains === true);
  const solid = sticks ? { from: 0, to: now.layers.length } : now.solid;
  // A colour strikes at the heat of a fuse, not at that of a slump.
  const heated = recipe.joins || recipe.holdsGrains ? { from: 0, to: now.layers.length } : now.heated;
  const softens = recipe.group !== 'shaped' && !recipe.stays;
  const faces: BodyNow['faces'] = softens ? { up: AS_MADE, down: now.faces.down } : now.faces;
  const level = softens && !now.casting ? (recipe.levels ? levelled(now.layers) : lowered(now, step, glasses)) : now.layers;
  const ran = ranAs(now, step, glasses);
  const fired: BodyNow = { ...now, layers: level, solid, heated, formed, ran, faces, apart: recipe.joins ? 1 : now.apart };
  if (!flowing) return stepOutcome(fired);
  const made = bodyOf({ ...fired, formed: null }, glasses);
  if (!made.ok) return made;
  const out = runOut(made.value.body, step);
  // A firing that cannot be leaves it as it was laid.
  if (out === made.value.body) return stepOutcome({ ...fired, ran: null });
  const { casting, footprint, dammed = false } = out;
  const deep_m = (index: number): number =>
    out.layers.reduce((sum, one, i) => sum + (made.value.laidAt[i] === index && 'thickness_m' in one ? one.thickness_m : 0), 0);
  const layers = casting ? fired.layers : fired.layers.map((layer, i): LaidLayer => asSheet(layer, deep_m(i)));
  const flowed: BodyNow = { ...fired, footprint, dammed, layers, casting: casting ? withoutGlass(casting) : null, formed: null };
  return stepOutcome(flowed, { as: 'leftBehind', mass_kg: Math.max(mass_kg - massNow(flowed, glasses), 0) });
}

const withoutGlass = ({ glass: _glass, ...rest }: Casting): Omit<Casting, 'glass'> => rest;

/** A layer that has become a sheet of so much. */
function asSheet({ id, glassId, name }: LaidLayer, thickness_m: number): LaidLayer {
  return { id, glassId, ...(name ? { name } : {}), form: 'sheet', thickness_m };
}

function done(now: BodyNow, step: JourneyStep, glasses: readonly NamedGlass[]): StepOutcome {
  switch (step.kind) {
    case 'lay':
      return lay(now, step, glasses);
    case 'fire':
      return fire(now, step, glasses);
    default:
      return benchKind(step).applies?.(now, step, glasses) ?? stepOutcome(now);
  }
}

/** What a step lays on, kg, by its own measures. */
export function laidBy(step: JourneyStep, { footprint }: BodyNow, glasses: readonly NamedGlass[]): number {
  if (step.kind === 'fill') return step.mass_kg;
  if (step.kind !== 'lay' || step.layers.length === 0) return 0;
  const layers = step.layers.map((layer) => settled(layer, footprint));
  const alone = bodyOfLayers({ ...nothingYet({ footprint, dammed: false }), layers }, glasses, true);
  return alone.ok ? bodyFigures(alone.value.body).mass_kg : 0;
}

/** Where what a step took was weighed, that is what it took. */
function asTold({ body, taken = [] }: Change, step: JourneyStep): Required<Change> {
  const told_kg = step.kind === 'fire' ? undefined : step.took?.mass_kg;
  const reckoned_kg = taken.reduce((sum, { mass_kg }) => sum + mass_kg, 0);
  if (told_kg === undefined || reckoned_kg === 0) return { body, taken };
  const by = told_kg / reckoned_kg;
  return { body: { ...body, lost_kg: body.lost_kg + told_kg - reckoned_kg }, taken: taken.map(({ as, mass_kg }) => ({ as, mass_kg: mass_kg * by })) };
}

function after(now: BodyNow, step: JourneyStep, glasses: readonly NamedGlass[]): AfterStep {
  const outcome = done(now, step, glasses);
  const laid_kg = outcome.ok ? laidBy(step, now, glasses) : 0;
  const told = outcome.ok ? asTold(outcome.value, step) : { body: now, taken: [] };
  return { step, body: told.body, mass_kg: massNow(told.body, glasses), laid_kg, taken: told.taken, problem: outcome.ok ? null : outcome.problem };
}

/** What came of a step where it stood, and of those that followed it there. */
interface Followed {
  after: AfterStep;
  next: Steps;
}
type Steps = WeakMap<JourneyStep, Followed>;

/** By the glasses of the shelf and the outline that a piece begins with, dammed or not. */
const known = new WeakMap<readonly NamedGlass[], WeakMap<PieceDocument['footprint'], { dammed: Steps; free: Steps }>>();

function firstSteps({ footprint, dammed }: Pick<PieceDocument, 'footprint' | 'dammed'>, glasses: readonly NamedGlass[]): Steps {
  const byOutline = known.get(glasses) ?? new WeakMap<PieceDocument['footprint'], { dammed: Steps; free: Steps }>();
  known.set(glasses, byOutline);
  const begun = byOutline.get(footprint) ?? { dammed: new WeakMap(), free: new WeakMap() };
  byOutline.set(footprint, begun);
  return dammed ? begun.dammed : begun.free;
}

/**
 * The body after each step of a journey, in its order. glasses: those of the shelf. Each step is applied once behind the same ones before it,
 * however often and by whom that is asked: documents are never changed, so that after an edit only what follows it is new.
 */
export function applySteps(doc: Pick<PieceDocument, 'footprint' | 'dammed' | 'journey'>, glasses: readonly NamedGlass[]): AfterStep[] {
  let now = nothingYet(doc);
  let steps = firstSteps(doc, glasses);
  return doc.journey.map((step) => {
    const followed = steps.get(step) ?? { after: after(now, step, glasses), next: new WeakMap() };
    steps.set(step, followed);
    now = followed.after.body;
    steps = followed.next;
    return followed.after;
  });
}
