/** What a piece's next firing most likely is, by what lies in it and how its firings came out, and how that can stand in the kiln. */
import type { RecipeGroup } from '../look/recipe';
import { RECIPES } from '../look/recipes/all';
import type { Look } from '../look/names';
import { emptyItemOf, shapingDown } from '../look/shaping';
import type { FormShape } from '../form/shape';
import { EMPTY_SETUPS, type SetUpKind } from '../schedule/setups';
import type { JourneyStep, LaidLayer, PieceDocument, PlannedStep } from './document';
import { shapingOf } from './inForm';
import { firingsOf, laidLayers, placeOf } from './journey';
import { HOLDS } from './undoes';

type Doc = Pick<PieceDocument, 'journey' | 'dammed' | 'footprint'>;
/** How its firings came out, by step; null while one is in the kiln. */
type CameOut = Readonly<Record<string, 'short' | 'right' | 'past' | null>>;

/** More than so much frit on an area runs together as a heap; less opens as lace, kg/m². */
const LACE_AT_MOST_KG_M2 = 5;

const byArea = (layer: LaidLayer): boolean => 'perArea_kg_m2' in layer;

/** Grains alone: in a dam they are melted, powder sinters to a leaf, a film of frit opens as lace, more of it is a heap. Lumps alone are melted in a dam and run together without one. */
function ofGrains(layers: readonly LaidLayer[], dammed: boolean): Look | null {
  if (layers.some(({ form }) => form === 'chunks') && layers.every(byArea)) return dammed ? 'slabFlow' : 'fullFuse';
  const grains = layers.flatMap((layer) => (layer.form === 'frit' || layer.form === 'powder' ? [layer] : []));
  if (grains.length < layers.length) return null;
  if (dammed) return 'slabFlow';
  if (grains.every(({ form }) => form === 'powder')) return 'wafer';
  return grains.reduce((sum, { perArea_kg_m2, cover = 1 }) => sum + perArea_kg_m2 * cover, 0) > LACE_AT_MOST_KG_M2 ? 'heap' : 'lace';
}

/** Nearer to its whole way it has come all of it. */
const ALL_BUT = 0.98;

/** Whether a firing that bends glass was measured to have brought it less far than it was planned. */
function cameShort(step: PlannedStep, { footprint }: Doc): boolean {
  const whole_m = shapingDown(shapingOf(step, footprint));
  return step.measured !== undefined && whole_m !== null && step.measured.down_m < ALL_BUT * whole_m;
}

/** A mould fired by itself. */
const ofMould = ({ look, setup: { shaping } }: PlannedStep): boolean => RECIPES[look].empty !== undefined && emptyItemOf(shaping)?.of !== 'shelf';

/** Steps after which a face is matt or open. */
const ROUGHENS: readonly JourneyStep['kind'][] = ['grind', 'blast', 'fill'];

/** The likeliest: parts that stand are tacked, loose sheets fused, what is one body slumped, what came short done again. */
export function likelyLook(doc: Doc, cameOut: CameOut = {}): Look {
  if (laidLayers(doc).length === 0) return 'dryMould';
  const since = doc.journey.slice(doc.journey.findLastIndex(({ kind }) => kind === 'fire') + 1);
  const laid = laidLayers({ journey: since });
  const isFirst = since.length === doc.journey.length;
  const before = firingsOf(doc);
  const last = before.at(-1);
  if (since.length === 0 && last && (cameShort(last, doc) || cameOut[last.id] === 'short')) return last.look;
  const grains = isFirst && laid.length > 0 ? ofGrains(laid, doc.dammed) : null;
  if (grains) return grains;
  // A mould that was dried or burnt out for it is filled.
  if (laid.length > 0 && before.length > 0 && before.every((one) => ofMould(one))) return 'openCast';
  if (isFirst && doc.dammed && laid.length > 0) return laid.every((layer) => layer.form === 'pieces' && layer.cutFace === 'side') ? 'strips' : 'slabFlow';
  if (laid.length > 0) return laid.at(-1)?.form === 'pieces' ? 'tack' : laid.length > 1 || !isFirst ? 'fullFuse' : 'firePolish';
  return since.some(({ kind }) => ROUGHENS.includes(kind)) ? 'firePolish' : 'slump';
}

/** What else a piece may be meant for whose likeliest firing is one of these: the nearer the earlier. */
const BESIDE: Readonly<Record<RecipeGroup, readonly Look[]>> = {
  flat: ['tack', 'contour', 'fullFuse', 'firePolish'],
  grains: ['lace', 'wafer', 'heap', 'tack'],
  thick: ['slabFlow', 'strips', 'fullFuse', 'contour'],
  cast: ['openCast', 'reservoirCast', 'coreCast', 'slabFlow'],
  shaped: ['slump', 'drape', 'firePolish', 'fullFuse'],
  stuck: ['loosen', 'anneal', 'slump', 'firePolish'],
  ware: ['dryMould', 'burnOut', 'dryShelf', 'bisque'],
};

export const LIKELY_SHOWN = 4;

/** The four likeliest, the likeliest first. Of a piece that has been fired flat, shaping comes before more fusing. */
export function likelyLooks(doc: Doc, cameOut: CameOut = {}): Look[] {
  const first = likelyLook(doc, cameOut);
  const isWhole =
    firingsOf(doc).length > 0 && laidLayers({ journey: doc.journey.slice(doc.journey.findLastIndex(({ kind }) => kind === 'fire') + 1) }).length === 0;
  // A sheet alone is polished as likely as it is bent.
  const isSingle = laidLayers(doc).length === 1 && first === 'firePolish';
  const beside = BESIDE[(isWhole && RECIPES[first].group === 'flat') || isSingle ? 'shaped' : RECIPES[first].group];
  return [first, ...beside.filter((look) => look !== first)].slice(0, LIKELY_SHOWN);
}

/** Which group of firings is offered first in the whole list: by what lies in the piece, and whether it was fired before this one. */
export function likelyGroup(doc: Doc, step: Pick<PlannedStep, 'id'> | null, cameOut: CameOut = {}): RecipeGroup {
  if (step === null) return RECIPES[likelyLook(doc, cameOut)].group;
  const layers = laidLayers(doc);
  if (layers.length === 0) return 'ware';
  if (layers.every(byArea)) return layers.some(({ form }) => form === 'chunks') ? 'flat' : 'grains';
  return firingsOf({ journey: doc.journey.slice(0, placeOf(doc, step.id)) }).length > 0 ? 'shaped' : 'flat';
}

/** The set-up that a kind of firing usually has. */
export const usualSetUp = (look: Look): SetUpKind => RECIPES[look].usuallyOn ?? 'bareShelf';

/** The set-up that a form is usually fired in: investment is its own mould. */
export const setUpIn = (form: Pick<FormShape, 'use' | 'material'>, look: Look): SetUpKind =>
  form.use === 'hollow' && form.material !== 'plasterSilica'
    ? 'inMould'
    : form.use === 'former'
      ? 'overFormer'
      : form.use === 'cavity' || form.use === 'hollow'
        ? 'inInvestment'
        : usualSetUp(look);

/** Moulds and formers given by their figures, by what they are. */
const BY_FIGURES: Partial<Record<NonNullable<(typeof RECIPES)[Look]['asks']>['kind'], readonly SetUpKind[]>> = {
  // A cut-out in board is a mould too.
  hollow: ['inMould', 'board', 'inInvestment'],
  former: ['overFormer'],
  cavity: ['inInvestment', 'inMould'],
  core: ['inInvestment', 'inMould'],
  reservoir: ['inInvestment', 'inMould'],
};

/** Shelves and boards, which any firing that asks for no form can be on. */
const PLAIN: readonly SetUpKind[] = EMPTY_SETUPS;

/**
 * The set-ups that can apply, the usual first. form: the studio's own one that is chosen. A piece that was shaped before keeps its shape
 * in its mould or over its former; loose glass over a former would be a drape.
 */
export function setUpsFor(look: Look, form: Pick<FormShape, 'use' | 'material'> | null, wasShaped: boolean): SetUpKind[] {
  const { empty, frees, asks, group } = RECIPES[look];
  if (empty) return [...PLAIN];
  if (frees) return ['onPosts'];
  const usual = form ? setUpIn(form, look) : usualSetUp(look);
  if (form && !PLAIN.includes(usual)) return [usual];
  const byFigures = asks && !form ? BY_FIGURES[asks.kind] : undefined;
  if (byFigures) return [...byFigures];
  const holds: readonly SetUpKind[] = wasShaped || group === 'stuck' ? HOLDS : group === 'grains' ? ['inMould', 'inInvestment'] : ['inMould'];
  return [...PLAIN, ...(asks || form ? [] : holds)];
}

/** Whether an earlier firing of a piece gave it a shape, in or over a form. */
export const wasShapedBefore = (doc: Pick<Doc, 'journey'>, before: number): boolean =>
  firingsOf({ journey: doc.journey.slice(0, before) }).some(({ look }) => RECIPES[look].group === 'shaped' || RECIPES[look].fills !== undefined);
