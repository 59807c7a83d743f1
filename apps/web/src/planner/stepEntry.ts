/** A firing as it is chosen and typed, turned into a step of the piece when it holds. */
import { sidesOf } from '@torvin/core/body';
import { type FormShape, type Plan, openingOf } from '@torvin/core/form';
import { type Look, neededWork, RECIPES, type Shaping, type ShapingField, SHAPINGS, emptyItemOf } from '@torvin/core/look';
import {
  givesShape,
  heldForm,
  serves,
  snapshotOf,
  laidLayers,
  firingsOf,
  firingOf,
  withStep,
  leavesShelf,
  type HeldForm,
  likelyLook,
  setUpIn,
  setUpsFor,
  usualSetUp,
  wasShapedBefore,
} from '@torvin/core/piece';
import { type Problem, type Outcome, found } from '@torvin/core/problem';
import { DEFAULT_SCHOOL, impossibleFiring, type SetUpKind, type Wet } from '@torvin/core/schedule';
import { LENGTH, type LengthUnit, type Measure, type Units, readFigure, text, suggestedWords } from '@torvin/core/units';
import type { Cone, EmptyItemKind } from '@torvin/core/emptyFiring';
import type { Piece, PieceDoc, Shelves, Step } from '@torvin/schema';
import { v7 as uuid } from 'uuid';

/** Every field of every form; kinds share some. */
export type StepField = {
  [K in keyof typeof SHAPINGS]: (typeof SHAPINGS)[K][keyof (typeof SHAPINGS)[K]] extends infer F
    ? F extends { field: infer N extends string }
      ? N
      : never
    : never;
}[keyof typeof SHAPINGS];

/** What has been typed of a form stands beside the choices, each figure as a person writes it. */
export interface StepEntry extends Record<StepField, string> {
  look: Look;
  setup: SetUpKind;
  /** Of the usual kind, where under names none of the studio's own. */
  paper: boolean;
  /** The release of the studio's own that is under the glass. */
  under: string | null;
  wet: Wet | 'dry';
  /** What is fired with no glass, and to which cone. */
  of: EmptyItemKind;
  cone: Cone;
  /** Where its load put it, or in the middle of the kiln. */
  lies: 'put' | 'middle';
  /** The studio's own form that it stands in; null where it is typed, or a shelf is all it takes. */
  formId: string | null;
  /** The studio's own kiln shelf under a dam or a grid. */
  shelfId: string | null;
  /** How far down an edge is to come over such a former, where it is told. */
  comesDown: string;
  /** The outline of a mould that is typed. */
  mould: Plan;
  /** The form of a casting's thickest section. */
  slender: 'slab' | 'cylinder' | 'sphere';
  kilnId: string;
  controllerId: string;
}

/** A figure that a form is asked for, and its place in the shaping. */
export interface FormField extends ShapingField {
  field: StepField;
  key: string;
}

const FORM_FIELDS = Object.entries(SHAPINGS).map(([kind, figures]) => ({
  kind,
  fields: Object.entries<ShapingField>(figures).map(([key, figure]): FormField => ({ ...figure, key, field: figure.field as StepField })),
}));

/** What has to be said of the form for such a firing; nothing where a shelf is all it takes. A round mould has one size. */
export function fieldsOf(look: Look, mould: Plan): readonly FormField[] {
  const asked = FORM_FIELDS.find(({ kind }) => kind === RECIPES[look].asks?.kind);
  return asked?.fields.filter(({ ofPlan }) => ofPlan?.(mould) ?? true) ?? [];
}

/** Outlines that a mould is typed in, as a person tells them. */
export const MOULDS: Record<Plan, string> = {
  ...{ round: 'Round', oval: 'Oval', rectangle: 'Square or oblong', trough: 'A trough', lobed: 'With corners or lobes' },
};

const mouldOf = ({ shape }: PieceDoc['footprint']): Plan => (shape === 'oval' || shape === 'rectangle' ? shape : 'round');
/** Of each ware as it usually is, and the cone that clay moulds are usually fired to. */
const USUAL_ITEM_M: Record<EmptyItemKind, number> = { shelf: 0.016, plaster: 0.025, castable: 0.02, fired: 0.008, clay: 0.01, fibre: 0.025 };
const USUAL_CONE: Cone = '06';

/** What a kind of firing without glass is usually for, as it is usually thick; damp as it comes from the bench. Nothing where it has glass. */
export function usualEmptyItem(look: Look, { length }: Units, of?: EmptyItemKind): Partial<StepEntry> {
  const { empty: item } = RECIPES[look];
  if (!item) return {};
  const kind = of ?? item.of[0];
  return { of: kind, ware: suggestedWords(USUAL_ITEM_M[kind], length), ...(of ? {} : { wet: item.of.includes('fibre') ? 'dry' : 'damp' }) };
}

/** A plaster mould comes damp from the bench, unless a firing before has dried or burnt it out. */
function usualWet(look: Look, before: readonly Step[], units: Units): StepEntry['wet'] {
  if (RECIPES[look].empty) return usualEmptyItem(look, units).wet ?? 'dry';
  return usualSetUp(look) === 'inInvestment' && !before.some((one) => RECIPES[one.look].empty && emptyItemOf(one.setup.shaping)?.of !== 'shelf')
    ? 'damp'
    : 'dry';
}

const present = <T extends { id: string }>(records: readonly T[], archived: readonly string[]): T[] => records.filter(({ id }) => !archived.includes(id));

/** One figure of a shaping of this kind; undefined where it is of another, or has none. */
function shapingFigure(shaping: Shaping | undefined, kind: string, key: string): number | undefined {
  if (shaping?.kind !== kind) return undefined;
  const value = Object.entries(shaping).find(([name]) => name === key)?.[1];
  return typeof value === 'number' ? value : undefined;
}

/** A figure of a form as a person of this studio would write it. */
const written = (value: number | undefined, of: Measure, units: Units): string => (value === undefined ? '' : text(of.written(value, units)));

/** How something like it was fired before: in this piece, in the same form, or last in the studio. */
export type UsedBefore = Pick<Step, 'kilnId' | 'controllerId' | 'setup' | 'releaseId'>;

export interface FiredBefore {
  /** How the piece's firings came out. */
  fired?: Piece['fired'];
  /** How the studio fired the like last; null while that is not known. */
  used?: UsedBefore | null;
}

/** doc: the piece up to this firing. touched: what was chosen or typed by hand; all else follows what is chosen, and how the like was fired before. */
export function entryOfStep(
  doc: PieceDoc,
  step: Step | null,
  shelves: Shelves,
  units: Units,
  touched: Partial<StepEntry> = {},
  { fired = {}, used = null }: FiredBefore = {},
): StepEntry {
  const look = touched.look ?? step?.look ?? likelyLook(doc, fired);
  // Another kind of firing is set up afresh.
  const kept = step?.look === look ? step : null;
  const firings = firingsOf(doc);
  const alike = firings.findLast((one) => one.look === look);
  const before = kept ?? alike ?? used;
  const shaping = (step ?? alike)?.setup.shaping;
  const last = firings.at(-1);
  const item = emptyItemOf(shaping);
  const [wide_m, long_m] = sidesOf(doc.footprint);
  // Kinds share fields; the one that was chosen has the last word.
  const kinds = FORM_FIELDS.toSorted((a, b) => Number(a.kind === shaping?.kind) - Number(b.kind === shaping?.kind));
  const figures = kinds.flatMap(({ kind, fields }) =>
    fields.map(({ field, key, of, usual }) => {
      const suggests_m = kind === shaping?.kind ? undefined : usual?.(doc.footprint);
      return [field, suggests_m === undefined ? written(shapingFigure(shaping, kind, key), of, units) : suggestedWords(suggests_m, units.length)];
    }),
  );
  const { kilns, controllers, archived } = shelves;
  const formId = touched.formId === undefined ? ((step ?? alike)?.setup.form?.id ?? null) : touched.formId;
  const form = formOf({ formId, look }, step, shelves);
  const setUps = setUpsFor(look, form, wasShapedBefore(doc, doc.journey.length));
  const usual = [before?.setup.kind, form ? setUpIn(form, look) : usualSetUp(look)].find(
    (kind) => kind !== undefined && (kept?.setup.kind === kind || setUps.includes(kind)),
  );
  const { wet, setup, ...others } = touched;
  const dries = RECIPES[look].empty !== undefined;
  return {
    ...(Object.fromEntries(figures) as Record<StepField, string>),
    // The outline is that of what is fired where there is no glass; how large a shelf or a mould under glass is has to be said.
    ...(item || laidLayers(doc).length > 0 ? {} : { wide: written(wide_m, LENGTH, units), long: written(long_m, LENGTH, units) }),
    ...(item ? {} : usualEmptyItem(look, units, touched.of)),
    of: item && RECIPES[look].empty?.of.includes(item.of) ? item.of : (RECIPES[look].empty?.of[0] ?? 'plaster'),
    cone: item?.cone ?? USUAL_CONE,
    lies: 'put',
    formId,
    shelfId: step?.setup.shelf?.id ?? null,
    comesDown: step?.setup.form?.drop_m === undefined ? '' : written(step.setup.form.drop_m, LENGTH, units),
    mould: shaping?.kind === 'hollow' ? (shaping.plan ?? 'round') : mouldOf(doc.footprint),
    slender: (shaping && 'slender' in shaping ? shaping.slender : undefined) ?? 'slab',
    look,
    paper: before?.setup.paper ?? false,
    under: (kept ?? step ?? alike ?? used ?? firings.findLast((one) => one.setup.kind === usualSetUp(look)))?.releaseId ?? null,
    kilnId: (step ?? last ?? usedKiln(used, shelves))?.kilnId ?? present(kilns, archived)[0]?.id ?? '',
    controllerId: (step ?? last ?? usedKiln(used, shelves))?.controllerId ?? present(controllers, archived)[0]?.id ?? '',
    ...others,
    // Glue on glass says nothing of a mould that is dried; a shelf that was chosen says nothing of a mould.
    wet: wet !== undefined && !(dries && wet === 'glued') ? wet : kept ? (kept.setup.wet ?? 'dry') : usualWet(look, firings, units),
    setup: setup !== undefined && setUps.includes(setup) ? setup : (usual ?? setUps[0]),
  };
}

/** What is on the shelf still. */
const usedKiln = (used: UsedBefore | null, { kilns, controllers, archived }: Shelves): UsedBefore | null =>
  used && present(kilns, archived).some(({ id }) => id === used.kilnId) && present(controllers, archived).some(({ id }) => id === used.controllerId)
    ? used
    : null;

export interface Fault {
  field: StepField | 'kiln' | 'setup' | 'form' | 'comesDown';
  message: string;
}

/** The field at which a problem of the engine's stands, for the form that this look asks for. */
function fieldAt(path: string, look: Look, mould: Plan): Fault['field'] {
  if (path === 'kilnId') return 'kiln';
  if (path === 'setup.form') return 'form';
  return fieldsOf(look, mould).find(({ key }) => path === `setup.shaping.${key}`)?.field ?? 'setup';
}

/** Why such a firing cannot be, at the field to change; null where it can. */
export function whyImpossible(doc: PieceDoc, step: Step, shelves: Shelves, unit: LengthUnit): Fault | null {
  const planned = firingOf(doc, step.id) ? withStep(doc, step) : { ...doc, journey: [...doc.journey, step] };
  const snapshot = snapshotOf(planned, step, shelves);
  if (!snapshot.ok) return snapshot.problem.path === 'setup.form' ? { field: 'form', message: snapshot.problem.message } : null;
  const { body, look, limits, setup } = snapshot.value.firing;
  const wanted = (): Problem | null => {
    const work = neededWork(body, look, limits.works_perPa, setup.shaping);
    return work.ok || RECIPES[look].empty ? null : work.problem;
  };
  const problem = impossibleFiring(snapshot.value.firing, unit) ?? wanted();
  // What follows from a form of the shelf stands at that.
  const path = problem?.path.startsWith('setup.shaping') && step.setup.form ? 'setup.form' : problem?.path;
  const mould = step.setup.shaping?.kind === 'hollow' ? (step.setup.shaping.plan ?? 'round') : 'round';
  return problem && { field: fieldAt(path ?? '', step.look, mould), message: problem.message };
}

/** before: a figure that still says what it said keeps its digits. */
function shaped(entry: StepEntry, units: Units, before: Step | null): { shaping: Shaping | undefined; faults: Fault[] } {
  const kind = RECIPES[entry.look].asks?.kind;
  if (!kind) return { shaping: undefined, faults: [] };
  const said = fieldsOf(entry.look, entry.mould)
    .filter(({ field, optional, ofPlan }) => !optional || ofPlan || entry[field].trim() !== '')
    .map((one) => {
      const was = shapingFigure(before?.setup.shaping, kind, one.key);
      const isUntouched = was !== undefined && entry[one.field] === written(was, one.of, units);
      return { ...one, outcome: isUntouched ? found(was) : readFigure(entry[one.field], one, units) };
    });
  const faults = said.flatMap(({ field, outcome }) => (outcome.ok ? [] : [{ field, message: outcome.problem.message }]));
  const figures = Object.fromEntries(said.flatMap(({ key, outcome }) => (outcome.ok ? [[key, outcome.value]] : [])));
  const { of, cone, slender, mould } = entry;
  if (kind === 'hollow') return { shaping: hollowOf(mould, figures), faults };
  const chosen =
    kind === 'ware' ? { of, ...(RECIPES[entry.look].empty?.toCone ? { cone } : {}) } : mayBeSlender(entry.look) && slender !== 'slab' ? { slender } : {};
  return { shaping: { kind, ...figures, ...chosen } as Shaping, faults };
}

/** A typed mould by its outline and both of its sizes, whichever of them was typed first. */
function hollowOf(mould: Plan, { span_m, along_m, lobes, depth_m }: Partial<Record<string, number>>): Shaping {
  const opening = openingOf({ plan: mould, ...(lobes === undefined ? {} : { lobes }) }, span_m ?? NaN, along_m);
  return { kind: 'hollow', ...opening, depth_m: depth_m ?? NaN };
}

/** Whether a casting's thickest section may be a rod or a ball; round a core it is a wall. */
export const mayBeSlender = (look: Look): boolean => RECIPES[look].asks?.kind === 'cavity' || RECIPES[look].asks?.kind === 'reservoir';

/** The step that an entry means, keeping the id and schedules of the one it changes; else what is wrong, at its field. */
export function stepOf(entry: StepEntry, before: Step | null, units: Units, shelves: Shelves): { step: Step; faults: [] } | { step: null; faults: Fault[] } {
  const form = formOf(entry, before, shelves);
  const wasDown = before?.setup.form?.drop_m;
  const readDown = (): Outcome<number> =>
    wasDown !== undefined && entry.comesDown === written(wasDown, LENGTH, units)
      ? found(wasDown)
      : readFigure(entry.comesDown, { of: LENGTH, name: 'The edge', range: { least: 0.001, most: 1 } }, units);
  const down = form?.use === 'former' && entry.comesDown.trim() !== '' ? readDown() : null;
  if (down && !down.ok) return { step: null, faults: [{ field: 'comesDown', message: down.problem.message }] };
  const { shaping, faults } = form && givesShape(form) ? { shaping: undefined, faults: [] } : shaped(entry, units, before);
  if (faults.length > 0) return { step: null, faults };
  const step = stepFor(entry, shaping, before, before?.id ?? uuid());
  if (!form) return { step, faults: [] };
  const shelf = shelfOf(entry, before, shelves);
  const setup = { ...step.setup, form: heldForm(form, shelves.materials, down?.value), ...(shelf ? { shelf: heldForm(shelf, shelves.materials) } : {}) };
  return { step: { ...step, setup }, faults: [] };
}

/** The form that is chosen, as it stands on the shelf now; as the firing keeps it where it stands there no more. */
export function formOf({ formId, look }: Pick<StepEntry, 'formId' | 'look'>, before: Step | null, { forms }: Shelves): ShelfForm | null {
  const form = standing(formId, before?.setup.form, forms);
  return form && serves(form, look) ? form : null;
}

/** The shelf under it, where one is chosen and glass comes to lie there. */
export function shelfOf(entry: Pick<StepEntry, 'formId' | 'shelfId' | 'look'>, before: Step | null, shelves: Shelves): ShelfForm | null {
  const form = formOf(entry, before, shelves);
  return form && leavesShelf(form) ? standing(entry.shelfId, before?.setup.shelf, shelves.forms) : null;
}

const standing = (id: string | null, kept: HeldForm | undefined, forms: Shelves['forms']): ShelfForm | null =>
  forms.find((one) => one.id === id) ?? (kept && kept.id === id ? { id: kept.id, name: kept.name, ...kept.shape } : null);

type ShelfForm = { id: string; name: string } & FormShape;

/** Of a form that is known. */
export function stepFor(entry: StepEntry, shaping: Shaping | undefined, before: Step | null, id: string): Step {
  return {
    kind: 'fire',
    id,
    ...(before?.name ? { name: before.name } : {}),
    look: entry.look,
    setup: {
      kind: entry.setup,
      paper: entry.paper && entry.under === null && shaping?.kind !== 'ware',
      ...(entry.wet === 'dry' ? {} : { wet: entry.wet }),
      ...(shaping ? { shaping } : {}),
    },
    kilnId: entry.kilnId,
    controllerId: entry.controllerId,
    school: before?.school ?? DEFAULT_SCHOOL,
    ...(entry.under === null || shaping?.kind === 'ware' ? {} : { releaseId: entry.under }),
    scheduleId: before?.scheduleId ?? null,
    computedId: before?.computedId ?? null,
    ...(entry.lies === 'put' && before?.place?.kilnId === entry.kilnId ? { place: before.place } : {}),
    ...(before?.measured ? { measured: before.measured } : {}),
  };
}
