/** A studio's own documents: pieces, schedule versions, firings and settings. */
import {
  HOW_FAR,
  type MadeFrom,
  LAYERS_AT_MOST,
  LAYER_FORMS,
  LOOKS,
  type LaidLayer,
  type PieceDocument,
  type PlannedStep,
  SETUP_KINDS,
  STEPS_AT_MOST,
  WARE_KINDS,
  WETS,
  type Cutting,
  CLEANED_OFF,
  firesNoGlass,
  firingsOf,
  formatLength,
  JOINED_BY,
  type JourneyStep,
  laidLayers,
  LOOKED_WITH,
  STEP_KINDS,
  layerDepth,
  text,
  asJourney,
} from '@torvin/core';
import { z } from 'zod';
import {
  ControllerInputSchema,
  CoatSchema,
  count,
  DEEPEST_M,
  EvaluationSchema,
  figure,
  FiringCaseSchema,
  FootprintSchema,
  GlassConstantsSchema,
  id,
  instant,
  CorrectionsSchema,
  KilnConstantsSchema,
  oneOf,
  ProblemSchema,
  PurposefulSegmentSchema,
  quantity,
  SchoolSchema,
  SEGMENTS_AT_MOST,
  ShapingSchema,
  words,
} from '@torvin/core/contract';
import { CSV_STYLES } from './csv';
import { WAITS } from './waits';
import { ControllerSchema } from './records';

export const SHEET_RANGE_M = { least: 0.0005, most: 0.025 } as const;
export const SIZE_RANGE_M = { least: 0.02, most: 2 } as const;
export const ROD_RANGE_M = { least: 0.0005, most: 0.05 } as const;
export const GRAIN_RANGE_KG_M2 = { least: 0.01, most: 1000 } as const;
export const OVERHANG_RANGE_M = { least: 0, most: 0.05 } as const;
export const COVER_RANGE = { least: 0.01, most: 1 } as const;
export const PIECES_AT_MOST = 500;

const recordId = (name: string) => words(name, 60, 1);
const laid = { id, glassId: recordId('Glass'), name: words('Name of the layer', 40, 1).optional() };
const sheet_m = quantity('Thickness', 'm', SHEET_RANGE_M.least, SHEET_RANGE_M.most);
const cover = quantity('Cover', '', COVER_RANGE.least, COVER_RANGE.most);
const rod = { ...laid, diameter_m: quantity('Diameter', 'm', ROD_RANGE_M.least, ROD_RANGE_M.most), cover: cover.optional() };
const grains = {
  ...laid,
  perArea_kg_m2: quantity('Mass per area', 'kg/m²', GRAIN_RANGE_KG_M2.least, GRAIN_RANGE_KG_M2.most),
  grain_m: quantity('Grain', 'm', 1e-5, 0.03).optional(),
  cover: cover.optional(),
};

export const LaidLayerSchema = z
  .discriminatedUnion('form', [
    z.strictObject({ form: z.literal('sheet'), ...laid, thickness_m: sheet_m, coated: oneOf('Coated side', ['up', 'down']).optional() }),
    z.strictObject({
      form: z.literal('cap'),
      ...laid,
      thickness_m: sheet_m,
      overhang_m: quantity('Overhang', 'm', OVERHANG_RANGE_M.least, OVERHANG_RANGE_M.most).optional(),
    }),
    z.strictObject({
      form: z.literal('pieces'),
      ...laid,
      thickness_m: sheet_m,
      cover,
      count: quantity('Number of pieces', '', 1, PIECES_AT_MOST).int({ error: 'The number of pieces must be whole.' }),
    }),
    z.strictObject({ form: z.literal('rod'), ...rod }),
    z.strictObject({ form: z.literal('stringer'), ...rod }),
    z.strictObject({ form: z.literal('frit'), ...grains }),
    z.strictObject({ form: z.literal('powder'), ...grains }),
  ])
  .meta({ id: 'LaidLayer' }) satisfies z.ZodType<LaidLayer>;

const stepName = words('Name of the step', 40, 1).optional();

/** A firing of a journey. */
export const StepSchema = z
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
    }),
    kilnId: recordId('Kiln'),
    controllerId: recordId('Controller'),
    school: SchoolSchema,
    releaseId: recordId('Release').optional(),
    scheduleId: id.nullable(),
    computedId: id.nullable(),
    measured: z.strictObject({ down_m: quantity('How far it has come down', 'm', 0, 1) }).optional(),
  })
  .meta({ id: 'Step' }) satisfies z.ZodType<PlannedStep>;
export type Step = z.infer<typeof StepSchema>;

/** What can be asked of a step of the hands. */
export const KERF_RANGE_M = { least: 0, most: 0.01 } as const;
export const STRIP_RANGE_M = { least: 0.002, most: 1 } as const;
export const SEGMENTS_RANGE = { least: 2, most: 200 } as const;
export const OFF_RANGE_M = { least: 0, most: 0.3 } as const;
export const HOLE_RANGE_M = { least: 0.001, most: 0.2 } as const;
export const HOLES_RANGE = { least: 1, most: 100 } as const;
export const FILL_RANGE_KG = { least: 1e-6, most: 1 } as const;
export const SPOT_RANGE_M = { least: 0.001, most: 0.5 } as const;
const LONGEST_WAIT_S = 60 * 24 * 3600;

const within = (name: string, unit: string, { least, most }: { least: number; most: number }) => quantity(name, unit, least, most);
const whole = (name: string, range: { least: number; most: number }) => within(name, '', range).int({ error: `${name} must be whole.` });
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

const CuttingSchema = z.discriminatedUnion('to', [
  z.strictObject({ to: z.literal('outline'), outline: FootprintSchema }),
  z.strictObject({ to: z.literal('strips'), strip_m: within('Width of a strip', 'm', STRIP_RANGE_M), stand: oneOf('How strips stand', ['flat', 'onEdge']) }),
  z.strictObject({ to: z.literal('segments'), count: whole('The number of segments', SEGMENTS_RANGE) }),
  z.strictObject({ to: z.literal('slice'), face, depth_m: off_m }),
]) satisfies z.ZodType<Cutting>;

export const LAY_SIDES = ['above', 'below'] as const;

/** A step of a piece's journey, told apart by its kind. */
export const JourneyStepSchema = z
  .discriminatedUnion('kind', [
    StepSchema,
    z.strictObject({ kind: z.literal('lay'), ...byHand, side: oneOf('Side', LAY_SIDES), layers: z.array(LaidLayerSchema).max(LAYERS_AT_MOST) }),
    z.strictObject({ kind: z.literal('turn'), ...byHand }),
    z.strictObject({ kind: z.literal('cut'), ...byHand, cut: CuttingSchema, kerf_m: within('Kerf', 'm', KERF_RANGE_M) }),
    z.strictObject({ kind: z.literal('grind'), ...byHand, at: place, depth_m: off_m }),
    z.strictObject({ kind: z.literal('blast'), ...byHand, face, depth_m: off_m, cover }),
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
  .meta({ id: 'JourneyStep' }) satisfies z.ZodType<JourneyStep>;

/** Light glass, kg/m³: grains of any other come to less. */
const LIGHT_GLASS_kg_m3 = 2500;
const deepest = (layers: readonly LaidLayer[]): number => layers.reduce((sum, layer) => sum + layerDepth(layer, LIGHT_GLASS_kg_m3), 0);

const idsIn = (doc: Pick<PieceDocument, 'journey'>): string[] => [...doc.journey, ...laidLayers(doc)].map(({ id: one }) => one);

const JourneyDocSchema = z
  .strictObject({
    schemaVersion: z.literal(3),
    footprint: FootprintSchema,
    dammed: z.boolean(),
    typed: z.record(z.string().max(20), z.string().max(40)),
    journey: z.array(JourneyStepSchema).max(STEPS_AT_MOST, { error: `At most ${STEPS_AT_MOST} steps.` }),
  })
  .refine((doc) => new Set(idsIn(doc)).size === idsIn(doc).length, { path: ['journey'], error: 'Two steps or layers of a piece have one id.' })
  .refine((doc) => laidLayers(doc).length <= LAYERS_AT_MOST, { path: ['journey'], error: `At most ${LAYERS_AT_MOST} layers in all.` })
  .refine((doc) => laidLayers(doc).length > 0 || firesNoGlass(doc), {
    path: ['journey'],
    error: 'A piece needs at least one layer, unless every firing it is to have is one without glass.',
  })
  .refine((doc) => deepest(laidLayers(doc)) <= DEEPEST_M + 1e-9, {
    path: ['journey'],
    error: `The layers together may be at most ${(['mm', 'in'] as const).map((unit) => text(formatLength(DEEPEST_M, unit))).join(' or ')} deep.`,
  })
  .meta({ id: 'PieceDocument' }) satisfies z.ZodType<PieceDocument>;

/** Documents of before there were journeys are taken as what they are now. */
export const PieceDocSchema = z.preprocess(asJourney, JourneyDocSchema);
export type PieceDoc = z.infer<typeof PieceDocSchema>;

const pieceName = words('Name', 80, 1);
const version = quantity('Version', '', 1, 1e9).int();

export const ResultSchema = oneOf('Result', ['short', 'right', 'past']);
export type FiringResult = z.infer<typeof ResultSchema>;

export const TAGS_AT_MOST = 12;
export const TAG_LETTERS_AT_MOST = 30;

/** How a piece is filed: the studio's own words for it, whether it is finished, whether it is put away out of the lists. */
export const FilingSchema = z
  .object({
    tags: z
      .array(words('Tag', TAG_LETTERS_AT_MOST, 1))
      .max(TAGS_AT_MOST, { error: `At most ${TAGS_AT_MOST} tags.` })
      .refine((tags) => new Set(tags).size === tags.length, { error: 'A tag stands there twice.' }),
    finishedAt: instant.nullable(),
    awayAt: instant.nullable(),
  })
  .meta({ id: 'Filing' });
export type Filing = z.infer<typeof FilingSchema>;
export const NOT_FILED: Filing = { tags: [], finishedAt: null, awayAt: null };

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
    ...FilingSchema.shape,
  })
  .meta({ id: 'Piece' });
export type Piece = z.infer<typeof PieceSchema>;

/** A piece as a list shows it: drawn from the side, without its document. */
export const PieceRowSchema = PieceSchema.pick({
  ...{ id: true, name: true, version: true, createdAt: true, updatedAt: true },
  ...{ tags: true, finishedAt: true, awayAt: true },
} as const)
  .extend({ footprint: FootprintSchema, layers: z.array(LaidLayerSchema), looks: z.array(z.enum(LOOKS)) })
  .meta({ id: 'PieceRow' });
export type PieceRow = z.infer<typeof PieceRowSchema>;

/** A list draws no more of them. */
export const ROW_LAYERS_AT_MOST = 12;

export const rowOfPiece = ({ doc, id, name, version, createdAt, updatedAt, tags, finishedAt, awayAt }: Omit<Piece, 'undo' | 'redo' | 'fired'>): PieceRow => ({
  ...{ id, name, version, createdAt, updatedAt, tags, finishedAt, awayAt },
  footprint: doc.footprint,
  layers: laidLayers(doc).slice(0, ROW_LAYERS_AT_MOST),
  looks: firingsOf(doc).map(({ look }) => look),
});

export const NewPieceSchema = z.strictObject({ id, name: pieceName, doc: PieceDocSchema });
export type NewPiece = z.infer<typeof NewPieceSchema>;

const asked = (most: number) => z.string().trim().max(most).optional();

/** In which order pieces are listed: by change, by when they were made, by name. */
export const PIECE_SORTS = ['changed', 'made', 'name'] as const;

/** Which pieces to list; each part narrows. Words are looked for in the name. */
export const PieceQuerySchema = z.object({
  text: asked(80),
  /** Those that wait for something alone. */
  waits: z.literal('yes').optional(),
  /** Those that are finished, or put away, alone; without it what is put away is left out, unless words are searched. */
  show: z.enum(['finished', 'away']).optional(),
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

/** One file with all of a studio: who asked for it, when, and how much it holds. */
export const BackupSchema = z
  .object({
    id: z.string().meta({ description: 'The name of its file' }),
    why: z.enum(['daily', 'asked', 'migration']),
    madeAt: instant,
    bytes: figure('bytes'),
    /** Which state the database in it has. */
    schema: count('How many migrations its database has been through'),
    holds: z.object({ pieces: count(), firings: count(), records: count(), pictures: count() }),
  })
  .meta({ id: 'Backup' });
export type Backup = z.infer<typeof BackupSchema>;

export const BackupsSchema = z
  .object({
    folder: z.string(),
    /** Newest first. */
    kept: z.array(BackupSchema),
    /** Why the last one that was to be made by itself was not. */
    fault: ProblemSchema.nullable(),
  })
  .meta({ id: 'Backups' });

export const RestoredSchema = z
  .object({
    madeAt: instant,
    holds: BackupSchema.shape.holds,
    /** The folder that what was there before lies in now; null where there was nothing. */
    aside: z.string().nullable(),
  })
  .meta({ id: 'Restored' });
export type Restored = z.infer<typeof RestoredSchema>;

export const NewScheduleSchema = z.strictObject({
  id,
  stepId: id,
  pieceVersion: version,
  parentId: id.nullable(),
  origin: oneOf('Origin', ['computed', 'edited']),
  segments: z.array(PurposefulSegmentSchema).min(1).max(SEGMENTS_AT_MOST),
});
export type NewSchedule = z.infer<typeof NewScheduleSchema>;

/** A layer as it is drawn and named: dense depth where it lies, the share of the outline it covers. */
export const DrawnLayerSchema = z
  .object({
    name: z.string(),
    colour: z.string(),
    thickness_m: figure('m'),
    form: z.enum(LAYER_FORMS).optional(),
    cover: figure('').optional(),
    count: count().optional(),
    coated: z.enum(['up', 'down']).optional(),
    ware: z.enum(WARE_KINDS).optional().meta({ description: 'It is no glass: a shelf or mould that is fired by itself' }),
  })
  .meta({ id: 'DrawnLayer' });
export type DrawnLayer = z.infer<typeof DrawnLayerSchema>;

/** What a person can have changed since; see madeFromDifferences. */
export const MadeFromSchema = z
  .object({
    footprint: FootprintSchema,
    dammed: z.boolean(),
    layers: z.array(z.object({ glassName: z.string(), depth_m: figure('m'), laid: LaidLayerSchema })),
    glasses: z.record(z.string(), GlassConstantsSchema.strip()),
    before: z.array(z.object({ look: StepSchema.shape.look, setup: StepSchema.shape.setup })),
    hands: z.array(z.looseObject({ kind: z.enum(STEP_KINDS) })).optional(),
    look: StepSchema.shape.look,
    setup: StepSchema.shape.setup,
    school: SchoolSchema,
    release: z.object({ id: recordId('Release'), name: z.string(), coat: CoatSchema }).optional(),
    kiln: z.object({ id: recordId('Kiln'), name: z.string(), constants: KilnConstantsSchema.strip(), taken: CorrectionsSchema.optional() }),
    controller: z.object({ id: recordId('Controller'), name: z.string(), counts: ControllerInputSchema.strip() }),
  })
  .meta({ id: 'MadeFrom' }) satisfies z.ZodType<MadeFrom>;

/** What a schedule was made from, kept so that later edits of records do not change the past. */
export const SnapshotSchema = z
  .object({
    firing: FiringCaseSchema,
    familyName: z.string(),
    /** Left out by versions from before learning went by ids. */
    familyId: z.string().optional(),
    kilnName: z.string(),
    controller: ControllerSchema,
    layers: z.array(DrawnLayerSchema),
    /** Which of the named set-ups it stood in; older snapshots knew one only. */
    setup: z
      .object({ kind: z.enum(SETUP_KINDS), paper: z.boolean(), wet: z.enum(WETS).optional(), shaping: ShapingSchema.optional() })
      .default({ kind: 'bareShelf', paper: false }),
    engine: z.string(),
    /** Left out by older versions, which are then judged by what their case tells. */
    madeFrom: MadeFromSchema.optional(),
  })
  .meta({ id: 'Snapshot' });
export type Snapshot = z.infer<typeof SnapshotSchema>;

const scheduleName = words('Name of the version', 60);

export const ScheduleSchema = z
  .object({
    id,
    name: scheduleName,
    pieceId: id,
    stepId: id,
    parentId: id.nullable(),
    origin: NewScheduleSchema.shape.origin,
    segments: NewScheduleSchema.shape.segments,
    snapshot: SnapshotSchema,
    result: EvaluationSchema,
    createdAt: instant,
  })
  .meta({ id: 'Schedule' });
export type Schedule = z.infer<typeof ScheduleSchema>;

/** One version as lists show it. */
export const ScheduleVersionSchema = ScheduleSchema.pick({ id: true, name: true, stepId: true, parentId: true, origin: true, createdAt: true })
  .extend({
    work_C: figure('°C'),
    work_s: figure('s'),
    total_s: figure('s'),
    kilnName: z.string(),
    engine: z.string().meta({ description: 'Version of the engine whose word it is' }),
    firings: count(),
  })
  .meta({ id: 'ScheduleVersion' });
export type ScheduleVersion = z.infer<typeof ScheduleVersionSchema>;

/** Pieces that wait for the same kiln with the very same schedule: they can go into one load. */
export const AlikeSchema = z.array(z.object({ pieceId: id, pieceName: z.string(), scheduleId: id })).meta({ id: 'Alike' });
export type Alike = z.infer<typeof AlikeSchema>[number];

export const ScheduleNameSchema = z.strictObject({ name: scheduleName });

export const SavedScheduleSchema = z.object({ piece: PieceSchema, schedule: ScheduleSchema }).meta({ id: 'SavedSchedule' });
export type SavedSchedule = z.infer<typeof SavedScheduleSchema>;

const zone = words('Time zone', 60, 1).refine(
  (name) => {
    try {
      new Intl.DateTimeFormat('en', { timeZone: name });
      return true;
    } catch {
      return false;
    }
  },
  { error: ({ input }) => `'${String(input)}' is not a time zone; write for example Europe/Lisbon.` },
);

const hash = z.string().regex(/^[0-9a-f]{64}$/, { error: 'A photo is named by the 64 hexadecimal digits of its content.' });

/** A photo as it was written anew: JPEG, upright, nothing of the camera's in it. */
export const PhotoSchema = z.object({ hash, width: figure('pixels').int(), height: figure('pixels').int() }).meta({ id: 'Photo' });
export type Photo = z.infer<typeof PhotoSchema>;

/** What can be read in a kiln that fires glass, °C. */
export const WITNESS_RANGE_C = { least: 100, most: 1700 } as const;
/** More than this no reading at the glass lies from the controller's, K. */
const WITNESS_AT_MOST_K = 60;

const readAt = (name: string) => quantity(name, '°C', WITNESS_RANGE_C.least, WITNESS_RANGE_C.most);

/** What a firing is to teach of its kiln and of this studio's looks. */
export const LessonSchema = z
  .strictObject({
    /** It is to teach nothing: the lid was lifted, the wrong piece was looked at. */
    leftOut: z.boolean().default(false),
    /** By how much it fell short or went past. */
    by: oneOf('By how much', HOW_FAR).nullable().default(null),
    /** Read at the glass while the controller read something, °C both. */
    witness: z
      .strictObject({ controller_C: readAt('Controller'), glass_C: readAt('At the glass') })
      .refine(({ controller_C, glass_C }) => Math.abs(controller_C - glass_C) <= WITNESS_AT_MOST_K, {
        path: ['glass_C'],
        error: `The two readings may lie at most ${WITNESS_AT_MOST_K} °C (${1.8 * WITNESS_AT_MOST_K} °F) apart; more is another moment or a broken sensor.`,
      })
      .nullable()
      .default(null),
  })
  .meta({ id: 'Lesson' });
export type Lesson = z.infer<typeof LessonSchema>;
export const NO_LESSON: Lesson = { leftOut: false, by: null, witness: null };

/** What a person says of a firing; all but the start can wait until the kiln is open. */
const told = {
  /** When it was started. */
  firedAt: instant,
  zone,
  place: words('Place on the shelf', 80).default(''),
  /** Null while it runs or stands unopened. */
  result: ResultSchema.nullable().default(null),
  lookReached: oneOf('Look reached', LOOKS).nullable().default(null),
  note: words('Note', 4000).default(''),
  /** The segments as they really ran, where they ran otherwise than planned. */
  asFired: z.array(PurposefulSegmentSchema).min(1).max(SEGMENTS_AT_MOST).nullable().default(null),
  photos: z.array(hash).max(12, { error: 'At most 12 photos.' }).default([]),
  /** How a result was known before the glass could be cold. */
  knownBy: words('How it is known', 200).default(''),
  lesson: LessonSchema.default(NO_LESSON),
};

/** What is in a kiln together: one start, one opening. It counts from at, the real start or, before that is known, the planned one. */
export const LoadSchema = z
  .object({
    id,
    /** Null where an old record names a kiln that is on no shelf. */
    kilnId: z.string().nullable(),
    kilnName: z.string(),
    plannedAt: instant.nullable(),
    startedAt: instant.nullable(),
    openedAt: instant.nullable(),
    at: instant,
    zone,
    version,
  })
  .meta({ id: 'Load' });
export type Load = z.infer<typeof LoadSchema>;

/** A load that is in its kiln or planned for it, with what is in it. */
export const LoadAheadSchema = LoadSchema.extend({
  entries: z.array(z.object({ firingId: id, pieceId: id, pieceName: z.string(), look: z.enum(LOOKS), scheduleId: id })),
  /** By its schedules: the first and the last moment to look in at, when the controller is done, when it may be opened. */
  lookFrom: instant,
  lookTo: instant,
  controlled: instant,
  until: instant,
}).meta({ id: 'LoadAhead' });
export type LoadAhead = z.infer<typeof LoadAheadSchema>;

/** openedAt: when the kiln was opened, which frees it; null takes that back. */
export const LoadChangeSchema = z.strictObject({ version, openedAt: instant.nullable() });

export const NewFiringSchema = z.strictObject({
  id,
  pieceId: id,
  scheduleId: id,
  ...told,
  /** The load it joins, or the id that a new one is to have. */
  loadId: id.optional(),
  /** firedAt is when the controller is set to start, not when it did. */
  planned: z.boolean().default(false),
  /** The schedule is fired although the piece or its set-up is not what it was made from. */
  asItIs: z.boolean().default(false),
});
export type NewFiring = z.input<typeof NewFiringSchema>;

export const FiringChangeSchema = z.strictObject({ version, ...told });
export type FiringChange = z.input<typeof FiringChangeSchema>;

export const FiringSchema = z
  .object({
    id,
    pieceId: id,
    scheduleId: id,
    stepId: id,
    ...told,
    version,
    load: LoadSchema,
    /** How what lay there differed from what its schedule was made from. */
    differences: z.array(z.string()),
    pieceName: z.string(),
    createdAt: instant,
    /** Hottest target of its schedule, °C, that target's hold, s, and the whole firing's length, s. */
    work_C: figure('°C'),
    work_s: figure('s'),
    total_s: figure('s'),
    kilnName: z.string(),
    familyName: z.string(),
    look: z.enum(LOOKS),
  })
  .meta({ id: 'Firing' });
export type Firing = z.infer<typeof FiringSchema>;

/** A firing as a list shows it: how it ran in two figures, the beginning of its note. */
export const FiringRowSchema = FiringSchema.omit({ asFired: true, differences: true, knownBy: true, lesson: true, load: true })
  .extend({
    /** Hottest target as it ran, °C, and its hold, s. */
    ran_C: figure('°C'),
    ran_s: figure('s'),
  })
  .meta({ id: 'FiringRow' });
export type FiringRow = z.infer<typeof FiringRowSchema>;

/** asFiredResult: the engine's word on what really ran, where that was otherwise than planned. */
export const FiringDetailSchema = z
  .object({
    firing: FiringSchema,
    schedule: ScheduleSchema,
    asFiredResult: EvaluationSchema.nullable(),
    /** What else is in its load. */
    together: z.array(z.object({ id, pieceName: z.string() })),
  })
  .meta({ id: 'FiringDetail' });
export type FiringDetail = z.infer<typeof FiringDetailSchema>;

/** Which firings to list; each part narrows. Text is looked for in piece, note, place, kiln, family. */
export const FiringQuerySchema = z.object({
  text: asked(80),
  look: z.enum(LOOKS).optional(),
  result: z.enum(['short', 'right', 'past', 'open']).optional(),
  kiln: asked(80),
  piece: asked(60),
  /** Where the last page ended. */
  after: asked(120),
});
export type FiringQuery = z.infer<typeof FiringQuerySchema>;

export const FiringPageSchema = z
  .object({
    firings: z.array(FiringRowSchema),
    /** How many there are in all pages. */
    total: count(),
    /** Where the next page begins; null at the end. */
    next: z.string().nullable(),
  })
  .meta({ id: 'FiringPage' });
export type FiringPage = z.infer<typeof FiringPageSchema>;

/** A piece that waits, with what its schedule says where it has one. */
export const WaitingPieceSchema = z
  .object({
    piece: PieceRowSchema,
    for: z.enum(WAITS),
    /** Of the firing that is next; null where none is planned yet. */
    look: z.enum(LOOKS).nullable(),
    /** What the step of the hands is called that is next; null where a firing is. */
    step: z.string().nullable(),
    stepId: id.nullable(),
    /** The whole length of its schedule, s; null where it has none. */
    total_s: figure('s').nullable(),
    /** How what stands now differs from what its schedule was made from. */
    outdated: z.array(z.string()),
  })
  .meta({ id: 'WaitingPiece' });
export type WaitingPiece = z.infer<typeof WaitingPieceSchema>;

/** What the firings of a kiln have taught of it, with one family of glass. */
export const LearnedSchema = z
  .object({
    kilnId: z.string(),
    kilnName: z.string(),
    familyName: z.string(),
    firings: count(),
    offset_K: figure('K', 'Controller less glass'),
    workFactor: figure(''),
    /** What each look takes by itself, times the usual. */
    looks: z.array(z.object({ look: z.enum(LOOKS), factor: figure(''), sd_log: figure(''), firings: count() })),
    offset_sd_K: figure('K', 'Standard deviation of the offset'),
    workFactor_sd_log: figure('', "Standard deviation of the factor's logarithm"),
    separated: z.boolean(),
    /** What it was learnt from, newest first, with what was left out. */
    lessons: z.array(
      z.object({
        ...{ firingId: id, pieceName: z.string(), firedAt: instant, look: z.enum(LOOKS), result: ResultSchema, lesson: LessonSchema },
        /** The work it did by what the controller read, in shares of the least and of the most that its look needs. */
        ...{ ofLeast: figure(''), ofMost: figure('') },
      }),
    ),
  })
  .meta({ id: 'Learned' });
export type Learned = z.infer<typeof LearnedSchema>;

/** Of which kiln; of the one that was told of last where left out. */
export const LearnedQuerySchema = z.object({ kiln: asked(60) });

/** What is going on: firings not told of yet, the pieces that wait and were changed last, what the firings of a kiln have taught. */
export const BenchSchema = z
  .object({
    inKiln: z.array(FiringSchema),
    waiting: z.array(WaitingPieceSchema),
    /** How many wait in all, and how many pieces there are. */
    waitingInAll: count(),
    pieces: count(),
    /** Of the kiln that was told of last. */
    learned: LearnedSchema.nullable(),
    /** Kilns whose firings have taught something, the last first. */
    taught: z.array(z.object({ kilnId: z.string(), kilnName: z.string() })),
  })
  .meta({ id: 'Bench' });
export type Bench = z.infer<typeof BenchSchema>;

export const StudioSchema = z
  .strictObject({
    temperatureUnit: oneOf('Temperature unit', ['C', 'F']),
    lengthUnit: oneOf('Length unit', ['mm', 'in']),
    massUnit: oneOf('Mass unit', ['g', 'oz']),
    theme: oneOf('Theme', ['light', 'dark', 'system']),
    /** How tables go out: with decimal points between commas, or with decimal commas between semicolons. */
    csv: oneOf('Tables', CSV_STYLES).default('comma'),
  })
  .meta({ id: 'Studio' });
export type Studio = z.infer<typeof StudioSchema>;
