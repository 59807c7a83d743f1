/** Pieces: what is laid, worked and fired in which order, how they are filed, and how lists show them. */
import { layerDepth } from '@torvin/core/body';
import { SHELVES_AT_MOST } from '@torvin/core/kiln';
import { FLAW_NAMES, LOOKS } from '@torvin/core/look';
import {
  type BodyProfile,
  BLASTED_FOR,
  CLEANED_OFF,
  COVER_RANGE,
  type Cutting,
  FILL_RANGE_KG,
  HOLES_RANGE,
  HOLE_RANGE_M,
  type HeldForm,
  type HeldPlace,
  JOINED_BY,
  type JourneyStep,
  KERF_RANGE_M,
  LAYERS_AT_MOST,
  LAYER_KINDS,
  LOOKED_WITH,
  type LaidLayer,
  OFF_RANGE_M,
  type OfFiredLayers,
  PARTS_AT_MOST,
  type PieceDocument,
  type PlannedStep,
  SEGMENTS_RANGE,
  SKETCH_RANGE_M,
  SPOT_RANGE_M,
  STEPS_AT_MOST,
  STRIP_RANGE_M,
  type Sketch,
  asJourney,
  firesNoGlass,
  laidLayers,
} from '@torvin/core/piece';
import { SETUP_KINDS, WETS } from '@torvin/core/schedule';
import { formatLength, text } from '@torvin/core/units';
import { z } from 'zod';
import {
  count,
  DEEPEST_M,
  figure,
  FootprintSchema,
  FormShapeSchema,
  id,
  placedParts,
  figures,
  instant,
  oneOf,
  quantity,
  SchoolSchema,
  ShapingSchema,
  words,
  schemaFor,
} from '@torvin/core/contract';
import { ResultSchema } from './result';

export const SIZE_RANGE_M = { least: 0.02, most: 2 } as const;

export const recordId = (name: string) => words(name, 60, 1);
const laid = { id, glassId: recordId('Glass'), name: words('Name of the layer', 40, 1).optional(), flipped: z.literal(true).optional() };
const placed = placedParts(PARTS_AT_MOST).optional();
const grain_m = quantity('Grain', 'm', 1e-5, 0.03).optional();
const { sheet, cap, pieces: cut, rod, stringer, frit, powder, chunks } = LAYER_KINDS;

export const LaidLayerSchema = schemaFor<LaidLayer, OfFiredLayers>()(
  z
    .discriminatedUnion('form', [
      z.strictObject({ form: z.literal('sheet'), ...laid, ...figures(sheet.fields), coated: oneOf('Coated side', ['up', 'down']).optional() }),
      z.strictObject({ form: z.literal('cap'), ...laid, ...figures(cap.fields) }),
      z
        .strictObject({ form: z.literal('pieces'), ...laid, ...figures(cut.fields), cutFace: oneOf('Cut face', ['side', 'end']).optional(), placed })
        .refine(({ count: told, placed: parts }) => parts === undefined || parts.length === told, {
          path: ['count'],
          error: 'The number of pieces must be that of the parts that are placed.',
        }),
      z.strictObject({ form: z.literal('rod'), ...laid, ...figures(rod.fields), placed }),
      z.strictObject({ form: z.literal('stringer'), ...laid, ...figures(stringer.fields), placed }),
      z.strictObject({ form: z.literal('frit'), ...laid, ...figures(frit.fields), grain_m }),
      z.strictObject({ form: z.literal('powder'), ...laid, ...figures(powder.fields), grain_m }),
      z
        .strictObject({ form: z.literal('chunks'), ...laid, ...figures(chunks.fields) })
        .refine(({ thick_m, wide_m }) => thick_m <= wide_m, { path: ['wide_m'], error: 'A lump is at least as wide as it is thick.' }),
    ])
    .meta({ id: 'LaidLayer' }),
);

const stepName = words('Name of the step', 40, 1).optional();

/** Its name may be nothing where it makes no difference. */
const HeldFormSchema = schemaFor<HeldForm>()(
  z
    .strictObject({
      id: recordId('Mould or former'),
      name: words('Name', 80),
      shape: FormShapeSchema,
      drop_m: quantity('How far the edge is to come down', 'm', 0.001, 1).optional(),
    })
    .meta({ id: 'HeldForm' }),
);

const within = (name: string, unit: string, { least, most }: { least: number; most: number }) => quantity(name, unit, least, most);
const whole = (name: string, range: { least: number; most: number }) => within(name, '', range).int({ error: `${name} must be whole.` });

const HeldPlaceSchema = schemaFor<HeldPlace>()(
  z.strictObject({
    kilnId: recordId('Kiln'),
    x_m: within('From the left wall', 'm', { least: -5, most: 5 }),
    y_m: within('From the front', 'm', { least: -5, most: 5 }),
    shelf: whole('Shelf', { least: 0, most: SHELVES_AT_MOST - 1 }),
    shelves: whole('Shelves', { least: 1, most: SHELVES_AT_MOST }),
    turned: z.boolean(),
    load_J_K: within('What its load stores', 'J/K', { least: 0, most: 1e8 }).optional(),
  }),
);

/** A firing of a journey. */
export const StepSchema = schemaFor<PlannedStep>()(
  z
    .strictObject({
      kind: z.literal('fire'),
      id,
      name: stepName,
      look: oneOf('Look', LOOKS),
      setup: z.strictObject({
        kind: oneOf('Set-up', SETUP_KINDS),
        paper: z.boolean(),
        wet: oneOf('What is wet', WETS).optional(),
        shaping: ShapingSchema.optional(),
        form: HeldFormSchema.optional(),
        shelf: HeldFormSchema.optional(),
      }),
      kilnId: recordId('Kiln'),
      controllerId: recordId('Controller'),
      school: SchoolSchema,
      releaseId: recordId('Release').optional(),
      scheduleId: id.nullable(),
      computedId: id.nullable(),
      place: HeldPlaceSchema.optional(),
      measured: z.strictObject({ down_m: quantity('How far it has come down', 'm', 0, 1) }).optional(),
    })
    .meta({ id: 'Step' }),
);
export type Step = z.infer<typeof StepSchema>;

const LONGEST_WAIT_S = 60 * 24 * 3600;

const face = oneOf('Face', ['up', 'down']);
const place = oneOf('Place', ['rim', 'up', 'down']);
const off_m = within('Depth', 'm', OFF_RANGE_M);
const waited = (name: string) => quantity(name, 's', 0, LONGEST_WAIT_S);
const byHand = {
  id,
  name: stepName,
  doneAt: instant.optional(),
  took: z.strictObject({ mass_kg: quantity('Mass', 'kg', 0, 1000).optional(), time_s: quantity('Time', 's', 0, LONGEST_WAIT_S).optional() }).optional(),
};

const CuttingSchema = schemaFor<Cutting>()(
  z.discriminatedUnion('to', [
    z.strictObject({ to: z.literal('outline'), outline: FootprintSchema }),
    z.strictObject({ to: z.literal('strips'), strip_m: within('Width of a strip', 'm', STRIP_RANGE_M), stand: oneOf('How strips stand', ['flat', 'onEdge']) }),
    z.strictObject({ to: z.literal('segments'), count: whole('The number of segments', SEGMENTS_RANGE) }),
    z.strictObject({ to: z.literal('slice'), face, depth_m: off_m }),
  ]),
);

export const LAY_SIDES = ['above', 'below'] as const;

/** A step of a piece's journey, told apart by its kind. */
export const JourneyStepSchema = schemaFor<JourneyStep, OfFiredLayers>()(
  z
    .discriminatedUnion('kind', [
      StepSchema,
      z.strictObject({ kind: z.literal('lay'), ...byHand, side: oneOf('Side', LAY_SIDES), layers: z.array(LaidLayerSchema).max(LAYERS_AT_MOST) }),
      z.strictObject({ kind: z.literal('turn'), ...byHand }),
      z.strictObject({ kind: z.literal('cut'), ...byHand, cut: CuttingSchema, kerf_m: within('Kerf', 'm', KERF_RANGE_M) }),
      z.strictObject({ kind: z.literal('grind'), ...byHand, at: place, depth_m: off_m }),
      z.strictObject({
        kind: z.literal('blast'),
        ...byHand,
        face,
        depth_m: off_m,
        cover: quantity('Cover', '', COVER_RANGE.least, COVER_RANGE.most),
        why: oneOf('What it is blasted for', BLASTED_FOR).optional(),
      }),
      z.strictObject({ kind: z.literal('polish'), ...byHand, at: place, depth_m: off_m }),
      z.strictObject({ kind: z.literal('drill'), ...byHand, hole_m: within('Hole', 'm', HOLE_RANGE_M), count: whole('The number of holes', HOLES_RANGE) }),
      z.strictObject({ kind: z.literal('clean'), ...byHand, off: oneOf('What is cleaned off', CLEANED_OFF), soak_s: waited('Soaking') }),
      z.strictObject({
        ...{ kind: z.literal('fill'), ...byHand, glassId: recordId('Glass') },
        ...{ mass_kg: within('Fill', 'kg', FILL_RANGE_KG), spot_m: within('Spot', 'm', SPOT_RANGE_M) },
      }),
      z.strictObject({
        kind: z.literal('look'),
        ...byHand,
        with: oneOf('What it is looked at with', LOOKED_WITH),
        found: words('What was found', 200).optional(),
      }),
      z.strictObject({ kind: z.literal('wait'), ...byHand, for_s: waited('Waiting'), why: words('What it waits for', 80).optional() }),
      z.strictObject({ kind: z.literal('join'), ...byHand, by: oneOf('How it is joined', JOINED_BY), cure_s: waited('Setting') }),
    ])
    .meta({ id: 'JourneyStep' }),
);

/** Light glass, kg/m³: grains of any other come to less. */
const LIGHT_GLASS_kg_m3 = 2500;
const deepest = (layers: readonly LaidLayer[]): number => layers.reduce((sum, layer) => sum + layerDepth(layer, LIGHT_GLASS_kg_m3), 0);

const placedIn = (doc: Pick<PieceDocument, 'journey'>) => laidLayers(doc).flatMap((layer) => ('placed' in layer ? (layer.placed ?? []) : []));
const idsIn = (doc: Pick<PieceDocument, 'journey'>): string[] => [...doc.journey, ...laidLayers(doc), ...placedIn(doc)].map(({ id: one }) => one);

const SketchSchema = schemaFor<Sketch>()(
  z
    .strictObject({
      hash: z.string().regex(/^[0-9a-f]{64}$/, { error: 'A sketch is named by the 64 hexadecimal digits of its content.' }),
      width_m: within('Width of the sketch', 'm', SKETCH_RANGE_M),
      aspect: quantity('Height over width', '', 0.02, 50),
      x_m: quantity('To the right of the middle', 'm', -5, 5),
      y_m: quantity('Behind the middle', 'm', -5, 5),
    })
    .meta({ id: 'Sketch' }),
);

const JourneyDocSchema = schemaFor<PieceDocument, OfFiredLayers>()(
  z
    .strictObject({
      schemaVersion: z.literal(3),
      footprint: FootprintSchema,
      dammed: z.boolean(),
      typed: z.record(z.string().max(20), z.string().max(40)),
      under: SketchSchema.optional(),
      journey: z.array(JourneyStepSchema).max(STEPS_AT_MOST, { error: `At most ${STEPS_AT_MOST} steps.` }),
    })
    .refine((doc) => new Set(idsIn(doc)).size === idsIn(doc).length, { path: ['journey'], error: 'Two steps, layers or parts of a piece have one id.' })
    .refine((doc) => placedIn(doc).length <= PARTS_AT_MOST, { path: ['journey'], error: `At most ${PARTS_AT_MOST} parts in all are placed.` })
    .refine((doc) => laidLayers(doc).length <= LAYERS_AT_MOST, { path: ['journey'], error: `At most ${LAYERS_AT_MOST} layers in all.` })
    .refine((doc) => laidLayers(doc).length > 0 || firesNoGlass(doc), {
      path: ['journey'],
      error: 'A piece needs at least one layer, unless every firing it is to have is one without glass.',
    })
    .refine((doc) => deepest(laidLayers(doc)) <= DEEPEST_M + 1e-9, {
      path: ['journey'],
      error: `The layers together may be at most ${(['mm', 'in'] as const).map((unit) => text(formatLength(DEEPEST_M, unit))).join(' or ')} deep.`,
    })
    .meta({ id: 'PieceDocument' }),
);

/** Documents of before there were journeys are taken as what they are now. */
export const PieceDocSchema = z.preprocess(asJourney, JourneyDocSchema);
export type PieceDoc = z.infer<typeof PieceDocSchema>;

export const pieceName = words('Name', 80, 1);
export const version = quantity('Version', '', 1, 1e9).int();

export const TAGS_AT_MOST = 12;
export const TAG_LETTERS_AT_MOST = 30;

/** How a piece is filed: the studio's own words for it, whether it is finished, put away out of the lists, or a pattern, and when it is due. */
export const FilingSchema = z
  .object({
    tags: z
      .array(words('Tag', TAG_LETTERS_AT_MOST, 1))
      .max(TAGS_AT_MOST, { error: `At most ${TAGS_AT_MOST} tags.` })
      .refine((tags) => new Set(tags).size === tags.length, { error: 'A tag is there twice.' }),
    finishedAt: instant.nullable(),
    awayAt: instant.nullable(),
    /** Since when it is a pattern: others are started from it, and it waits for nothing itself. Pages of before leave it out. */
    patternAt: instant.nullable().default(null),
    /** The day it is to be done by: '2026-12-24', the same in every zone. */
    dueOn: z.iso
      .date({ error: ({ input }) => `'${String(input)}' is no day; write for example 2026-12-24.` })
      .nullable()
      .default(null),
  })
  .meta({ id: 'Filing' });
export type Filing = z.infer<typeof FilingSchema>;

export const PieceSchema = z
  .object({
    id,
    name: pieceName,
    version,
    doc: PieceDocSchema,
    createdAt: instant,
    updatedAt: instant,
    /** What undo and redo would take back or do again, in a few words; null where there is nothing. */
    undo: z.string().nullable(),
    redo: z.string().nullable(),
    /** The result of each firing's last turn, by its step; null while that stands unopened. */
    fired: z.record(z.string(), ResultSchema.nullable()),
    /** What each turn in the kiln that was told of did to its glass, as it ran, in their order. */
    turns: z.array(
      z.object({
        stepId: id,
        haze_s: figure('s').nullable(),
        hazeBears_s: figure('s', 'Limit of its glass').nullable(),
        stress_Pa: figure('Pa', 'Left when it was cold').nullable(),
        work_perPa: figure('1/Pa', 'Heat work'),
        seen: z.array(z.enum(FLAW_NAMES)).default([]).meta({ description: 'What was to be seen on it' }),
      }),
    ),
    ...FilingSchema.shape,
  })
  .meta({ id: 'Piece' });
export type Piece = z.infer<typeof PieceSchema>;

const RanAsSchema = z.discriminatedUnion('as', [
  z.object({ as: z.literal('cast'), thin_m: figure('m', 'Thinnest section'), wall_m: figure('m', 'Wall of its mould') }),
  z.object({ as: z.literal('puddle') }),
  z.object({ as: z.literal('lace'), open: figure('', 'Share of it that is open') }),
]);

const span = z.object({ from: count(), to: count() });

/** A piece as a list shows it: drawn from the side as it is by now, without its document. */
export const PieceRowSchema = PieceSchema.pick({
  ...{ id: true, name: true, version: true, createdAt: true, updatedAt: true },
  ...{ tags: true, finishedAt: true, awayAt: true, patternAt: true, dueOn: true },
} as const)
  .extend({
    footprint: FootprintSchema,
    laid: count('How many layers are laid on in all'),
    profile: schemaFor<BodyProfile, OfFiredLayers>()(
      z.object({
        footprint: FootprintSchema,
        layers: z.array(LaidLayerSchema),
        ...{ solid: span, heated: span },
        thickest_m: figure('m', 'Of a casting, where it is thickest').nullable(),
        crown_m: figure('m', 'How far its middle stands over its rim'),
        bent: z
          .object({ shaping: ShapingSchema, down_m: figure('m', 'How far it came down'), form: FormShapeSchema.optional() })
          .nullable()
          .meta({ description: 'In or over what a firing has bent it' }),
        ran: RanAsSchema.nullable(),
      }),
    ),
    looks: z.array(z.enum(LOOKS)),
    photo: z.string().nullable().meta({ description: 'Hash of the newest picture of its firings' }),
  })
  .meta({ id: 'PieceRow' });
export type PieceRow = z.infer<typeof PieceRowSchema>;

export const NewPieceSchema = z.strictObject({ id, name: pieceName, doc: PieceDocSchema });
export type NewPiece = z.infer<typeof NewPieceSchema>;

export const asked = (most: number) => z.string().trim().max(most).optional();

/** What lists of pieces can be narrowed to. */
export const PIECE_SHOWS = ['finished', 'away', 'patterns'] as const;

/** In which order pieces are listed: by change, by when they were made, by name. */
export const PIECE_SORTS = ['changed', 'made', 'name'] as const;

/** Which pieces to list; each part narrows. Words are looked for in the name. */
export const PieceQuerySchema = z.object({
  text: asked(80),
  /** Those that wait for something alone. */
  waits: z.literal('yes').optional(),
  /** Those that are finished, put away or patterns, alone; without it what is put away and the patterns are left out, unless words are searched. */
  show: z.enum(PIECE_SHOWS).optional(),
  tag: asked(TAG_LETTERS_AT_MOST),
  /** By newest change where left out. */
  sort: z.enum(PIECE_SORTS).optional(),
  /** Where the last page ended. */
  after: asked(120),
});
export type PieceQuery = z.infer<typeof PieceQuerySchema>;

export const PiecePageSchema = z
  .object({
    pieces: z.array(PieceRowSchema),
    /** Those that most of the studio's pieces have, in the order of the alphabet. */
    tags: z.array(z.string()),
    /** How many there are in all pages. */
    total: count(),
    /** Where the next page begins; null at the end. */
    next: z.string().nullable(),
  })
  .meta({ id: 'PiecePage' });
export type PiecePage = z.infer<typeof PiecePageSchema>;

/** version is the one the change was based on; what says in a few words what was done, for undo. */
export const PieceChangeSchema = z.strictObject({ version, name: pieceName, doc: PieceDocSchema, what: words('What was done', 80).default('change') });

export const BasedOnSchema = z.strictObject({ version }).meta({ id: 'BasedOn' });
export const DoneSchema = z.object({ ok: z.literal(true) }).meta({ id: 'Done' });

/** What becomes of made glass: what is left is what was made less what these take. */
export const MadeUseSchema = z
  .object({
    id: recordId('Made glass'),
    fromName: z.string().nullable().meta({ description: 'What the piece that it came from is called now; null where there is none any more' }),
    taken: z.array(z.object({ pieceId: id, pieceName: z.string(), mass_kg: figure('kg') })),
  })
  .meta({ id: 'MadeUse' });
export type MadeUse = z.infer<typeof MadeUseSchema>;
