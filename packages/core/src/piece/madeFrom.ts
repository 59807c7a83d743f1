/**
 * What a schedule was made from, as the studio sees it: only what a person can have changed. Constants that ship with the
 * program (its own limits, how set-ups pass heat) and the engine's own version are not part of it, so a newer program outdates nothing.
 */
import type { BodyInput } from '../body/body';
import type { Footprint } from '../body/footprint';
import type { GlassConstants } from '../glass/constants';
import type { Controller } from '../controller/profile';
import type { KilnConstants } from '../kiln/kiln';
import type { Corrections } from '../learn/corrections';
import { RECIPES } from '../look/recipes/all';
import type { Look } from '../look/names';
import type { Coat } from '../release/coat';
import type { School } from '../schedule/firingCase';
import type { StudioLimits } from '../schedule/studioLimits';
import type { Units } from '../units/convert';
import { formatDifference, formatDuration, formatLength, formatStock, text } from '../units/format';
import type { JourneyStep, LaidLayer, PlannedSetUp } from './document';
import { unplaced } from './placed';
import { stepName } from './stepWords';
import { footprintWords } from '../body/footprintWords';
import { setupWords } from './words';

export interface MadeFrom {
  footprint: Footprint;
  dammed: boolean;
  /** Where it was known what lay where. */
  mapped?: NonNullable<BodyInput['mapped']>;
  /** From the shelf up, with the name that the glass had. */
  layers: { glassName: string; depth_m: number; laid: LaidLayer }[];
  /** By the glass's id. */
  glasses: Record<string, GlassConstants>;
  /** The firings before it, which make the body that it meets. */
  before: { look: Look; setup: PlannedSetUp }[];
  /** The whole way to it, where hands did more before it than lay it up once. */
  hands?: Way[];
  look: Look;
  /** Its form without a name: what that is called makes no difference. */
  setup: PlannedSetUp;
  formName?: string;
  school: School;
  /** What of the studio's own was between glass and shelf. */
  release?: { id: string; name: string; coat: Coat };
  /** taken: what of its firings was planned by; left out where all was as usual. */
  kiln: { id: string; name: string; constants: KilnConstants; taken?: Corrections };
  /** By how much its place in the kiln was hotter than the middle, K; left out where it was not. */
  place_K?: number;
  /** What else its place did to it; left out where nothing. */
  place?: { lag_s?: number; underShelf?: true; load_J_K?: number };
  controller: { id: string; name: string; counts: Controller };
  /** Those that the studio had set; left out where all were as they ship. */
  limits?: StudioLimits;
}

/** Key order makes no difference, nor does a part that is left out beside one that is undefined. */
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_, part: unknown) =>
    part && typeof part === 'object' && !Array.isArray(part) ? Object.fromEntries(Object.entries(part).sort(([a], [b]) => (a < b ? -1 : 1))) : part,
  );
export const sameMatter = (one: unknown, other: unknown): boolean => canonical(one) === canonical(other);

/** A set-up without what its form and its shelf are called. */
export const unnamed = ({ form, shelf, ...setup }: PlannedSetUp): PlannedSetUp => ({
  ...setup,
  ...(form ? { form: { ...form, name: '' } } : {}),
  ...(shelf ? { shelf: { ...shelf, name: '' } } : {}),
});

/** A layer's own name and id are not what it is made of; where its parts lie counts by what comes of it. */
const bare = (layer: LaidLayer): unknown => {
  const { id: _id, name: _name, ...rest } = unplaced(layer);
  return rest;
};

/** A part moved by less than a hand lays it is no other lay-up: depths within this, m, and distances within this share. */
const SAME_DEPTH_M = 1e-4;
const SAME_APART = 0.1;

const isSameMap = (one: MadeFrom['mapped'], other: MadeFrom['mapped']): boolean =>
  one === undefined || other === undefined
    ? one === other
    : Math.abs(one.thin_m - other.thin_m) < SAME_DEPTH_M &&
      Math.abs(one.thick_m - other.thick_m) < SAME_DEPTH_M &&
      Math.abs(one.apart_m - other.apart_m) <= SAME_APART * Math.max(one.apart_m, other.apart_m);

function mapDifference(made: MadeFrom['mapped'], now: MadeFrom['mapped'], units: Units): string {
  if (!made) return 'It was planned before its parts were placed; it is known now where they lie.';
  if (!now) return 'It was planned from where its parts lay; they are not placed any more.';
  const words = ({ thin_m, thick_m, apart_m }: NonNullable<MadeFrom['mapped']>): string =>
    `${text(formatLength(thin_m, units.length))} beside ${text(formatLength(thick_m, units.length))}${apart_m > 0 ? `, ${text(formatLength(apart_m, units.length))} apart` : ''}`;
  return `As its parts lay it was ${words(made)}; as they lie now it is ${words(now)}.`;
}
const matter = ({ laid }: MadeFrom['layers'][number]): unknown => bare(laid);

const depthOf = ({ layers }: MadeFrom): number => layers.reduce((sum, { depth_m }) => sum + depth_m, 0);
const layersWords = ({ layers }: MadeFrom, units: Units): string =>
  layers.map(({ glassName, depth_m }) => `${glassName} ${text(formatStock(depth_m, units.length))}`).join(', ');

function layupDifferences(made: MadeFrom, now: MadeFrom, units: Units): string[] {
  const said: string[] = [];
  if (!sameMatter(made.footprint, now.footprint)) {
    said.push(`The outline was ${footprintWords(made.footprint, units.length)}; now it is ${footprintWords(now.footprint, units.length)}.`);
  }
  if (made.dammed !== now.dammed) said.push(now.dammed ? 'It stood free; it stands in a dam.' : 'It stood in a dam; it stands free.');
  if (!sameMatter(made.layers.map(matter), now.layers.map(matter))) {
    const [then, here] = [made, now].map((one) => text(formatLength(depthOf(one), units.length)));
    if (then !== here) said.push(`It was laid ${then} deep; now it is ${here} deep.`);
    else if (layersWords(made, units) !== layersWords(now, units))
      said.push(`From the shelf up it was ${layersWords(made, units)}; now it is ${layersWords(now, units)}.`);
    else said.push('The layers have other amounts, covers, numbers or sides than then.');
  }
  if (said.length === 0 && !isSameMap(made.mapped, now.mapped)) said.push(mapDifference(made.mapped, now.mapped, units));
  for (const [id, constants] of Object.entries(now.glasses)) {
    if (!(id in made.glasses) || sameMatter(made.glasses[id], constants)) continue;
    said.push(`The figures of ${now.layers.find(({ laid }) => laid.glassId === id)?.glassName ?? id} have been changed on the shelf.`);
  }
  if (!sameMatter(made.before, now.before)) said.push('The firings before it are not what they were.');
  else if (said.length === 0 && !sameMatter(made.hands, now.hands)) said.push(wayDifference(wayTo(made), wayTo(now)));
  return said;
}

function takenWords(kiln: string, made: Corrections | undefined, now: Corrections | undefined): string {
  if (now === undefined) return `It went by what firings of '${kiln}' had taught; plans are as usual again.`;
  return made === undefined ? `What firings of '${kiln}' have taught has been taken over since.` : `Firings of '${kiln}' have taught more since.`;
}

/** Places less apart than that fire alike, K. */
const TOLD_FROM_K = 0.5;

function placeWords(hotter_K = 0, { temperature }: Units): string {
  const by = text(formatDifference(Math.abs(hotter_K), temperature));
  return Math.abs(hotter_K) < TOLD_FROM_K ? 'as hot as its middle' : `${by} ${hotter_K > 0 ? 'hotter' : 'cooler'} than its middle`;
}

/** Lags less apart than that fire alike, s, and loads less apart than this share of what they store. */
const LAGS_APART_S = 15;
const LOADS_APART = 0.1;

const behindWords = (lag_s = 0): string => (lag_s < LAGS_APART_S ? 'with its middle' : `${text(formatDuration(lag_s))} behind its middle`);

function massDifference(was_J_K: number, is_J_K: number): string {
  if (was_J_K === 0) return 'The mass of its load was not counted; it is now.';
  if (is_J_K === 0) return 'The mass of its load was counted; it is not any more.';
  return `Its load is ${is_J_K > was_J_K ? 'heavier' : 'lighter'} now.`;
}

function placeDifferences(made: MadeFrom['place'] = {}, now: MadeFrom['place'] = {}): string[] {
  const [was, is] = [made.load_J_K ?? 0, now.load_J_K ?? 0];
  return [
    ...(made.underShelf === now.underShelf
      ? []
      : [now.underShelf ? 'It was not under another shelf; it is now.' : 'It was under another shelf; it is not any more.']),
    ...(Math.abs((made.lag_s ?? 0) - (now.lag_s ?? 0)) < LAGS_APART_S
      ? []
      : [`Its place in the kiln ran ${behindWords(made.lag_s)}; now it runs ${behindWords(now.lag_s)}.`]),
    ...(Math.abs(was - is) <= LOADS_APART * Math.max(was, is) ? [] : [massDifference(was, is)]),
  ];
}

/** What of a step makes the body, without what it is called, when it was done and by which kiln and schedule. */
export type Way = { kind: JourneyStep['kind'] } & Record<string, unknown>;

const NOT_MATTER = ['id', 'name', 'doneAt', 'took', 'kilnId', 'controllerId', 'school', 'releaseId', 'scheduleId', 'computedId', 'place', 'found', 'why'];
/** Steps that leave the glass as it is. */
const LEAVES: readonly JourneyStep['kind'][] = ['look', 'wait', 'clean', 'join'];

const wayOf = (step: JourneyStep): Way => {
  const rest = Object.entries(step).filter(([key]) => !NOT_MATTER.includes(key));
  const laid = step.kind === 'lay' ? { layers: step.layers.map(bare) } : {};
  const set = step.kind === 'fire' ? { setup: unnamed(step.setup) } : {};
  return { ...Object.fromEntries(rest), ...laid, ...set, kind: step.kind };
};

/** The way to a firing; empty where it is one lay-up and firings alone, which are kept without it. */
export function handsBefore(before: readonly JourneyStep[]): Way[] {
  const working = before.filter(({ kind }) => !LEAVES.includes(kind));
  const isPlain = working.every((step, i) => (step.kind === 'lay' ? i === 0 : step.kind === 'fire' && !step.measured));
  return isPlain ? [] : working.map(wayOf);
}

/** What was kept without its way was laid up once and fired. */
const wayTo = ({ hands, layers, before }: MadeFrom): Way[] =>
  hands ?? [{ kind: 'lay', side: 'above', layers: layers.map(matter) }, ...before.map((firing): Way => ({ kind: 'fire', ...firing }))];

/** The first step that is not what it was, as a sentence. */
function wayDifference(made: readonly Way[], now: readonly Way[]): string {
  const at = Array.from({ length: Math.max(made.length, now.length) }).findIndex((_, i) => !sameMatter(made[i], now[i]));
  // A way keeps of each step what matters, under the step's own names; its name is made of those alone.
  // eslint-disable-next-line no-restricted-syntax -- what is kept with a schedule has no type of each kind of step
  const [was, is] = [made[at], now[at]].map((way: Way | undefined) => (way ? stepName(way as unknown as JourneyStep).toLowerCase() : null));
  if (was === null) return `Before it there is a step now that was not: ${is}.`;
  if (is === null) return `Before it there was a step that is not any more: ${was}.`;
  return was === is ? `A step before it is not what it was: ${is}.` : `A step before it was '${was}'; it is '${is}' now.`;
}

function formDifference(made: MadeFrom, now: MadeFrom): string {
  const [was, is] = [made.setup.form, now.setup.form];
  if (!sameMatter(made.setup.shelf, now.setup.shelf))
    return made.setup.shelf?.id === now.setup.shelf?.id ? 'The measures of the shelf under it have been changed.' : 'It was to stand on another shelf.';
  if (!was && !is) return 'The mould or former has other measures than then.';
  if (!was) return `It was for a mould or former by its measures; it is to be fired with '${now.formName}'.`;
  if (!is) return `It was for '${made.formName}'; it goes by typed measures now.`;
  if (was.id !== is.id) return `It was for '${made.formName}'; it is to be fired with '${now.formName}'.`;
  return sameMatter(was.shape, is.shape)
    ? 'The edge is to come down otherwise than then.'
    : `The measures of '${now.formName}' have been changed on the shelf.`;
}

/** Each way in which what stands now is not what the schedule was made from, as a sentence; none where it is still good. */
export function madeFromDifferences(made: MadeFrom, now: MadeFrom, units: Units): string[] {
  const said = layupDifferences(made, now, units);
  if (made.look !== now.look) said.push(`It was for a ${RECIPES[made.look].name.toLowerCase()}; it is to be a ${RECIPES[now.look].name.toLowerCase()}.`);
  const isSame = made.release?.id === now.release?.id;
  const stands = setupWords(now.setup, now.release?.name);
  const stood = setupWords(made.setup, isSame ? now.release?.name : made.release?.name);
  if (stood !== stands) said.push(`The set-up was '${stood}'; now it is '${stands}'.`);
  else if (!sameMatter(made.setup, now.setup)) said.push(formDifference(made, now));
  if (stood === stands && !sameMatter(made.release?.coat, now.release?.coat)) said.push(`The figures of '${now.release?.name}' have been changed.`);
  if (!sameMatter(made.school, now.school)) said.push('Another way of heat or soak has been chosen.');
  if (made.kiln.id !== now.kiln.id) said.push(`It was for the kiln '${made.kiln.name}'; it is to be fired in '${now.kiln.name}'.`);
  else if (!sameMatter(made.kiln.constants, now.kiln.constants)) said.push(`The figures of the kiln '${now.kiln.name}' have been changed.`);
  if (made.kiln.id === now.kiln.id && !sameMatter(made.kiln.taken, now.kiln.taken)) said.push(takenWords(now.kiln.name, made.kiln.taken, now.kiln.taken));
  if (made.kiln.id === now.kiln.id && Math.abs((made.place_K ?? 0) - (now.place_K ?? 0)) >= TOLD_FROM_K)
    said.push(`Its place in the kiln was ${placeWords(made.place_K, units)}; now it is ${placeWords(now.place_K, units)}.`);
  if (made.kiln.id === now.kiln.id) said.push(...placeDifferences(made.place, now.place));
  if (made.controller.id !== now.controller.id)
    said.push(`It was for the controller '${made.controller.name}'; it is to be keyed into '${now.controller.name}'.`);
  else if (!sameMatter(made.controller.counts, now.controller.counts)) said.push(`The figures of the controller '${now.controller.name}' have been changed.`);
  if (!sameMatter(made.limits, now.limits)) said.push("The studio's limits have been changed in Settings.");
  return said;
}
