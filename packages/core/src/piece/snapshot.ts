/** Puts one firing of a piece together with the records it names: what the engine computes from, kept with the schedule. */
import { withId } from './byId';
import { bodyFigures, mainGlass } from '../body/body';
import { footprintArea } from '../body/footprint';
import type { Controller } from '../controller/profile';
import { deepestDrape } from '../flow/sag';
import { pickKeys } from '../keys';
import { carrying, chamberOf } from '../kiln/carrying';
import { hotterAt, isUnderShelf, lagAt, roomOf, withoutInside } from '../kiln/inside';
import type { KilnConstants } from '../kiln/kiln';
import { seenAt, seenFor } from '../schedule/bounds';
import { type TakenOver, correctionsOf } from '../learn/corrections';
import { type Outcome, found, refused } from '../problem';
import type { FiringCase, Body } from '../schedule/firingCase';
import { limitsOf } from '../schedule/studioLimits';
import { type Coat } from '../release/coat';
import { setUpOf, underShelf } from '../schedule/setups';
import { ENGINE_VERSION } from '../version';
import { type Met, bodyBefore } from './bodyAt';
import type { Formed } from './bodyNow';
import { isBending, type Shaping, emptyItemOf } from '../look/shaping';
import { emptyItemBody, EMPTY_ITEM_MATERIALS, EMPTY_ITEM_NAMES, type EmptyItem } from '../emptyFiring/emptyItems';
import { RECIPES } from '../look/recipes/all';
import type { PieceDocument, PlannedSetUp, PlannedStep } from './document';
import { type DrawnLayer, drawnLayers } from './drawnLayers';
import { asItStands, shapingIn } from './inForm';
import { firingsOf, laidLayers, placeOf } from './journey';
import { type MadeFrom, handsBefore, unnamed } from './madeFrom';
import { unplaced } from './placed';
import { type Labelled, type Shelf, constantsOf, namedGlasses, sharesOf } from './shelf';

/** What a schedule was made from, kept so that later edits of records do not change the past. */
export interface FiringSnapshot<C extends Labelled & Controller = Labelled & Controller> {
  firing: FiringCase;
  familyName: string;
  familyId?: string;
  kilnName: string;
  controller: C;
  layers: DrawnLayer[];
  /** shaping: of what is fired with no glass alone. */
  setup: Pick<PlannedSetUp, 'kind' | 'paper' | 'wet' | 'shaping' | 'form' | 'shelf'>;
  engine: string;
  madeFrom?: MadeFrom;
}

/** A firing of a piece with all that the engine computes it from. */
export function snapshotOf<C extends Labelled & Controller>(doc: PieceDocument, step: PlannedStep, shelf: Shelf<C>): Outcome<FiringSnapshot<C>> {
  const index = placeOf(doc, step.id);
  const item = RECIPES[step.look].empty ? emptyItemOf(step.setup.shaping) : null;
  const met = item ? found({ now: null, body: noBody(item), glassIds: [] }) : bodyBefore(doc, step.id, namedGlasses(shelf));
  if (!met.ok) return met;
  const { body, now } = met.value;
  const missing = (what: string, key: 'kilnId' | 'controllerId' | 'releaseId') =>
    refused('unknown-id', `doc.journey.${index}.${key}`, `No ${what} '${step[key]}' on the shelf.`);
  const kiln = shelf.kilns.find(({ id }) => id === step.kilnId);
  if (!kiln) return missing('kiln', 'kilnId');
  const controller = shelf.controllers.find(({ id }) => id === step.controllerId);
  if (!controller) return missing('controller', 'controllerId');
  const release = item || step.releaseId === undefined ? null : shelf.releases.find(({ id }) => id === step.releaseId);
  if (release === undefined) return missing('release', 'releaseId');
  const setup = asItStands(step.setup, shelf);
  const { kind, paper, wet, form, shelf: under } = setup;
  const shaping = shapingIn({ look: step.look, setup }, body.footprint);
  if (!shaping.ok) return shaping;
  const { constants, taken } = kilnOf(kiln);
  const place = placeIn(step, kiln);
  const { hotter_K = 0 } = place;
  const corrections = correctionsOf({ ...taken, offset_K: (taken.offset_K ?? 0) - hotter_K });
  const stands = setUpOf({
    ...{ kind, paper },
    ...(wet ? { wet } : {}),
    ...goingOn(item ?? withinReach(shaping.value, form, body), now?.formed),
    ...(release ? { coat: { name: release.name, ...coatOf(release) } } : {}),
    ...(form && !item ? { within: { form: form.shape, glass_m2: footprintArea(body.footprint), ...(under ? { shelf: under.shape } : {}) } } : {}),
  });
  const firing: FiringCase = {
    body,
    setup: place.underShelf ? underShelf(stands) : stands,
    kiln: carrying(constants, chamberOf(kiln), place.load_J_K),
    look: step.look,
    school: step.school,
    limits: limitsOf(shelf.limits),
    controller: countsOf(controller),
    ...(corrections ? { corrections } : {}),
    ...(hotter_K === 0 ? {} : { place_K: hotter_K }),
    ...(place.lag_s ? { placeLag_s: place.lag_s } : {}),
  };
  const bounds = seenFor(
    firing,
    { formId: form?.id ?? null, formedBy: now?.formed?.isMeasured ? now.formed.by.id : null, firedBy: item ? [] : firedJustBefore(doc, index) },
    seenAt(
      (shelf.seen ?? []).filter(({ kilnId }) => kilnId === step.kilnId),
      firing.body,
      hotter_K,
    ),
  );
  const family = mainFamily(met.value, shelf);
  return found({
    firing: bounds ? { ...firing, seen: bounds } : firing,
    familyName: family?.name ?? (item ? EMPTY_ITEM_NAMES[item.of] : ''),
    ...(family ? { familyId: family.id } : {}),
    kilnName: kiln.name,
    controller,
    layers: item ? [drawnEmptyItem(item)] : drawnLayers(now?.layers ?? [], shelf, body.footprint),
    setup: {
      kind,
      paper: paper && !release,
      ...(wet ? { wet } : {}),
      ...(item ? { shaping: item } : {}),
      ...(form && !item ? { form, ...(under ? { shelf: under } : {}) } : {}),
    },
    engine: ENGINE_VERSION,
    madeFrom: madeFromOf(item ? { ...doc, footprint: body.footprint, dammed: false, journey: [step] } : doc, { ...step, setup }, item ? 0 : index, shelf, {
      kiln,
      controller,
      release,
      place,
      mapped: body.mapped,
    }),
  });
}

/** The firings that the glass came out of, the last one first, since something was laid on it. */
function firedJustBefore({ journey }: PieceDocument, index: number): string[] {
  const before = journey.slice(0, index).reverse();
  const laid = before.findIndex(({ kind }) => kind === 'lay');
  return before.slice(0, laid < 0 ? undefined : laid).flatMap(({ kind, id }) => (kind === 'fire' ? [id] : []));
}

/** Nothing of glass, within the outline of what is fired. */
const noBody = (item: EmptyItem): Body => ({ glasses: [], layers: [], footprint: emptyItemBody(item).footprint, joined: true });

/** What is fired with no glass, as it is drawn. */
export const drawnEmptyItem = ({ of, wall_m }: EmptyItem): DrawnLayer => ({
  name: EMPTY_ITEM_NAMES[of],
  colour: EMPTY_ITEM_MATERIALS[of].colour,
  thickness_m: wall_m,
  ware: of,
});

/** An edge that nobody said how far to bring down comes down no further than glass of its thickness can. */
function withinReach(shaping: Shaping | undefined, form: PlannedSetUp['form'], body: Body): Shaping | undefined {
  if (shaping?.kind !== 'former' || !form || form.drop_m !== undefined) return shaping;
  const deepest_m = deepestDrape(shaping.overhang_m, bodyFigures(body).depth.mean_m);
  return deepest_m > 0 ? { ...shaping, drop_m: Math.min(shaping.drop_m, deepest_m) } : shaping;
}

/** Where a shape came out half-way, the firing after it goes on from there. */
function goingOn(shaping: Shaping | undefined, formed: Formed | null | undefined): { shaping?: Shaping } {
  if (!shaping) return {};
  if (!formed?.isMeasured || !isBending(shaping) || formed.shaping.kind !== shaping.kind) return { shaping };
  return { shaping: { ...shaping, down_m: formed.down_m } };
}

/** What of a controller a schedule is written for, and what only tells how it is keyed and how it runs. */
export const CONTROLLER_COUNTS = {
  unit: true,
  mostSegments: true,
  fullSpeedCode: true,
  fullSpeedDownCode: true,
  rateAs: true,
  leastRate: true,
  mostRate: true,
  rateStep: true,
  rates: true,
  holdAs: true,
  mostHold_s: true,
  targetStep: true,
  top_C: true,
  order: false,
  ends: false,
  keepsOld: false,
  programs: false,
  builtIn: false,
  preset_K_per_s: false,
  mostDelay_s: false,
  alarms: false,
  skips: false,
  addTime_s: false,
  addDegrees_K: false,
  reviews: false,
  afterCut: false,
  rateWords: false,
  targetWords: false,
  holdWords: false,
} as const satisfies Record<keyof Required<Controller>, boolean>;
type Counted = { [K in keyof typeof CONTROLLER_COUNTS]: (typeof CONTROLLER_COUNTS)[K] extends true ? K : never }[keyof typeof CONTROLLER_COUNTS];
const isCounted = (key: keyof Controller): key is Counted => CONTROLLER_COUNTS[key];
const COUNTED = (Object.keys(CONTROLLER_COUNTS) as (keyof Controller)[]).filter(isCounted);

/** A controller without its name, its words and what it does while it runs: how it counts. */
export const countsOf = (controller: Controller): Controller => pickKeys(controller, COUNTED);

/** A release without what it is called and how long it lasts: what a firing is computed by. */
const coatOf = ({ kind, weight_kg_m2, top_C, pace_K_per_s, paceTo_C }: Coat): Coat => ({
  ...{ kind, top_C },
  ...(weight_kg_m2 === undefined ? {} : { weight_kg_m2 }),
  ...(pace_K_per_s === undefined || paceTo_C === undefined ? {} : { pace_K_per_s, paceTo_C }),
});

/** A kiln's own constants, and what its firings have taught. */
function kilnOf(kiln: Shelf['kilns'][number]): { constants: KilnConstants; taken: TakenOver } {
  const { offset_K, workFactor, lookFactors, ...constants } = withoutInside(constantsOf(kiln));
  return {
    constants,
    taken: { ...(offset_K === undefined ? {} : { offset_K }), ...(workFactor === undefined ? {} : { workFactor }), ...(lookFactors ? { lookFactors } : {}) },
  };
}

/** What its place in its kiln does to a firing; what is as in the middle of an empty kiln is left out. */
export interface InItsPlace {
  /** By how much it is hotter than the middle, K. */
  hotter_K?: number;
  lag_s?: number;
  underShelf?: true;
  /** What its load stores in all, J/K, in a kiln of which it is known what it stores itself. */
  load_J_K?: number;
}

export function placeIn({ place, kilnId }: Pick<PlannedStep, 'place' | 'kilnId'>, kiln: Shelf['kilns'][number]): InItsPlace {
  if (place?.kilnId !== kilnId) return {};
  const hotter_K = hotterAt(kiln, roomOf(kiln), place);
  const lag_s = lagAt(kiln, roomOf(kiln), place);
  return {
    ...(hotter_K === 0 ? {} : { hotter_K }),
    ...(lag_s > 0 ? { lag_s } : {}),
    ...(isUnderShelf(place) ? { underShelf: true } : {}),
    ...(place.load_J_K && chamberOf(kiln) !== null ? { load_J_K: place.load_J_K } : {}),
  };
}

/** How large a kiln is inside changes nothing that was computed. */
function withoutRoom({
  insideWidth_m: _width,
  insideLength_m: _length,
  insideDiameter_m: _diameter,
  insideHeight_m: _height,
  ...constants
}: KilnConstants): KilnConstants {
  return constants;
}

/** What a person can change of all this. */
function madeFromOf(
  doc: PieceDocument,
  { look, setup, school }: PlannedStep,
  index: number,
  shelf: Shelf,
  {
    kiln,
    controller,
    release,
    place: { hotter_K, ...place },
    mapped,
  }: { kiln: Shelf['kilns'][number]; controller: Labelled & Controller; release: Shelf['releases'][number] | null; place: InItsPlace; mapped: Body['mapped'] },
): MadeFrom {
  const before = doc.journey.slice(0, index);
  const layers = laidLayers({ journey: before });
  const drawn = drawnLayers(layers, shelf, doc.footprint);
  const { constants, taken } = kilnOf(kiln);
  const used = new Set([...layers, ...before.flatMap((one) => (one.kind === 'fill' ? [one] : []))].map(({ glassId }) => glassId));
  const hands = handsBefore(before);
  return {
    footprint: doc.footprint,
    dammed: doc.dammed,
    ...(mapped ? { mapped } : {}),
    layers: layers.map((laid, i) => ({ glassName: drawn[i].name, depth_m: drawn[i].thickness_m, laid: unplaced(laid) })),
    glasses: Object.fromEntries(
      namedGlasses(shelf)
        .filter(({ id }) => used.has(id))
        .flatMap((glass) => [glass, ...(glass.made ? sharesOf(glass).map((part) => part.glass) : [])])
        .map(({ id, constants }) => [id, constants]),
    ),
    before: firingsOf({ journey: before }).map((earlier) => ({ look: earlier.look, setup: unnamed(earlier.setup) })),
    ...(hands.length > 0 ? { hands } : {}),
    look,
    setup: unnamed(release ? { ...setup, paper: false } : setup),
    ...(setup.form ? { formName: setup.form.name } : {}),
    school,
    ...(release ? { release: { id: release.id, name: release.name, coat: coatOf(release) } } : {}),
    kiln: { id: kiln.id, name: kiln.name, constants: withoutRoom(constants), ...(correctionsOf(taken) ? { taken: correctionsOf(taken) } : {}) },
    ...(hotter_K ? { place_K: hotter_K } : {}),
    ...(Object.keys(place).length > 0 ? { place } : {}),
    controller: { id: controller.id, name: controller.name, counts: countsOf(controller) },
    ...(shelf.limits && Object.keys(shelf.limits).length > 0 ? { limits: shelf.limits } : {}),
  };
}

/** Of the glass that the most of the body is made of. */
function mainFamily({ body, glassIds }: Omit<Met, 'now'>, shelf: Shelf): Shelf['families'][number] | undefined {
  if (body.glasses.length === 0) return undefined;
  const main = mainGlass(body);
  const glass = withId(shelf.glasses, glassIds[body.glasses.indexOf(main)]);
  return shelf.families.find(({ id }) => id === glass?.familyId);
}
