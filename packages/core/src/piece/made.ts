/**
 * Glass made in the studio: what came out of a piece and stands on the shelf to be cut again. It is named where a glass is named; what
 * it is made of says how it fits, what it weighs and how it is drawn.
 */
import { withId } from './byId';
import { type Footprint, footprintArea } from '../body/footprint';
import { closes, rowsOf } from '../body/layers';
import { type PlacedPart, partArea } from '../plan/parts';
import { type AfterStep, applySteps, laidBy } from './applySteps';
import { type BodyNow, coverOf, deepOf, massNow, nothingYet } from './bodyNow';
import type { Cutting, LaidLayer, LayerForm, PieceDocument } from './document';
import { acrossOf, partsOf } from './placed';
import { type Lie, type NamedGlass, type Stripe, lying, madeUpOf } from './shelf';

export const MADE_FORMS = ['slab', 'panel', 'bar', 'disc', 'wafer', 'lace', 'cane', 'frit'] as const;
export type MadeForm = (typeof MADE_FORMS)[number];

export const MADE_NAMES: Record<MadeForm, string> = {
  slab: 'Slab',
  panel: 'Panel',
  bar: 'Bar',
  disc: 'Disc',
  wafer: 'Wafer',
  lace: 'Lace',
  cane: 'Pulled cane',
  frit: 'Crushed frit',
};

const FLAT: readonly LayerForm[] = ['sheet', 'cap', 'pieces'];

/** As what it can be laid. */
export const laidAs = (form: MadeForm): readonly LayerForm[] => (form === 'cane' ? ['rod', 'stringer'] : form === 'frit' ? ['frit', 'powder'] : FLAT);

/** More are told by their shares alone. */
export const STRIPES_AT_MOST = 60;
const SAME_M = 1e-6;

const merged = (stripes: readonly Stripe[]): Stripe[] =>
  stripes.reduce<Stripe[]>((all, one) => {
    const last = all.at(-1);
    return last?.glassId === one.glassId ? all.with(-1, { ...last, share: last.share + one.share }) : [...all, one];
  }, []);

const byGlass = (stripes: readonly Stripe[]): Stripe[] => {
  const shares = new Map<string, number>();
  for (const { glassId, share } of stripes) shares.set(glassId, (shares.get(glassId) ?? 0) + share);
  return [...shares].map(([glassId, share]) => ({ glassId, share }));
};

const scaled = (stripes: readonly Stripe[], by: number): Stripe[] => stripes.map(({ glassId, share }) => ({ glassId, share: share * by }));

interface Ordered {
  lie: Lie;
  stripes: Stripe[];
}

const asLie = (lie: Lie, stripes: readonly Stripe[]): Ordered => {
  const ordered = merged(stripes);
  if (ordered.length === 1) return { lie: 'level', stripes: ordered };
  return lie === 'mixed' || ordered.length > STRIPES_AT_MOST ? { lie: 'mixed', stripes: byGlass(stripes) } : { lie, stripes: ordered };
};

/** Of a layer by itself, its own stripes where it is of made glass; shares of it. */
function ofLayer(layer: LaidLayer, glasses: readonly NamedGlass[]): Ordered {
  const glass = withId(glasses, layer.glassId);
  if (!glass) return { lie: 'level', stripes: [{ glassId: layer.glassId, share: 1 }] };
  const own = lying(glass.made ?? { lie: 'level' }, madeUpOf(glass), layer);
  return { lie: own.lie, stripes: own.stripes.map(({ glass: { id }, share }) => ({ glassId: id, share })) };
}

/** Parts of layers that lie side by side, from left to right, or from the front to the back where they lie along that. */
function alongParts(row: readonly LaidLayer[], weights: readonly number[], glasses: readonly NamedGlass[]): Ordered {
  const each = row.flatMap((layer, i) => {
    const parts = partsOf(layer) ?? [];
    const whole_m2 = parts.reduce((sum, part) => sum + partArea(part, acrossOf(layer)), 0);
    return parts.map((part) => ({ part, layer, share: (weights[i] * partArea(part, acrossOf(layer))) / whole_m2 }));
  });
  const spread = (of: (part: PlacedPart) => number): number => Math.max(...each.map(({ part }) => of(part))) - Math.min(...each.map(({ part }) => of(part)));
  const along = spread(({ x_m }) => x_m) >= spread(({ y_m }) => y_m) ? 'x' : 'y';
  const isOneRow = spread(({ x_m }) => x_m) < SAME_M || spread(({ y_m }) => y_m) < SAME_M;
  const ordered = each.toSorted((a, b) => a.part[`${along}_m`] - b.part[`${along}_m`]);
  return asLie(
    !isOneRow ? 'mixed' : along === 'x' ? 'upright' : 'crosswise',
    ordered.flatMap(({ layer, share }) => scaled(ofLayer(layer, glasses).stripes, share)),
  );
}

/** What lies at one height, with shares of the whole body by weights. */
function ofRow(row: readonly LaidLayer[], weights: readonly number[], glasses: readonly NamedGlass[]): Ordered {
  if (row.every((layer) => partsOf(layer) !== undefined)) return alongParts(row, weights, glasses);
  if (row.length === 1) {
    const own = ofLayer(row[0], glasses);
    return { lie: own.lie, stripes: scaled(own.stripes, weights[0]) };
  }
  const counts = row.map((layer) => (layer.form === 'pieces' ? layer.count : 0));
  const isRepeated = counts[0] > 0 && counts.every((one) => one === counts[0]);
  const once = row.flatMap((layer, i) => scaled(ofLayer(layer, glasses).stripes, weights[i] / (isRepeated ? counts[0] : 1)));
  return isRepeated ? asLie('upright', Array.from({ length: counts[0] }, () => once).flat()) : asLie('mixed', once);
}

/** Of what glass a body is by now, by volume, and whether that lies in layers, side by side, or in no order that could be told. */
export function stripesOf(now: BodyNow, glasses: readonly NamedGlass[]): Ordered {
  const volumes = now.layers.map((layer) => deepOf(layer, glasses) * coverOf(layer));
  const whole = volumes.reduce((sum, one) => sum + one, 0);
  const heights = rowsOf(now.layers);
  const rows = heights.map((row) =>
    ofRow(
      row.map((index) => now.layers[index]),
      row.map((index) => volumes[index] / whole),
      glasses,
    ),
  );
  if (now.casting)
    return asLie(
      'mixed',
      rows.flatMap(({ stripes }) => stripes),
    );
  if (rows.length === 1) return asLie(rows[0].lie, rows[0].stripes);
  // What has gaps lies in what is under it or over it as much as on it.
  const isLevel = rows.every(({ lie }, i) => lie === 'level' && closes(now.layers, heights[i]));
  return asLie(
    isLevel ? 'level' : 'mixed',
    rows.flatMap(({ stripes }) => stripes),
  );
}

/** What of a body can be put on the shelf. */
export interface Yield {
  form: MadeForm;
  count: number;
  /** Of one of them, from above. */
  footprint: Footprint;
  thickness_m: number;
  /** Of all of them. */
  mass_kg: number;
  lie: Lie;
  stripes: Stripe[];
}

const SLAB_FROM_M = 0.009;
const WAFER_TO_M = 0.0025;
const BAR_RATIO = 4;
const BAR_TO_M = 0.08;

function formOf(footprint: Footprint, thickness_m: number): MadeForm {
  if (thickness_m <= WAFER_TO_M) return 'wafer';
  if (footprint.shape === 'disc') return 'disc';
  if (footprint.shape === 'rectangle') {
    const [short, long] = [footprint.width_m, footprint.length_m].toSorted((a, b) => a - b);
    if (long >= BAR_RATIO * short && short <= BAR_TO_M) return 'bar';
  }
  return thickness_m >= SLAB_FROM_M ? 'slab' : 'panel';
}

/** One of the parts that it was cut to, as large as all of them together allow. */
function partOf({ footprint, apart }: BodyNow, cutTo: Cutting['to'] | undefined): Footprint {
  if (apart === 1) return footprint;
  if (cutTo === 'strips' && footprint.shape === 'rectangle') return { shape: 'rectangle', width_m: footprint.width_m / apart, length_m: footprint.length_m };
  const area_m2 = footprintArea(footprint) / apart;
  if (cutTo !== 'segments' || apart < 3) return { shape: 'rectangle', width_m: Math.sqrt(area_m2), length_m: Math.sqrt(area_m2) };
  // From the middle to the rim, as wide there as the others leave it.
  const half = Math.PI / apart;
  const deep_m = Math.sqrt(area_m2 / Math.tan(half));
  const wide_m = deep_m * Math.tan(half);
  return {
    shape: 'polygon',
    corners_m: [
      [0, 0],
      [wide_m, deep_m],
      [-wide_m, deep_m],
    ],
  };
}

/** Of parts that lie as they were cut, what each is of: stripes that a saw ran across are in every one of them, of those that it ran along each has others. */
function cutStripes(before: BodyNow, cutTo: Cutting['to'], glasses: readonly NamedGlass[]): Ordered {
  const { lie, stripes } = stripesOf(before, glasses);
  if (lie === 'level' || lie === 'mixed') return { lie, stripes };
  const { footprint } = before;
  const divided = footprint.shape === 'rectangle' && footprint.width_m <= footprint.length_m ? 'upright' : 'crosswise';
  return cutTo === 'strips' && lie !== divided ? { lie: 'crosswise', stripes } : asLie('mixed', stripes);
}

/** What comes out of a body as it is after its steps so far; null where there is nothing. */
export function yieldOf(after: readonly AfterStep[], glasses: readonly NamedGlass[]): Yield | null {
  const now = after.at(-1)?.body;
  if (!now || now.layers.length === 0) return null;
  const mass_kg = massNow(now, glasses);
  const area_m2 = footprintArea(now.footprint);
  const solid_m = now.casting ? now.casting.volume_m3 / area_m2 : now.layers.reduce((sum, layer) => sum + deepOf(layer, glasses) * coverOf(layer), 0);
  const cutAt = now.apart > 1 ? after.findLastIndex(({ step }) => step.kind === 'cut') : -1;
  const { step: cutting, body } = after[cutAt] ?? {};
  const how = cutting?.kind === 'cut' ? cutting.cut : undefined;
  const isFlat = how !== undefined && !(how.to === 'strips' && how.stand === 'onEdge') && body === now && cutAt > 0;
  const { lie, stripes } = isFlat ? cutStripes(after[cutAt - 1].body, how.to, glasses) : stripesOf(now, glasses);
  const footprint = partOf(now, how?.to);
  return { form: formOf(footprint, solid_m), count: now.apart, footprint, thickness_m: solid_m, mass_kg, lie, stripes };
}

/** What a piece takes of each glass that it names, made or bought, kg: as it is laid, where it is laid. Nothing of one that is on no shelf. */
export function takenBy(doc: Pick<PieceDocument, 'footprint' | 'dammed' | 'journey'>, glasses: readonly NamedGlass[]): Map<string, number> {
  const taken = new Map(glassIdsIn(doc).map((id) => [id, 0]));
  const add = (id: string, mass_kg: number): void => void taken.set(id, (taken.get(id) ?? 0) + mass_kg);
  const lastLaid = doc.journey.findLastIndex(({ kind }) => kind === 'lay');
  const before = applySteps({ ...doc, journey: doc.journey.slice(0, Math.max(lastLaid, 0)) }, glasses);
  doc.journey.forEach((step, i) => {
    if (step.kind === 'fill') add(step.glassId, step.mass_kg);
    if (step.kind !== 'lay') return;
    const on = before[i - 1]?.body ?? nothingYet(doc);
    for (const layer of step.layers) add(layer.glassId, laidBy({ ...step, layers: [layer] }, on, glasses));
  });
  return taken;
}

/** Ids of all glass that a document names, made or bought, each once. */
export const glassIdsIn = ({ journey }: Pick<PieceDocument, 'journey'>): string[] => [
  ...new Set(journey.flatMap((step) => (step.kind === 'lay' ? step.layers.map(({ glassId }) => glassId) : step.kind === 'fill' ? [step.glassId] : []))),
];
